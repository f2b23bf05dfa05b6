import { words } from '@obra/core/glossary';
import { isPictured } from './WordPicture';

it('every word of the trade has its small picture', () => {
  expect(words.filter((w) => !isPictured(w.word)).map((w) => w.word)).toEqual([]);
});
