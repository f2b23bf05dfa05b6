import { customAlphabet } from 'nanoid';
import { kept } from './local';

const short = customAlphabet('0123456789abcdefghijklmnopqrstuvwxyz', 12);

export const newId = (): string => short();

/** Which browser this is: made once, kept in this browser. */
export function thisBrowser(): string {
  const before = kept.get('obra-by');
  if (before !== null && /^[0-9a-z-]{1,40}$/.test(before)) return before;
  const made = newId();
  return kept.set('obra-by', made) ? made : 'unkept';
}

/** Which window this is, so that a message of its own is not taken for another's. */
export const thisWindow = newId();

let latest = 0;
/** Now, but never before an earlier answer: entries keep their order when the clock is set back. */
export function now(): string {
  latest = Math.max(Date.now(), latest + 1);
  return new Date(latest).toISOString();
}

/** Lets `now` go on after the last moment found in storage. */
export function notBefore(moment: string): void {
  latest = Math.max(latest, Date.parse(moment));
}
