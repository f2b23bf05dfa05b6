import { atMost, tidy } from '../quantity';

const rad = (degrees: number) => (degrees * Math.PI) / 180;

export interface Hole {
  readonly number: number;
  /** degrees from the x axis, anticlockwise */
  readonly angle: number;
  readonly x: number;
  readonly y: number;
}

/**
 * Holes of a bolt circle, mm from its centre; the first at `start` degrees from the x axis, on anticlockwise.
 * @throws RangeError for fewer than one hole or a circle of no size
 * @source bolt-circle: x = r cos, y = r sin
 */
export function boltCircle(count: number, diameter: number, start = 0): readonly Hole[] {
  if (!(Number.isInteger(count) && count >= 1 && count <= 400 && diameter > 0)) throw new RangeError(`${count} holes on a circle of ${diameter} mm`);
  return Array.from({ length: count }, (_, i) => {
    const angle = tidy((start + (360 * i) / count) % 360);
    return { number: i + 1, angle, x: tidy((diameter / 2) * Math.cos(rad(angle))), y: tidy((diameter / 2) * Math.sin(rad(angle))) };
  });
}

/**
 * Straight distance between two of `count` equal divisions, `apart` steps from one another, mm. @source geometry: D sin(180 apart / count)
 * @example chord(6, 100) // 50
 */
export const chord = (count: number, diameter: number, apart = 1): number => diameter * Math.sin(rad((180 * apart) / count));

/**
 * Distance of centres from a measurement over two pins and one between them, mm: their mean. @source bolt-circle, common practice
 * @example centresFromPins(60, 40) // 50
 */
export const centresFromPins = (over: number, between: number): number => (over + between) / 2;

/**
 * Circle (mm) on which two holes lie that are `apart` of `count` steps from one another, from their distance. @source geometry
 * @example circleThrough(50, 6, 1) // 100
 */
export const circleThrough = (distance: number, count: number, apart: number): number => distance / Math.sin(rad((180 * apart) / count));

export interface Flats {
  /** taken off at each flat, mm */
  readonly depth: number;
  /** of one flat across the round, mm */
  readonly width: number;
  /** across the corners of the whole figure, mm */
  readonly corners: number;
  /** corners lie within the round */
  readonly full: boolean;
}

/**
 * Flats on a round: `sides` of them, `across` mm apart (of an odd number: twice the distance to the middle).
 * @throws RangeError where the flats lie outside the round
 * @source flats: depth = (d - F) / 2; geometry
 */
export function flats(diameter: number, across: number, sides: number): Flats {
  if (!(across > 0 && across < diameter && Number.isInteger(sides) && sides >= 1))
    throw new RangeError(`${sides} flats ${across} mm across on ${diameter} mm`);
  const half = sides > 2 ? 180 / sides : 90;
  const corners = sides > 2 ? across / Math.cos(rad(half)) : Infinity;
  const reach = Math.sqrt(diameter ** 2 - across ** 2);
  return {
    depth: (diameter - across) / 2,
    width: sides > 2 ? Math.min(reach, across * Math.tan(rad(half))) : reach,
    corners,
    full: atMost(corners, diameter),
  };
}

/**
 * The largest figure of `sides` sides that a round holds, mm across its flats; of six sides 0.866 d, of four 0.707 d. @source geometry
 * @example largestAcross(20, 6) // 10 * Math.sqrt(3)
 */
export const largestAcross = (diameter: number, sides: number): number => diameter * Math.cos(rad(180 / sides));

export interface Indexing {
  readonly plate: number;
  readonly turns: number;
  readonly holes: number;
}

/** Whole turns and holes of the crank for `count` divisions, for every plate on which they come out exactly. @source turns = ratio / divisions, arithmetic */
export function indexing(count: number, plates: readonly number[], ratio = 40): readonly Indexing[] {
  if (!(Number.isInteger(count) && count >= 1 && ratio >= 1)) throw new RangeError(`${count} divisions by a head of ${ratio} to 1`);
  return [...new Set(plates)]
    .toSorted((a, b) => a - b)
    .flatMap((plate) => {
      const steps = (ratio * plate) / count;
      return Number.isInteger(steps) ? [{ plate, turns: Math.floor(steps / plate), holes: steps % plate }] : [];
    });
}

/** Hole counts of the plates that a dividing head is commonly sold with. @source common practice */
export const commonPlates: readonly number[] = [15, 16, 17, 18, 19, 20, 21, 23, 27, 29, 31, 33, 37, 39, 41, 43, 47, 49];
