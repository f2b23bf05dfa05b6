import { readBlock, writeBlock } from '@obra/core/exchange';
import type { Units } from '@obra/core/quantity';
import type { CellSelectionBounds, ReactTable } from '@tanstack/react-table';
import {
  type ClipboardEvent,
  type KeyboardEvent,
  type MouseEvent,
  type FocusEvent,
  type PointerEvent,
  type ReactNode,
  type RefObject,
  useRef,
} from 'react';
import { useKeys } from '../shell/keys';
import { tell } from '../shell/says';
import { type Column, wordsIn } from './columns';
import type { features } from './features';
import { ChosenBar } from './ChosenBar';
import { type Draft, lay, laidSays } from './lay';

interface Asked<T extends object> {
  readonly one: string;
  readonly columns: readonly Column<T>[];
  readonly idOf: (line: T) => string;
  readonly units: Units;
  readonly put?: (lines: readonly T[]) => void;
  readonly blank?: () => T;
  readonly box: RefObject<HTMLDivElement | null>;
  readonly table: ReactTable<typeof features, T>;
  /** the columns as they stand */
  readonly shown: readonly Column<T>[];
  readonly drafts: ReadonlyMap<string, Draft>;
  readonly setDrafts: (to: (before: ReadonlyMap<string, Draft>) => ReadonlyMap<string, Draft>) => void;
  readonly toRow: (at: number) => void;
}

/** Half of a corner, px. */
const CORNER = 6;

interface Place {
  readonly row: number;
  readonly col: number;
}
type Way = 'up' | 'down' | 'left' | 'right';
const ways: Readonly<Record<string, Way>> = { ArrowUp: 'up', ArrowDown: 'down', ArrowLeft: 'left', ArrowRight: 'right' };
const steps: Readonly<Record<Way, readonly [row: number, col: number]>> = { up: [-1, 0], down: [1, 0], left: [0, -1], right: [0, 1] };

/** A block that goes into what is chosen a whole number of times, more than once, is laid over all of it; another is laid from its first cell on, and none of it is lost. */
function fills(block: readonly (readonly string[])[], { minRowIndex, maxRowIndex, minColumnIndex, maxColumnIndex }: CellSelectionBounds): boolean {
  const [high, wide] = [maxRowIndex - minRowIndex + 1, maxColumnIndex - minColumnIndex + 1];
  const across = block[0]?.length ?? 0;
  return (high > block.length || wide > across) && high % block.length === 0 && wide % across === 0 && block.every((line) => line.length === across);
}

/** Cells that are chosen together: by mouse, by Shift and the arrows, by the corner with a finger; copied, pasted on, filled down, emptied. */
export function useBlocks<T extends object>({ one, columns, idOf, units, put, blank, box, table, shown, setDrafts, toRow }: Asked<T>) {
  const { rows } = table.getRowModel();
  const [bounds] = table.getCellSelectionBounds();
  const several = bounds !== undefined && (bounds.maxRowIndex > bounds.minRowIndex || bounds.maxColumnIndex > bounds.minColumnIndex);
  const dragging = useRef(false);

  const placeOf = (target: EventTarget | null): Place | undefined => {
    const td = target instanceof Element ? target.closest('td[data-col]') : null;
    const row = Number(td?.closest('tr')?.getAttribute('data-index') ?? NaN);
    return td && Number.isFinite(row) && box.current?.contains(td) ? { row, col: Number(td.getAttribute('data-col')) } : undefined;
  };
  const ends = ({ row, col }: Place) => {
    const [id, key] = [rows[row]?.id, shown[col]?.key];
    return id === undefined || key === undefined ? undefined : { id, key };
  };
  const choose = (from: Place, to: Place = from) => {
    const [a, b] = [ends(from), ends(to)];
    if (a && b) table.selectCellRange({ anchorRowId: a.id, anchorColumnId: a.key, focusRowId: b.id, focusColumnId: b.key });
  };
  /** Where the choice began, and where it ends now. */
  const ranges = table.state.cellSelection;
  const range = ranges.at(-1);
  const placed = (id: string | undefined, key: string | undefined): Place | undefined => {
    const [row, col] = [rows.findIndex((r) => r.id === id), shown.findIndex((c) => c.key === key)];
    return row < 0 || col < 0 ? undefined : { row, col };
  };
  const anchor = () => placed(range?.anchorRowId, range?.anchorColumnId);
  const focus = () => placed(range?.focusRowId, range?.focusColumnId);

  const goTo = (to: Place) => {
    const there = () => box.current?.querySelector<HTMLElement>(`tr[data-index="${String(to.row)}"] td[data-col="${String(to.col)}"]`);
    const enter = () => {
      const cell = there()?.querySelector<HTMLElement>('[data-field]') ?? there();
      cell?.focus();
      if (cell instanceof HTMLInputElement || cell instanceof HTMLTextAreaElement) cell.select();
    };
    if (there()) enter();
    else {
      toRow(to.row);
      requestAnimationFrame(() => requestAnimationFrame(enter));
    }
  };
  const step = (from: Place, way: Way): Place | undefined => {
    const [r, c] = steps[way];
    const to = { row: from.row + r, col: from.col + c };
    return ends(to) && shown[to.col]?.picture !== true ? to : undefined;
  };

  const change = (laid: ReturnType<typeof lay<T>>, says: string | undefined) => {
    setDrafts((before) => new Map([...before, ...laid.drafts]));
    if (laid.changed.length > 0) put?.(laid.changed);
    if (says !== undefined) tell(says);
  };
  const taken = (block: readonly (readonly string[])[], at: Place) =>
    lay(block, { lines: rows.slice(at.row).map((r) => r.original), columns: shown.slice(at.col), all: columns, idOf, units, blank });
  /** The same text, or the same line of texts, over all that is chosen. */
  const spread = (texts: readonly (readonly string[])[], says?: string) => {
    if (!bounds) return;
    const [high, wide] = [bounds.maxRowIndex - bounds.minRowIndex + 1, bounds.maxColumnIndex - bounds.minColumnIndex + 1];
    const block = Array.from({ length: high }, (_, r) =>
      Array.from({ length: wide }, (_, c) => texts[r % texts.length]?.[c % (texts[0]?.length ?? 1)] ?? ''),
    );
    // no heads in what is filled: the same word in every line is a value
    const laid = lay(block, {
      lines: rows.slice(bounds.minRowIndex, bounds.maxRowIndex + 1).map((r) => r.original),
      columns: shown.slice(bounds.minColumnIndex, bounds.maxColumnIndex + 1),
      all: [],
      emptying: true,
      idOf,
      units,
    });
    change(laid, says ?? laidSays(laid, one));
  };
  const paste = (text: string, at: Place | undefined) => {
    const block = readBlock(text);
    const single = block.length === 1 && block[0]?.length === 1;
    const from = bounds && several ? { row: bounds.minRowIndex, col: bounds.minColumnIndex } : at;
    if (!put || !from) return false;
    if (single && !several) return false;
    if (several && fills(block, bounds)) spread(block);
    else {
      const laid = taken(block, from);
      change(laid, laidSays(laid, one));
    }
    return true;
  };
  const chosenText = () => {
    if (!bounds) return '';
    const columnsIn = shown.slice(bounds.minColumnIndex, bounds.maxColumnIndex + 1).filter((c) => c.picture !== true);
    return writeBlock(rows.slice(bounds.minRowIndex, bounds.maxRowIndex + 1).map((r) => columnsIn.map((c) => wordsIn(c, r.original))));
  };
  const fillDown = () => {
    if (!bounds || !put) return;
    const from = several && bounds.maxRowIndex > bounds.minRowIndex ? rows[bounds.minRowIndex] : rows[bounds.minRowIndex - 1];
    if (from) spread([shown.slice(bounds.minColumnIndex, bounds.maxColumnIndex + 1).map((c) => wordsIn(c, from.original))]);
  };

  /** Whether a key goes on past the end of what stands in a cell. */
  const atEdge = (target: EventTarget, way: Way): boolean => {
    if (!(target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement)) return true;
    const [from, to] = [target.selectionStart ?? 0, target.selectionEnd ?? 0];
    if (from === 0 && to === target.value.length) return true;
    return from === to && (way === 'left' ? from === 0 : to === target.value.length);
  };
  const onKeyDown = (e: KeyboardEvent<HTMLElement>) => {
    const at = placeOf(e.target);
    if (
      !at ||
      shown[at.col]?.picture ||
      e.ctrlKey ||
      e.metaKey ||
      e.altKey ||
      (e.target instanceof HTMLElement && e.target.closest('.dropdown-menu'))
    )
      return;
    const way = e.key === 'Enter' && e.target instanceof HTMLElement && e.target.closest('[data-field]') ? 'down' : ways[e.key];
    if (way === undefined) {
      // one cell again; the key goes on and leaves it
      if (e.key === 'Escape' && several) choose(at);
      if ((e.key === 'Delete' || e.key === 'Backspace') && several && put) {
        e.preventDefault();
        spread([['']]);
      }
      return;
    }
    const sideways = way === 'left' || way === 'right';
    if (e.shiftKey && e.key !== 'Enter') {
      if (sideways && !several && !atEdge(e.target, way)) return;
      e.preventDefault();
      const end = focus() ?? at;
      const to = step(end, way);
      if (to) choose(anchor() ?? at, to);
      return;
    }
    if (e.target instanceof HTMLSelectElement && e.key !== 'Enter' && !sideways) return;
    if (sideways && !atEdge(e.target, way)) return;
    const to = step(at, way);
    if (!to) return;
    e.preventDefault();
    goTo(to);
  };
  const reach = (e: { readonly clientX: number; readonly clientY: number }) => {
    // the corner itself lies over the cell under it; what is meant is the cell that it is the corner of
    const under = document.elementsFromPoint(e.clientX - CORNER, e.clientY - CORNER).find((one) => !one.closest('[data-corner]'));
    const to = placeOf(under ?? null);
    const from = anchor();
    if (to && from && shown[to.col]?.picture !== true) choose(from, to);
  };
  const handlers = {
    onKeyDown,
    onFocus: (e: FocusEvent) => {
      const at = placeOf(e.target);
      if (at && !dragging.current) choose(at);
    },
    onMouseDown: (e: MouseEvent) => {
      const at = placeOf(e.target);
      if (!at || e.button !== 0 || (e.target instanceof Element && e.target.closest('button, a, [data-corner]'))) return;
      if (e.shiftKey) {
        e.preventDefault();
        choose(anchor() ?? at, at);
        return;
      }
      choose(at);
      dragging.current = true;
      const moved = (m: globalThis.MouseEvent) => {
        const to = placeOf(m.target);
        if (!to || (to.row === at.row && to.col === at.col)) return;
        window.getSelection()?.removeAllRanges();
        choose(at, to);
      };
      const done = () => {
        dragging.current = false;
        window.removeEventListener('mousemove', moved);
      };
      window.addEventListener('mousemove', moved);
      window.addEventListener('mouseup', done, { once: true });
    },
    onPointerDown: (e: PointerEvent) => {
      if (!(e.target instanceof Element) || !e.target.closest('[data-corner]')) return;
      e.preventDefault();
      dragging.current = true;
      const done = () => {
        dragging.current = false;
        window.removeEventListener('pointermove', reach);
      };
      window.addEventListener('pointermove', reach);
      window.addEventListener('pointerup', done, { once: true });
      window.addEventListener('pointercancel', done, { once: true });
    },
    onCopy: (e: ClipboardEvent) => {
      const own = e.target instanceof HTMLInputElement || e.target instanceof HTMLTextAreaElement;
      if (!bounds || (own && !several) || (!own && window.getSelection()?.toString() !== '' && !several)) return;
      e.preventDefault();
      e.clipboardData.setData('text/plain', chosenText());
    },
    onPaste: (e: ClipboardEvent) => {
      if (paste(e.clipboardData.getData('text/plain'), placeOf(e.target))) e.preventDefault();
    },
  };
  const within = () => box.current?.contains(document.activeElement) === true;
  useKeys('table', {
    'mod+d': { says: 'fill down: the cell above, or the first of those chosen', act: () => (within() ? fillDown() : false) },
    'shift+arrowdown, shift+arrowup, shift+arrowleft, shift+arrowright': { says: 'choose several cells', act: () => false },
    'mod+c': { says: 'copy the cells chosen', act: () => false },
    'mod+v': { says: 'paste cells from a spreadsheet', act: () => false },
  });

  const size =
    bounds && several
      ? `${String(bounds.maxRowIndex - bounds.minRowIndex + 1)} × ${String(bounds.maxColumnIndex - bounds.minColumnIndex + 1)} cells`
      : undefined;
  const pasteHere = (text: string) => {
    const at = anchor();
    if (!at || paste(text, at)) return;
    const laid = taken([[text.trim()]], at);
    change(laid, laidSays(laid, one));
  };
  const bar: ReactNode =
    several || (put && range) ? <ChosenBar size={size} text={chosenText} {...(put && { onPaste: pasteHere, onFill: fillDown })} /> : null;
  const corner = focus();
  return {
    handlers,
    bar,
    chosenIn: (row: number) =>
      several && row >= bounds.minRowIndex && row <= bounds.maxRowIndex ? { from: bounds.minColumnIndex, to: bounds.maxColumnIndex } : undefined,
    cornerIn: (row: number) => (corner?.row === row ? corner.col : undefined),
  };
}
