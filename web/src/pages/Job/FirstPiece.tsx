import { type BenchState, FIRST_CHECKED, firstToCheck } from '@obra/core/bench';
import { inspect } from '@obra/core/inspection';
import { type ReactNode, useMemo } from 'react';
import { Button } from 'react-bootstrap';
import { Link } from 'react-router';
import type { JobView } from './view';

interface Props {
  readonly view: JobView;
  readonly state: BenchState;
  /** what comes when it was looked over */
  readonly children: ReactNode;
}

/** Before the second piece is begun the first one is looked over: what is wrong with it would be wrong with all. */
export function FirstPiece({ view, state, children }: Props) {
  const { job, plan, log, shop, add, id } = view;
  const first = useMemo(() => (plan ? firstToCheck({ job, plan, log, shop }, state) : undefined), [job, plan, log, shop, state]);
  if (first === undefined || !plan) return children;
  const sizes = plan.part.characteristics.filter((c) => c.care !== 'byEye' && c.limits?.from !== 'general');
  const verdicts = inspect(plan.part, job.issue?.kit ?? shop, log).filter((v) => v.piece === first);
  const open = sizes.filter((c) => !verdicts.some((v) => v.of === c.id)).length;
  const out = verdicts.filter((v) => v.says === 'over' || v.says === 'under').length;
  return (
    <>
      <div data-testid="first-piece">
        <h1>The first piece, before the rest</h1>
        <p className="large size-30">Look it over whole: every size, its threads with their gauge, edges, and its mate where it has one.</p>
        <p className={out > 0 || open > 0 ? 'out' : 'in'}>
          {out > 0 ? `✗ ${String(out)} out of limits. ` : ''}
          {open > 0
            ? `△ ${String(open)} of ${String(sizes.length)} sizes with limits of their own are not measured.`
            : '✓ every size with limits of its own is measured.'}
        </p>
        <p className="quiet">What is wrong with it would be wrong with all {job.pieces}: stops, dial zeros and the tool are as they made it.</p>
        <Link to={`/jobs/${id}/inspection`} style={{ color: 'var(--slate-chosen)' }}>
          type its readings in Inspection
        </Link>
      </div>
      <div className="pad">
        <Button
          variant="light"
          className="next"
          data-testid="next"
          onClick={() => void add({ kind: 'note', says: FIRST_CHECKED, piece: first, step: null })}>
          It is right: go on
        </Button>
      </div>
    </>
  );
}
