import { practice } from '../shop';
import { type Feature, type Limits } from '../drawing';
import { diameter, say } from '../quantity';
import { byHand, reason } from './facts';
import { addStep, type Draft } from './outcome';

/** Emery to size after turning. */
export function emery(draft: Draft, row: Feature, limits: Limits, gauge: string | undefined): void {
  addStep(draft, {
    verb: 'polish',
    about: row.id,
    does: [`${row.id}.diameter`],
    says: say`320 then 800, to ${diameter(limits.min, 0.001)} to ${diameter(limits.max, 0.001)}`,
    gauge,
    because: [
      reason('emery-allowance', say`the last hundredth by emery; grit kept off the ways, the piece wiped and cool before it is measured`, row.id),
    ],
    figures: { minutes: byHand(practice.minutesEmery) },
  });
}
