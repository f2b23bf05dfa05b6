import type { Reason } from '../finding';
import { figure, type Sentence } from '../quantity';
import { byHand } from './facts';
import { addStep, type Operation, operation } from './outcome';

/** How the work is taken into a holding. */
export interface TakeHold {
  readonly verb: 'load' | 'turn-round';
  readonly says: Sentence;
  readonly because: readonly Reason[];
  readonly cautions?: readonly string[];
  readonly minutes: number;
  /** pieces that come out of this chucking, and minutes for each next of them */
  readonly pieces?: { readonly count: number; readonly next: number };
}

/** The first of every setting: the work is held, dialled where it was finished before. */
export const takeHold = ({ minutes, pieces, ...parts }: TakeHold): Operation =>
  operation((draft) =>
    addStep(draft, {
      ...parts,
      about: draft.at.end,
      figures: { minutes: pieces ? figure('time', 'minutesShared', { once: minutes, next: pieces.next, pieces: pieces.count }) : byHand(minutes) },
    }),
  );
