import { type Entry, type Gauge, type Job, liveEntries, type Machine, type Shop } from '../document';
import type { Characteristic, Limits, Part } from '../drawing';
import type { Step } from '../operations';
import type { Plan } from '../planner';
import type { Units } from '../quantity';
import { rowOf } from '../ref';
import { boreGaugeFor, gaugeFor, machineOf } from '../shop';
import { type Advice, leadingDigits } from '../sizing';
import { endRead, type Ends } from './bothEnds';
import { adviceAt, bothEndsAt, gaugesFor, handGauge, type Sized, sizedNow } from './sized';

type Reading = Extract<Entry, { kind: 'reading' }>;

/** A step at the Bench with the gauge in hand: what was measured, and what to do next. */
export interface AtSize {
  readonly kit: Shop;
  readonly machine: Machine | undefined;
  /** what was written down at this step for this piece and not taken back */
  readonly live: readonly Entry[];
  readonly readings: readonly Reading[];
  /** how the step is brought to size with the gauge in hand; none where it is not */
  readonly sized: Sized | undefined;
  readonly advice: Advice | undefined;
  /** where it is measured, at both ends of the cut */
  readonly ends: Ends | undefined;
  /** the gauge that it is measured with, where it can be */
  readonly inHand: string | undefined;
  /** gauges that may be taken */
  readonly gauges: readonly Gauge[];
}

/** What the Bench knows when a step stands before somebody. */
export interface Standing {
  readonly job: Job;
  readonly shop: Shop;
  readonly plan: Plan | undefined;
  readonly log: readonly Entry[];
  readonly step: Step;
  readonly piece: number;
  /** the advice by the gauge of the step, where it was worked out already */
  readonly advice: Advice | undefined;
}

/** A step as it is measured with this gauge; without one, with that of the step. */
export function atSize({ job, shop, plan, log, step, piece, advice: before }: Standing, gauge: string | undefined): AtSize {
  const kit = job.issue?.kit ?? shop;
  const machine = machineOf(kit, job.machine);
  const live = liveEntries(log).filter((e) => e.piece === piece && e.step === step.id);
  const sized = plan && sizedNow(step, plan, kit, machine, live, gauge);
  // the diameter of a step and how far its shoulder lies are two sizes
  const readings = live.flatMap((e) =>
    e.kind === 'reading' && (e.of === sized?.of || (sized?.kind !== 'depth' && !/\.(length|collar)$/.test(e.of))) ? [e] : [],
  );
  // another gauge in hand is another doubt, before anything is read with it
  const told = gauge === (readings.at(-1)?.gauge ?? step.gauge) ? before : undefined;
  const advice = plan && sized ? (told ?? adviceAt(step, sized, plan, kit, machine, live, gauge)) : undefined;
  const ends = plan && sized ? bothEndsAt(step, plan).ends : undefined;
  const inHand = sized ? handGauge(step, sized, kit, gauge)?.id : gauge;
  const inside = plan?.part.features.some((f) => f.id === rowOf(step.id) && f.side !== 'outside') === true;
  return { kit, machine, live, readings, sized, advice, ends, inHand, gauges: gaugesOf(kit, sized, step, inside) };
}

/** The gauges that this step may be measured with: those that give a number for its size; a thread's ring and nut too, inside its plug. */
function gaugesOf(kit: Shop, sized: Sized | undefined, step: Step, inside: boolean): readonly Gauge[] {
  const threads = step.verb === 'thread' || step.verb === 'die';
  // of a taper the gap between its gauge and the line is measured
  const own = sized?.standsOff ? 'depth' : sized?.kind;
  const kinds: readonly Gauge['kind'][] = threads ? (inside ? ['threadPlug'] : ['ring', 'nut', ...gaugesFor.thread]) : own ? gaugesFor[own] : [];
  return kit.gauges.filter((g) => kinds.includes(g.kind) || (g.id === step.gauge && own !== 'depth'));
}

/** What a reading typed now is of, its limits and its gauge. */
export interface ReadingOf {
  readonly of: string;
  readonly limits: Limits;
  readonly gauge: string;
}

/** What a reading typed now is of: the size picked before release, with the gauge that suits it, else the size of the step. */
export function readingAt({ kit, sized, inHand }: AtSize, part: Part, picked: Characteristic | undefined): ReadingOf | undefined {
  if (!picked?.limits) return sized && { of: sized.of, limits: sized.limits, gauge: inHand ?? 'none' };
  const { limits, of, id } = picked;
  const inside = part.features.some((f) => f.id === of && f.side !== 'outside');
  const by = (inside ? boreGaugeFor : gaugeFor)(kit, limits.nominal, limits.max - limits.min);
  return { of: id, limits, gauge: by?.id ?? 'none' };
}

/** Where a slender row is measured next: after a cut its free end first, then the other. */
export function endToRead({ live, ends }: Pick<AtSize, 'live' | 'ends'>): keyof Ends {
  const afterCut = live.slice(live.findLastIndex((e) => e.kind === 'cut') + 1);
  const isRead = (end: keyof Ends) => ends !== undefined && afterCut.some((e) => e.kind === 'reading' && endRead(e, ends) === end);
  return isRead('free') && !isRead('held') ? 'held' : 'free';
}

/** Is a reading what comes next: asked for, asked about, waited for, or wanted from a finer gauge. */
export const measuresNext = ({ sized, advice }: Pick<AtSize, 'sized' | 'advice'>): boolean =>
  sized !== undefined && (advice?.next === 'measure' || advice?.next === 'ask' || advice?.next === 'wait' || advice?.next === 'changeGauge');

/** The digits that a reading begins with, typed ahead where it is known what it will be about; '' where it is not. */
export function digitsAhead(at: Pick<AtSize, 'sized' | 'advice'>, picked: Characteristic | undefined, units: Units): string {
  if (picked?.limits) return leadingDigits((picked.limits.max + picked.limits.min) / 2, units);
  return measuresNext(at) && at.advice?.cold && !at.sized?.standsOff ? leadingDigits(at.advice.expects.value, units) : '';
}
