/**
 * Probability that a normal variable lies below x. @source Abramowitz and Stegun 7.1.26, error under 1.5e-7, from memory
 * @example Math.abs(normalBelow(0, 0, 1) - 0.5) < 1e-8 // true
 */
export function normalBelow(x: number, mean: number, deviation: number): number {
  if (!(deviation > 0)) return x < mean ? 0 : 1;
  const u = (x - mean) / deviation / Math.SQRT2;
  const t = 1 / (1 + 0.3275911 * Math.abs(u));
  const tail = t * (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429)))) * Math.exp(-u * u);
  return u < 0 ? tail / 2 : 1 - tail / 2;
}
