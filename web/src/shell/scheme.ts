import { useSyncExternalStore } from 'react';
import { chooseScheme, type Scheme, schemeNow, wear, wish } from './look';

const listeners = new Set<() => void>();

function apply(): void {
  wear();
  for (const tell of listeners) tell();
}

/** Gives the page its light or dark look, and follows the system. */
export function startScheme(): void {
  apply();
  wish()?.addEventListener('change', apply);
}

/** The other look. Where it is what the system wishes nothing is kept: the page follows the system again. */
export function swapScheme(): void {
  const to = schemeNow() === 'dark' ? 'light' : 'dark';
  chooseScheme((wish()?.matches === true) === (to === 'dark') ? undefined : to);
  apply();
}

export const useScheme = (): Scheme =>
  useSyncExternalStore(
    (tell) => {
      listeners.add(tell);
      return () => listeners.delete(tell);
    },
    schemeNow,
    () => 'light',
  );
