import type { Cell, Section, Shop } from '@obra/core/document';
import type { Edit } from '@obra/core/finding';
import { faceA, faceB } from '../../../words/places';

export type Column = 'size' | 'length' | 'near' | 'far' | 'usable' | 'finish' | 'note';

/** Puts a text into a cell of a row; an empty one that may be absent is taken out. A cell keeps the unit that it was begun in. */
export function cellEdit(path: string, row: Section, column: Column, text: string, units: Cell['units']): Edit {
  const at = `${path}/${column}`;
  if (column === 'note') return text === '' ? { op: 'remove', at } : { op: 'put', at, value: text };
  const before = row[column];
  const value: Cell = { text, units: before && before.text.trim() !== '' ? before.units : units };
  return text === '' && column !== 'size' && column !== 'length' ? { op: 'remove', at } : { op: 'put', at, value };
}

/** What stands in a column of a row, as a cell; a note has no unit. */
export const cellOf = (row: Section, column: Column): Cell | undefined =>
  column === 'note' ? (row.note === undefined ? undefined : { text: row.note, units: 'mm' }) : row[column];

/** Puts the cursor into a cell once it is on the page; a menu that closes may still take it away once, and it is put back. */
export function focusSoon(cell: string): void {
  let tries = 0;
  let had = false;
  const go = () => {
    const target = document.querySelector<HTMLInputElement>(`[data-cell="${cell}"]`);
    if (target && (!had || document.activeElement?.matches('.dropdown-toggle') === true)) {
      target.focus();
      had = true;
    }
    if (tries++ < 4) setTimeout(go, 25);
  };
  setTimeout(go, 0);
}

/** Faces that a length may start at, with the words for them. */
export function facesToStart(rows: readonly Section[], own: string): readonly { readonly ref: string; readonly says: string }[] {
  return [
    { ref: 'right', says: faceA },
    { ref: 'left', says: faceB },
    ...rows.flatMap((row, i) =>
      row.id === own || i === rows.length - 1 ? [] : [{ ref: `${row.id}.far`, says: `shoulder ${String(i + 1)} | ${String(i + 2)}` }],
    ),
  ];
}

/** What a piece is first measured with: the caliper, or what there is. */
export const usualGauge = (shop: Shop): string => shop.gauges.find((g) => g.kind === 'caliper')?.id ?? shop.gauges[0]?.id ?? 'none';
