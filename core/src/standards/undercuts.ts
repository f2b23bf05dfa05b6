import { threadUndercuts } from './undercuts.table';

export interface ThreadUndercut {
  /** at the bottom, mm */
  readonly width: number;
  /** with its flanks, up to where the full thread may end, mm */
  readonly overall: number;
  /** how far its diameter lies under the nominal, mm */
  readonly under: number;
  readonly radius: number;
  readonly runOut: number;
}

/**
 * Undercut before a shoulder for an external thread of this pitch (mm), form A; pitches between rows take the next coarser row.
 * @source DIN 76-1 external, form A, width g1 min, overall g2 max; from memory, medium confidence
 */
export function threadUndercut(pitch: number): ThreadUndercut | undefined {
  const row = threadUndercuts.find(([p]) => p >= pitch - 1e-6);
  return row && { width: row[3], overall: row[4], under: row[2], radius: row[7], runOut: row[1] };
}
