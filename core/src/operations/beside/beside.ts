import type { Reason } from '../../finding';
import { figure, type Figure, type Sentence } from '../../quantity';
import { byHand } from '../facts';
import { addStep, type Draft } from '../outcome';
import type { Verb } from '../verbs.table';

/** A step that is done beside the lathe. */
export interface Beside {
  readonly says: Sentence;
  readonly because: readonly Reason[];
  readonly cautions: readonly string[];
  readonly hands: number;
  /** minutes in which nobody need stand by */
  readonly waits: number;
  /** how hot it is made */
  readonly heat?: Figure;
}

export function beside(draft: Draft, verb: Verb, about: string, { says, because, cautions, hands, waits, heat }: Beside): void {
  addStep(draft, {
    verb,
    about,
    says,
    because,
    cautions,
    figures: { heat, minutes: byHand(hands + waits), ...(waits > 0 && { waits: figure('time', 'minutesByHand', { handling: waits }) }) },
  });
}
