import { Sortable, useMovable } from '../shell/sortable';
import { GridRow, type GridRowProps } from './GridRow';

interface Props<T> {
  readonly rows: readonly GridRowProps<T>[];
  /** nothing where they are sorted or thinned: an order of their own is not seen then */
  readonly onMove: ((id: string, to: string) => void) | undefined;
}

/** The lines of a table in an order of their own: moved by mouse, by a finger that rests on the grip, by Space and the arrows. */
export function MovableRows<T>({ rows, onMove }: Props<T>) {
  const names = new Map(rows.map((r) => [r.id, r.name]));
  return (
    <Sortable ids={rows.map((r) => r.id)} nameOf={(id) => names.get(id) ?? ''} onMove={(id, to) => onMove?.(id, to)}>
      {rows.map((row) => (
        <Movable key={row.id} row={row} still={onMove === undefined} />
      ))}
    </Sortable>
  );
}

function Movable<T>({ row, still }: { readonly row: GridRowProps<T>; readonly still: boolean }) {
  const move = useMovable(row.id, still);
  return <GridRow {...row} {...(!still && { move })} />;
}
