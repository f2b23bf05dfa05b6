import type { Units } from '@obra/core/quantity';
import * as z from 'zod';

/** A size cell of a drawing that the Handbook was opened from: it goes along in the address, so that a reload keeps it. */
export interface CellOfJob {
  readonly job: string;
  readonly list: 'outside' | 'boreRight' | 'boreLeft';
  readonly row: string;
}

const lists = ['outside', 'boreRight', 'boreLeft'] as const;

export function cellOf(search: URLSearchParams): CellOfJob | undefined {
  const [job, list, row] = (search.get('for') ?? '').split('~');
  const known = lists.find((l) => l === list);
  return job !== undefined && job !== '' && known && row !== undefined && row !== '' ? { job, list: known, row } : undefined;
}

export const writeCell = ({ job, list, row }: CellOfJob): string => [job, list, row].join('~');

/** What is handed back to the drawing: it travels with the step of the history, not in the address, so that a reload does not fill twice. */
const Fill = z.object({ fill: z.object({ list: z.enum(lists), row: z.string(), text: z.string().max(200), units: z.enum(['mm', 'in']) }) });
export type Fill = z.infer<typeof Fill>['fill'];

export const fillOf = (state: unknown): Fill | undefined => {
  const parsed = Fill.safeParse(state);
  return parsed.success ? parsed.data.fill : undefined;
};

/** A cell that the cursor goes to when the drawing opens, once. */
const Cursor = z.object({ cursor: z.string().max(120) });
export const cursorOf = (state: unknown): string | undefined => Cursor.safeParse(state).data?.cursor;
export const cursorState = (cell: string) => ({ cursor: cell });

export const fillState = (cell: CellOfJob, text: string, units: Units) =>
  ({ fill: { list: cell.list, row: cell.row, text, units } }) satisfies { fill: Fill };
