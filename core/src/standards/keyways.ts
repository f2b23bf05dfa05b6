import { atMost, diameter, exceeds, say } from '../quantity';
import type { LookedUp } from './fits';
import { keyways } from './keyways.table';

/** A parallel key for a shaft, mm. */
export interface Keyway {
  readonly width: number;
  readonly height: number;
  readonly depthInShaft: number;
  readonly depthInHub: number;
}

/**
 * The key that a shaft of this diameter takes, mm; over 6 to 110. @source DIN 6885-1, from memory
 * @example keywayFor(25).ok // true
 */
export function keywayFor(shaft: number): LookedUp<Keyway> {
  const row = keyways.find(([over, to]) => exceeds(shaft, over) && atMost(shaft, to));
  if (!row) return { ok: false, says: say`a key for a shaft of ${diameter(shaft)} is not in this table; it goes from 6 to 110 mm`, nearest: [] };
  const [, , width, height, depthInShaft, depthInHub] = row;
  return { ok: true, width, height, depthInShaft, depthInHub };
}
