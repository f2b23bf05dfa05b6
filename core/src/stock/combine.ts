import { ROUNDING } from '../quantity';
import polygonClipping, { type MultiPolygon, type Pair, type Polygon } from 'polygon-clipping';
import { byColumns } from './columns';
import { perimeter, type Region, ringArea, snap } from './region';

/** Slivers thinner than this (area / perimeter, mm) are dropped. */
const SLIVER = 0.005;

type Operation = 'difference' | 'intersection' | 'union';

/** The one place where regions are combined; inputs and results are snapped, slivers dropped. */
export function combine(operation: Operation, a: Region, b: Region): Region {
  if (a.length === 0) return operation === 'union' ? b : [];
  if (b.length === 0) return operation === 'intersection' ? [] : a;
  const key = `${operation}${written(b)}`;
  const before = results.get(a);
  const known = before?.get(key);
  if (known) return known;
  const made = clipped(operation, a, b);
  if (before && before.size < MOST_KEPT) before.set(key, made);
  else results.set(a, new Map([[key, made]]));
  return made;
}

/** What was cut off a region before: the same cut of the same stock is not clipped again, whichever plan asks for it. */
const results = new WeakMap<Region, Map<string, Region>>();
/** Results kept for one region. */
const MOST_KEPT = 100;

const writtenBefore = new WeakMap<Region, string>();
/** A region as text: two of the same numbers are the same. */
function written(region: Region): string {
  const before = writtenBefore.get(region);
  if (before !== undefined) return before;
  const text = region.map((rings) => rings.join(';')).join('|');
  writtenBefore.set(region, text);
  return text;
}

const shared = new Map<string, Region>();
/** Regions that are kept to begin plans from. */
const BEGINNINGS = 4;

/** The one region of these numbers, so that what was cut off it in an earlier plan is known in the next. */
export function sameRegion(region: Region): Region {
  const key = written(region);
  const before = shared.get(key);
  if (before) return before;
  const [oldest] = shared.keys();
  if (shared.size >= BEGINNINGS && oldest !== undefined) shared.delete(oldest);
  shared.set(key, region);
  return region;
}

function clipped(operation: Operation, a: Region, b: Region): Region {
  if (operation === 'union') return fromClipping(cleared(polygonClipping.union, shapeOf(a), shapeOf(b)));
  const box = boxOf(b);
  if (apart(boxOf(a), box)) return operation === 'intersection' ? [] : a;
  const told = byColumns(operation, a, b);
  if (told) return told.filter(([outer]) => outer && isMetal(outer));
  if (operation === 'difference') return fromClipping(cleared(polygonClipping.difference, shapeOf(a), shapeOf(b)));
  // what lies beyond the other's box cannot be in both: the costly step then sees only what may be
  const near = shapeOf(a)
    .map((rings) => within(rings, box))
    .filter((rings) => rings.length > 0);
  return near.length === 0 ? [] : fromClipping(cleared(polygonClipping.intersection, near, shapeOf(b)));
}

/** Corners of the other shape are moved by so much where the clipping package loses its way among edges that all but coincide, mm: far under what anyone measures. */
const ASIDE = [0, 0.0001, -0.0001, 0.0003, -0.0003] as const;

/** Clipped; again with corners a little aside where the package throws. */
function cleared(clip: typeof polygonClipping.union, a: MultiPolygon, b: MultiPolygon): MultiPolygon {
  let failed: unknown;
  for (const by of ASIDE)
    try {
      return clip(a, by === 0 ? b : b.map((rings) => rings.map((ring) => ring.map(([z, r]): Pair => [z + by, r + by]))));
    } catch (error) {
      failed = error;
    }
  throw failed;
}

type Box = readonly [zMin: number, rMin: number, zMax: number, rMax: number];

const boxes = new WeakMap<Region, Box>();

function boxOf(region: Region): Box {
  const before = boxes.get(region);
  if (before) return before;
  let [zMin, rMin, zMax, rMax] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const rings of region)
    for (const ring of rings)
      for (let i = 0; i < ring.length; i += 2) {
        const [z, r] = [ring[i] ?? 0, ring[i + 1] ?? 0];
        if (z < zMin) zMin = z;
        if (z > zMax) zMax = z;
        if (r < rMin) rMin = r;
        if (r > rMax) rMax = r;
      }
  const made: Box = [zMin, rMin, zMax, rMax];
  boxes.set(region, made);
  return made;
}

/** As the clipping package wants it. */
const shapeOf = (region: Region): MultiPolygon =>
  region.map((rings) => rings.map((ring) => Array.from({ length: ring.length / 2 }, (_, i): Pair => [ring[2 * i] ?? 0, ring[2 * i + 1] ?? 0])));

const apart = (a: Box, b: Box): boolean => a[0] >= b[2] || b[0] >= a[2] || a[1] >= b[3] || b[1] >= a[3];

/**
 * A polygon cut to a box, edge by edge. Parts that fall apart stay joined along the box's edge, by lines without area that
 * the clipping after it takes out; a polygon with holes is left as it is. @source Sutherland and Hodgman 1974
 */
function within(rings: Polygon, box: Box): Polygon {
  const [outer, ...holes] = rings;
  if (!outer || holes.length > 0) return rings;
  let ring = outer;
  for (const [axis, at, sign] of [
    [0, box[0], 1],
    [0, box[2], -1],
    [1, box[1], 1],
    [1, box[3], -1],
  ] as const) {
    const inside = (p: Pair) => sign * (p[axis] - at) >= 0;
    const cut: Pair[] = [];
    ring.forEach((p, i) => {
      const q = ring[(i + 1) % ring.length] ?? p;
      if (inside(p)) cut.push(p);
      if (inside(p) === inside(q)) return;
      const t = (at - p[axis]) / (q[axis] - p[axis]);
      const other = snap(p[(1 - axis) as 0 | 1] + t * (q[(1 - axis) as 0 | 1] - p[(1 - axis) as 0 | 1]));
      cut.push(axis === 0 ? [at, other] : [other, at]);
    });
    ring = cut;
  }
  return ring.length < 3 ? [] : [ring];
}

const isMetal = (outer: Float64Array): boolean => Math.abs(ringArea(outer)) / Math.max(perimeter(outer), ROUNDING) >= SLIVER / 2;

function fromClipping(result: MultiPolygon): Region {
  const kept: Float64Array[][] = [];
  for (const rings of result) {
    const own = rings.map((ring) => {
      const flat = new Float64Array(2 * (ring.length - 1));
      for (let i = 0; i < ring.length - 1; i++) {
        flat[2 * i] = snap(ring[i]?.[0] ?? 0);
        flat[2 * i + 1] = snap(ring[i]?.[1] ?? 0);
      }
      return flat;
    });
    const outer = own[0];
    if (outer && isMetal(outer)) kept.push(own);
  }
  return kept;
}
