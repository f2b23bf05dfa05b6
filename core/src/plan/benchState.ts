import { type Entry, type Job, liveEntries } from '../document';
import type { Limits } from '../drawing';
import type { Finding } from '../finding';
import { say } from '../quantity';
import type { Step } from '../route';
import { machineOf, mmOf } from '../shop';
import { type Advice, adviseWith } from '../sizing';
import type { Plan } from './types';

export interface BenchState {
  readonly at: { readonly piece: number; readonly step: string } | null;
  /** '<piece>/<step>' */
  readonly done: ReadonlySet<string>;
  readonly advice?: Advice;
  readonly asks: readonly Finding[];
}

/** The limits of a step that one sizes by cut, measure, cut; undefined for every other step. */
export function sizedBy(step: Step, plan: Plan): Limits | undefined {
  if (step.verb !== 'finish-turn' || step.gauge === undefined) return undefined;
  const limits = step.limits ?? plan.part.characteristics.find((c) => c.id === step.does[0])?.limits;
  const to = step.figures['to'];
  // a die wants its blank under the nominal: the step's own size stands
  return limits && to?.formula === 'toSize' ? { nominal: to.value, max: to.value + 0.02, min: to.value - 0.05, from: 'typed' } : limits;
}

/** Where the Bench stands, from the log alone: piece by piece, step by step; nothing of it is stored. */
export function benchState(job: Job, plan: Plan, log: readonly Entry[]): BenchState {
  const live = liveEntries(log);
  const done = new Set(live.flatMap((e) => ((e.kind === 'done' || e.kind === 'skipped') && e.step !== null ? [`${String(e.piece)}/${e.step}`] : [])));
  const scrapped = new Set(live.flatMap((e) => (e.kind === 'scrapped' ? [e.piece] : [])));
  const steps = plan.routes[0]?.setups.flatMap((s) => s.steps) ?? [];
  const next = plan.routes[0]?.schedule.find((line) => !scrapped.has(line.piece) && !done.has(`${String(line.piece)}/${line.step}`));
  const at = next ? { piece: next.piece, step: next.step } : null;
  const step = at ? steps.find((s) => s.id === at.step) : undefined;
  const limits = step && sizedBy(step, plan);
  if (!at || !step || !limits) return { at, done, asks: [] };
  const shop = job.issue?.kit;
  const entries = live.filter((e) => e.step === at.step && e.piece === at.piece);
  const lastGauge = entries.findLast((e) => e.kind === 'reading')?.gauge ?? step.gauge;
  const tool = shop?.tools.find((t) => t.id === step.tool);
  const advice = adviseWith(limits, entries, {
    machine: shop && machineOf(shop, job.machine),
    gauge: shop?.gauges.find((g) => g.id === lastGauge),
    material: plan.part.material,
    nose: mmOf(tool?.nose, 0.4),
    keen: tool?.grade === 'hss',
    spring: springFor(step),
  });
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
  return { at, done, advice, asks };
}

/** What the plan expects to give way for each mm that is cut: the spring of a finishing cut over its depth. */
function springFor(step: Step): number | undefined {
  const { spring, depth } = step.figures;
  return spring && depth && depth.value > 0 ? spring.value / depth.value : undefined;
}
