import type { Shop } from '@obra/core/document';
import { midShop, readoutShop, startingShop } from '@obra/core/shop';

/** Whose lathe one stands at. */
export const lathes = [
  { id: 'own', words: 'my own lathe' },
  { id: 'small', words: 'a small lathe in inches' },
  { id: 'mid', words: 'a mid-size metric lathe' },
  { id: 'readout', words: 'a larger one with a readout' },
] as const;

export type LatheId = (typeof lathes)[number]['id'];

export const latheIdOf = (text: string | null): LatheId => lathes.find((l) => l.id === text)?.id ?? 'own';

/** The shop of a lathe; one's own where it has one. */
export function shopOf(id: LatheId, own: Shop | undefined): Shop {
  if (id === 'small') return startingShop();
  if (id === 'mid') return midShop();
  if (id === 'readout') return readoutShop();
  return own && own.machines.length > 0 ? own : midShop();
}
