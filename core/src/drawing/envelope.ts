import { taper } from '../standards';
import type { Feature, Limits } from './types';

/** The widest of a row: of a taper or arc its larger end, of a ball its middle, of a polygon its corners. */
export function widestOf(feature: Feature): Limits {
  if (feature.form === 'ball' && feature.across) return feature.across;
  const { nearDiameter, farDiameter } = feature;
  return nearDiameter.nominal >= farDiameter.nominal ? nearDiameter : farDiameter;
}

/** A row as roughing sees it: a cylinder of its widest diameter. */
export function envelopeOf(feature: Feature): Feature {
  const widest = widestOf(feature);
  return { ...feature, nearDiameter: widest, farDiameter: widest };
}

/** What a compound slide is set to for a taper, degrees from the axis. @source geometry: half of the included angle */
export function settingOf(feature: Feature): number {
  const read = taper({ ratio: 1 / (feature.slope ?? 0) });
  return read.ok ? read.setting : 0;
}

/** Rows that are not straight: no cylinder finishes them, and jaws do not hold them. */
export const isShaped = (feature: Feature): boolean => feature.form === 'taper' || feature.form === 'arc' || feature.form === 'ball';
