import { alike, MM_PER_INCH, PLACE, ROUNDING, tidy } from '../quantity';

/** One train: drivers over driven wheels, compound where there are two of each. */
export interface GearTrain {
  readonly drivers: readonly number[];
  readonly driven: readonly number[];
  /** what it cuts, mm */
  readonly pitch: number;
  /** parts in a million of the pitch; 0 is exact */
  readonly error: number;
  /** that error over 25 mm of thread, mm */
  readonly per25: number;
}

export interface GearsAsked {
  /** wanted, mm */
  readonly pitch: number;
  /** of the leadscrew, mm */
  readonly leadscrew: number;
  /** wheels in the drawer, each as often as it is there */
  readonly gears: readonly number[];
  /** turns of the leadscrew for one of the last wheel, by lever of a gearbox; 1 without one */
  readonly box?: number;
  /** largest error that is listed, parts in a million */
  readonly within?: number;
}

/** Trains for a pitch, simple and compound, exact first, then by error; no wheel is used twice. @source pitch = leadscrew x drivers / driven, exact arithmetic */
export function gearTrains({ pitch, leadscrew, gears, box = 1, within = 1000 }: GearsAsked): readonly GearTrain[] {
  if (!(pitch > 0 && leadscrew > 0 && box > 0))
    throw new RangeError(`pitch ${pitch} mm, leadscrew ${leadscrew} mm and box ${box} must be more than zero`);
  const wanted = pitch / (leadscrew * box);
  const found = new Map<string, GearTrain>();
  const keep = (drivers: readonly number[], driven: readonly number[]) => {
    const ratio = drivers.reduce((a, b) => a * b, 1) / driven.reduce((a, b) => a * b, 1);
    const error = 1e6 * (ratio / wanted - 1);
    if (Math.abs(error) > within) return;
    const exact = Math.abs(error) < PLACE;
    const [top, bottom] = [[...drivers].sort((a, b) => a - b), [...driven].sort((a, b) => a - b)];
    found.set(`${top.join(' ')}/${bottom.join(' ')}`, {
      drivers: top,
      driven: bottom,
      pitch: tidy(ratio * leadscrew * box),
      error: exact ? 0 : error,
      per25: exact ? 0 : (error * 25) / 1e6,
    });
  };
  gears.forEach((a, i) => {
    gears.forEach((b, j) => {
      if (j !== i) keep([a], [b]);
    });
  });
  // two drivers from pairs, two driven from the wheels that are left: the driven pairs are sorted by product and looked up
  const pairs = gears
    .flatMap((a, i) => gears.slice(i + 1).map((b, k) => ({ a, b, i, j: i + 1 + k, product: a * b })))
    .toSorted((p, q) => p.product - q.product);
  for (const top of pairs) {
    const centre = top.product / wanted;
    for (let at = firstFrom(pairs, centre * (1 - within / 1e6)); at < pairs.length; at++) {
      const bottom = pairs[at];
      if (!bottom || bottom.product > centre * (1 + within / 1e6) * (1 + ROUNDING)) break;
      if (new Set([top.i, top.j, bottom.i, bottom.j]).size === 4) keep([top.a, top.b], [bottom.a, bottom.b]);
    }
  }
  return [...found.values()].toSorted((p, q) => Math.abs(p.error) - Math.abs(q.error) || p.drivers.length - q.drivers.length || sum(p) - sum(q));
}

const sum = (train: GearTrain) => [...train.drivers, ...train.driven].reduce((a, b) => a + b, 0);

/** Index of the first pair whose product is not under `least`. */
function firstFrom(pairs: readonly { readonly product: number }[], least: number): number {
  let [low, high] = [0, pairs.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((pairs[middle]?.product ?? 0) < least) low = middle + 1;
    else high = middle;
  }
  return low;
}

/**
 * Marks of a thread dial, counted from the one that was used first, at which the half-nuts may be closed again; inch leadscrews.
 * @param marks on the dial
 * @param wheel teeth of its worm wheel
 * @param screw threads to the inch of the leadscrew
 * @param tpi threads to the inch that are cut
 * @source mark k fits where k x wheel x tpi / (marks x screw) is whole, exact arithmetic
 */
export function dialMarks(marks: number, wheel: number, screw: number, tpi: number): readonly number[] {
  return Array.from({ length: marks }, (_, k) => k).filter((k) => isWhole((k * wheel * tpi) / (marks * screw)));
}

const isWhole = (value: number) => alike(value, Math.round(value), ROUNDING);

/**
 * Threads to the inch of a pitch in mm.
 * @example tpiOf(1.27) // 20
 */
export const tpiOf = (pitch: number): number => MM_PER_INCH / pitch;

/**
 * Whether the half-nuts may be opened while this thread is cut: anywhere where the leadscrew's pitch is a whole multiple of it; by the dial where both are of one
 * system; else they stay closed and the lathe is reversed.
 * @param pitch and `leadscrew` in mm
 * @param oneSystem both inch or both metric
 * @source half-nut, common practice; exact arithmetic
 * @example halfNuts(2, 6, true) // 'anywhere'
 */
export const halfNuts = (pitch: number, leadscrew: number, oneSystem: boolean): 'anywhere' | 'by the dial' | 'keep closed' =>
  isWhole(leadscrew / pitch) ? 'anywhere' : oneSystem ? 'by the dial' : 'keep closed';

/** A drawer of change wheels as many lathes have it: 20 to 120 by fives, two of 20 and 40, with 63 and 127. @source common practice */
export const usualWheels: readonly number[] = [20, 20, 25, 30, 35, 40, 40, 45, 50, 55, 60, 63, 65, 70, 75, 80, 100, 120, 127];
