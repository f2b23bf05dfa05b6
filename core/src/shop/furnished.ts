import type { Bar, Shop, Tool } from '../document';
import type { Units } from '../quantity';
import { bars, cells, slug } from './build';
import { fillTools } from './fill';
import { midShop, readoutShop } from './otherShops';
import { startingShop } from './startingShop';

/*
 * What a shop begins with: one of three lathes of invented make, the bars that usually stand in a rack beside it and the drills, taps, dies and reamers that usually lie in the
 * drawer, in its own units. All of it assumed until a person says otherwise.
 */

/** What is filled into the drawer, as it is typed in the Shop. @source common practice */
const drawers: Readonly<Record<Units, readonly string[]>> = {
  in: ['drills 1/16 to 1/2 by 1/64', 'number drills', 'taps UNC #4 to 1/2', 'dies UNC #4 to 1/2', 'reamers 1/8 to 1/2 by 1/16'],
  mm: ['drills 1 to 13 by 0.5', 'taps M3-M12', 'dies M3-M12', 'reamers 3 to 12 by 1'],
};
/** Of the number drills those that coarse and fine threads are tapped with. @source common practice */
const TAP_DRILLS: ReadonlySet<string> = new Set(['#43', '#38', '#36', '#29', '#25', '#21', '#7', '#3']);

const racks: Readonly<Record<Units, readonly (readonly Bar[])[]>> = {
  in: [
    bars(cells('in'), 'free-cutting-steel', 'free-cutting steel', ['3/8', '1/2', '5/8', '3/4', '1'], '36'),
    bars(cells('in'), 'aluminium', 'aluminium', ['1/2', '3/4', '1', '1-1/2'], '36'),
    bars(cells('in'), 'brass', 'brass', ['3/8', '1/2', '5/8', '1'], '36'),
    bars(cells('in'), 'silver-steel', 'drill rod', ['1/4', '5/16', '3/8', '1/2'], '36', 'ground'),
    bars(cells('in'), 'acetal', 'acetal', ['3/4', '1', '1-1/2', '2'], '24'),
  ],
  mm: [
    bars(cells('mm'), 'free-cutting-steel', 'free-cutting steel', [10, 12, 16, 20, 25], '1000'),
    bars(cells('mm'), 'acetal', 'acetal', [20, 30, 40, 60], '1000'),
  ],
};

/** A shop with the usual rack and drawer added; what it has stays, and nothing is in it twice. */
export function furnished(shop: Shop): Shop {
  const units: Units = shop.machines[0]?.leadscrew.units ?? 'mm';
  const tools: Tool[] = [...shop.tools];
  for (const line of drawers[units]) {
    const set = fillTools(line, units, tools);
    if (!set.ok) continue;
    for (const tool of set.value) {
      if (line === 'number drills' && !TAP_DRILLS.has(tool.size?.text ?? '')) continue;
      const id = slug(tool.name);
      if (!tools.some((t) => t.id === id)) tools.push({ ...tool, id });
    }
  }
  const lacking = racks[units].filter((rack) => !shop.bars.some((b) => b.material === rack[0]?.material));
  return { ...shop, tools, bars: [...shop.bars, ...lacking.flat()] };
}

/** Lathes to begin with, the smallest first. */
export interface Start {
  readonly id: 'small' | 'mid' | 'readout';
  readonly words: string;
  readonly units: Units;
  readonly make: () => Shop;
}

/** The three beginnings. @example starts.map((s) => s.id) // ['small', 'mid', 'readout'] */
export const starts: readonly Start[] = [
  { id: 'small', words: 'a small bench lathe, in inches', units: 'in', make: () => furnished(startingShop()) },
  { id: 'mid', words: 'a mid-size metric lathe', units: 'mm', make: () => furnished(midShop()) },
  { id: 'readout', words: 'a larger lathe with readout', units: 'mm', make: () => furnished(readoutShop()) },
];
