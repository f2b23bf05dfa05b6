import { speedFor } from '../../cutting';
import { type Feature, innerOf, inward } from '../../drawing';
import { diameter, figure, length, say, tidy } from '../../quantity';
import { mmOf, practice } from '../../shop';
import { threadUndercut } from '../../standards';
import { byHand, chosenData, reason } from '../facts';
import { addStep, needTool, type Operation, operation, stepId } from '../outcome';
import { spareIn } from '../spare';

/** Undercut before a shoulder that a thread runs up to. */
export const undercut = (feature: Feature, pitch: number): Operation =>
  operation((draft) => {
    const { facts, at } = draft;
    const relief = threadUndercut(pitch);
    if (!relief) return;
    const id = stepId(at, 'undercut', feature.id);
    const tool =
      needTool(draft, id, 'groove', say`grooving tool up to ${length(relief.width)}`, (t) => mmOf(t.width) <= relief.width) ??
      needTool(draft, id, 'part', say`parting blade`);
    const speed = tool && chosenData(facts, id, 'speed', speedFor(at.place, tool, 'part', feature.nearDiameter.nominal));
    const inner = innerOf(feature, at.end);
    const under = tidy(feature.nearDiameter.nominal - relief.under);
    addStep(draft, {
      verb: 'undercut',
      about: feature.id,
      tool,
      does: [`${feature.id}.far`],
      says: say`${length(relief.width)} wide, ${diameter(under)}`,
      because: [reason('relief-first', say`the tool runs out here before the shoulder (DIN 76-1, from memory)`, feature.id)],
      figures: {
        speed,
        feed: figure('feed', 'feedByHand', { asked: 0.04 }),
        depth: figure('length', 'distance', { value: relief.under / 2 }),
        to: figure('diameter', 'toSize', { size: under }),
        minutes: byHand(practice.minutesUndercut),
      },
      sweeps: spareIn(facts, inner, inner - inward(at.end) * 2 * relief.overall, under / 2, feature.nearDiameter.nominal / 2 + 0.5),
    });
  });
