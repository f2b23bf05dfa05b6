import { say, type Sentence } from './figure';
import { isZero, readNumber } from './number';

export type Units = 'mm' | 'in';
export const MM_PER_INCH = 25.4;
/** Nothing turned from bar on a lathe that one person runs is longer: 10 m. */
export const LONGEST = 10_000;

/** A result that may hold problems; nothing here throws at what a person typed. */
export type Parsed<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problems: readonly { readonly at: string; readonly says: Sentence }[] };

export interface ReadLength {
  /** mm */
  readonly value: number;
  readonly units: Units;
  readonly rest: string;
}

const unitPattern = /^(mm|inches|inch|in|"|”|″|'')(?![a-z])\s*/i;

/** Reads a length at the start of a text, in mm. A unit mark or a fraction overrides `units`. */
export function readLength(text: string, units: Units): ReadLength | undefined {
  const number = readNumber(text);
  if (!number) return undefined;
  const mark = unitPattern.exec(number.rest);
  const said: Units | undefined = mark ? (mark[1]?.toLowerCase() === 'mm' ? 'mm' : 'in') : undefined;
  const own: Units = said ?? (number.fraction ? 'in' : units);
  return {
    value: own === 'in' ? number.value * MM_PER_INCH : number.value,
    units: own,
    rest: mark ? number.rest.slice(mark[0].length) : number.rest,
  };
}

/** A plain positive length, the whole text: '40', '1-1/2', '3/4"', '12,5 mm'. Zero, negative and over 10 m are problems. */
export function parseLength(text: string, units: Units): Parsed<number> {
  const fail = (says: Sentence): Parsed<number> => ({ ok: false, problems: [{ at: text, says }] });
  if (text.trim() === '') return fail(say`a length is missing`);
  if (/^\s*[-−]/.test(text)) return fail(say`“${text.trim()}” is negative; a length is more than zero`);
  const read = readLength(text, units);
  if (read?.rest !== '') return fail(say`“${text.trim()}” is not a length; write 40, 1-1/2 or 12.5 mm`);
  if (!(read.value > 0)) return fail(say`“${text.trim()}” is zero; a length is more than zero`);
  if (read.value > LONGEST) return fail(say`“${text.trim()}” is over 10 m; is the unit right?`);
  return { ok: true, value: read.value };
}

/** Two signed deviations after a size, in mm: '+/-0.05', '-0.02 -0.05', '+0 -.002', '+0.05/0', '-.001', '±.002'. Undefined when not understood. */
export function readDeviations(text: string, units: Units): { readonly upper: number; readonly lower: number } | undefined {
  const t = text.trim();
  const both = /^(?:\+\s*\/?\s*[-−]|±)\s*(.*)$/.exec(t);
  if (both) {
    const read = readLength(both[1] ?? '', units);
    return read?.rest === '' ? { upper: read.value, lower: -read.value } : undefined;
  }
  const values: number[] = [];
  let rest = t;
  while (rest !== '') {
    const sign = /^[/,]?\s*([+\-−])\s*/.exec(rest);
    // the second of two may be a bare zero: '+0.05/0'
    if (!sign && values.length === 1 && isZero(rest.replace(/^[/,]\s*/, ''))) {
      values.push(0);
      break;
    }
    if (!sign) return undefined;
    const read = readLength(rest.slice(sign[0].length), units);
    if (!read) return undefined;
    values.push(sign[1] === '+' ? read.value : -read.value);
    rest = read.rest;
  }
  const [a, b] = values;
  if (a === undefined || values.length > 2) return undefined;
  if (b === undefined) return { upper: Math.max(a, 0), lower: Math.min(a, 0) };
  return { upper: Math.max(a, b), lower: Math.min(a, b) };
}
