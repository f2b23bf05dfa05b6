import { alike, MM_PER_INCH, nearestFraction, parseLength, tidy } from '../quantity';
import { jobberFlutes, letterDrills, numberDrills } from './drills.table';

export type DrillSet = 'number' | 'letter' | 'fraction' | 'metric';

export interface Drill {
  /** '#7', 'letter F', '13/64', '6.8' */
  readonly name: string;
  readonly set: DrillSet;
  /** mm */
  readonly diameter: number;
}

const inches = (set: DrillSet, name: string, inch: number): Drill => ({ name, set, diameter: tidy(inch * MM_PER_INCH) });

/**
 * A drill by its name: '#7', 'No. 7', 'letter F', '13/64' (steps of 1/64 to 2 in), '6.8', '6.8 mm' (as far as the metric index goes).
 * @source number and letter drill table, from memory
 * @example drillNamed('letter H')?.diameter // 6.7564
 */
export function drillNamed(text: string): Drill | undefined {
  const t = text.trim();
  const number = /^(?:#|no\.?\s*)(\d{1,2})$/i.exec(t)?.[1];
  if (number !== undefined) {
    const inch = numberDrills[String(Number(number))];
    return inch === undefined ? undefined : inches('number', `#${String(Number(number))}`, inch);
  }
  const letter = /^letter\s+([a-z])$/i.exec(t)?.[1]?.toUpperCase();
  if (letter !== undefined) {
    const inch = letterDrills[letter];
    return inch === undefined ? undefined : inches('letter', `letter ${letter}`, inch);
  }
  const read = parseLength(t, 'mm');
  if (!read.ok) return undefined;
  return drillIndex(t.includes('/') || /in|["”]/.test(t) ? 'fraction' : 'metric').find((d) => alike(d.diameter, read.value));
}

const made = new Map<DrillSet, readonly Drill[]>();

/** Every drill of a set, by size. Metric by 0.05 mm to 3, by 0.1 to 16, by 0.5 to 32 (common practice); fractions by 1/64 to 2 in. */
export function drillIndex(set: DrillSet): readonly Drill[] {
  const before = made.get(set);
  if (before) return before;
  const all = makeIndex(set).toSorted((a, b) => a.diameter - b.diameter);
  made.set(set, all);
  return all;
}

function makeIndex(set: DrillSet): readonly Drill[] {
  if (set === 'number') return Object.entries(numberDrills).map(([name, inch]) => inches('number', `#${name}`, inch));
  if (set === 'letter') return Object.entries(letterDrills).map(([name, inch]) => inches('letter', `letter ${name}`, inch));
  if (set === 'fraction') return Array.from({ length: 128 }, (_, i) => inches('fraction', fractionName((i + 1) / 64), (i + 1) / 64));
  const steps = (from: number, to: number, by: number) => Array.from({ length: Math.round((to - from) / by) }, (_, i) => tidy(from + i * by));
  return [...steps(0.5, 3, 0.05), ...steps(3, 16, 0.1), ...steps(16, 32.5, 0.5)].map((diameter) => ({
    name: String(diameter),
    set: 'metric',
    diameter,
  }));
}

/** '13/64', '1 1/8', and '1"' where there is no fraction to show that it is inches. */
function fractionName(inch: number): string {
  const name = nearestFraction(inch) ?? String(inch);
  return name.includes('/') ? name : `${name}"`;
}

/**
 * How long the flutes of a usual (jobber) drill of this diameter are, mm; above 20 mm as at 20.
 * @source ISO 235, from memory
 * @example flutesOf(6.8) // 69
 */
export const flutesOf = (diameter: number): number =>
  (jobberFlutes.find(([upTo]) => diameter <= upTo || alike(diameter, upTo)) ?? jobberFlutes.at(-1))?.[1] ?? 0;

export interface NearDrill extends Drill {
  /** drill less the size asked for, mm */
  readonly off: number;
}

const MOST_DRILLS = 8;

/**
 * The drills of these sets that lie nearest to a size in mm, nearest first; at most eight.
 * @example nearestDrills(5.11, ['number']).map((d) => d.name)[0] // '#7'
 */
export function nearestDrills(mm: number, sets: readonly DrillSet[] = ['number', 'letter', 'fraction', 'metric']): readonly NearDrill[] {
  return sets
    .flatMap((set) => {
      // each set is sorted: its nearest lie about the place where the size would stand
      const drills = drillIndex(set);
      const at = firstNotUnder(drills, mm);
      return drills.slice(Math.max(0, at - MOST_DRILLS), at + MOST_DRILLS);
    })
    .toSorted((a, b) => Math.abs(a.diameter - mm) - Math.abs(b.diameter - mm) || a.name.localeCompare(b.name))
    .slice(0, MOST_DRILLS)
    .map((drill) => ({ ...drill, off: tidy(drill.diameter - mm) }));
}

function firstNotUnder(drills: readonly Drill[], mm: number): number {
  let [low, high] = [0, drills.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((drills[middle]?.diameter ?? Infinity) < mm) low = middle + 1;
    else high = middle;
  }
  return low;
}
