import { atMost, exceeds, length, MM_PER_INCH, readDeviations, readLength, say, type Sentence, tidy, type Units } from '../quantity';
import { fitsB41 } from './fitsB41.table';
import { toleranceClass } from './limitsAndFits';

/** What a designation was read as, or what of it was not understood; never thrown. */
export type LookedUp<T> = (T & { readonly ok: true }) | { readonly ok: false; readonly says: Sentence; readonly nearest: readonly string[] };

/** Limits of size, mm. */
export interface SizeLimits {
  readonly nominal: number;
  readonly max: number;
  readonly min: number;
}

export interface Fit {
  readonly hole: SizeLimits;
  readonly shaft: SizeLimits;
  /** mm on diameter; negative is interference */
  readonly clearance: { readonly max: number; readonly min: number };
  readonly kind: 'clearance' | 'transition' | 'interference';
}

const no = (says: Sentence, ...nearest: readonly string[]) => ({ ok: false as const, says, nearest });

/** A size and the unit it is in: 'in' or an inch mark at its end, or a fraction, makes inches; millimetres otherwise. */
function readSize(text: string): { readonly nominal: number; readonly units: Units; readonly rest: string } | undefined {
  const t = text.trim();
  const units: Units = /(?:\bin|inch|["”])\s*$/i.test(t) ? 'in' : 'mm';
  const read = readLength(t.replace(/\s*\b(?:in|inch)\s*$/i, ''), units);
  return read && { nominal: tidy(read.value), units: read.units, rest: read.rest.trim() };
}

/**
 * Limits of a size, mm: '25 h6', '50 H7', '10 js7', '1.000 +.000 -.002 in', '25 +/-0.05'. Classes over 0 to 500 mm.
 * @source ISO 286-1 and -2:2010, from memory; a class the tables do not hold says so
 * @example sizeLimits('25 H7').ok // true
 */
export function sizeLimits(text: string): LookedUp<SizeLimits> {
  const size = readSize(text);
  if (!size || !(size.nominal > 0)) return no(say`“${text.trim()}” does not begin with a size; write 25 h6 or 1.000 +.000 -.002 in`, '25 h6');
  if (size.rest === '') return no(say`“${text.trim()}” has no tolerance; write ${text.trim()} h6 or ${text.trim()} +/-0.05`, `${text.trim()} h6`);
  const named = /^([A-Za-z]{1,2})\s?(\d{1,2})$/.exec(size.rest);
  if (named) return ofClass(size.nominal, `${named[1] ?? ''}${named[2] ?? ''}`);
  const typed = readDeviations(size.rest, size.units);
  if (!typed) return no(say`“${size.rest}” is no tolerance; write h6, +/-0.05 or +0 -0.02`);
  const limits = { nominal: size.nominal, max: tidy(size.nominal + typed.upper), min: tidy(size.nominal + typed.lower) };
  return limits.min > 0 ? { ok: true, ...limits } : no(say`the tolerance of “${text.trim()}” goes below zero`);
}

function ofClass(nominal: number, name: string): LookedUp<SizeLimits> {
  const deviation = toleranceClass(nominal, name);
  if (!deviation) {
    return nominal > 500
      ? no(say`${name} at ${length(nominal)} is not in this table, which ends at 500 mm`)
      : /^js/i.test(name)
        ? no(say`${name} at ${length(nominal)} is not in this table: editions of the standard round it differently`)
        : no(say`${name} at ${length(nominal)} is not in this table`, name === name.toUpperCase() ? 'H7' : 'h6');
  }
  return { ok: true, nominal, max: tidy(nominal + deviation.upper), min: tidy(nominal + deviation.lower) };
}

const kindOf = (max: number, min: number): Fit['kind'] => (min >= 0 ? 'clearance' : max <= 0 ? 'interference' : 'transition');

function fitOf(hole: SizeLimits, shaft: SizeLimits): LookedUp<Fit> {
  const bare = ({ nominal, max, min }: SizeLimits): SizeLimits => ({ nominal, max, min });
  const clearance = { max: tidy(hole.max - shaft.min), min: tidy(hole.min - shaft.max) };
  return { ok: true, hole: bare(hole), shaft: bare(shaft), clearance, kind: kindOf(clearance.max, clearance.min) };
}

/**
 * A fit, mm: '25 H7/g6', '25 H7 g6', '1.000 RC4' (inches). Clearance is hole less shaft, negative where they interfere.
 * @source ISO 286-1 and -2:2010, from memory; ANSI B4.1-1967 to 4.73 in (FN to 5.52), from memory, medium confidence
 * @example fit('25 H7/g6').ok // true
 */
export function fit(text: string): LookedUp<Fit> {
  const t = text.trim();
  const american = /^(.*?)\s*((?:RC|LC|LT|LN|FN)\s?\d{1,2})$/i.exec(t);
  if (american?.[1] !== undefined && american[2] !== undefined) return b41(american[1], american[2].toUpperCase().replace(/\s/, ''));
  const parts = /^(.*?)\s*\b([A-Z]{1,2}\d{1,2})\s*[/ ]\s*([a-z]{1,2}\d{1,2})(\s+in(?:ch)?)?$/.exec(t);
  if (parts?.[1] === undefined) return no(say`“${t}” is no fit; write 25 H7/g6 or 1.000 RC4`, '25 H7/g6');
  const unit = parts[4] ?? '';
  const [hole, shaft] = [sizeLimits(`${parts[1]} ${parts[2] ?? ''}${unit}`), sizeLimits(`${parts[1]} ${parts[3] ?? ''}${unit}`)];
  if (!hole.ok) return hole;
  return shaft.ok ? fitOf(hole, shaft) : shaft;
}

function b41(size: string, name: string): LookedUp<Fit> {
  const inch = readLength(size.replace(/\s*\b(?:in|inch)\s*$/i, ''), 'in');
  if (inch?.rest !== '' || !(inch.value > 0)) return no(say`“${size}” is no size in inches; write 1.000 ${name}`, `1.000 ${name}`);
  const own = inch.value / MM_PER_INCH;
  const row = fitsB41.find(([fitName, over, to]) => fitName === name && exceeds(own, over) && atMost(own, to));
  if (!row) return no(say`${name} at ${tidy(own)} in is not in this table`);
  const [, , , hole, upper, lower] = row;
  const mm = (thousandths: number) => tidy(inch.value + (thousandths * MM_PER_INCH) / 1000);
  const nominal = tidy(inch.value);
  return fitOf({ nominal, max: mm(hole), min: nominal }, { nominal, max: mm(upper), min: mm(lower) });
}
