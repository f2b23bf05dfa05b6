import { caliperOf, practice } from '../shop';
import { say } from '../quantity';
import { byHand, reason } from './facts';
import { addStep, type Operation, operation } from './outcome';

/**
 * Every size that was finished here is measured before the piece leaves its holding.
 * @param moved the bar is only pulled out afterwards: nothing is looked over where nothing was measured
 */
export const releaseCheck = (moved = false): Operation =>
  operation((draft) => {
    const { facts, at } = draft;
    const measured = at.steps.filter((s) => s.gauge !== undefined).flatMap((s) => s.does.slice(0, 1));
    if (moved && measured.length === 0) return;
    // a length with limits of its own is measured where it still stands in its holding
    const fineLengths = facts.part.distances.some((d) => d.limits.from !== 'general');
    const gauge = fineLengths ? (facts.shop.gauges.find((g) => g.kind === 'depth') ?? caliperOf(facts.shop)) : undefined;
    addStep(draft, {
      verb: 'check',
      gauge: gauge?.id,
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
