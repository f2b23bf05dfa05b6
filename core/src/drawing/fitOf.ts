import { figure, type Figure, tidy } from '../quantity';
import type { Feature, MateLimits } from './types';

interface Band {
  readonly max: number;
  readonly min: number;
}

/** Both halves of a fit, and what lies between them; figures are of hole less shaft, mm: less than nothing is tight. */
export interface FitOf {
  readonly hole: Band;
  readonly shaft: Band;
  /** which half the drawing makes */
  readonly own: 'hole' | 'shaft';
  readonly loosest: Figure;
  readonly tightest: Figure;
  /** in 19 of 20 between these two, both sizes about the middle of their limits */
  readonly likely: readonly [tight: Figure, loose: Figure];
}

/** Both halves of a fit as far as they are known; nothing while the other is not. */
export function fitOf(side: Feature['side'], { limits, other }: MateLimits): FitOf | undefined {
  if (!other) return undefined;
  const own = side === 'outside' ? 'shaft' : 'hole';
  const [hole, shaft] = own === 'hole' ? [limits, other] : [other, limits];
  const step = { step: 0.001 };
  const middles = {
    hole: tidy((hole.max + hole.min) / 2),
    shaft: tidy((shaft.max + shaft.min) / 2),
    halfHole: tidy((hole.max - hole.min) / 2),
    halfShaft: tidy((shaft.max - shaft.min) / 2),
  };
  return {
    hole: { max: hole.max, min: hole.min },
    shaft: { max: shaft.max, min: shaft.min },
    own,
    loosest: figure('length', 'fitLoosest', { hole: hole.max, shaft: shaft.min }, step),
    tightest: figure('length', 'fitTightest', { hole: hole.min, shaft: shaft.max }, step),
    likely: [figure('length', 'fitLikelyTight', middles, step), figure('length', 'fitLikelyLoose', middles, step)],
  };
}
