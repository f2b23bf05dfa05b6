import type { Drawing } from '@obra/core/document';
import { type Characteristic, detailWords, type Part } from '@obra/core/drawing';
import { type Quantity, type Units, write, writeWithUnit } from '@obra/core/quantity';
import { thingOf } from '@obra/core/ref';
import { concentricTo, endA, endB, parallelTo, runsTrueTo, squareTo } from '../words/places';

/** A drawing as it is typed, and as it was read. */
export interface Drawn {
  readonly drawing: Drawing;
  readonly part: Part;
}

/** Which row or detail a size belongs to, and what is asked of it. */
export const sizeAbout = (of: Drawn, size: Characteristic): string =>
  `${whereOf(of, size.of)}${size.pitchDiameter ? ', pitch diameter' : ''}${size.care === 'critical' ? ', critical' : ''}${size.limits?.from === 'general' ? ', general' : ''}`;

/** The last digit that means something in its limits. */
export const stepOf = (size: Characteristic): number =>
  size.is === 'angle' || size.is === 'finish' ? 0.01 : size.pitchDiameter || (size.limits && size.limits.max - size.limits.min < 0.2) ? 0.001 : 0.01;

/** Its limits in these units; an angle stands once. */
export function sizeBetween(size: Characteristic, units: Units, job: Units): string {
  const limits = size.limits ?? size.pitchDiameter;
  const is = quantityOf(size);
  if (!limits || (is === 'angle' && units !== job)) return '';
  const fine = stepOf(size);
  const one = (value: number) => (is === 'length' ? write({ is, value, step: fine }, units).text : writeWithUnit({ is, value, step: fine }, units));
  return size.is === 'finish' || size.is === 'runout' ? `up to ${one(limits.max)}` : `${one(limits.min)} – ${one(limits.max)}`;
}

/** What kind of number a size is. */
export const quantityOf = ({ is }: Characteristic) => (is === 'angle' ? 'angle' : is === 'finish' ? 'roughness' : 'length');

const relations = { concentric: concentricTo, runout: runsTrueTo, square: squareTo, parallel: parallelTo, distance: 'distance from' } as const;

/** The nominal that stands in the name of a size, where one does. */
export function sizeNominal(size: Characteristic): Quantity | undefined {
  if (size.relation || size.is === 'thread' || size.text !== undefined || !size.limits) return undefined;
  const is = size.is === 'diameter' ? 'diameter' : quantityOf(size);
  return { is, value: size.limits.nominal, ...(is === 'angle' && { step: 0.01 }) };
}

/** What a size is called before its nominal. */
export const sizeWord = (size: Characteristic): string => (size.is === 'finish' ? 'finish Ra' : size.is === 'angle' ? 'angle to the axis' : size.is);

/** What a size is called on the sheet. */
export function sizeName(of: Drawn, size: Characteristic, units: Units): string {
  if (size.relation) {
    const { to } = size.relation;
    const ends: Readonly<Record<string, string>> = { axis: 'the centre line', right: endA, left: endB };
    return `${relations[size.relation.kind]} ${ends[to] ?? whereOf(of, thingOf(to))}`;
  }
  if (size.is === 'thread') return size.text ?? '';
  if (size.text !== undefined) return `${size.text} in its gauge`;
  const nominal = sizeNominal(size);
  return nominal ? `${sizeWord(size)} ${writeWithUnit(nominal, units)}` : size.is;
}

/** Row, hole or detail that a size belongs to, in words. */
function whereOf({ drawing, part }: Drawn, of: string): string {
  const { outside, boreRight, boreLeft } = drawing;
  const detail = part.details.find((d) => d.id === of);
  if (detail) return detailWords[detail.kind];
  if (of === 'overall') return 'overall';
  const row = outside.findIndex((r) => r.id === of);
  if (row >= 0) return `row ${String(row + 1)}`;
  const [list, end] = boreRight.some((r) => r.id === of) ? [boreRight, 'A'] : [boreLeft, 'B'];
  return list.length > 1 ? `hole ${end}, row ${String(list.findIndex((r) => r.id === of) + 1)}` : 'hole';
}
