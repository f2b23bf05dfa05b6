import type { Finding } from '../finding';
import { type HoldingChoice, takeHolding } from '../holding';
import { figure } from '../quantity';
import { type Context, costOf, type Making, type Setup, type ToGet } from '../route';
import type { Region } from '../stock';
import type { Layout, Stage } from './layouts';

/** One setup as it was made in a holding, with what was met on the way. */
interface MadeSetup {
  readonly held: HoldingChoice;
  readonly setup: Setup;
  readonly cost: number;
  readonly findings: readonly Finding[];
  readonly toGet: readonly ToGet[];
  readonly wear: ReadonlyMap<string, number>;
  readonly ids: ReadonlyMap<string, string>;
}

export interface Found {
  readonly layout: Layout;
  readonly setups: readonly MadeSetup[];
  readonly cost: number;
  /** no way through the same choices costs less */
  readonly bound: number;
}

/** What a setup finds when it begins: the stock, and what earlier ones used up. */
interface Begins {
  readonly stock: Region;
  readonly wear: ReadonlyMap<string, number>;
  readonly ids: ReadonlyMap<string, string>;
}

const EPS = 1e-9;

/**
 * The cheapest way through layouts and, in each, the holdings of every setup: branch and bound. A setup in a holding that gives no way, slips at no speed and
 * weighs nothing is made first; its cost is below that of any real holding, so those whose weight alone passes the best are never made. What a setup costs does not
 * depend on how an earlier one was held, except through worn edges, which are counted into the bound. Rests between layouts, so that it can be gone on with or dropped.
 */
export function* search(ctx: Context, layouts: readonly Layout[]): Generator<undefined, Found | undefined> {
  let best: Found | undefined;
  let left = Infinity;
  for (const layout of layouts) {
    yield undefined;
    const own: Context = { ...ctx, chosen: layout.ctx.chosen, orders: new Map() };
    // with nothing to choose between there is nothing to bound
    const free = layouts.length > 1 || layout.stages.some((s) => openFor(ctx, s).length > 1);
    const floors = free ? floorsOf(own, layout, best?.cost ?? Infinity) : layout.stages.map(() => 0);
    const least = floors.reduce((sum, f) => sum + f, 0);
    if (best && least >= best.cost - EPS) {
      left = Math.min(left, least);
      continue;
    }
    const found = through(own, layout, floors);
    if (!found) continue;
    if (!best || found.cost < best.cost - EPS) {
      if (best) left = Math.min(left, best.bound);
      best = found;
    } else left = Math.min(left, found.bound);
  }
  return best && { ...best, bound: Math.min(best.bound, best.cost, left) };
}

/** The ways of holding that are open for a setup: a person's choice, else those that nothing forbids, else the least bad. */
export function openFor(ctx: Context, stage: Stage): readonly HoldingChoice[] {
  const choice = ctx.chosen.hold.get(stage.id);
  if (choice) {
    const taken = takeHolding(stage.options, choice);
    return taken ? [taken] : [];
  }
  const free = stage.options.filter((o) => o.findings.every((f) => f.severity !== 'stop'));
  return free.length > 0 ? free : stage.options.slice(0, 1);
}

function through(ctx: Context, layout: Layout, floors: readonly number[]): Found | undefined {
  const first = layout.stages[0];
  const firstOpen = first && openFor(ctx, first);
  if (!first || !firstOpen?.[0]) return undefined;
  const setups: MadeSetup[] = [];
  let begins: Begins | undefined;
  let loose = 0;
  for (const [i, stage] of layout.stages.entries()) {
    const open = openFor(ctx, stage);
    const weights = open.map((o) => weight(o));
    const ideal = (floors[i] ?? 0) - Math.min(...weights);
    let best: MadeSetup | undefined;
    for (const [held, w] of open.map((o, k) => [o, weights[k] ?? 0] as const).toSorted((a, b) => a[1] - b[1])) {
      if (best && w + ideal >= best.cost - EPS) break;
      const from: Begins = begins ?? beginsOf(layout, held);
      const made = makeSetup(ctx, layout, stage, held, from, setups[0]?.held.holding ?? held.holding);
      if (!best || made.cost < best.cost - EPS) best = made;
    }
    if (!best) return undefined;
    setups.push(best);
    loose += best.setup.unproven ?? 0;
    // a fresh edge may be wanted only because of how an earlier setup was held
    if (i > 0) loose += best.setup.steps.filter((s) => s.verb === 'index').reduce((sum, s) => sum + (s.figures['minutes']?.value ?? 0), 0);
    begins = { stock: best.setup.steps.at(-1)?.after ?? best.setup.before, wear: best.wear, ids: best.ids };
  }
  const cost = costOf({ setups: setups.map((m) => m.setup) }, ctx.part);
  return { layout, setups, cost, bound: cost - loose };
}

const beginsOf = (layout: Layout, held: HoldingChoice): Begins => ({
  stock: layout.blank(layout.sheetOf(held.holding)),
  wear: new Map(),
  ids: new Map(),
});

/** What a holding weighs whatever is done in it, minutes. */
const weight = (held: HoldingChoice): number => figure('cost', 'weighs', { score: held.score.value, cautions: 0, stops: 0, against: 0 }).value;

/**
 * Below what each setup can cost: made in a holding that is stiff and grips anything, with the least weight that any has. Once the sum passes what is known to be
 * had, the setups that follow count with their weight alone.
 */
function floorsOf(ctx: Context, layout: Layout, enough: number): readonly number[] {
  let begins: Begins | undefined;
  const least = layout.stages.map((stage) => Math.min(...openFor(ctx, stage).map(weight)));
  let sum = least.reduce((all, w) => all + w, 0);
  return layout.stages.map((stage, i) => {
    const [any] = openFor(ctx, stage);
    const own = least[i] ?? Infinity;
    if (!any) return Infinity;
    if (sum >= enough - EPS) return own;
    const ideal: HoldingChoice = { ...any, holding: '', support: [], score: { ...any.score, value: 1 }, findings: [] };
    const from = begins ?? beginsOf(layout, any);
    const made = makeSetup(ctx, layout, stage, ideal, { ...from, wear: new Map() }, any.holding);
    begins = { stock: made.setup.steps.at(-1)?.after ?? made.setup.before, wear: new Map(), ids: made.ids };
    // a stiffer holding may take heavier cuts, and leave the work warmer: of a wait only the hands are sure
    const waits = made.setup.steps.reduce((all, s) => all + (s.verb === 'cool' ? (s.figures['waits']?.value ?? 0) : 0), 0);
    sum += made.cost - waits;
    return made.cost - waits + own;
  });
}

/** Makes one setup in one holding, with findings, wear and names of its own. */
function makeSetup(ctx: Context, layout: Layout, stage: Stage, held: HoldingChoice, from: Begins, firstHolding: string): MadeSetup {
  const findings: Finding[] = [...stage.findings(held)];
  const own: Context = { ...ctx, findings, toGet: [], wear: new Map(from.wear) };
  const ids = new Map(from.ids);
  const making: Making = { ...layout.making, ctx: own, ids, sheet: layout.sheetOf(firstHolding) };
  const setup = stage.make(making, held, from.stock);
  return { held, setup, cost: costOf({ setups: [setup] }, ctx.part), findings, toGet: own.toGet, wear: own.wear, ids };
}
