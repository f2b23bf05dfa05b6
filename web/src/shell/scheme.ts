import { useSyncExternalStore } from 'react';
import { kept } from '../data/local';

export type Scheme = 'light' | 'dark';

const KEY = 'obra-scheme';
const wish = (): MediaQueryList | undefined =>
  typeof window.matchMedia === 'function' ? window.matchMedia('(prefers-color-scheme: dark)') : undefined;
const listeners = new Set<() => void>();

/** As a person chose in this browser, else as the system wishes. */
export function schemeNow(): Scheme {
  const chosen = kept.get(KEY);
  return chosen === 'light' || chosen === 'dark' ? chosen : wish()?.matches === true ? 'dark' : 'light';
}

function apply(): void {
  document.documentElement.dataset['bsTheme'] = schemeNow();
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
  if ((wish()?.matches === true) === (to === 'dark')) kept.remove(KEY);
  else kept.set(KEY, to);
  apply();
}

export const useScheme = (): Scheme =>
  useSyncExternalStore((tell) => {
    listeners.add(tell);
    return () => listeners.delete(tell);
  }, schemeNow);
