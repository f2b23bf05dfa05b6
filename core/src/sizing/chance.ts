import type { Limits } from '../drawing';

/** The middle of the limits, moved towards metal until the chance of landing past is under 0.5 %. @source aim, common practice */
export function aimFor(limits: Limits, deviation: number): number {
  const middle = (limits.max + limits.min) / 2;
  return Math.min(limits.max, Math.max(middle, limits.min + 2.576 * deviation));
}
