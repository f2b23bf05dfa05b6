import { doubtOf, startingShop } from '../shop';
import { likelyNominals, sampleDoubt, unworn } from './nominals';
import { parsePitch } from './parseSize';

/* copy, common practice: the likely nominal is a fraction, a whole millimetre or a standard size within the measuring error. */
const first = (readings: readonly number[], doubt: number, side: 'outside' | 'bore' | 'length' = 'outside', pitch?: number) =>
  likelyNominals({ readings, doubt, side, ...(pitch !== undefined && { pitch }) });

describe('what a worn piece was made to', () => {
  it('speaks for where it is least worn', () => {
    expect(unworn({ readings: [24.9, 24.96, 24.94], side: 'outside' })).toBe(24.96);
    expect(unworn({ readings: [12.1, 12.03, 12.05], side: 'bore' })).toBe(12.03);
    expect(unworn({ readings: [40.1, 39.9, 40], side: 'length' })).toBe(40);
  });

  it.each([
    [[24.93, 24.96], 0.03, 'outside', '25 mm'],
    [[19.02], 0.03, 'outside', '3/4'],
    [[12.69], 0.03, 'length', '1/2'],
    [[9.5], 0.02, 'length', '9.5 mm'],
    [[5.11], 0.01, 'bore', '#7'],
    [[19.99], 0.02, 'bore', '20 mm'],
    [[25.39], 0.02, 'outside', '1 in'],
  ] as const)('%j good to %d, %s: %s', (readings, doubt, side, text) => {
    expect(first(readings, doubt, side)[0]?.text).toBe(text);
  });

  it.each([
    // a thread measures under its nominal: ISO 965 6g, ASME B1.1 2A, by its major diameter and pitch
    [9.85, 1.5, 'M10x1.5'],
    [6.25, 25.4 / 20, '1/4-20'],
    [12.6, 25.4 / 12, '1/2-12 BSW'],
    [11.85, 1.75, 'M12x1.75'],
  ])('an outside of %d with a pitch of %d is near the first as %s', (reading, pitch, text) => {
    const found = first([reading], 0.03, 'outside', pitch);
    expect(found.slice(0, 3).map((f) => f.text)).toContain(text);
  });

  it('offers what lies near with its distance, and nothing that does not', () => {
    const found = first([24.96], 0.03);
    expect(found.map((f) => [f.text, f.off])).toContainEqual(['25 mm', -0.04]);
    expect(first([24.75], 0.01)).toEqual([]);
    for (const f of found) expect(Math.abs(f.off)).toBeLessThanOrEqual(0.09);
  });

  it('a doubt is twice what the gauge is good to, and never under a hundredth', () => {
    const gauge = startingShop().gauges.find((g) => g.kind === 'caliper');
    expect(sampleDoubt(gauge)).toBeCloseTo(2 * (gauge ? doubtOf(gauge) : NaN), 9);
    const fine = { text: '0.0005', units: 'mm' as const };
    expect(gauge && sampleDoubt({ ...gauge, bias: fine, repeat: fine })).toBe(0.01);
    expect(sampleDoubt(undefined)).toBe(0.01);
  });

  it.each([
    ['1.5', 'mm', 1.5],
    ['1,25', 'mm', 1.25],
    ['20 tpi', 'mm', 1.27],
    ['11.5 tpi', 'in', 25.4 / 11.5],
    ['.05', 'in', 1.27],
    ['0 tpi', 'mm', undefined],
    ['coarse', 'mm', undefined],
  ] as const)('a pitch of %s in %s is %d', (text, units, pitch) => {
    const read = parsePitch(text, units);
    if (pitch === undefined) expect(read).toBeUndefined();
    else expect(read).toBeCloseTo(pitch, 9);
  });

  it('wants readings and a doubt', () => {
    expect(() => first([], 0.03)).toThrow(RangeError);
    expect(() => first([25], 0)).toThrow(RangeError);
  });
});
