import { coneOf, radiusAt } from './chain';
import { faceOf } from './ends';
import { widestOf } from './envelope';
import { between, type Corner, ringOf, type Triangle } from './mesh';
import { metalAlong } from './solid';
import type { HoleHead, Part, PartDetail } from './types';

/** What is cut out of the turned solid beside the lathe. */
export interface Cutter {
  /** id of the detail, or of a row whose bar stays */
  readonly of: string;
  readonly triangles: readonly Triangle[];
}

/** A cutter stands out of the metal by so much where there is air, and goes into a shoulder by so little where there is none, mm: no two faces lie in one plane. */
const [CLEAR, TOUCH] = [1, 0.002];
/** Strips of a hole. */
const ROUND = 64;
const RAD = Math.PI / 180;

/**
 * Flats, hexagons, squares, keyways, slots and holes beside the axis as closed bodies to be taken from the turned solid. Round ones have 64 strips, their corners on the
 * true surface: 0.16 % less than they take.
 */
export function cuttersOf(part: Part): readonly Cutter[] {
  const bars = part.features.flatMap((f) =>
    f.form === 'polygon' && f.across && f.sides !== undefined
      ? sided({ part, of: f.id, near: f.near, far: f.far, round: widestOf(f).nominal / 2 }, f.across.nominal / 2, f.sides, 0)
      : [],
  );
  return [...bars, ...part.details.flatMap((d) => cut(part, d).map((triangles) => ({ of: d.id, triangles })))];
}

function cut(part: Part, d: PartDetail): readonly (readonly Triangle[])[] {
  const row = part.features.find((f) => f.id === d.on);
  const round = row ? radiusAt(row, (d.near + d.far) / 2) : 0;
  const at = { part, of: d.on, near: d.near, far: d.far, round };
  const turn = d.angle ?? 0;
  switch (d.kind) {
    case 'flat':
      return sided(at, round - (d.depth ?? 0), Math.max(1, d.count ?? 1), turn).map((c) => c.triangles);
    case 'hexagon':
      return sided(at, (d.diameter?.nominal ?? 0) / 2, 6, 0).map((c) => c.triangles);
    case 'keyway': {
      const [half, deep] = [(d.width ?? 0) / 2, d.depth ?? 0];
      const inside = row !== undefined && row.side !== 'outside';
      const [from, to] = inside ? [0, round + deep] : [round - deep, round + CLEAR];
      return [block(along(at, inside ? 0 : from), [from, to], half, turn)];
    }
    case 'slot': {
      const out = Math.max(...part.features.filter((f) => f.side === 'outside').map((f) => widestOf(f).nominal / 2)) + CLEAR;
      const [face, sign] = d.on === 'right' ? [0, 1] : [-part.length, -1];
      // across the end as the end view has it
      return [block([face - sign * (d.depth ?? 0), face + sign * CLEAR], [-out, out], (d.width ?? 0) / 2, d.on === 'right' ? 180 - turn : turn)];
    }
    case 'crossHole':
      return crossHoles(part, d, round);
    case 'boltCircle':
      return onCircle(part, d);
    default:
      return [];
  }
}

interface At {
  readonly part: Part;
  /** the row that it is cut in */
  readonly of: string;
  readonly near: number;
  readonly far: number;
  /** radius of that row, mm */
  readonly round: number;
}

/** Flats at a distance from the axis, evenly round, the first at an angle. */
const sided = (at: At, half: number, count: number, first: number): readonly Cutter[] =>
  Array.from({ length: count }, (_, i) => ({
    of: at.of,
    triangles: block(along(at, half), [half, at.round + CLEAR], at.round + CLEAR, first + (360 * i) / count),
  }));

/** From where to where it goes along the axis: out into the air where nothing beside it reaches out so far as it begins, mm from the axis; else up to the shoulder. */
function along({ part, of, near, far }: At, reaches: number): readonly [number, number] {
  const own = part.features.find((f) => f.id === of);
  const list = part.features.filter((f) => f.side === own?.side);
  const beyond = (z: number, out: 1 | -1): number => {
    if (Math.abs(z - faceOf(part, out > 0 ? 'right' : 'left')) < 1e-6) return z + out * CLEAR;
    const next = list.find((f) => f !== own && Math.abs((out > 0 ? Math.min(f.near, f.far) : Math.max(f.near, f.far)) - z) < 1e-6);
    const ends = own !== undefined && (Math.abs(own.near - z) < 1e-6 || Math.abs(own.far - z) < 1e-6);
    if (!ends) return z;
    const air = next !== undefined && own.side === 'outside' && widestOf(next).nominal / 2 <= reaches;
    return z + out * (air ? Math.min(CLEAR, Math.abs(next.near - next.far) / 2) : TOUCH);
  };
  return [beyond(Math.min(near, far), -1), beyond(Math.max(near, far), 1)];
}

type Direction = readonly [y: number, z: number];
/** 0 degrees points to the viewer of the section, 90 to the back of the lathe. */
const towards = (degrees: number): Direction => [Math.sin(degrees * RAD), Math.cos(degrees * RAD)];

/** A block: along the axis, out from it at an angle, and to both sides of that. */
function block(x: readonly [number, number], out: readonly [number, number], half: number, degrees: number): readonly Triangle[] {
  const [y, z] = towards(degrees);
  const corner = (at: number, d: number, s: number): Corner => [at, d * y + s * z, d * z - s * y];
  const face = (at: number) => [corner(at, out[0], -half), corner(at, out[1], -half), corner(at, out[1], half), corner(at, out[0], half)];
  return between(face(x[0]), face(x[1]));
}

/** Round, along a line: what it begins and ends with, mm. */
const round = (rings: readonly [number, number], at: (t: number, c: number, s: number) => Corner, from: number, to: number): readonly Triangle[] => {
  const outline = (t: number, r: number) => ringOf(ROUND).map(([c, s]) => at(t, r * c, r * s));
  return between(outline(from, rings[0]), outline(to, rings[1]));
};

/** What opens a mouth, from its plane at `mouth` inwards, and out of the metal beyond it. `inwards` is the way that the hole goes along its line. */
function headOf(
  head: HoleHead | undefined,
  own: number,
  mouth: number,
  inwards: 1 | -1,
  at: (t: number, c: number, s: number) => Corner,
): readonly (readonly Triangle[])[] {
  if (!head) return [];
  const wide = head.diameter / 2;
  if (head.form === 'counterbore') return [round([wide, wide], at, mouth - inwards * CLEAR, mouth + inwards * head.depth)];
  // the cone goes on out of the metal at its own slope
  const slope = (wide - own) / head.depth;
  return [round([wide + slope * CLEAR, own], at, mouth - inwards * CLEAR, mouth + inwards * head.depth)];
}

/** Holes across a row: through both walls, or from one side to a depth or into the bore. */
function crossHoles(part: Part, d: PartDetail, r: number): readonly (readonly Triangle[])[] {
  const own = (d.diameter?.nominal ?? 0) / 2;
  const bore = part.features.filter((f) => f.side !== 'outside' && Math.min(f.near, f.far) <= d.near && d.near <= Math.max(f.near, f.far));
  const inner = Math.max(0, ...bore.map((f) => radiusAt(f, d.near)));
  const sides = Math.max(1, d.count ?? 1);
  const oneSide = d.depth !== undefined || (d.thread !== undefined && inner > own) || sides > 1;
  const from = d.depth !== undefined ? r - d.depth : oneSide ? -TOUCH : -r - CLEAR;
  return Array.from({ length: sides }, (_, i) => (d.angle ?? 0) + (360 * i) / sides).flatMap((degrees) => {
    const [y, z] = towards(degrees);
    const at = (t: number, c: number, s: number): Corner => [d.near + c, t * y + s * z, t * z - s * y];
    return [round([own, own], at, from, r + CLEAR), ...headOf(d.head, own, r, -1, at)];
  });
}

/** Holes on a circle of an end, to their depth and point or through what stands there. */
function onCircle(part: Part, d: PartDetail): readonly (readonly Triangle[])[] {
  const own = (d.diameter?.nominal ?? 0) / 2;
  const pitch = (d.width ?? 0) / 2;
  const side = d.on === 'right' ? 'right' : 'left';
  const inwards = side === 'right' ? -1 : 1;
  const { from: face, deep: metal } = metalAlong(part, d.on, pitch);
  const through = d.depth === undefined || d.depth >= metal;
  const deep = through ? metal : (d.depth ?? 0);
  return Array.from({ length: d.count ?? 0 }, (_, i) => (d.angle ?? 0) + (360 * i) / (d.count ?? 1)).flatMap((a) => {
    // as the end view has it: from A the first lies at the right of who looks, away from the viewer of the section
    const [y, z] = [pitch * Math.sin(a * RAD), pitch * Math.cos(a * RAD) * inwards];
    const at = (t: number, c: number, s: number): Corner => [t, y + c, z + s];
    const body = round([own, own], at, face - inwards * CLEAR, face + inwards * (through ? deep + CLEAR : deep));
    const point = through ? [] : [round([own, 1e-4], at, face + inwards * (deep - TOUCH), face + inwards * (deep + coneOf(own, 118)))];
    return [body, ...point, ...headOf(d.head, own, face, inwards, at)];
  });
}
