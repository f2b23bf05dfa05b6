import type { Parsed, Units } from '@obra/core/quantity';
import type { ReactNode } from 'react';

/** A column of a table: what stands in it, how it is sorted, drawn and typed. */
export interface Column<T> {
  readonly key: string;
  readonly words: string;
  /** what a plain number in it means; shown in the head */
  readonly unit?: string;
  /** what stands in the cell: copied, found and filtered by */
  readonly text: (line: T) => string;
  /** what it is sorted by, where its text will not do; nothing goes last */
  readonly sorts?: (line: T) => string | number | undefined;
  readonly shows?: (line: T) => ReactNode;
  /** the line with this text typed in the cell; without it the cell is only read */
  readonly put?: (line: T, text: string) => Parsed<T>;
  readonly choices?: readonly { readonly value: string; readonly words: string }[];
  readonly assumed?: (line: T) => boolean;
  /** least width, px */
  readonly wide?: number;
  /** sizes and counts */
  readonly figures?: true;
  /** several values: as high as they need */
  readonly list?: true;
  /** cannot be hidden */
  readonly stays?: true;
  /** hidden until it is asked for */
  readonly folded?: true;
  /** a picture: not sorted, filtered or chosen */
  readonly picture?: true;
  /** false: not on the printed sheet */
  readonly paper?: false;
}

/** What a column is filtered by: some of its values, or a text that they have in them. */
export interface Filter {
  readonly of?: readonly string[];
  readonly has?: string;
}

const collator = new Intl.Collator(undefined, { numeric: true, sensitivity: 'base' });

/** Numbers by size and before words, words as a person looks them up: M4 before M12. */
export function byValue(a: unknown, b: unknown): number {
  if (typeof a === 'number' && typeof b === 'number') return a - b;
  if (typeof a === 'number') return -1;
  if (typeof b === 'number') return 1;
  return collator.compare(String(a), String(b));
}

export const passes = (text: string, { of, has }: Filter): boolean =>
  (of === undefined || of.includes(text)) && (has === undefined || text.toLowerCase().includes(has.trim().toLowerCase()));

/** Up to so many values of a column are listed to choose from. */
const LISTED = 24;

/** The values of a column, as they would be sorted; none where they are too many to choose from, or each stands once. */
export function valuesOf<T>(column: Column<T>, lines: readonly T[]): readonly string[] {
  const values = new Set<string>();
  for (const line of lines) {
    values.add(column.text(line));
    if (values.size > LISTED) return [];
  }
  return values.size < lines.length || lines.length < 3 ? [...values].toSorted(byValue) : [];
}

export const headOf = ({ words, unit }: Pick<Column<never>, 'words' | 'unit'>): string => (unit === undefined ? words : `${words}, ${unit}`);

/** A letter of a text is narrower than a figure. */
const LETTER = 0.86;

/** How wide the widest text of a column is, in figures; a choice has its arrow beside it. */
export function charsOf<T>(column: Column<T>, lines: readonly T[]): number {
  if (!column.put) return 0;
  let most = 0;
  for (const line of lines) most = Math.max(most, wordsIn(column, line).length);
  return Math.ceil(Math.min(most, 60) * (column.figures ? 1 : LETTER)) + (column.choices ? 3 : 0);
}

/** What a person reads in the cell: the words of a choice. */
export function wordsIn<T>(column: Column<T>, line: T): string {
  const text = column.text(line);
  return column.choices?.find((c) => c.value === text)?.words ?? text;
}

/** A text with its own unit where the head that it was copied under names another than is meant here: 0.5 under “width, in” is 0.5 in. */
export function inUnitOf(head: string, text: string, units: Units): string {
  const unit = /[,(]\s*(mm|in)\)?\s*$/.exec(head.trim())?.[1];
  return unit !== undefined && unit !== units && /^[\d.,/ -]+$/.test(text.trim()) ? `${text.trim()} ${unit}` : text;
}
