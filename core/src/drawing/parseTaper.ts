import { readLength, say, type Sentence, tidy, type Units } from '../quantity';
import { namedTaper } from '../standards';
import type { Limits, Size } from './types';

type ReadDiameter = (text: string, units: Units) => Size;

const deg = (degrees: number) => (degrees * Math.PI) / 180;
const no = (says: Sentence, nearest: readonly string[] = []): Size => ({ kind: 'unknown', says, nearest });

/**
 * A taper, an arc or a named taper in a size cell, the near end first: '20 > 15', '20 > 1:10', '20 1:10' (narrows towards the far end), '15 < 1:10'
 * (widens), '20 > 8°' (included angle), '20 > .602/ft', 'MT2', 'MT2 <' (widens), '18 > MT2' (its slope), '20 > 15 R30', '15 > 12 R20 hollow'.
 * Undefined when the text is none of these.
 */
export function parseTaper(text: string, units: Units, readDiameter: ReadDiameter): Size | undefined {
  const named = namedWhole(text);
  if (named) return named;
  const sign = /[<>]/.exec(text);
  if (sign) {
    const left = text.slice(0, sign.index).trim();
    const right = text.slice(sign.index + 1).trim();
    return between(left, right, sign[0] === '<', units, readDiameter);
  }
  const spaced = /^(.*\S)\s+(\S*(?:\d\s*:\s*\d|°|\bdeg\b|\/\s*ft|\btpf\b).*)$/i.exec(text);
  return spaced?.[1] === undefined ? undefined : between(spaced[1], spaced[2] ?? '', false, units, readDiameter);
}

function namedWhole(text: string): Size | undefined {
  const m = /^(.*?)\s*([<>])?$/.exec(text);
  const read = namedTaper(m?.[1] ?? '');
  if (!read.ok) return /^(?:MT|morse|jarno)\s*\d/i.test(text) ? no(read.says, read.nearest) : undefined;
  if (read.large === null) return no(say`${read.name} has no size of its own in this table; write it after a diameter, 20 > ${read.name}`);
  const narrows = m?.[2] === '<' ? ('near' as const) : m?.[2] === '>' ? ('far' as const) : undefined;
  return { kind: 'taper', slope: read.slope, large: read.large, name: read.name, ...(narrows && { narrows }) };
}

function between(left: string, right: string, widens: boolean, units: Units, readDiameter: ReadDiameter): Size {
  const near = endOf(left, units, readDiameter);
  if (near.kind !== 'diameter') return near;
  const slope = slopeOf(right);
  if (slope !== undefined) {
    if (!(slope.value > 0 && slope.value < 50)) return no(say`“${right}” is no slope of a taper; write 1:10, 8° or .6/ft`);
    return {
      kind: 'taper',
      near: near.limits,
      slope: slope.value,
      narrows: widens ? 'near' : 'far',
      ...(slope.name !== undefined && { name: slope.name }),
    };
  }
  const arc = /^(.*\S)\s+R\s*(.*?)(\s+hollow)?$/i.exec(right);
  const far = endOf(arc?.[1] ?? right, units, readDiameter);
  if (far.kind !== 'diameter') return far.kind === 'unknown' ? no(far.says) : far;
  if (near.limits.nominal === 0 && far.limits.nominal === 0) return no(say`both ends are points`);
  if (!arc) {
    if (near.limits.nominal === far.limits.nominal) return no(say`both ends are the same size: a cylinder`, [left]);
    return { kind: 'taper', near: near.limits, far: far.limits };
  }
  const radius = readLength(arc[2] ?? '', units);
  if (radius?.rest !== '' || !(radius.value > 0)) return no(say`“R${arc[2] ?? ''}” is not a radius; write 20 > 15 R30`);
  return { kind: 'arc', near: near.limits, far: far.limits, radius: tidy(radius.value), hollow: arc[3] !== undefined };
}

/** One end of a taper: a diameter, or 0 where it comes to a point. */
function endOf(text: string, units: Units, readDiameter: ReadDiameter): Size {
  if (/^0+(?:[.,]0*)?$/.test(text.trim())) return { kind: 'diameter', limits: { nominal: 0, max: 0, min: 0, from: 'class' } };
  return readDiameter(text, units);
}

/** Diameter over length: '1:10', '8°' or '8 deg' (included), '.602/ft' (inches a foot), 'MT2'. */
function slopeOf(text: string): { readonly value: number; readonly name?: string } | undefined {
  const t = text.trim();
  const number = (s: string | undefined) => Number((s ?? '').replace(',', '.'));
  const ratio = /^(\d*[.,]?\d+)\s*:\s*(\d*[.,]?\d+)$/.exec(t);
  if (ratio) return { value: number(ratio[1]) / number(ratio[2]) };
  const angle = /^(\d*[.,]?\d+)\s*(?:°|deg\.?)$/i.exec(t);
  if (angle) return { value: number(angle[1]) < 180 ? 2 * Math.tan(deg(number(angle[1])) / 2) : NaN };
  const perFoot = /^(.*\d)\s*(?:in)?\s*(?:\/\s*ft|tpf)$/i.exec(t);
  if (perFoot) return { value: (readLength(perFoot[1] ?? '', 'in')?.value ?? NaN) / 25.4 / 12 };
  const named = namedTaper(t);
  return named.ok ? { value: named.slope, name: named.name } : undefined;
}

/** The far end of a taper that is known by its near one and its slope, or the near one by the far: no tolerance beyond that of its other end. */
export function taperEnd(limits: Limits, slope: number, long: number, narrows: 'near' | 'far'): Limits {
  const by = narrows === 'far' ? -slope * long : slope * long;
  return { nominal: tidy(limits.nominal + by), max: tidy(limits.max + by), min: tidy(limits.min + by), from: limits.from };
}
