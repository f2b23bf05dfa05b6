import { tidy } from '../../quantity';
import type { Drawer, Move, Prices, Rung } from './rung';
import { type KnownFinishes, leastOf, type Way, waysOf } from './ways';

/* The ladder of a hole: which drills of a drawer, how deep each, and what finishes every row of it. Diameters and depths in mm, depths from the face that is zero. */

export interface Ladder {
  /** drills from the deepest out, then what finishes, from the mouth in */
  readonly moves: readonly Move[];
  /** minutes, and what its risks are taken for */
  readonly cost: number;
}

/**
 * The cheapest ladder for all rows of a hole at once: each row's way depends only on what stands open when its first drill goes in, so the best is found exactly, row by
 * row from the deepest. @source drill-ladder, drill-bore-ream, bar-enters; common practice
 */
export function ladderOf(rungs: readonly Rung[], drawer: Drawer, prices: Prices): Ladder {
  // a bar comes in through the rows above, which are finished by then
  let above = 0;
  const rows = rungs.map((rung, i) => {
    const known: KnownFinishes = new Map();
    const mouth = rungs.slice(0, i).reduce((least, r) => Math.min(least, r.least), Infinity);
    const row = { rung, known, mouth, above, found: new Map<number, Found>() };
    above += leastOf(rung, mouth, drawer, prices, known);
    return row;
  });
  const from = (i: number, open: number): Found => {
    const row = rows[i];
    if (!row) return NOTHING;
    const before = row.found.get(open);
    if (before) return before;
    let best: Found = { cost: Infinity };
    // the widest drill is the best as a rule: what comes after it is seldom worth a look
    const ways = waysOf(row.rung, Math.max(open, row.rung.stands), row.mouth, drawer, prices, row.known);
    for (const way of ways.toReversed()) {
      if (way.cost + row.above >= best.cost) continue;
      const rest = from(i - 1, Math.max(way.opens, open));
      const cost = tidy(way.cost + rest.cost);
      if (cost < best.cost) best = { cost, way, rest };
    }
    row.found.set(open, best);
    return best;
  };
  const taken: Way[] = [];
  const best = from(rungs.length - 1, 0);
  for (let at: Found | undefined = best; at; at = at.rest) if (at.way) taken.push(at.way);
  return { moves: [...taken.flatMap((w) => w.drills()), ...taken.toReversed().flatMap((w) => w.finish)], cost: best.cost };
}

/** The best from a row outwards: its own way, and what follows. */
interface Found {
  readonly cost: number;
  readonly way?: Way;
  readonly rest?: Found;
}
const NOTHING: Found = { cost: 0 };
