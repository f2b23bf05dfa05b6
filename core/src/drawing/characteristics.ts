import { atMost } from '../quantity';
import type { Drawing } from '../document';
import { thingOf } from '../ref';
import { generalAngleTolerance } from '../standards';
import { settingOf } from './envelope';
import { threadOf } from './rows';
import type { Characteristic, Distance, Feature, Limits, PartDetail, ReadRelation } from './types';

type Care = Characteristic['care'];
type Found = Omit<Characteristic, 'balloon'>;

/** Tolerances at or under this, mm, are proposed as critical. @source common practice */
const FINE = 0.05;

const proposed = (limits: Limits): Care => (limits.from !== 'general' && atMost(limits.max - limits.min, FINE) ? 'critical' : 'ordinary');

/** Every size of the drawing that can be measured, numbered in reading order. */
export function characteristicsOf(
  drawing: Drawing,
  features: readonly Feature[],
  details: readonly PartDetail[],
  distances: readonly Distance[],
  relations: readonly ReadRelation[],
): readonly Characteristic[] {
  const related = new Set(relations.flatMap((r) => [thingOf(r.of), thingOf(r.to)]));
  const careOf = (ref: string, own: Care): Care => drawing.care[ref] ?? own;
  const size = (id: string, of: string, is: Found['is'], limits: Limits, own = proposed(limits)): Found => ({
    id,
    of,
    is,
    limits,
    care: careOf(id, own),
  });
  const lengthOf = (id: string, of: string): readonly Found[] => {
    const distance = distances.find((d) => d.id === of);
    return distance ? [{ ...size(id, of, 'length', distance.limits), between: [distance.a, distance.b] }] : [];
  };
  const found: Found[] = features.flatMap((f) => [
    ...ofThread(f, careOf),
    ...ofDiameters(f, size, related.has(f.id) ? 'critical' : undefined),
    ...ofAngle(f, drawing, size, careOf),
    ...lengthOf(`${f.id}.length`, f.id),
    ...(f.finish === undefined
      ? []
      : [size(`${f.id}.finish`, f.id, 'finish', { nominal: f.finish, max: f.finish, min: 0, from: 'typed' }, 'ordinary')]),
    ...details.filter((d) => d.on === f.id).flatMap((d) => ofDetail(d, size)),
  ]);
  found.push(...details.filter((d) => d.on === 'right' || d.on === 'left').flatMap((d) => ofDetail(d, size)), ...lengthOf('overall', 'overall'));
  for (const r of relations) {
    found.push({
      id: r.id,
      of: thingOf(r.of),
      is: r.kind === 'distance' ? 'length' : 'runout',
      limits: r.limits,
      relation: { kind: r.kind, to: r.to },
      care: careOf(r.id, 'critical'),
    });
  }
  return found.map((c, i) => ({ ...c, balloon: i + 1 }));
}

function ofThread(f: Feature, careOf: (ref: string, own: Care) => Care): readonly Found[] {
  const thread = threadOf(f);
  if (!thread) return [];
  const id = `${f.id}.thread`;
  const { pitchDiameter } = thread;
  return [{ id, of: f.id, is: 'thread', text: f.thread ?? '', ...(pitchDiameter && { pitchDiameter }), care: careOf(id, 'critical') }];
}

function ofDiameters(
  f: Feature,
  size: (id: string, of: string, is: Found['is'], limits: Limits, own?: Care) => Found,
  least: Care | undefined,
): readonly Found[] {
  const care = (limits: Limits): Care => (f.form === 'thread' ? 'ordinary' : (least ?? proposed(limits)));
  if (f.form === 'polygon') return f.across ? [size(`${f.id}.diameter`, f.id, 'length', f.across)] : [];
  if (f.form === 'ball') return f.across ? [size(`${f.id}.diameter`, f.id, 'diameter', f.across)] : [];
  if (f.form === 'cylinder' || f.form === 'thread') return [size(`${f.id}.diameter`, f.id, 'diameter', f.nearDiameter, care(f.nearDiameter))];
  return [
    size(`${f.id}.nearDiameter`, f.id, 'diameter', f.nearDiameter, care(f.nearDiameter)),
    size(`${f.id}.farDiameter`, f.id, 'diameter', f.farDiameter, care(f.farDiameter)),
  ];
}

/** A named taper goes into its gauge; another has an angle to the axis, degrees, held by the general rule. @source ISO 2768-1 table 3, from memory */
function ofAngle(
  f: Feature,
  drawing: Drawing,
  size: (id: string, of: string, is: Found['is'], limits: Limits, own?: Care) => Found,
  careOf: (ref: string, own: Care) => Care,
): readonly Found[] {
  if (f.form !== 'taper') return [];
  const id = `${f.id}.angle`;
  if (f.taper !== undefined) return [{ id, of: f.id, is: 'angle', text: f.taper, care: careOf(id, 'critical') }];
  const letter = /^ISO\s*2768-?\s*([fmcv])/i.exec(drawing.untoleranced.text.trim())?.[1]?.toLowerCase();
  const deviation = letter === undefined ? undefined : generalAngleTolerance(Math.abs(f.near - f.far), letter);
  const setting = settingOf(f);
  return deviation === undefined
    ? []
    : [size(id, f.id, 'angle', { nominal: setting, max: setting + deviation, min: Math.max(0, setting - deviation), from: 'general' })];
}

function ofDetail(d: PartDetail, size: (id: string, of: string, is: Found['is'], limits: Limits, own?: Care) => Found): readonly Found[] {
  if (!d.diameter || d.kind === 'knurl' || d.kind === 'centre' || d.kind === 'mark') return [];
  const flat = d.kind === 'flat' || d.kind === 'hexagon' || d.kind === 'keyway' || d.kind === 'slot';
  return [size(`${d.id}.diameter`, d.id, flat ? 'length' : 'diameter', d.diameter)];
}
