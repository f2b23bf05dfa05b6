import Papa from 'papaparse';
import { type Entry, liveEntries, type Shop } from '../document';
import type { Part } from '../drawing';
import type { Verdict } from '../inspection';
import { REFERENCE, type Units, writeExact } from '../quantity';
import { warmthOf } from '../shop';
import { plain } from './rows';

const HEAD = [
  'piece',
  'no',
  'size',
  'least',
  'most',
  'reading as typed',
  'unit',
  'temperature C',
  'room C',
  'cold',
  'verdict',
  'gauge',
  'who',
  'by',
  'at',
] as const;

/** One reading of the record as a row: limits and cold size in the units of the job. */
export interface ReadingRow {
  readonly piece: number;
  readonly no: number;
  readonly size: string;
  readonly least: string;
  readonly most: string;
  readonly typed: string;
  readonly unit: Units;
  readonly celsius: number;
  readonly room: number;
  /** the last reading of a size: at 20 C, and its verdict */
  readonly cold: string;
  readonly verdict: string;
  readonly gauge: string;
  /** who measured */
  readonly who: string;
  readonly by: string;
  readonly at: string;
}

/** Every reading of a job with what was made of the last of each size, in the order that they were written. */
export function readingRows(part: Part, shop: Shop, log: readonly Entry[], verdicts: readonly Verdict[], units: Units): readonly ReadingRow[] {
  const live = liveEntries(log);
  const mm = (value: number | undefined) => (value === undefined ? '' : writeExact(value, units));
  return live.flatMap((e, i): ReadingRow[] => {
    if (e.kind !== 'reading') return [];
    const size = part.characteristics.find((c) => c.id === e.of);
    const later = live.slice(i + 1).some((o) => o.kind === 'reading' && o.of === e.of && o.piece === e.piece);
    const verdict = later ? undefined : verdicts.find((v) => v.of === e.of && v.piece === e.piece);
    return [
      {
        piece: e.piece,
        no: size?.balloon ?? 0,
        size: size ? (size.text ?? size.is) : e.of,
        least: mm((size?.limits ?? size?.pitchDiameter)?.min),
        most: mm((size?.limits ?? size?.pitchDiameter)?.max),
        typed: e.value.text,
        unit: e.value.units,
        celsius: warmthOf(e),
        room: e.room ?? REFERENCE,
        cold: mm(verdict?.value.value),
        verdict: verdict ? (verdict.accepted ? 'in by this gauge' : verdict.says) : '',
        gauge: shop.gauges.find((g) => g.id === e.gauge)?.name ?? e.gauge,
        who: e.who ?? '',
        by: e.by,
        at: e.at,
      },
    ];
  });
}

/** The readings of a job as CSV: commas, CRLF, quoted where needed. */
export const writeReadings = (rows: readonly ReadingRow[]): string =>
  `${Papa.unparse({ fields: [...HEAD], data: rows.map((r) => Object.values(r).map((v: string | number) => (typeof v === 'string' ? plain(v) : v))) })}\r\n`;

/** The same as JSON, indented. */
export const writeReadingsJson = (job: string, units: Units, rows: readonly ReadingRow[]): string =>
  `${JSON.stringify({ obra: 'readings', job, units, readings: rows }, null, 1)}\n`;
