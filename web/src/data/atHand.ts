import { useSyncExternalStore } from 'react';
import * as z from 'zod';
import { kept } from './local';

/** What holds for every reading that is taken now in this browser. */
const AtHand = z.object({
  /** who measures */
  who: z.string().max(60).exactOptional(),
  /** how warm the room and the gauges in it are, degrees C, and when that was told */
  room: z.object({ celsius: z.number().min(-30).max(60), at: z.number() }).exactOptional(),
});
type Kept = z.infer<typeof AtHand>;

const KEY = 'obra-at-hand';
/** A room is as warm as was told for so long, milliseconds: a working day. */
const TOLD_FOR = 10 * 3_600_000;
const listeners = new Set<() => void>();

/** The last text that was read, and what it says: the same object as long as nothing changes. */
let read: { readonly text: string | null; readonly says: Kept } = { text: null, says: {} };

function keptNow(): Kept {
  const text = kept.get(KEY);
  if (text !== read.text) read = { text, says: parsed(text) };
  return read.says;
}

function parsed(text: string | null): Kept {
  if (text === null) return {};
  try {
    return AtHand.safeParse(JSON.parse(text)).data ?? {};
  } catch {
    return {};
  }
}

const listen = (on: () => void) => {
  listeners.add(on);
  // told in another window
  window.addEventListener('storage', on);
  return () => {
    listeners.delete(on);
    window.removeEventListener('storage', on);
  };
};

const change = (to: Kept): void => {
  kept.set(KEY, JSON.stringify(to));
  for (const on of listeners) on();
};

/** Who measures, as typed. */
export const sayWho = (who: string): void => {
  const { room } = keptNow();
  change({ ...(who.trim() !== '' && { who: who.slice(0, 60) }), ...(room && { room }) });
};

/** How warm the room is; undefined takes it back. */
export const sayRoom = (celsius: number | undefined): void => {
  const { who } = keptNow();
  change({ ...(who !== undefined && { who }), ...(celsius !== undefined && { room: { celsius, at: Date.now() } }) });
};

export interface AtHandNow {
  readonly who?: string;
  /** degrees C; absent where it was not told today */
  readonly room?: number;
}

/** What a reading that is written down now carries: who measured, how warm the room is. */
export function atHandNow(now: number = Date.now()): AtHandNow {
  const { who, room } = keptNow();
  return {
    ...(who !== undefined && who.trim() !== '' && { who: who.trim() }),
    ...(room && now - room.at < TOLD_FOR && now >= room.at - 60_000 && { room: room.celsius }),
  };
}

/** The same, followed as it is typed. */
export function useAtHand(): AtHandNow & { readonly typed: string } {
  const told = useSyncExternalStore(listen, keptNow);
  return { ...atHandNow(), typed: told.who ?? '' };
}
