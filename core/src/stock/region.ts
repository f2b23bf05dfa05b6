/** Polygons of rings z0,r0,z1,r1...; the first ring of a polygon is its outside; all on the 0.0001 mm grid; rings are open. */
export type Region = readonly (readonly Float64Array[])[];

const GRID = 10_000;
/** To the grid. */
export const snap = (value: number) => Math.round(value * GRID) / GRID;

/** A region of one polygon from its points (z, r), snapped. */
export function polygon(points: readonly (readonly [number, number])[]): Region {
  const ring = new Float64Array(2 * points.length);
  points.forEach(([z, r], i) => {
    ring[2 * i] = snap(z);
    ring[2 * i + 1] = snap(r);
  });
  return [[ring]];
}

/** Between two z and two r. */
export function rectangle(zFrom: number, zTo: number, rFrom: number, rTo: number): Region {
  const [left, right] = [Math.min(zFrom, zTo), Math.max(zFrom, zTo)];
  return polygon([
    [left, rFrom],
    [right, rFrom],
    [right, rTo],
    [left, rTo],
  ]);
}

/** One straight edge of a ring: z0, r0, z1, r1. */
export type RingEdge = readonly [z0: number, r0: number, z1: number, r1: number];

/** Regions are never changed once made: the edges of each are listed once. */
const listed = new WeakMap<Region, readonly RingEdge[]>();

/** Every edge of a region, ring by ring. */
export function edgesOf(region: Region): readonly RingEdge[] {
  const before = listed.get(region);
  if (before) return before;
  const edges: RingEdge[] = [];
  for (const rings of region)
    for (const ring of rings)
      for (let i = 0; i < ring.length; i += 2) {
        const j = (i + 2) % ring.length;
        edges.push([ring[i] ?? 0, ring[i + 1] ?? 0, ring[j] ?? 0, ring[j + 1] ?? 0]);
      }
  listed.set(region, edges);
  return edges;
}

/** How far a region reaches: its ends, mm, and its largest radius; all 0 where it is empty. */
export function boundsOf(region: Region): { readonly left: number; readonly right: number; readonly radius: number } {
  let [left, right, radius] = [Infinity, -Infinity, -Infinity];
  for (const rings of region)
    for (const ring of rings)
      for (let i = 0; i < ring.length; i += 2) {
        const [z, r] = [ring[i] ?? 0, ring[i + 1] ?? 0];
        if (z < left) left = z;
        if (z > right) right = z;
        if (r > radius) radius = r;
      }
  return left > right ? { left: 0, right: 0, radius: 0 } : { left, right, radius };
}

/** The same region moved along the axis, mm. */
export const shifted = (region: Region, by: number): Region =>
  region.map((rings) => rings.map((ring) => ring.map((v, i) => (i % 2 === 0 ? snap(v + by) : v))));

/** Signed area of one ring. */
export function ringArea(ring: Float64Array): number {
  return overEdges(ring, (z0, r0, z1, r1) => z0 * r1 - z1 * r0) / 2;
}

export function perimeter(ring: Float64Array): number {
  return overEdges(ring, (z0, r0, z1, r1) => Math.hypot(z1 - z0, r1 - r0));
}

/** Length of all rings of a region, mm. */
export const perimeterOf = (region: Region): number => region.reduce((sum, rings) => sum + rings.reduce((own, ring) => own + perimeter(ring), 0), 0);

function overEdges(ring: Float64Array, of: (z0: number, r0: number, z1: number, r1: number) => number): number {
  let sum = 0;
  for (let i = 0; i < ring.length; i += 2) {
    const j = (i + 2) % ring.length;
    sum += of(ring[i] ?? 0, ring[i + 1] ?? 0, ring[j] ?? 0, ring[j + 1] ?? 0);
  }
  return sum;
}

/**
 * Area in the half plane, mm2.
 * @example area(rectangle(0, -10, 0, 5)) // 50
 */
export function area(region: Region): number {
  return region.reduce((sum, rings) => sum + rings.reduce((own, ring, i) => own + (i === 0 ? 1 : -1) * Math.abs(ringArea(ring)), 0), 0);
}

/**
 * Volume of the solid of revolution, mm3. @source Pappus and Guldin
 * @example volume(rectangle(0, -10, 0, 5)) // 250 * Math.PI
 */
export function volume(region: Region): number {
  const ofRing = (ring: Float64Array) => Math.abs(overEdges(ring, (z0, r0, z1, r1) => ((r0 + r1) * (z0 * r1 - z1 * r0)) / 6)) * 2 * Math.PI;
  return region.reduce((sum, rings) => sum + rings.reduce((own, ring, i) => own + (i === 0 ? 1 : -1) * ofRing(ring), 0), 0);
}
