import type { Characteristic } from '@obra/core/drawing';
import { figure, type Figure, type Units } from '@obra/core/quantity';
import { FigureNumber } from '../slate';
import { type Drawn, quantityOf, sizeAbout, stepOf } from './sizes';

/** Where the limits of a size come from. */
function fromOf(of: Drawn, size: Characteristic): string {
  const where = sizeAbout(of, size) || 'the drawing';
  if (size.pitchDiameter && !size.limits) return `${where}: pitch diameter of ${size.text ?? 'the thread'}, by the tables of its standard`;
  const by = {
    typed: 'as typed',
    class: 'by its class: ISO 286-2, or the standard of its thread',
    mate: 'by what it must fit',
    general: `by the general tolerance, ${of.drawing.untoleranced.text}`,
  };
  return `${where}: ${by[size.limits?.from ?? 'typed']}`;
}

/** The limits of a size, each opening where it comes from; an angle stands once. */
export function SizeLimits({
  of,
  size,
  units,
  own,
}: {
  readonly of: Drawn;
  readonly size: Characteristic;
  readonly units: Units;
  readonly own: boolean;
}) {
  const limits = size.limits ?? size.pitchDiameter;
  const is = quantityOf(size);
  if (!limits || (is === 'angle' && !own)) return null;
  const basic = size.limits?.nominal;
  const source = fromOf(of, size);
  const one = (value: number): Figure =>
    basic === undefined
      ? { is, value, step: stepOf(size), formula: 'asItStands', of: { value }, source }
      : { ...figure(is, 'limitOf', { basic, deviation: value - basic }, { step: stepOf(size) }), source };
  const shown = (value: number) => <FigureNumber figure={one(value)} units={units} withUnit={is !== 'length'} />;
  return size.is === 'finish' || size.is === 'runout' ? (
    <>up to {shown(limits.max)}</>
  ) : (
    <>
      {shown(limits.min)} – {shown(limits.max)}
    </>
  );
}
