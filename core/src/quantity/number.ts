import Fraction from 'fraction.js';

export interface ReadNumber {
  readonly value: number;
  /** written as a fraction (`13/16`, `1 1/8`), which in a workshop means inches */
  readonly fraction: boolean;
  /** what follows the number, trimmed at the left */
  readonly rest: string;
}

const pattern = /^\s*(?:(\d+)[ -](\d+)\/(\d+)|(\d+)\/(\d+)|(\d*[.,]\d+|\d+[.,]?(?!\d)))/;

/** Reads the number at the start of a text: `25` `.548` `0,861` `13/16` `1 1/8` `1-1/8`. Undefined when there is none. */
export function readNumber(text: string): ReadNumber | undefined {
  const m = pattern.exec(text);
  if (!m) return undefined;
  const rest = text.slice(m[0].length).trimStart();
  if (m[6] !== undefined) {
    return { value: Number(m[6].replace(',', '.')), fraction: false, rest };
  }
  const [whole, top, bottom] = m[1] !== undefined ? [m[1], m[2], m[3]] : ['0', m[4], m[5]];
  if (Number(bottom) === 0 || top === undefined || bottom === undefined) return undefined;
  return { value: new Fraction(`${top}/${bottom}`).add(whole).valueOf(), fraction: true, rest };
}

/**
 * The nearest fraction of an inch with a denominator of at most 64, when it is within `within` inches: '13/16', '1 1/8'.
 * @example nearestFraction(0.8125) // '13/16'
 */
export function nearestFraction(inches: number, within = 0.0005): string | undefined {
  const sixtyFourths = Math.round(inches * 64);
  if (sixtyFourths <= 0 || Math.abs(inches - sixtyFourths / 64) > within) return undefined;
  return new Fraction(sixtyFourths, 64).toFraction(true);
}

/** A zero as people type it: '0', '0.0', ',00'. */
export const isZero = (text: string): boolean => /^\s*0*[.,]?0+\s*$/.test(text);
