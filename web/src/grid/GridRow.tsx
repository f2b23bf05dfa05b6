import type { Units } from '@obra/core/quantity';
import { GripVertical } from 'lucide-react';
import type { ReactNode } from 'react';
import type { useMovable } from '../shell/sortable';
import { type Column, wordsIn } from './columns';
import { type CellActs, GridCell } from './GridCell';
import type { Draft } from './lay';
import { dragToMove } from '../words/pressed';

export interface GridRowProps<T> {
  readonly line: T;
  readonly id: string;
  /** which one it is of those shown, from 0 */
  readonly at: number;
  readonly name: string;
  readonly columns: readonly Column<T>[];
  readonly units: Units;
  /** the first and the last column that are chosen in it, and whether the choice goes on above and below */
  readonly chosen: { readonly from: number; readonly to: number } | undefined;
  /** the column in which the corner of what is chosen lies */
  readonly corner: number | undefined;
  readonly drafts: readonly (Draft | undefined)[];
  readonly acts: CellActs<T>;
  readonly last: ReactNode;
  readonly below: ReactNode;
  readonly measure: ((element: HTMLElement | null) => void) | undefined;
  readonly move?: ReturnType<typeof useMovable>;
}

/** A line of a table, and what opens under it. */
export function GridRow<T>({ line, id, at, name, columns, units, chosen, corner, drafts, acts, last, below, measure, move }: GridRowProps<T>) {
  return (
    <>
      <tr
        data-item={id}
        data-index={at}
        aria-rowindex={at + 2}
        ref={(row) => {
          measure?.(row);
          move?.line.ref(row);
        }}
        style={move?.line.style}
        className={move?.line.className}>
        {columns.map((column, c) => {
          const { put } = column;
          const within = chosen !== undefined && c >= chosen.from && c <= chosen.to;
          return (
            <td
              key={column.key}
              data-col={c}
              tabIndex={put ? undefined : -1}
              aria-selected={within || undefined}
              className={[column.figures ? 'fig' : '', column.paper === false ? 'noprint' : '', put ? 'typed' : ''].filter(Boolean).join(' ')}>
              {put ? (
                <GridCell {...{ line, id, column, put, units, acts }} label={`${name}: ${column.words}`} draft={drafts[c]} />
              ) : column.shows ? (
                column.shows(line)
              ) : (
                wordsIn(column, line)
              )}
              {corner === c && <span className="grid-corner" aria-hidden="true" data-corner />}
            </td>
          );
        })}
        {last !== undefined && (
          <td className="acts noprint">
            {last}
            {move && (
              <button type="button" {...move.grip} className="grid-grip" aria-label={`move ${name}`} title={dragToMove}>
                <GripVertical size={16} aria-hidden />
              </button>
            )}
          </td>
        )}
      </tr>
      {below !== undefined && below !== false && (
        <tr className="grid-below">
          <td colSpan={columns.length + 1}>{below}</td>
        </tr>
      )}
    </>
  );
}
