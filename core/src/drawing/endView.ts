import type { End } from '../ref';
import { inward } from './ends';
import type { Feature, Part, PartDetail } from './types';
import { widestOf } from './envelope';

/** What an end shows to somebody who looks at it along the axis; mm from the axis, y towards the back of the lathe, angles from the right. */
export type EndShape =
  | { readonly kind: 'edge' | 'hidden'; readonly points: readonly (readonly [number, number])[]; readonly closed: boolean }
  | { readonly kind: 'hole' | 'ring' | 'thread' | 'centres'; readonly x: number; readonly y: number; readonly radius: number };

const RAD = Math.PI / 180;
/** Degrees between the points of an outline. */
const STEP = 2;
/** Edges nearer than this are one, mm. */
const SAME = 0.005;

/**
 * The end of a part as it is seen, what lies furthest first: what stands out beyond what is nearer, its flats, keyways and holes where they are. What the section shows towards its viewer lies at
 * the left of the end view from A, at the right of that from B.
 */
export function endView(part: Part, end: End): readonly EndShape[] {
  const rows = part.features.filter((f) => f.side === 'outside').toSorted((a, b) => inward(end) * (a.near + a.far - b.near - b.far));
  const edges: EndShape[] = [];
  const hidden: EndShape[] = [];
  const before = new Map<number, number>();
  for (const row of rows) {
    const own = part.details.filter((d) => d.on === row.id);
    const radii = angles.map((a) => outlineAt(row, own, a, end));
    for (const run of runsOf(angles, (i) => (radii[i] ?? 0) > (before.get(i) ?? 0) + SAME))
      edges.unshift({ kind: 'edge', closed: run.length === angles.length, points: run.map((i) => polar(radii[i] ?? 0, angles[i] ?? 0)) });
    radii.forEach((r, i) => before.set(i, Math.max(before.get(i) ?? 0, r)));
    for (const d of own) hidden.push(...across(d, widestOf(row).nominal / 2, end));
  }
  // what lies further in first: what is nearer stands over it
  const shapes: EndShape[] = [...edges, ...hidden];
  for (const f of part.features.filter((o) => o.side === end || (o.side !== 'outside' && o.through === true)))
    shapes.push({ kind: 'hole', x: 0, y: 0, radius: Math.min(f.nearDiameter.nominal, f.farDiameter.nominal) / 2 });
  const outer = Math.max(0, ...rows.map((f) => widestOf(f).nominal / 2));
  for (const d of part.details.filter((o) => o.on === end)) {
    if (d.kind === 'boltCircle') shapes.push(...circleOf(d));
    if (d.kind === 'slot') {
      const half = (d.width ?? 0) / 2;
      for (const y of [half, -half])
        shapes.push({
          kind: 'edge',
          closed: false,
          points: turned(
            [
              [-outer, y],
              [outer, y],
            ],
            d.angle ?? 0,
          ),
        });
    }
  }
  return shapes;
}

const angles = Array.from({ length: 360 / STEP }, (_, i) => i * STEP);
const polar = (r: number, degrees: number): readonly [number, number] => [r * Math.cos(degrees * RAD), r * Math.sin(degrees * RAD)];
const turned = (points: readonly (readonly [number, number])[], degrees: number): readonly (readonly [number, number])[] =>
  points.map(([x, y]) => [x * Math.cos(degrees * RAD) - y * Math.sin(degrees * RAD), x * Math.sin(degrees * RAD) + y * Math.cos(degrees * RAD)]);

/** Where something that stands at an angle, 0 towards the viewer of the section, is seen from an end. */
const seenAt = (degrees: number, end: End): number => (end === 'right' ? 180 - degrees : degrees);

/** How far out a row stands at an angle of the end view, its flats, hexagon and keyways taken off. */
function outlineAt(row: Feature, own: readonly PartDetail[], angle: number, end: End): number {
  const round = widestOf(row).nominal / 2;
  const flat = (distance: number, at: number) => {
    const off = Math.cos((angle - at) * RAD);
    return off > 1e-9 ? distance / off : Infinity;
  };
  const sided = (half: number, count: number, first: number) =>
    Math.min(...Array.from({ length: count }, (_, i) => flat(half, seenAt(first + (360 * i) / count, end))));
  const shapes = own.map((d) => {
    if (d.kind === 'hexagon') return sided((d.diameter?.nominal ?? 0) / 2, 6, 0);
    if (d.kind === 'flat') return sided(round - (d.depth ?? 0), Math.max(1, d.count ?? 1), d.angle ?? 0);
    if (d.kind !== 'keyway') return Infinity;
    const off = (angle - seenAt(d.angle ?? 0, end)) * RAD;
    const inSlot = Math.cos(off) > 0 && Math.abs(round * Math.sin(off)) < (d.width ?? 0) / 2;
    return inSlot ? (round - (d.depth ?? 0)) / Math.cos(off) : Infinity;
  });
  const bar = row.form === 'polygon' && row.across && row.sides !== undefined ? sided(row.across.nominal / 2, row.sides, 0) : Infinity;
  return Math.min(round, bar, ...shapes);
}

/** Stretches of angles, each run in order, in which something holds; the whole round as one. */
function runsOf(all: readonly number[], holds: (i: number) => boolean): readonly (readonly number[])[] {
  const kept = all.map((_, i) => holds(i));
  if (kept.every(Boolean)) return [[...kept.keys()]];
  const start = kept.findIndex((k, i) => k && kept[(i + kept.length - 1) % kept.length] !== true);
  if (start < 0) return [];
  const runs: number[][] = [];
  let open = false;
  for (let n = 0; n < kept.length; n++) {
    const i = (start + n) % kept.length;
    if (kept[i] === true) {
      if (!open) runs.push([]);
      runs.at(-1)?.push(i);
    }
    open = kept[i] === true;
  }
  return runs;
}

/** A hole across a row: its two sides, hidden from the end. */
function across(d: PartDetail, radius: number, end: End): readonly EndShape[] {
  if (d.kind !== 'crossHole') return [];
  const own = (d.diameter?.nominal ?? 0) / 2;
  const reach = Math.sqrt(Math.max(0, radius ** 2 - own ** 2));
  const oneSide = d.depth !== undefined || (d.count ?? 1) > 1;
  const from = d.depth === undefined ? (oneSide ? 0 : -reach) : Math.max(-reach, radius - d.depth);
  return Array.from({ length: Math.max(1, d.count ?? 1) }, (_, i) => seenAt((d.angle ?? 0) + (360 * i) / Math.max(1, d.count ?? 1), end)).flatMap(
    (a) =>
      [own, -own].map((y): EndShape => ({
        kind: 'hidden',
        closed: false,
        points: turned(
          [
            [from, y],
            [reach, y],
          ],
          a,
        ),
      })),
  );
}

/** Holes on their circle. */
function circleOf(d: PartDetail): readonly EndShape[] {
  const pitch = (d.width ?? 0) / 2;
  const ring = d.head?.diameter ?? d.thread?.nominal;
  return [
    { kind: 'centres', x: 0, y: 0, radius: pitch },
    ...Array.from({ length: d.count ?? 0 }, (_, i) => polar(pitch, (d.angle ?? 0) + (360 * i) / (d.count ?? 1))).flatMap(([x, y]): EndShape[] => [
      { kind: 'hole', x, y, radius: (d.diameter?.nominal ?? 0) / 2 },
      ...(ring === undefined ? [] : [{ kind: d.thread ? ('thread' as const) : ('ring' as const), x, y, radius: ring / 2 }]),
    ]),
  ];
}
