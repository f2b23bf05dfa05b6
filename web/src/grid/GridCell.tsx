import type { Parsed, Units } from '@obra/core/quantity';
import { writeSentence } from '@obra/core/quantity';
import { memo, useRef } from 'react';
import type { Column } from './columns';
import { cellOf, type Draft } from './lay';

/** What a cell asks of its table; the same functions at each render. */
export interface CellActs<T> {
  readonly draft: (cell: string, draft: Draft | undefined) => void;
  readonly change: (line: T) => void;
}

interface Props<T> {
  readonly line: T;
  readonly id: string;
  readonly column: Column<T>;
  readonly put: (line: T, text: string) => Parsed<T>;
  readonly label: string;
  readonly units: Units;
  readonly draft: Draft | undefined;
  readonly acts: CellActs<T>;
}

/** One cell that is typed in: kept as typed; what is not understood stays in it with a sentence, and the line as it was. */
function Cell<T>({ line, id, column, put, label, units, draft, acts }: Props<T>) {
  const stored = column.text(line);
  const assumed = column.assumed?.(line) === true;
  const at = cellOf(id, column.key);
  // Enter keeps it and goes on; the cell that is left then has nothing more to keep
  const kept = useRef<string>(undefined);
  const keep = (text: string) => {
    if (kept.current === text) return;
    kept.current = text;
    const read = text.trim() === stored ? undefined : put(line, text);
    acts.draft(at, read?.ok === false ? { text, says: writeSentence(read.problems[0]?.says ?? [], units) } : undefined);
    if (read?.ok) acts.change(read.value);
  };
  const mark = {
    className: ['grid-cell', column.figures ? '' : 'words', assumed ? 'assumed-cell' : ''].filter(Boolean).join(' '),
    'aria-label': assumed ? `${label}, assumed` : label,
    'data-field': column.key,
  };
  const says = draft?.says;
  const { choices } = column;
  const Typed = column.list ? 'textarea' : 'input';
  return (
    <>
      {choices ? (
        <select
          {...mark}
          value={stored}
          onChange={(e) => {
            kept.current = undefined;
            keep(e.target.value);
          }}>
          {stored === '' && <option value="">–</option>}
          {!choices.some((c) => c.value === stored) && stored !== '' && <option value={stored}>{stored}</option>}
          {choices.map((c) => (
            <option key={c.value} value={c.value}>
              {c.words}
            </option>
          ))}
        </select>
      ) : (
        <Typed
          {...mark}
          value={draft?.text ?? stored}
          aria-invalid={says !== undefined}
          autoComplete="off"
          spellCheck={false}
          maxLength={400}
          {...(column.list && { rows: 1 })}
          onChange={(e) => {
            kept.current = undefined;
            acts.draft(at, { text: e.target.value, ...(says !== undefined && { says }) });
          }}
          onBlur={(e) => draft && keep(e.target.value)}
          onKeyDown={(e) => {
            if (e.key === 'Enter') keep(e.currentTarget.value);
          }}
        />
      )}
      {says !== undefined && (
        <div role="alert" className="out cell-says">
          {says}
        </div>
      )}
    </>
  );
}

const same = <T,>(a: Props<T>, b: Props<T>): boolean =>
  a.line === b.line && a.column === b.column && a.draft === b.draft && a.units === b.units && a.label === b.label;

export const GridCell = memo(Cell, same) as typeof Cell;
