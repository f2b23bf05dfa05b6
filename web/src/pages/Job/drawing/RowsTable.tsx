import { applyEdits, type Edit, pastedRows, type Section, type ListName, pathOf } from '@obra/core';
import { useState } from 'react';
import { newId } from '../../../data/ids';
import type { JobView } from '../view';
import { type Column, focusSoon } from './cells';
import { Row } from './Row';

interface Props {
  readonly view: JobView;
  readonly list: ListName;
  readonly onAdd: (after?: string) => void;
}

/** Rows of one list: the outside from end A, or a hole from its mouth inwards. */
export function RowsTable({ view, list, onAdd }: Props) {
  const { job, part, open, units } = view;
  const rows = job.drawing[list];
  const [marks, setMarks] = useState<readonly string[]>([]);
  const marked = rows.filter((r) => marks.includes(r.id));
  const threads = part.features.some(
    (f) => f.form === 'thread' && (list === 'outside' ? f.side === 'outside' : f.side === (list === 'boreRight' ? 'right' : 'left')),
  );
  const outside = list === 'outside';
  const place = (moving: Section, before: string | undefined): readonly Edit[] => [
    { op: 'remove', at: pathOf(list, moving.id) },
    { op: 'put', at: pathOf(list, moving.id), value: moving, ...(before !== undefined && { before }) },
  ];
  const move = (id: string, by: -1 | 1) => {
    const at = rows.findIndex((r) => r.id === id);
    const row = rows[at];
    if (!row || (by < 0 && at === 0) || (by > 0 && at === rows.length - 1)) return;
    open.edit(place(row, (by < 0 ? rows[at - 1] : rows[at + 2])?.id));
    focusSoon(`${id}.size`);
  };
  const dropped = (on: Section, id: string) => {
    const from = rows.findIndex((r) => r.id === id);
    const to = rows.findIndex((r) => r.id === on.id);
    const row = rows[from];
    if (!row || from === to || to < 0) return;
    open.edit(place(row, (from < to ? rows[to + 1] : on)?.id));
  };
  const mark = (row: Section, how: 'only' | 'toggle' | -1 | 1) => {
    if (how === 'only') setMarks([row.id]);
    else if (how === 'toggle') setMarks(marks.includes(row.id) ? marks.filter((m) => m !== row.id) : [...marks, row.id]);
    else {
      const next = rows[rows.findIndex((r) => r.id === row.id) + how];
      if (!next) return;
      setMarks([...new Set([...(marks.length > 0 ? marks : [row.id]), row.id, next.id])]);
      const column = document.activeElement instanceof HTMLElement ? document.activeElement.dataset['cell']?.split('.')[1] : undefined;
      focusSoon(`${next.id}.${column ?? 'size'}`);
    }
  };
  const paste = (row: Section, text: string): boolean => {
    const pasted = pastedRows(text, units, newId, list);
    if (!pasted) return false;
    const at = rows.findIndex((r) => r.id === row.id);
    const blank = row.size.text.trim() === '' && row.length.text.trim() === '';
    const before = rows[blank ? at + 1 : at]?.id;
    const edits: Edit[] = [
      ...(blank ? [{ op: 'remove' as const, at: pathOf(list, row.id) }] : []),
      ...pasted.map((p): Edit => ({ op: 'put', at: pathOf(list, p.id), value: p, ...(before !== undefined && { before }) })),
    ];
    open.edit(edits);
    const last = applyEdits(job, edits).drawing[list].find((r) => r.id === pasted.at(-1)?.id);
    if (last) focusSoon(`${last.id}.size`);
    return true;
  };
  return (
    <table className="rows mb-2" aria-label={outside ? 'Rows from the right-hand end A' : `Hole in end ${list === 'boreRight' ? 'A' : 'B'}`}>
      <thead>
        <tr>
          <th style={{ width: 30 }}>
            <span className="visually-hidden">row</span>
          </th>
          <th style={{ width: '21%' }}>{outside ? 'size' : `hole in end ${list === 'boreRight' ? 'A' : 'B'}`}</th>
          <th style={{ width: '13%' }}>{outside ? 'length' : 'depth'}</th>
          <th>{outside ? 'edge to A' : 'mouth'}</th>
          <th>{outside ? 'edge to B' : 'bottom'}</th>
          {threads && <th>full thread</th>}
          <th style={{ width: '9%' }}>finish</th>
          <th style={{ width: '11%' }}>note</th>
          <th style={{ width: 88 }}>
            <span className="visually-hidden">actions</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {rows.map((row, i) => (
          <Row
            key={row.id}
            view={view}
            row={row}
            list={list}
            number={i + 1}
            last={i === rows.length - 1}
            threads={threads}
            marked={marked}
            above={rows[i - 1]}
            onMark={(how) => mark(row, how)}
            onMove={(by) => move(row.id, by)}
            onDropped={(id) => dropped(row, id)}
            onPaste={(text) => paste(row, text)}
            onEnter={(column: Column) => {
              const next = rows[i + 1];
              if (next) focusSoon(`${next.id}.${column}`);
              else onAdd(row.id);
            }}
          />
        ))}
      </tbody>
    </table>
  );
}
