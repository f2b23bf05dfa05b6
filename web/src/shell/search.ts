import MiniSearch from 'minisearch';

/** A letter may be wrong in a word of four, two changed about in one of six: “pintel”. */
const FUZZY = 0.3;

/** Words and sizes: 10-32, M12x1.5, 0.005 and 1/2" are one word each. */
const tokens = (text: string): string[] =>
  text
    .toLowerCase()
    .split(/[\s,;:()]+/)
    .filter((t) => t !== '');

/** Finds lines by the words that they have in them; by words that are nearly so where none has them. */
export class Finding<T> {
  private readonly index: MiniSearch<{ readonly id: number; readonly words: string }>;
  private readonly texts: readonly string[];
  private readonly lines: readonly T[];
  constructor(lines: readonly T[], words: (line: T) => string) {
    this.lines = lines;
    this.texts = lines.map((line) => words(line).toLowerCase());
    this.index = new MiniSearch({ fields: ['words'], tokenize: tokens, searchOptions: { prefix: true, fuzzy: FUZZY, combineWith: 'AND' } });
  }
  /** Takes so many more lines into the index of words that are nearly so, all that are left where nothing is said; whether more are left. */
  prepare(count = Infinity): boolean {
    const from = this.index.documentCount;
    this.index.addAll(this.texts.slice(from, from + count).map((words, i) => ({ id: from + i, words })));
    return this.index.documentCount < this.texts.length;
  }
  /** The lines found in their own order, those by nearly these words by how near they are; nothing asked finds all. */
  find(asked: string): { readonly lines: readonly T[]; readonly nearly: boolean } {
    const wanted = tokens(asked);
    if (wanted.length === 0) return { lines: this.lines, nearly: false };
    const exact = this.lines.filter((_, i) => wanted.every((w) => this.texts[i]?.includes(w)));
    if (exact.length > 0 || this.lines.length === 0) return { lines: exact, nearly: false };
    // what is found by its letters needs no index
    this.prepare();
    const ids = this.index.search(asked).map(({ id }) => id as number);
    return { lines: ids.flatMap((id) => this.lines[id] ?? []), nearly: ids.length > 0 };
  }
}
