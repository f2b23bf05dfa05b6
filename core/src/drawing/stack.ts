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

/** The links between two faces, fewest first; undefined where nothing connects them. */
function pathBetween<L extends Pick<Distance, 'a' | 'b'>>(distances: readonly L[], a: string, b: string): readonly L[] | undefined {
  const reached = new Map<string, readonly L[]>([[a, []]]);
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

/** Working dimensions when all lengths are cut from one face, which may be another than the one they are drawn from. */
export function workingLengths(part: Pick<Part, 'faces' | 'distances'>, from: string): readonly WorkingLength[] {
  const faces = [...middles(part, from).keys()].filter((f) => f !== from);
  return toleranceChart(
    part,
    faces.map((face) => [from, face] as const),
  ).map(({ to, min, max, direct }) => ({ face: to, min, max, direct }));
}

/** A length that is cut: from the face that is zero to the one that is made. */
export interface CutLength extends Omit<WorkingLength, 'face'> {
  readonly from: string;
  readonly to: string;
}

/**
 * What to cut to where each face is made from another, setup by setup. A drawn length takes the sum of the working tolerances on the way between its faces; they are
 * allotted max-min: the smallest is as large as it can be, then the next.
 * @source tolerance chart; common practice
 */
export function toleranceChart(
  part: Pick<Part, 'faces' | 'distances'>,
  cuts: readonly (readonly [from: string, to: string])[],
): readonly CutLength[] {
  const edges = cuts.map(([a, b], i) => ({ id: String(i), a, b }));
  const [first] = cuts;
  const middle = middles(part, first?.[0] ?? '');
  const bounds = part.distances.flatMap((d) => {
    const way = pathBetween(edges, d.a, d.b);
    return way && way.length > 0 ? [{ edges: way.map((e) => e.id), room: (d.limits.max - d.limits.min) / 2 }] : [];
  });
  const half = new Map<string, number>();
  let open = edges.map((e) => e.id);
  while (open.length > 0) {
    // raise all that are still open together until the first length is used up
    const shares = bounds.flatMap((b) => {
      const free = b.edges.filter((e) => open.includes(e));
      return free.length === 0 ? [] : [{ share: (b.room - b.edges.reduce((sum, e) => sum + (half.get(e) ?? 0), 0)) / free.length, free }];
    });
    const least = Math.min(...shares.map((s) => s.share));
    const settled = new Set(shares.filter((s) => s.share <= least + 1e-12).flatMap((s) => s.free));
    if (settled.size === 0) break;
    for (const e of settled) half.set(e, Math.max(0, least));
    open = open.filter((e) => !settled.has(e));
  }
  return edges.flatMap(({ id, a, b }) => {
    const [za, zb] = [middle.get(a), middle.get(b)];
    const allotted = half.get(id);
    // nothing drawn hangs on it
    if (za === undefined || zb === undefined || allotted === undefined) return [];
    const of = { middle: tidy(Math.abs(zb - za)), half: tidy(allotted) };
    return [
      {
        from: a,
        to: b,
        min: figure('length', 'workingLeast', of, { step: 0.01 }),
        max: figure('length', 'workingMost', of, { step: 0.01 }),
        direct: part.distances.some((d) => (d.a === a && d.b === b) || (d.b === a && d.a === b)),
      },
    ];
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
