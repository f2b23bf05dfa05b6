import { type Entry, liveEntries } from '../document';
import { type Step, verbs, type Verb } from '../operations';
import type { Plan } from '../planner';
import { type Figure, parseLength } from '../quantity';
import { coldBy, practice } from '../shop';
import { materialOf } from '../standards';
import type { JobRecord } from './record';
import { stepsById } from './stepsById';

/** How far each reading lay off what was foretold of it, cold, in its own deviations. */
export function promisesOf({ readings, foretold, part, gauges }: JobRecord): readonly number[] {
  const { alpha } = materialOf(part.material);
  return readings.flatMap((r) => {
    const told = foretold.get(r.id);
    const read = parseLength(r.value.text, r.value.units);
    if (!told || !(told.deviation > 0) || !read.ok) return [];
    return [
      (coldBy(
        read.value,
        r,
        gauges.find((g) => g.id === r.gauge),
        alpha,
      ) -
        told.expects) /
        told.deviation,
    ];
  });
}

/** How often what was said to come so often did come. */
export interface Calibrated {
  /** share that was said to lie within */
  readonly said: number;
  readonly came: number;
  readonly count: number;
  /** where the true share lies in 19 of 20 */
  readonly low: number;
  readonly high: number;
}

/** Shares, and the deviations about the middle that hold them. */
const SHARES: readonly (readonly [share: number, deviations: number])[] = [
  [0.5, 0.6745],
  [0.8, 1.2816],
  [0.9, 1.6449],
  [0.95, 1.96],
];

/**
 * What was foretold against what came.
 * @source interval of a share: Wilson 1927, from memory
 * @example calibration([0, 0.5, 3, -1])[0]?.came // 0.5
 */
export const calibration = (off: readonly number[]): readonly Calibrated[] =>
  off.length === 0
    ? []
    : SHARES.map(([said, deviations]) => {
        const came = off.filter((z) => Math.abs(z) <= deviations).length;
        return { said, came: came / off.length, count: off.length, ...shareIn(came, off.length) };
      });

/** Where a true share lies in 19 of 20 when so many came of so many; anywhere when none was tried. @source interval of a share: Wilson 1927, from memory */
export function shareIn(came: number, n: number): { readonly low: number; readonly high: number } {
  if (n === 0) return { low: 0, high: 1 };
  const k = 1.96;
  const share = came / n;
  const middle = (share + k ** 2 / (2 * n)) / (1 + k ** 2 / n);
  const half = (k / (1 + k ** 2 / n)) * Math.sqrt((share * (1 - share)) / n + k ** 2 / (4 * n ** 2));
  return { low: Math.max(0, middle - half), high: Math.min(1, middle + half) };
}

/** Minutes of one step as planned and as it took. */
export interface Took {
  readonly machine: string;
  readonly verb: Verb;
  readonly planned: number;
  readonly took: number;
}

/** Minutes of a step before anything was learned of them. */
const reckoned = ({ figures }: Step): Figure | undefined => figures['reckoned'] ?? figures['minutes'];

/** What each step took, from what was written down before it to its end; a pause is no work. */
export function tookIn(plan: Plan, log: readonly Entry[], machine: string): readonly Took[] {
  const steps = stepsById(plan);
  const live = liveEntries(log).toSorted((a, b) => Date.parse(a.at) - Date.parse(b.at));
  const took = new Map<string, number>();
  const out: Took[] = [];
  live.forEach((e, i) => {
    const before = live[i - 1];
    if (!before || e.step === null) return;
    const key = `${String(e.piece)}/${e.step}`;
    const minutes = (Date.parse(e.at) - Date.parse(before.at)) / 60_000;
    if (minutes > practice.pauseFrom) return;
    took.set(key, (took.get(key) ?? 0) + Math.max(0, minutes));
    const step = steps.get(e.step);
    if (e.kind === 'done' && step) out.push({ machine, verb: step.verb, planned: reckoned(step)?.value ?? 0, took: took.get(key) ?? 0 });
  });
  return out.filter((t) => t.planned > 0 && t.took > 0);
}

/** One kind of work over all records: how many steps, what they were planned at, what they took. */
export interface Pace {
  readonly verb: string;
  readonly count: number;
  readonly planned: number;
  readonly took: number;
}

/** Planned against taken by the kind of work, that with most time first. */
export function paceOf(took: readonly Took[]): readonly Pace[] {
  const of = new Map<Verb, Took[]>();
  for (const t of took) of.set(t.verb, [...(of.get(t.verb) ?? []), t]);
  const sum = (list: readonly number[]) => list.reduce((a, b) => a + b, 0);
  return [...of]
    .map(([verb, list]): Pace => ({
      verb: verbs[verb],
      count: list.length,
      planned: sum(list.map((t) => t.planned)),
      took: sum(list.map((t) => t.took)),
    }))
    .toSorted((a, b) => b.took - a.took);
}
