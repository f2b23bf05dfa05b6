import { type Entry, type Job, liveEntries, type Shop } from '../document';
import type { Characteristic } from '../drawing';
import { inspect } from '../inspection';
import type { Plan } from '../planner';
import { tidy } from '../quantity';
import { practice } from '../shop';
import type { BenchState } from './benchState';

/** A piece of the job as it lies on the board. */
export interface OnBoard {
  readonly piece: number;
  /** 'ready': not begun; 'begun': some steps done; 'waits': its clock runs; 'done': all steps done */
  readonly state: 'ready' | 'begun' | 'waits' | 'done' | 'scrapped';
  /** the one in hand */
  readonly now: boolean;
  /** how many of its steps are done, and of how many */
  readonly done: number;
  readonly of: number;
  /** the setting that it is in, counted from 1; none when it is done */
  readonly setting?: number;
  /** a size of it was measured out of its limits */
  readonly out: boolean;
  /** when its clock is up */
  readonly until?: string;
  /** why it was scrapped */
  readonly why?: string;
  /** minutes of work in it, by the plan */
  readonly spent: number;
}

/** A job at the Bench: what it is planned as, what was written down, and the shop that it was given out with. */
interface AtWork {
  readonly job: Job;
  readonly plan: Plan;
  readonly log: readonly Entry[];
  readonly shop: Shop;
}

/** Every piece of a job that was given out, with its state, from the log. `now` in milliseconds, as `Date.now()`. */
export function boardOf({ job, plan, log, shop }: AtWork, state: BenchState, now: number): readonly OnBoard[] {
  const live = liveEntries(log);
  const setups = plan.routes[0]?.setups ?? [];
  const schedule = plan.routes[0]?.schedule ?? [];
  const verdicts = inspect(plan.part, job.issue?.kit ?? shop, live);
  const minutes = new Map(setups.flatMap((s) => s.steps.map((step) => [step.id, step.figures['minutes']?.value ?? 0] as const)));
  const settingOf = (step: string) => setups.findIndex((s) => s.steps.some((own) => own.id === step)) + 1;
  const pieces = [...new Set(schedule.map((line) => line.piece))].toSorted((a, b) => a - b);
  return pieces.map((piece): OnBoard => {
    const lines = schedule.filter((line) => line.piece === piece);
    const isDone = (step: string) => state.done.has(`${String(piece)}/${step}`);
    const open = lines.filter((line) => !isDone(line.step));
    const scrap = live.find((e) => e.kind === 'scrapped' && e.piece === piece);
    const timer = live.findLast((e) => e.kind === 'timer' && e.piece === piece && e.step !== null && !isDone(e.step));
    const runs = timer?.kind === 'timer' && Date.parse(timer.until) > now ? timer.until : undefined;
    const done = lines.length - open.length;
    const next = open[0];
    return {
      piece,
      state: scrap ? 'scrapped' : open.length === 0 ? 'done' : runs !== undefined ? 'waits' : done > 0 ? 'begun' : 'ready',
      now: state.at?.piece === piece,
      done,
      of: lines.length,
      ...(next && !scrap && { setting: settingOf(state.at?.piece === piece ? state.at.step : next.step) }),
      out: verdicts.some((v) => v.piece === piece && (v.says === 'over' || v.says === 'under')) && open.length === 0,
      ...(runs !== undefined && { until: runs }),
      ...(scrap?.kind === 'scrapped' && { why: scrap.why }),
      spent: tidy(lines.reduce((sum, line) => sum + (isDone(line.step) ? (minutes.get(line.step) ?? 0) : 0), 0)),
    };
  });
}

/** Which of piece and step goes round first by the plan. */
export function plannedOrder(plan: Plan): 'piece' | 'step' {
  const [first, second] = plan.routes[0]?.schedule ?? [];
  return first && second && first.piece !== second.piece ? 'step' : 'piece';
}

/** What is written down when the first piece was looked over and the rest may follow, and when another one was. */
export const FIRST_CHECKED = 'first piece checked';
export const RELEASED = 'piece released';

/**
 * The piece that was done last and waits to be looked over: the first of several before the next is begun, since what is wrong with it would be wrong with all; each later
 * one where it has sizes with limits of their own. Once another is begun it is not asked about any more.
 * @source first-piece check and release, common practice
 */
export function toRelease(work: AtWork, state: BenchState): { readonly piece: number; readonly first: boolean } | undefined {
  const { job, plan, log } = work;
  const live = liveEntries(log);
  const last = live.findLast((e) => e.step !== null && e.kind !== 'changed');
  const released = new Set(live.flatMap((e) => (e.kind === 'note' && (e.says === FIRST_CHECKED || e.says === RELEASED) ? [e.piece] : [])));
  const board = boardOf(work, state, 0);
  const done = board.filter((p) => p.state === 'done');
  const others = board.filter((p) => p.state !== 'done' && p.state !== 'scrapped');
  const next = done.find((p) => p.piece === last?.piece && !released.has(p.piece));
  if (!next) return undefined;
  if (job.pieces > 1 && released.size === 0 && done.length === 1 && others.length > 0 && others.every((p) => p.done === 0))
    return { piece: next.piece, first: true };
  return plan.part.characteristics.some(isOwn) ? { piece: next.piece, first: false } : undefined;
}

/** A size that is asked for by itself: with limits of its own, a thread, or tried in its gauge. */
export const isOwn = ({ care, limits }: Pick<Characteristic, 'care' | 'limits'>): boolean => care !== 'byEye' && limits?.from !== 'general';

/** Minutes of work in a piece as its steps were written down, pauses left out. */
export function minutesTaken(log: readonly Entry[], piece: number): number {
  const times = liveEntries(log)
    .map((e) => ({ at: Date.parse(e.at), own: e.piece === piece && e.step !== null }))
    .toSorted((a, b) => a.at - b.at);
  return times.reduce((sum, { at, own }, i) => {
    const minutes = (at - (times[i - 1]?.at ?? at)) / 60_000;
    return own && minutes <= practice.pauseFrom ? sum + minutes : sum;
  }, 0);
}
