import { parseLength, type Units } from '@obra/core/quantity';
import * as z from 'zod';

/** How the lines of a gauge are read: a small table that a person may change. */
export const LineFormat = z.strictObject({
  name: z.string().max(60),
  /** ends a line: a carriage return, a line feed, or another sign */
  ends: z.string().min(1).max(4),
  /** what a number means that comes without a unit */
  units: z.enum(['mm', 'in']),
  /** the sign of its readings is the other way round */
  turned: z.boolean(),
  /** stands before the number: nothing, or the letter of an axis */
  before: z.string().max(8),
});
export type LineFormat = z.infer<typeof LineFormat>;

/** As most gauges send it. */
export const usual: LineFormat = { name: 'number and unit, a line each', ends: '\\r', units: 'mm', turned: false, before: '' };

/** The usual ways. */
export const formats: readonly LineFormat[] = [
  usual,
  { name: 'number alone, mm', ends: '\\n', units: 'mm', turned: false, before: '' },
  { name: 'number alone, inch', ends: '\\n', units: 'in', turned: false, before: '' },
  { name: 'axis X of a readout', ends: '\\r', units: 'mm', turned: false, before: 'X' },
  { name: 'axis Z of a readout', ends: '\\r', units: 'mm', turned: false, before: 'Z' },
];

/** Signs as they are typed in a table. */
const sign = (typed: string): string => typed.replaceAll('\\r', '\r').replaceAll('\\n', '\n').replaceAll('\\t', '\t');

/** A reading as a gauge gave it: its own digits, its own unit. */
export interface GaugeReading {
  readonly text: string;
  readonly units: Units;
}

/** What a line says: a reading, or why it is none. A line of another axis is nothing at all. */
export type LineRead = GaugeReading | { readonly garbage: string } | undefined;

/** Longer than this no line of a gauge is. */
const LONGEST = 80;

/** One line by a format. */
export function readLine(raw: string, { units, turned, before }: LineFormat): LineRead {
  // eslint-disable-next-line no-control-regex -- what is lost or added on the way is seen by its control signs
  if (/[\u0000-\u0008\u000e-\u001f\u007f]/.test(raw)) return { garbage: raw.slice(0, LONGEST) };
  const line = raw.trim();
  if (line === '') return undefined;
  if (line.length > LONGEST) return { garbage: `${line.slice(0, 20)}…` };
  const axis = /^([A-Za-z]{1,8})\s+(?=[+\-−.\d])/.exec(line);
  if (before !== '') {
    // of several axes each has its own line
    if (axis?.[1]?.toLowerCase() !== before.toLowerCase()) return axis ? undefined : { garbage: line };
  } else if (axis) return { garbage: line };
  const number = line.slice(axis?.[0].length ?? 0);
  const m = /^([+\-−]?)\s*(\d{1,5}(?:[.,]\d{1,6})?|[.,]\d{1,6})\s*(mm|in|inch|")?$/i.exec(number);
  if (!m) return { garbage: line };
  const own: Units = m[3] === undefined ? units : /mm/i.test(m[3]) ? 'mm' : 'in';
  const minus = (m[1] === '-' || m[1] === '−') !== turned;
  const digits = (m[2] ?? '').replace(',', '.').replace(/^0+(?=\d)/, '');
  const value = parseLength(digits, own);
  // an indicator at its zero is a reading as well
  if (!value.ok && !/^0*[.]?0*$/.test(digits)) return { garbage: line };
  return { text: `${minus ? '-' : ''}${digits}`, units: own };
}

/** More readings than this in so many ms are a flood: the last of them counts, and it is said. */
const [FLOOD, WITHIN] = [12, 1000];

/** Cuts what comes into lines, and holds back a flood. */
export class Lines {
  private rest = '';
  private times: number[] = [];
  private readonly format: LineFormat;

  constructor(format: LineFormat) {
    this.format = format;
  }

  /** @param now milliseconds @returns what is read of it, in order; a flood as one word of it */
  take(chunk: string, now: number): readonly (LineRead | { readonly flood: true })[] {
    const ends = sign(this.format.ends);
    this.rest += chunk.replaceAll('\r\n', ends === '\r' || ends === '\n' ? ends : '\r\n');
    const parts = this.rest.split(ends);
    this.rest = parts.pop() ?? '';
    // without an end to a line what comes is no gauge
    if (this.rest.length > 4 * LONGEST) {
      const lost = this.rest.slice(0, 20);
      this.rest = '';
      return [{ garbage: `${lost}…` }];
    }
    const read = parts.map((line) => readLine(line, this.format)).filter((r) => r !== undefined);
    this.times = [...this.times.filter((t) => now - t < WITHIN), ...read.map(() => now)].slice(-FLOOD * 4);
    if (this.times.length > FLOOD) return [{ flood: true }];
    return read;
  }
}
