import type { Limits } from '../drawing';
import { leadingDigits, readCelsius, readReading, wholeReading } from './readReading';

const h6: Limits = { nominal: 25, max: 25, min: 24.987, from: 'class' };

describe('what is typed at the Bench', () => {
  it.each([
    ['+7', 'mm', 25.07],
    ['-3', 'mm', 24.97],
    ['+7', 'in', 25.1778],
    ['25.318', 'mm', 25.318],
    ['25,318', 'mm', 25.318],
    ['.9968', 'in', 25.31872],
  ] as const)('%s in %s is %d mm', (text, units, mm) => {
    const read = readReading(text, units, h6);
    expect(read.ok && read.value.mm).toBeCloseTo(mm, 6);
  });

  it.each(['', '+', 'abc', '0', '25.3.1', '-9999'])('%s is no reading, and says why', (text) => {
    const read = readReading(text, 'mm', h6);
    expect(read.ok ? [] : read.problems[0]?.says).not.toEqual([]);
  });

  it.each([
    [19.292, 'mm', '19.'],
    [19.05, 'mm', ''],
    [18.99, 'mm', ''],
    [19.08, 'in', '.7'],
    [25.4, 'in', ''],
  ] as const)('of %d the digits that stay, in %s, are “%s”', (mm, units, digits) => {
    expect(leadingDigits(mm, units)).toBe(digits);
  });

  it('temperatures', () => {
    expect([readCelsius('34'), readCelsius(' 34,5 '), readCelsius(''), readCelsius('500'), readCelsius('hot')]).toEqual([
      34,
      34.5,
      20,
      undefined,
      undefined,
    ]);
  });
});

it.each([
  ['19.', '19.19.31', '19.31'],
  ['19.', '19.31', '19.31'],
  ['19.', '19.3', '19.3'],
  ['.7', '.7.7512', '.7512'],
  ['19.', '19.+7', '+7'],
  ['19.', '19.', '19.'],
  ['19.', '31', '31'],
  ['', '19.31', '19.31'],
])('after the offered digits “%s”, “%s” is %s: a whole reading takes their place', (lead, text, whole) => {
  expect(wholeReading(lead, text)).toBe(whole);
});
