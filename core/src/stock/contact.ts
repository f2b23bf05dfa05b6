import { ROUNDING } from '../quantity';
/** A convex outline in the plane of the tool, (z, r), mm, either way round. */
export type Convex = readonly (readonly [number, number])[];

/** The convex outline around points. @source Andrew's monotone chain, 1979 */
export function hullOf(points: Convex): Convex {
  const sorted = points.toSorted((a, b) => a[0] - b[0] || a[1] - b[1]);
  const half = (from: Convex): (readonly [number, number])[] => {
    const out: (readonly [number, number])[] = [];
    for (const p of from) {
      while (out.length >= 2 && turns(out.at(-2), out.at(-1), p) <= 0) out.pop();
      out.push(p);
    }
    return out.slice(0, -1);
  };
  return [...half(sorted), ...half(sorted.toReversed())];
}

function turns(a: readonly [number, number] | undefined, b: readonly [number, number] | undefined, c: readonly [number, number]): number {
  return a && b ? (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]) : 1;
}

/** An outline moved. */
export const movedBy = (of: Convex, [z, r]: readonly [number, number]): Convex => of.map(([a, b]) => [a + z, b + r]);

/** All that an outline passes over on a straight way: the outline around both its places. */
export const sweptAlong = (of: Convex, from: readonly [number, number], to: readonly [number, number]): Convex =>
  hullOf([...movedBy(of, from), ...movedBy(of, to)]);

/** How far two convex outlines stand in each other: the shortest way apart, mm; 0 or less where they do not touch. @source separating axes */
export function overlapOf(a: Convex, b: Convex): number {
  let least = Infinity;
  for (const side of [a, b])
    for (let i = 0; i < side.length; i++) {
      const [p, q] = [side[i], side[(i + 1) % side.length]];
      if (!p || !q) continue;
      const long = Math.hypot(q[0] - p[0], q[1] - p[1]);
      if (long < ROUNDING) continue;
      const [nz, nr] = [(q[1] - p[1]) / long, (p[0] - q[0]) / long];
      const [a0, a1] = along(a, nz, nr);
      const [b0, b1] = along(b, nz, nr);
      least = Math.min(least, a1 - b0, b1 - a0);
      if (least <= 0) return least;
    }
  return least === Infinity ? 0 : least;
}

function along(of: Convex, nz: number, nr: number): readonly [number, number] {
  let [low, high] = [Infinity, -Infinity];
  for (const [z, r] of of) {
    const t = z * nz + r * nr;
    low = Math.min(low, t);
    high = Math.max(high, t);
  }
  return [low, high];
}
