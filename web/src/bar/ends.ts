import type { Part, PartDetail } from '@obra/core/drawing';

/** Kinds that a section does not show as they are. */
const beside = new Set<PartDetail['kind']>(['flat', 'hexagon', 'keyway', 'crossHole', 'boltCircle', 'slot']);

/** Ends that are shown beside the section, or in place of it where a part is short: where what the section does not show can be seen. */
export function endsShown(part: Part): readonly ('right' | 'left')[] {
  if (!part.details.some((d) => beside.has(d.kind)) && !part.features.some((f) => f.form === 'polygon')) return [];
  const onFace = part.details.filter((d) => d.kind === 'boltCircle' || d.kind === 'slot');
  const left = onFace.some((d) => d.on === 'left');
  const right = !left || onFace.some((d) => d.on === 'right') || part.details.some((d) => beside.has(d.kind) && !onFace.includes(d));
  return [...(right ? (['right'] as const) : []), ...(left ? (['left'] as const) : [])];
}

/** Half of the room of an end view beside the section, px. */
export const END_ROOM = 62;
