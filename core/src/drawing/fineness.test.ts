import type { Section } from '../document';
import { parseLength, type Units } from '../quantity';
import { finenessOf, writeFine } from './fineness';

const rows = (units: Units, ...lengths: readonly string[]): { outside: Section[] } => ({
  outside: lengths.map((text, i) => ({ id: String(i), size: { text: '20', units }, length: { text, units } })),
});

it.each([
  [['20', '35'], 1],
  [['20', '12.5'], 0.5],
  [['20', '12.4'], 0.1],
  [['20', '12,45'], 0.05],
  [['20', '12.42'], 0.01],
  [['20', '12.425'], 0.001],
  [[], 1],
  // what has a tolerance of its own says nothing of how fine the rest is
  [['20', '30 +/-0.05'], 1],
])('lengths of %j mm move by %f', (lengths, step) => {
  expect(finenessOf(rows('mm', ...lengths), 'mm').step).toBeCloseTo(step, 9);
});

it.each([
  [['1', '3/4'], 1 / 8, 1.3, '1-1/4'],
  [['1-5/16', '3/4'], 1 / 16, 0.81, '13/16'],
  [['1', '2'], 1 / 8, 0.4, '3/8'],
  [['.75', '1.20'], 0.05, 0.83, '0.85'],
  [['.752'], 0.001, 0.8304, '0.83'],
])('lengths of %j in move by %f; %f in is written %s', (lengths, step, inches, text) => {
  const fine = finenessOf(rows('in', ...lengths), 'in');
  expect(fine.step / 25.4).toBeCloseTo(step, 9);
  const written = writeFine(inches * 25.4, fine);
  expect(written.text).toBe(text);
  const read = parseLength(written.text, 'in');
  expect(read.ok && read.value).toBeCloseTo(written.mm, 3);
});

it('nothing is moved to no length', () => {
  expect(writeFine(-4, finenessOf(rows('mm', '20'), 'mm'))).toEqual({ text: '1', mm: 1 });
});
