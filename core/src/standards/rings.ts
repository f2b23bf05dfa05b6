import { alike, length, say, tidy } from '../quantity';
import type { LookedUp } from './fits';
import { boreRings, grooveWidths, shaftRings } from './rings.table';

/** Groove of a retaining ring, mm. */
export interface RingGroove {
  readonly diameter: number;
  readonly groove: number;
  readonly width: number;
  readonly ring: number;
  /** edge of the groove to the end of the part, at least */
  readonly shoulder: number;
}

/**
 * Groove for a retaining ring on a shaft or in a bore of this diameter, mm. The tolerance of the groove diameter is not in this table.
 * @source DIN 471 and DIN 472, width H13, from memory; shoulder three groove depths, common practice
 * @example ringGroove(25, 'shaft').ok // true
 */
export function ringGroove(diameter: number, where: 'shaft' | 'bore'): LookedUp<RingGroove> {
  const table = where === 'shaft' ? shaftRings : boreRings;
  const row = table.find(([d1]) => alike(d1, diameter));
  if (!row) {
    const nearest = table.toSorted((a, b) => Math.abs(a[0] - diameter) - Math.abs(b[0] - diameter)).slice(0, 2);
    return {
      ok: false,
      says: say`a ring for a ${where} of ${length(diameter)} is not in this table; there is one for ${nearest.map(([d]) => String(d)).join(' and ')} mm`,
      nearest: nearest.map(([d]) => String(d)),
    };
  }
  const [d1, ring, groove] = row;
  return {
    ok: true,
    diameter: d1,
    groove,
    width: grooveWidths[String(ring)] ?? tidy(ring + 0.1),
    ring,
    shoulder: tidy((3 * Math.abs(d1 - groove)) / 2),
  };
}

/** O-ring cord diameter in mm; gland depth for a still and for a moving seal, groove width: least and largest, mm. Usual industrial gland table, inches, from memory. */
const inch = (value: number) => tidy(value * 25.4);
/* prettier-ignore */
const glands = [
  [0.07, [0.05, 0.052], [0.055, 0.057], [0.093, 0.098]],
  [0.103, [0.081, 0.083], [0.088, 0.09], [0.14, 0.145]],
  [0.139, [0.111, 0.113], [0.121, 0.123], [0.187, 0.192]],
  [0.21, [0.17, 0.173], [0.185, 0.188], [0.281, 0.286]],
  [0.275, [0.226, 0.229], [0.237, 0.24], [0.375, 0.38]],
] as const;

/** The five cords of the usual series, mm. */
export const oRingCords: readonly number[] = glands.map(([cord]) => inch(cord));

export interface ORingGroove {
  readonly cord: number;
  readonly depth: readonly [least: number, largest: number];
  readonly width: readonly [least: number, largest: number];
  /** percent of the cord that is squeezed, at the middle of the depth */
  readonly squeeze: number;
  /** percent of the groove that the cord fills, at the middles */
  readonly fill: number;
}

/**
 * Radial groove for an O-ring of a cord (mm). Depth counts from the surface that seals, clearance between the parts included.
 * @source usual industrial gland table for the five inch cords (1.78, 2.62, 3.53, 5.33, 6.99 mm), from memory; squeeze and fill by arithmetic
 */
export function oRingGroove(cord: number, moves: boolean): LookedUp<ORingGroove> {
  const row = glands.find(([c]) => Math.abs(inch(c) - cord) < 0.03);
  if (!row)
    return {
      ok: false,
      says: say`a cord of ${length(cord)} is not in this table; it has 1.78, 2.62, 3.53, 5.33 and 6.99 mm`,
      nearest: oRingCords.map(String),
    };
  const own = inch(row[0]);
  const [from, to] = moves ? row[2] : row[1];
  const depth = [inch(from), inch(to)] as const;
  const width = [inch(row[3][0]), inch(row[3][1])] as const;
  const [middle, wide] = [(depth[0] + depth[1]) / 2, (width[0] + width[1]) / 2];
  return { ok: true, cord: own, depth, width, squeeze: (100 * (own - middle)) / own, fill: (100 * Math.PI * (own / 2) ** 2) / (middle * wide) };
}
