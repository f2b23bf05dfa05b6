import { collarsOf, setOverBy } from '@obra/core/bench';
import type { Entry } from '@obra/core/document';
import type { Step } from '@obra/core/operations';
import { parseLength, write, writeSentence } from '@obra/core/quantity';
import type { Setup } from '@obra/core/settings';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { FigureNumber } from '../../slate';
import { TypedReading } from './TypedReading';
import type { JobView } from './view';
import { twoCollars } from '../../words/titles';
import { theTailstock } from '../../words/places';
import { furtherOver } from '../../words/pressed';

interface Props {
  readonly view: JobView;
  readonly step: Step;
  readonly setup: Setup | undefined;
  readonly piece: number;
  readonly live: readonly Entry[];
  readonly onTold: (work: () => Promise<void>) => Promise<void>;
}

/** Two collars turned at one setting try a tailstock that is set over: both measured, then how far it is still to go. */
export function Collars({ view, step, setup, piece, live, onTold }: Props) {
  const { units } = view;
  const collars = collarsOf(step, view.plan?.part ?? view.part, setup);
  const [typed, setTyped] = useState({ free: '', held: '' });
  const [refused, setRefused] = useState<string>();
  if (!collars) return null;
  const by = setOverBy(collars, live);
  const keep = () => {
    for (const end of ['free', 'held'] as const) {
      const read = parseLength(typed[end], units);
      if (!read.ok) {
        setRefused(`Collar at the ${end} end: ${writeSentence(read.problems[0]?.says ?? [], units)}.`);
        return;
      }
    }
    setRefused(undefined);
    void onTold(async () => {
      for (const end of ['free', 'held'] as const)
        await view.add({
          kind: 'reading',
          of: collars.of,
          value: { text: typed[end].trim(), units },
          along: { text: String(collars[end]), units: 'mm' },
          gauge: 'none',
          piece,
          step: step.id,
        });
      setTyped({ free: '', held: '' });
    });
  };
  return (
    <div className="line" role="group" aria-label={twoCollars}>
      <div className="quiet">Two collars turned at one setting of the cross slide, the same cut, before the long finish; measure both</div>
      <div className="d-flex gap-2 align-items-center flex-wrap mt-1">
        {(['free', 'held'] as const).map((end) => (
          <TypedReading
            key={end}
            className="wide-190"
            words={`collar at the ${end} end`}
            hint={`at ${write({ is: 'length', value: collars[end], step: 0.1 }, units).text}, ${end} end`}
            value={typed[end]}
            onText={(text) => setTyped({ ...typed, [end]: text })}
            onKeep={keep}
          />
        ))}
        <Button className="tall-48" variant="outline-light" onClick={keep}>
          keep both
        </Button>
      </div>
      {refused !== undefined && (
        <div className="out" role="alert">
          {refused}
        </div>
      )}
      {by && (
        <div className="mt-1" data-testid="set-over">
          taper <FigureNumber figure={by.taper} units={units} />, wanted {write({ is: 'ratio', value: collars.slope, step: 0.00001 }, units).text}:{' '}
          {by.stands ? (
            'the tailstock stands right'
          ) : (
            <>
              {theTailstock} <FigureNumber figure={by.move} units={units} /> {write(by.move, units).unit} {by.further ? furtherOver : 'back'}; then
              collars again
            </>
          )}
        </div>
      )}
    </div>
  );
}
