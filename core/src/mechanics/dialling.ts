/** How a piece stands in an independent four-jaw chuck, from an indicator read at each jaw. */
export interface Dialled {
  /** centre of the piece from the axis, mm: towards jaw 1 and towards jaw 2 */
  readonly towards1: number;
  readonly towards2: number;
  /** of the centre, mm; the indicator swings twice this */
  readonly eccentricity: number;
  /** high to low of an indicator on a round piece, mm */
  readonly tir: number;
  /** how far from round the piece itself is at these four places, on radius, mm: no jaw mends it */
  readonly oval: number;
}

/**
 * From four readings at jaws 1 to 4, a quarter turn apart in the order that they come past; more is nearer to the indicator.
 * @source tir, common practice: half of the difference of opposite readings
 */
export function fromReadings([r1, r2, r3, r4]: readonly [number, number, number, number]): Dialled {
  const [towards1, towards2] = [(r1 - r3) / 2, (r2 - r4) / 2];
  const eccentricity = Math.hypot(towards1, towards2);
  return { towards1, towards2, eccentricity, tir: 2 * eccentricity, oval: Math.abs(r1 + r3 - r2 - r4) / 4 };
}

/**
 * From the highest and the lowest reading and where the highest is, degrees from jaw 1 towards jaw 2.
 * @throws RangeError where the low one is higher
 */
export function fromSwing(high: number, low: number, at: number): Dialled {
  if (!(high >= low)) throw new RangeError(`high ${high}, low ${low}`);
  const eccentricity = (high - low) / 2;
  const turn = (at * Math.PI) / 180;
  return { towards1: eccentricity * Math.cos(turn), towards2: eccentricity * Math.sin(turn), eccentricity, tir: high - low, oval: 0 };
}
