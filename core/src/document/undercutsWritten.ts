import { parseLength, type Units } from '../quantity';
import { readExternalThread, threadUndercut } from '../standards';

type Raw = Record<string, unknown>;

const isRecord = (value: unknown): value is Raw => typeof value === 'object' && value !== null && !Array.isArray(value);

const cellOf = (value: unknown): { readonly text: string; readonly units: Units } | undefined =>
  isRecord(value) && typeof value['text'] === 'string' && (value['units'] === 'mm' || value['units'] === 'in')
    ? { text: value['text'].trim(), units: value['units'] }
    : undefined;

/** The widest that a row of that time stands, mm: of a thread its nominal, of a taper its larger end; undefined where it is not understood. */
function acrossOf(row: unknown): number | undefined {
  const size = isRecord(row) ? cellOf(row['size']) : undefined;
  if (!size) return undefined;
  const thread = readExternalThread(size.text);
  if (thread?.ok) return thread.thread.nominal;
  const found = [...size.text.matchAll(/\d+(?:[-\s]\d+\/\d+|\/\d+|[.,]\d+)?|[.,]\d+/g)].flatMap(([number]) => {
    const read = parseLength(number, size.units);
    return read.ok ? [read.value] : [];
  });
  const [first, second] = found;
  return size.text.includes('>') && first !== undefined && second !== undefined ? Math.max(first, second) : first;
}

/**
 * A drawing as it was understood up to version 3: a thread outside that ran up to a shoulder, with nothing written in that edge, was given an undercut there. It is
 * written down, so that what was given out to the Bench is made as it was planned.
 */
export function undercutsWritten(drawing: unknown): unknown {
  if (!isRecord(drawing) || !Array.isArray(drawing['outside'])) return drawing;
  const rows: readonly unknown[] = drawing['outside'];
  const outside = rows.map((row, i) => {
    if (!isRecord(row)) return row;
    const size = cellOf(row['size']);
    const thread = size && readExternalThread(size.text);
    if (!size || !thread?.ok || !threadUndercut(thread.thread.pitch)) return row;
    const blocks = (other: unknown) => (acrossOf(other) ?? 0) > thread.thread.nominal;
    const open = (edge: 'near' | 'far') => (cellOf(row[edge])?.text ?? '') === '';
    const relief = { text: 'DIN 76', units: size.units };
    if (blocks(rows[i + 1])) return open('far') ? { ...row, far: relief } : row;
    return blocks(rows[i - 1]) && open('near') ? { ...row, near: relief } : row;
  });
  return { ...drawing, outside };
}
