import { type Word, words } from './words.table';

const byName = new Map<string, Word>();
for (const word of words) for (const name of [word.word, ...(word.also ?? [])]) byName.set(name.toLowerCase(), word);

/** A word of the trade by any of its names, also in the plural; undefined where it is none. @example wordNamed('Stick-outs')?.word // 'stick-out' */
export function wordNamed(text: string): Word | undefined {
  const name = text.trim().toLowerCase();
  return byName.get(name) ?? byName.get(name.replace(/s$/, '')) ?? byName.get(name.replace(/es$/, ''));
}
