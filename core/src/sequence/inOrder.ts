import { inCut } from '../cutting';
import type { Finding } from '../finding';
import type { At, Declared, Facts, Operation, Outcome, Step, StepCut, ToGet } from '../operations';
import { area, combine, type Region } from '../stock';
import { bestOrder, type Block, orderEdges } from './order';
import { goesOnTheBar, type SetupFacts } from './rules';

/** An order of the operations of a setting, and by which steps those were known. */
export interface KnownOrder {
  readonly keys: readonly (string | undefined)[];
  readonly order: readonly number[];
  /** by how much it may be dearer than the cheapest, minutes */
  readonly unproven: number | undefined;
}

/** What the operations of a setting come to, one after the other. */
export interface Done {
  /** as it stands after the last */
  readonly at: At;
  readonly says: readonly Finding[];
  readonly risks: readonly number[];
  readonly gets: readonly ToGet[];
  /** what each step sweeps: what it removes is cut out of the stock once the order stands */
  readonly sweeps: ReadonlyMap<string, Region>;
  readonly weakest?: NonNullable<Outcome['weakest']>;
  readonly unproven?: number;
}

/** The steps of one operation as they were made. */
type Made = readonly Step[];

/** Less than this of the section is no cut, mm2. */
const AIR = 0.002;

/**
 * The operations in the best order inside the rules, or in that which a person asked for. The order is searched on what they declare; then they are made in it. Where
 * they turn out to be other operations on the stock as it is, the order is searched anew on what they were made to, and they are made in that.
 * @param known orders found for the same operations before; what is found is put there
 */
export function inOrder(facts: Facts, begin: At, operations: readonly Operation[], known: Map<string, KnownOrder>, backEdge?: string): Done {
  const [centre, steady] = (['centre', 'steady'] as const).map((kind) => begin.support.some((s) => s.kind === kind));
  const setup: SetupFacts = { part: facts.part, centre: centre === true, steady: steady === true, ...(backEdge !== undefined && { backEdge }) };
  const key = `${begin.id} ${String(centre)} ${String(steady)} ${String(operations.length)}`;
  const orderOf = (made: readonly Made[]): KnownOrder => {
    const found = bestOf(facts, made, setup);
    known.set(key, found);
    return found;
  };
  const given = operations.map((_, i) => i);
  if (begin.bare) {
    const { made, done } = fold(facts, begin, operations, given, true);
    const { order, unproven } = orderOf(made);
    return { ...done, at: { ...done.at, steps: order.flatMap((i) => made[i] ?? []) }, ...(unproven !== undefined && { unproven }) };
  }
  const bare: At = { ...begin, bare: { earlier: [], left: Infinity } };
  const wanted = known.get(key) ?? (facts.started ? undefined : orderOf(fold(facts, bare, operations, given, true).made));
  if (wanted) {
    const { made, done } = fold(facts, begin, operations, wanted.order, false);
    if (made.every((steps, i) => steps[0]?.id === wanted.keys[i])) return withUnproven(done, wanted);
  }
  const first = fold(facts, begin, operations, given, false);
  const best = orderOf(first.made);
  return withUnproven(best.order.every((i, k) => i === k) ? first.done : fold(facts, begin, operations, best.order, false).done, best);
}

const withUnproven = (done: Done, { unproven }: KnownOrder): Done => (unproven === undefined ? done : { ...done, unproven });

/** The best order of what was made or declared; what makes no step comes last: it may still have something to say. */
function bestOf(facts: Facts, made: readonly Made[], setup: SetupFacts): KnownOrder {
  const kept = [...made.keys()].filter((i) => made[i]?.[0] !== undefined);
  const blocks: readonly Block[] = kept.map((i) => ({ key: made[i]?.[0]?.id ?? '', steps: made[i] ?? [] }));
  const here: SetupFacts = goesOnTheBar(blocks.flatMap((b) => b.steps)) ? { ...setup, onTheBar: true } : setup;
  const { order, cost, bound, proven } = bestOrder(blocks, orderEdges(blocks, here, facts.chosen.order));
  return {
    keys: made.map((steps) => steps[0]?.id),
    order: [...order.flatMap((b) => kept[b] ?? []), ...[...made.keys()].filter((i) => made[i]?.[0] === undefined)],
    unproven: proven ? undefined : cost - bound,
  };
}

/** Makes, or declares, operations one after the other, each on what the one before left. */
function fold(
  facts: Facts,
  begin: At,
  operations: readonly Operation[],
  order: readonly number[],
  declaring: boolean,
): { readonly made: readonly Made[]; readonly done: Done } {
  const made: Made[] = operations.map(() => []);
  const sweeps = new Map<string, Region>();
  const says: Finding[] = [];
  const risks: number[] = [];
  const gets: ToGet[] = [];
  let weakest: Outcome['weakest'];
  let at = begin;
  for (const i of order) {
    const operation = operations[i];
    if (!operation) continue;
    const came: Declared & Partial<Outcome> = declaring ? operation.declare(facts, at) : operation.make(facts, at);
    const before = at.steps.length;
    at = after(facts, at, came, sweeps);
    made[i] = at.steps.slice(before);
    risks.push(...came.risks);
    says.push(...(came.says ?? []));
    gets.push(...(came.gets ?? []));
    if (came.weakest && came.weakest.spring.spring.value > (weakest?.spring.spring.value ?? 0)) weakest = came.weakest;
  }
  return { made, done: { at, says, risks, gets, sweeps, ...(weakest && { weakest }) } };
}

/** How things stand after an operation. What each of its steps sweeps is noted in `sweeps`. */
function after(facts: Facts, at: At, { cuts, left }: Declared, sweeps: Map<string, Region>): At {
  const steps = [...at.steps];
  let { stock } = at;
  const kept: StepCut[] = [];
  for (const cut of cuts) {
    const stands = at.bare ? stock : clipped(facts, stock, cut, sweeps);
    if (!stands) continue;
    if (at.bare) sweeps.set(cut.step.id, cut.sweeps);
    stock = stands;
    kept.push(cut);
    steps.push({ ...cut.step, removes: [], after: stock });
  }
  return { ...at, steps, stock, wear: worn(at.wear, kept), ...(at.bare && left !== undefined && { bare: { ...at.bare, left } }) };
}

/** The stock after a cut; undefined where the piece was already started and the cut finds air. */
function clipped(facts: Facts, stock: Region, { step, sweeps, leaves, raises }: StepCut, noted: Map<string, Region>): Region | undefined {
  const swept = sweeps.length > 0 && leaves.length > 0 ? combine('difference', sweeps, leaves) : sweeps;
  const cut = swept.length > 0 ? combine('difference', stock, swept) : stock;
  // a piece already started has some of it done: nothing is cut in air
  if (facts.started && swept.length > 0 && area(stock) - area(cut) < AIR) return undefined;
  if (cut !== stock) noted.set(step.id, swept);
  return raises ? combine('union', cut, raises) : cut;
}

/** What cuts have worn of each edge: a fresh one begins anew. */
function worn(wear: At['wear'], cuts: readonly StepCut[]): At['wear'] {
  const now = new Map(wear);
  for (const { step } of cuts) {
    if (step.tool === undefined) continue;
    const life = step.figures['life']?.value;
    if (step.verb === 'index') now.set(step.tool, 0);
    else if (life !== undefined) now.set(step.tool, (now.get(step.tool) ?? 0) + inCut(step.figures) / life);
  }
  return now;
}
