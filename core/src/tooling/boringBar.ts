import { atMost, PLACE } from '../quantity';
import type { Shop, Tool } from '../document';
import { mmOf, practice, sizeOf } from '../shop';

/**
 * The stoutest bar that leaves chips their room in a hole, else the slimmest there is; mm. @source bar-enters, common practice
 * @example stoutestBar({ tools: [] }, 20) // undefined
 */
export function stoutestBar(shop: Shop, hole: number): Tool | undefined {
  const shank = (t: Tool) => mmOf(t.shank, sizeOf(t, 0));
  const bars = shop.tools.filter((t) => t.kind === 'bore').toSorted((a, b) => shank(b) - shank(a));
  return bars.find((t) => atMost(shank(t), practice.barEnters * hole, PLACE)) ?? bars.at(-1);
}
