import type { Gauge } from '../document';
import { balls, wires } from '../standards';
import { mmOf } from './items';

type Over = Extract<ReturnType<typeof wires> | ReturnType<typeof balls>, { readonly ok: true }>;

interface Limits {
  readonly max: number;
  readonly min: number;
}

/** Of a set the size that suits best, and the limits over it; of a set whose sizes are not said the best there is. */
function suiting<T extends Over>(gauge: Gauge, look: (size?: number) => T | undefined): { readonly of: T; readonly limits: Limits } | undefined {
  const best = look();
  if (!best) return undefined;
  const [near] = (gauge.sizes ?? [])
    .map((cell) => mmOf(cell))
    .filter((w) => w >= best.smallest && w <= best.largest)
    .toSorted((a, b) => Math.abs(a - best.best) - Math.abs(b - best.best));
  const of = near === undefined ? best : look(near);
  const { max, min } = of?.over ?? { max: null, min: null };
  return !of || max === null || min === null ? undefined : { of, limits: { max, min } };
}

/** The wire of a set that suits a thread best, and what is measured over three of it at the limits. */
export function overWiresOf(gauge: Gauge, designation: string): { readonly wire: number; readonly limits: Limits } | undefined {
  const found = suiting(gauge, (size) => {
    const read = wires(designation, size);
    return read.ok ? read : undefined;
  });
  return found && { wire: found.of.wire, limits: found.limits };
}

/** The ball of a pair that suits an inside thread best, and what is measured over both at the limits. */
export function overBallsOf(gauge: Gauge, designation: string): { readonly ball: number; readonly limits: Limits } | undefined {
  const found = suiting(gauge, (size) => {
    const read = balls(designation, size);
    return read.ok ? read : undefined;
  });
  return found && { ball: found.of.ball, limits: found.limits };
}
