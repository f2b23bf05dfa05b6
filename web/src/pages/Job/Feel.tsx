import { type FitAnswer, fitFeels, furtherByFeel } from '@obra/core/bench';
import type { Entry, Gauge } from '@obra/core/document';
import type { Step } from '@obra/core/operations';
import { type Figure, write, writeExact, writeSentence } from '@obra/core/quantity';
import { rowOf, thingOf } from '@obra/core/ref';
import { machineOf } from '@obra/core/shop';
import { dialSaid } from '@obra/core/sizing';
import { Button } from 'react-bootstrap';
import { FigureNumber, sentence } from '../../slate';
import type { JobView } from './view';

/** The same words as on the inspection sheet. */
const THREADS = ['gauge goes', 'starts, tight', 'does not go'] as const;
/** A reamed hole by its plug, or by the pin that runs in it: goes, and the not-go end does not. */
const PLUG = ['gauge goes', 'not-go goes too', 'does not go'] as const;

/** What is done next for what a plug said. */
const AFTER_PLUG: Readonly<Record<string, string>> = {
  'gauge goes': 'In, by its plug.',
  'not-go goes too': 'Over its limit: no metal goes back; a larger pin, or a bush.',
  'does not go': 'Chips out, oil, and the reamer once more by hand; else a lap. A warm hole is small: let it cool first.',
};

interface Props {
  readonly view: JobView;
  readonly step: Step;
  readonly piece: number;
  readonly live: readonly Entry[];
  readonly gauge: Gauge | undefined;
  /** what follows from the last trial with its mate */
  readonly answer: FitAnswer | undefined;
  readonly onTold: (work: () => Promise<void>) => Promise<void>;
}

/** A fit by trial: what the mate or the thread's gauge feels like, and what was cut between; each press is a record. */
export function Feel({ view, step, piece, live, gauge, answer, onTold }: Props) {
  const row = rowOf(step.id);
  const mate = view.job.drawing.mates.find((m) => thingOf(m.of) === row && /^trial/i.test(m.want.text.trim()));
  // an inside thread is tried with its plug, or with what screws into it
  const inside = step.verb === 'thread' && view.part.features.some((f) => f.id === row && f.side !== 'outside');
  const thread =
    inside || ((step.verb === 'thread' || step.verb === 'die') && step.method !== 'begun' && (gauge?.kind === 'ring' || gauge?.kind === 'nut'));
  const reamed = step.verb === 'ream';
  if (!thread && !reamed && (mate === undefined || (step.verb !== 'finish-turn' && step.verb !== 'bore'))) return null;
  const of = thread ? `${row}-thread` : reamed ? `${row}-diameter` : (mate?.id ?? '');
  const told = live.filter((e) => (e.kind === 'trial' && e.mate === of) || e.kind === 'cut');
  const name = reamed
    ? 'its plug, or the pin that runs in it'
    : thread
      ? (gauge?.name ?? 'its screw or a plug')
      : mate?.piece.trim() === ''
        ? 'the mate'
        : mate?.piece;
  const kit = view.job.issue?.kit ?? view.shop;
  const machine = machineOf(kit, view.job.machine);
  const last = told.at(-1);
  const further = thread && view.plan && last?.kind === 'trial' ? furtherByFeel(step, view.plan, kit, machine, last.feel) : undefined;
  const crossUnits = machine?.dials.cross?.division.units ?? view.units;
  const dialUnits = (further && machine?.dials[further.axis]?.division.units) ?? view.units;
  const cut = (axis: 'cross' | 'compound', { value }: Figure) =>
    void onTold(() => view.add({ kind: 'cut', axis, dial: { text: writeExact(value, 'mm'), units: 'mm' }, piece, step: step.id }));
  return (
    <div className="line" role="group" aria-label={`Tried with ${name ?? ''}`}>
      <div className="quiet">
        Tried with {name}
        {!thread && mate?.want.text ? `, wanted: ${mate.want.text.replace(/^trial:?\s*/i, '')}` : ''}
        {thread || reamed ? '; wipe both, the spindle stopped' : ''}
      </div>
      <div className="d-flex gap-2 flex-wrap mt-1">
        {(thread ? THREADS : reamed ? PLUG : fitFeels).map((feel) => (
          <Button
            className="tall-48"
            key={feel}
            variant="outline-light"
            onClick={() => void onTold(() => view.add({ kind: 'trial', mate: of, feel, piece, step: step.id }))}>
            {feel}
          </Button>
        ))}
      </div>
      {reamed && last?.kind === 'trial' && (
        <div className={`mt-2 ${last.feel === 'gauge goes' ? 'in' : 'out'}`} aria-live="polite">
          {AFTER_PLUG[last.feel]}
        </div>
      )}
      {answer && !thread && (
        <div className={`mt-2 ${answer.fits ? 'in' : ''}`} data-testid="felt" aria-live="polite">
          {answer.fits ? '✓ ' : ''}
          {sentence(writeSentence(answer.says, view.units))}
          {answer.dial && (
            <div className="d-flex gap-2 align-items-center flex-wrap mt-1">
              <span className="large size-30">
                <FigureNumber figure={answer.dial} units={crossUnits} />
              </span>
              <span>
                {write(answer.dial, crossUnits).unit}, {dialSaid(answer.dial, machine, 'cross')}
              </span>
              <Button className="tall-48" variant="outline-light" onClick={() => answer.dial && cut('cross', answer.dial)}>
                cut taken
              </Button>
            </div>
          )}
        </div>
      )}
      {further && (
        <div className="d-flex gap-2 align-items-center flex-wrap mt-2">
          <span>
            one more pass, <FigureNumber figure={further.dial} units={dialUnits} /> {write(further.dial, dialUnits).unit} further{' '}
            {further.axis === 'compound' ? 'along the compound' : inside ? 'towards you' : 'in'}, {dialSaid(further.dial, machine, further.axis)};
            then try again
          </span>
          <Button className="tall-48" variant="outline-light" onClick={() => cut(further.axis, further.dial)}>
            pass taken
          </Button>
        </div>
      )}
      {told.some((e) => e.kind === 'trial') && (
        <div className="past" aria-label="tried so far">
          {told.map((e) => (e.kind === 'trial' ? e.feel : e.kind === 'cut' ? `${e.dial.text} ${e.dial.units} dialled` : '')).join(' → ')}
        </div>
      )}
    </div>
  );
}
