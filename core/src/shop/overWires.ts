import type { Gauge } from '../document';
import { balls, wires } from '../standards';
import { mmOf } from './items';

/** The wire of a set that suits a thread best, and what is measured over it at the limits; of a set whose sizes are not said the best wire there is. */
export function overWiresOf(
  gauge: Gauge,
  designation: string,
): { readonly wire: number; readonly limits: { readonly max: number; readonly min: number } } | undefined {
  const best = wires(designation);
  if (!best.ok) return undefined;
  const [near] = (gauge.sizes ?? [])
    .map((cell) => mmOf(cell))
    .filter((w) => w >= best.smallest && w <= best.largest)
    .toSorted((a, b) => Math.abs(a - best.best) - Math.abs(b - best.best));
  const used = near === undefined ? best : wires(designation, near);
  if (!used.ok || used.over.max === null || used.over.min === null) return undefined;
  return { wire: used.wire, limits: { max: used.over.max, min: used.over.min } };
}

/** The ball of a pair that suits an inside thread best, and what is measured over the pair at the limits; of a gauge whose sizes are not said the best ball there is. */
export function overBallsOf(
  gauge: Gauge,
  designation: string,
): { readonly ball: number; readonly limits: { readonly max: number; readonly min: number } } | undefined {
  const best = balls(designation);
  if (!best.ok) return undefined;
  const [near] = (gauge.sizes ?? [])
    .map((cell) => mmOf(cell))
    .filter((w) => w >= best.smallest && w <= best.largest)
    .toSorted((a, b) => Math.abs(a - best.best) - Math.abs(b - best.best));
  const used = near === undefined ? best : balls(designation, near);
  if (!used.ok || used.over.max === null || used.over.min === null) return undefined;
  return { ball: used.ball, limits: { max: used.over.max, min: used.over.min } };
}
