import { type Feature, innerOf, inward } from '../../drawing';
import { diameter, length, say, tidy } from '../../quantity';
import { threadUndercut } from '../../standards';
import { reason } from '../facts';
import { type Operation, operation } from '../outcome';
import { spareIn } from '../spare';
import { plunged } from './grooves';

/** Undercut before a shoulder that a thread runs up to. */
export const undercut = (feature: Feature, pitch: number): Operation =>
  operation((draft) => {
    const { facts, at } = draft;
    const relief = threadUndercut(pitch);
    if (!relief) return;
    const inner = innerOf(feature, at.end);
    const under = tidy(feature.nearDiameter.nominal - relief.under);
    plunged(draft, {
      verb: 'undercut',
      about: feature.id,
      does: [`${feature.id}.far`],
      says: say`${length(relief.width)} wide, ${diameter(under)}`,
      why: reason('relief-first', say`the tool runs out here before the shoulder (DIN 76-1, from memory)`, feature.id),
      width: relief.width,
      depth: tidy(relief.under / 2),
      at: feature.nearDiameter.nominal,
      to: under,
      sweeps: spareIn(facts, inner, inner - inward(at.end) * 2 * relief.overall, under / 2, feature.nearDiameter.nominal / 2 + 0.5),
    });
  });
