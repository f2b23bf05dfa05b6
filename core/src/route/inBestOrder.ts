import type { HoldingChoice } from '../holding';
import type { Region } from '../stock';
import type { Context, KnownOrder, SetupDraft } from './context';
import { type Block, bestOrder, orderEdges } from './order';
import type { SetupFacts } from './rules';
import type { Step } from './types';

/** A piece of work that stays together; what it cuts depends on the stock as it finds it. */
export type Work = () => void;

/** How a setup stands between two pieces of work, so that it can be taken up again from there. */
interface Standing {
  readonly steps: number;
  readonly stock: Region;
  readonly findings: number;
  readonly toGet: number;
  readonly wear: ReadonlyMap<string, number>;
  readonly weakest: SetupDraft['weakest'];
}

const standing = (ctx: Context, draft: SetupDraft): Standing => ({
  steps: draft.steps.length,
  stock: draft.stock,
  findings: ctx.findings.length,
  toGet: ctx.toGet.length,
  wear: new Map(ctx.wear),
  weakest: draft.weakest,
});

function takeUpFrom(ctx: Context, draft: SetupDraft, at: Standing): void {
  draft.steps.length = at.steps;
  draft.stock = at.stock;
  if (at.weakest) draft.weakest = at.weakest;
  else delete draft.weakest;
  ctx.findings.length = at.findings;
  ctx.toGet.length = at.toGet;
  ctx.wear.clear();
  for (const [tool, share] of at.wear) ctx.wear.set(tool, share);
}

/** What one piece of work came to, made in the order given. */
interface Made {
  readonly work: Work;
  readonly from: Standing;
  readonly steps: readonly Step[];
}

/**
 * Makes the steps in the best order inside the rules, or in that which a person asked for. The order needs the steps and no stock: it is found with nothing clipped,
 * and the works are then made in it; where they turn out to be other works on the stock as it is, they are made as they come and again from where the order differs.
 */
export function inBestOrder(ctx: Context, draft: SetupDraft, held: HoldingChoice, works: readonly Work[], backEdge?: string): void {
  const { centre, steady } = supportsIn(held);
  const key = `${draft.id} ${String(centre)} ${String(steady !== undefined)} ${String(works.length)}`;
  const facts: SetupFacts = { part: ctx.part, centre, steady: steady !== undefined, ...(backEdge !== undefined && { backEdge }) };
  const makeAll = () =>
    works.map((work): Made => {
      const from = standing(ctx, draft);
      work();
      return { work, from, steps: draft.steps.slice(from.steps) };
    });
  if (draft.swept) {
    const { kept, order } = orderOf(ctx, draft, makeAll(), facts, key);
    draft.steps.splice(0, draft.steps.length, ...order.flatMap((b) => kept[b]?.steps ?? []));
    return;
  }
  if (!ctx.orders.has(key) && !ctx.started) {
    const begin = standing(ctx, draft);
    draft.swept = [];
    orderOf(ctx, draft, makeAll(), facts, key);
    draft.swept = undefined;
    takeUpFrom(ctx, draft, begin);
  }
  const known = ctx.orders.get(key);
  if (known && sameWorks(ctx, draft, works, known)) return;
  const made = makeAll();
  const { kept, order } = orderOf(ctx, draft, made, facts, key);
  const first = order.findIndex((b, i) => b !== i);
  const from = kept[first]?.from;
  if (!from) return;
  takeUpFrom(ctx, draft, from);
  for (const at of order.slice(first)) kept[at]?.work();
  // what makes no step may still have something to say
  for (const m of made.slice(made.findIndex((x) => x.from === from))) if (m.steps.length === 0) m.work();
}

/** The best order of what was made, remembered for the next holding of this setup. */
function orderOf(ctx: Context, draft: SetupDraft, made: readonly Made[], facts: SetupFacts, key: string) {
  const kept = made.filter((m) => m.steps.length > 0);
  const blocks: readonly Block[] = kept.map((m) => ({ key: m.steps[0]?.id ?? '', steps: m.steps }));
  const { order, cost, bound, proven } = bestOrder(blocks, orderEdges(blocks, facts, ctx.chosen.order));
  const unproven = proven ? undefined : cost - bound;
  if (unproven !== undefined) draft.unproven = unproven;
  ctx.orders.set(key, {
    keys: made.map((m) => m.steps[0]?.id),
    order: [...order.map((b) => made.findIndex((m) => m === kept[b])), ...made.flatMap((m, i) => (m.steps.length === 0 ? [i] : []))],
    unproven,
  });
  return { kept, order };
}

/** Makes the works in an order that is known; takes it all back and says no where they turn out to be other works. */
function sameWorks(ctx: Context, draft: SetupDraft, works: readonly Work[], { keys, order, unproven }: KnownOrder): boolean {
  const begin = standing(ctx, draft);
  for (const at of order) {
    const before = draft.steps.length;
    works[at]?.();
    if (draft.steps[before]?.id === keys[at]) continue;
    takeUpFrom(ctx, draft, begin);
    return false;
  }
  if (unproven !== undefined) draft.unproven = unproven;
  return true;
}

/** The support of a holding by what it does. */
export function supportsIn(held: HoldingChoice): { readonly centre: boolean; readonly steady: HoldingChoice['support'][number] | undefined } {
  return { centre: held.support.some((s) => s.kind === 'centre'), steady: held.support.find((s) => s.kind === 'steady') };
}
