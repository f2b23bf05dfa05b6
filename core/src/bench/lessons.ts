import { type Entry, type Job, type Lesson, liveEntries, type Shop } from '../document';
import type { Characteristic } from '../drawing';
import type { Plan } from '../planner';
import { length, say, type Sentence, tidy, writeSentence } from '../quantity';
import { machineOf } from '../shop';
import { beliefOf, comesOff, sizeNow, sizingWith, towardsOf } from '../sizing';
import { materialOf } from '../standards';
import { endRead } from './bothEnds';
import { bothEndsAt, gaugeInHand, knownAt, percent, sizedAt, springFor } from './sized';

/** One size that was brought in by cuts and readings: what it shows of the lathe and the tool. */
export interface Shown {
  readonly machine: string;
  readonly tool: string;
  /** what lathe and tool gave way for each mm that was cut, beyond what the plan foretold of the work */
  readonly spring: number;
  /** how far the last reading, cold, was off what was aimed at, mm */
  readonly off: number;
  readonly evidence: readonly string[];
  readonly of: Characteristic['id'];
}

/** Fewer cuts with a reading after them show nothing. */
const CUTS = 2;

/** What the record of a job shows of the lathe, size by size. */
export function shownIn(job: Job, plan: Plan, log: readonly Entry[]): readonly Shown[] {
  const kit = job.issue?.kit;
  const machine = kit && machineOf(kit, job.machine);
  if (!kit || !machine) return [];
  const live = liveEntries(log);
  const steps = plan.routes[0]?.setups.flatMap((s) => s.steps) ?? [];
  return steps.flatMap((step) =>
    Array.from({ length: job.pieces }, (_, i) => i + 1).flatMap((piece): Shown[] => {
      const entries = live.filter((e) => e.step === step.id && e.piece === piece);
      const gauge = gaugeInHand(step, entries);
      const sized = entries.length > CUTS ? sizedAt(step, plan, kit, machine, gauge) : undefined;
      if (!sized || sized.standsOff || step.tool === undefined) return [];
      const cuts = entries.filter((e, k) => e.kind === 'cut' && entries.slice(k + 1).some((later) => later.kind === 'reading')).length;
      if (cuts < CUTS) return [];
      // without what was learned before: a lesson is not learned twice
      const { ends } = bothEndsAt(step, plan);
      const own = ends ? entries.filter((e) => e.kind !== 'reading' || endRead(e, ends) === 'free') : entries;
      const sizing = sizingWith(sized.limits, own, knownAt(step, sized, plan, { ...kit, lessons: [] }, machine, gauge));
      const belief = beliefOf(sizing);
      const now = sizeNow(belief).mean * towardsOf(sizing);
      return [
        {
          machine: machine.id,
          tool: step.tool,
          spring: Math.max(0, comesOff(belief).spring - (springFor(step) ?? 0)),
          off: now - (sized.limits.max + sized.limits.min) / 2,
          evidence: entries.filter((e) => e.kind === 'reading').map((e) => e.id),
          of: sized.of,
        },
      ];
    }),
  );
}

/** What may be learned from several sizes, for each lathe and tool: how they give way, and how near to the middle sizes land. Proposals, until a person accepts them. */
export function lessonsOf(shown: readonly Shown[], shop: Shop, at: string): readonly Lesson[] {
  const groups = new Map<string, Shown[]>();
  for (const s of shown) {
    const key = `${s.machine} ${s.tool}`;
    groups.set(key, [...(groups.get(key) ?? []), s]);
  }
  return [...groups.values()].flatMap((of, nth): Lesson[] => {
    const [first] = of;
    if (!first) return [];
    const lesson = (kind: 'spring' | 'held', values: readonly number[]): Lesson => {
      const mean = values.reduce((sum, v) => sum + v, 0) / values.length;
      const deviation = values.length > 1 ? Math.sqrt(values.reduce((sum, v) => sum + (v - mean) ** 2, 0) / (values.length - 1)) : 0;
      const made: Lesson = {
        id: `${kind}-${String(nth)}`,
        at,
        says: '',
        evidence: [...new Set(of.flatMap((s) => s.evidence))].slice(0, 40),
        where: { machine: first.machine, tool: first.tool },
        of: kind,
        mean: tidy(mean),
        deviation: tidy(deviation),
        count: of.length,
        accepted: false,
      };
      return { ...made, says: writeSentence(lessonSaid(made, shop), 'mm') };
    };
    return [
      lesson(
        'spring',
        of.map((s) => s.spring),
      ),
      ...(of.length > 1
        ? [
            lesson(
              'held',
              of.map((s) => s.off),
            ),
          ]
        : []),
    ];
  });
}

/** Long strings that were told at a step: of which tool, in what, at which feed, mm a turn. */
export interface Strings {
  readonly tool: string;
  readonly material: string;
  readonly feed: number;
  readonly evidence: string;
}

/** Where the record of a job tells of long strings. */
export function stringsIn(plan: Plan, log: readonly Entry[]): readonly Strings[] {
  const steps = new Map(plan.routes[0]?.setups.flatMap((s) => s.steps.map((step) => [step.id, step] as const)));
  return liveEntries(log).flatMap((e): Strings[] => {
    const step = e.kind === 'symptom' && e.symptom === 'strings' && e.step !== null ? steps.get(e.step) : undefined;
    const feed = step?.figures['feed']?.value;
    return step?.tool === undefined || feed === undefined ? [] : [{ tool: step.tool, material: plan.part.material, feed, evidence: e.id }];
  });
}

/** Up to which feed a tool makes strings in a material, as far as was told. Proposals, until a person accepts them. */
export function chipLessons(told: readonly Strings[], shop: Shop, at: string): readonly Lesson[] {
  const groups = new Map<string, Strings[]>();
  for (const s of told) groups.set(`${s.tool} ${s.material}`, [...(groups.get(`${s.tool} ${s.material}`) ?? []), s]);
  return [...groups.values()].flatMap((of, nth): Lesson[] => {
    const [first] = of;
    if (!first) return [];
    const made: Lesson = {
      id: `chips-${String(nth)}`,
      at,
      says: '',
      evidence: of.map((s) => s.evidence).slice(0, 40),
      where: { tool: first.tool, material: first.material },
      of: 'chips',
      mean: tidy(Math.max(...of.map((s) => s.feed))),
      deviation: 0,
      count: of.length,
      accepted: false,
    };
    return [{ ...made, says: writeSentence(lessonSaid(made, shop), 'mm') }];
  });
}

/** A lesson in words: a spring as the share of the cut that stays on, where sizes land as a length. */
export function lessonSaid({ of, where, mean, deviation }: Pick<Lesson, 'of' | 'where' | 'mean' | 'deviation'>, shop: Shop): Sentence {
  const machine = shop.machines.find((m) => m.id === where['machine'])?.name ?? where['machine'] ?? '';
  const tool = shop.tools.find((t) => t.id === where['tool'])?.name ?? where['tool'] ?? '';
  if (of === 'chips')
    return say`${tool} makes long strings in ${materialOf(where['material'] ?? '').name} at feeds up to ${{ is: 'feed', value: mean }}`;
  return of === 'spring'
    ? say`${machine} with ${tool} gives way by ${percent(mean)} % of the cut`
    : say`${machine} with ${tool} lands ${length(Math.abs(mean), 0.001)} ${mean >= 0 ? 'over' : 'under'} the middle, give or take ${length(2 * deviation, 0.001)}`;
}

/** Two lessons of the same lathe and tool about the same thing: the later one takes the place of the earlier. */
export const sameLesson = (a: Lesson, b: Lesson): boolean =>
  a.of === b.of && (['machine', 'tool', 'material'] as const).every((key) => a.where[key] === b.where[key]);
