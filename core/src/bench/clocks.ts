import { type Entry, liveEntries } from '../document';

/** A clock that runs, or that has run out and was not seen to. */
export interface Running {
  readonly id: string;
  readonly piece: number;
  readonly step: string | null;
  readonly says: string;
  /** ms to go; not above 0 when it is up */
  readonly left: number;
  /** the clock of the device was set back since it began: what is left is not told by it */
  readonly setBack: boolean;
}

/** What a clock that a step asks for is called in the log. */
export const WAITS = 'waits';
const MINUTE = 60_000;
/** A clock that is up is told for so long, ms: after a night it is nobody's. */
const TOLD_FOR = 6 * 60 * MINUTE;

/**
 * The clocks of a job, those that are up first: started and not taken back, of steps that are not done and pieces that are not scrapped; of one step the last. `now` in milliseconds, as `Date.now()`.
 * @param done as the Bench state has it: '<piece>/<step>'
 */
export function clocksOf(log: readonly Entry[], done: ReadonlySet<string>, now: number): readonly Running[] {
  const live = liveEntries(log);
  const scrapped = new Set(live.flatMap((e) => (e.kind === 'scrapped' ? [e.piece] : [])));
  const last = new Map<string, Running>();
  for (const e of live) {
    if (e.kind !== 'timer' || scrapped.has(e.piece)) continue;
    if (e.says === WAITS && e.step !== null && done.has(`${String(e.piece)}/${e.step}`)) continue;
    const left = Date.parse(e.until) - now;
    if (left < -TOLD_FOR) continue;
    const setBack = left > Date.parse(e.until) - Date.parse(e.at) + MINUTE;
    last.set(e.says === WAITS ? `${String(e.piece)}/${e.step ?? ''}` : e.id, { id: e.id, piece: e.piece, step: e.step, says: e.says, left, setBack });
  }
  return [...last.values()].toSorted((a, b) => a.left - b.left);
}
