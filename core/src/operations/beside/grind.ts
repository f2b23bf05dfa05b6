import { forGrinding, platedBy, shiftedBy } from '../workLimits';
import { type Feature } from '../../drawing';
import { diameter, figure, length, say } from '../../quantity';
import { boreGaugeFor, gaugeFor, practice } from '../../shop';
import { turned } from '../../stock';
import { byHand, reason } from '../facts';
import { addStep, type Draft } from '../outcome';

/** Ground to size once it is hard; measured again. */
export function grind(draft: Draft, row: Feature): void {
  const { facts } = draft;
  const outside = row.side === 'outside';
  const limits = shiftedBy(row.nearDiameter, platedBy(facts, row));
  const gauge = (outside ? gaugeFor : boreGaugeFor)(facts.shop, limits.nominal, limits.max - limits.min);
  addStep(draft, {
    verb: 'grind',
    about: row.id,
    does: [`${row.id}.diameter`],
    says: say`${outside ? 'outside' : 'bore'} to ${diameter(limits.min, 0.001)} to ${diameter(limits.max, 0.001)}`,
    gauge: gauge?.id,
    limits,
    because: [
      reason('harden-last', say`it moved in the quench: ${length(Math.abs(forGrinding(facts, row)), 0.01)} was left on diameter to true it`, row.id),
    ],
    ...(outside && { sweeps: turned(row.near, row.far, (limits.max + limits.min) / 4) }),
    cautions: ['Wheel sound and guarded, stand beside it; dust drawn off.'],
    figures: { to: figure('diameter', 'middle', { max: limits.max, min: limits.min }, { step: 0.001 }), minutes: byHand(practice.minutesGrind) },
  });
}
