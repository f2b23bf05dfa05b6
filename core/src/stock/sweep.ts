import { alike, PLACE } from '../quantity';
import { type Contour, flattened } from '../drawing';
import { polygon, rectangle, type Region } from './region';

/** Far enough out to be beyond any bar, mm. */
const BEYOND = 1000;

/** Everything outside a radius between two z: what turning to that radius sweeps. */
export const turned = (zFrom: number, zTo: number, radius: number): Region => rectangle(zFrom, zTo, radius, BEYOND);

/** Everything beyond a face: right of z for the right end, left of it for the left. */
export const faced = (z: number, end: 'right' | 'left'): Region => rectangle(z, end === 'right' ? BEYOND : -BEYOND, -1, BEYOND);

/** What a straight line from (z0, r0) to (z1, r1) cuts away on its outer side: the triangle and all beyond it. */
export const chamfered = (z0: number, r0: number, z1: number, r1: number): Region =>
  polygon([
    [z0, r0],
    [z1, r1],
    [z1, BEYOND],
    [z0, BEYOND],
  ]);

/** A drilled hole from its mouth: inward is -1 from the right end, +1 from the left. */
export function drilled(mouth: number, depth: number, radius: number, half: number, end: 'right' | 'left'): Region {
  const inward = end === 'right' ? -1 : 1;
  const out = mouth - inward * BEYOND;
  const bottom = mouth + inward * depth;
  const cone = half >= 90 ? 0 : radius / Math.tan((half * Math.PI) / 180);
  return polygon([
    [out, -1],
    [out, radius],
    [bottom, radius],
    [bottom + inward * cone, 0],
    [bottom + inward * cone, -1],
  ]);
}

/** A centre hole: its 60 degree cone from the face, the pilot, and the tip of 118 degrees that counts in its depth; mm. */
export function centred(
  face: number,
  centre: { readonly pilot: number; readonly mouth: number; readonly depth: number },
  end: 'right' | 'left',
): Region {
  const inward = end === 'right' ? -1 : 1;
  const [pilot, mouth] = [centre.pilot / 2, centre.mouth / 2];
  const cone = (mouth - pilot) / Math.tan(Math.PI / 6);
  const tip = Math.min(pilot / Math.tan((59 * Math.PI) / 180), Math.max(0, centre.depth - cone));
  const at = (deep: number) => face + inward * deep;
  return polygon([
    [at(-BEYOND), -1],
    [at(-BEYOND), mouth],
    [face, mouth],
    [at(cone), pilot],
    [at(centre.depth - tip), pilot],
    [at(centre.depth), 0],
    [at(centre.depth), -1],
  ]);
}

/** Chords of the quarter circle of a nose. */
const CHORDS = 4;

/**
 * What a round nose leaves in a square corner at (z, r): the metal between the corner and its arc. `along` is where the cut comes from along the axis, +1 towards larger
 * z; `out` +1 for a corner cut from outside, -1 for one in a bore. mm
 */
export function noseCorner(z: number, r: number, nose: number, along: 1 | -1, out: 1 | -1): Region {
  return polygon([[z, r], ...noseArc(z, r, nose, along, out)]);
}

/** From the shoulder round to the surface. */
function noseArc(z: number, r: number, nose: number, along: 1 | -1, out: 1 | -1): readonly (readonly [number, number])[] {
  const [cz, cr] = [z + along * nose, r + out * nose];
  return Array.from({ length: CHORDS + 1 }, (_, i): readonly [number, number] => {
    const turn = (i / CHORDS) * (Math.PI / 2);
    return [cz - along * nose * Math.cos(turn), cr - out * nose * Math.sin(turn)];
  });
}

/** What turning to a radius up to a shoulder sweeps with a round nose: all but its corner there, mm. */
export function turnedToShoulder(zFrom: number, zTo: number, radius: number, nose: number): Region {
  if (nose <= 0 || Math.abs(zFrom - zTo) <= nose) return turned(zFrom, zTo, radius);
  return polygon([[zTo, BEYOND], ...noseArc(zTo, radius, nose, zFrom > zTo ? 1 : -1, 1), [zFrom, radius], [zFrom, BEYOND]]);
}

/** The form of a thread in a plane through its axis: radii of its crests, of its roots and of its pitch line; half the angle between its flanks, degrees. mm */
interface ThreadForm {
  readonly pitch: number;
  readonly crest: number;
  readonly root: number;
  readonly mean: number;
  readonly half: number;
}

/** How far over its crests a groove is swept, in pitches. */
const OVER = 0.05;

/**
 * What a thread sweeps in the plane through its axis: a groove each pitch, from its mouth inwards (-1 from the right, +1 from the left) as far as whole grooves go.
 * On the other side of the axis they lie half a lead further; the volume of each is that of a turn of the helix. @source Pappus and Guldin: the same section, moved along
 * the axis as it turns, sweeps the same volume
 */
export function threaded(mouth: number, inward: 1 | -1, long: number, { pitch, crest, root, mean, half }: ThreadForm): Region {
  const out = root < crest ? 1 : -1;
  const top = crest + out * OVER * pitch;
  const wide = (r: number) => Math.max(0.01 * pitch, pitch / 4 + out * (r - mean) * Math.tan((half * Math.PI) / 180));
  const [atTop, atRoot] = [Math.min(wide(top), 0.49 * pitch), wide(root)];
  const grooves = Math.floor((long - atTop) / pitch + PLACE) + 1;
  return Array.from({ length: Math.max(0, grooves) }, (_, i) => mouth + inward * i * pitch).flatMap((z) =>
    polygon([
      [z - atRoot, root],
      [z + atRoot, root],
      [z + atTop, top],
      [z - atTop, top],
    ]),
  );
}

/** The part as seen from outside, holes and face grooves filled: between its centre line and the outline from the right end's rim to the left end's. */
export function silhouetteOf(contour: Contour): Region {
  const points = flattened(contour, 0.01);
  const rim = (z: number) => points.reduce((best, p, i) => (alike(p.z, z) && p.r > (points[best]?.r ?? -1) ? i : best), -1);
  const [right, left] = [rim(Math.max(...points.map((p) => p.z))), rim(Math.min(...points.map((p) => p.z)))];
  const outer = right <= left ? points.slice(right, left + 1) : [...points.slice(right), ...points.slice(0, left + 1)];
  const [first, last] = [outer[0], outer.at(-1)];
  return first && last ? polygon([[first.z, 0], ...outer.map((p) => [p.z, p.r] as const), [last.z, 0]]) : [];
}

/** The finished part as a region. */
export const regionOf = (contour: Contour): Region => (contour.length === 0 ? [] : polygon(flattened(contour).map(({ z, r }) => [z, r] as const)));
