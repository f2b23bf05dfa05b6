import type { Parsed, Sentence } from '@obra/core/quantity';

/** What would be stored could not be read again: it is not written, and what stood there stays. */
export class Unwritable extends Error {
  readonly says: Sentence;
  constructor(says: Sentence) {
    super('it could not be read again');
    this.says = says;
  }
}

/** Lets through what its own reader takes; nothing else is ever written. */
export function readable<T>(parsed: Parsed<T>): T {
  if (!parsed.ok) throw new Unwritable(parsed.problems[0]?.says ?? []);
  return parsed.value;
}
