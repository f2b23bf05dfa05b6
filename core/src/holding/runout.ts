import { figure, type Figure, PLACE } from '../quantity';

/**
 * What makes a feature run out against its datum, each a total indicator reading (mm) that is kept to in 19 of 20 chuckings.
 * The eccentricity behind each is taken as the same in every direction and normal in each: they add as the root of their squares.
 */
export interface RunoutPart {
  readonly words: string;
  readonly tir: number;
  /** as it was read with an indicator on this piece: it is so, in some direction */
  readonly read?: true;
}

export interface Runout {
  /** not exceeded in 19 of 20, TIR, mm */
  readonly expected: Figure;
  /** share of chuckings within a limit, TIR */
  readonly within: (limit: number) => Figure;
}

/** The runout that parts make together. @source Rayleigh distribution of the length of an isotropic normal vector; Rice where one was read */
export function runoutOf(parts: readonly RunoutPart[]): Runout {
  const read = parts.filter((p) => p.read);
  const tirs = parts.filter((p) => !p.read).map((p) => Math.max(0, p.tir));
  if (read.length > 0) {
    // which way each of several stands is not known: at the worst all of them in one line
    const of = { read: read.reduce((sum, p) => sum + p.tir, 0), spread: Math.hypot(...tirs) };
    return {
      expected: figure('length', 'runoutRead', of, { step: 0.001 }),
      within: (limit) => figure('ratio', 'chanceRead', { limit, ...of }, { step: 0.01 }),
    };
  }
  const expected = figure('length', 'runoutTogether', { tirs }, { step: 0.001 });
  return { expected, within: (limit) => figure('ratio', 'chanceWithin', { limit, tir: Math.max(expected.value, PLACE) }, { step: 0.01 }) };
}
