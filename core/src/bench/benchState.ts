import { type Entry, type Job, liveEntries } from '../document';
import type { Finding } from '../finding';
import type { Plan } from '../planner';
import { say } from '../quantity';
import { machineOf } from '../shop';
import type { Advice } from '../sizing';
import { freshFirst } from './edgeWear';
import { type Outdated, outdated } from './made';
import { adviceAt, gaugeInHand, sizedNow } from './sized';

export interface BenchState {
  readonly at: { readonly piece: number; readonly step: string } | null;
  /** '<piece>/<step>' */
  readonly done: ReadonlySet<string>;
  readonly advice?: Advice;
  /** done steps whose result is no longer what is wanted */
  readonly outdated: readonly Outdated[];
  readonly asks: readonly Finding[];
}

/**
 * Where the Bench stands, from the log alone: piece by piece, step by step; nothing of it is stored.
 * @example benchState({ ...blankJob('pin', 'mm'), drawing: { ...blankDrawing(), ...readLine('20 x 30', 'mm').value } }, plan({ ...blankJob('pin', 'mm'), drawing: { ...blankDrawing(), ...readLine('20 x 30', 'mm').value } }, midShop()), []).at.piece // 1
 */
export function benchState(job: Job, plan: Plan, log: readonly Entry[]): BenchState {
  const live = liveEntries(log);
  const scrapped = new Set(live.flatMap((e) => (e.kind === 'scrapped' ? [e.piece] : [])));
  const said = live.flatMap((e) => (e.kind === 'done' && e.step !== null && !scrapped.has(e.piece) ? [e] : []));
  const late = outdated(plan, said);
  const open = new Set(late.map((o) => `${String(o.piece)}/${o.step}`));
  const done = new Set(
    live
      .flatMap((e) => ((e.kind === 'done' || e.kind === 'skipped') && e.step !== null ? [`${String(e.piece)}/${e.step}`] : []))
      .filter((key) => !open.has(key)),
  );
  const steps = plan.routes[0]?.setups.flatMap((s) => s.steps) ?? [];
  const next = plan.routes[0]?.schedule.find((line) => !scrapped.has(line.piece) && !done.has(`${String(line.piece)}/${line.step}`));
  const at = next ? { piece: next.piece, step: next.step } : null;
  const step = at ? steps.find((s) => s.id === at.step) : undefined;
  const shop = job.issue?.kit;
  if (!at || !step || !shop) return { at, done, outdated: late, asks: [] };
  const entries = live.filter((e) => e.step === at.step && e.piece === at.piece);
  const machine = machineOf(shop, job.machine);
  const gauge = gaugeInHand(step, entries);
  const sized = sizedNow(step, plan, shop, machine, entries, gauge);
  if (!sized) return { at, done, outdated: late, asks: [] };
  const advice = freshFirst(adviceAt(step, sized, plan, shop, machine, entries, gauge), step, steps, live, entries);
  const asks: Finding[] =
    advice.next === 'ask'
      ? [
          {
            code: 'reading-cannot-be',
            about: at.step,
            severity: 'caution',
            says: advice.because[0]?.says ?? say`is this reading right?`,
            why: say`it is written down as it is; undo it and read again, or go on`,
            mends: [],
          },
        ]
      : [];
  return { at, done, outdated: late, advice, asks };
}
