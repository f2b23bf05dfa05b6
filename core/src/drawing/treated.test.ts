import { blankDrawing, type Section } from '../document';
import { writeSentence } from '../quantity';
import { readDrawing } from './readDrawing';
import { placeSaid, reaches, treatedAt } from './treated';

const mm = (text: string) => ({ text, units: 'mm' as const });

it.each([
  ['58 HRC', { rest: '58 HRC' }, ''],
  ['', { rest: '' }, ''],
  ['tip 12', { end: 'right', length: 12, rest: '' }, 'only 12 mm from end A'],
  ['the tip for 12 mm, 60 HRC', { end: 'right', length: 12, rest: '60 HRC' }, 'only 12 mm from end A'],
  ['58 HRC, end B for 20,5', { end: 'left', length: 20.5, rest: '58 HRC' }, 'only 20.5 mm from end B'],
  ['800 C 20 min, from A 15', { end: 'right', length: 15, rest: '800 C 20 min' }, 'only 15 mm from end A'],
  ['0.01 rows 2, 3', { rows: [2, 3], rest: '0.01' }, 'rows 2, 3 only'],
  ['0.01 row 2', { rows: [2], rest: '0.01' }, 'row 2 only'],
  ['0.008 rows 2 to 4', { rows: [2, 3, 4], rest: '0.008' }, 'rows 2, 3, 4 only'],
  ['tip', { rest: 'tip' }, ''],
])('“%s” goes where it says', (text, wanted, said) => {
  const at = treatedAt(mm(text));
  expect(at).toEqual(wanted);
  expect(writeSentence(placeSaid(at) ?? [], 'mm')).toBe(said);
});

it('a row is reached where some of it lies before the line; a row by its number', () => {
  const row = (id: string, length: string): Section => ({ id, size: mm('20'), length: mm(length) });
  const part = readDrawing({ ...blankDrawing(), outside: [row('a', '10'), row('b', '20'), row('c', '30')] });
  const reached = (text: string) => part.features.filter((f) => reaches({ id: 't', kind: 'harden', value: mm(text) }, f, part)).map((f) => f.id);
  expect(reached('58 HRC')).toEqual(['a', 'b', 'c']);
  expect(reached('tip 10')).toEqual(['a']);
  expect(reached('tip 12')).toEqual(['a', 'b']);
  expect(reached('end B 30')).toEqual(['c']);
  expect(reached('0.01 rows 1, 3')).toEqual(['a', 'c']);
});
