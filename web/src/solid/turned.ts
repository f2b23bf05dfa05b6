import { bodyBetween, type Corner } from '@obra/core/drawing';
import type { Convex, Region } from '@obra/core/stock';
import { ShapeUtils, Vector2 } from 'three';
import type { Cut } from './cutOut';

/** Strips of the three quarters that are seen. */
const STRIPS = 48;
/** From where round to where, so that the quarter towards the viewer and above is open. */
const [FROM, ROUND] = [Math.PI, 1.5 * Math.PI];

/** What of triangles is drawn, nine figures each. */
class Corners {
  readonly all: number[] = [];
  push(a: Corner, b: Corner, c: Corner): void {
    this.all.push(...a, ...c, ...b);
  }
}

type Point = readonly [x: number, r: number];
const pointsOf = (ring: ArrayLike<number>): readonly Point[] =>
  Array.from({ length: ring.length / 2 }, (_, i) => [ring[2 * i] ?? 0, Math.max(0, ring[2 * i + 1] ?? 0)] as const);
const areaOf = (ring: readonly Point[]): number =>
  ring.reduce((sum, [x, r], i) => {
    const [nx, nr] = ring[(i + 1) % ring.length] ?? [x, r];
    return sum + x * nr - nx * r;
  }, 0) / 2;
/** The metal lies at the left of the way round. */
const wound = (ring: readonly Point[], left: boolean): readonly Point[] => (areaOf(ring) > 0 === left ? ring : ring.toReversed());

/** The skin that a ring makes going round; where metal lies at its left it faces outwards. */
function skinOf(ring: readonly Point[], into: Corners, round: number, strips: number): void {
  const at = ([x, r]: Point, i: number): Corner => {
    const angle = FROM + (round * i) / strips;
    return [x, r * Math.cos(angle), r * Math.sin(angle)];
  };
  ring.forEach((a, k) => {
    const b = ring[(k + 1) % ring.length] ?? a;
    if (a[1] === 0 && b[1] === 0) return;
    for (let i = 0; i < strips; i++) {
      if (a[1] > 0) into.push(at(a, i), at(a, i + 1), at(b, i));
      if (b[1] > 0) into.push(at(a, i + 1), at(b, i + 1), at(b, i));
    }
  });
}

/** Stock of the proof as a solid with the quarter open through which one looks into it; its two faces are the section. Lengths in mm, x as the region has it. */
export function regionSolid(region: Region): Cut {
  const [skin, faces] = [new Corners(), new Corners()];
  for (const rings of region) {
    const [outer, ...holes] = rings.map((ring, i) => wound(pointsOf(ring), i === 0));
    if (!outer) continue;
    for (const ring of [outer, ...holes]) skinOf(ring, skin, ROUND, STRIPS);
    const all = [outer, ...holes].flat();
    const flat = (ring: readonly Point[]) => ring.map(([x, r]) => new Vector2(x, r));
    for (const [a = 0, b = 0, c = 0] of ShapeUtils.triangulateShape(flat(outer), holes.map(flat))) {
      // towards the operator, and upwards
      const [level, upright] = [
        [a, b, c].map((i): Corner => [all[i]?.[0] ?? 0, -(all[i]?.[1] ?? 0), 0]),
        [a, c, b].map((i): Corner => [all[i]?.[0] ?? 0, 0, all[i]?.[1] ?? 0]),
      ];
      for (const [p, q, s] of [level, upright]) if (p && q && s) faces.push(p, q, s);
    }
  }
  return { corners: new Float32Array([...skin.all, ...faces.all]), metal: skin.all.length / 3, edges: new Float32Array() };
}

/** A body that goes round with its quarter open as well: a chuck, a centre. */
export const roundBody = (outline: Convex): Float32Array<ArrayBuffer> => regionSolid([[Float64Array.from(outline.flat())]]).corners;

/** A body that stands in a plane through the axis, so thick: a jaw, a tool. @param angle degrees from the operator's side upwards */
export function flatBody(outline: Convex, thick: number, angle = 0): Float32Array<ArrayBuffer> {
  const [c, s] = [Math.cos((angle * Math.PI) / 180), Math.sin((angle * Math.PI) / 180)];
  const face = (off: number) => outline.map(([x, r]): Corner => [x, -r * c + off * s, r * s + off * c]);
  return new Float32Array(bodyBetween(face(-thick / 2), face(thick / 2)).flat(2));
}
