import { fallsShort, type Figure, figure, PLACE } from '../quantity';

/** In drill diameters: how deep the first peck goes, and how much each next one adds. */
export interface Pecking {
  readonly first: number;
  readonly then: number;
  readonly least: number;
}
/** @source common practice: three diameters, then two, one and a half, one */
const usual: Pecking = { first: 3, then: 2, least: 1 };
/** Materials that string, stick or melt want the chips out sooner. @source melting, common practice */
const sticky: Pecking = { first: 2, then: 1, least: 0.5 };

/** Depths at which a drill is drawn right out to clear its chips; the last is the whole depth. */
export function peckDepths(depth: number, size: number, sticks: boolean): readonly Figure[] {
  if (!(depth > 0 && size > 0)) throw new RangeError(`a hole ${depth} mm deep of ${size} mm`);
  const { first, then, least } = sticks ? sticky : usual;
  const stops: number[] = [];
  let at = 0;
  let share = first;
  while (fallsShort(at + share * size, depth, PLACE) && stops.length < 200) {
    at += share * size;
    stops.push(at);
    share = stops.length === 1 ? then : Math.max(least, 0.75 * share);
  }
  // a last nibble is no peck of its own
  if (stops.length > 0 && depth - at < 0.2 * size) stops.pop();
  return [...stops, depth].map((value) => figure('length', 'distance', { value }, { step: 0.5 }));
}

/**
 * Feed of a two-lipped drill, mm/rev. @source common practice: a fiftieth to a seventieth of the size, 0.25 by hand at the most
 * @example drillFeed(10) // 0.15
 */
export const drillFeed = (size: number): number => Math.min(0.25, 0.015 * size);
