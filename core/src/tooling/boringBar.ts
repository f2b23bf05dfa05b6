import type { Shop, Tool } from '../document';
import { mmOf, sizeOf } from '../shop';

/** A bar may be as thick as this share of the hole that it enters. @source bar-enters, common practice: chips want room */
export const ENTERS = 0.7;

/** The stoutest bar that leaves chips their room in a hole, else the slimmest there is; mm. @source bar-enters, common practice */
export function stoutestBar(shop: Shop, hole: number): Tool | undefined {
  const shank = (t: Tool) => mmOf(t.shank, sizeOf(t, 0));
  const bars = shop.tools.filter((t) => t.kind === 'bore').toSorted((a, b) => shank(b) - shank(a));
  return bars.find((t) => shank(t) <= ENTERS * hole + 1e-6) ?? bars.at(-1);
}
