import { arcOf } from '../drawing';
import { atMost, fallsShort, PLACE, ROUNDING } from '../quantity';
import type { Axis } from './axis';
import { JOIN, type Segment } from './segment';

/** A vertex of a half section: z along the axis, 0 at the right-hand end; bulge to the next. */
export interface ProfilePoint {
  readonly z: number;
  readonly r: number;
  readonly bulge: number;
}

interface Piece {
  readonly a: readonly [z: number, r: number];
  readonly b: readonly [z: number, r: number];
  readonly bulge: number;
}

/** Segments over the axis, as (z, r); of a full outline the half above it, or below where nothing lies above. */
export function aboveAxis(segments: readonly Segment[], axis: Axis): readonly Piece[] {
  const all = segments.map((s): Piece => {
    const [a, b]: [Piece['a'], Piece['b']] =
      axis.along === 'x'
        ? [
            [s.x0, s.y0 - axis.at],
            [s.x1, s.y1 - axis.at],
          ]
        : [
            [s.y0, axis.at - s.x0],
            [s.y1, axis.at - s.x1],
          ];
    return { a, b, bulge: s.bulge };
  });
  // the middle of an arc lies beyond its ends
  const reach = all.reduce((most, p) => Math.max(most, p.a[1], p.b[1], (p.a[1] + p.b[1] - p.bulge * (p.b[0] - p.a[0])) / 2), -Infinity);
  const turned = reach > JOIN ? all : all.map((p): Piece => ({ a: [p.a[0], -p.a[1]], b: [p.b[0], -p.b[1]], bulge: -p.bulge }));
  return turned.flatMap((p) => clipped(p));
}

const arcOfPiece = (p: Piece) => arcOf({ z: p.a[0], r: p.a[1], bulge: p.bulge, of: '' }, { z: p.b[0], r: p.b[1] });

/** What of a piece lies at or above the axis; what lies on it is dropped. */
function clipped(p: Piece): readonly Piece[] {
  const tiny = JOIN / 10;
  const [lo, hi] = [Math.min(p.a[1], p.b[1]), Math.max(p.a[1], p.b[1])];
  if (p.bulge === 0) {
    if (hi <= tiny) return [];
    if (lo >= -tiny) return [{ ...p, a: [p.a[0], Math.max(0, p.a[1])], b: [p.b[0], Math.max(0, p.b[1])] }];
    const t = p.a[1] / (p.a[1] - p.b[1]);
    const cut: Piece['a'] = [p.a[0] + t * (p.b[0] - p.a[0]), 0];
    return p.a[1] > 0 ? [{ ...p, b: cut }] : [{ ...p, a: cut }];
  }
  if (lo >= -tiny) return [{ ...p, a: [p.a[0], Math.max(0, p.a[1])], b: [p.b[0], Math.max(0, p.b[1])] }];
  // an arc across the axis: the part of it above
  const { z: cz, r: cr, radius, from, to } = arcOfPiece(p);
  const sweep = to - from;
  if (Math.abs(cr) >= radius) return hi <= tiny ? [] : [p];
  const crossings = [Math.asin(-cr / radius), Math.PI - Math.asin(-cr / radius)].flatMap((t) =>
    [-2, -1, 0, 1, 2].map((k) => (t + 2 * Math.PI * k - from) / sweep).filter((s) => s > ROUNDING && fallsShort(s, 1)),
  );
  const cuts = [0, ...crossings.toSorted((x, y) => x - y), 1];
  const at = (s: number): Piece['a'] => [cz + radius * Math.cos(from + s * sweep), cr + radius * Math.sin(from + s * sweep)];
  return cuts.slice(0, -1).flatMap((s, i) => {
    const e = cuts[i + 1] ?? 1;
    if (at((s + e) / 2)[1] <= tiny) return [];
    const [a, b] = [at(s), at(e)];
    return [{ a: [a[0], Math.max(0, a[1])] as const, b: [b[0], Math.max(0, b[1])] as const, bulge: Math.tan(((e - s) * sweep) / 4) }];
  });
}

export interface Profile {
  /** counter-clockwise, closed; what lies on the axis is left out between its ends */
  readonly points: readonly ProfilePoint[];
  /** pieces that belong to no outline */
  readonly loose: number;
  /** ends of the outline that did not meet: how wide, and whether that was closed */
  readonly gaps: readonly Gap[];
}

export interface Gap {
  readonly wide: number;
  /** from the right-hand end, mm */
  readonly z: number;
  readonly r: number;
  readonly closed: boolean;
}

/** Gaps wider than this are not spoken of as such, mm. */
const SPOKEN = 3;

/** Of more pieces apart no one sees which belong together. */
const MOST_CHAINS = 120;

/** Chains whose ends lie within `gap` are joined, the nearest first, by a line between them; those that lie a little farther are told. */
function bridged(chains: readonly Piece[][], gap: number): { readonly chains: readonly Piece[][]; readonly gaps: readonly Gap[] } {
  let open = [...chains];
  const gaps: Gap[] = [];
  if (chains.length > MOST_CHAINS) return { chains, gaps };
  const free = (at: Piece['a'] | undefined) => (at && at[1] >= JOIN / 10 ? at : undefined);
  for (;;) {
    let best: { i: number; j: number; ends: string; wide: number; a: Piece['a']; b: Piece['a'] } | undefined;
    open.forEach((p, i) =>
      open.forEach((q, j) => {
        if (j < i) return;
        for (const ends of i === j ? ['ba'] : ['ba', 'bb', 'aa', 'ab']) {
          const a = free(ends.startsWith('a') ? p[0]?.a : p.at(-1)?.b);
          const b = free(ends[1] === 'a' ? q[0]?.a : q.at(-1)?.b);
          if (!a || !b) continue;
          const wide = Math.hypot(a[0] - b[0], a[1] - b[1]);
          // an outline that is closed has none
          if (wide <= JOIN && i === j) continue;
          if (i === j && p.length < 3) continue;
          if (wide <= SPOKEN && (!best || wide < best.wide)) best = { i, j, ends, wide, a, b };
        }
      }),
    );
    if (!best) return { chains: open, gaps };
    const { i, j, ends, wide, a, b } = best;
    gaps.push({ wide, z: (a[0] + b[0]) / 2, r: (a[1] + b[1]) / 2, closed: wide <= gap });
    const [p, q] = [open[i], open[j]];
    if (wide > gap || !p || !q) return { chains: open, gaps };
    const join: Piece = { a, b, bulge: 0 };
    if (i === j) open = open.map((c, k) => (k === i ? [...c, join] : c));
    else {
      const first = ends.startsWith('b') ? p : p.toReversed().map(reversed);
      const second = ends[1] === 'a' ? q : q.toReversed().map(reversed);
      open = [...open.filter((_, k) => k !== i && k !== j), [...first, join, ...second]];
    }
  }
}

const reversed = (p: Piece): Piece => ({ a: p.b, b: p.a, bulge: -p.bulge });

/** Joins pieces end to end into the longest outline; z = 0 at its right-hand end. Undefined where nothing joins. @param gap ends within it are joined by a line, mm */
export function joined(pieces: readonly Piece[], gap = JOIN): Profile | undefined {
  const cell = (v: number) => Math.floor(v / JOIN);
  // within what any lathe turns a cell is one whole number
  const key = (i: number, j: number) => i * 8_388_608 + j;
  const ends = new Map<number, { readonly piece: number; readonly end: 'a' | 'b' }[]>();
  pieces.forEach((p, piece) => {
    for (const end of ['a', 'b'] as const) {
      const place = key(cell(p[end][0]), cell(p[end][1]));
      const there = ends.get(place);
      if (there) there.push({ piece, end });
      else ends.set(place, [{ piece, end }]);
    }
  });
  const used = new Set<number>();
  const nearest = (at: Piece['a']) => {
    let best: { piece: number; end: 'a' | 'b'; off: number } | undefined;
    for (const i of [-1, 0, 1])
      for (const j of [-1, 0, 1])
        for (const e of ends.get(key(cell(at[0]) + i, cell(at[1]) + j)) ?? []) {
          const p = pieces[e.piece];
          if (used.has(e.piece) || !p) continue;
          const off = Math.hypot(p[e.end][0] - at[0], p[e.end][1] - at[1]);
          if (off <= JOIN && (!best || off < best.off)) best = { ...e, off };
        }
    return best;
  };
  const chains: Piece[][] = [];
  // ends on the axis first, so that a chain runs from axis to axis
  const order = pieces.map((_, i) => i).toSorted((i, j) => onAxis(pieces[j]) - onAxis(pieces[i]));
  for (const start of order) {
    const first = pieces[start];
    if (!first || used.has(start)) continue;
    used.add(start);
    const chain = [first.b[1] < JOIN / 10 && first.a[1] >= JOIN / 10 ? reversed(first) : first];
    for (const forward of [true, false]) {
      for (;;) {
        const tip = forward ? chain.at(-1)?.b : chain[0]?.a;
        if (!tip || tip[1] < JOIN / 10) break;
        const next = nearest(tip);
        const piece = next && pieces[next.piece];
        if (!next || !piece) break;
        used.add(next.piece);
        const along = (next.end === 'a') === forward ? piece : reversed(piece);
        if (forward) chain.push(along);
        else chain.unshift(along);
      }
    }
    chains.push(chain);
  }
  // a drawing with a blind hole drawn apart from its outside joins through the axis: chains from axis to axis in a row
  const size = (chain: readonly Piece[]) => rightOf(chain) + rightOf(chain.map((p) => ({ ...p, a: [-p.a[0], 0], b: [-p.b[0], 0] })));
  const { chains: whole, gaps } = bridged(chains, gap);
  const [main, ...others] = whole.toSorted((a, b) => size(b) - size(a));
  if (!main || size(main) < PLACE) return undefined;
  const points = inOne(main).map((p) => ({ z: p.a[0], r: p.a[1], bulge: p.bulge }));
  const end = main.at(-1)?.b;
  const start = main[0]?.a;
  if (end && start && Math.hypot(end[0] - start[0], end[1] - start[1]) > JOIN) points.push({ z: end[0], r: end[1], bulge: 0 });
  const [right, rightmost] = [rightOf(main), rightOf(pieces)];
  const shifted = points.map((p) => ({ ...p, z: p.z - right }));
  return {
    points: areaOf(shifted) >= 0 ? shifted : flipped(shifted),
    loose: others.reduce((sum, c) => sum + c.length, 0),
    gaps: gaps.map((g) => ({ ...g, z: g.z - rightmost })),
  };
}

/** Lines in one direction and arcs of one circle, end to end, are one. */
function inOne(chain: readonly Piece[]): readonly Piece[] {
  const out: Piece[] = [];
  for (const p of chain) {
    const last = out.at(-1);
    const both = last && together(last, p);
    if (both) out[out.length - 1] = both;
    else out.push(p);
  }
  return out;
}

function together(p: Piece, q: Piece): Piece | undefined {
  if ((p.bulge === 0) !== (q.bulge === 0) || p.bulge * q.bulge < 0) return undefined;
  const [pz, pr] = [p.b[0] - p.a[0], p.b[1] - p.a[1]];
  const [qz, qr] = [q.b[0] - q.a[0], q.b[1] - q.a[1]];
  if (p.bulge === 0)
    return Math.abs(pz * qr - pr * qz) < 1e-9 * Math.hypot(pz, pr) * Math.hypot(qz, qr) && pz * qz + pr * qr > 0
      ? { a: p.a, b: q.b, bulge: 0 }
      : undefined;
  const [c, d] = [arcOfPiece(p), arcOfPiece(q)];
  const sweep = c.to - c.from + d.to - d.from;
  return Math.hypot(c.z - d.z, c.r - d.r) < PLACE && atMost(Math.abs(sweep), Math.PI) ? { a: p.a, b: q.b, bulge: Math.tan(sweep / 4) } : undefined;
}

/** A long outline has more pieces than a call takes arguments. */
const rightOf = (pieces: readonly Piece[]): number => pieces.reduce((most, p) => Math.max(most, p.a[0], p.b[0]), -Infinity);

const onAxis = (p: Piece | undefined): number => (p && (p.a[1] < JOIN / 10 || p.b[1] < JOIN / 10) ? 1 : 0);

/** Twice the signed area, arcs counted with their segments; positive counter-clockwise. */
const areaOf = (points: readonly ProfilePoint[]): number =>
  points.reduce((sum, a, i) => {
    const b = points[(i + 1) % points.length] ?? a;
    const straight = a.z * b.r - b.z * a.r;
    if (a.bulge === 0) return sum + straight;
    const sweep = 4 * Math.atan(a.bulge);
    return sum + straight + (Math.hypot(b.z - a.z, b.r - a.r) / 2 / Math.sin(sweep / 2)) ** 2 * (sweep - Math.sin(sweep));
  }, 0);

function flipped(points: readonly ProfilePoint[]): readonly ProfilePoint[] {
  return points.toReversed().map((p, i, all) => ({ ...p, bulge: -(all[(i + 1) % all.length]?.bulge ?? 0) }));
}
