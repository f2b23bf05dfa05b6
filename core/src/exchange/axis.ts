import { say, type Sentence } from '../quantity';
import { JOIN, type Segment } from './segment';

/** The centre line of a part in a drawing: along x or y, at that ordinate, mm. */
export interface Axis {
  readonly along: 'x' | 'y';
  readonly at: number;
  readonly why: Sentence;
  /** the outline is the same on both sides of it */
  readonly symmetric?: true;
}

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
