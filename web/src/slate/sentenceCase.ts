import type { Sentence } from '@obra/core/quantity';

/** With a capital, as a sentence that stands for itself. */
export const sentenceCase = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** The same, ended by what it ends with already, else by a point. */
export const sentence = (text: string): string => `${sentenceCase(text)}${/[?!.:]$/.test(text) ? '' : '.'}`;

/** A sentence of parts, its first word with a capital and a point at its end. */
export function asSentence(says: Sentence): Sentence {
  const [first, ...rest] = says;
  const begun: Sentence = typeof first === 'string' ? [sentenceCase(first), ...rest] : says;
  const last = begun.at(-1);
  return typeof last === 'string' && /[?!.:]$/.test(last) ? begun : [...begun, '.'];
}
