import type { Section } from '@obra/core/document';
import { useSyncExternalStore } from 'react';
import type { Column } from './cells';

/** Columns of the rows that stand only where somebody uses them or has asked for them. */
export const spare = ['edges', 'finish', 'note'] as const;
export type Spare = (typeof spare)[number];

const asked = new Set<Spare>();
const listeners = new Set<() => void>();
let now = '';

/** Shows a column, or hides it where no row uses it. */
export function ask(column: Spare, shown = true): void {
  if (asked.has(column) === shown) return;
  if (shown) asked.add(column);
  else asked.delete(column);
  now = [...asked].join(' ');
  for (const tell of listeners) tell();
}

/** The spare column that a cell stands in. */
export const spareOf = (column: Column): Spare | undefined =>
  column === 'near' || column === 'far' ? 'edges' : column === 'finish' || column === 'note' ? column : undefined;

/** Those that these rows use. */
export function usedBy(rows: readonly Section[]): readonly Spare[] {
  const typed = (text: string | undefined) => (text ?? '').trim() !== '';
  return spare.filter((s) =>
    rows.some((r) => (s === 'edges' ? typed(r.near?.text) || typed(r.far?.text) : s === 'finish' ? typed(r.finish?.text) : typed(r.note))),
  );
}

/** Those that somebody has asked for since the page was opened. */
export const useAsked = (): readonly Spare[] => {
  const words = useSyncExternalStore(
    (tell) => {
      listeners.add(tell);
      return () => listeners.delete(tell);
    },
    () => now,
  );
  return spare.filter((s) => words.split(' ').includes(s));
};
