import type { Limits } from '../drawing';
import { type SizedKind, towardsOf } from './belief';

/** Shares of the strip: the way there by decades, the limits, and what is past them. */
const [WAY, BAND] = [0.7, 0.18];

/** A strip on which every reading of a size stands on its way to its limits. */
export interface Run {
  /** where a size stands, 0 to 1 from the left; what is further off than the strip begins stands at its begin */
  readonly at: (size: number) => number;
  /** where the limits begin and end */
  readonly band: readonly [number, number];
  /** what is still to come off at each line between decades, mm, and where that stands */
  readonly decades: readonly { readonly rest: number; readonly at: number }[];
}

/**
 * The scale of a run to size: what is still to come off until the limits are reached, each decade as wide as the last, so that a tenth, a hundredth and a thousandth are
 * seen as well as a millimetre; within the limits and past them evenly.
 * @param most what is furthest from the limits of all that is shown, a size in mm
 */
export function runToSize(wanted: Limits, kind: SizedKind, most: number): Run {
  const towards = towardsOf({ kind });
  const tolerance = wanted.max - wanted.min;
  // the limit that is reached first, and how far a size is before it
  const first = towards === 1 ? wanted.max : wanted.min;
  const before = (size: number) => towards * (size - first);
  // the nearest decade that says something beside the tolerance
  const low = Math.floor(Math.log10(Math.max(tolerance, 1e-6) / 3));
  const high = Math.max(low + 1, Math.ceil(Math.log10(Math.max(before(most), 1e-6)) - 1e-9));
  const steps = high - low;
  const at = (size: number): number => {
    const rest = before(size);
    if (rest > 0) return Math.max(0, WAY * Math.min(1, (high - Math.log10(Math.max(rest, 10 ** low))) / steps));
    const into = -rest / tolerance;
    return into <= 1 ? WAY + BAND * into : Math.min(1, WAY + BAND + (1 - WAY - BAND) * Math.min(1, into - 1));
  };
  return { at, band: [WAY, WAY + BAND], decades: Array.from({ length: steps }, (_, i) => ({ rest: 10 ** (high - i), at: (WAY * i) / steps })) };
}

/**
 * A chance as people say it: 'sure', '19 in 20', '1 in 400', 'hardly ever'.
 * @example oddsSaid(0.95) // '19 in 20'
 */
export function oddsSaid(chance: number): string {
  const share = chance > 0.5 ? 1 - chance : chance;
  if (share < 1 / 2000) return chance > 0.5 ? 'as good as sure' : 'hardly ever';
  if (share > 0.4) return '1 in 2';
  const of = [3, 4, 5, 6, 8, 10, 20, 50, 100, 200, 400, 1000].reduce((best, n) =>
    Math.abs(Math.log(n * share)) < Math.abs(Math.log(best * share)) ? n : best,
  );
  return chance > 0.5 ? `${String(of - 1)} in ${String(of)}` : `1 in ${String(of)}`;
}
