import { verbs } from '@obra/core/operations';
import type { Units } from '@obra/core/quantity';
import type { Setup } from '@obra/core/settings';
import { FigureNumber, Said } from '../slate';
import { FROM_PLAN } from './Line';

/** The lengths of a setup, from the face that is zero: what carriage, blade and quill are set to, and what each may be. */
export function Ledger({
  setup,
  before,
  units,
}: {
  readonly setup: Setup;
  /** steps of the setups before it */ readonly before: number;
  readonly units: Units;
}) {
  if (setup.lengths.length === 0) return null;
  const zero = setup.end === 'left' ? 'B' : 'A';
  const quill = setup.lengths.some((l) => l.quillLeft);
  const blade = setup.lengths.some((l) => l.withBlade);
  return (
    <table className="plain ledger" aria-label={`Lengths from face ${zero}`}>
      <thead>
        <tr>
          <th>
            <span className="visually-hidden">number</span>
          </th>
          <th>lengths from face {zero}</th>
          <th className="num">set</th>
          <th className="num">may be</th>
          {blade && <th className="num">blade touched on the face</th>}
          {quill && <th className="num">quill left</th>}
        </tr>
      </thead>
      <tbody>
        {setup.lengths.map((line) => {
          const step = setup.steps.find((s) => s.id === line.step);
          return (
            <tr key={line.step}>
              <td className="quiet">{step ? before + setup.steps.indexOf(step) + 1 : ''}</td>
              <td>
                {step && (
                  <>
                    {verbs[step.verb]} <Said sentence={step.says} units={units} from={FROM_PLAN} />:{' '}
                  </>
                )}
                <span className="quiet">
                  <Said sentence={line.says} units={units} from="lengths from face to face, as the blade and the bar are set" />
                </span>
              </td>
              <td className="num">
                <FigureNumber figure={line.set} units={units} />
              </td>
              <td className="num text-nowrap">
                {line.min && line.max && (
                  <>
                    <FigureNumber figure={line.min} units={units} /> to <FigureNumber figure={line.max} units={units} />
                  </>
                )}
              </td>
              {blade && <td className="num">{line.withBlade && <FigureNumber figure={line.withBlade} units={units} />}</td>}
              {quill && <td className="num">{line.quillLeft && <FigureNumber figure={line.quillLeft} units={units} />}</td>}
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
