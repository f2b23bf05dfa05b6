import { type Limits, type Part, type Stack, stackOf } from '../drawing';
import { figure, type Figure, tidy } from '../quantity';
import { chartOf, type MadeLength } from './ledger';
import type { Route } from './route';

/* The lengths of all settings against those of the drawing: which face is made from which, and what of each drawn tolerance that leaves. */

/** A length of the drawing, and what it comes to. */
export interface DrawnLength {
  /** the row whose length it is, or 'overall' */
  readonly id: string;
  readonly a: string;
  readonly b: string;
  readonly limits: Limits;
  /** at worst, from the working lengths on its way; absent where it is not cut on the lathe */
  readonly comes?: Pick<Stack, 'min' | 'max'>;
  /** the faces that those working lengths make */
  readonly through: readonly string[];
  /** what is left of its tolerance */
  readonly left?: Figure;
  /** that is nothing to a person */
  readonly tight?: boolean;
}

/** Less than this of a tolerance is nothing to spare, mm. */
const SPARE = 0.0005;

export interface LengthChart {
  /** from the left end to the right one, z in mm */
  readonly faces: readonly { readonly name: string; readonly z: number }[];
  /** in the order in which they are cut */
  readonly made: readonly MadeLength[];
  readonly drawn: readonly DrawnLength[];
}

/**
 * Working lengths of a route and the drawn ones that hang on them. Every working length within its limits brings every drawn one within its own.
 * @source tolerance chart; common practice
 */
export function lengthChart({ setups }: Pick<Route, 'setups'>, part: Part): LengthChart {
  const made = chartOf(setups, part);
  const distances = made.map(({ from, to, min, max }) => {
    const [a, b] = (part.faces[from] ?? 0) > (part.faces[to] ?? 0) ? [from, to] : [to, from];
    return { id: to, a, b, limits: { nominal: tidy((min.value + max.value) / 2), min: min.value, max: max.value, from: 'general' as const } };
  });
  const drawn = part.distances.map(({ id, a, b, limits }): DrawnLength => {
    const comes = stackOf({ faces: part.faces, distances }, a, b);
    if (!comes) return { id, a, b, limits, through: [] };
    const working = distances.filter((d) => comes.through.includes(d.id)).map((d) => tidy(d.limits.max - d.limits.min));
    const left = figure('length', 'toleranceLeft', { drawn: tidy(limits.max - limits.min), working }, { step: 0.01 });
    return { id, a, b, limits, comes, through: comes.through, left, tight: left.value < SPARE };
  });
  const named = new Set([...made.flatMap((m) => [m.from, m.to]), ...drawn.flatMap((d) => [d.a, d.b])]);
  const faces = [...named].flatMap((name) => {
    const z = part.faces[name];
    return z === undefined ? [] : [{ name, z }];
  });
  return { faces: faces.toSorted((a, b) => a.z - b.z), made, drawn };
}
