import { type BenchState, boardOf, madeBy } from '@obra/core/bench';
import { writeMinutes, writeSentence } from '@obra/core/quantity';
import { Button } from 'react-bootstrap';
import { sentence } from '../../slate';
import { stepSaid, type JobView } from './view';
import { scrapPiece } from '../../words/pressed';

/** A change after something was done: what it touches, at full width, with the ways on. */
export function Outdated({ view, state }: { readonly view: JobView; readonly state: BenchState }) {
  const { add, units, plan, steps, findings } = view;
  const changed = findings.find((f) => f.code === 'changed-since-issue');
  if (state.outdated.length === 0 && !changed) return null;
  const all = steps.reduce((sum, s) => sum + (s.figures['minutes']?.value ?? 0), 0);
  const costs = ({ piece, step, again }: BenchState['outdated'][number]) => {
    if (again) return `${writeMinutes(steps.find((s) => s.id === step)?.figures['minutes']?.value ?? 0)} to do it again.`;
    const spent = plan ? (boardOf({ job: view.job, plan, log: view.log, shop: view.shop }, state, 0).find((p) => p.piece === piece)?.spent ?? 0) : 0;
    return `${writeMinutes(spent)} of work is in it; another takes ${writeMinutes(all)} by the plan.`;
  };
  return (
    <section className="notice d-block" role="alert" aria-label="Changed after it was done">
      {changed && (
        <p className="mb-1 d-flex gap-2 align-items-center flex-wrap">
          <span>
            {sentence(writeSentence(changed.says, units))} {sentence(writeSentence(changed.why, units))}
          </span>
          {changed.mends.map((mend, i) => (
            <Button key={i} variant="outline-dark" onClick={() => view.open.edit(mend.edits, mend.to)}>
              {writeSentence(mend.says, units)}
            </Button>
          ))}
        </p>
      )}
      {state.outdated.map((o) => (
        <p key={`${String(o.piece)}/${o.step}`} className="mb-1 d-flex gap-2 align-items-center flex-wrap">
          <span>
            <strong>
              {o.again ? 'Open again' : 'Not possible with this piece'}: piece {o.piece}, {stepSaid(o.step, view)}.
            </strong>{' '}
            {sentence(writeSentence(o.says, units))} <span className="quiet">{costs(o)}</span>
          </span>
          {!o.again && (
            <>
              <Button
                variant="outline-dark"
                onClick={() => void add({ kind: 'scrapped', why: 'made to the drawing before its change', piece: o.piece, step: o.step })}>
                {scrapPiece(o.piece)}
              </Button>
              <Button
                variant="outline-dark"
                onClick={() => {
                  const step = steps.find((s) => s.id === o.step);
                  const made = step && plan && madeBy(step, plan);
                  void add({ kind: 'done', piece: o.piece, step: o.step, ...(made && { made }) });
                }}>
                take it as it is
              </Button>
            </>
          )}
        </p>
      ))}
    </section>
  );
}
