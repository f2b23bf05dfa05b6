import './grid.css';
import type { Units } from '@obra/core/quantity';
import { useVirtualizer } from '@tanstack/react-virtual';
import { type ColumnDef, type ColumnFiltersState, type SortingState, useTable } from '@tanstack/react-table';
import { Columns3, X } from 'lucide-react';
import { type ReactNode, type RefObject, useMemo, useRef, useState } from 'react';
import { Button, Dropdown, Form } from 'react-bootstrap';
import { useSteady } from '../shell/useSteady';
import { byValue, charsOf, type Column, type Filter, headOf, passes, wordsIn } from './columns';
import { features } from './features';
import { GridHead } from './GridHead';
import { GridRow, type GridRowProps } from './GridRow';
import type { Draft } from './lay';
import { draftsOf, filterWords, inOrder } from './said';
import type { MovableRows } from './MovableRows';
import { useBlocks } from './useBlocks';
import { useFound } from './useFound';
import { useKeptColumns } from './useKeptColumns';
import { showAll } from '../words/pressed';

export interface GridProps<T extends object> {
  /** what the table is called, to a screen reader too; its find cell and its columns are kept under it */
  readonly words: string;
  /** what a line is: 'tool' */
  readonly one: string;
  readonly lines: readonly T[];
  readonly columns: readonly Column<T>[];
  readonly idOf: (line: T) => string;
  /** what a cell of the line is called by: its name */
  readonly nameOf: (line: T) => string;
  readonly units: Units;
  /** found by more than what its columns show */
  readonly foundBy?: (line: T) => string;
  readonly find?: { readonly label: string; readonly hint: string };
  readonly title: ReactNode;
  /** buttons beside the find cell */
  readonly tools?: ReactNode;
  readonly acts?: (line: T) => ReactNode;
  /** what opens under a line */
  readonly below?: (line: T) => ReactNode;
  /** what scrolls when the table does not itself: the page */
  readonly scroll?: RefObject<HTMLElement | null>;
  /** height of a line before it was measured, px */
  readonly tall?: number;
  readonly put?: (lines: readonly T[]) => void;
  readonly blank?: () => T;
  /** lines that have an order of their own: what draws them, and that one was set down where another stands */
  readonly moving?: { readonly Rows: typeof MovableRows; readonly onMove: (id: string, to: string) => void };
  /** asked for when it is sorted or filtered by that column: what it shows may not be known of all lines yet */
  readonly onUse?: (column: string) => void;
}

/** Up to so many lines are simply there; of more those are drawn that are seen. */
const ALL = 60;

/** A table of lines: found, sorted, filtered, its columns hidden and moved, its cells chosen, copied, pasted and filled down. */
export function Grid<T extends object>(props: GridProps<T>) {
  const { words, one, lines, columns, idOf, units, title, tools, acts: actsOf, tall = 36, scroll } = props;
  const [asked, setAsked] = useState('');
  const [sorting, setSorting] = useState<SortingState>([]);
  const [filters, setFilters] = useState<ColumnFiltersState>([]);
  const [kept, setKept, asMade] = useKeptColumns(words, columns);
  // by cell; those of a line that is taken out come back with it
  const [drafts, setDrafts] = useState<ReadonlyMap<string, Draft>>(new Map());
  // a line that is typed in stays where it is until it is sorted or filtered again
  const [frozen, setFrozen] = useState<ReadonlyMap<string, T>>(new Map());
  const typed = columns.some((c) => c.put);
  const freeze = () => typed && setFrozen(new Map(lines.map((line) => [idOf(line), line])));
  const found = useFound(lines, (line) => [...columns.map((c) => wordsIn(c, line)), props.foundBy?.(line) ?? ''].join(' '), asked);
  const byKey = useMemo(() => new Map(columns.map((c) => [c.key, c])), [columns]);
  const definitions = useMemo(
    () =>
      columns.map((c): ColumnDef<typeof features, T> => {
        const as = (line: T) => frozen.get(idOf(line)) ?? line;
        return {
          id: c.key,
          accessorFn: (line) => (c.sorts ? c.sorts(as(line)) : wordsIn(c, as(line))) ?? undefined,
          enableSorting: c.picture !== true,
          enableCellSelection: c.picture !== true,
          sortFn: (a, b, id) => byValue(a.getValue(id), b.getValue(id)),
          sortUndefined: 'last',
          filterFn: (row, _, filter) => passes(c.text(as(row.original)), filter as Filter),
        };
      }),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- how a line is known does not change
    [columns, frozen],
  );
  const hidden = useMemo(() => Object.fromEntries(kept.hidden.map((key) => [key, byKey.get(key)?.stays === true])), [kept.hidden, byKey]);
  const order = useMemo(() => inOrder([...byKey.keys()], kept.order), [byKey, kept.order]);
  // made anew when what it is sorted by is: rows remember what they were sorted by
  // eslint-disable-next-line react-hooks/exhaustive-deps
  const data = useMemo(() => [...found.lines], [found.lines, frozen]);
  const table = useTable({
    features,
    data,
    columns: definitions,
    getRowId: idOf,
    autoResetCellSelection: false,
    state: { sorting, columnFilters: filters, columnVisibility: hidden, columnOrder: order },
  });
  const { rows } = table.getRowModel();
  const shown = table.getVisibleLeafColumns().flatMap((c) => byKey.get(c.id) ?? []);
  const chars = useMemo(() => new Map(columns.map((c) => [c.key, charsOf(c, lines)])), [columns, lines]);
  const box = useRef<HTMLDivElement>(null);
  const many = rows.length > ALL;
  // eslint-disable-next-line react-hooks/incompatible-library -- its rows are read here and handed to no memo
  const virtual = useVirtualizer({
    count: many ? rows.length : 0,
    getScrollElement: () => (scroll ?? box).current,
    estimateSize: () => tall,
    getItemKey: (i) => rows[i]?.id ?? i,
    overscan: 8,
    initialRect: { width: 1280, height: 800 },
  });
  const seen = virtual.getVirtualItems();
  const drawn = (many ? seen.map((v) => v.index) : [...rows.keys()]).flatMap((at) => (rows[at] ? [{ row: rows[at], at }] : []));
  const [above, below] = many ? [seen[0]?.start ?? 0, virtual.getTotalSize() - (seen.at(-1)?.end ?? 0)] : [0, 0];
  const blocks = useBlocks({ ...props, box, table, shown, drafts, setDrafts, toRow: (at) => virtual.scrollToIndex(at) });
  const acts = useSteady({
    draft: (cell: string, draft: Draft | undefined) =>
      setDrafts((before) => {
        const next = new Map(before);
        if (draft) next.set(cell, draft);
        else next.delete(cell);
        return next;
      }),
    change: (line: T) => props.put?.([line]),
  });
  const setFilter = (key: string, to: Filter | undefined) => {
    freeze();
    if (to) props.onUse?.(key);
    setFilters((before) => [...before.filter((f) => f.id !== key), ...(to ? [{ id: key, value: to }] : [])]);
  };
  const move = (key: string, by: -1 | 1) => {
    const keys = shown.map((c) => c.key);
    const other = keys[keys.indexOf(key) + by];
    if (other === undefined) return;
    const next = order.map((k) => (k === key ? other : k === other ? key : k));
    setKept({ ...kept, order: next });
  };
  const rowsDrawn = drawn.map(({ row, at }): GridRowProps<T> => ({
    line: row.original,
    id: row.id,
    at,
    name: props.nameOf(row.original),
    columns: shown,
    units,
    chosen: blocks.chosenIn(at),
    corner: blocks.cornerIn(at),
    drafts: draftsOf(drafts, row.id, shown),
    acts,
    last: actsOf?.(row.original),
    below: props.below?.(row.original),
    measure: many ? virtual.measureElement : undefined,
  }));
  // an order of its own is seen only where nothing else orders or thins the lines
  const inOwnOrder = sorting.length === 0 && filters.length === 0 && asked.trim() === '';
  const { moving } = props;
  const all = `${String(lines.length)} ${one}${lines.length === 1 ? '' : 's'}`;
  const first = many ? (virtual.range?.startIndex ?? 0) + 1 : 0;
  return (
    <>
      <div className="grid-bar">
        {title}
        <span className="quiet" role="status">
          {rows.length === lines.length ? all : `${String(rows.length)} of ${all}`}
          {found.nearly && ', by nearly these words'}
        </span>
        {many && (
          <span className="quiet fig size-14">
            {first}–{Math.min(rows.length, (virtual.range?.endIndex ?? 0) + 1)}
          </span>
        )}
        {filters.map(({ id, value }) => (
          <Button
            key={id}
            size="sm"
            variant="outline-dark"
            onClick={() => setFilter(id, undefined)}
            aria-label={`${filterWords(byKey.get(id), value as Filter)}: take the filter off`}>
            {filterWords(byKey.get(id), value as Filter)} <X size={13} aria-hidden />
          </Button>
        ))}
        <Form.Control
          className={`${props.find ? 'wide-230' : 'wide-190'} ms-auto`}
          type="search"
          aria-label={props.find?.label ?? `Find in ${words}`}
          placeholder={props.find?.hint ?? 'find'}
          value={asked}
          onChange={(e) => setAsked(e.target.value)}
        />
        <Dropdown align="end" autoClose="outside">
          <Dropdown.Toggle variant="outline-dark" aria-label={`columns of ${words}`}>
            <Columns3 size={15} aria-hidden /> columns
          </Dropdown.Toggle>
          <Dropdown.Menu>
            <div className="grid-values">
              {columns
                .filter((c) => !c.stays && !c.picture)
                .map((c) => (
                  <label key={c.key}>
                    <input
                      type="checkbox"
                      checked={!kept.hidden.includes(c.key)}
                      onChange={() =>
                        setKept({ ...kept, hidden: kept.hidden.includes(c.key) ? kept.hidden.filter((k) => k !== c.key) : [...kept.hidden, c.key] })
                      }
                    />
                    {headOf(c)}
                  </label>
                ))}
            </div>
            <Dropdown.Divider />
            <Dropdown.Item as="button" onClick={() => setKept(asMade)}>
              all of them, as they were
            </Dropdown.Item>
          </Dropdown.Menu>
        </Dropdown>
        {tools}
      </div>
      {lines.length > 0 && rows.length === 0 && (
        <p className="grid-none">
          {asked.trim() === '' ? `No ${one} passes these filters.` : `Nothing here has “${asked.trim()}” in it.`}{' '}
          {filters.length > 0 && (
            <Button variant="link" onClick={() => setFilters([])}>
              {showAll}
            </Button>
          )}
        </p>
      )}
      {lines.length > 0 && (
        <div className={`grid ${scroll ? 'with-page' : 'own'}`} ref={box} {...blocks.handlers}>
          <table role="grid" aria-label={words} aria-rowcount={rows.length + 1}>
            <thead>
              <tr>
                {shown.map((c) => (
                  <GridHead
                    key={c.key}
                    column={c}
                    lines={lines}
                    chars={chars.get(c.key) ?? 0}
                    sorted={table.getColumn(c.key)?.getIsSorted() ?? false}
                    filter={filters.find((f) => f.id === c.key)?.value as Filter | undefined}
                    onSort={(to) => {
                      freeze();
                      props.onUse?.(c.key);
                      setSorting(to ? [{ id: c.key, desc: to === 'desc' }] : []);
                    }}
                    onFilter={(to) => setFilter(c.key, to)}
                    onHide={() => setKept({ ...kept, hidden: [...kept.hidden, c.key] })}
                    onMove={shown.length > 2 ? (by) => move(c.key, by) : undefined}
                  />
                ))}
                {actsOf && (
                  <th scope="col">
                    <span className="visually-hidden">actions</span>
                  </th>
                )}
              </tr>
            </thead>
            <tbody>
              {above > 0 && <tr aria-hidden="true" style={{ height: above }} />}
              {moving ? (
                <moving.Rows rows={rowsDrawn} onMove={inOwnOrder ? moving.onMove : undefined} />
              ) : (
                rowsDrawn.map((row) => <GridRow {...row} key={row.id} />)
              )}
              {below > 0 && <tr aria-hidden="true" style={{ height: below }} />}
            </tbody>
          </table>
        </div>
      )}
      {/* under the table: what is done with the cells chosen does not move them */}
      {(typed || blocks.bar !== null) && <div className={`grid-foot noprint ${typed ? 'kept' : ''}`}>{blocks.bar}</div>}
    </>
  );
}
