import type { Column, Filter } from './columns';
import { cellOf, type Draft } from './lay';

/** The columns as they were ordered; one that came to be since stands where it was made, after the one before it. */
export function inOrder(keys: readonly string[], wanted: readonly string[]): string[] {
  const there = wanted.filter((k) => keys.includes(k));
  return keys.reduce<string[]>((so, key, i) => {
    if (so.includes(key)) return so;
    const before = keys[i - 1];
    const at = before === undefined ? 0 : so.indexOf(before) + 1;
    return [...so.slice(0, at), key, ...so.slice(at)];
  }, there);
}

/** A filter in words: 'kind: drill, tap'. */
export function filterWords<T>(column: Column<T> | undefined, { of, has }: Filter): string {
  const words = of?.map((value) => column?.choices?.find((c) => c.value === value)?.words ?? (value === '' ? 'nothing' : value));
  return `${column?.words ?? ''}: ${has ?? (words && words.length <= 2 ? words.join(', ') || 'none' : `${String(words?.length ?? 0)} of them`)}`;
}

const nothing: readonly (Draft | undefined)[] = [];

/** What stands in the cells of a line and was not understood. */
export function draftsOf<T>(drafts: ReadonlyMap<string, Draft>, id: string, columns: readonly Column<T>[]): readonly (Draft | undefined)[] {
  if (drafts.size === 0) return nothing;
  const own = columns.map((c) => drafts.get(cellOf(id, c.key)));
  return own.some((d) => d !== undefined) ? own : nothing;
}
