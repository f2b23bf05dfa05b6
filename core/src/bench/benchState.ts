import { type Entry, type Job, liveEntries } from '../document';
import type { Finding } from '../finding';
import type { Step } from '../operations';
import type { Plan } from '../planner';
import { say } from '../quantity';
import { machineOf } from '../shop';
import type { Advice } from '../sizing';
import { freshFirst } from './edgeWear';
import { type Outdated, outdated } from './made';
import { adviceAt, gaugeInHand, sizedNow } from './sized';

/** How a person goes through the pieces, where not as planned: the piece in hand, and which of piece and step goes round first. */
export interface InHand {
  readonly piece?: number | undefined;
  readonly order?: 'piece' | 'step' | undefined;
}

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
 * Where the Bench stands, from the log alone: piece by piece, step by step; nothing of it is stored. `inHand` is what the person chose to go on with.
 * @example benchState({ ...blankJob('pin', 'mm'), drawing: { ...blankDrawing(), ...readLine('20 x 30', 'mm').value } }, plan({ ...blankJob('pin', 'mm'), drawing: { ...blankDrawing(), ...readLine('20 x 30', 'mm').value } }, midShop()), []).at.piece // 1
 */
export function benchState(job: Job, plan: Plan, log: readonly Entry[], inHand: InHand = {}): BenchState {
  const live = liveEntries(log);
  const scrapped = new Set(live.flatMap((e) => (e.kind === 'scrapped' ? [e.piece] : [])));
  const said = live.flatMap((e) => (e.kind === 'done' && e.step !== null && !scrapped.has(e.piece) ? [e] : []));
  const late = outdated(plan, said);
  const reopened = new Set(late.map((o) => `${String(o.piece)}/${o.step}`));
  const done = new Set(
    live
      .flatMap((e) => ((e.kind === 'done' || e.kind === 'skipped') && e.step !== null ? [`${String(e.piece)}/${e.step}`] : []))
      .filter((key) => !reopened.has(key)),
  );
  const steps = plan.routes[0]?.setups.flatMap((s) => s.steps) ?? [];
  const open = inOrder(plan.routes[0]?.schedule ?? [], steps, inHand.order).filter(
    (line) => !scrapped.has(line.piece) && !done.has(`${String(line.piece)}/${line.step}`),
  );
  const next = open.find((line) => line.piece === inHand.piece) ?? open[0];
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

type Schedule = Plan['routes'][number]['schedule'];

/** The lines of the schedule piece by piece, or each step on all pieces; as planned where nothing is asked. */
function inOrder(schedule: Schedule, steps: readonly Step[], order: InHand['order']): Schedule {
  if (order === undefined) return schedule;
  const place = new Map(steps.map((s, i) => [s.id, i]));
  const at = ({ step }: Schedule[number]) => place.get(step) ?? 0;
  return schedule.toSorted(order === 'piece' ? (a, b) => a.piece - b.piece || at(a) - at(b) : (a, b) => at(a) - at(b) || a.piece - b.piece);
}
