import { passesOf, passesTaken, passTaken } from '@obra/core/bench';
import type { Entry } from '@obra/core/document';
import type { Step } from '@obra/core/operations';
import { write } from '@obra/core/quantity';
import { machineOf } from '@obra/core/shop';
import { Button } from 'react-bootstrap';
import { FigureNumber } from '../../slate';
import type { JobView } from './view';

interface Props {
  readonly view: JobView;
  readonly step: Step;
  readonly piece: number;
  readonly live: readonly Entry[];
  readonly onTold: (work: () => Promise<void>) => Promise<void>;
}

/** Most passes that stand on the card: those about the one that comes next. */
const SHOWN = 6;

/** A roughing cut pass by pass: where the dial stands at each, what is left after it, and how many are taken. */
export function Passes({ view, step, piece, live, onTold }: Props) {
  const { job, plan, units } = view;
  const machine = machineOf(job.issue?.kit ?? view.shop, job.machine);
  const passes = plan ? passesOf(step, plan, machine) : [];
  if (passes.length === 0) return null;
  const taken = Math.min(passesTaken(live), passes.length);
  const dialUnits = machine?.dials.cross?.division.units ?? units;
  const from = Math.max(0, Math.min(taken - 1, passes.length - SHOWN));
  const next = passes[taken];
  return (
    <div className="line passes" role="group" aria-label="Passes">
      <div className="quiet">
        {taken === passes.length ? 'all passes taken' : `pass ${String(taken + 1)} of ${String(passes.length)}`}, dial zeroed where the tool touches;
        cross slide, {machine?.dials.cross?.reads === 'diameter' ? 'reads diameter' : 'reads radius'}, {dialUnits === 'mm' ? 'mm' : 'inch'}
      </div>
      <ol start={from + 1}>
        {passes.slice(from, from + SHOWN).map((pass, i) => (
          <li key={i} className={from + i < taken ? 'taken' : from + i === taken ? 'now' : ''} aria-current={from + i === taken ? 'step' : undefined}>
            <span className="large size-30">
              <FigureNumber figure={pass.dial} units={dialUnits} />
            </span>
            <span className="quiet">
              {' '}
              leaves <FigureNumber figure={pass.leaves} units={units} />
            </span>
          </li>
        ))}
      </ol>
      {next && (
        <Button className="tall-48" variant="outline-light" onClick={() => void onTold(() => view.add(passTaken(next, step, piece)))}>
          pass {taken + 1} taken, dial at {write(next.dial, dialUnits).text}
        </Button>
      )}
    </div>
  );
}
