/** The highest entry at or below the wanted value; the lowest entry when none is. Lists need not be sorted. */
export function atOrBelow(wanted: number, list: readonly number[]): number {
  if (list.length === 0) throw new RangeError('an empty list of machine settings');
  const below = list.filter((entry) => entry <= wanted * (1 + 1e-9));
  return below.length > 0 ? Math.max(...below) : Math.min(...list);
}

/** A multiple of `step`, at or below; free of binary dust. */
export function floorTo(value: number, step: number): number {
  return tidy(Math.floor(value / step + 1e-6) * step);
}

/**
 * The nearest multiple of `step`, halves away from zero.
 * @example roundTo(1.236, 0.01) // 1.24
 */
export function roundTo(value: number, step: number): number {
  return tidy(Math.sign(value) * Math.floor(Math.abs(value) / step + 0.5 + 1e-6) * step);
}

/**
 * Removes binary dust below 1e-9.
 * @example tidy(0.1 + 0.2) // 0.3
 */
export function tidy(value: number): number {
  return Math.abs(value) < 1e6 ? Math.round(value * 1e9) / 1e9 : Number(value.toFixed(9));
}
