/** Heights of the feed marks of a round nose, micrometres. */
export interface FinishHeights {
  /** by the usual approximation; of an ideal trace Rz is the same */
  readonly Rt: number;
  /** of the arc itself */
  readonly exact: number;
  readonly Ra: number;
}

/**
 * Ideal finish of a feed (mm/rev) with a nose radius (mm), for feeds up to the radius; what is cut is rougher: built-up edge, chatter, a worn tip.
 * @throws RangeError outside 0 < f <= r
 * @source geometry of a round nose: Rt = f^2 / (8 r), the arc itself r - sqrt(r^2 - f^2 / 4), 0.4 % more at f = r / 4; Ra = f^2 / (18 sqrt(3) r)
 */
export function finishOf(feed: number, nose: number): FinishHeights {
  if (!(feed > 0 && nose > 0 && feed <= nose))
    throw new RangeError(`a feed of ${feed} mm/rev with a nose of ${nose} mm: the feed goes up to the radius`);
  return {
    Rt: (1000 * feed ** 2) / (8 * nose),
    exact: 1000 * (nose - Math.sqrt(nose ** 2 - feed ** 2 / 4)),
    Ra: (1000 * feed ** 2) / (18 * Math.sqrt(3) * nose),
  };
}

/** Feed (mm/rev) for an ideal Ra (micrometres) with a nose radius (mm). @source the same, solved for the feed */
export const feedFor = (Ra: number, nose: number): number => Math.sqrt((18 * Math.sqrt(3) * nose * Ra) / 1000);
