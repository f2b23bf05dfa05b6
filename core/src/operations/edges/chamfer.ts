import { practice } from '../../shop';
import { type Feature, innerOf, inward, isShaped, mouthOf } from '../../drawing';
import { alike, diameter, figure, length, say } from '../../quantity';
import type { End } from '../../ref';
import { chamfered, combine, type Region } from '../../stock';
import { bevels } from '../../tooling';
import { reason } from '../facts';
import { type Draft, type Operation, operation } from '../outcome';
import { cutEdge } from './edgeTool';

/** Chamfers the edge of a row that faces the free end. */
export const chamferMouth = (feature: Feature): Operation =>
  operation((draft) => {
    const { at } = draft;
    const size = (at.end === 'right' ? feature.chamferNear : feature.chamferFar) ?? 0;
    if (size === 0) return;
    const z = mouthOf(feature, at.end);
    chamfer(
      draft,
      feature,
      at.end === 'right' ? 'near' : 'far',
      across(draft, feature, z),
      size,
      chamferSweep(draft, feature, z, size, at.end, across(draft, feature, z)),
      [
        feature.form === 'thread'
          ? reason('relief-first', say`chamfered to below the minor diameter, so that thread or die starts clean`, feature.id)
          : reason('chamfer-before-severing', say`while it still runs true`, feature.id),
      ],
    );
  });

/** Chamfers the edge of a row that faces the headstock, behind which there is room: a neck, or the blade in some way. */
export const chamferInner = (feature: Feature, groove: Region): Operation =>
  operation((draft) => {
    const { at } = draft;
    const size = (at.end === 'right' ? feature.chamferFar : feature.chamferNear) ?? 0;
    if (size === 0) return;
    const z = innerOf(feature, at.end);
    const sweep = chamferSweep(draft, feature, z, size, at.end === 'right' ? 'left' : 'right', across(draft, feature, z));
    const all = groove.length > 0 ? combine('union', groove, sweep) : sweep;
    chamfer(draft, feature, at.end === 'right' ? 'far' : 'near', across(draft, feature, z), size, all, [
      reason('chamfer-before-severing', say`blade in some way, break the back edge, then sever`, feature.id),
    ]);
  });

/** The diameter of a row at one of its ends: of a taper what it is there, mm. */
function across({ facts }: Draft, feature: Feature, z: number): number {
  const drawn = isShaped(feature) ? facts.part.features.find((f) => f.id === feature.id) : undefined;
  return (drawn ? (alike(z, drawn.near) ? drawn.nearDiameter : drawn.farDiameter) : feature.nearDiameter).nominal;
}

/** The corner at z, towards `end`, and as far beyond as the stock may stand proud of the face; where a smaller row begins there the tip goes no deeper than that. */
function chamferSweep({ facts }: Draft, feature: Feature, z: number, size: number, end: End, wide: number): Region {
  const r = wide / 2;
  const beyond = 1;
  const neighbour = facts.part.features.some((f) => f.id !== feature.id && f.side === feature.side && (alike(f.near, z) || alike(f.far, z)));
  const sweep = chamfered(z + inward(end) * size, r, z - inward(end) * beyond, r - size - beyond);
  return neighbour ? combine('difference', sweep, facts.finished) : sweep;
}

function chamfer(
  draft: Draft,
  feature: Feature,
  edge: 'near' | 'far',
  wide: number,
  size: number,
  sweeps: Region,
  because: readonly ReturnType<typeof reason>[],
): void {
  cutEdge(draft, {
    verb: 'chamfer',
    about: `${feature.id}.${edge}`,
    says: say`${length(size)} × 45° on ${diameter(wide)}`,
    because,
    makes: (t) => bevels(t, 45, false),
    words: say`chamfering tool 45°`,
    size,
    degrees: 45,
    at: wide,
    minutes: practice.minutesChamfer,
    depth: figure('length', 'distance', { value: size }),
    sweeps,
  });
}
