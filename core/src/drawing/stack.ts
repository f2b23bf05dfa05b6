import { type Figure, figure, say, type Sentence, tidy } from '../quantity';
import type { Distance, Part } from './types';

export interface Stack {
  readonly nominal: Figure;
  /** at worst */
  readonly max: Figure;
  readonly min: Figure;
  /** six standard deviations, each tolerance taken for six of its own */
  readonly spread: Figure;
  /** the lengths that it comes from, in order */
  readonly through: readonly string[];
  readonly says: Sentence;
}

/**
 * Nominal and worst limits of the distance between two faces of a part, from the lengths as drawn; undefined where they do not connect.
 * `a` and `b` name faces: 'right', 'left', '<row>.far'.
 * @source worst case: tolerances add; likely: root of the sum of squares, six standard deviations to a tolerance; common practice
 */
export function stackOf(part: Pick<Part, 'faces' | 'distances'>, a: string, b: string): Stack | undefined {
  const path = pathBetween(part.distances, a, b);
  const [za, zb] = [part.faces[a], part.faces[b]];
  if (!path || za === undefined || zb === undefined) return undefined;
  // seen from the right-hand face of the two
  const [first] = za >= zb ? [a] : [b];
  let at = first;
  const [nominal, max, min]: [number[], number[], number[]] = [[], [], []];
  for (const d of za >= zb ? path : path.toReversed()) {
    const ahead = d.a === at;
    at = ahead ? d.b : d.a;
    nominal.push(ahead ? d.limits.nominal : -d.limits.nominal);
    max.push(ahead ? d.limits.max : -d.limits.min);
    min.push(ahead ? d.limits.min : -d.limits.max);
  }
  const sum = (lengths: readonly number[]) => figure('length', 'stackSum', { lengths }, { step: 0.01 });
  const spread = figure('length', 'stackSpread', { tolerances: path.map((d) => tidy(d.limits.max - d.limits.min)) }, { step: 0.01 });
  const worst = { max: sum(max), min: sum(min) };
  return {
    nominal: sum(nominal),
    ...worst,
    spread,
    through: path.map((d) => d.id),
    says: say`${worst.min} to ${worst.max} at worst, through ${path.length} ${path.length === 1 ? 'length' : 'lengths'}; ${spread} spread is likely`,
  };
}

function pathBetween(distances: readonly Distance[], a: string, b: string): readonly Distance[] | undefined {
  const reached = new Map<string, readonly Distance[]>([[a, []]]);
  for (const face of reached.keys()) {
    const path = reached.get(face) ?? [];
    if (face === b) return path;
    for (const d of distances) {
      const next = d.a === face ? d.b : d.b === face ? d.a : undefined;
      if (next !== undefined && !reached.has(next)) reached.set(next, [...path, d]);
    }
  }
  return undefined;
}

/** What to cut to from one face, so that every length as drawn comes out. */
export interface WorkingLength {
  readonly face: string;
  /** from the face worked from: they hold the drawing's limits whatever the others do within theirs */
  readonly min: Figure;
  readonly max: Figure;
  /** drawn from this very face: nothing is lost */
  readonly direct: boolean;
}

/**
 * Working dimensions when lengths are cut from another face than the one they are drawn from. A drawn length between two other faces takes the sum of two working
 * tolerances; they are allotted max-min: the smallest is as large as it can be, then the next.
 * @source tolerance chart; common practice
 */
export function workingLengths(part: Pick<Part, 'faces' | 'distances'>, from: string): readonly WorkingLength[] {
  const middle = middles(part, from);
  const faces = [...middle.keys()].filter((f) => f !== from);
  const bounds = part.distances
    .filter((d) => middle.has(d.a) && middle.has(d.b))
    .map((d) => ({ faces: [d.a, d.b].filter((f) => f !== from), room: (d.limits.max - d.limits.min) / 2 }));
  const half = new Map<string, number>();
  let open = faces;
  while (open.length > 0) {
    // raise all that are still open together until the first length is used up
    const shares = bounds.flatMap((b) => {
      const free = b.faces.filter((f) => open.includes(f));
      return free.length === 0 ? [] : [{ share: (b.room - b.faces.reduce((sum, f) => sum + (half.get(f) ?? 0), 0)) / free.length, free }];
    });
    const least = Math.min(...shares.map((s) => s.share));
    const settled = new Set(shares.filter((s) => s.share <= least + 1e-12).flatMap((s) => s.free));
    if (settled.size === 0) break;
    for (const f of settled) half.set(f, Math.max(0, least));
    open = open.filter((f) => !settled.has(f));
  }
  return faces.map((face) => {
    const at = Math.abs(middle.get(face) ?? 0);
    const of = { middle: tidy(at), half: tidy(half.get(face) ?? 0) };
    return {
      face,
      min: figure('length', 'workingLeast', of, { step: 0.01 }),
      max: figure('length', 'workingMost', of, { step: 0.01 }),
      direct: part.distances.some((d) => (d.a === from && d.b === face) || (d.b === from && d.a === face)),
    };
  });
}

/** Where each face lies from one of them when every length is in the middle of its limits. */
function middles(part: Pick<Part, 'distances'>, from: string): ReadonlyMap<string, number> {
  const at = new Map<string, number>([[from, 0]]);
  for (const face of at.keys()) {
    const z = at.get(face) ?? 0;
    for (const d of part.distances) {
      const by = (d.limits.max + d.limits.min) / 2;
      if (d.a === face && !at.has(d.b)) at.set(d.b, z - by);
      if (d.b === face && !at.has(d.a)) at.set(d.a, z + by);
    }
  }
  return at;
}
