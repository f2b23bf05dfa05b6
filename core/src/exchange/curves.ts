import type { IEntity } from 'dxf-parser';
import type { Segment } from './segment';

/* Ellipses and splines of a DXF as arcs: what a lathe is told of a curve. */

type Point = readonly [x: number, y: number];

/** A smooth curve, and the values between which it is. */
interface Curve {
  readonly at: (t: number) => Point;
  /** where it may turn: it is taken piece by piece between these */
  readonly marks: readonly number[];
}

/** Arcs lie no further from a curve than this, mm. */
export const CURVE_WITHIN = 0.005;
/** A piece of a curve is halved so often at the most. */
const HALVED = 14;

/** An ellipse or a spline as arcs; a word for what of it is not known here; undefined for what is no curve. @param unit mm of one unit of the file */
export function curveOf(entity: IEntity, unit: number): readonly Segment[] | string | undefined {
  const curve = entity.type === 'ELLIPSE' ? ellipse(entity) : entity.type === 'SPLINE' ? spline(entity) : undefined;
  if (curve === undefined || typeof curve === 'string') return curve;
  const within = CURVE_WITHIN / unit;
  return curve.marks.slice(1).flatMap((to, i) => arcs(curve.at, curve.marks[i] ?? to, to, within, 0));
}

interface Ellipse extends IEntity {
  readonly center?: { readonly x: number; readonly y: number };
  readonly majorAxisEndPoint?: { readonly x: number; readonly y: number };
  readonly axisRatio?: number;
  readonly startAngle?: number;
  readonly endAngle?: number;
  readonly extrusionDirectionZ?: number;
}

/** @source parametric form: centre + a cos t + b sin t, b square to a and so much shorter */
function ellipse({
  center,
  majorAxisEndPoint: a,
  axisRatio = 1,
  startAngle = 0,
  endAngle = 2 * Math.PI,
  extrusionDirectionZ = 1,
}: Ellipse): Curve | string {
  if (!center || !a || !sound(center.x, center.y, a.x, a.y, axisRatio, startAngle, endAngle) || !(Math.hypot(a.x, a.y) > 0 && axisRatio > 0))
    return 'ellipse that is none';
  const over = extrusionDirectionZ < 0 ? -1 : 1;
  const [bx, by] = [-a.y * axisRatio * over, a.x * axisRatio * over];
  const whole = 2 * Math.PI;
  const sweep = (((endAngle - startAngle) % whole) + whole) % whole || whole;
  const at = (t: number): Point => [center.x + a.x * Math.cos(t) + bx * Math.sin(t), center.y + a.y * Math.cos(t) + by * Math.sin(t)];
  // ends of the axes are where a row turns from growing to shrinking
  const quarters = Array.from({ length: 9 }, (_, i) => Math.ceil(startAngle / (Math.PI / 2)) * (Math.PI / 2) + (i * Math.PI) / 2);
  return { at, marks: marked(startAngle, startAngle + sweep, quarters) };
}

interface Spline extends IEntity {
  readonly controlPoints?: readonly { readonly x: number; readonly y: number }[];
  readonly knotValues?: readonly number[];
  readonly degreeOfSplineCurve?: number;
  readonly rational?: boolean;
}

/** @source B-spline by de Boor's recursion */
function spline({ controlPoints = [], knotValues: knots = [], degreeOfSplineCurve: degree = 3, rational }: Spline): Curve | string {
  if (rational === true) return 'spline with weights';
  const n = controlPoints.length;
  if (n === 0) return 'spline through points only';
  const steady = knots.every((k, i) => Number.isFinite(k) && k >= (knots[i - 1] ?? k));
  if (!(degree >= 1 && degree <= 11) || n <= degree || knots.length !== n + degree + 1 || !steady || !controlPoints.every((p) => sound(p.x, p.y)))
    return 'spline that is none';
  const at = (t: number): Point => {
    let k = degree;
    while (k < n - 1 && t >= (knots[k + 1] ?? Infinity)) k++;
    const d = Array.from({ length: degree + 1 }, (_, j): [number, number] => {
      const p = controlPoints[j + k - degree];
      return [p?.x ?? 0, p?.y ?? 0];
    });
    for (let r = 1; r <= degree; r++)
      for (let j = degree; j >= r; j--) {
        const [low, high] = [knots[j + k - degree] ?? 0, knots[j + 1 + k - r] ?? 0];
        const share = high > low ? (t - low) / (high - low) : 0;
        const [p, q] = [d[j - 1], d[j]];
        if (p && q) d[j] = [(1 - share) * p[0] + share * q[0], (1 - share) * p[1] + share * q[1]];
      }
    return d[degree] ?? [0, 0];
  };
  const [from, to] = [knots[degree] ?? 0, knots[n] ?? 0];
  return to > from ? { at, marks: marked(from, to, knots) } : 'spline that is none';
}

const sound = (...values: readonly number[]): boolean => values.every((v) => Number.isFinite(v));
const marked = (from: number, to: number, between: readonly number[]): readonly number[] => [
  from,
  ...[...new Set(between)].filter((t) => t > from + 1e-9 * (to - from) && t < to - 1e-9 * (to - from)).toSorted((a, b) => a - b),
  to,
];

/** Two arcs that leave and arrive as the curve does, or the same of its halves where they lie too far off. */
function arcs(at: Curve['at'], from: number, to: number, within: number, halved: number): readonly Segment[] {
  const [p, q] = [at(from), at(to)];
  const made = twoArcs(p, directionAt(at, from, from, to), q, directionAt(at, to, from, to));
  const near = made && between(from, to).every((t) => made.some((s) => offArc(s, at(t)) <= within));
  if (near) return made;
  if (halved >= HALVED) return [{ x0: p[0], y0: p[1], x1: q[0], y1: q[1], bulge: 0 }];
  const middle = (from + to) / 2;
  return [...arcs(at, from, middle, within, halved + 1), ...arcs(at, middle, to, within, halved + 1)];
}

const between = (from: number, to: number): readonly number[] => [1, 2, 3, 4, 5, 6, 7, 8, 9].map((i) => from + ((to - from) * i) / 10);

/** The way of a curve at a place, from its own side of it. */
function directionAt(at: Curve['at'], t: number, from: number, to: number): Point {
  const step = (to - from) * 1e-5;
  const [a, b] = [at(Math.max(from, t - step)), at(Math.min(to, t + step))];
  const long = Math.hypot(b[0] - a[0], b[1] - a[1]);
  return long > 0 ? [(b[0] - a[0]) / long, (b[1] - a[1]) / long] : [1, 0];
}

/**
 * Two arcs from one place and direction to another that meet smoothly half-way.
 * @source biarc with equal reach at both ends: 2 (1 - t0 . t1) d2 + 2 d v . (t0 + t1) = v . v
 */
function twoArcs(p: Point, t0: Point, q: Point, t1: Point): readonly Segment[] | undefined {
  const v: Point = [q[0] - p[0], q[1] - p[1]];
  const dot = (a: Point, b: Point) => a[0] * b[0] + a[1] * b[1];
  const [a, b, c] = [2 * (1 - dot(t0, t1)), dot(v, [t0[0] + t1[0], t0[1] + t1[1]]), dot(v, v)];
  const reach = a < 1e-12 ? c / (2 * b) : (-b + Math.sqrt(b * b + a * c)) / a;
  if (!(reach > 0) || !Number.isFinite(reach)) return undefined;
  const meet: Point = [(p[0] + q[0] + reach * (t0[0] - t1[0])) / 2, (p[1] + q[1] + reach * (t0[1] - t1[1])) / 2];
  return [arcFrom(p, meet, t0, 1), arcFrom(meet, q, t1, -1)];
}

/** An arc by its ends and its direction at the first of them, or at the last. */
function arcFrom(p: Point, q: Point, t: Point, end: 1 | -1): Segment {
  const [x, y] = [q[0] - p[0], q[1] - p[1]];
  const turn = end * Math.atan2(t[0] * y - t[1] * x, t[0] * x + t[1] * y);
  return { x0: p[0], y0: p[1], x1: q[0], y1: q[1], bulge: Math.abs(turn) < 1e-9 ? 0 : Math.tan(turn / 2) };
}

/** How far a point lies from an arc or a line. */
function offArc({ x0, y0, x1, y1, bulge }: Segment, [x, y]: Point): number {
  const [dx, dy] = [x1 - x0, y1 - y0];
  const chord = Math.hypot(dx, dy);
  if (chord === 0) return Math.hypot(x - x0, y - y0);
  const along = ((x - x0) * dx + (y - y0) * dy) / chord;
  const aside = ((y - y0) * dx - (x - x0) * dy) / chord;
  if (along < 0) return Math.hypot(x - x0, y - y0);
  if (along > chord) return Math.hypot(x - x1, y - y1);
  if (bulge === 0) return Math.abs(aside);
  // a bulge above zero lies to the right of its chord
  const sag = (-bulge * chord) / 2;
  const radius = (chord * chord) / 8 / Math.abs(sag) + Math.abs(sag) / 2;
  const centre = sag - Math.sign(sag) * radius;
  return Math.abs(Math.hypot(along - chord / 2, aside - centre) - radius);
}
