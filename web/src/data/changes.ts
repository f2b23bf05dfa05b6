import { useSyncExternalStore } from 'react';

const listeners = new Set<() => void>();
let version = 0;

/** What is held in memory of a job or the shop has changed. */
export function changed(): void {
  version++;
  for (const listen of listeners) listen();
}

const subscribe = (listen: () => void) => {
  listeners.add(listen);
  return () => listeners.delete(listen);
};

/** Draws again whenever it has. */
export const useChanges = (): number => useSyncExternalStore(subscribe, () => version);
