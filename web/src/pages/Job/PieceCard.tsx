import { type BenchState, FIRST_CHECKED, isOwn, minutesTaken, RELEASED, toRelease } from '@obra/core/bench';
import { liveEntries } from '@obra/core/document';
import { inspect, isGood, standsAs } from '@obra/core/inspection';
import { writeMinutes } from '@obra/core/quantity';
import { useMemo } from 'react';
import { Button } from 'react-bootstrap';
import { Link } from 'react-router';
import { useKeys } from '../../shell/keys';
import { FigureNumber } from '../../slate';
import { Back } from './Back';
import { useCard } from './useCard';
import type { JobView } from './view';
import { inByGauge, notMeasured } from '../../words/found';
import { nextSays } from '../../words/keys';

const words = { in: '✓', over: '✗ over', under: '✗ under', cannotTell: '? not told by its gauge' } as const;

/** The piece that is done and is looked over before it goes into the box; undefined while there is none. */
export function usePieceDone(view: JobView, state: BenchState | undefined): ReturnType<typeof toRelease> {
  const { job, plan, log, shop } = view;
  return useMemo(() => (plan && state ? toRelease({ job, plan, log, shop }, state) : undefined), [job, plan, log, shop, state]);
}

/** A piece as it is done: its sizes, what was kept of it, what it took; the first of several before the rest is begun. */
export function PieceCard({ view, of: { piece, first } }: { readonly view: JobView; readonly of: NonNullable<ReturnType<typeof toRelease>> }) {
  const { job, plan, log, shop, add, id, part, units } = view;
  const live = liveEntries(log);
  const own = live.filter((e) => e.piece === piece);
  const sizes = (plan?.part ?? part).characteristics.filter(isOwn);
  const verdicts = inspect(plan?.part ?? part, job.issue?.kit ?? shop, log).filter((v) => v.piece === piece);
  const lines = sizes.map((size) => {
    const verdict = verdicts.find((v) => v.of === size.id);
    const feel = own.findLast((e) => e.kind === 'trial' && e.mate === size.id.replace('.', '-'));
    return { size, verdict, feel: feel?.kind === 'trial' ? feel.feel : undefined };
  });
  const measured = (l: (typeof lines)[number]) => l.verdict !== undefined || l.feel !== undefined;
  const out = verdicts.filter((v) => v.says === 'over' || v.says === 'under').length;
  const open = lines.filter((l) => !measured(l)).length;
  const skipped = own.filter((e) => e.kind === 'skipped').length;
  const notes = own.filter((e) => e.kind === 'note' && e.says !== FIRST_CHECKED && e.says !== RELEASED).length;
  const planned = plan?.routes[0]?.cost.minutes.value ?? 0;
  const took = minutesTaken(log, piece);
  const mates = (plan?.part ?? part).features.length > 0 && job.drawing.mates.length > 0;
  const card = useCard(`released ${String(piece)} ${String(log.length)}`);
  const release = () => {
    if (!card.take()) return;
    void add({ kind: 'note', says: first ? FIRST_CHECKED : RELEASED, piece, step: null }).catch(card.giveBack);
  };
  useKeys('bench', {
    'space, pagedown': { says: nextSays, act: release },
    enter: {
      says: nextSays,
      act: (e) => (e.target instanceof HTMLButtonElement && !e.target.classList.contains('next') ? false : (release(), true)),
    },
  });
  return (
    <>
      <div className="card-now" data-testid={first ? 'first-piece' : 'piece-done'}>
        <h1>{first ? 'The first piece, before the rest' : job.pieces > 1 ? `Piece ${String(piece)} is done` : 'The piece is done'}</h1>
        {first && (
          <p className="large size-24">
            Look it over whole: every size, its threads with their gauge, edges, and its mate where it has one. What is wrong with it would be wrong
            with all {job.pieces}: stops, dial zeros and the tool are as they made it.
          </p>
        )}
        <p className={out > 0 || open > 0 ? 'out' : 'in'}>
          {out > 0 ? `✗ ${String(out)} out of limits. ` : ''}
          {open > 0
            ? `△ ${String(open)} of ${String(sizes.length)} sizes with limits of their own ${open === 1 ? 'is' : 'are'} not measured.`
            : '✓ every size with limits of its own is measured.'}
          {skipped > 0 && ` ${String(skipped)} ${skipped === 1 ? 'step was' : 'steps were'} skipped.`}
        </p>
        <table className="size-18" aria-label={`Sizes of piece ${String(piece)}`}>
          <tbody>
            {lines.map(({ size, verdict, feel }) => (
              <tr key={size.id}>
                <td className="pe-3 quiet">{size.balloon}</td>
                <td className="pe-3">{size.text ?? size.is}</td>
                <td className="pe-3">{verdict && <FigureNumber figure={verdict.value} units={units} />}</td>
                <td className={(verdict && standsAs(verdict) === 'in') || (feel !== undefined && isGood(feel)) ? 'in' : 'out'}>
                  {verdict ? (verdict.accepted ? inByGauge : words[verdict.says]) : (feel ?? notMeasured)}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
        <p className="quiet m-0 mt-2">
          {took >= 1 ? `${writeMinutes(took)} at the lathe, ` : ''}
          {writeMinutes(planned)} planned{notes > 0 ? `; ${String(notes)} ${notes === 1 ? 'note' : 'notes'} kept` : ''}
          {mates && job.pieces > 1 ? `; mark it ${String(piece)}, and its mate with it` : ''}.
        </p>
        <div className="acts">
          <Back view={view} />
          <Link className="btn btn-outline-light" to={`/jobs/${id}/inspection`}>
            type its readings in Inspection
          </Link>
        </div>
      </div>
      <div className="pad">
        <div className="notes" />
        <Button variant="light" className="next" data-testid="next" onClick={release}>
          {first ? 'It is right: go on' : job.pieces > 1 ? `Next: piece ${String(piece)} into the box` : 'Next: into the box'}
        </Button>
      </div>
    </>
  );
}
