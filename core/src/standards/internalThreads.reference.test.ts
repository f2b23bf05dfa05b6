import fc from 'fast-check';
import { threadLimits } from './threads';

type Row = readonly [designation: string, pitchMin: number | null, pitchMax: number | null, minorMin: number | null, minorMax: number | null];

/* Limits in millimetres; 6g and 6H from limit tables, the other classes computed from the tables of ISO 965-1 by
   the same reference list as the code's; from memory. */
const metric: readonly Row[] = [
  ['M8x1.25-6H', 7.188, 7.348, 6.647, 6.912],
  ['M8x1.25-5H', 7.188, 7.313, 6.647, 6.859],
  ['M8x1.25-6G', 7.216, 7.376, 6.675, 6.94],
  ['M8x1.25-7H', 7.188, 7.388, 6.647, 6.982],
  ['M20x1.5-6H', 19.026, 19.216, 18.376, 18.676],
  ['M20x1.5-5H', 19.026, 19.176, 18.376, 18.612],
  ['M20x1.5-6G', 19.058, 19.248, 18.408, 18.708],
  ['M20x1.5-7H', 19.026, 19.262, 18.376, 18.751],
  ['M12x1.5-6H', 11.026, 11.216, 10.376, 10.676],
  ['M12x1.5-5H', 11.026, 11.176, 10.376, 10.612],
  ['M12x1.5-6G', 11.058, 11.248, 10.408, 10.708],
  ['M12x1.5-7H', 11.026, 11.262, 10.376, 10.751],
  ['M5x0.8-6H', 4.48, 4.605, 4.134, 4.334],
  ['M5x0.8-5H', 4.48, 4.58, 4.134, 4.294],
  ['M5x0.8-6G', 4.504, 4.629, 4.158, 4.358],
  ['M5x0.8-7H', 4.48, 4.64, 4.134, 4.384],
  ['M10x1.5-6H', 9.026, 9.206, 8.376, 8.676],
  ['M10x1.5-5H', 9.026, 9.166, 8.376, 8.612],
  ['M10x1.5-6G', 9.058, 9.238, 8.408, 8.708],
  ['M10x1.5-7H', 9.026, 9.25, 8.376, 8.751],
  ['M24x3-6H', 22.051, 22.316, 20.752, 21.252],
  ['M24x3-5H', 22.051, 22.263, 20.752, 21.152],
  ['M24x3-6G', 22.099, 22.364, 20.8, 21.3],
  ['M24x3-7H', 22.051, 22.386, 20.752, 21.382],
  ['M4x0.7-6H', 3.545, 3.663, 3.242, 3.422],
  ['M4x0.7-5H', 3.545, 3.64, 3.242, 3.382],
  ['M4x0.7-6G', 3.567, 3.685, 3.264, 3.444],
  ['M4x0.7-7H', 3.545, 3.695, 3.242, 3.466],
  ['M12x1.75-6H', 10.863, 11.063, 10.106, 10.441],
  ['M12x1.75-5H', 10.863, 11.023, 10.106, 10.371],
  ['M12x1.75-6G', 10.897, 11.097, 10.14, 10.475],
  ['M12x1.75-7H', 10.863, 11.113, 10.106, 10.531],
];

/* Limits in inches as printed in the tables of ASME B1.1, by way of a handbook; from memory. */
const unified: readonly Row[] = [
  ['#6-32 UNC-2B', 0.1177, 0.1214, 0.104, 0.114],
  ['#6-32 UNC-3B', null, null, 0.104, 0.114],
  ['7/8-14 UNF-2B', 0.8286, 0.8356, 0.798, 0.814],
  ['7/8-14 UNF-3B', 0.8286, 0.8339, 0.798, 0.8068],
  ['1-12 UNF-2B', 0.9459, 0.9535, 0.91, 0.928],
  ['1-12 UNF-3B', 0.9459, 0.9516, 0.91, 0.9198],
  ['#10-32 UNF-2B', 0.1697, 0.1736, 0.156, 0.164],
  ['#10-32 UNF-3B', 0.1697, 0.1726, 0.156, 0.1641],
  ['1 1/8-8 8-UN-2B', 1.0438, 1.0528, 0.99, 1.015],
  ['#1-72 UNF-2B', 0.064, 0.0665, 0.058, 0.0635],
  ['7/16-14 UNC-2B', 0.3911, 0.3972, 0.36, 0.376],
  ['7/16-14 UNC-3B', 0.3911, 0.3957, 0.36, 0.3717],
  ['7/16-20 UNF-2B', 0.405, 0.4104, 0.383, 0.395],
  ['7/16-20 UNF-3B', 0.405, 0.4091, 0.383, 0.3916],
  ['2-4.5 UNC-2B', 1.8557, 1.8681, 1.759, 1.795],
  ['2-4.5 UNC-3B', 1.8557, 1.865, 1.759, 1.7861],
  ['5/16-24 UNF-2B', 0.2854, 0.2902, 0.267, 0.277],
  ['5/16-24 UNF-3B', 0.2854, 0.289, 0.267, 0.2754],
  ['1 1/2-6 UNC-2B', 1.3917, 1.4022, 1.32, 1.35],
  ['1 1/2-6 UNC-3B', 1.3917, 1.3996, 1.32, 1.3396],
  ['1/2-28 UNEF-2B', 0.4768, 0.4816, 0.461, 0.47],
  ['1/2-28 UNEF-3B', 0.4768, 0.4804, 0.461, 0.4676],
  ['2-8 8-UN-2B', 1.9188, 1.9289, 1.865, 1.89],
  ['1/2-13 UNC-2B', 0.45, 0.4565, 0.417, 0.434],
  ['1/2-13 UNC-3B', 0.45, 0.4548, 0.417, 0.4284],
  ['1/2-13 UNC-1B', 0.45, 0.4597, null, null],
  ['9/16-12 UNC-2B', 0.5084, 0.5152, 0.472, 0.49],
  ['9/16-12 UNC-3B', 0.5084, 0.5135, 0.472, 0.4843],
  ['1 1/2-8 8-UN-2B', 1.4188, 1.4283, 1.365, 1.39],
  ['#12-24 UNC-2B', 0.1889, 0.1933, 0.171, 0.181],
  ['#12-24 UNC-3B', null, null, 0.171, 0.1807],
  ['1/4-20 UNC-2B', null, null, 0.196, 0.207],
  ['1/4-20 UNC-3B', 0.2175, 0.2211, 0.196, 0.2067],
  ['1/4-20 UNC-1B', 0.2175, 0.2248, null, null],
  ['5/16-18 UNC-2B', 0.2764, 0.2817, 0.252, 0.265],
  ['5/16-18 UNC-3B', 0.2764, 0.2803, 0.252, 0.263],
  ['5/16-18 UNC-1B', 0.2764, 0.2843, null, null],
  ['#3-48 UNC-2B', 0.0855, 0.0885, 0.0764, 0.0845],
  ['#3-56 UNF-2B', 0.0874, 0.0902, 0.0797, 0.0865],
  ['1/4-28 UNF-2B', 0.2268, 0.2311, 0.211, 0.22],
  ['1/4-28 UNF-3B', 0.2268, 0.23, 0.211, 0.219],
  ['1/4-28 UNF-1B', 0.2268, 0.2333, null, null],
  ['3/4-16 UNF-2B', 0.7094, 0.7159, 0.682, 0.696],
  ['3/4-16 UNF-3B', 0.7094, 0.7143, 0.682, 0.6908],
  ['#8-36 UNF-2B', 0.146, 0.1496, 0.134, 0.142],
  ['#8-36 UNF-3B', null, null, 0.134, 0.1416],
  ['1 1/4-7 UNC-2B', 1.1572, 1.1668, 1.095, 1.123],
  ['1 1/4-7 UNC-3B', 1.1572, 1.1644, 1.095, 1.1125],
  ['1 1/8-7 UNC-2B', 1.0322, 1.0416, 0.97, 0.998],
  ['1 1/8-7 UNC-3B', 1.0322, 1.0393, 0.97, 0.9875],
];

/* Normal length of engagement N, mm; ISO 965-1, from memory, medium confidence. */
const engagement: readonly (readonly [pitch: number, nominal: number, over: number, to: number])[] = [
  [1.5, 45, 6.3, 19],
  [0.35, 2.8, 0.8, 2.6],
  [3, 180, 18, 53],
  [4.5, 45, 21, 63],
  [2, 45, 8.5, 25],
  [1.25, 22.4, 4.5, 13],
  [2, 22.4, 8, 24],
  [2, 180, 12, 36],
  [0.6, 5.6, 1.7, 5],
  [3, 90, 15, 45],
  [8, 355, 50, 150],
  [0.3, 1.4, 0.7, 2],
  [6, 90, 32, 95],
  [0.75, 11.2, 2.4, 7.1],
  [0.8, 5.6, 2.5, 7.5],
  [1.5, 11.2, 5, 15],
  [0.45, 2.8, 1.3, 3.8],
  [0.25, 1.4, 0.6, 1.7],
  [6, 180, 36, 106],
  [0.2, 1.4, 0.5, 1.4],
  [0.2, 2.8, 0.5, 1.5],
  [0.25, 2.8, 0.6, 1.9],
  [3, 45, 12, 36],
  [1, 11.2, 3, 9],
  [4, 180, 24, 71],
  [8, 180, 45, 132],
  [4, 90, 19, 56],
  [5.5, 90, 28, 85],
  [1.5, 22.4, 5.6, 16],
];

/* Allowance of classes 1A and 2A, inches; ASME B1.1, from memory. */
const allowances: readonly (readonly [designation: string, inches: number])[] = [
  ['#6-32 UNC-2A', 0.0008],
  ['7/8-14 UNF-2A', 0.0016],
  ['1-12 UNF-2A', 0.0018],
  ['#10-32 UNF-2A', 0.0009],
  ['1 1/8-8 8-UN-2A', 0.0021],
  ['#1-72 UNF-2A', 0.0006],
  ['7/16-14 UNC-2A', 0.0014],
  ['7/16-20 UNF-2A', 0.0013],
  ['2-4.5 UNC-2A', 0.0029],
  ['5/16-24 UNF-2A', 0.0011],
  ['1 1/2-6 UNC-2A', 0.0024],
  ['1/2-28 UNEF-2A', 0.0011],
  ['2-8 8-UN-2A', 0.0023],
  ['1/2-13 UNC-2A', 0.0015],
  ['9/16-12 UNC-2A', 0.0016],
  ['1 1/2-8 8-UN-2A', 0.0022],
  ['#12-24 UNC-2A', 0.001],
  ['1/4-20 UNC-2A', 0.0011],
  ['5/16-18 UNC-2A', 0.0012],
  ['#3-48 UNC-2A', 0.0007],
  ['#3-56 UNF-2A', 0.0007],
  ['1/4-28 UNF-2A', 0.001],
  ['3/4-16 UNF-2A', 0.0015],
  ['#8-36 UNF-2A', 0.0008],
  ['1 1/4-7 UNC-2A', 0.0022],
  ['1 1/8-7 UNC-2A', 0.0022],
];

const limits = (designation: string) => {
  const read = threadLimits(designation);
  if (!read.ok) throw new Error(designation);
  return read;
};

describe('ISO 965-1 internal threads', () => {
  it.each(metric)('%s: pitch diameter %d to %d, minor %d to %d', (designation, pitchMin, pitchMax, minorMin, minorMax) => {
    const { pitchDiameter, minor, major, nominal, internal } = limits(designation);
    expect(internal).toBe(true);
    expect([pitchDiameter.min, pitchDiameter.max]).toEqual([expect.closeTo(pitchMin ?? NaN, 4), expect.closeTo(pitchMax ?? NaN, 4)]);
    expect([minor.min, minor.max]).toEqual([expect.closeTo(minorMin ?? NaN, 4), expect.closeTo(minorMax ?? NaN, 4)]);
    expect(major.max).toBeNull();
    expect(major.min).toBeGreaterThanOrEqual(nominal);
  });

  it.each(engagement)('pitch %d on %d mm: N over %d to %d', (pitch, nominal, over, to) => {
    expect(limits(`M${String(nominal)}x${String(pitch)}-6g-L`).engagement).toEqual({ over, to });
  });
});

describe('ASME B1.1 internal threads', () => {
  it.each(unified)('%s: pitch diameter %d to %d, minor %d to %d', (designation, pitchMin, pitchMax, minorMin, minorMax) => {
    const { pitchDiameter, minor } = limits(designation);
    const inch = (mm: number | null) => (mm === null ? NaN : mm / 25.4);
    if (pitchMin !== null)
      expect([inch(pitchDiameter.min), inch(pitchDiameter.max)]).toEqual([expect.closeTo(pitchMin, 6), expect.closeTo(pitchMax ?? NaN, 6)]);
    if (minorMin !== null) expect([inch(minor.min), inch(minor.max)]).toEqual([expect.closeTo(minorMin, 6), expect.closeTo(minorMax ?? NaN, 6)]);
  });

  it.each(allowances)('allowance of %s is %d in', (designation, inches) => {
    const { major, nominal } = limits(designation);
    expect((nominal - (major.max ?? NaN)) / 25.4).toBeCloseTo(inches, 6);
  });

  it.each([
    // ASME B1.1 by its formulas; printed values from memory differ by .0001 at most
    ['#12-32 UNEF-2A', 0.1947],
    ['#6-32 UNC-3B', 0.1205],
    ['1/4-20 UNC-2B', 0.2224],
  ])('%s: the pitch diameter of the formula, with how far the printed table may differ', (designation, most) => {
    const { pitchDiameter, remark } = limits(designation);
    expect(Math.abs((pitchDiameter.max ?? 0) / 25.4 - most)).toBeLessThan(0.00011);
    expect(remark).toBeDefined();
  });
});

describe('every thread', () => {
  const nominals = [1.6, 2, 3, 4, 5, 6, 8, 10, 12, 16, 20, 24, 30, 36, 42, 48, 56, 64];
  const pairs = ['6g 6H', '4h 5H', '8g 7H', '6e 6G', '6f 6H', '6h 6H', '5g6g 5H6H', '7g6g 7H'];

  it('has its limits in order, and a bolt of one class always enters the nut of the other', () => {
    for (const d of nominals)
      for (const pair of pairs) {
        const [bolt, nut] = pair.split(' ').map((name) => limits(`M${String(d)}-${name}`));
        if (!bolt || !nut) throw new Error(pair);
        for (const each of [bolt.major, bolt.pitchDiameter, nut.pitchDiameter, nut.minor])
          if (each.max !== null && each.min !== null) expect(each.max).toBeGreaterThan(each.min);
        if (bolt.pitchDiameter.max !== null && nut.pitchDiameter.min !== null)
          expect(bolt.pitchDiameter.max).toBeLessThanOrEqual(nut.pitchDiameter.min);
        if (bolt.major.max !== null && nut.major.min !== null) expect(bolt.major.max).toBeLessThanOrEqual(nut.major.min);
      }
  });

  it('reads back what it writes', () => {
    fc.assert(
      fc.property(fc.constantFrom(...nominals), fc.constantFrom('6g', '6H', '5g6g', '7H'), fc.boolean(), (d, name, left) => {
        const { designation } = limits(`M${String(d)}-${name}${left ? ' LH' : ''}`);
        expect(limits(designation).designation).toBe(designation);
      }),
    );
  });

  it.each(['', 'MM', 'M12-6x', 'M12-6gH', 'M0', '1/2', 'G 11/13', 'bolt', 'M12x1.5-6q'])('says what it did not understand of “%s”', (text) => {
    const read = threadLimits(text);
    expect(read.ok ? [] : read.says.length).toBeGreaterThan(0);
  });
});
