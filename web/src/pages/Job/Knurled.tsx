import { grownAt } from '@obra/core/bench';
import type { Entry } from '@obra/core/document';
import type { Step } from '@obra/core/operations';
import { parseLength, write, writeSentence, writeWithUnit } from '@obra/core/quantity';
import { machineOf } from '@obra/core/shop';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { atHandNow } from '../../data/atHand';
import { FigureNumber } from '../../slate';
import { TypedReading } from './TypedReading';
import type { JobView } from './view';
import { keepIt } from '../../words/pressed';

interface Props {
  readonly view: JobView;
  readonly step: Step;
  readonly piece: number;
  readonly live: readonly Entry[];
  readonly onTold: (work: () => Promise<void>) => Promise<void>;
}

/** A knurl is brought to its grown size: measured over the crests, then the wheel so much further in. */
export function Knurled({ view, step, piece, live, onTold }: Props) {
  const { units, plan, job, shop } = view;
  const [typed, setTyped] = useState('');
  const [refused, setRefused] = useState<string>();
  const machine = machineOf(job.issue?.kit ?? shop, job.machine);
  const grown = plan && grownAt(step, plan, machine, live);
  if (!grown) return null;
  const size = (mm: number) => write({ is: 'diameter', value: mm, step: 0.01 }, units).text;
  const keep = () => {
    const read = parseLength(typed, units);
    if (!read.ok) {
      setRefused(`Over the crests: ${writeSentence(read.problems[0]?.says ?? [], units)}.`);
      return;
    }
    // a knurl doubles nothing: what is far off is a slip of the hand
    if (Math.abs(read.value - grown.whole) > 3 * grown.pitch) {
      setRefused(
        `Over the crests: ${writeWithUnit({ is: 'length', value: read.value }, units)} is not this knurl, ${size(grown.blank)} to ${size(grown.whole)}.`,
      );
      return;
    }
    setRefused(undefined);
    void onTold(async () => {
      await view.add({
        kind: 'reading',
        of: grown.of,
        value: { text: typed.trim(), units },
        gauge: step.gauge ?? 'none',
        piece,
        step: step.id,
        ...atHandNow(),
      });
      setTyped('');
    });
  };
  return (
    <div className="line" role="group" aria-label="The knurl by its grown size" data-testid="grown">
      <div>
        Blank {size(grown.blank)}, {grown.teeth} teeth round it; over the crests{' '}
        {writeWithUnit({ is: 'diameter', value: grown.whole, step: 0.01 }, units)} when it is whole. Press it in, one turn by hand: the teeth must
        meet, not double. Then feed along.
      </div>
      <div className="d-flex gap-2 align-items-center flex-wrap mt-2">
        <TypedReading
          className="wide-190"
          words="over the crests of the knurl"
          hint="over the crests"
          value={typed}
          onText={setTyped}
          onKeep={keep}
        />
        <Button className="tall-48" variant="outline-light" onClick={keep}>
          {keepIt}
        </Button>
      </div>
      {refused !== undefined && (
        <div className="out" role="alert">
          {refused}
        </div>
      )}
      {grown.risen && (
        <div className="mt-2" data-testid="risen" data-says={grown.says}>
          {grown.says === 'not begun' ? (
            'That is the blank: nothing has risen yet.'
          ) : (
            <>
              <FigureNumber figure={grown.risen} units={units} /> of its height has risen.{' '}
              {grown.further ? (
                <>
                  <span className="large size-30">
                    <FigureNumber figure={grown.further} units={units} withUnit />
                  </span>{' '}
                  further in by the dial, and along once more.
                </>
              ) : grown.says === 'over' ? (
                'The crests are past a line: no further, they flake.'
              ) : (
                <span className="in">✓ It is whole.</span>
              )}
            </>
          )}
        </div>
      )}
    </div>
  );
}
