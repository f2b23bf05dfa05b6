import { define } from './define';

const values = { values: ['length', 'readings, cold'] } as const;
const mean = (of: readonly number[]): number => of.reduce((sum, v) => sum + v, 0) / of.length;

/** What several pieces tell of one size together, and forecasts of what came. */
export const spreadFormulas = {
  meanOf: define<never, 'values'>('sum of the readings / how many', 'arithmetic', values, (_, lists) => mean(lists.values)),
  spreadOf: define<never, 'values'>(
    'root of the sum of the squared distances from the mean / (how many - 1)',
    'standard deviation of a sample, any textbook of statistics',
    values,
    (_, lists) => {
      const m = mean(lists.values);
      return Math.sqrt(lists.values.reduce((sum, v) => sum + (v - m) ** 2, 0) / (lists.values.length - 1));
    },
  ),
  interferenceMeasured: define(
    'shaft - hole, both as measured, cold',
    'arithmetic; both at one temperature, common practice',
    { shaft: ['diameter', 'shaft'], hole: ['diameter', 'hole'] },
    ({ shaft, hole }) => shaft - hole,
  ),
  capability: define(
    'from the mean to the nearer limit / (3 x spread)',
    'process performance index Ppk, ISO 22514-2, from memory',
    { mean: ['length', 'mean'], spread: ['length', 'spread, one deviation'], max: ['length', 'most'], min: ['length', 'least'] },
    ({ mean: m, spread, max, min }) => Math.min(max - m, m - min) / (3 * spread),
  ),
  holdsNext: define<never, 'values'>(
    '2 x (how far the mean is off + t x spread x sqrt(1 + 1 / n)), t of 19 in 20 for n - 1 degrees of freedom',
    "prediction interval of a further value, Student's t: any textbook of statistics",
    { values: ['length', 'off the middle, size by size'] },
    (_, { values }) => {
      const n = values.length;
      const mean = values.reduce((a, b) => a + b, 0) / n;
      const spread = Math.sqrt(values.reduce((sum, v) => sum + (v - mean) ** 2, 0) / (n - 1));
      return 2 * (Math.abs(mean) + studentOf(n - 1) * spread * Math.sqrt(1 + 1 / n));
    },
  ),
  capabilityLeast: define(
    'capability x (1 - 1.645 x root of (1 / (9 n capability^2) + 1 / (2 (n - 1))))',
    'lower bound of 95 %, Bissell 1990, from memory',
    { capability: ['ratio', 'capability'], n: ['count', 'pieces'] },
    ({ capability: c, n }) => c * (1 - 1.645 * Math.sqrt(1 / (9 * n * c ** 2) + 1 / (2 * (n - 1)))),
  ),
};

/**
 * Student's t that 19 in 20 lie within, both sides, for so many degrees of freedom, four and more; within 0.001.
 * @source Abramowitz and Stegun 26.7.5, expansion about the normal, from memory @example Math.round(1000 * studentOf(10)) // 2228
 */
export function studentOf(freedom: number): number {
  const z = 1.959964;
  const terms = [
    (z ** 3 + z) / 4,
    (5 * z ** 5 + 16 * z ** 3 + 3 * z) / 96,
    (3 * z ** 7 + 19 * z ** 5 + 17 * z ** 3 - 15 * z) / 384,
    (79 * z ** 9 + 776 * z ** 7 + 1482 * z ** 5 - 1920 * z ** 3 - 945 * z) / 92160,
  ];
  return terms.reduce((sum, term, i) => sum + term / freedom ** (i + 1), z);
}
