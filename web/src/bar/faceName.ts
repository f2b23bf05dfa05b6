import type { Part } from '@obra/core/drawing';
import { thingOf } from '@obra/core/ref';

/** A face as a person names it: 'A', 'B', '1 | 2' where two rows meet, 'hole A 1' where a row of a hole ends; never its id. */
export function faceName(part: Part, face: string): string {
  if (face === 'right') return 'A';
  if (face === 'left') return 'B';
  const own = part.features.find((f) => f.id === thingOf(face));
  if (!own) return face;
  const nth = part.features.filter((f) => f.side === own.side).indexOf(own) + 1;
  return own.side === 'outside' ? `${String(nth)} | ${String(nth + 1)}` : `hole ${own.side === 'right' ? 'A' : 'B'} ${String(nth)}`;
}
