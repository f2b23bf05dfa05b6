import { blankJob, blankRow, type Cell, type Entry, type Job } from '../document';
import type { Units } from '../quantity';

/** What was asked at the dial, without a job. */
export interface DialQuestion {
  readonly kind: 'outside' | 'bore' | 'length';
  readonly wanted: Cell;
  readonly material: string;
  readonly units: Units;
}

/** Where a size of each kind stands in a job of its own, and the step that brings it to size. */
const PLACE = {
  outside: { of: 'row1.diameter', step: 'finish-turn@row1' },
  bore: { of: 'hole1.diameter', step: 'bore@hole1' },
  length: { of: 'overall', step: 'face@left' },
} as const;

/**
 * The question as a job: the size that was wanted, with every reading and cut so far as the first entries of its piece. What else the part is
 * stays open, and is asked for by the checks of its drawing. The readings stood there, and are not asked about again beside a plan.
 * @param entries readings and cuts in their order; each keeps its id, time and gauge
 * @param gauge the one that stood for a reading that names none
 */
export function questionAsJob(
  { kind, wanted, material, units }: DialQuestion,
  entries: readonly Entry[],
  gauge: string,
): { readonly job: Job; readonly log: readonly Entry[] } {
  const row = blankRow('row1', units);
  const blank = blankJob(wanted.text.trim().slice(0, 120), units);
  const drawing = {
    ...blank.drawing,
    material,
    outside: [kind === 'outside' ? { ...row, size: wanted } : row],
    ...(kind === 'bore' && { boreRight: [{ ...blankRow('hole1', units), size: wanted }] }),
    ...(kind === 'length' && { overall: wanted }),
  };
  const { of, step } = PLACE[kind];
  const log = entries.map((e): Entry =>
    e.kind === 'reading' ? { ...e, step, of, gauge: e.gauge === '' ? gauge : e.gauge, sure: true } : { ...e, step },
  );
  return { job: { ...blank, drawing }, log };
}
