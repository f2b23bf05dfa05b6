import { type Feature, inward, mouthOf } from '../drawing';
import { alike, exceeds, PLACE, tidy } from '../quantity';
import type { End } from '../ref';
import { combine, rectangle, type Region } from '../stock';
import { type Facts } from './facts';

/** What lies in a window of z and r and does not belong to the finished part. */
export function spareIn(facts: Facts, zFrom: number, zTo: number, rFrom: number, rTo: number): Region {
  const key = [zFrom, zTo, rFrom, rTo].join();
  const known = spare.get(facts.finished) ?? new Map<string, Region>();
  spare.set(facts.finished, known);
  const made = known.get(key) ?? combine('difference', rectangle(zFrom, zTo, rFrom, rTo), facts.finished);
  known.set(key, made);
  return made;
}

/** Windows of a finished part that were asked for before. */
const spare = new WeakMap<Region, Map<string, Region>>();

/** What turning leaves at its inner corner: the metal of a radius there. */
export function cornerKept({ part }: Pick<Facts, 'part'>, feature: Feature, end: End): Region {
  const beyond = part.features.find(
    (f) => f.id !== feature.id && f.side === feature.side && alike(mouthOf(f, end), end === 'right' ? feature.far : feature.near),
  );
  // a free edge is rounded, not filled
  if (!beyond || !exceeds(beyond.nearDiameter.nominal, feature.nearDiameter.nominal, PLACE)) return [];
  const edge = end === 'right' ? feature.edgeFar : feature.edgeNear;
  if (edge.kind !== 'radius') return [];
  const inner = end === 'right' ? feature.far : feature.near;
  const r = feature.nearDiameter.nominal / 2;
  const box = rectangle(inner, inner - inward(end) * edge.radius, r + 1e-3, tidy(r + edge.radius));
  const mouth = mouthOf(feature, end);
  return mouth === inner ? [] : box;
}
