import type { Reason } from '../../finding';
import { figure, type Sentence } from '../../quantity';
import { byHand } from '../facts';
import { addStep, type Draft } from '../outcome';
import type { Verb } from '../verbs.table';

/** A step that is done beside the lathe. */
export interface Beside {
  readonly says: Sentence;
  readonly because: Reason;
  readonly cautions: readonly string[];
  readonly hands: number;
  /** minutes in which nobody need stand by */
  readonly waits: number;
}

export function beside(draft: Draft, verb: Verb, about: string, { says, because, cautions, hands, waits }: Beside): void {
  addStep(draft, {
    verb,
    about,
    says,
    because: [because],
    cautions,
    figures: { minutes: byHand(hands + waits), ...(waits > 0 && { waits: figure('time', 'minutesByHand', { handling: waits }) }) },
  });
}
