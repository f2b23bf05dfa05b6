import { alike, PLACE, ROUNDING } from '../quantity';
import { chainOf, rimOf } from './chain';
import type { Node } from './node';
import { threadOf } from './rows';
import { arcOf } from './solid';
import type { Feature, PartDetail } from './types';

/** Metal between a hole and what lies around it at one place; mm on radius. */
export interface ThinWall {
  readonly z: number;
  readonly hole: string;
  readonly around: string;
  readonly thick: number;
  readonly outer: number;
  readonly inner: number;
}

interface Reach {
  readonly from: number;
  readonly to: number;
  readonly of: string;
  readonly at: (z: number) => number;
}

/** The wall at every corner of either side, a hair to both sides of it, and along arcs. Threads count at their roots. */
export function wallsOf(features: readonly Feature[], details: readonly PartDetail[]): readonly ThinWall[] {
  const outer = reaches(features, details, 'outside');
  const inner = [...reaches(features, details, 'right'), ...reaches(features, details, 'left')];
  if (inner.length === 0) return [];
  const rims = (['right', 'left'] as const).flatMap((end) => {
    const rim = rimOf(features, end);
    return rim ? [{ ...rim, reach: Math.abs(rim.z - rim.centre) }] : [];
  });
  const places = new Set<number>();
  for (const s of [...outer, ...inner]) for (const z of [s.from, s.to, (s.from + s.to) / 2]) places.add(z - PLACE).add(z + PLACE);
  const walls: ThinWall[] = [];
  for (const z of places) {
    const hole = extreme(inner, z, 1);
    const around = hole && extreme(outer, z, -1);
    // towards the rim of a ball that the hole opens the wall runs out as it must
    const rim = around && rims.find((r) => r.ball === around.of && r.hole === hole.of && Math.abs(z - r.z) < r.reach);
    if (around && !rim) walls.push({ z, hole: hole.of, around: around.of, thick: around.r - hole.r, outer: around.r, inner: hole.r });
  }
  return walls;
}

/** The widest (1) or the narrowest (-1) of what lies at z. */
function extreme(all: readonly Reach[], z: number, sign: 1 | -1): { readonly of: string; readonly r: number } | undefined {
  let best: { of: string; r: number } | undefined;
  for (const s of all) {
    if (z <= s.from || z >= s.to) continue;
    const r = s.at(z);
    if (!best || sign * r > sign * best.r) best = { of: s.of, r };
  }
  return best;
}

function reaches(features: readonly Feature[], details: readonly PartDetail[], side: Feature['side']): readonly Reach[] {
  const nodes = chainOf(features, details, side);
  const rootOf = (id: string) => {
    const row = features.find((f) => f.id === id);
    const root = row && threadOf(row)?.root;
    return root === undefined ? undefined : root / 2;
  };
  return nodes.slice(0, -1).flatMap((a, i) => {
    const b = nodes[i + 1];
    return b && !alike(b.z, a.z, ROUNDING) ? pieces(a, b, rootOf(a.of)) : [];
  });
}

function pieces(a: Node, b: Node, root: number | undefined): readonly Reach[] {
  const straight = (p: { z: number; r: number }, q: { z: number; r: number }): Reach => ({
    from: Math.min(p.z, q.z),
    to: Math.max(p.z, q.z),
    of: a.of,
    at: (z) => root ?? p.r + ((q.r - p.r) * (z - p.z)) / (q.z - p.z),
  });
  if (a.bulge === 0) return [straight(a, b)];
  const arc = arcOf(a, b);
  const parts = 24;
  const points = Array.from({ length: parts + 1 }, (_, k) => {
    const t = arc.from + ((arc.to - arc.from) * k) / parts;
    return { z: arc.z + arc.radius * Math.cos(t), r: arc.r + arc.radius * Math.sin(t) };
  });
  return points.slice(0, -1).flatMap((p, k) => {
    const q = points[k + 1];
    return q && !alike(q.z, p.z, ROUNDING) ? [straight(p, q)] : [];
  });
}
