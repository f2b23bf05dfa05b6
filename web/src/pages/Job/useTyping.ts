import type { Detail, Section } from '@obra/core/document';
import { finenessOf, isPlain, type ListName, listNames, parseBottom, parseEdge, pathOf, writeFine } from '@obra/core/drawing';
import { writeSentence } from '@obra/core/quantity';
import type { Typing } from '../../bar';
import { useSteady } from '../../shell/useSteady';
import { cellEdit, type Column } from './drawing/cells';
import { rowSaid } from './drawing/rowSaid';
import type { JobView } from './view';

/** What is typed in the picture goes into the cells of the drawing. */
export function useTyping({ job, part, units, open, choose }: JobView): Typing {
  const { drawing } = job;
  const find = (
    cell: string,
  ): { readonly list: ListName; readonly row: Section; readonly column: Column } | { readonly detail: Detail } | undefined => {
    const [id, column = 'size'] = cell.split('.');
    for (const list of listNames) {
      const row = drawing[list].find((r) => r.id === id);
      if (row) return { list, row, column: column as Column };
    }
    const detail = drawing.details.find((d) => d.id === id);
    return detail && { detail };
  };
  return useSteady<{ [K in keyof Typing]: Typing[K] }>({
    text: (cell) => {
      const at = find(cell);
      if (!at) return '';
      if ('detail' in at) return at.detail.size.text;
      return at.column === 'note' ? (at.row.note ?? '') : (at.row[at.column]?.text ?? '');
    },
    put: (cell, text) => {
      const at = find(cell);
      if (!at) return;
      if ('detail' in at) open.edit([{ op: 'put', at: `drawing/details/#${at.detail.id}/size`, value: { ...at.detail.size, text } }], 'job', cell);
      else open.edit([cellEdit(pathOf(at.list, at.row.id), at.row, at.column, text, units)], 'job', cell);
    },
    said: (cell) => {
      const at = find(cell);
      if (!at) return { text: '', bad: false };
      if ('detail' in at) {
        const made = part.details.find((d) => d.id === at.detail.id);
        return { text: made ? writeSentence(made.says, units) : '', bad: false };
      }
      const { list, row, column } = at;
      if (column === 'near' || column === 'far') {
        const typed = row[column];
        const read = typed && (list === 'outside' || column === 'near' ? parseEdge : parseBottom)(typed.text, typed.units);
        return read?.ok === false ? { text: writeSentence(read.problems[0]?.says ?? [], units), bad: true } : { text: '', bad: false };
      }
      const rows = drawing[list];
      const said = rowSaid({
        row,
        list,
        last: row === rows.at(-1),
        feature: part.features.find((f) => f.id === row.id),
        check: undefined,
        rule: drawing.untoleranced,
        units,
      });
      return column === 'length' ? { text: said.long, bad: said.longBad } : { text: said.said, bad: said.bad };
    },
    moved: (id, mm) => {
      const row = drawing.outside.find((r) => r.id === id);
      return row && row.from === undefined && isPlain(row.length) ? writeFine(mm, finenessOf(drawing, row.length.units)) : undefined;
    },
    choose,
  });
}
