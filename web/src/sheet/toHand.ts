import type { Shop } from '@obra/core/document';
import type { Step } from '@obra/core/operations';

const once = (ids: readonly (string | undefined)[]) => [...new Set(ids.flatMap((id) => (id === undefined ? [] : [id])))];

/** What a thing of the shop is called, looked for in the shops in order. */
export const nameIn = (...shops: readonly Shop[]) => {
  const all = shops.flatMap((s) => [...s.holdings, ...s.tools, ...s.gauges, ...s.bars]);
  return (id: string): string => all.find((x) => x.id === id)?.name ?? id;
};

/** What some steps use, each once, in the order that they come to it; as ids. */
export const toHand = (steps: readonly Step[]) => ({ tools: once(steps.map((s) => s.tool)), gauges: once(steps.map((s) => s.gauge)) });

export const holdingsOf = (
  setups: readonly { readonly holding: string; readonly support: readonly { readonly item: string }[] }[],
): readonly string[] => once(setups.flatMap((s) => [s.holding, ...s.support.map((x) => x.item)]));
