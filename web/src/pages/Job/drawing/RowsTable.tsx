import { stagesOf } from '@obra/core/bench';
import type { Cell, Job, Section } from '@obra/core/document';
import { type Feature, type ListName, parseSize, pathOf } from '@obra/core/drawing';
import { pastedRows } from '@obra/core/exchange';
import { applyEdits, type Edit, type Finding, gravestFirst, subjectsOf } from '@obra/core/finding';
import type { Units } from '@obra/core/quantity';
import { useLayoutEffect, useMemo, useRef, useState } from 'react';
import { Sortable } from '../../../shell/sortable';
import { memoSteady, useSteady } from '../../../shell/useSteady';
import { newId } from '../../../data/ids';
import type { JobView } from '../view';
import { cellEdit, cellOf, focusSoon } from './cells';
import { ask, spare, type Spare, spareOf, useAsked, usedBy } from './spareColumns';
import { wholeLine } from './wholeLine';
import { Columns } from './Columns';
import { Row, type RowActs } from './Row';
import { rowSaid } from './rowSaid';
import { useRowKeys } from './useRowKeys';
import { edgeToA, edgeToB, fullThread } from '../../../words/places';

interface Props {
  readonly view: JobView;
  readonly list: ListName;
  /** rows of the piece as it is now, in place of the drawing's */
  readonly started?: boolean;
  readonly onAdd: (after?: string) => void;
}

const rowsOf = (job: Job, list: ListName, started: boolean): readonly Section[] => (started ? (job.startsAs?.[list] ?? []) : job.drawing[list]);

/** Rows of one list: the outside from end A, or a hole from its mouth inwards. */
export function RowsTable({ view, list, started = false, onAdd }: Props) {
  const { job, open, units } = view;
  const rows = rowsOf(job, list, started);
  const features = (started ? view.started?.piece : view.part)?.features ?? [];
  const path = (id: string) => pathOf(list, id, started ? 'startsAs' : 'drawing');
  const [marks, setMarks] = useState<readonly string[]>([]);
  const marked = rows.filter((r) => marks.includes(r.id));
  // of holes too where only the outside has one: the columns of all tables stand under one another
  const threads = features.some((f) => f.form === 'thread');
  const outside = list === 'outside';
  const asked = useAsked();
  const { drawing, startsAs } = job;
  const used = usedBy([
    ...drawing.outside,
    ...drawing.boreRight,
    ...drawing.boreLeft,
    ...(started && startsAs ? [...startsAs.outside, ...startsAs.boreRight, ...startsAs.boreLeft] : []),
  ]);
  // the same columns are the same array: a row that did not change is not drawn again
  const stands = spare.filter((s) => used.includes(s) || asked.includes(s) || (started && s === 'finish')).join(' ');
  const columns = useMemo(() => spare.filter((s) => stands.split(' ').includes(s)), [stands]);
  const place = (moving: Section, before: string | undefined): readonly Edit[] => [
    { op: 'remove', at: path(moving.id) },
    { op: 'put', at: path(moving.id), value: moving, ...(before !== undefined && { before }) },
  ];
  const find = (id: string) => rows.find((r) => r.id === id);
  /** what is typed in this row goes into these */
  const together = (row: Section) => (marked.length > 1 && marked.includes(row) ? marked : [row]);
  const acts: RowActs = {
    put: (id, column, text) => {
      const row = find(id);
      if (row)
        open.edit(
          together(row).map((r) => cellEdit(path(r.id), r, column, text, units)),
          'job',
          `${id}.${column}`,
        );
    },
    split: (id) => {
      const row = find(id);
      const whole =
        row &&
        outside &&
        row.length.text.trim() === '' &&
        wholeLine(row.size.text, units, { row, next: rows[rows.indexOf(row) + 1]?.id, of: started ? 'startsAs' : 'drawing', idOf: newId });
      if (whole) {
        open.edit(whole);
        return true;
      }
      const m = row && !row.size.text.includes(';') && /^(.*\S)\s+[xX×]\s+(\S.*)$/.exec(row.size.text);
      if (!m || row.length.text.trim() !== '' || parseSize(m[1] ?? '', row.size.units, outside ? 'outside' : 'inside').kind === 'unknown')
        return false;
      open.edit([cellEdit(path(id), row, 'size', m[1] ?? '', units), cellEdit(path(id), row, 'length', m[2] ?? '', units)], 'job', `${id}.size`);
      return true;
    },
    fillDown: (id, column) => {
      const at = rows.findIndex((r) => r.id === id);
      const row = rows[at];
      if (!row) return;
      const several = together(row);
      const above = rows[at - 1];
      const [from, ...to] = several.length > 1 ? several : above ? [above, row] : [];
      const cell = from && cellOf(from, column);
      if (to.length > 0) open.edit(to.map((r) => cellEdit(path(r.id), r, column, cell?.text ?? '', cell?.units ?? units)));
    },
    enter: (id, column) => {
      const next = rows[rows.findIndex((r) => r.id === id) + 1];
      if (next) focusSoon(`${next.id}.${column}`);
      else onAdd(id);
    },
    move: (id, by) => {
      const at = rows.findIndex((r) => r.id === id);
      const row = rows[at];
      if (!row || (by < 0 && at === 0) || (by > 0 && at === rows.length - 1)) return;
      open.edit(place(row, (by < 0 ? rows[at - 1] : rows[at + 2])?.id));
      focusSoon(`${id}.size`);
    },
    drop: (on, id) => {
      const [from, to] = [rows.findIndex((r) => r.id === id), rows.findIndex((r) => r.id === on)];
      const row = rows[from];
      if (row && from !== to && to >= 0) open.edit(place(row, rows[from < to ? to + 1 : to]?.id));
    },
    mark: (id, how) => {
      if (how === 'only') setMarks([id]);
      else if (how === 'toggle') setMarks(marks.includes(id) ? marks.filter((m) => m !== id) : [...marks, id]);
      else {
        const next = rows[rows.findIndex((r) => r.id === id) + how];
        if (!next) return;
        setMarks([...new Set([...(marks.length > 0 ? marks : [id]), id, next.id])]);
        const column = document.activeElement instanceof HTMLElement ? document.activeElement.dataset['cell']?.split('.')[1] : undefined;
        focusSoon(`${next.id}.${column ?? 'size'}`);
      }
    },
    focus: (id, column) => {
      if (!marks.includes(id)) setMarks([id]);
      view.choose(id);
      // a column does not go away under the cursor when its last word is taken out
      const own = spareOf(column);
      if (own) ask(own);
    },
    remove: (id) => {
      const row = find(id);
      if (row) open.edit(together(row).map((r) => ({ op: 'remove' as const, at: path(r.id) })));
    },
    paste: (id, text) => {
      const pasted = pastedRows(text, units, newId, list);
      const at = rows.findIndex((r) => r.id === id);
      const row = rows[at];
      if (!pasted || !row) return false;
      const blank = row.size.text.trim() === '' && row.length.text.trim() === '';
      const before = rows[blank ? at + 1 : at]?.id;
      const edits: Edit[] = [
        ...(blank ? [{ op: 'remove' as const, at: path(id) }] : []),
        ...pasted.map((p): Edit => ({ op: 'put', at: path(p.id), value: p, ...(before !== undefined && { before }) })),
      ];
      open.edit(edits);
      const last = rowsOf(applyEdits(job, edits), list, started).find((r) => r.id === pasted.at(-1)?.id);
      if (last) focusSoon(`${last.id}.size`);
      return true;
    },
  };
  const steady = useSteady(acts);
  useRowKeys(acts, (id) => find(id) !== undefined);
  return (
    <Lines
      rows={rows}
      features={features}
      checks={view.findings}
      rule={job.drawing.untoleranced}
      units={units}
      list={list}
      started={started}
      columns={columns}
      used={used}
      threads={threads}
      marked={marked.length > 1 ? marks : none}
      inHand={rows.some((r) => r.id === view.chosen) ? view.chosen : undefined}
      acts={steady}
    />
  );
}

const none: readonly string[] = [];

interface LinesProps {
  readonly rows: readonly Section[];
  readonly features: readonly Feature[];
  readonly checks: readonly Finding[];
  readonly rule: Cell;
  readonly units: Units;
  readonly list: ListName;
  readonly started: boolean;
  readonly columns: readonly Spare[];
  /** of them those that hold something */
  readonly used: readonly Spare[];
  readonly threads: boolean;
  readonly marked: readonly string[];
  readonly inHand: string | undefined;
  readonly acts: RowActs;
}

/** Widths of the columns of size and length beside the others, px where there is room. */
const [SIZE, LENGTH] = [230, 150];

const Lines = memoSteady(function Lines({
  rows,
  features,
  checks,
  rule,
  units,
  list,
  started,
  columns,
  used,
  threads,
  marked,
  inHand,
  acts,
}: LinesProps) {
  const nameOf = (id: string) => `row ${String(rows.findIndex((r) => r.id === id) + 1)}`;
  const move = (id: string, to: string) => acts.drop(to, id);
  const outside = list === 'outside';
  const read = new Map(features.map((f) => [f.id, f]));
  const gravest = new Map<string, Finding>();
  for (const f of gravestFirst(checks.filter((o) => stagesOf(o).includes('drawing')))) {
    for (const row of subjectsOf(f)) if (!gravest.has(row)) gravest.set(row, f);
  }
  const widths = [
    46,
    SIZE,
    LENGTH,
    ...(columns.includes('edges') ? [120, 120] : []),
    ...(threads ? [110] : []),
    ...(columns.includes('finish') ? [112] : []),
    ...(columns.includes('note') ? [170] : []),
    96,
  ];
  const wide = widths.reduce((sum, w) => sum + w, 0);
  const table = useRef<HTMLTableElement>(null);
  const [across, setAcross] = useState(0);
  useLayoutEffect(() => {
    const element = table.current;
    if (!element) return undefined;
    const observer = new ResizeObserver(() => setAcross(Math.round(element.clientWidth)));
    observer.observe(element);
    setAcross(Math.round(element.clientWidth));
    return () => observer.disconnect();
  }, []);
  const room = useMemo(() => ({ size: (across * SIZE) / wide, length: (across * LENGTH) / wide }), [across, wide]);
  return (
    <Sortable ids={rows.map((r) => r.id)} nameOf={nameOf} onMove={move}>
      <table
        ref={table}
        style={{ width: `min(100%, ${String(wide)}px)` }}
        className="rows mb-2"
        aria-label={`${started ? 'As it is: ' : ''}${outside ? 'rows from the right-hand end A' : `hole in end ${list === 'boreRight' ? 'A' : 'B'}`}`}>
        <colgroup>
          {widths.map((w, i) => (
            <col key={i} style={{ width: `${String((100 * w) / wide)}%` }} />
          ))}
        </colgroup>
        <thead>
          <tr>
            <th>
              <span className="visually-hidden">row</span>
            </th>
            <th>{outside ? 'size' : `hole in end ${list === 'boreRight' ? 'A' : 'B'}`}</th>
            <th>{outside ? 'length' : 'depth'}</th>
            {columns.includes('edges') && <th>{outside ? edgeToA : 'mouth'}</th>}
            {columns.includes('edges') && <th>{outside ? edgeToB : 'bottom'}</th>}
            {threads && <th>{fullThread}</th>}
            {columns.includes('finish') && <th>{started ? 'surface' : 'finish'}</th>}
            {columns.includes('note') && <th>note</th>}
            <th>{outside && !started ? <Columns shown={columns} used={used} /> : <span className="visually-hidden">actions</span>}</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row, i) => {
            const last = i === rows.length - 1;
            return (
              <Row
                key={row.id}
                row={row}
                list={list}
                where={started ? ', as it is' : ''}
                number={i + 1}
                last={last}
                columns={columns}
                room={room}
                threads={threads}
                marked={marked.includes(row.id)}
                inHand={inHand === row.id}
                acts={acts}
                {...rowSaid({ row, list, last, feature: read.get(row.id), check: gravest.get(row.id), rule, units })}
              />
            );
          })}
        </tbody>
      </table>
    </Sortable>
  );
});
