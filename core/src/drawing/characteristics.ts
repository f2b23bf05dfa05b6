import type { Drawing } from '../document';
import { readExternalThread } from '../standards';
import type { Characteristic, Feature, Limits } from './types';

type Care = Characteristic['care'];

/** Tolerances at or under this, mm, are proposed as critical. @source common practice */
const FINE = 0.05;

/** Every size of the drawing that can be measured, numbered in reading order. */
export function characteristicsOf(
  drawing: Drawing,
  features: readonly Feature[],
  lengths: readonly (Limits | undefined)[],
): readonly Characteristic[] {
  const found: Omit<Characteristic, 'balloon'>[] = [];
  const careOf = (ref: string, proposed: Care): Care => drawing.care[ref] ?? proposed;
  const proposed = (limits: Limits): Care => (limits.from !== 'general' && limits.max - limits.min <= FINE + 1e-9 ? 'critical' : 'ordinary');
  for (const feature of features) {
    if (feature.form === 'thread') {
      const id = `${feature.id}.thread`;
      const read = readExternalThread(feature.thread ?? '');
      const pitchDiameter = read?.ok ? read.thread.pitchDiameter : undefined;
      found.push({
        id,
        of: feature.id,
        is: 'thread',
        text: feature.thread ?? '',
        ...(pitchDiameter && { pitchDiameter }),
        care: careOf(id, 'critical'),
      });
    }
    const id = `${feature.id}.diameter`;
    found.push({
      id,
      of: feature.id,
      is: 'diameter',
      limits: feature.nearDiameter,
      care: careOf(id, feature.form === 'thread' ? 'ordinary' : proposed(feature.nearDiameter)),
    });
    const row = drawing.outside.findIndex((r) => r.id === feature.id);
    const long = lengths[row];
    if (row >= 0 && long) {
      const lengthId = `${feature.id}.length`;
      found.push({ id: lengthId, of: feature.id, is: 'length', limits: long, care: careOf(lengthId, proposed(long)) });
    }
  }
  return found.map((c, i) => ({ ...c, balloon: i + 1 }));
}
