import { atMost } from '../quantity';
import { deltaTable, itTable, jTable, mainDeviations, mainRanges, subDeviations, subRanges } from './limitsAndFits.table';

export interface Deviations {
  /** mm, from the nominal size */
  readonly upper: number;
  readonly lower: number;
}

/** Index of the range that holds `nominal`: over the one before, up to and including its own limit. */
function rangeOf(nominal: number, ranges: readonly number[]): number {
  return ranges.findIndex((limit) => atMost(nominal, limit));
}

/**
 * Upper and lower deviation of an ISO tolerance class ('h6', 'H7', 'js6') at a nominal size, both in mm.
 * Undefined when the class or the size is not in the table: sizes over 0 to 500 mm, classes as far as the tables go.
 * js and JS with an odd tolerance of IT7 to IT11 depend on the edition and are left out.
 * @source ISO 286-1 and -2:2010, from memory
 * @example toleranceClass(25, 'h6')?.lower // -0.013
 */
export function toleranceClass(nominal: number, text: string): Deviations | undefined {
  const parts = /^([A-Za-z]{1,2})(\d{1,2})$/.exec(text);
  const [, letters, grade] = parts ?? [];
  if (letters === undefined || grade === undefined || !(nominal > 0 && nominal <= 500)) return undefined;
  const isHole = letters === letters.toUpperCase();
  if (!isHole && letters !== letters.toLowerCase()) return undefined;
  const it = itTable[grade]?.[rangeOf(nominal, mainRanges)];
  if (it === undefined) return undefined;
  const um = isHole ? hole(nominal, letters, grade, it) : shaft(nominal, letters, Number(grade), it);
  return um && { upper: um.upper / 1000, lower: um.lower / 1000 };
}

type Micrometres = Deviations | undefined;

function shaft(nominal: number, letter: string, grade: number, it: number): Micrometres {
  if (letter === 'h') return { upper: 0, lower: -it };
  if (letter === 'js') return symmetric(it, grade);
  if (letter === 'j') {
    const ei = jTable[`j${String(grade)}`]?.[rangeOf(nominal, mainRanges)];
    return ei === undefined ? undefined : { upper: ei + it, lower: ei };
  }
  const magnitude = deviationOf(nominal, letter, grade);
  if (magnitude === undefined) return undefined;
  return letter < 'h' ? { upper: -magnitude, lower: -magnitude - it } : { upper: magnitude + it, lower: magnitude };
}

function hole(nominal: number, letters: string, gradeText: string, it: number): Micrometres {
  const grade = Number(gradeText);
  const letter = letters.toLowerCase();
  const main = rangeOf(nominal, mainRanges);
  if (letter === 'h') return { upper: it, lower: 0 };
  if (letter === 'js') return symmetric(it, grade);
  if (letter === 'j') {
    const es = jTable[`J${String(grade)}`]?.[main];
    return es === undefined ? undefined : { upper: es, lower: es - it };
  }
  const magnitude = deviationOf(nominal, letter, letter === 'k' ? 6 : grade);
  if (magnitude === undefined) return undefined;
  if (letter < 'h') return { upper: magnitude + it, lower: magnitude };
  // Delta is tabulated from IT3 up; under that a hole of K to ZC is not known here
  if (grade < 3 && nominal > 3) return undefined;
  const es = holeUpper(nominal, letter, grade, magnitude, deltaTable[gradeText]?.[main]);
  return es === undefined ? undefined : { upper: es, lower: es - it };
}

function holeUpper(nominal: number, letter: string, grade: number, magnitude: number, delta = 0): number | undefined {
  if (letter === 'k') return grade <= 8 ? -magnitude + delta : nominal <= 3 ? 0 : undefined;
  if (letter === 'm' && grade === 6 && nominal > 250 && nominal <= 315) return -9;
  if (letter === 'm') return -magnitude + (grade <= 8 ? delta : 0);
  if (letter === 'n') return grade <= 8 ? -magnitude + delta : nominal <= 3 ? -4 : 0;
  return -magnitude + (grade <= 7 ? delta : 0);
}

function symmetric(it: number, grade: number): Micrometres {
  return it % 2 === 1 && grade >= 7 && grade <= 11 ? undefined : { upper: it / 2, lower: -it / 2 };
}

/** Magnitude of the fundamental deviation of a shaft letter, in micrometres. */
function deviationOf(nominal: number, letter: string, grade: number): number | undefined {
  if (letter === 'k') return grade >= 4 && grade <= 7 ? mainDeviations['k']?.[rangeOf(nominal, mainRanges)] : 0;
  if (nominal <= 1 && (letter === 'a' || letter === 'b')) return undefined;
  const main = mainDeviations[letter]?.[rangeOf(nominal, mainRanges)];
  return main ?? subDeviations[letter]?.[rangeOf(nominal, subRanges)] ?? undefined;
}
