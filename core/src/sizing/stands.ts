import type { Advice, Stands } from './types';

/** Decided here alone, from what is advised and its chances; screens word it. */
export function standing({ next, chanceIn, chancePast, chanceShort }: Omit<Advice, 'stands'>): Stands {
  if (next === 'stop') return chancePast > 0.5 ? 'past' : chanceIn >= 0.5 ? 'in' : 'short';
  if (next === 'changeGauge') return chancePast < 0.5 && chanceShort < 0.5 ? 'in' : 'notTold';
  return 'more';
}

/** An advice with how the size stands. */
export const stood = (advice: Omit<Advice, 'stands'>): Advice => ({ ...advice, stands: standing(advice) });
