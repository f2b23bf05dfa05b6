import { type Drawer, enters, ladderOf, type Prices, type Rung } from '@obra/core/operations';
import { drillIndex } from '@obra/core/standards';
import { report } from './report';

/* Ladders of holes: mixed holes in drawers of metric, number, letter and fraction drills. */

const prices: Prices = {
  drill: (size, _, long) => 0.8 + long / (4 * size),
  bore: (bar, from, to, out, long) => 3 + (Math.ceil((to - from) / 2 / (0.1 * bar.shank)) * long) / 40 + (out / bar.shank > 4 ? 6 : 0),
  ream: (_, long) => 2 + long / 40,
  grabs: 0,
  pilots: true,
};
const bars = [5, 8, 12, 20].map((shank) => ({ id: `bar ${String(shank)}`, shank, enters: shank / 0.7, reach: 4 * shank })).toReversed();
const reamers = [4, 6, 8, 10, 12, 16, 20].map((size) => ({ id: `reamer ${String(size)}`, size, reach: 150 }));
const drawer = (sizes: readonly number[]): Drawer => ({
  drills: sizes.toSorted((a, b) => a - b).map((size) => ({ id: `drill ${size.toFixed(3)}`, size, half: 59, reach: 40 + 6 * size })),
  bars,
  reamers,
});
const drawers: Readonly<Record<string, Drawer>> = {
  'a few metric': drawer([3.3, 4.2, 5, 6, 6.8, 8, 8.5, 10, 10.2, 12, 14, 16, 18, 20, 22, 25, 30]),
  '1 to 13 by 0.1': drawer([...Array.from({ length: 121 }, (_, i) => (10 + i) / 10), 16, 20, 25]),
  'numbers, letters, fractions': drawer([...drillIndex('number'), ...drillIndex('letter'), ...drillIndex('fraction')].map((d) => d.diameter)),
};

/** A hole of one to three rows, drawn by chance: the same for the same seed. */
function holeOf(next: () => number): readonly Rung[] {
  const count = 1 + Math.floor(3 * next());
  const sizes = Array.from({ length: count }, () => 3 + Math.round(220 * next()) / 10).toSorted((a, b) => b - a);
  let from = 0;
  return sizes.map((size, i): Rung => {
    const to = from + 4 + Math.round(20 * next());
    const wants = (['drill', 'ream', 'core', 'bore'] as const)[Math.floor(4 * next())] ?? 'drill';
    const last = i === sizes.length - 1;
    const spread = wants === 'ream' || wants === 'bore' ? 0.01 : 0.1;
    const rung: Rung = {
      row: `h${String(i)}`,
      from,
      to,
      wants,
      least: size - spread,
      most: size + spread,
      aim: size,
      narrowest: wants === 'bore' ? size - 0.8 : size + spread,
      ends: last ? (next() < 0.6 ? 'open' : next() < 0.5 ? 'flat' : 'point') : wants === 'ream' ? 'shoulder' : 'point',
      stands: 0,
      fine: spread < 0.05,
      straight: true,
      usual: size,
    };
    from = to;
    return rung;
  });
}

/** A bar in a hole that it does not enter, or a drill over what its row may be. */
const wrongIn = (rungs: readonly Rung[], of: Drawer, ladder: ReturnType<typeof ladderOf>): number =>
  ladder.moves.filter((m) => {
    const rung = rungs.find((r) => r.row === m.row);
    if (m.is === 'bore' && m.tool !== undefined)
      return !of.bars.some((b) => b.id === m.tool && enters(b, m.from + 0.3) && b.reach >= (rung?.to ?? 0));
    // a plain hole may be what the nearest drill makes of it: that is told as the wrong size
    return (
      m.is === 'drill' &&
      m.tool !== undefined &&
      !m.leads &&
      rung !== undefined &&
      rung.wants !== 'drill' &&
      rung.wants !== 'core' &&
      m.size > rung.most
    );
  }).length;

/** 400 mixed holes in three drawers, and how long 60 ladders take. */
export function ladders(): void {
  for (const [name, of] of Object.entries(drawers)) {
    let seed = 20261129;
    const next = () => (seed = (seed * 1103515245 + 12345) % 2147483648) / 2147483648;
    const holes = Array.from({ length: 400 }, () => holeOf(next));
    const took: number[] = [];
    for (let round = 0; round < 60; round++) {
      const sixty = Array.from({ length: 60 }, (_, i) => holes[(60 * round + i) % holes.length] ?? []);
      const from = performance.now();
      for (const hole of sixty) ladderOf(hole, of, prices);
      took.push(performance.now() - from);
    }
    report(`60 ladders, ${name}`, took, 20);
    const made = holes.map((hole) => ladderOf(hole, of, prices));
    const lacking = made.filter((l) => l.moves.some((m) => m.tool === undefined)).length;
    const wrong = holes.reduce((sum, hole, i) => sum + wrongIn(hole, of, made[i] ?? { moves: [], cost: 0 }), 0);
    console.log(`  ${String(of.drills.length)} drills, 400 holes: ${String(lacking)} lack something, ${String(wrong)} moves that do not go`);
  }
}
