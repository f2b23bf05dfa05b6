import type { Reason } from '../finding';
import { figure, type Sentence } from '../quantity';
import { byHand } from './facts';
import { addStep, type Operation, operation, stepId } from './outcome';

/** How the work is taken into a holding. */
export interface TakeHold {
  readonly verb: 'load' | 'turn-round';
  readonly says: Sentence;
  readonly because: readonly Reason[];
  readonly cautions?: readonly string[];
  readonly minutes: number;
  /** pieces that come out of this chucking, and minutes for each next of them */
  readonly pieces?: { readonly count: number; readonly next: number };
  /** what is made for it first, once for so many pieces */
  readonly made?: { readonly what: Sentence; readonly minutes: number; readonly pieces: number } | undefined;
}

/** The first of every setting: the work is held, dialled where it was finished before; what is made for it is on the list. */
export const takeHold = ({ minutes, pieces, made, ...parts }: TakeHold): Operation =>
  operation((draft) => {
    const { end } = draft.at;
    const shared =
      made || pieces
        ? { once: minutes + (made?.minutes ?? 0), next: pieces?.next ?? minutes, pieces: pieces?.count ?? made?.pieces ?? 1 }
        : undefined;
    if (made) draft.gets.push({ what: made.what, how: 'make', holdsUp: [stepId(draft.at, parts.verb, end)] });
    addStep(draft, { ...parts, about: end, figures: { minutes: shared ? figure('time', 'minutesShared', shared) : byHand(minutes) } });
  });
