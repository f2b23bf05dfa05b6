/** Largest difference between these formulas and a printed cell, percent: one step of R40 for a tolerance, two for a deviation. */
export const DOUBT = 12;

/** Ranges of nominal diameter, mm: over, up to and including. */
const ranges = [0.99, 1.4, 2.8, 5.6, 11.2, 22.4, 45, 90, 180, 355] as const;
const r40 = [
  1, 1.06, 1.12, 1.18, 1.25, 1.32, 1.4, 1.5, 1.6, 1.7, 1.8, 1.9, 2, 2.12, 2.24, 2.36, 2.5, 2.65, 2.8, 3, 3.15, 3.35, 3.55, 3.75, 4, 4.25, 4.5, 4.75,
  5, 5.3, 5.6, 6, 6.3, 6.7, 7.1, 7.5, 8, 8.5, 9, 9.5, 10,
] as const;

/** The nearest preferred number of series R40, whole. */
function preferred(um: number): number {
  const decade = 10 ** Math.floor(Math.log10(um));
  const nearest = r40.reduce((best, n) => (Math.abs(n * decade - um) < Math.abs(best * decade - um) ? n : best), 1);
  return Math.round(nearest * decade);
}

/* Micrometres from mm. A grade of which the standard has no factor is undefined. @source ISO 965-1 formulas, from memory; the result to R40 */

/** Fundamental deviation g, f, e as a magnitude. */
export const deviation = (letter: string, pitch: number): number | undefined => {
  const [at0, slope] = { g: [15, 11], f: [30, 11], e: [50, 11] }[letter] ?? [];
  return at0 === undefined || slope === undefined ? undefined : preferred(at0 + slope * pitch);
};

/** Tolerance of the pitch diameter, grades 3 to 9 outside, 4 to 8 inside; nominal over 0.99 to 355 mm. */
export function pitchTolerance(nominal: number, pitch: number, grade: number, internal: boolean): number | undefined {
  const at = ranges.findIndex((limit) => nominal <= limit);
  const [from, to] = [ranges[at - 1], ranges[at]];
  const factor = internal ? { 4: 0.85, 5: 1.06, 6: 1.32, 7: 1.7, 8: 2.12 }[grade] : { 3: 0.5, 4: 0.63, 5: 0.8, 6: 1, 7: 1.25, 8: 1.6, 9: 2 }[grade];
  if (from === undefined || to === undefined || factor === undefined) return undefined;
  return preferred(factor * 90 * pitch ** 0.4 * Math.sqrt(from * to) ** 0.1);
}

/** Tolerance of the major diameter of a bolt, grades 4, 6, 8. */
export const majorTolerance = (pitch: number, grade: number): number | undefined => {
  const factor = { 4: 0.63, 6: 1, 8: 1.6 }[grade];
  return factor === undefined ? undefined : preferred(factor * (180 * Math.cbrt(pitch * pitch) - 3.15 / Math.sqrt(pitch)));
};

/** Tolerance of the minor diameter of a nut, grades 4 to 8. */
export const minorTolerance = (pitch: number, grade: number): number | undefined => {
  const factor = { 4: 0.63, 5: 0.8, 6: 1, 7: 1.25, 8: 1.6 }[grade];
  return factor === undefined ? undefined : preferred(factor * (pitch < 1 ? 433 * pitch - 190 * pitch ** 1.22 : 230 * pitch ** 0.7));
};
