import { customAlphabet } from 'nanoid';

const short = customAlphabet('0123456789abcdefghijklmnopqrstuvwxyz', 12);

export const newId = (): string => short();

/** Which browser this is: made once, kept in this browser. */
export function thisBrowser(): string {
  try {
    const kept = localStorage.getItem('obra-by');
    if (kept !== null) return kept;
    const made = newId();
    localStorage.setItem('obra-by', made);
    return made;
  } catch {
    return 'unkept';
  }
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
