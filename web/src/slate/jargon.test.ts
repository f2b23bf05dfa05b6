import { wordNamed } from '@obra/core/glossary';
import { jargonIn, jargonWords } from './jargon';

it.each(jargonWords.map((w) => [w]))('%s is told by the glossary', (word) => {
  expect(wordNamed(word)?.says.length).toBeGreaterThan(20);
});

it('is found as a whole word, wherever it stands, and not within another', () => {
  expect(jargonIn('94 of 100 are within 0.020 TIR; more')).toEqual({ word: 'TIR', from: 27, to: 30 });
  expect(jargonIn('Stick-out of five diameters')?.word).toBe('Stick-out');
  expect(jargonIn('a pipe, an entire dogma, stirred')).toBeUndefined();
});
