import { practice } from '../shop';
import { threadOf } from './rows';
import type { Part } from './types';

const known = new WeakMap<Part, ReadonlySet<string>>();

/**
 * Outside threads with little metal between their roots and a hole under them: cut while the piece is still solid there.
 * @returns ids of rows
 * @source centre-then-support: turn and thread first, then drill deep; common practice
 */
export function thinThreads(part: Part): ReadonlySet<string> {
  const before = known.get(part);
  if (before) return before;
  const holes = part.features.filter((f) => f.side !== 'outside');
  const rows = part.features.filter((row) => {
    const pitch = row.side === 'outside' ? threadOf(row)?.pitch : undefined;
    if (pitch === undefined) return false;
    const [low, high] = [Math.min(row.near, row.far), Math.max(row.near, row.far)];
    const under = holes.filter((h) => Math.min(h.near, h.far) < high && Math.max(h.near, h.far) > low);
    const widest = Math.max(0, ...under.flatMap((h) => [h.nearDiameter.nominal, h.farDiameter.nominal]));
    const root = row.nearDiameter.nominal - 2 * ROOT * pitch;
    return widest > 0 && (root - widest) / 2 < practice.thinUnderThread * row.nearDiameter.nominal;
  });
  const made = new Set(rows.map((r) => r.id));
  known.set(part, made);
  return made;
}

/** Depth of an outside thread of 60 degrees, in pitches. @source ISO 68-1 */
const ROOT = 0.6134;
