import { kept } from '../data/local';

export type Scheme = 'light' | 'dark';

const KEY = 'obra-scheme';
export const wish = (): MediaQueryList | undefined =>
  typeof window.matchMedia === 'function' ? window.matchMedia('(prefers-color-scheme: dark)') : undefined;

/** As a person chose in this browser, else as the system wishes. */
export function schemeNow(): Scheme {
  const chosen = kept.get(KEY);
  return chosen === 'light' || chosen === 'dark' ? chosen : wish()?.matches === true ? 'dark' : 'light';
}

/** Keeps what was chosen; undefined follows the system again. */
export function chooseScheme(chosen: Scheme | undefined): void {
  if (chosen === undefined) kept.remove(KEY);
  else kept.set(KEY, chosen);
}

/** Gives the page its light or dark look. */
export function wear(): void {
  document.documentElement.dataset['bsTheme'] = schemeNow();
}
