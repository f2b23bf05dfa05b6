import Papa from 'papaparse';
import type { Drawing } from '../document';
import { type ListName, listNames } from '../drawing';

const HEAD = ['list', 'row', 'size', 'size unit', 'length', 'length unit', 'edge near', 'edge far', 'full thread', 'finish', 'note'] as const;

/** What a list is called in a table. */
export const listWords = { outside: 'outside', boreRight: 'hole in end A', boreLeft: 'hole in end B' } as const;

/** A text that a spreadsheet would take for a formula gets an apostrophe before it. */
export const plain = (text: string): string => (/^[=@]|^[+-](?![\d.])/.test(text) ? `'${text}` : text);

/** The rows of a drawing as CSV, as they were typed; commas, CRLF, quoted where needed. */
export function writeRows(drawing: Drawing): string {
  const of = (list: ListName) =>
    drawing[list].map((s, i) =>
      [
        listWords[list],
        i + 1,
        s.size.text,
        s.size.units,
        s.length.text,
        s.length.units,
        s.near?.text,
        s.far?.text,
        s.usable?.text,
        s.finish?.text,
        s.note,
      ].map((v) => (typeof v === 'string' ? plain(v) : (v ?? ''))),
    );
  const data = listNames.flatMap(of);
  return `${Papa.unparse({ fields: [...HEAD], data })}\r\n`;
}
