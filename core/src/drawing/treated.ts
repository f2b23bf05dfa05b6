import type { Drawing } from '../document';
import { length, parseLength, say, type Sentence } from '../quantity';
import type { End } from '../ref';
import { faceOf, inward, letterOf } from './ends';
import type { Feature, Part } from './types';

type Treatment = Drawing['treatment'][number];

/** Where a treatment goes: the whole piece, so far from an end, or some rows of the outside, counted from 1. */
export interface Treated {
  readonly end?: End;
  /** from that end, mm */
  readonly length?: number;
  readonly rows?: readonly number[];
  /** what is said beside the place */
  readonly rest: string;
}

const LENGTH = String.raw`(\d+(?:[.,]\d+)?(?:\s*\d*\/\d+)?\s*(?:mm|in|")?)`;
const tip = new RegExp(String.raw`\b(?:the\s+)?tip\s+(?:for\s+|only\s+)?${LENGTH}`, 'i');
const fromEnd = new RegExp(String.raw`\b(?:end|from|face)\s+([AB])\s*(?:for\s+|,\s*)?${LENGTH}`, 'i');
const rowsOnly = /\brows?\s+(\d+(?:\s*(?:,|and|to|-)?\s*\d+)*)/i;

/**
 * Where a treatment goes, as typed: 'tip 12', 'end B for 20, 58 HRC', '0.01 rows 2, 3'. Nothing of it is the whole piece.
 * @example treatedAt({ text: '58 HRC, tip 12', units: 'mm' }).length // 12
 */
export function treatedAt({ text, units }: Treatment['value']): Treated {
  const atTip = tip.exec(text);
  const atEnd = atTip ? null : fromEnd.exec(text);
  const at = atTip ?? atEnd;
  const length = at && parseLength((atTip ? at[1] : at[2])?.trim() ?? '', units);
  if (at && length?.ok) return { end: atEnd?.[1]?.toUpperCase() === 'B' ? 'left' : 'right', length: length.value, rest: without(text, at[0]) };
  const rows = rowsOnly.exec(text);
  if (!rows) return { rest: text.trim() };
  return { rows: numbersOf(rows[1] ?? ''), rest: without(text, rows[0]) };
}

const without = (text: string, part: string): string =>
  text
    .replace(part, ' ')
    .replace(/\s*,\s*(?=,|$)/g, '')
    .replace(/^[\s,;]+|[\s,;]+$/g, '')
    .replace(/\s+/g, ' ');

/** '1, 3' and '2 to 4' as numbers. */
function numbersOf(text: string): readonly number[] {
  const range = /^(\d+)\s*(?:to|-)\s*(\d+)$/.exec(text.trim());
  if (!range) return text.split(/\D+/).filter(Boolean).map(Number);
  const [from, to] = [Number(range[1]), Math.min(Number(range[2]), Number(range[1]) + 99)];
  return Array.from({ length: Math.max(0, to - from + 1) }, (_, i) => from + i);
}

/** Whether a treatment reaches a row, in whole or in part. */
export function reaches(treatment: Treatment, row: Feature, part: Part): boolean {
  const { end, length, rows } = treatedAt(treatment.value);
  if (rows) {
    const own = part.features.filter((f) => f.side === 'outside').findIndex((f) => f.id === row.id);
    return rows.includes(own + 1);
  }
  if (end === undefined || length === undefined) return true;
  const line = faceOf(part, end) + inward(end) * length;
  return end === 'right' ? Math.max(row.near, row.far) > line + 0.01 : Math.min(row.near, row.far) < line - 0.01;
}

/** Where a treatment goes, in words; nothing where it goes all over. */
export function placeSaid({ end, length: long, rows }: Treated): Sentence | undefined {
  if (rows) return rows.length === 1 ? say`row ${rows[0] ?? 0} only` : say`rows ${rows.join(', ')} only`;
  return end === undefined || long === undefined ? undefined : say`only ${length(long)} from end ${letterOf(end)}`;
}
