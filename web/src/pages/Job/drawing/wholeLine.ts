import type { Section } from '@obra/core/document';
import { type ListName, pathOf, typedLine, unitsOfLine } from '@obra/core/drawing';
import type { Edit } from '@obra/core/finding';
import type { Units } from '@obra/core/quantity';

/** Where a line was typed: the row that it replaces, the one behind it, and whether it is of the drawing or of a piece as it is. */
interface At {
  readonly row: Section;
  readonly next: string | undefined;
  readonly of: 'drawing' | 'startsAs';
  readonly idOf: () => string;
}

/** A part typed on one line into the cell of a row, rows split at ';', as edits; undefined where it is none, or not understood whole. */
export function wholeLine(text: string, units: Units, { row, next, of, idOf }: At): readonly Edit[] | undefined {
  if (!text.includes(';')) return undefined;
  const { words, drawing, pieces, material } = typedLine(text, unitsOfLine(text) ?? units);
  if (words.length === 0 || words.some((w) => w.wrong)) return undefined;
  const ids = new Map<string, string>();
  const own = (id: string): string => {
    const known = ids.get(id) ?? (ids.size === 0 && drawing.outside.length > 0 ? row.id : idOf());
    ids.set(id, known);
    return known;
  };
  const list = (name: ListName, before?: string): readonly Edit[] =>
    drawing[name].map((r): Edit => ({
      op: 'put',
      at: pathOf(name, own(r.id), of),
      value: { ...r, id: own(r.id) },
      ...(before !== undefined && { before }),
    }));
  return [
    // the first of them stands in its place
    { op: 'remove', at: pathOf('outside', row.id, of) },
    ...list('outside', next),
    ...list('boreRight'),
    ...list('boreLeft'),
    ...drawing.details.map((d): Edit => {
      const id = idOf();
      return { op: 'put', at: `${of}/details/#${id}`, value: { ...d, id, on: ids.get(d.on) ?? d.on } };
    }),
    ...(pieces !== undefined && of === 'drawing' ? [{ op: 'put' as const, at: 'pieces', value: pieces }] : []),
    ...(material !== undefined && of === 'drawing' ? [{ op: 'put' as const, at: 'drawing/material', value: material }] : []),
  ];
}
