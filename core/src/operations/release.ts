import { practice } from '../shop';
import { say } from '../quantity';
import { byHand, reason } from './facts';
import { addStep, type Operation, operation } from './outcome';

/** Every size that was finished here is measured before the piece leaves its holding. */
export const releaseCheck = (): Operation =>
  operation((draft) => {
    const { at } = draft;
    const measured = at.steps.filter((s) => s.gauge !== undefined).flatMap((s) => s.does.slice(0, 1));
    addStep(draft, {
      verb: 'check',
      about: at.end,
      does: measured,
      says:
        measured.length > 0
          ? say`${measured.length} ${measured.length === 1 ? 'size' : 'sizes'} measured and written down`
          : say`every length and diameter looked over`,
      because: [reason('release-check', say`out of the chuck it has lost its centre`, at.end)],
      figures: { minutes: byHand(practice.minutesCheck) },
    });
  });
