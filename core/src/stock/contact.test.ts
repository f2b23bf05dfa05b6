/* Outlines that move: hulls, sweeps and how far they stand in each other, against the clipping library and by hand; regions that are cut once. */
import polygonClipping, { type Polygon } from 'polygon-clipping';
import fc from 'fast-check';
import { combine, sameRegion } from './combine';
import { type Convex, hullOf, movedBy, overlapOf, sweptAlong } from './contact';
import { area, perimeterOf, rectangle } from './region';
import { turned } from './sweep';

const point = fc.tuple(fc.integer({ min: -500, max: 500 }), fc.integer({ min: -500, max: 500 })).map(([z, r]) => [z / 10, r / 10] as const);
const cloud = fc.uniqueArray(point, { minLength: 3, maxLength: 12, selector: ([z, r]) => `${String(z)} ${String(r)}` });
const closed = (of: Convex): Polygon => [[...of, of[0] ?? [0, 0]].map(([z, r]) => [z, r] as [number, number])];
const areaOf = (of: Convex): number =>
  Math.abs(of.reduce((sum, [z, r], i) => sum + z * (of[(i + 1) % of.length]?.[1] ?? 0) - (of[(i + 1) % of.length]?.[0] ?? 0) * r, 0)) / 2;
const holds = (hull: Convex, [z, r]: readonly [number, number]): boolean =>
  hull.every((p, i) => {
    const q = hull[(i + 1) % hull.length] ?? p;
    return (q[0] - p[0]) * (r - p[1]) - (q[1] - p[1]) * (z - p[0]) >= -1e-9;
  });

describe('hulls', () => {
  it('hold every point, have only points that were given, and turn one way', () => {
    fc.assert(
      fc.property(cloud, (points) => {
        const hull = hullOf(points);
        fc.pre(hull.length >= 3);
        for (const p of points) expect(holds(hull, p)).toBe(true);
        for (const p of hull) expect(points).toContainEqual(p);
        expect(hullOf(hull)).toHaveLength(hull.length);
      }),
    );
  });

  it('of a square and its middle is the square', () => {
    const hull = hullOf([
      [0, 0],
      [2, 0],
      [2, 2],
      [0, 2],
      [1, 1],
      [1, 0],
    ]);
    expect(hull).toHaveLength(4);
    expect(areaOf(hull)).toBe(4);
  });
});

it('a sweep is as large as the outline and the strip it passes over (Brunn; by hand for a box)', () => {
  const box: Convex = [
    [0, 0],
    [4, 0],
    [4, 3],
    [0, 3],
  ];
  expect(areaOf(sweptAlong(box, [0, 0], [10, 0]))).toBeCloseTo(12 + 10 * 3, 9);
  expect(areaOf(sweptAlong(box, [0, 0], [0, -5]))).toBeCloseTo(12 + 5 * 4, 9);
  // along a slope the strip is as wide as the box seen from there: |10 x 3| + |5 x 4|
  expect(areaOf(sweptAlong(box, [0, 0], [10, 5]))).toBeCloseTo(12 + 10 * 3 + 5 * 4, 9);
});

it('outlines overlap exactly where the clipping library finds area in both', () => {
  fc.assert(
    fc.property(cloud, cloud, point, (a, b, by) => {
      const [one, other] = [hullOf(a), movedBy(hullOf(b), by)];
      fc.pre(one.length >= 3 && other.length >= 3 && areaOf(one) > 1 && areaOf(other) > 1);
      const common = polygonClipping.intersection(closed(one), closed(other));
      const by_ = overlapOf(one, other);
      // in touching by less than a thousandth either may be said
      if (Math.abs(by_) > 1e-3) expect(by_ > 0).toBe(common.length > 0);
    }),
    { numRuns: 300 },
  );
});

describe('regions that are cut once', () => {
  it('the same cut of the same stock is the same region; the same numbers are the same beginning', () => {
    const bar = sameRegion(rectangle(0, -100, 0, 20));
    expect(sameRegion(rectangle(0, -100, 0, 20))).toBe(bar);
    const once = combine('difference', bar, turned(0, -40, 12));
    expect(combine('difference', bar, turned(0, -40, 12))).toBe(once);
    expect(combine('difference', bar, turned(0, -40, 11))).not.toBe(once);
    expect(combine('intersection', bar, turned(0, -40, 12))).not.toBe(once);
  });

  it('what is remembered is what would be cut', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 90 }), fc.integer({ min: 1, max: 19 }), (long, radius) => {
        const fresh = combine('difference', rectangle(0, -100, 0, 20), turned(0, -long, radius));
        const known = combine('difference', sameRegion(rectangle(0, -100, 0, 20)), turned(0, -long, radius));
        expect(known).toEqual(fresh);
        expect(area(known)).toBeCloseTo(2000 - long * (20 - radius), 6);
      }),
    );
  });

  it('a rectangle is as long round as its sides', () => expect(perimeterOf(rectangle(0, -30, 0, 5))).toBe(70));
});
