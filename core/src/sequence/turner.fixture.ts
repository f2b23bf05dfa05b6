/* What an old turner looks for in the order of a sheet, written from the rules of the trade and apart from how the order is made: common practice. */
import type { Part } from '../drawing';
import type { Step } from '../operations';
import type { Route } from '../planner';
import type { Setup } from '../settings';

/** 's1' of 'chamfer@s1.near:left-1'; of a groove or knurl the row that it is cut in. */
const about = (step: Step, part: Part): string => {
  const id = /@([^.:]+)/.exec(step.id)?.[1] ?? '';
  return part.details.find((d) => d.id === id)?.on ?? id;
};
const verbs = (...names: Step['verb'][]) => new Set(names);
const IN_HOLE = verbs('pilot', 'drill', 'bore', 'ream', 'tap');
const ON_OUTSIDE = verbs('rough-turn', 'finish-turn', 'thread', 'die', 'knurl', 'taper');
const LATER = verbs('chamfer', 'undercut', 'groove', 'thread', 'die', 'knurl');
const CUTS = new Set<Step['verb']>([...IN_HOLE, ...ON_OUTSIDE, ...LATER, 'neck', 'form', 'centre-drill']);

export interface Wrong {
  readonly rule: string;
  readonly first: string;
  readonly then: string;
}

/** Every pair of a setup that stands the wrong way round, by the rule that it breaks. */
export function wrongOrder(route: Route, part: Part): readonly Wrong[] {
  return route.setups.flatMap((setup) => ofSetup(setup, part));
}

function ofSetup(setup: Setup, part: Part): readonly Wrong[] {
  const { steps } = setup;
  const outside = (s: Step) => (part.features.find((f) => f.id === about(s, part))?.side ?? 'outside') === 'outside';
  const centre = setup.support.some((s) => s.kind === 'centre' || s.kind === 'followRest') || steps.some((s) => s.verb === 'support');
  const steady = setup.support.some((s) => s.kind === 'steady');
  const same = (a: Step, b: Step) => about(a, part) === about(b, part);
  const ladder: readonly Step['verb'][] = ['pilot', 'drill', 'bore', 'ream', 'tap'];
  const rules: readonly (readonly [string, (early: Step, late: Step) => boolean])[] = [
    // `true`: the late one was to come first
    ['face-first', (a, b) => CUTS.has(a.verb) && b.verb === 'face'],
    ['rough-all-first', (a, b) => (a.verb === 'finish-turn' || (LATER.has(a.verb) && outside(a))) && b.verb === 'rough-turn'],
    [
      'rough-all-first',
      (a, b) => a.verb === 'rough-turn' && b.verb === 'rough-turn' && (a.figures['to']?.value ?? 0) < (b.figures['to']?.value ?? 0) - 1e-9,
    ],
    ['hot-reads-big', (a, b) => a.verb === 'finish-turn' && b.verb === 'cool'],
    ['hot-reads-big', (a, b) => a.verb === 'cool' && b.verb === 'rough-turn'],
    ['drill-before-finish', (a, b) => !centre && !steady && a.verb === 'finish-turn' && IN_HOLE.has(b.verb) && !setup.onArbor],
    ['drill-bore-ream', (a, b) => same(a, b) && ladder.indexOf(a.verb) > ladder.indexOf(b.verb) && ladder.includes(b.verb)],
    ['major-first', (a, b) => same(a, b) && outside(a) && LATER.has(a.verb) && b.verb === 'finish-turn'],
    [
      'relief-first',
      (a, b) => same(a, b) && (a.verb === 'thread' || a.verb === 'die') && (b.verb === 'chamfer' || b.verb === 'undercut') && !b.id.includes('.far'),
    ],
    ['centre-then-support', (a, b) => !steady && ON_OUTSIDE.has(a.verb) && outside(a) && b.verb === 'support'],
    ['centre-then-support', (a, b) => !steady && a.verb === 'support' && b.verb === 'centre-drill' && about(b, part) === about(a, part)],
    ['park-the-centre', (a, b) => a.verb === 'withdraw' && ON_OUTSIDE.has(b.verb) && outside(b)],
    ['park-the-centre', (a, b) => IN_HOLE.has(a.verb) && b.verb === 'withdraw'],
    ['worn-tip', (a, b) => a.verb === 'finish-turn' && b.verb === 'index' && same(a, b)],
    ['chamfer-before-severing', (a, b) => (a.verb === 'part-off' || a.verb === 'saw-off') && CUTS.has(b.verb)],
    ['release-check', (a, b) => a.verb === 'check' && CUTS.has(b.verb)],
    ['seat-first', (a, b) => CUTS.has(a.verb) && (b.verb === 'load' || b.verb === 'turn-round')],
  ];
  return steps.flatMap((early, i) =>
    steps
      .slice(i + 1)
      .flatMap((late) => rules.filter(([, wrong]) => wrong(early, late)).map(([rule]): Wrong => ({ rule, first: early.id, then: late.id }))),
  );
}

/** Roughing that leaves under 0.25 mm on diameter to finish, or more than the 1.5 that real cuts take; by the metal that it takes, not by what it says. */
export function wrongRoughing(route: Route, part: Part): readonly string[] {
  const steps = route.setups.flatMap((s) => s.steps);
  return steps.flatMap((rough): readonly string[] => {
    if (rough.verb !== 'rough-turn' || rough.removes.length === 0) return [];
    const to = rough.figures['to']?.value ?? NaN;
    const finish = steps.find((s) => s.verb === 'finish-turn' && about(s, part) === about(rough, part))?.figures['to']?.value;
    const least = Math.min(...rough.removes.flatMap((polygon) => polygon.flatMap((ring) => Array.from(ring).filter((_, i) => i % 2 === 1))));
    const left = to - (finish ?? to);
    return [
      ...(Math.abs(2 * least - to) > 0.01 ? [`${rough.id} leaves Ø${String(2 * least)}, it says Ø${String(to)}`] : []),
      ...(finish !== undefined && !(left >= 0.25 && left <= 1.5) ? [`${rough.id} leaves ${String(left)} to finish`] : []),
    ];
  });
}
