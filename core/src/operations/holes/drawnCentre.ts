import { spareIn } from '../spare';
import { cutWindow } from '../cutWindow';
import { inward } from '../../drawing';
import { figure, length, say } from '../../quantity';
import { mmOf, practice, sizeOf } from '../../shop';
import { centreCut } from '../../standards';
import { reason } from '../facts';
import { type Operation, operation } from '../outcome';

/** Centre holes that the drawing asks for in this end. */
export const drawnCentre = (face: number): Operation =>
  operation((draft) => {
    const { facts, at } = draft;
    const centre = facts.part.details.find((d) => d.kind === 'centre' && d.on === at.end);
    if (!centre || facts.part.features.some((f) => f.side === at.end || f.through === true)) return;
    const depth = centre.depth ?? 0;
    const [pilot, mouth] = [centre.diameter?.nominal ?? 1, centre.width ?? 0];
    cutWindow(draft, {
      verb: 'centre-drill',
      about: centre.id,
      says: centre.says,
      why: reason('centre-allowed', say`the drawing asks for it`, centre.id),
      kind: 'centreDrill',
      work: 'centreDrill',
      words: say`centre drill ${length(centre.diameter?.nominal ?? 0)}`,
      at: centre.diameter?.nominal ?? 1,
      minutes: practice.minutesCentreDrill,
      // a centre is as large as it was drawn: another drill makes another
      made: (tool) =>
        Math.abs(sizeOf(tool) - pilot) <= 0.05 * pilot && centreCut(pilot, mouth, mmOf(tool.shank) || undefined).most >= mouth - 0.02 * mouth,
      figures: { depth: figure('length', 'distance', { value: depth }) },
      sweeps: spareIn(facts, face - inward(at.end) * 0.2, face + inward(at.end) * (depth + 0.1), -1, (centre.width ?? 0) / 2),
    });
  });
