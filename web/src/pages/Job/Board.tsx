import { boardOf, type BenchState, type InHand, type OnBoard, plannedOrder } from '@obra/core/bench';
import { useMemo } from 'react';
import { Button } from 'react-bootstrap';
import { useNow } from './AfterBreak';
import type { JobView } from './view';

interface Props {
  readonly view: JobView;
  readonly state: BenchState;
  readonly inHand: InHand;
  readonly onInHand: (to: InHand) => void;
}

/** One disc a piece: tapped, it is the piece in hand. */
export function Board({ view, state, inHand, onInHand }: Props) {
  const { job, plan, log, shop } = view;
  const now = useNow();
  const pieces = useMemo(() => (plan ? boardOf({ job, plan, log, shop }, state, now) : []), [job, plan, log, shop, state, now]);
  if (!plan || pieces.length < 2) return null;
  const order = inHand.order ?? plannedOrder(plan);
  return (
    <section className="board" aria-label="The pieces">
      <div className="discs">
        {pieces.map((one) => (
          <button
            key={one.piece}
            type="button"
            className={`disc ${one.state} ${one.now ? 'now' : ''} ${one.out ? 'past' : ''}`}
            aria-label={`piece ${String(one.piece)}: ${said(one)}`}
            aria-current={one.now ? 'true' : undefined}
            title={said(one)}
            disabled={one.state === 'done' || one.state === 'scrapped'}
            onClick={() => onInHand({ ...inHand, piece: one.piece })}>
            <svg viewBox="0 0 44 44" aria-hidden>
              <circle cx="22" cy="22" r="19" className="way" />
              <circle cx="22" cy="22" r="19" className="made" pathLength={1} strokeDasharray={`${String(one.of > 0 ? one.done / one.of : 0)} 1`} />
            </svg>
            <span>{mark(one)}</span>
          </button>
        ))}
      </div>
      <div className="d-flex gap-1 flex-wrap" role="group" aria-label="The way through the pieces">
        {(
          [
            ['piece', 'by piece', 'one piece right through'],
            ['step', 'step on all', 'this step on all pieces'],
          ] as const
        ).map(([key, words, whole]) => (
          <Button
            key={key}
            variant={order === key ? 'light' : 'outline-light'}
            aria-pressed={order === key}
            title={whole}
            onClick={() => onInHand(key === 'piece' ? { order: key, ...(state.at && { piece: state.at.piece }) } : { order: key })}>
            {words}
          </Button>
        ))}
      </div>
    </section>
  );
}

/** In the disc: its number, or how it ended. */
const mark = ({ piece, state, out }: OnBoard): string =>
  state === 'scrapped'
    ? `${String(piece)}∕`
    : state === 'done'
      ? `${String(piece)}${out ? '✗' : '✓'}`
      : state === 'waits'
        ? `${String(piece)}…`
        : String(piece);

function said({ state, setting, done, of, out, until, why }: OnBoard): string {
  if (state === 'scrapped') return `scrapped${why === undefined || why === '' ? '' : `: ${why}`}`;
  if (state === 'done') return out ? 'done, a size is out of its limits' : 'done';
  const where = `setting ${String(setting ?? 1)}, ${String(done)} of ${String(of)} steps done`;
  if (until !== undefined) return `waits until ${new Date(until).toLocaleTimeString([], { hour: '2-digit', minute: '2-digit' })}, ${where}`;
  return state === 'ready' ? 'not begun' : where;
}
