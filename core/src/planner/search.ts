import type { Finding } from '../finding';
import { type HoldingChoice, takeHolding } from '../holding';
import { type Facts, riskOf } from '../operations';
import { figure, ROUNDING } from '../quantity';
import type { KnownOrder } from '../sequence';
import { type Begins, type Layout, type MadeSetting, type Stage, withRemovals } from '../settings';
import { costOf } from './cost';

/** One chucking as it was made in a holding, its settings one after the other, with what was met on the way. */
interface MadeChucking {
  readonly held: HoldingChoice;
  readonly settings: readonly MadeSetting[];
  /** what the shape of the part says of holding it so */
  readonly dangers: readonly Finding[];
  readonly ends: Begins;
  readonly unproven: number;
  readonly cost: number;
}

/** One setting of the way that was found. */
interface FoundSetting extends MadeSetting {
  readonly held: HoldingChoice;
  /** of a chucking the first of its settings says what its holding costs */
  readonly opens: boolean;
}

export interface CheapestWay {
  readonly layout: Layout;
  readonly setups: readonly FoundSetting[];
  readonly cost: number;
  /** no way through the same choices costs less */
  readonly bound: number;
}

/** A layout as far as it is known: below what each of its setups can cost, then one after the other as they come out. */
interface Way {
  readonly layout: Layout;
  readonly facts: Facts;
  /** orders found before, of the operations of each setup */
  readonly known: Map<string, KnownOrder>;
  /** what each setup weighs at least, whatever is done in it */
  readonly weights: readonly number[];
  /** below what the steps of a setup can cost */
  readonly steps: number[];
  /** how each setup begins of which that is worked out, and the next */
  readonly floorsBegin: Begins[];
  /** the same with the supports that some of its holdings bring, which want their own steps; by setup and support */
  readonly carried: Map<string, number>;
  readonly setups: MadeChucking[];
  begins?: Begins;
  /** by how much what was made may be dearer than the cheapest, minutes */
  unproven: number;
}

const whole = (w: Way): boolean => w.setups.length === w.layout.stages.length;

/** No way through this layout costs less, but for what is unproven in what was made. */
const least = (w: Way): number => w.weights.reduce((sum, own, i) => sum + (w.setups[i]?.cost ?? own + (w.steps[i] ?? 0)), 0);

/**
 * The cheapest way through layouts and, in each, the holdings of every setup: best first. The layout that may cost least is looked at one setup farther, until one
 * stands whole that costs no more than any other can. A setup in a holding that gives no way, slips at no speed and weighs nothing is made first, with nothing
 * clipped: its cost is below that of any real holding. What a setup costs does not depend on how an earlier one was held, except through worn edges, which are counted
 * into the bound. Rests between setups, so that it can be gone on with or dropped.
 */
export function* search(facts: Facts, layouts: readonly Layout[]): Generator<undefined, CheapestWay | undefined> {
  // with nothing to choose between there is nothing to bound
  const free = layouts.length > 1 || layouts.some((l) => l.stages.some((s) => openFor(facts, s).length > 1));
  const ways = layouts.map((layout): Way => {
    const weights = layout.stages.map((stage) => Math.min(...openFor(facts, stage).map((held) => weight(stage, held))));
    return {
      layout,
      facts: layout.facts,
      known: new Map(),
      weights,
      steps: free ? [] : weights.map(() => 0),
      floorsBegin: [],
      carried: new Map(),
      setups: [],
      unproven: 0,
    };
  });
  for (;;) {
    yield undefined;
    // of equals the usual one, which is named first
    const next = ways.reduce<Way | undefined>((best, w) => (best && least(best) <= least(w) + ROUNDING ? best : w), undefined);
    if (!next || least(next) === Infinity) return undefined;
    if (whole(next)) return foundIn(next, ways);
    if (next.steps.length < next.layout.stages.length) addFloor(next);
    else addSetup(next, Math.min(...ways.map((w) => (whole(w) ? least(w) : Infinity))));
  }
}

function foundIn(way: Way, ways: readonly Way[]): CheapestWay {
  const setups = way.setups.flatMap(({ held, settings, dangers }) =>
    settings.map((m, i): FoundSetting => ({
      ...m,
      held,
      opens: i === 0,
      says: i === 0 ? [...dangers, ...m.says] : m.says,
      setup: withRemovals(m.setup, m.sweeps),
    })),
  );
  const cost = costOf({ setups: setups.map((m) => m.setup) }, way.facts.part);
  return { layout: way.layout, setups, cost, bound: Math.min(cost, ...ways.map((w) => least(w) - w.unproven)) };
}

/** The ways of holding that are open for a setup: a person's choice, else those that nothing forbids, else the least bad. */
export function openFor({ chosen }: Facts, stage: Stage): readonly HoldingChoice[] {
  const choice = chosen.hold.get(stage.id);
  if (choice) {
    const taken = takeHolding(stage.options, choice);
    return taken ? [taken] : [];
  }
  const free = stage.options.filter((o) => o.findings.every((f) => f.severity !== 'stop'));
  return free.length > 0 ? free : stage.options.slice(0, 1);
}

/** The next setup of a way in the cheapest of its holdings; those with which it would cost more than a way that is had already are not made. */
function addSetup(way: Way, had: number): void {
  const { layout, facts, setups } = way;
  const i = setups.length;
  const stage = layout.stages[i];
  if (!stage) return;
  const open = openFor(facts, stage).map((held) => [held, weight(stage, held)] as const);
  const ideal = way.steps[i] ?? 0;
  const others = least(way) - (way.weights[i] ?? 0) - ideal;
  let best: MadeChucking | undefined;
  for (const [held, w] of open.toSorted((a, b) => a[1] - b[1])) {
    const tooDear = (steps: number) => best !== undefined && (w + steps >= best.cost - ROUNDING || others + w + steps >= had - ROUNDING);
    if (tooDear(ideal)) break;
    if (best && held.support.length > 0 && tooDear(carriedFloor(way, stage, i, held))) continue;
    const made = makeSetup(way, stage, held, way.begins ?? beginsOf(layout, held), setups[0]?.held.holding ?? held.holding);
    if (!best || made.cost < best.cost - ROUNDING) best = made;
  }
  if (!best) return;
  setups.push(best);
  way.unproven += best.unproven;
  // a fresh edge may be wanted only because of how an earlier setup was held
  if (i > 0)
    way.unproven += stepsOf(best)
      .filter((s) => s.verb === 'index')
      .reduce((sum, s) => sum + (s.figures['minutes']?.value ?? 0), 0);
  way.begins = best.ends;
}

const beginsOf = (layout: Layout, held: HoldingChoice): Begins => ({
  stock: layout.blank(layout.sheetOf(held.holding)),
  wear: new Map(),
  taken: new Set(),
});

/** What a holding weighs and asks at least whatever is done in it, minutes. */
const weight = (stage: Stage, held: HoldingChoice): number =>
  figure('cost', 'weighs', { score: held.score.value, risks: [], against: 0 }).value + (stage.more?.(held) ?? 0);

/** Below what the steps of the next setup can cost: made in a holding that is stiff and grips anything. */
function addFloor(way: Way): void {
  const { layout, facts, steps, floorsBegin } = way;
  const stage = layout.stages[steps.length];
  const [any] = stage ? openFor(facts, stage) : [];
  if (!stage || !any) {
    steps.push(Infinity);
    return;
  }
  const from = floorsBegin[steps.length] ?? { ...beginsOf(layout, any), ...(!facts.started && { earlier: [] }) };
  const made = makeSetup(way, stage, { ...idealOf(any), support: [] }, from, any.holding);
  floorsBegin[steps.length] = from;
  floorsBegin.push({ ...made.ends, wear: new Map() });
  steps.push(sureOf(made));
}

/** The same where what supports it is brought as in `held`. */
function carriedFloor(way: Way, stage: Stage, i: number, held: HoldingChoice): number {
  const { carried, floorsBegin, setups } = way;
  const from = floorsBegin[i];
  if (!from) return 0;
  const key = `${String(i)} ${held.support.map((s) => s.item).join(' ')}`;
  const known = carried.get(key);
  if (known !== undefined) return known;
  const floor = sureOf(makeSetup(way, stage, idealOf(held), from, setups[0]?.held.holding ?? held.holding));
  carried.set(key, floor);
  return floor;
}

const idealOf = (held: HoldingChoice): HoldingChoice => ({ ...held, holding: '', score: { ...held.score, value: 1 }, findings: [] });

/** What is sure of a setup made in an ideal holding: a stiffer holding may take heavier cuts, and leave the work warmer; of a wait only the hands are sure. */
const sureOf = (made: MadeChucking): number =>
  made.cost - stepsOf(made).reduce((all, s) => all + (s.verb === 'cool' ? (s.figures['waits']?.value ?? 0) : 0), 0) - made.unproven;

const stepsOf = ({ settings }: MadeChucking) => settings.flatMap((m) => m.setup.steps);

/** Makes what is done in one holding. */
function makeSetup({ layout, facts, known }: Way, stage: Stage, held: HoldingChoice, begins: Begins, firstHolding: string): MadeChucking {
  const dangers = stage.dangers(held);
  const sheet = layout.sheetOf(firstHolding);
  const settings = stage.make({ ...layout.making, facts, known, begins, sheet, risks: dangers.flatMap(riskOf) }, held);
  return {
    held,
    settings,
    dangers,
    ends: settings.at(-1)?.ends ?? begins,
    unproven: settings.reduce((sum, m) => sum + (m.setup.unproven ?? 0), 0),
    cost: costOf({ setups: settings.map((m) => m.setup) }, facts.part),
  };
}
