import { practice } from '../../shop';
import { grind } from './grind';
import { ground } from '../workLimits';
import { type Treatment, treatWith } from './treatWith';
import { join, joins } from './join';
import { detailWords, type PartDetail } from '../../drawing';
import { say } from '../../quantity';
import { byHand, reason } from '../facts';
import { addStep, type Operation, operation } from '../outcome';

const milled = new Set<PartDetail['kind']>(['crossHole', 'flat', 'hexagon', 'keyway', 'slot', 'boltCircle']);

/** What is done beside the lathe after the last turning: what is milled or drilled, then heat, then surfaces, then what is joined. */
export const awaySteps = (): Operation =>
  operation((draft) => {
    const { facts } = draft;
    for (const detail of facts.part.details) {
      if (!milled.has(detail.kind)) continue;
      addStep(draft, {
        verb: 'away',
        about: detail.id,
        says: say`${detailWords[detail.kind]}: ${detail.says}`,
        because: [
          reason('harden-last', say`on the mill or the drill, before any hardening`, detail.id),
          ...(detail.kind === 'crossHole' && facts.job.drawing.mates.some((m) => joins(m.want.text))
            ? [reason('through-both', say`where it goes through both pieces: after they are joined, in one go`, detail.id)]
            : []),
        ],
        figures: { minutes: byHand(practice.minutesAway) },
      });
    }
    const treated = (kinds: readonly Treatment['kind'][]) => {
      for (const kind of kinds) for (const one of facts.job.drawing.treatment) if (one.kind === kind) treatWith(draft, one);
    };
    treated(['harden', 'temper']);
    for (const row of facts.part.features) if (ground(facts, row)) grind(draft, row);
    treated(['plate', 'black']);
    for (const mate of facts.job.drawing.mates) join(draft, mate);
  });
