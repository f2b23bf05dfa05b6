import { practice } from '../shop';
import type { Shop, Tool } from '../document';
import { mmOf, sizeOf } from '../shop';

/** The stoutest bar that leaves chips their room in a hole, else the slimmest there is; mm. @source bar-enters, common practice */
export function stoutestBar(shop: Shop, hole: number): Tool | undefined {
  const shank = (t: Tool) => mmOf(t.shank, sizeOf(t, 0));
  const bars = shop.tools.filter((t) => t.kind === 'bore').toSorted((a, b) => shank(b) - shank(a));
  return bars.find((t) => shank(t) <= practice.barEnters * hole + 1e-6) ?? bars.at(-1);
}
