import { alike, atLeast, atMost, fallsShort, ROUNDING } from '../quantity';
import { practice } from '../shop';
import { comesBefore, type Ordered, type OrderRule, placed, type SetupFacts } from './rules';

/** A piece of work that stays together: the steps that one maker makes. */
export interface Block {
  readonly key: string;
  readonly steps: readonly Ordered[];
}

/** Orders looked at before the best so far is taken. */
const NODES = 500;

export interface BestOrder {
  readonly order: readonly number[];
  readonly cost: number;
  /** no order costs less */
  readonly bound: number;
  readonly proven: boolean;
}

interface Edges {
  /** blocks that come before each */
  readonly hard: readonly (readonly number[])[];
  /** for each block, those that should come before it */
  readonly soft: readonly (readonly number[])[];
}

/** The hard and preferred rules between blocks, and orders that a person asked for where no hard rule forbids them. */
export function orderEdges(blocks: readonly Block[], facts: SetupFacts, asked: readonly (readonly [string, string])[]): Edges {
  const seen = blocks.map((b): Block => ({ key: b.key, steps: b.steps.map((s) => placed(s, facts.part)) }));
  const hard = blocks.map(() => [] as number[]);
  const soft = blocks.map(() => [] as number[]);
  seen.forEach((from, i) =>
    seen.forEach((to, j) => {
      if (i === j) return;
      const rule = ruleBetween(from, to, facts);
      if (rule) (rule.preferred ? soft : hard)[j]?.push(i);
    }),
  );
  for (const [a, b] of asked) {
    const [i, j] = [a, b].map((id) => blocks.findIndex((x) => x.steps.some((s) => s.id === id)));
    if (i === undefined || j === undefined || i < 0 || j < 0 || i === j || reaches(hard, j, i)) continue;
    hard[j]?.push(i);
  }
  return { hard, soft };
}

/** The first rule that puts one block before another; a hard one before a preferred. */
export function ruleBetween(from: Block, to: Block, facts: SetupFacts): OrderRule | undefined {
  let preferred: OrderRule | undefined;
  for (const a of from.steps)
    for (const b of to.steps) {
      const rule = comesBefore(a, b, facts);
      if (rule && !rule.preferred) return rule;
      preferred ??= rule;
    }
  return preferred;
}

/** `to` can only come after `from` already. */
function reaches(hard: readonly (readonly number[])[], from: number, to: number): boolean {
  const seen = new Set<number>();
  const walk = (at: number): boolean => {
    if (at === from) return true;
    if (seen.has(at)) return false;
    seen.add(at);
    return (hard[at] ?? []).some(walk);
  };
  return walk(to);
}

const firstTool = (block: Block) => block.steps.find((s) => s.tool !== undefined)?.tool;
const lastTool = (block: Block) => block.steps.findLast((s) => s.tool !== undefined)?.tool;

/** What an order costs beyond its steps: tool changes inside blocks left out, preferred rules broken. */
export function costOfOrder(order: readonly number[], blocks: readonly Block[], { soft }: Edges): number {
  let cost = 0;
  let tool: string | undefined;
  const done = new Set<number>();
  for (const at of order) {
    const block = blocks[at];
    if (!block) continue;
    cost += stepCost(at, block, tool, done, soft);
    tool = lastTool(block) ?? tool;
    done.add(at);
  }
  return cost;
}

function stepCost(at: number, block: Block, tool: string | undefined, done: ReadonlySet<number>, soft: readonly (readonly number[])[]): number {
  const wants = firstTool(block);
  const change = wants !== undefined && wants !== tool ? practice.toolChange : 0;
  return change + practice.preferredBroken * (soft[at] ?? []).filter((b) => !done.has(b)).length;
}

interface Node {
  readonly done: string;
  readonly order: readonly number[];
  readonly tool: string | undefined;
  readonly cost: number;
  readonly least: number;
}

/**
 * The order with the fewest tool changes and broken preferences inside the hard rules: A* over what is done and the tool in the post; the bound is a change
 * for every tool still to come. Of orders that cost the same, the one nearest to that of the blocks. Past a number of nodes the best found so far is taken.
 */
export function bestOrder(blocks: readonly Block[], edges: Edges): BestOrder {
  const n = blocks.length;
  const given = blocks.map((_, i) => i);
  const tools = blocks.map(firstTool);
  const ends = blocks.map(lastTool);
  const changesToCome = (done: ReadonlySet<number>, tool: string | undefined): number => {
    const wanted = new Set<string>();
    for (let i = 0; i < n; i++) {
      const t = tools[i];
      if (!done.has(i) && t !== undefined && t !== tool) wanted.add(t);
    }
    // a tool that some block ends with may be in the post without a change
    for (let i = 0; i < n; i++) if (!done.has(i) && ends[i] !== tools[i]) wanted.delete(ends[i] ?? '');
    return practice.toolChange * wanted.size;
  };
  const fallback = greedy(blocks, edges);
  const best0 = atMost(costOfOrder(given, blocks, edges), costOfOrder(fallback, blocks, edges)) && respects(given, edges) ? given : fallback;
  const ceiling = costOfOrder(best0, blocks, edges);
  const open: Node[] = [{ done: '', order: [], tool: undefined, cost: 0, least: changesToCome(new Set(), undefined) }];
  const bound = open[0]?.least ?? 0;
  if (atMost(ceiling, bound)) return { order: best0, cost: ceiling, bound: ceiling, proven: true };
  const seen = new Map<string, number>();
  let looked = 0;
  while (open.length > 0) {
    const at = pop(open);
    if (!at) break;
    if (at.order.length === n)
      return {
        order: fallsShort(at.cost, ceiling) ? at.order : best0,
        cost: Math.min(at.cost, ceiling),
        bound: Math.min(at.cost, ceiling),
        proven: true,
      };
    if (atLeast(at.least, ceiling)) return { order: best0, cost: ceiling, bound: ceiling, proven: true };
    if (++looked > NODES) return { order: best0, cost: ceiling, bound: Math.max(bound, at.least), proven: false };
    const done = new Set(at.order);
    const may = given.filter((i) => !done.has(i) && (edges.hard[i] ?? []).every((b) => done.has(b)));
    // what needs no change of tool and breaks nothing costs nothing now and never less later
    const free = may.find(
      (i) => (tools[i] ?? at.tool) === at.tool && (ends[i] ?? at.tool) === at.tool && (edges.soft[i] ?? []).every((b) => done.has(b)),
    );
    for (const i of free === undefined ? may : [free]) {
      const block = blocks[i];
      if (!block) continue;
      const cost = at.cost + stepCost(i, block, at.tool, done, edges.soft);
      const tool = ends[i] ?? at.tool;
      const now = new Set(done).add(i);
      const key = `${[...now].sort((a, b) => a - b).join(',')}|${tool ?? ''}`;
      if (atMost(seen.get(key) ?? Infinity, cost)) continue;
      seen.set(key, cost);
      push(open, { done: key, order: [...at.order, i], tool, cost, least: cost + changesToCome(now, tool) });
    }
  }
  return { order: best0, cost: ceiling, bound: ceiling, proven: true };
}

/** No hard rule is broken by an order. */
export function respects(order: readonly number[], { hard }: Edges): boolean {
  const place = new Map(order.map((b, i) => [b, i]));
  return order.every((b) => (hard[b] ?? []).every((before) => (place.get(before) ?? -1) < (place.get(b) ?? 0)));
}

/** The next block that may come: of the tool in the post where there is one, else the first. */
function greedy(blocks: readonly Block[], { hard, soft }: Edges): readonly number[] {
  const order: number[] = [];
  const done = new Set<number>();
  let tool: string | undefined;
  while (order.length < blocks.length) {
    const may = blocks.map((_, i) => i).filter((i) => !done.has(i) && (hard[i] ?? []).every((b) => done.has(b)));
    const free = may.filter((i) => (soft[i] ?? []).every((b) => done.has(b)));
    const list = free.length > 0 ? free : may;
    const next = list.find((i) => blocks[i] && firstTool(blocks[i]) === tool) ?? list[0] ?? blocks.findIndex((_, i) => !done.has(i));
    order.push(next);
    done.add(next);
    const block = blocks[next];
    tool = (block && lastTool(block)) ?? tool;
  }
  return order;
}

/* A small binary heap: least bound first; of equals the longer order, then the one begun earlier. */
const before = (a: Node, b: Node): boolean => {
  if (!alike(a.least, b.least, ROUNDING)) return a.least < b.least;
  if (a.order.length !== b.order.length) return a.order.length > b.order.length;
  for (let i = 0; i < a.order.length; i++) if (a.order[i] !== b.order[i]) return (a.order[i] ?? 0) < (b.order[i] ?? 0);
  return false;
};

function push(heap: Node[], node: Node): void {
  heap.push(node);
  let i = heap.length - 1;
  while (i > 0) {
    const up = (i - 1) >> 1;
    const [child, parent] = [heap[i], heap[up]];
    if (!child || !parent || !before(child, parent)) break;
    [heap[i], heap[up]] = [parent, child];
    i = up;
  }
}

function pop(heap: Node[]): Node | undefined {
  const [top] = heap;
  const last = heap.pop();
  if (!last || heap.length === 0) return top;
  heap[0] = last;
  let i = 0;
  for (;;) {
    const left = 2 * i + 1;
    const pick = [left, left + 1].filter((k) => k < heap.length).reduce((b, k) => (heap[b] && heap[k] && before(heap[k], heap[b]) ? k : b), i);
    if (pick === i) return top;
    const [a, b] = [heap[i], heap[pick]];
    if (!a || !b) return top;
    [heap[i], heap[pick]] = [b, a];
    i = pick;
  }
}
