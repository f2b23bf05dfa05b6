import type { Cell, Gauge } from '../document';
import type { Characteristic, Limits, Part } from '../drawing';
import { MM_PER_INCH, parseLength, type Units } from '../quantity';
import { coldBy } from '../shop';
import { materialOf } from '../standards';
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
 * @param readings all that is shown, sizes in mm
 * @param units the decades are of millimetres or of inches
 */
export function runToSize(wanted: Limits, kind: SizedKind, readings: readonly number[], units: Units): Run {
  const unit = units === 'in' ? MM_PER_INCH : 1;
  const towards = towardsOf({ kind });
  const tolerance = wanted.max - wanted.min;
  // the limit that is reached first, and how far a size is before it
  const first = towards === 1 ? wanted.max : wanted.min;
  const before = (size: number) => (towards * (size - first)) / unit;
  const most = Math.max(...readings.map(before), 1e-6);
  // the nearest decade that says something beside the tolerance
  const low = Math.floor(Math.log10(Math.max(tolerance / unit, 1e-6) / 3));
  const high = Math.max(low + 1, Math.ceil(Math.log10(most) - 1e-9));
  const steps = high - low;
  const at = (size: number): number => {
    const rest = before(size);
    if (rest > 0) return Math.max(0, WAY * Math.min(1, (high - Math.log10(Math.max(rest, 10 ** low))) / steps));
    const into = (-rest * unit) / tolerance;
    return into <= 1 ? WAY + BAND * into : Math.min(1, WAY + BAND + (1 - WAY - BAND) * Math.min(1, into - 1));
  };
  return {
    at,
    band: [WAY, WAY + BAND],
    decades: Array.from({ length: steps }, (_, i) => ({ rest: unit * 10 ** (high - i), at: (WAY * i) / steps })),
  };
}

/** A reading as it was written down. */
export interface Read {
  readonly value: Cell;
  readonly celsius?: number | undefined;
  readonly room?: number | undefined;
  readonly gauge?: string | undefined;
}

/**
 * Readings as they would be at 20 degrees, mm; what is no size is left out.
 * @source ISO 1, linear expansion
 */
export const coldReadings = (read: readonly Read[], material: string, gauges: readonly Gauge[]): readonly number[] =>
  read.flatMap(({ value, celsius, room, gauge }) => {
    const size = parseLength(value.text, value.units);
    const taken = { ...(celsius !== undefined && { celsius }), ...(room !== undefined && { room }) };
    const by = gauges.find((g) => g.id === gauge);
    return size.ok ? [coldBy(size.value, taken, by, materialOf(material).alpha)] : [];
  });

/** Which way a size comes to its limits; undefined for what is not brought there by cutting. */
export function kindOfSize(part: Pick<Part, 'features'>, { is, of }: Pick<Characteristic, 'is' | 'of'>): SizedKind | undefined {
  if (is === 'length') return 'length';
  if (is !== 'diameter') return undefined;
  return part.features.some((f) => f.id === of && f.side !== 'outside') ? 'bore' : 'outside';
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
