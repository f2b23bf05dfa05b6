/* The ladder of a hole: exact against enumeration, and by what a turner asks of it. The rules are common practice: drill-ladder, drill-cuts-over, bar-enters, drill-bore-ream. */
import fc from 'fast-check';
import { ladderOf } from './ladder';
import { type BarAt, coneOf, depthIn, type DrillAt, type Drawer, leftToReam, madeBy, type Move, type Prices, type Rung } from './rung';
import { waysOf } from './ways';

const drill = (size: number, reach = 120, half = 59): DrillAt => ({ id: `d${String(size)}${half >= 90 ? 'flat' : ''}`, size, half, reach });
const bar = (shank: number, reach = 4 * shank): BarAt => ({ id: `b${String(shank)}`, shank, enters: shank / 0.7, reach });
const reamer = (size: number, reach = 150) => ({ id: `r${String(size)}`, size, reach });
const drawer = (drills: readonly DrillAt[], bars: readonly BarAt[] = [], reamers: Drawer['reamers'] = []): Drawer => ({
  drills: drills.toSorted((a, b) => a.size - b.size),
  bars: bars.toSorted((a, b) => b.shank - a.shank),
  reamers,
});
const prices: Prices = {
  drill: (size, before, long) => 1 + (long * (size - before / 2)) / 400,
  bore: ({ shank }, from, to, out, long) => 2 + ((to - from) / Math.max(0.2, shank / 10 - out / 100)) * (0.3 + long / 100),
  ream: (_, long) => 1.5 + long / 60,
  grabs: 0,
  pilots: true,
};
const rung = (more: Partial<Rung> & Pick<Rung, 'to' | 'aim' | 'wants'>): Rung => ({
  row: 'h',
  from: 0,
  least: more.aim - 0.1,
  most: more.aim + 0.1,
  narrowest: more.wants === 'bore' ? more.aim - 0.9 : more.aim + 0.1,
  ends: 'open',
  stands: 0,
  fine: false,
  straight: true,
  ...more,
});
const drills = (moves: readonly Move[]) => moves.flatMap((m) => (m.is === 'drill' ? [m] : []));
const kinds = (moves: readonly Move[]) => moves.map((m) => (m.is === 'drill' ? `${String(m.size)}${m.leads ? ` ${m.leads}` : ''}` : m.is)).join(', ');

describe('what a turner would take', () => {
  const all = drawer(
    [3, 4, 5, 5.8, 6, 7.7, 8, 9.5, 9.7, 10, 11.7, 12, 14, 16, 20, 25].map((d) => drill(d)),
    [bar(8), bar(12), bar(20, 100)],
    [reamer(6), reamer(8), reamer(12)],
  );

  it('a plain hole by its own drill, one over 12 by a pilot about as thick as its web', () => {
    expect(kinds(ladderOf([rung({ wants: 'drill', to: 20, aim: 10 })], all, prices).moves)).toBe('10');
    // 0.15 to 0.25 of 20 is 3 to 5
    expect(kinds(ladderOf([rung({ wants: 'drill', to: 20, aim: 20 })], all, prices).moves)).toBe('3 pilot, 20');
  });

  it('a size of 0.03 by a drill that has a few tenths to take; out of the solid it cuts over', () => {
    const fine = rung({ wants: 'drill', to: 25, aim: 10.015, least: 10, most: 10.03, narrowest: 10.03, fine: true });
    expect(kinds(ladderOf([fine], all, prices).moves)).toMatch(/^9\.[57] step, 10$/);
    expect(kinds(ladderOf([{ ...fine, to: 18 }], drawer([drill(8), drill(10)], [bar(5)]), prices).moves)).toBe('8, bore');
  });

  it('two reamed sizes in line: each reamer its few tenths, the larger first, no cone beyond its shoulder', () => {
    const rungs = [
      rung({ row: 'a', wants: 'ream', to: 62, aim: 8.007, least: 8, most: 8.015, narrowest: 8.015, ends: 'shoulder', fine: true }),
      rung({ row: 'b', wants: 'ream', from: 62, to: 80, aim: 6.006, least: 6, most: 6.012, narrowest: 6.012, fine: true }),
    ];
    const { moves } = ladderOf(rungs, all, prices);
    expect(kinds(moves)).toBe('5.8, 7.7, ream, ream');
    const [, second] = drills(moves);
    expect((second?.depth ?? 99) + coneOf(drill(7.7), 5.8)).toBeLessThanOrEqual(62 + 1e-9);
    expect(moves.filter((m) => m.is === 'ream').map((m) => m.row)).toEqual(['a', 'b']);
  });

  it('a flat recess: a drill that lets a stout bar in, short of the floor by its cone', () => {
    const { moves } = ladderOf(
      [
        rung({ row: 'a', wants: 'bore', to: 8, aim: 40, narrowest: 39, ends: 'flat', fine: true }),
        rung({ row: 'b', wants: 'drill', from: 8, to: 12, aim: 14 }),
      ],
      all,
      prices,
    );
    const cut = moves.find((m) => m.is === 'bore');
    const widest = drills(moves).at(-1);
    expect(cut?.tool).toBe('b12');
    expect(0.7 * (widest?.size ?? 0)).toBeGreaterThanOrEqual(12 - 1e-9);
    expect((widest?.depth ?? 99) + coneOf(drill(widest?.size ?? 0), 14)).toBeLessThan(8);
  });

  it('what is there already is opened, never made smaller, and no bar goes where it does not reach', () => {
    const bored = rung({ wants: 'bore', to: 60, aim: 20, least: 20, most: 20.02, narrowest: 19, stands: 16, fine: true });
    expect(kinds(ladderOf([bored], drawer([], [bar(8, 32), bar(10, 64)]), prices).moves)).toBe('bore');
    expect(ladderOf([bored], drawer([], [bar(8, 32), bar(10, 64)]), prices).moves[0]?.tool).toBe('b10');
    expect(ladderOf([bored], drawer([], [bar(8, 32)]), prices).moves[0]?.tool).toBeUndefined();
    expect(ladderOf([{ ...bored, stands: 20.01 }], all, prices).moves).toEqual([]);
  });

  it('where the drawer lacks the one drill that a reamer wants, that one is named, and the reamer still has its own work', () => {
    const { moves } = ladderOf(
      [rung({ wants: 'ream', to: 30, aim: 16.009, least: 16, most: 16.018, narrowest: 16.018, fine: true, usual: 15.6 })],
      drawer([drill(5), drill(14)], [], [reamer(16)]),
      prices,
    );
    const lacking = drills(moves).at(-1);
    expect([lacking?.tool, lacking?.size]).toEqual([undefined, 15.6]);
    const last = moves.at(-1);
    expect(last?.is === 'ream' && last.left).toBeLessThanOrEqual(leftToReam(16).most + 0.1);
  });

  it.each([
    ['no drawer at all', drawer([])],
    ['one drill, far too large', drawer([drill(30)])],
    ['one drill with no flutes to speak of', drawer([drill(6, 2)])],
  ])('%s: a ladder as far as it goes, with what is lacking', (_, thin) => {
    const { moves, cost } = ladderOf([rung({ wants: 'drill', to: 20, aim: 8, usual: 8 })], thin, prices);
    expect(Number.isFinite(cost)).toBe(true);
    expect(moves.some((m) => m.tool === undefined)).toBe(true);
  });
});

const someDrawer = fc
  .record({
    drills: fc.uniqueArray(fc.constantFrom(3, 4.2, 5, 6.8, 8, 8.5, 9.7, 10, 11.7, 12, 14, 16, 18), { minLength: 0, maxLength: 6 }),
    bars: fc.uniqueArray(fc.constantFrom(5, 8, 12), { maxLength: 2 }),
    reamers: fc.uniqueArray(fc.constantFrom(8, 10, 12), { maxLength: 2 }),
    reach: fc.constantFrom(25, 60, 120),
  })
  .map(({ drills: d, bars, reamers, reach }) =>
    drawer(
      d.map((size) => drill(size, reach)),
      bars.map((b) => bar(b)),
      reamers.map((r) => reamer(r)),
    ),
  );

const someHole = fc
  .array(
    fc.record({
      aim: fc.constantFrom(5, 6.8, 8, 10, 12, 14, 18, 24),
      wants: fc.constantFrom<Rung['wants']>('drill', 'bore', 'ream', 'core'),
      long: fc.integer({ min: 4, max: 25 }),
      ends: fc.constantFrom<Rung['ends']>('open', 'flat', 'point'),
      fine: fc.boolean(),
    }),
    { minLength: 1, maxLength: 3 },
  )
  .map((rows): readonly Rung[] => {
    const inward = rows.toSorted((a, b) => b.aim - a.aim).filter((r, i, list) => i === 0 || (list[i - 1]?.aim ?? 0) > r.aim);
    let at = 0;
    return inward.map((r, i) => {
      const from = at;
      at += r.long;
      const last = i === inward.length - 1;
      const tight = r.fine && r.wants !== 'core';
      return rung({
        row: `h${String(i)}`,
        wants: r.wants,
        aim: r.aim,
        from,
        to: at,
        least: r.aim - (tight ? 0 : 0.1),
        most: r.aim + (tight ? 0.03 : 0.1),
        narrowest: r.wants === 'bore' ? r.aim - 0.8 : r.aim + (tight ? 0.03 : 0.1),
        ends: last ? r.ends : r.wants === 'ream' ? 'shoulder' : 'flat',
        fine: tight,
      });
    });
  });

/** Every combination of the ways of all rows, one after the other, nothing remembered. */
function cheapestByEnumeration(rungs: readonly Rung[], drawn: Drawer): number {
  const from = (i: number, open: number): number => {
    const one = rungs[i];
    if (!one) return 0;
    const mouth = rungs.slice(0, i).reduce((least, r) => Math.min(least, r.least), Infinity);
    return Math.min(...waysOf(one, Math.max(open, one.stands), mouth, drawn, prices).map((w) => w.cost + from(i - 1, Math.max(w.opens, open))));
  };
  return from(rungs.length - 1, 0);
}

it('is the cheapest of all that the drawer allows: against enumeration', () => {
  fc.assert(
    fc.property(someHole, someDrawer, (rungs, drawn) => {
      expect(ladderOf(rungs, drawn, prices).cost).toBeCloseTo(cheapestByEnumeration(rungs, drawn), 6);
    }),
    { numRuns: 150, seed: 19 },
  );
});

it('breaks no rule of the trade whatever the drawer: drills that are there and reach, bars that enter, reamers with their own work', () => {
  fc.assert(
    fc.property(someHole, someDrawer, (rungs, drawn) => {
      const { moves } = ladderOf(rungs, drawn, prices);
      const opened = new Map<string, number>();
      let before = 0;
      for (const m of moves) {
        const r = rungs.find((x) => x.row === m.row);
        if (!r) throw new Error('a move of no row');
        if (m.is === 'drill') {
          const own = drawn.drills.find((d) => d.id === m.tool);
          if (m.tool !== undefined) expect(own?.size).toBe(m.size);
          if (own) expect(m.depth + coneOf(own, m.before)).toBeLessThanOrEqual(own.reach + 1e-6);
          expect(m.size).toBeGreaterThan(m.before);
          // deeper rows first, each drill larger than what stands
          expect(m.size).toBeGreaterThanOrEqual(before);
          before = m.size;
          if (r.ends === 'flat') expect(m.depth).toBeLessThan(r.to);
          opened.set(m.row, m.size);
        }
        if (m.is === 'bore' && m.tool !== undefined) {
          const own = drawn.bars.find((b) => b.id === m.tool);
          expect((own?.shank ?? 99) / m.from).toBeLessThanOrEqual(0.7 + 1e-9);
          expect(own?.reach).toBeGreaterThanOrEqual(r.to - 1e-9);
          expect(m.to).toBeGreaterThanOrEqual(m.from);
        }
        if (m.is === 'ream') {
          const size = drawn.reamers.find((x) => x.id === m.tool)?.size ?? 0;
          const { least, most } = leftToReam(size);
          expect(m.left).toBeGreaterThanOrEqual(least / 2 - 1e-9);
          expect(m.left).toBeLessThanOrEqual(most + 0.1 + 1e-9);
        }
      }
    }),
    { numRuns: 300, seed: 7 },
  );
});

it('a drill goes no deeper than its point allows: at a flat floor and a shoulder its cone ends before it', () => {
  for (const ends of ['flat', 'shoulder'] as const) {
    const d = drill(20);
    const deep = depthIn(rung({ wants: 'bore', to: 30, aim: 30, ends }), d, 8);
    expect((deep ?? 99) + coneOf(d, 8)).toBeLessThanOrEqual(30 + 1e-6);
  }
  // shorter than its own cone there is no room for it
  expect(depthIn(rung({ wants: 'bore', to: 4, aim: 30, ends: 'flat' }), drill(20), 0)).toBeUndefined();
});

it('what a drill makes: 0.03 to 0.10 over under 6 mm, 0.10 to 0.15 over 6, next to nothing after one that left it little', () => {
  expect(madeBy(5, 0) - 5).toBeGreaterThanOrEqual(0.03);
  expect(madeBy(5, 0) - 5).toBeLessThanOrEqual(0.1);
  expect(madeBy(10, 0) - 10).toBeGreaterThanOrEqual(0.1);
  expect(madeBy(10, 0) - 10).toBeLessThanOrEqual(0.2);
  expect(madeBy(10, 9.7) - 10).toBeLessThanOrEqual(0.05);
});
