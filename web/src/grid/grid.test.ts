import { parseLength } from '@obra/core/quantity';
import { byValue, type Column, passes, valuesOf } from './columns';
import { cellOf, lay, laidSays } from './lay';
import { Finding } from '../shell/search';

interface Line {
  readonly id: string;
  readonly name: string;
  readonly size: string;
}

const columns: readonly Column<Line>[] = [
  { key: 'name', words: 'name', text: (l) => l.name, put: (l, text) => ({ ok: true, value: { ...l, name: text } }) },
  {
    key: 'size',
    words: 'size',
    unit: 'mm',
    text: (l) => l.size,
    put: (l, text) => {
      const read = parseLength(text, 'mm');
      return read.ok ? { ok: true, value: { ...l, size: text } } : read;
    },
  },
  { key: 'seen', words: 'seen', text: () => 'as it is' },
];
const lines: readonly Line[] = [
  { id: 'a', name: 'one', size: '1' },
  { id: 'b', name: 'two', size: '2' },
];
let made = 0;
const blank = () => ({ id: `new${String(++made)}`, name: '', size: '' });
const over = (block: readonly (readonly string[])[], more: Partial<Parameters<typeof lay<Line>>[1]> = {}) =>
  lay(block, { lines, columns, all: columns, idOf: (l) => l.id, units: 'mm', ...more });

describe('cells laid over a table', () => {
  it('change the lines they lie on, each once, and make those that are not there', () => {
    const { changed, drafts, left } = over(
      [
        ['uno', '1.5'],
        ['two', '2'],
        ['tres', '3'],
      ],
      { blank },
    );
    expect(changed.map((l) => [l.name, l.size])).toEqual([
      ['uno', '1.5'],
      ['tres', '3'],
    ]);
    expect(changed[0]?.id).toBe('a');
    expect([drafts.size, left]).toEqual([0, 0]);
  });

  it('without a way to make a line, leave what goes past the last', () => {
    const { changed, left } = over([['uno'], ['dos'], ['tres']]);
    expect(changed).toHaveLength(2);
    expect(left).toBe(1);
  });

  it('keep what is not understood in its cell, and take the rest of the line', () => {
    const laid = over([['uno', 'wide']]);
    expect(laid.changed).toEqual([{ id: 'a', name: 'uno', size: '1' }]);
    expect(laid.drafts.get(cellOf('a', 'size'))?.text).toBe('wide');
    expect(laidSays(laid, 'tool')).toMatch(/^1 tool changed\. 1 cell was not understood and stands as pasted: /);
  });

  it('find their columns by heads that they bring, in any order; a head in inches says what its numbers are', () => {
    const { changed, left } = over([
      ['size (in)', 'name'],
      ['0.5', 'half'],
      ['1/2 in', 'half too'],
    ]);
    expect(changed.map((l) => [l.name, l.size])).toEqual([
      ['half', '0.5 in'],
      ['half too', '1/2 in'],
    ]);
    expect(left).toBe(0);
    // a first line that is not all heads is a line
    expect(over([['name', '7']]).changed).toEqual([{ id: 'a', name: 'name', size: '7' }]);
  });

  it('leave cells that are only read, and those past the last column', () => {
    const { changed, left } = over([['uno', '5', 'mine', 'more']]);
    expect(changed).toHaveLength(1);
    expect(left).toBe(2);
  });

  it('empty what they lie on when that is meant', () => {
    const { changed } = over(
      [
        ['', ''],
        ['', ''],
      ],
      { emptying: true },
    );
    // a size cannot be nothing: it stays, with its sentence
    expect(changed.map((l) => [l.name, l.size])).toEqual([
      ['', '1'],
      ['', '2'],
    ]);
  });

  it('pass over empty lines', () => {
    expect(
      over([
        ['', ''],
        ['dos', '2'],
      ]).changed,
    ).toEqual([{ id: 'b', name: 'dos', size: '2' }]);
  });
});

it('numbers go by size and before words, words as they are looked up, whatever the case', () => {
  expect([12, 'M12', 3, 'm4', 'M10'].toSorted(byValue)).toEqual([3, 12, 'm4', 'M10', 'M12']);
});

it('a filter is some of the values, a part of the text, or both', () => {
  expect(passes('drill', { of: ['drill', 'tap'] })).toBe(true);
  expect(passes('drill', { of: [] })).toBe(false);
  expect(passes('boring bar 12', { has: ' BAR ' })).toBe(true);
  expect(passes('boring bar 12', { has: 'bar', of: ['tap'] })).toBe(false);
});

it('values are listed to choose from while they are few and some stand more than once', () => {
  const kinds = (texts: readonly string[]) => valuesOf({ key: 'k', words: 'k', text: (t: string) => t }, texts);
  expect(kinds(['tap', 'drill', 'tap', 'die'])).toEqual(['die', 'drill', 'tap']);
  expect(kinds(['a', 'b', 'c', 'd'])).toEqual([]);
  expect(kinds(Array.from({ length: 80 }, (_, i) => String(i % 40)))).toEqual([]);
});

describe('finding', () => {
  const all = ['Sheave axle M12 Marta', 'Rudder shaft', 'Stern gland nut 10-32'];
  const found = (asked: string) => new Finding(all, (l) => l).find(asked);
  it.each([
    ['axle marta', ['Sheave axle M12 Marta'], false],
    ['M12', ['Sheave axle M12 Marta'], false],
    ['0-32', ['Stern gland nut 10-32'], false],
    ['', all, false],
    ['ruder', ['Rudder shaft'], true],
    ['sheeve axl', ['Sheave axle M12 Marta'], true],
    ['propeller', [], false],
  ])('%s', (asked, lines, nearly) => {
    expect(found(asked)).toEqual({ lines, nearly });
  });
});
