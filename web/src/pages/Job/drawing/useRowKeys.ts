import { type Key, useKeys } from '../../../shell/keys';
import type { Column } from './cells';
import type { RowActs } from './Row';
import { fillDown } from '../../../words/pressed';

/** Keys in the cells of a table of rows; of several tables on a page each minds its own. */
export function useRowKeys(acts: RowActs, mine: (row: string) => boolean): void {
  const at =
    (act: (row: string, column: Column) => void): Key['act'] =>
    ({ target }) => {
      const [row = '', column = ''] = target instanceof HTMLElement ? (target.dataset['cell']?.split('.') ?? []) : [];
      if (!mine(row)) return false;
      act(row, column as Column);
      return true;
    };
  useKeys(
    'drawing',
    {
      enter: {
        says: 'the next row',
        act: at((row, column) => {
          if (column === 'size') acts.split(row);
          acts.enter(row, column);
        }),
      },
      'mod+d': { says: fillDown, act: at(acts.fillDown) },
      'alt+arrowup': { says: 'move the row up', act: at((row) => acts.move(row, -1)) },
      'alt+arrowdown': { says: 'move the row down', act: at((row) => acts.move(row, 1)) },
      'shift+arrowup': { says: 'mark the row above: typing in one types in all', act: at((row) => acts.mark(row, -1)) },
      'shift+arrowdown': { says: 'mark the row below: typing in one types in all', act: at((row) => acts.mark(row, 1)) },
    },
    { in: 'cells' },
  );
}
