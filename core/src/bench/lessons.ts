import { type Entry, type Job, type Lesson, liveEntries, type Shop } from '../document';
import type { Characteristic } from '../drawing';
import { type Verb, verbs } from '../operations';
import type { Plan } from '../planner';
import { cuttingSpeed, length, say, type Sentence, tidy, writeSentence } from '../quantity';
import { machineOf } from '../shop';
import { beliefOf, comesOff, sizeNow, sizingWith, towardsOf } from '../sizing';
import { materialOf } from '../standards';
import { endRead } from './bothEnds';
import type { Took } from './calibration';
import { bothEndsAt, gaugeInHand, knownAt, percent, sizedAt, springFor } from './sized';
import { stepsById } from './stepsById';

/** One size that was brought in by cuts and readings: what it shows of the lathe and the tool. */
export interface Shown {
  readonly machine: string;
  readonly tool: string;
  readonly holding: string;
  readonly material: string;
  /** the limits that it was brought to stand so far apart, mm */
  readonly tolerance: number;
  /** its last reading, cold, lies within them */
  readonly landed: boolean;
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
          holding: plan.routes[0]?.setups.find((s) => s.steps.some((own) => own.id === step.id))?.holding ?? '',
          material: plan.part.material,
          tolerance: tidy(sized.limits.max - sized.limits.min),
          landed: now <= sized.limits.max && now >= sized.limits.min,
          spring: Math.max(0, comesOff(belief).spring - (springFor(step) ?? 0)),
          off: now - (sized.limits.max + sized.limits.min) / 2,
          evidence: entries.filter((e) => e.kind === 'reading').map((e) => e.id),
          of: sized.of,
        },
      ];
    }),
  );
}

/** Lots of what is alike by some keys, in the order that they came. */
export const alikeBy = <T>(all: readonly T[], key: (one: T) => string): readonly (readonly [T, ...T[]])[] => {
  const groups = new Map<string, [T, ...T[]]>();
  for (const one of all) {
    const group = groups.get(key(one));
    if (group) group.push(one);
    else groups.set(key(one), [one]);
  }
  return [...groups.values()];
};

/**
 * What may be learned from several sizes: how lathe and tool give way in a material, how near to the middle sizes land with a tool and in a holding. Proposals, until a
 * person accepts them.
 */
export function lessonsOf(shown: readonly Shown[], shop: Shop, at: string): readonly Lesson[] {
  const lesson = (id: string, of: readonly Shown[], kind: 'spring' | 'held', where: Lesson['where'], values: readonly number[]): Lesson => {
    const { mean, deviation } = spreadOf(values);
    const made: Lesson = {
      id,
      at,
      says: '',
      evidence: [...new Set(of.flatMap((s) => s.evidence))].slice(0, 40),
      where,
      of: kind,
      mean: tidy(mean),
      deviation: tidy(deviation),
      count: of.length,
      accepted: false,
    };
    return { ...made, says: writeSentence(lessonSaid(made, shop), 'mm') };
  };
  const springs = alikeBy(shown, (s) => `${s.machine} ${s.tool} ${s.material}`).map((of, nth) =>
    lesson(
      `spring-${String(nth)}`,
      of,
      'spring',
      { machine: of[0].machine, tool: of[0].tool, material: of[0].material },
      of.map((s) => s.spring),
    ),
  );
  const held = (key: 'tool' | 'holding') =>
    alikeBy(shown, (s) => `${s.machine} ${s[key]}`).flatMap((of, nth) =>
      of.length > 1 && of[0][key] !== ''
        ? [
            lesson(
              `held-${key}-${String(nth)}`,
              of,
              'held',
              { machine: of[0].machine, [key]: of[0][key] },
              of.map((s) => s.off),
            ),
          ]
        : [],
    );
  return [...springs, ...held('tool'), ...held('holding')];
}

/** Mean and one standard deviation. */
export function spreadOf(values: readonly number[]): { readonly mean: number; readonly deviation: number } {
  const mean = values.reduce((sum, v) => sum + v, 0) / values.length;
  return { mean, deviation: values.length > 1 ? Math.sqrt(values.reduce((sum, v) => sum + (v - mean) ** 2, 0) / (values.length - 1)) : 0 };
}

/** Fewer steps of a kind show nothing of how long they take, and less than this from what was reckoned is not worth telling. */
const [STEPS, APART] = [5, 0.1];

/** How long a kind of work takes on a lathe against what was reckoned. Proposals, until a person accepts them. */
export function minuteLessons(took: readonly Took[], shop: Shop, at: string): readonly Lesson[] {
  return alikeBy(took, (t) => `${t.machine} ${t.verb}`).flatMap((of, nth): Lesson[] => {
    const sum = (pick: (t: Took) => number) => of.reduce((all, t) => all + pick(t), 0);
    const mean = sum((t) => t.took) / sum((t) => t.planned);
    if (of.length < STEPS || Math.abs(mean - 1) < APART) return [];
    const made: Lesson = {
      id: `minutes-${String(nth)}`,
      at,
      says: '',
      evidence: [],
      where: { machine: of[0].machine, verb: of[0].verb },
      of: 'minutes',
      mean: tidy(Math.round(100 * mean) / 100),
      deviation: tidy(spreadOf(of.map((t) => t.took / t.planned)).deviation),
      count: of.length,
      accepted: false,
    };
    return [{ ...made, says: writeSentence(lessonSaid(made, shop), 'mm') }];
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
  const steps = stepsById(plan);
  return liveEntries(log).flatMap((e): Strings[] => {
    const step = e.kind === 'symptom' && e.symptom === 'strings' && e.step !== null ? steps.get(e.step) : undefined;
    const feed = step?.figures['feed']?.value;
    return step?.tool === undefined || feed === undefined ? [] : [{ tool: step.tool, material: plan.part.material, feed, evidence: e.id }];
  });
}

/** Up to which feed a tool makes strings in a material, as far as was told. Proposals, until a person accepts them. */
export function chipLessons(told: readonly Strings[], shop: Shop, at: string): readonly Lesson[] {
  return alikeBy(told, (s) => `${s.tool} ${s.material}`).map((of, nth): Lesson => {
    const [first] = of;
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
    return { ...made, says: writeSentence(lessonSaid(made, shop), 'mm') };
  });
}

/** Chatter that was told at a step: of which lathe and tool, in what, at which cutting speed, m/min, and what was done. */
export interface Chattered {
  readonly machine: string;
  readonly tool: string;
  readonly material: string;
  readonly surface: number;
  /** the remedy that helped, as an id; none where nothing did, or it was not said */
  readonly helped?: string;
  readonly evidence: string;
}

/** Where the record of a job tells of chatter. */
export function chatterIn(plan: Plan, log: readonly Entry[], machine: string): readonly Chattered[] {
  const steps = stepsById(plan);
  return liveEntries(log).flatMap((e): Chattered[] => {
    if (e.kind !== 'symptom' || e.symptom !== 'chatter' || e.step === null) return [];
    const step = steps.get(e.step);
    const surface = step?.figures['surface']?.value;
    if (step?.tool === undefined || surface === undefined) return [];
    return [
      {
        machine,
        tool: step.tool,
        material: plan.part.material,
        surface,
        evidence: e.id,
        ...(e.helped === true && { helped: e.remedy.replaceAll(' ', '-') }),
      },
    ];
  });
}

/** From which cutting speed on a tool chattered in a material on a lathe, as far as was told, and what helped most often. Proposals, until a person accepts them. */
export function chatterLessons(told: readonly Chattered[], shop: Shop, at: string): readonly Lesson[] {
  return alikeBy(told, (c) => `${c.machine} ${c.tool} ${c.material}`).map((of, nth): Lesson => {
    const [{ machine, tool, material }] = of;
    const [most] = alikeBy(
      of.flatMap((c) => c.helped ?? []),
      (helped) => helped,
    ).toSorted((a, b) => b.length - a.length);
    const made: Lesson = {
      id: `chatter-${String(nth)}`,
      at,
      says: '',
      evidence: of.map((c) => c.evidence).slice(0, 40),
      where: { machine, tool, material, ...(most && { helped: most[0] }) },
      of: 'chatter',
      mean: tidy(Math.round(Math.min(...of.map((c) => c.surface)))),
      deviation: 0,
      count: of.length,
      accepted: false,
    };
    return { ...made, says: writeSentence(lessonSaid(made, shop), 'mm') };
  });
}

/** A lesson in words: a spring as the share of the cut that stays on, where sizes land as a length. */
export function lessonSaid({ of, where, mean, deviation }: Pick<Lesson, 'of' | 'where' | 'mean' | 'deviation'>, shop: Shop): Sentence {
  const machine = shop.machines.find((m) => m.id === where['machine'])?.name ?? where['machine'] ?? '';
  const tool = shop.tools.find((t) => t.id === where['tool'])?.name ?? where['tool'] ?? '';
  if (of === 'chips')
    return say`${tool} makes long strings in ${materialOf(where['material'] ?? '').name} at feeds up to ${{ is: 'feed', value: mean }}`;
  if (of === 'chatter') {
    const helped = where['helped'];
    return say`${tool} in ${materialOf(where['material'] ?? '').name} chattered on ${machine} from ${cuttingSpeed(mean)} up${helped === undefined ? '' : `; what helped: ${helped.replaceAll('-', ' ')}`}`;
  }
  if (of === 'minutes')
    return say`${verbs[(where['verb'] ?? '') as Verb]} on ${machine} takes ${{ is: 'ratio', value: mean, step: 0.01 }} times as long as reckoned`;
  if (of === 'spring')
    return where['material'] === undefined
      ? say`${machine} with ${tool} gives way by ${percent(mean)} % of the cut`
      : say`${machine} with ${tool} in ${materialOf(where['material']).name} gives way by ${percent(mean)} % of the cut`;
  const by = where['holding'] === undefined ? tool : (shop.holdings.find((h) => h.id === where['holding'])?.name ?? where['holding']);
  return say`${machine} with ${by} lands ${length(Math.abs(mean), 0.001)} ${mean >= 0 ? 'over' : 'under'} the middle, give or take ${length(2 * deviation, 0.001)}`;
}

/** Lessons that were kept and speak of a lathe, and of a holding of it. */
export const lessonsAbout = (shop: Pick<Shop, 'lessons'>, machine: string | undefined, holding: string | undefined): readonly Lesson[] =>
  shop.lessons.filter(
    (l) => l.accepted && l.where['machine'] === machine && (l.where['holding'] === undefined ? l.of === 'minutes' : l.where['holding'] === holding),
  );

/** Two lessons of the same lathe and tool about the same thing: the later one takes the place of the earlier. */
export const sameLesson = (a: Lesson, b: Lesson): boolean =>
  a.of === b.of && (['machine', 'tool', 'holding', 'material', 'verb'] as const).every((key) => a.where[key] === b.where[key]);
