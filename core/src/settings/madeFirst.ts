import type { Holding } from '../document';
import type { HoldingChoice } from '../holding';
import type { Facts } from '../operations';
import { diameter, say, type Sentence } from '../quantity';
import { holdingOf, practice } from '../shop';

/* What a holding asks before the first piece is in it, and each time a piece comes back to it. */

/** What is made for a holding, and how long that takes. */
export interface MadeFirst {
  readonly what: Sentence;
  /** once for all pieces */
  readonly minutes: number;
  readonly pieces: number;
}

/**
 * What has to be made before this holding takes a diameter, mm. Holdings that take it as they are make nothing.
 * @source made-to-hold, common practice
 */
export function madeFirst({ job: { pieces } }: Pick<Facts, 'job'>, holding: Holding | undefined, gripped: number): MadeFirst | undefined {
  switch (holding?.kind) {
    case 'softJaws':
      return { what: say`soft jaws bored to ${diameter(gripped)}, closed on a ring or plug`, minutes: practice.makeSoftJaws, pieces };
    case 'softCollet':
      return { what: say`a soft collet bored to ${diameter(gripped)}, its pins in while it is bored`, minutes: practice.makeSoftCollet, pieces };
    case 'splitBush':
      return { what: say`a split bush bored to ${diameter(gripped)}, split after boring`, minutes: practice.makeSplitBush, pieces };
    default:
      return undefined;
  }
}

/** Minutes to take a piece into a holding again: four jaws are dialled on what was finished. @source step-times, judgement */
export const minutesAgain = (holding: Holding | undefined): number =>
  practice.minutesTurnRound + (holding?.kind === 'fourJaw' ? practice.minutesDialled : 0);

/**
 * Minutes that taking a piece into this holding asks at least, beyond one that is there already and runs true: what is made for it, shared by all pieces; dialling;
 * a centre brought up.
 */
export function asksMore(facts: Pick<Facts, 'job' | 'shop'>, { holding, support }: HoldingChoice, again: boolean): number {
  const item = holdingOf(facts.shop, holding);
  const made = madeFirst(facts, item, 0);
  return (
    (made ? made.minutes / made.pieces : 0) +
    (again ? minutesAgain(item) - minutesAgain(undefined) : 0) +
    (support.some((s) => s.kind !== 'steady') ? practice.minutesCentreUp : 0)
  );
}
