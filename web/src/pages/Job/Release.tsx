import { releaseOf } from '@obra/core/bench';
import type { Characteristic } from '@obra/core/drawing';
import { isGood, standsAs } from '@obra/core/inspection';
import { writeWithUnit } from '@obra/core/quantity';
import type { Setup } from '@obra/core/settings';
import { Button } from 'react-bootstrap';
import { FigureNumber } from '../../slate';
import type { JobView } from './view';
import { cannotTell, notMeasured } from '../../words/found';

interface Props {
  readonly view: JobView;
  readonly setup: Setup;
  readonly piece: number;
  /** the size that the pad takes a reading of */
  readonly picked: string | undefined;
  readonly onPick: (size: Characteristic) => void;
}

const words = { in: '✓ in', over: '✗ + over', under: '✗ − under', cannotTell: cannotTell } as const;

/** Before the piece leaves its holding: what was finished here, as measured. Out of the chuck it has lost its centre. */
export function Release({ view, setup, piece, picked, onPick }: Props) {
  const { units } = view;
  const part = view.plan?.part ?? view.part;
  const sizes = releaseOf(setup, part, view.job.issue?.kit ?? view.shop, view.log, piece);
  if (sizes.length === 0) return null;
  const missing = sizes.filter((s) => !s.verdict && s.feel === undefined && !s.plain).length;
  return (
    <div className="line" role="group" aria-label="Finished in this holding">
      <div className={missing > 0 ? 'out' : 'quiet'}>
        {missing > 0
          ? `△ ${String(missing)} of ${String(sizes.filter((s) => !s.plain).length)} not measured yet: press one to type its reading`
          : 'All that carries limits of its own is measured; the others where somebody wants to know them'}
      </div>
      <table className="size-18" aria-label="Sizes finished here">
        <tbody>
          {sizes.map(({ size, verdict, feel, plain }) => (
            <tr key={size.id}>
              <td className="pe-3">
                {size.limits ? (
                  <Button
                    className="tall-44"
                    variant={picked === size.id ? 'light' : 'outline-light'}
                    aria-pressed={picked === size.id}
                    onClick={() => onPick(size)}>
                    {size.balloon} {size.is}
                  </Button>
                ) : (
                  size.text
                )}
              </td>
              <td className="pe-3 quiet">
                {size.limits &&
                  `${writeWithUnit({ is: 'length', value: size.limits.min, step: 0.001 }, units)} – ${writeWithUnit({ is: 'length', value: size.limits.max, step: 0.001 }, units)}`}
              </td>
              <td className="pe-3">{verdict && <FigureNumber figure={verdict.value} units={units} />}</td>
              <td
                className={
                  (verdict && standsAs(verdict) === 'in') || (feel !== undefined && isGood(feel)) ? 'in' : plain && !verdict ? 'quiet' : 'out'
                }>
                {verdict ? words[standsAs(verdict)] : (feel ?? (plain ? 'by the dial' : notMeasured))}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
