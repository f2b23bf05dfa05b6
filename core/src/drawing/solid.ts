import { coneOf, radiusAt } from './chain';
import type { Contour, Feature, Part, PartDetail, Vertex } from './types';

/**
 * Volume of the turned solid, mm3: exact for straight edges and arcs.
 * @source pi times the integral of r^2 dz round the counter-clockwise half section: frusta, and the closed integral of a circular arc
 */
export function volumeOf(contour: Contour): number {
  const sum = contour.reduce((total, a, i) => {
    const b = contour[(i + 1) % contour.length] ?? a;
    return total - (a.bulge === 0 ? ((b.z - a.z) * (a.r ** 2 + a.r * b.r + b.r ** 2)) / 3 : ofArc(a, b));
  }, 0);
  return Math.PI * sum;
}

export interface Arc {
  readonly z: number;
  readonly r: number;
  readonly radius: number;
  /** of its start and its end, radians */
  readonly from: number;
  readonly to: number;
}

/** Centre, radius and angles of the arc from one vertex to the next; its bulge is tan of a quarter of the angle. */
export function arcOf(a: Vertex, b: { readonly z: number; readonly r: number }): Arc {
  const sweep = 4 * Math.atan(a.bulge);
  const chord = Math.hypot(b.z - a.z, b.r - a.r);
  const radius = chord / 2 / Math.sin(Math.abs(sweep) / 2);
  // from the middle of the chord to the centre: to the left of it for a counter-clockwise arc under half a turn
  const off = chord / 2 / Math.tan(sweep / 2);
  const [uz, ur] = [(b.z - a.z) / chord, (b.r - a.r) / chord];
  const [z, r] = [(a.z + b.z) / 2 - ur * off, (a.r + b.r) / 2 + uz * off];
  const from = Math.atan2(a.r - r, a.z - z);
  return { z, r, radius, from, to: from + sweep };
}

/** Integral of r^2 dz along an arc. */
function ofArc(a: Vertex, b: Vertex): number {
  const { r: c, radius: R, from, to } = arcOf(a, b);
  const at = (t: number) => c ** 2 * Math.cos(t) - c * R * (t - Math.sin(t) * Math.cos(t)) + R ** 2 * (Math.cos(t) - Math.cos(t) ** 3 / 3);
  return R * (at(to) - at(from));
}

/** Points of a contour with arcs as chords that lie no further from them than this, mm. */
export function flattened(contour: Contour, within = 0.001): readonly { readonly z: number; readonly r: number; readonly of: string }[] {
  return contour.flatMap((a, i) => {
    const b = contour[(i + 1) % contour.length];
    if (a.bulge === 0 || !b) return [a];
    const arc = arcOf(a, b);
    const most = 2 * Math.acos(Math.max(0, 1 - within / arc.radius));
    const parts = Math.min(2048, Math.max(2, Math.ceil(Math.abs(arc.to - arc.from) / most)));
    return Array.from({ length: parts }, (_, k) => {
      const t = arc.from + ((arc.to - arc.from) * k) / parts;
      return k === 0 ? a : { z: arc.z + arc.radius * Math.cos(t), r: Math.max(0, arc.r + arc.radius * Math.sin(t)), of: a.of };
    });
  });
}

/**
 * Volume of the finished part, mm3: the turned solid less what is not round and what is cut beside the lathe; hexagons and squares left as bar with sharp corners,
 * holes and keyways by their own sections. Threads count at their crests.
 * @source geometry
 */
export function volumeOfPart(part: Part): number {
  const polygons = part.features.reduce((sum, f) => sum + ofPolygon(f), 0);
  const cuts = part.details.reduce((sum, d) => sum + ofDetail(part, d), 0);
  return Math.max(0, volumeOf(part.contour) - polygons - cuts);
}

function ofPolygon(f: Feature): number {
  if (f.form !== 'polygon' || !f.across || f.sides === undefined) return 0;
  const area = (f.sides / 4) * f.across.nominal ** 2 * Math.tan(Math.PI / f.sides);
  return (Math.PI * (f.nearDiameter.nominal / 2) ** 2 - area) * Math.abs(f.near - f.far);
}

/** Area of a circle's segment of this height. */
const segment = (r: number, h: number) => r ** 2 * Math.acos((r - h) / r) - (r - h) * Math.sqrt(2 * r * h - h ** 2);

function ofDetail(part: Part, d: PartDetail): number {
  const row = part.features.find((f) => f.id === d.on);
  const long = Math.abs(d.near - d.far);
  const r = row ? radiusAt(row, (d.near + d.far) / 2) : 0;
  const own = (d.diameter?.nominal ?? 0) / 2;
  switch (d.kind) {
    case 'flat':
      return segment(r, d.depth ?? 0) * (d.count ?? 1) * long;
    case 'hexagon': {
      const across = 2 * own;
      const corners = across / Math.cos(Math.PI / 6);
      return corners <= 2 * r ? (Math.PI * r ** 2 - (Math.sqrt(3) / 2) * across ** 2) * long : 6 * segment(r, r - own) * long;
    }
    case 'keyway':
      return (d.width ?? 0) * (d.depth ?? 0) * long;
    case 'slot':
      return (d.width ?? 0) * (d.depth ?? 0) * endDiameter(part, d.on);
    case 'crossHole':
      return crossHole(part, d, r, own);
    case 'boltCircle': {
      const deep = Math.min(d.depth ?? Infinity, metalAlong(part, d.on, (d.width ?? 0) / 2).deep);
      const cone = d.depth === undefined || deep < d.depth ? 0 : (Math.PI / 3) * own ** 2 * coneOf(own, 118);
      return (d.count ?? 0) * (Math.PI * own ** 2 * deep + cone + ofHead(d, own));
    }
    default:
      return 0;
  }
}

/** A hole across: through both walls, or from one side to its depth or to the bore where it is tapped; what a bore has taken is not taken twice. */
function crossHole(part: Part, d: PartDetail, r: number, own: number): number {
  const inner = Math.max(0, ...part.features.filter((f) => f.side !== 'outside' && within(f, d.near)).map((f) => radiusAt(f, d.near)));
  const walls = crossed(r, own, 1) - crossed(inner, own, 1);
  const sides = d.count !== undefined && d.count > 1 ? d.count : 1;
  const oneSide = d.depth !== undefined || (d.thread !== undefined && inner > own) || sides > 1;
  if (!oneSide) return walls + ofHead(d, own);
  // from the crown down, flat at its end
  const down = d.depth === undefined ? Infinity : crossed(r, own, 1) / 2 - Math.max(0, r - d.depth) * Math.PI * own ** 2;
  return sides * (Math.min(walls / 2, down) + ofHead(d, own));
}

const within = (f: Feature, z: number): boolean => Math.min(f.near, f.far) <= z && z <= Math.max(f.near, f.far);

/** What opening the mouth takes beside the hole itself, from the plane of the face. */
function ofHead({ head }: PartDetail, own: number): number {
  if (!head) return 0;
  const wide = head.diameter / 2;
  return head.form === 'counterbore'
    ? Math.PI * (wide ** 2 - own ** 2) * head.depth
    : (Math.PI / 3) * head.depth * (wide ** 2 + wide * own + own ** 2) - Math.PI * own ** 2 * head.depth;
}

/** Where somebody who drills from an end meets metal at a radius, z, and how far it goes on: a flange may stand behind a hub. */
export function metalAlong(part: Part, end: string, radius: number): { readonly from: number; readonly deep: number } {
  const rows = part.features.filter((f) => f.side === 'outside');
  const met = end === 'right' ? rows : rows.toReversed();
  const reaches = (f: Feature) => Math.min(f.nearDiameter.nominal, f.farDiameter.nominal) / 2 > radius;
  const first = met.findIndex(reaches);
  const row = met[first];
  if (!row) return { from: end === 'right' ? 0 : -part.length, deep: 0 };
  const past = met.findIndex((f, i) => i > first && !reaches(f));
  const deep = met.slice(first, past < 0 ? undefined : past).reduce((sum, f) => sum + Math.abs(f.near - f.far), 0);
  return { from: end === 'right' ? Math.max(row.near, row.far) : Math.min(row.near, row.far), deep };
}

/** Of the outside row at an end, mm. */
function endDiameter(part: Part, end: string): number {
  const rows = part.features.filter((f) => f.side === 'outside');
  return (end === 'right' ? rows[0]?.nearDiameter : rows.at(-1)?.farDiameter)?.nominal ?? 0;
}

/** Metal that a hole of radius a takes out of a round bar of radius r across its axis: one hole through, or `count` to the middle. */
function crossed(r: number, a: number, count: number): number {
  if (!(a > 0 && a < r)) return 0;
  // 4 times the integral of sqrt(a^2 - x^2) sqrt(r^2 - x^2), with x = a sin t: smooth, so that equal steps converge at once
  const steps = 64;
  const terms = Array.from({ length: steps }, (_, i) => {
    const t = -Math.PI / 2 + (Math.PI * (i + 0.5)) / steps;
    return Math.cos(t) ** 2 * Math.sqrt(r ** 2 - (a * Math.sin(t)) ** 2);
  });
  const through = 4 * a ** 2 * (Math.PI / steps) * terms.reduce((sum, v) => sum + v, 0);
  return count > 1 ? (through / 2) * count : through;
}
