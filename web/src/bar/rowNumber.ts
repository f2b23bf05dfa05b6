import type { Part } from '@obra/core/drawing';

/** Which row of its list a feature is, as a person counts: 1, 2 ...; never its id. */
export function rowNumber(part: Part, id: string): string {
  const own = part.features.find((f) => f.id === id);
  if (!own) return '';
  const nth = String(part.features.filter((f) => f.side === own.side).indexOf(own) + 1);
  return own.side === 'outside' ? nth : `${nth} of hole ${own.side === 'right' ? 'A' : 'B'}`;
}
