import { type Parsed, readLength, say, type Sentence, tidy, type Units } from '../quantity';
import { shoulderUndercut } from '../standards';
import type { Edge } from './types';

/**
 * An edge cell: '1x45', '1/16 x 45', '2x30' (along the axis, at that angle to it), '1' (45 degrees), 'R2', 'break 0.2', 'sharp', 'F0.6x0.3' or 'E 0.6x0.3'
 * (relief at a shoulder), 'DIN 76', 'DIN 76-B' (undercut of a thread), ''; mm, degrees.
 */
export function parseEdge(text: string, units: Units): Parsed<Edge> {
  const t = text.trim();
  const fail = (says: Sentence): Parsed<Edge> => ({ ok: false, problems: [{ at: t, says }] });
  if (t === '') return { ok: true, value: { kind: 'none' } };
  if (/^sharp$/i.test(t)) return { ok: true, value: { kind: 'sharp' } };
  const relief = /^(?:DIN\s*76|undercut|relief)\s*-?\s*([AB])?$/i.exec(t);
  if (relief) return { ok: true, value: { kind: 'threadUndercut', form: relief[1]?.toUpperCase() === 'B' ? 'B' : 'A' } };
  if (/^(?:DIN\s*509\s*-?\s*)?[EF]\s*\d*[.,]?\d/i.test(t)) {
    const name = t.replace(/^DIN\s*509\s*-?\s*/i, '');
    const read = shoulderUndercut(name);
    return read.ok ? { ok: true, value: { kind: 'shoulderUndercut', name, undercut: read } } : fail(read.says);
  }
  const radius = /^R\s*(.+)$/i.exec(t);
  if (radius) {
    const read = readLength(radius[1] ?? '', units);
    return read?.rest === '' && read.value > 0
      ? { ok: true, value: { kind: 'radius', radius: tidy(read.value) } }
      : fail(say`“${t}” is not a radius; write R2`);
  }
  const broken = /^break\s+(.+)$/i.exec(t);
  if (broken) {
    const read = readLength(broken[1] ?? '', units);
    return read?.rest === '' && read.value > 0
      ? { ok: true, value: { kind: 'break', size: tidy(read.value) } }
      : fail(say`“${t}” is not an edge; write break 0.2`);
  }
  const read = readLength(t, units);
  const angle = /^(?:\s*[xX×]\s*(\d+(?:[.,]\d+)?)\s*°?)?$/.exec(read?.rest ?? '?');
  if (!read || !(read.value > 0) || !angle) return fail(say`“${t}” is not an edge; write 1x45, .03, R2 or sharp`);
  const degrees = Number(angle[1]?.replace(',', '.') ?? 45);
  if (!(degrees >= 1 && degrees <= 89)) return fail(say`a chamfer of ${degrees} degrees to the axis is none; 1 to 89`);
  return { ok: true, value: { kind: 'chamfer', along: tidy(read.value), degrees } };
}

/** The end of a hole: 'flat', '118' (degrees of a drill point, 60 to 180), '' (a common point), or what an edge cell takes. */
export function parseBottom(text: string, units: Units): Parsed<Edge> {
  const t = text.trim();
  if (t === '') return { ok: true, value: { kind: 'bottom', degrees: 118 } };
  if (/^flat$/i.test(t)) return { ok: true, value: { kind: 'bottom', degrees: 180 } };
  const point = /^(\d{2,3}(?:[.,]\d+)?)\s*(?:°|deg(?:rees)?)?$/i.exec(t);
  if (!point) return parseEdge(t, units);
  const degrees = Number(point[1]?.replace(',', '.'));
  return degrees >= 60 && degrees <= 180
    ? { ok: true, value: { kind: 'bottom', degrees } }
    : { ok: false, problems: [{ at: t, says: say`a point of ${degrees} degrees is none; 60 to 180, or flat` }] };
}
