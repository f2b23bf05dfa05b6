import Papa from 'papaparse';
import type { Section } from '../document';
import type { ListName } from '../drawing';
import type { Units } from '../quantity';
import { listWords } from './rows';

/** Columns by the words people head them with; without a head the order is size, length, edge to A, edge to B, full thread, finish, note. */
const heads: readonly (readonly [column: Column, words: RegExp])[] = [
  ['size', /^(size|dia(meter)?|ø|od|d|durchmesser|maß|mass|diam[eè]tre|di[aá]metro|diameter|cote|medida|misura|maat)\.?$/i],
  ['length', /^(length|long|l|depth|länge|laenge|tiefe|longueur|profondeur|longitud|largo|lunghezza|lengte)\.?$/i],
  ['near', /^(edge near|edge to a|near|right edge)$/i],
  ['far', /^(edge far|edge to b|far|left edge|bottom)$/i],
  ['usable', /^(full thread|usable)$/i],
  ['finish', /^(finish|ra|roughness|oberfläche|rauheit|rugosit[eé]|rugosidad|rugosità)$/i],
  ['note', /^(notes?|remarks?|comments?|bemerkung|remarque|nota|observaciones|opmerking)$/i],
];
type Column = 'size' | 'length' | 'near' | 'far' | 'usable' | 'finish' | 'note';
const inOrder: readonly Column[] = ['size', 'length', 'near', 'far', 'usable', 'finish', 'note'];

/** Most rows that are taken at once. */
const MOST_ROWS = 200;

/**
 * Rows copied from a spreadsheet (tabs) or a CSV, with or without a head line; undefined for a text that is one cell only. An apostrophe
 * that a spreadsheet put before a sign is taken off.
 * @param idOf makes ids, handed in
 * @param list of a table that names its lists, as our own CSV does, only these rows are taken
 */
export function pastedRows(text: string, units: Units, idOf: () => string, list: ListName = 'outside'): readonly Section[] | undefined {
  if (!/[\t\n]/.test(text.trim())) return undefined;
  const { data } = Papa.parse<string[]>(text.trim(), { delimiter: text.includes('\t') ? '\t' : '', skipEmptyLines: 'greedy' });
  const rows = data
    .filter((r) => Array.isArray(r))
    .map((r) =>
      r.map((c) =>
        c
          .trim()
          .replace(/^'(?=[=@+-])/, '')
          .slice(0, 200),
      ),
    );
  const first = rows[0] ?? [];
  const headed = first.map((word) => heads.find(([, words]) => words.test(word))?.[0]);
  const known = headed.filter((c) => c !== undefined).length >= 2 && headed.includes('size');
  // words of a language that is not known here, over cells that are numbers: a head, its columns in the usual order
  const figures = (r: readonly string[] | undefined) => r?.slice(0, 2).some((c) => /\d/.test(c)) === true;
  const isHead =
    known || (rows.length > 1 && first.some((c) => c !== '') && !figures(first) && figures(rows[1]) && !/^(bar|hex|square)\b/i.test(first[0] ?? ''));
  const columns = known ? headed : inOrder;
  const listColumn = known ? first.findIndex((w) => /^list$/i.test(w)) : -1;
  const unitColumns = known ? first.map((w) => /unit/i.test(w)) : [];
  return rows
    .slice(isHead ? 1 : 0, MOST_ROWS + (isHead ? 1 : 0))
    .filter((r) => r.some((c) => c !== '') && (listColumn < 0 || r[listColumn] === listWords[list]))
    .map((r) => {
      const said = r.find((c, i) => unitColumns[i] === true && /^(mm|in)$/.test(c));
      const own: Units = said === 'mm' || said === 'in' ? said : units;
      const of = (column: Column) => r[columns.indexOf(column)] ?? '';
      const cell = (column: Column) => ({ text: of(column), units: own });
      const optional = (column: 'near' | 'far' | 'usable' | 'finish') => (of(column) === '' ? {} : { [column]: cell(column) });
      return {
        id: idOf(),
        size: cell('size'),
        length: cell('length'),
        ...optional('near'),
        ...optional('far'),
        ...optional('usable'),
        ...optional('finish'),
        ...(of('note') !== '' && { note: of('note') }),
      };
    });
}
