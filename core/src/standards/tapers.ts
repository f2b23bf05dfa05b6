import { MM_PER_INCH, say, tidy } from '../quantity';
import type { LookedUp } from './fits';
import { brownSharpeTapers, jacobsTapers, metricTapers, morseGauge, morseTapers, sevenTwentyFour } from './tapers.table';

/** A taper, whole: mm, degrees. */
export interface Taper {
  readonly large: number | null;
  readonly small: number | null;
  readonly length: number | null;
  /** diameter lost in one millimetre of length */
  readonly slope: number;
  readonly includedAngle: number;
  /** what a compound slide is set to */
  readonly setting: number;
  readonly perFoot: number;
  /** 1 : this */
  readonly ratio: number;
}

/** What is known of a taper: mm and degrees; taper per foot in inches. Two diameters and a length, or a slope in one form and what else there is. */
export interface TaperKnown {
  readonly large?: number;
  readonly small?: number;
  readonly length?: number;
  readonly includedAngle?: number;
  readonly perFoot?: number;
  readonly ratio?: number;
}

const degrees = (radians: number) => (radians * 180) / Math.PI;
const radians = (deg: number) => (deg * Math.PI) / 180;

/** Completes a taper from what is known of it. @source geometry: slope = 2 tan(half of the included angle) = taper per foot / 12 */
export function taper(known: TaperKnown): LookedUp<Taper> {
  const slope = slopeOf(known);
  if (slope === undefined)
    return { ok: false, says: say`a taper wants its angle, taper per foot or ratio, or both diameters and the length`, nearest: [] };
  if (!(slope > 0 && Number.isFinite(slope)))
    return { ok: false, says: say`the large end must be larger than the small one, over a length`, nearest: [] };
  const { large, small, length } = known;
  const whole = {
    large: large ?? (small !== undefined && length !== undefined ? tidy(small + slope * length) : null),
    small: small ?? (large !== undefined && length !== undefined ? tidy(large - slope * length) : null),
    length: length ?? (large !== undefined && small !== undefined ? tidy((large - small) / slope) : null),
  };
  if (whole.small !== null && whole.small < 0) return { ok: false, says: say`this taper comes to a point before its end`, nearest: [] };
  return { ok: true, ...whole, ...shapeOf(slope) };
}

function slopeOf({ large, small, length, includedAngle, perFoot, ratio }: TaperKnown): number | undefined {
  if (includedAngle !== undefined) return includedAngle < 180 ? 2 * Math.tan(radians(includedAngle) / 2) : NaN;
  if (perFoot !== undefined) return perFoot / 12;
  if (ratio !== undefined) return 1 / ratio;
  return large === undefined || small === undefined || length === undefined ? undefined : (large - small) / length;
}

function shapeOf(slope: number): Pick<Taper, 'slope' | 'includedAngle' | 'setting' | 'perFoot' | 'ratio'> {
  const setting = degrees(Math.atan(slope / 2));
  return { slope, includedAngle: 2 * setting, setting, perFoot: 12 * slope, ratio: 1 / slope };
}

/**
 * How far the tailstock is set over, mm, for a piece of this whole length between centres. @source L (D - d) / (2 l), geometry
 * @example setOver(200, 0.05) // 5
 */
export const setOver = (between: number, slope: number): number => (between * slope) / 2;

/**
 * Travel of the compound along a taper, mm.
 * @example compoundTravel(30, 60) // 60
 */
export const compoundTravel = (length: number, setting: number): number => length / Math.cos(radians(setting));

/**
 * Height under one roll of a sine bar, mm, for an angle in degrees.
 * @example sineBarHeight(100, 30) // 50
 */
export const sineBarHeight = (bar: number, angle: number): number => bar * Math.sin(radians(angle));

/**
 * How much further in a tapered fit still goes, mm, for what is left on diameter. @source taper-from-gauge, common practice
 * @example stillToGoIn(0.1, 0.05) // 2
 */
export const stillToGoIn = (left: number, slope: number): number => left / slope;

/** A taper by its name, mm: 'Morse 2' or 'MT2', 'Jacobs 6', 'B&S 9', '7/24 40', 'Jarno 5', 'metric 80', 'ER 32' (the seat of a collet). @source ASME B5.10, ISO 296, ISO 297, DIN 6499, handbooks, from memory */
export function namedTaper(text: string): LookedUp<Taper & { readonly name: string }> {
  const t = text.trim();
  const m = /^(morse|MT|jacobs|JT|B\s?&\s?S|7\/24|7:24|jarno|metric|ER)\s*(?:no\.?\s*)?([\d.]+S?)$/i.exec(t);
  const [, family = '', size = ''] = m ?? [];
  const known = knownOf(family.toLowerCase().replace(/\s/g, ''), size.toUpperCase());
  if (!known)
    return {
      ok: false,
      says: m ? say`${t} is not in this table` : say`“${t}” names no taper; write Morse 2, 7/24 40 or Jarno 5`,
      nearest: ['Morse 2'],
    };
  const whole = taper(known);
  return whole.ok ? { ...whole, name: t } : whole;
}

function knownOf(family: string, size: string): TaperKnown | undefined {
  const inch = (value: number) => tidy(value * MM_PER_INCH);
  if (family === 'morse' || family === 'mt') {
    const row = morseTapers[size];
    // the gauge diameter as the metric standard has it; the inch one for the sizes that it does not list
    return row && { large: morseGauge[size] ?? inch(row[1]), perFoot: row[0], length: inch(row[3]) };
  }
  if (family === 'jacobs' || family === 'jt') {
    const row = jacobsTapers[size];
    return row && { large: inch(row[1]), perFoot: row[0], length: inch(row[3]) };
  }
  if (family === 'b&s') {
    const row = brownSharpeTapers[size];
    return row && { small: inch(row[1]), perFoot: row[0] };
  }
  // the seat of this collet: 8 degrees a side; its mouth is not in this table
  if (family === 'er') return ['8', '11', '16', '20', '25', '32', '40', '50'].includes(size) ? { includedAngle: 16 } : undefined;
  const number = Number(size);
  if (family === '7/24' || family === '7:24')
    return sevenTwentyFour[size] === undefined ? undefined : { large: sevenTwentyFour[size], ratio: 24 / 7 };
  if (family === 'jarno')
    return Number.isInteger(number) && number >= 1 && number <= 20
      ? { large: inch(number / 8), small: inch(number / 10), length: inch(number / 2), perFoot: 0.6 }
      : undefined;
  return family === 'metric' && metricTapers.includes(number) ? { large: number, ratio: 20 } : undefined;
}
