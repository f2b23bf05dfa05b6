import { type Units, writeSentence } from '@obra/core/quantity';
import { type Column, headOf, inUnitOf, wordsIn } from './columns';

/** A text that a cell does not understand: it stays in the cell, with what is wrong with it. */
export interface Draft {
  readonly text: string;
  readonly says?: string;
}

export interface Laid<T> {
  /** the lines that change, each once; new ones after those that are there */
  readonly changed: readonly T[];
  /** what was not understood, by line and column */
  readonly drafts: ReadonlyMap<string, Draft>;
  /** cells that were left: only read here, or past the last column */
  readonly left: number;
}

/** So many lines are taken at once. */
export const MOST = 5000;

export const cellOf = (line: string, column: string): string => `${line} ${column}`;

interface Into<T> {
  /** the lines as they stand, from the first that is laid on */
  readonly lines: readonly T[];
  /** the columns as they stand, from the first that is laid on */
  readonly columns: readonly Column<T>[];
  /** all of them, for a block that brings its own heads */
  readonly all: readonly Column<T>[];
  readonly idOf: (line: T) => string;
  readonly units: Units;
  /** makes a line where there is none; without it what goes past the last is left */
  readonly blank?: (() => T) | undefined;
  /** an empty cell empties what it lies on; else empty lines are passed over */
  readonly emptying?: boolean;
}

/** Lays cells over a table from one of its cells on. Where the first line holds heads of columns, the columns are theirs, wherever they stand. */
export function lay<T>(block: readonly (readonly string[])[], { lines, columns, all, idOf, units, blank, emptying = false }: Into<T>): Laid<T> {
  const heads = headsOf(block[0] ?? [], all);
  const rows = heads ? block.slice(1) : block;
  const changed = new Map<string, T>();
  const drafts = new Map<string, Draft>();
  let left = 0;
  rows.slice(0, MOST).forEach((cells, r) => {
    if (!emptying && cells.every((cell) => cell.trim() === '')) return;
    let line = lines[r] ?? blank?.();
    if (line === undefined) {
      left += cells.length;
      return;
    }
    const before = lines[r];
    const id = idOf(line);
    cells.forEach((cell, c) => {
      const column = heads ? heads[c] : columns[c];
      if (!column?.put) {
        if (cell.trim() !== '') left++;
        return;
      }
      const text = inUnitOf(heads ? (block[0]?.[c] ?? '') : '', cell, units);
      const now = line as T;
      if (text.trim() === column.text(now) || text.trim() === wordsIn(column, now)) return;
      const read = column.put(now, text);
      if (read.ok) line = read.value;
      else drafts.set(cellOf(id, column.key), { text: text.trim(), says: writeSentence(read.problems[0]?.says ?? [], units) });
    });
    if (line !== before) changed.set(id, line);
  });
  for (const cells of rows.slice(MOST)) left += cells.length;
  return { changed: [...changed.values()], drafts, left };
}

/** The columns that a first line names, if all of its cells name one. */
function headsOf<T>(first: readonly string[], columns: readonly Column<T>[]): readonly (Column<T> | undefined)[] | undefined {
  const clean = (text: string) => text.trim().toLowerCase();
  const bare = (text: string) => clean(text).replace(/\s*[,(][^,(]*$/, '');
  const named = first.map((cell) =>
    columns.find(
      (c) => [clean(headOf(c)), clean(c.words), c.key.toLowerCase()].includes(clean(cell)) || (c.unit !== undefined && clean(c.words) === bare(cell)),
    ),
  );
  return named.length > 0 && named.every((c) => c !== undefined) ? named : undefined;
}

/** What came of it, in a sentence. */
export function laidSays<T>({ changed, drafts, left }: Laid<T>, one: string): string {
  const lines = changed.length === 1 ? `1 ${one}` : `${String(changed.length)} ${one}s`;
  const [first] = drafts.values();
  return [
    `${lines} changed.`,
    ...(first
      ? [
          `${drafts.size === 1 ? '1 cell was' : `${String(drafts.size)} cells were`} not understood and ${drafts.size === 1 ? 'stands' : 'stand'} as pasted: ${first.says ?? ''}.`,
        ]
      : []),
    ...(left > 0 ? [`${String(left)} ${left === 1 ? 'cell' : 'cells'} had no place here and ${left === 1 ? 'was' : 'were'} left.`] : []),
  ].join(' ');
}
