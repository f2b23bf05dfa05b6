import { tidy } from '../quantity';
import { ringBores, ringOutsides } from './bearings.table';

/**
 * What the ring of a rolling bearing of the normal class measures where it is fitted, mm: its bore, or its outside; undefined beyond the table.
 * @source ISO 492, normal class, mean diameters; from memory
 * @example ringLimits(25, 'bore') // { max: 25, min: 24.99 }
 */
export function ringLimits(diameter: number, side: 'bore' | 'outside'): { readonly max: number; readonly min: number } | undefined {
  const row = (side === 'bore' ? ringBores : ringOutsides).find(([over, to]) => diameter > over && diameter <= to);
  return row && { max: tidy(diameter), min: tidy(diameter - row[2] / 1000) };
}

/** The load on a bearing beside what it can carry. */
export type BearingLoad = 'light' | 'normal' | 'heavy';

/**
 * The class of a seat for a ball bearing: where its ring turns against the load it is tight, where it stands it may slide.
 * @param seat the shaft in the bore, or the housing round the outside @source ISO 286 classes as bearing practice takes them, common practice, from memory
 * @example seatClass(25, 'shaft', true, 'normal') // 'k5'
 */
export function seatClass(diameter: number, seat: 'shaft' | 'housing', turns: boolean, load: BearingLoad): string {
  if (seat === 'shaft') {
    if (!turns) return 'g6';
    if (load === 'light') return diameter <= 18 ? 'h5' : diameter <= 100 ? 'j6' : 'k6';
    if (load === 'heavy') return diameter <= 100 ? 'm5' : 'n6';
    return diameter <= 18 ? 'j5' : diameter <= 100 ? 'k5' : 'm5';
  }
  if (!turns) return 'H7';
  return load === 'light' ? 'M7' : load === 'heavy' ? 'P7' : 'N7';
}
