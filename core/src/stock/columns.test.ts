import fc from 'fast-check';
import polygonClipping from 'polygon-clipping';
import { byColumns } from './columns';
import { combine } from './combine';
import { area, rectangle, type Region, snap } from './region';
import { chamfered, drilled, faced, threaded, turned, turnedToShoulder } from './sweep';

type Points = readonly (readonly [number, number])[];

const pointsOf = (region: Region): [number, number][][][] =>
  region.map((rings) =>
    rings.map((ring) => Array.from({ length: ring.length / 2 }, (_, i): [number, number] => [ring[2 * i] ?? 0, ring[2 * i + 1] ?? 0])),
  );

/** Rings from their leftmost, lowest corner on, and from left to right: two of the same shape are the same. */
function written(shape: readonly (readonly Points[])[]): string {
  const least = (ring: Points) =>
    ring.reduce((best, p, i) => (p[0] < (ring[best]?.[0] ?? 0) || (p[0] === ring[best]?.[0] && p[1] < ring[best][1]) ? i : best), 0);
  const turnedTo = (ring: Points) => [...ring.slice(least(ring)), ...ring.slice(0, least(ring))];
  return shape
    .map((rings) => rings.map((ring) => turnedTo(ring).join(' ')).join(' / '))
    .toSorted()
    .join('\n');
}

const z = fc.integer({ min: -100_000, max: 0 }).map((n) => n / 1000);
const r = fc.integer({ min: 2000, max: 14_000 }).map((n) => n / 1000);
const long = fc.integer({ min: 100, max: 40_000 }).map((n) => n / 1000);

/** What tools sweep of a bar from 1 to -120. */
const sweep = fc.oneof(
  fc.tuple(z, long, r).map(([at, l, to]) => turned(at, at - l, to)),
  fc.tuple(z, long, r).map(([at, l, to]) => turnedToShoulder(at, at - l, to, 0.4)),
  fc.tuple(z, long, r).map(([at, l, to]) => chamfered(at, to, at - l / 10, to - 1)),
  fc.tuple(long, r).map(([deep, to]) => drilled(1, deep, to / 4, 59, 'right')),
  long.map((l) => faced(-l / 20, 'right')),
  fc.tuple(z, long, r).map(([at, l, to]) => threaded(at, -1, l / 2, { pitch: 1.5, crest: to, root: to - 0.92, mean: to - 0.4, half: 30 })),
);

describe('regions combined column by column', () => {
  it('are those of the general clipping package (polygon-clipping, Martinez-Rueda), corner for corner', () => {
    let told = 0;
    fc.assert(
      fc.property(fc.array(sweep, { minLength: 1, maxLength: 12 }), (sweeps) => {
        let stock: Region = rectangle(1, -120, 0, 12.5);
        for (const s of sweeps) {
          for (const operation of ['difference', 'intersection'] as const) {
            const own = byColumns(operation, stock, s);
            if (!own) continue;
            told++;
            const general = polygonClipping[operation](pointsOf(stock), pointsOf(s)).map((rings) =>
              rings.map((ring) => ring.slice(0, -1).map(([a, b]) => [snap(a), snap(b)] as const)),
            );
            expect(written(pointsOf(own))).toBe(written(general));
          }
          stock = combine('difference', stock, s);
        }
      }),
      { seed: 20261126, numRuns: 300 },
    );
    expect(told).toBeGreaterThan(1000);
  });

  it('leave to that package what turns back along the axis, and a cut out of the middle', () => {
    const bar = rectangle(0, -10, 0, 5);
    expect(byColumns('difference', bar, rectangle(-2, -4, 1, 3))).toBeUndefined();
    expect(area(combine('difference', bar, rectangle(-2, -4, 1, 3)))).toBeCloseTo(46, 9);
    // its lower side runs from z -4 back to z -6
    const hooked: Region = [[Float64Array.from([-8, 6, -8, 4, -4, 3, -6, 2, 0, 2, 0, 6])]];
    expect(byColumns('difference', bar, hooked)).toBeUndefined();
    expect(area(combine('intersection', bar, hooked)) + area(combine('difference', bar, hooked))).toBeCloseTo(50, 9);
  });

  it('a piece parted off, a bore through and a bar cut away whole', () => {
    const bar = rectangle(0, -30, 0, 5);
    const parted = combine('difference', bar, rectangle(-10, -12, -1, 6));
    expect(parted).toHaveLength(2);
    expect(area(parted)).toBeCloseTo(140, 9);
    expect(area(combine('difference', bar, drilled(1, 40, 2, 90, 'right')))).toBeCloseTo(90, 9);
    expect(combine('difference', bar, faced(-31, 'right'))).toEqual([]);
  });
});
