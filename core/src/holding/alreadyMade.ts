import type { Feature } from '../drawing';
import { practice } from '../shop';
import { outsideOf } from '../stock';
import type { StartedPiece } from './started';

/** A row that the piece has within its limits, its thread too. */
export function alreadyMade(row: Feature, { region, piece, beyondRight }: StartedPiece): boolean {
  // the piece has a row of its own over the whole of this one
  const like = (right: boolean) =>
    piece.features.filter((f) => {
      const [near, far] = [Math.max(f.near, f.far) + beyondRight, Math.min(f.near, f.far) + beyondRight];
      return (f.side === 'outside') === right && near >= Math.max(row.near, row.far) - 0.5 && far <= Math.min(row.near, row.far) + 0.5;
    });
  if (row.form === 'thread') return like(row.side === 'outside').some((f) => f.thread === row.thread);
  if (row.form === 'taper') return like(row.side === 'outside').some((f) => f.form === 'taper' && sameTaper(f, row));
  if (row.side !== 'outside')
    return (
      row.form === 'cylinder' &&
      like(false).some(
        (f) => f.form === 'cylinder' && f.nearDiameter.nominal >= row.nearDiameter.min && f.nearDiameter.nominal <= row.nearDiameter.max,
      )
    );
  if (row.form !== 'cylinder') return false;
  const there = outsideOf(region, row.far + (row.chamferFar ?? 0) + 0.01, row.near - (row.chamferNear ?? 0) - 0.01);
  return 2 * there.most <= row.nearDiameter.max + 1e-4 && 2 * there.least >= row.nearDiameter.min - 1e-4;
}

/** Within a finish cut of the same diameters at both ends. */
const sameTaper = (there: Feature, row: Feature): boolean =>
  (['nearDiameter', 'farDiameter'] as const).every(
    (end) => there[end].nominal >= row[end].min - practice.finishedWithin && there[end].nominal <= row[end].max + practice.finishedWithin,
  );
