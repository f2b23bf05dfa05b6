import type { Cell, Drawing } from '../document';
import { MM_PER_INCH, nearestFraction, parseLength, tidy, type Units } from '../quantity';

/** How fine lengths may be: millimetres, and inches by halves and by tenths. */
const MM = [1, 0.5, 0.1, 0.05, 0.01, 0.001];
const SIXTY_FOURTHS = [8, 4, 2, 1];
const INCHES = [0.1, 0.05, 0.01, 0.005, 0.001, 0.0001];

/** What a hand moves a length by, and how it is written then. */
export interface Fineness {
  /** mm */
  readonly step: number;
  readonly units: Units;
  /** inches as fractions, as the drawing has them */
  readonly fractions: boolean;
}

/**
 * The coarsest step that every plain length of the outside is a whole number of; of a drawing without lengths a whole millimetre, or an eighth.
 * @param units of the length that is moved
 */
export function finenessOf({ outside }: Pick<Drawing, 'outside'>, units: Units): Fineness {
  const typed = outside.flatMap(({ length }) => {
    const read = length.units === units ? parseLength(length.text, units) : undefined;
    return read?.ok ? [{ text: length.text, value: units === 'in' ? read.value / MM_PER_INCH : read.value }] : [];
  });
  const whole = (step: number) => typed.every(({ value }) => Math.abs(value / step - Math.round(value / step)) < 1e-6);
  if (units === 'mm') return { step: MM.find(whole) ?? 0.001, units, fractions: false };
  const fractions = typed.length === 0 || typed.some(({ text }) => text.includes('/')) || typed.every(({ value }) => Number.isInteger(value));
  const step = fractions ? SIXTY_FOURTHS.map((n) => n / 64).find(whole) : INCHES.find(whole);
  return { step: (step ?? 0.001) * MM_PER_INCH, units, fractions: fractions && step !== undefined };
}

/**
 * A length in whole steps of a drawing's fineness, as somebody would type it there.
 * @param mm the length
 */
export function writeFine(mm: number, { step, units, fractions }: Fineness): { readonly text: string; readonly mm: number } {
  const steps = Math.max(1, Math.round(mm / step));
  const value = tidy(steps * step);
  if (units === 'mm') return { text: String(value), mm: value };
  const inches = value / MM_PER_INCH;
  const text = fractions ? (nearestFraction(inches)?.replace(' ', '-') ?? '') : String(Number(inches.toFixed(4)));
  return { text: text === '' ? String(Number(inches.toFixed(4))) : text, mm: value };
}

/** A length that a hand may move: a plain number, counted from its own edge. */
export const isPlain = (length: Cell): boolean => parseLength(length.text, length.units).ok;
