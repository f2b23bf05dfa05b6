import { normalBelow } from './normal';

/** Deviation of each coordinate of an isotropic normal vector whose length is kept to `spread` in 19 of 20. */
const deviationOf = (spread: number): number => spread / Math.sqrt(-2 * Math.log(0.05));

/** Beyond this many deviations squared, halved, the length is as good as normal. */
const FAR = 1000;

/**
 * Chance that a swing that was read, with others in any direction beside it, is within a limit. All three as total indicator readings.
 * @param spread of the others together, kept to in 19 of 20
 * @source Rice distribution as the Poisson mixture of gamma distributions (non-central chi-square of two degrees); beyond 45 deviations as a normal one, error under 1e-4
 */
export function swingWithin(limit: number, read: number, spread: number): number {
  const deviation = deviationOf(spread);
  if (!(deviation > 1e-9)) return read <= limit ? 1 : 0;
  const [far, reach] = [read ** 2 / (2 * deviation ** 2), limit ** 2 / (2 * deviation ** 2)];
  const most = Math.max(far, reach);
  if (most > FAR) return normalBelow(limit, Math.hypot(read, deviation), deviation);
  let [within, below, logFactorial] = [0, 0, 0];
  for (let k = 0; k <= most + 12 * Math.sqrt(most) + 40; k++) {
    if (k > 0) logFactorial += Math.log(k);
    const pick = (mean: number) => (mean > 0 ? Math.exp(k * Math.log(mean) - mean - logFactorial) : k === 0 ? 1 : 0);
    below += pick(reach);
    within += pick(far) * Math.max(0, 1 - below);
  }
  return Math.min(1, within);
}

/** Halvings of an interval: to a millionth of it. */
const HALVINGS = 40;

/** The swing not exceeded in 19 of 20 where so much was read and others are beside it. @source swingWithin, by halving */
export function swingKept(read: number, spread: number): number {
  if (read === 0) return spread;
  return halved(0, read + 2 * spread, (tried) => swingWithin(tried, read, spread) < 0.95);
}

/** The most that may be read and leave a limit kept in 19 of 20; 0 where the others alone do not keep it. @source swingWithin, by halving */
export const swingLeft = (limit: number, spread: number): number =>
  swingWithin(limit, 0, spread) < 0.95 ? 0 : halved(0, limit, (tried) => swingWithin(limit, tried, spread) > 0.95);

function halved(low: number, high: number, more: (tried: number) => boolean): number {
  let [from, to] = [low, high];
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (from + to) / 2;
    if (more(middle)) from = middle;
    else to = middle;
  }
  return (from + to) / 2;
}
