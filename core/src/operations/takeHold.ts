import type { Reason } from '../finding';
import type { Sentence } from '../quantity';
import { byHand } from './facts';
import { addStep, type Operation, operation } from './outcome';

/** How the work is taken into a holding. */
export interface TakeHold {
  readonly verb: 'load' | 'turn-round';
  readonly says: Sentence;
  readonly because: readonly Reason[];
  readonly cautions?: readonly string[];
  readonly minutes: number;
}

/** The first of every setting: the work is held, dialled where it was finished before. */
export const takeHold = ({ minutes, ...parts }: TakeHold): Operation =>
  operation((draft) => addStep(draft, { ...parts, about: draft.at.end, figures: { minutes: byHand(minutes) } }));
