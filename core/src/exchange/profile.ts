import { arcOf } from '../drawing';
import { atMost, fallsShort, PLACE, ROUNDING, say, type Sentence } from '../quantity';
import type { Segment } from './segment';

/** The centre line of a part in a drawing: along x or y, at that ordinate, mm. */
export interface Axis {
  readonly along: 'x' | 'y';
  readonly at: number;
  readonly why: Sentence;
  /** the outline is the same on both sides of it */
  readonly symmetric?: true;
}

/** A vertex of a half section: z along the axis, 0 at the right-hand end; bulge to the next. */
export interface ProfilePoint {
  readonly z: number;
  readonly r: number;
  readonly bulge: number;
}

/** Ends nearer than this are one, mm. */
const JOIN = 0.01;

/**
 * By how much the outline is turned in the file, degrees, over 0 to 45 either way: as its longest centre line lies, else as most of its lines do. 0 where it lies level
 * or upright.
 */
export function turnedBy(segments: readonly Segment[], centreLines: readonly Segment[]): number {
  const long = (s: Segment) => Math.hypot(s.x1 - s.x0, s.y1 - s.y0);
  const off = (s: Segment) => {
    const degrees = (Math.atan2(s.y1 - s.y0, s.x1 - s.x0) * 180) / Math.PI;
    return degrees - 90 * Math.round(degrees / 90);
  };
  const [drawn] = centreLines.toSorted((a, b) => long(b) - long(a));
  if (drawn) return Math.abs(off(drawn)) < LEVEL ? 0 : off(drawn);
  const lines = segments.filter((s) => s.bulge === 0);
  const along = new Map<number, { long: number; sum: number; ways: Set<number> }>();
  for (const s of lines) {
    const key = Math.round(off(s) / LEVEL);
    const there = along.get(key) ?? { long: 0, sum: 0, ways: new Set() };
    const way = Math.abs(Math.round((Math.atan2(s.y1 - s.y0, s.x1 - s.x0) * 180) / Math.PI / 90)) % 2;
    along.set(key, { long: there.long + long(s), sum: there.sum + long(s) * off(s), ways: there.ways.add(way) });
  }
  const all = lines.reduce((sum, s) => sum + long(s), 0);
  const most = [...along.entries()].toSorted((a, b) => b[1].long - a[1].long)[0];
  // rows and faces are square to each other; a taper stands alone
  if (!most || most[0] === 0 || most[1].ways.size < 2 || (along.get(0)?.long ?? 0) > 0.1 * all || most[1].long < 0.5 * all) return 0;
  return most[1].sum / most[1].long;
}

/** Lines within this are level, degrees. */
const LEVEL = 0.02;

/** Turned back about the drawing's zero. */
export function turnedBack(segments: readonly Segment[], degrees: number): readonly Segment[] {
  const [c, s] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)];
  const turn = (x: number, y: number) => [c * x + s * y, c * y - s * x] as const;
  return segments.map((o) => {
    const [x0, y0] = turn(o.x0, o.y0);
    const [x1, y1] = turn(o.x1, o.y1);
    return { x0, y0, x1, y1, bulge: o.bulge };
  });
}

/** Lines that may be the axis, likeliest first: one drawn as such, one that the outline is symmetric about, one it stands on. */
export function axesOf(segments: readonly Segment[], centreLines: readonly Segment[]): readonly Axis[] {
  const found: Axis[] = [];
  const offer = (axis: Axis) => {
    if (!found.some((f) => f.along === axis.along && Math.abs(f.at - axis.at) < JOIN)) found.push(axis);
  };
  const long = (s: Segment) => Math.hypot(s.x1 - s.x0, s.y1 - s.y0);
  for (const s of centreLines.toSorted((a, b) => long(b) - long(a)).slice(0, 6)) {
    if (Math.abs(s.y0 - s.y1) < JOIN) offer({ along: 'x', at: (s.y0 + s.y1) / 2, why: say`a centre line is drawn there` });
    else if (Math.abs(s.x0 - s.x1) < JOIN) offer({ along: 'y', at: (s.x0 + s.x1) / 2, why: say`a centre line is drawn there` });
  }
  for (const [along, at] of openEnds(segments)) offer({ along, at, why: say`the outline is open there` });
  const box = boxOf(segments);
  const places = (of: (s: Segment) => readonly number[]) => new Set(segments.flatMap(of).map((v) => Math.round(v / JOIN))).size;
  const block = places((s) => [s.y0, s.y1]) <= 2 && places((s) => [s.x0, s.x1]) <= 2;
  for (const along of ['x', 'y'] as const) {
    const [low, high] = along === 'x' ? [box.y0, box.y1] : [box.x0, box.x1];
    // a plain block is symmetric whichever half it is: one that stands on the zero is a half
    if (block && low >= -JOIN && low <= 0.5 * high) offer({ along, at: 0, why: say`the outline stands on the drawing’s zero` });
    if (symmetric(segments, along, (low + high) / 2))
      offer({ along, at: (low + high) / 2, why: say`the outline is the same on both sides of it`, symmetric: true });
  }
  for (const along of ['x', 'y'] as const) {
    const [low, high] = along === 'x' ? [box.y0, box.y1] : [box.x0, box.x1];
    if (low >= -JOIN && low < 0.5 * high) offer({ along, at: 0, why: say`the outline stands on the drawing’s zero` });
    offer({ along, at: low, why: say`the lowest line of the outline` });
    offer({ along, at: high, why: say`the highest line of the outline` });
  }
  return found;
}

/** A half profile without its axis is open: both of its ends lie on it. */
function openEnds(segments: readonly Segment[]): readonly (readonly ['x' | 'y', number])[] {
  const times = new Map<string, { x: number; y: number; times: number }>();
  for (const s of segments)
    for (const [x, y] of [
      [s.x0, s.y0],
      [s.x1, s.y1],
    ] as const) {
      const key = `${Math.round(x / JOIN)} ${Math.round(y / JOIN)}`;
      times.set(key, { x, y, times: (times.get(key)?.times ?? 0) + 1 });
    }
  const [a, b, ...more] = [...times.values()].filter((t) => t.times === 1);
  if (!a || !b || more.length > 0) return [];
  return [...(Math.abs(a.y - b.y) < JOIN ? [['x', a.y] as const] : []), ...(Math.abs(a.x - b.x) < JOIN ? [['y', a.x] as const] : [])];
}

function boxOf(segments: readonly Segment[]): { x0: number; x1: number; y0: number; y1: number } {
  let [x0, x1, y0, y1] = [Infinity, -Infinity, Infinity, -Infinity];
  for (const [x, y] of cornersOf(segments)) {
    x0 = Math.min(x0, x);
    x1 = Math.max(x1, x);
    y0 = Math.min(y0, y);
    y1 = Math.max(y1, y);
  }
  return { x0, x1, y0, y1 };
}

/** Every corner has its mirror image. */
function symmetric(segments: readonly Segment[], along: 'x' | 'y', at: number): boolean {
  const cell = (v: number) => Math.round(v / (2 * JOIN));
  const points = cornersOf(segments);
  const known = new Set(points.map(([x, y]) => `${cell(x)} ${cell(y)}`));
  const near = (x: number, y: number) => [-1, 0, 1].some((i) => [-1, 0, 1].some((j) => known.has(`${cell(x) + i} ${cell(y) + j}`)));
  return (
    points.some(([x, y]) => Math.abs((along === 'x' ? y : x) - at) > JOIN) &&
    points.every(([x, y]) => (along === 'x' ? near(x, 2 * at - y) : near(2 * at - x, y)))
  );
}

/** Ends of lines and arcs, and the middles of arcs. */
function cornersOf(segments: readonly Segment[]): readonly (readonly [number, number])[] {
  return segments.flatMap((s) => [
    [s.x0, s.y0] as const,
    [s.x1, s.y1] as const,
    ...(s.bulge === 0 ? [] : [[(s.x0 + s.x1 + s.bulge * (s.y1 - s.y0)) / 2, (s.y0 + s.y1 - s.bulge * (s.x1 - s.x0)) / 2] as const]),
  ]);
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
