import { alike, PLACE } from '../quantity';
import { edgesOf, type Region } from './region';

/** A stretch of metal between two z, its radii taken at the middle, mm. */
export interface Section {
  readonly from: number;
  readonly to: number;
  readonly outer: number;
  readonly inner: number;
}

/** Longest stretch of a slope that is taken for a cylinder, mm. */
const PIECE = 5;

/** What was asked of a region last: a setup asks the same of the stock as it stands for cut after cut. */
const asked = new WeakMap<Region, { readonly from: number; readonly to: number; readonly sections: readonly Section[] }>();

/** The metal of a region along the axis as hollow cylinders, from left to right; slopes in short pieces; nothing where there is no metal. */
export function sectionsOf(region: Region, from: number, to: number): readonly Section[] {
  const before = asked.get(region);
  if (before?.from === from && before.to === to) return before.sections;
  const sections = cutAcross(region, from, to);
  asked.set(region, { from, to, sections });
  return sections;
}

function cutAcross(region: Region, from: number, to: number): readonly Section[] {
  const edges = edgesOf(region);
  const sloped = edges.filter(([z0, r0, z1, r1]) => !alike(z1, z0) && !alike(r1, r0));
  const corners = new Set([from, to, ...edges.map(([z0]) => z0).filter((z) => z > from && z < to)]);
  for (const [z0, , z1] of sloped) {
    const parts = Math.ceil(Math.abs(z1 - z0) / PIECE);
    for (let i = 1; i < parts; i++) {
      const z = z0 + ((z1 - z0) * i) / parts;
      if (z > from && z < to) corners.add(z);
    }
  }
  const cuts = [...corners].toSorted((a, b) => a - b);
  const place = new Map(cuts.map((z, i) => [z, i]));
  const outers = new Float64Array(cuts.length);
  const inners = new Float64Array(cuts.length).fill(Infinity);
  for (const [za, ra, zb, rb] of edges) {
    const [z0, r0, z1, r1] = za < zb ? [za, ra, zb, rb] : [zb, rb, za, ra];
    if (z0 === z1 || z1 <= from || z0 >= to) continue;
    for (let i = place.get(Math.max(z0, from)) ?? 0; i + 1 < cuts.length && (cuts[i] ?? 0) < z1; i++) {
      const r = r0 + ((r1 - r0) * (((cuts[i] ?? 0) + (cuts[i + 1] ?? 0)) / 2 - z0)) / (z1 - z0);
      if (r > (outers[i] ?? 0)) outers[i] = r;
      if (r < (inners[i] ?? 0)) inners[i] = r;
    }
  }
  const sections: Section[] = [];
  for (let i = 0; i + 1 < cuts.length; i++) {
    const [a, b, outer] = [cuts[i] ?? 0, cuts[i + 1] ?? 0, outers[i] ?? 0];
    const inner = Math.max(0, Math.min(inners[i] ?? 0, outer));
    if (outer - inner >= 1e-4 && b - a >= PLACE) sections.push({ from: a, to: b, outer, inner });
  }
  return sections;
}

/** The thinnest wall of hollow metal between two z, and how much metal there is along it, mm; undefined where it is solid for the greater part. */
export function thinnestOf(
  region: Region,
  a: number,
  b: number,
): { readonly outer: number; readonly inner: number; readonly long: number } | undefined {
  const sections = sectionsOf(region, Math.min(a, b), Math.max(a, b));
  const hollow = sections.filter((s) => s.inner > 0);
  const [first] = hollow;
  const long = longOf(hollow);
  // mostly solid: its floor keeps it round
  if (!first || long < longOf(sections) / 2) return undefined;
  const { outer, inner } = hollow.reduce((least, s) => (s.outer - s.inner < least.outer - least.inner ? s : least), first);
  return { outer, inner, long };
}

const longOf = (sections: readonly { readonly from: number; readonly to: number }[]): number => sections.reduce((sum, s) => sum + s.to - s.from, 0);
