import { wordNamed, words } from './index';

describe('the glossary', () => {
  it('has about 150 words, each said plainly in a sentence or two, none twice', () => {
    expect(words.length).toBeGreaterThanOrEqual(145);
    const names = words.flatMap((w) => [w.word, ...(w.also ?? [])].map((n) => n.toLowerCase()));
    expect(names.filter((n, i) => names.indexOf(n) !== i)).toEqual([]);
    for (const { says } of words) {
      expect(says).toMatch(/^[A-Z0-9].*[.]$/);
      expect(says.length).toBeLessThan(190);
      expect(says).not.toMatch(/!/);
    }
  });

  it('every word beside another is one of them', () => {
    expect(words.flatMap((w) => (w.near ?? []).filter((n) => !wordNamed(n)).map((n) => `${w.word}: ${n}`))).toEqual([]);
  });

  it.each([
    ['TIR', 'TIR'],
    ['tir', 'TIR'],
    ['Stick-outs', 'stick-out'],
    ['saddle', 'carriage'],
    ['h7', 'h6'],
    ['form A', 'centre hole'],
    ['score', 'score'],
    ['single point', 'single point'],
  ])('%s is found', (name, word) => {
    expect(wordNamed(name)?.word).toBe(word);
  });

  it('what is no word of the trade is none', () => {
    expect(wordNamed('banana')).toBeUndefined();
    expect(wordNamed('')).toBeUndefined();
  });
});
