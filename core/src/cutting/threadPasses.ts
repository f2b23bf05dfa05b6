import { type Figure, figure } from '../quantity';

/**
 * Infeed after each pass of a thread, mm along the slide that feeds in: each takes the same area of the form, rounded down to what the dial shows, the last one whole.
 * Further passes at the end are spring passes at the full depth.
 * @source infeed by shrinking steps, common practice: depth of pass i of n is the whole x sqrt(i / n)
 */
export function threadInfeeds(whole: number, passes: number, springs: number, division: number): readonly Figure[] {
  if (!(whole > 0 && Number.isInteger(passes) && passes >= 1 && springs >= 0)) throw new RangeError(`${passes} passes to ${whole} mm`);
  const cutting = Math.max(1, passes - springs);
  return Array.from({ length: passes }, (_, i) =>
    figure('length', 'threadInfeed', { whole, i: Math.min(i + 1, cutting), n: cutting, division: Math.max(division, 0) }, { step: 0.01 }),
  );
}

/**
 * First pass of a thread, mm along the infeed: deep enough to cut, no deeper than the form at its crest carries. @source common practice: a fifth of the pitch, between 0.1 and 0.4 mm
 * @example firstPass(1.5) // 0.3
 */
export const firstPass = (pitch: number): number => Math.min(0.4, Math.max(0.1, 0.2 * pitch));
