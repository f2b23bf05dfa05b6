import { length, say, type Sentence } from '../quantity';

/** Largest deviation of a pin of a class, mm: classes of gauge makers, to 0.825 in; and the cheap sets. @source ASME B89.1.5 classes, from memory; ZZ .0002 in by gauge-class, common practice */
export const pinClasses = { X: 0.001016, Z: 0.00254, ZZ: 0.00508 } as const;
export type PinClass = keyof typeof pinClasses;

export interface PinsProve {
  /** the smallest place of the hole lies between these, mm */
  readonly least: number;
  readonly most: number;
  readonly says: Sentence;
}

/**
 * What a pin that goes and one that does not prove of a hole, mm. A minus pin lies within its class under the nominal, a plus pin over it.
 * @throws RangeError where the one that goes is not the smaller
 * @source gauge-class, common practice; a pin finds the smallest place only
 */
export function pinsProve(goes: number, stops: number, sign: 'minus' | 'plus', of: PinClass): PinsProve {
  if (!(goes > 0 && stops > goes)) throw new RangeError(`the pin that goes (${goes} mm) must be smaller than the one that does not (${stops} mm)`);
  const band = pinClasses[of];
  const least = sign === 'minus' ? goes - band : goes;
  const most = sign === 'minus' ? stops : stops + band;
  return { least, most, says: say`the smallest place of the hole is between ${length(least, 0.001)} and ${length(most, 0.001)}` };
}
