import fc from 'fast-check';
import { say } from './figure';
import { readDecimalsBehind, write, writeExact, writeMinutes, writePlain, writeSentence, writeWithUnit } from './format';
import { figure, formulaNamed } from './formulas';
import { parseLength, readDeviations } from './length';
import { nearestFraction, readNumber } from './number';
import { roundTo } from './rounding';

const mm = (text: string, units: 'mm' | 'in' = 'mm') => {
  const read = parseLength(text, units);
  return read.ok ? read.value : undefined;
};

describe('numbers as people write them', () => {
  it.each([
    ['25', 25],
    ['.548', 0.548],
    ['0,861', 0.861],
    ['25.', 25],
    ['13/16', 0.8125],
    ['1 1/8', 1.125],
    ['1-1/8', 1.125],
    ['63/64', 0.984375],
  ])('%s is %d', (text, value) => {
    expect(readNumber(text)?.value).toBe(value);
  });

  it.each(['', 'x', '-', '1/0', '/2'])('%s is no number', (text) => {
    expect(readNumber(text)).toBeUndefined();
  });

  it('reads every 64th of an inch exactly, and finds it again', () => {
    for (let n = 1; n <= 128; n++) {
      const text = nearestFraction(n / 64);
      expect(text).toBeDefined();
      expect(readNumber(text ?? '')?.value).toBe(n / 64);
    }
    expect(nearestFraction(0.8)).toBeUndefined();
  });
});

describe('lengths', () => {
  it.each([
    ['25', 'mm', 25],
    ['1"', 'mm', 25.4],
    ['1 in', 'mm', 25.4],
    ['13/16', 'mm', 20.6375],
    ['1-1/2', 'in', 38.1],
    ['.861', 'in', 21.8694],
    ['12,5 mm', 'in', 12.5],
    ['25 mm', 'in', 25],
    ['3/4”', 'mm', 19.05],
  ] as const)('%s in %s is %d mm', (text, units, value) => {
    expect(mm(text, units)).toBeCloseTo(value, 9);
  });

  it.each([
    ['', 'a length is missing'],
    ['-3', '“-3” is negative; a length is more than zero'],
    ['−3', '“−3” is negative; a length is more than zero'],
    ['0', '“0” is zero; a length is more than zero'],
    ['0.000', '“0.000” is zero; a length is more than zero'],
    ['1e9', '“1e9” is not a length; write 40, 1-1/2 or 12.5 mm'],
    ['1000000000', '“1000000000” is over 10 m; is the unit right?'],
    ['forty', '“forty” is not a length; write 40, 1-1/2 or 12.5 mm'],
  ])('%s gets a clear sentence', (text, sentence) => {
    const read = parseLength(text, 'mm');
    expect(read.ok ? '' : writeSentence(read.problems[0]?.says ?? [], 'mm')).toBe(sentence);
  });

  it('never throws, whatever is typed', () => {
    fc.assert(fc.property(fc.string(), (text) => [true, false].includes(parseLength(text, 'in').ok)));
  });

  it('writes text that reads back as the same length', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 9_000_000 }), fc.constantFrom('mm' as const, 'in' as const), (thousandths, units) => {
        const value = thousandths / 1000;
        expect(Math.abs((mm(writeExact(value, units), units) ?? NaN) - value)).toBeLessThan(0.00002);
      }),
    );
  });
});

describe('deviations', () => {
  it.each([
    ['+/-0.05', 'mm', 0.05, -0.05],
    ['± .002', 'in', 0.0508, -0.0508],
    ['-0.02 -0.05', 'mm', -0.02, -0.05],
    ['+0 -.002', 'in', 0, -0.0508],
    ['-.001', 'in', 0, -0.0254],
    ['+0.1', 'mm', 0.1, 0],
    ['-0.05/-0.02', 'mm', -0.02, -0.05],
    ['+0,02 +0,01', 'mm', 0.02, 0.01],
  ] as const)('%s in %s', (text, units, upper, lower) => {
    expect(readDeviations(text, units)).toEqual({ upper: expect.closeTo(upper, 9), lower: expect.closeTo(lower, 9) });
  });

  it.each(['0.05', '+', '+/-', '-1 -2 -3', '+x'])('%s is none', (text) => {
    expect(readDeviations(text, 'mm')).toBeUndefined();
  });
});

describe('numbers as they are shown', () => {
  it.each([
    [{ is: 'length', value: 25.4 }, 'mm', '25.4 mm'],
    [{ is: 'length', value: 25.4 }, 'in', '1 in'],
    [{ is: 'length', value: 24.9876, step: 0.001 }, 'mm', '24.988 mm'],
    [{ is: 'length', value: 24.9876, step: 0.001 }, 'in', '.9838 in'],
    [{ is: 'diameter', value: 12 }, 'mm', 'Ø12 mm'],
    [{ is: 'feed', value: 0.1 }, 'mm', '0.10 mm/rev'],
    [{ is: 'feed', value: 0.1 }, 'in', '.0039 in/rev'],
    [{ is: 'cuttingSpeed', value: 30.48 }, 'in', '100 ft/min'],
    [{ is: 'spindleSpeed', value: 381.97 }, 'mm', '382 rpm'],
    [{ is: 'roughness', value: 1.6 }, 'in', '63 µin'],
    [{ is: 'angle', value: 29.5 }, 'mm', '29.5°'],
    [{ is: 'length', value: -0.0001 }, 'mm', '0 mm'],
    [{ is: 'length', value: NaN }, 'mm', '– mm'],
    [{ is: 'ratio', value: 3.333 }, 'mm', '3.33'],
  ] as const)('%o in %s is %s', (quantity, units, text) => {
    expect(writeWithUnit(quantity, units)).toBe(text);
  });

  it('keeps the zeros of a step that was asked for', () => {
    expect(write({ is: 'length', value: 25, step: 0.001 }, 'mm').text).toBe('25.000');
    expect(write({ is: 'length', value: 25 }, 'mm').text).toBe('25');
  });

  it.each([
    [0.5, '0:30'],
    [1.999, '2:00'],
    [75, '1:15 h'],
  ])('%d minutes are %s', (minutes, text) => {
    expect(writeMinutes(minutes)).toBe(text);
  });

  it('joins words and numbers into a sentence, whose units are chosen late', () => {
    const sentence = say`${{ is: 'length', value: 50.8 }} out, ${3} rows`;
    expect(writeSentence(sentence, 'mm')).toBe('50.8 mm out, 3 rows');
    expect(writeSentence(sentence, 'in')).toBe('2 in out, 3 rows');
  });

  it('rounds halves away from zero, free of binary dust', () => {
    expect(roundTo(1.005, 0.01)).toBe(1.01);
    expect(roundTo(-0.125, 0.01)).toBe(-0.13);
    expect(roundTo(0.158, 0.01)).toBe(0.16);
  });
});

describe('where decimals are read behind a comma', () => {
  beforeAll(() => readDecimalsBehind(','));
  afterAll(() => readDecimalsBehind('.'));

  it('sizes, bare numbers and sentences have it; what is typed, stored or exchanged keeps its point', () => {
    expect(write({ is: 'diameter', value: 25.4, step: 0.001 }, 'mm').text).toBe('Ø25,400');
    expect(write({ is: 'length', value: 19.05 }, 'in').text).toBe(',75');
    expect(writeSentence(say`${8.1} % of ${{ is: 'length', value: 0.5 }}, ${3} times`, 'mm')).toBe('8,1 % of 0,5 mm, 3 times');
    expect(writePlain({ is: 'length', value: 0.5 }, 'mm').text).toBe('0.5');
    expect(writeExact(25.4, 'mm')).toBe('25.4');
  });

  it('and is read back as the same size, whatever it is', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 900_000 }), (microns) => {
        const read = parseLength(write({ is: 'length', value: microns / 1000, step: 0.001 }, 'mm').text, 'mm');
        expect(read.ok && read.value).toBeCloseTo(microns / 1000, 9);
      }),
      { numRuns: 200, seed: 4 },
    );
  });
});

describe('figures', () => {
  it('carry what they were computed from', () => {
    const f = figure('spindleSpeed', 'spindleSpeed', { v: 30, d: 25, most: 2000, speeds: [100, 300] });
    expect(f).toMatchObject({ value: 300, formula: 'spindleSpeed', of: { v: 30, d: 25 } });
    expect(formulaNamed(f.formula)?.compute(f.of)).toBe(f.value);
  });

  it('refuse an input that is missing', () => {
    expect(() => figure('length', 'barLength', { part: 70 })).toThrow(RangeError);
    expect(() => figure('length', 'middle', { max: NaN, min: 1 })).toThrow(RangeError);
    expect(() => figure('spindleSpeed', 'spindleSpeed', { v: 30, d: 25, most: 2000, speeds: [] })).toThrow(RangeError);
  });

  it('know no formula that is not in the table', () => {
    expect(formulaNamed('toString')).toBeUndefined();
  });
});
