import type { BenchState } from '@obra/core/bench';
import { type Step, verbs } from '@obra/core/operations';
import { writeSentence } from '@obra/core/quantity';
import { Check } from 'lucide-react';
import { Button } from 'react-bootstrap';
import { FigureNumber } from '../../slate';
import { Settings, Why } from './Settings';
import type { JobView } from './view';

interface Props {
  readonly view: JobView;
  readonly step: Step;
  readonly piece: number;
  readonly state: BenchState;
  readonly ahead: string | undefined;
  readonly onAhead: (step: string | undefined) => void;
}

/** How many lines stand before the step in hand, and with it and behind it; fewer where the pieces stand above them. */
const linesAbout = (pieces: number): readonly [number, number] => (pieces > 1 ? [1, 3] : [2, 4]);

/** The sheet in brief: what was done last, what is done now, what comes; tapped, a step is looked at without going there. */
export function Brief({ view, step, piece, state, ahead, onAhead }: Props) {
  const { steps, units } = view;
  const at = steps.indexOf(step);
  const [before, behind] = linesAbout(view.job.pieces);
  const lines = steps.slice(Math.max(0, at - before), at + behind);
  return (
    <nav className="brief" aria-label="The sheet in brief">
      <ol>
        {lines.map((line) => {
          const isDone = state.done.has(`${String(piece)}/${line.id}`);
          return (
            <li key={line.id}>
              <button
                type="button"
                className={`${line === step ? 'now' : ''} ${isDone ? 'done' : ''}`}
                aria-current={line === step ? 'step' : undefined}
                aria-pressed={ahead === line.id}
                onClick={() => onAhead(line === step || ahead === line.id ? undefined : line.id)}>
                <span className="number">{isDone ? <Check size={15} aria-label="done" /> : steps.indexOf(line) + 1}</span>
                <span className="words">
                  <strong>{verbs[line.verb]}</strong> <small>{writeSentence(line.says, units)}</small>
                </span>
              </button>
            </li>
          );
        })}
      </ol>
    </nav>
  );
}

/** A step that is looked at, not done: what it sets and why; the step in hand waits. */
export function LookAhead({ view, step, onBack }: { readonly view: JobView; readonly step: Step; readonly onBack: () => void }) {
  const { units, steps, shop, job } = view;
  const kit = job.issue?.kit ?? shop;
  const tool = kit.tools.find((t) => t.id === step.tool);
  const gauge = kit.gauges.find((g) => g.id === step.gauge);
  const { minutes } = step.figures;
  return (
    <>
      <div data-testid="look-ahead">
        <h1>
          {verbs[step.verb]} <span className="quiet said">{writeSentence(step.says, units)}</span>
        </h1>
        <div className="quiet">
          step {steps.indexOf(step) + 1} of {steps.length}, looked at only
          {tool ? `; ${tool.name}` : ''}
          {gauge ? `; ${gauge.name}` : ''}
          {minutes && (
            <>
              ; <FigureNumber figure={minutes} units={units} withUnit />
            </>
          )}
        </div>
        <Settings step={step} units={units} />
        <Why step={step} units={units} />
        {step.cautions.map((c) => (
          <div key={c} className="quiet size-16">
            △ {c}
          </div>
        ))}
      </div>
      <div className="pad">
        <Button variant="light" className="next" onClick={onBack}>
          back to the step in hand
        </Button>
      </div>
    </>
  );
}
