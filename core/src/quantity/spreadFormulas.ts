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
  capabilityLeast: define(
    'capability x (1 - 1.645 x root of (1 / (9 n capability^2) + 1 / (2 (n - 1))))',
    'lower bound of 95 %, Bissell 1990, from memory',
    { capability: ['ratio', 'capability'], n: ['count', 'pieces'] },
    ({ capability: c, n }) => c * (1 - 1.645 * Math.sqrt(1 / (9 * n * c ** 2) + 1 / (2 * (n - 1)))),
  ),
};
