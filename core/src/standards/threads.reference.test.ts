import { readExternalThread } from './threads';

type Row = readonly [designation: string, majorMin: number | null, majorMax: number | null, pitchMin: number, pitchMax: number];

/* Limits in millimetres; 6g and 6H from limit tables, the other classes computed from the tables of ISO 965-1 by
   the same reference list as the code's; from memory. */
const metric: readonly Row[] = [
  ['M8x1.25-6g', 7.76, 7.972, 7.042, 7.16],
  ['M8x1.25-6h', 7.788, 8.0, 7.07, 7.188],
  ['M8x1.25-4h', 7.868, 8.0, 7.113, 7.188],
  ['M20x1.5-6g', 19.732, 19.968, 18.854, 18.994],
  ['M20x1.5-6h', 19.764, 20.0, 18.886, 19.026],
  ['M20x1.5-4h', 19.85, 20.0, 18.936, 19.026],
  ['M12x1.5-6g', 11.732, 11.968, 10.854, 10.994],
  ['M12x1.5-6h', 11.764, 12.0, 10.886, 11.026],
  ['M12x1.5-4h', 11.85, 12.0, 10.936, 11.026],
  ['M5x0.8-6g', 4.826, 4.976, 4.361, 4.456],
  ['M5x0.8-6h', 4.85, 5.0, 4.385, 4.48],
  ['M5x0.8-4h', 4.905, 5.0, 4.42, 4.48],
  ['M10x1.5-6g', 9.732, 9.968, 8.862, 8.994],
  ['M10x1.5-6h', 9.764, 10.0, 8.894, 9.026],
  ['M10x1.5-4h', 9.85, 10.0, 8.941, 9.026],
  ['M24x3-6g', 23.577, 23.952, 21.803, 22.003],
  ['M24x3-6h', 23.625, 24.0, 21.851, 22.051],
  ['M24x3-4h', 23.764, 24.0, 21.926, 22.051],
  ['M4x0.7-6g', 3.838, 3.978, 3.433, 3.523],
  ['M4x0.7-6h', 3.86, 4.0, 3.455, 3.545],
  ['M4x0.7-4h', 3.91, 4.0, 3.489, 3.545],
  ['M12x1.75-6g', 11.701, 11.966, 10.679, 10.829],
  ['M12x1.75-6h', 11.735, 12.0, 10.713, 10.863],
  ['M12x1.75-4h', 11.83, 12.0, 10.768, 10.863],
];

/* Limits in inches as printed in the tables of ASME B1.1, by way of a handbook; from memory. */
const unified: readonly Row[] = [
  ['#6-32 UNC-2A', 0.1312, 0.1372, 0.1141, 0.1169],
  ['#6-32 UNC-3A', null, null, 0.1156, 0.1177],
  ['7/8-14 UNF-2A', 0.8631, 0.8734, 0.8216, 0.827],
  ['7/8-14 UNF-3A', null, null, 0.8245, 0.8286],
  ['1-12 UNF-2A', 0.9868, 0.9982, 0.9382, 0.9441],
  ['1-12 UNF-3A', null, null, 0.9415, 0.9459],
  ['#10-32 UNF-2A', 0.1831, 0.1891, 0.1658, 0.1688],
  ['#10-32 UNF-3A', null, null, 0.1674, 0.1697],
  ['1 1/8-8 8-UN-2A', 1.1079, 1.1229, 1.0348, 1.0417],
  ['#1-72 UNF-2A', 0.0689, 0.0724, 0.0615, 0.0634],
  ['7/16-14 UNC-2A', 0.4258, 0.4361, 0.385, 0.3897],
  ['7/16-14 UNC-3A', null, null, 0.3876, 0.3911],
  ['7/16-20 UNF-2A', 0.4281, 0.4362, 0.3995, 0.4037],
  ['7/16-20 UNF-3A', null, null, 0.4019, 0.405],
  ['2-4.5 UNC-2A', 1.9751, 1.9971, 1.8433, 1.8528],
  ['2-4.5 UNC-3A', null, null, 1.8486, 1.8557],
  ['5/16-24 UNF-2A', 0.3042, 0.3114, 0.2806, 0.2843],
  ['5/16-24 UNF-3A', null, null, 0.2827, 0.2854],
  ['1 1/2-6 UNC-2A', 1.4794, 1.4976, 1.3812, 1.3893],
  ['1 1/2-6 UNC-3A', null, null, 1.3856, 1.3917],
  ['1/2-28 UNEF-2A', 0.4924, 0.4989, 0.472, 0.4757],
  ['1/2-28 UNEF-3A', null, null, 0.474, 0.4768],
  ['2-8 8-UN-2A', 1.9827, 1.9977, 1.9087, 1.9165],
  ['1/2-13 UNC-2A', 0.4876, 0.4985, 0.4435, 0.4485],
  ['1/2-13 UNC-3A', null, null, 0.4463, 0.45],
  ['1/2-13 UNC-1A', 0.4822, 0.4985, 0.4411, 0.4485],
  ['9/16-12 UNC-2A', 0.5495, 0.5609, 0.5016, 0.5068],
  ['9/16-12 UNC-3A', null, null, 0.5045, 0.5084],
  ['1 1/2-8 8-UN-2A', 1.4828, 1.4978, 1.4093, 1.4166],
  ['#12-24 UNC-2A', 0.2078, 0.215, 0.1845, 0.1879],
  ['1/4-20 UNC-2A', 0.2408, 0.2489, 0.2127, 0.2164],
  ['1/4-20 UNC-3A', null, null, 0.2147, 0.2175],
  ['1/4-20 UNC-1A', 0.2367, 0.2489, 0.2108, 0.2164],
  ['5/16-18 UNC-2A', 0.3026, 0.3113, 0.2712, 0.2752],
  ['5/16-18 UNC-3A', null, null, 0.2734, 0.2764],
  ['5/16-18 UNC-1A', 0.2982, 0.3113, 0.2691, 0.2752],
  ['#3-48 UNC-2A', 0.0938, 0.0983, 0.0825, 0.0848],
  ['#3-56 UNF-2A', 0.0942, 0.0983, 0.0845, 0.0867],
  ['1/4-28 UNF-2A', 0.2425, 0.249, 0.2225, 0.2258],
  ['1/4-28 UNF-3A', null, null, 0.2243, 0.2268],
  ['1/4-28 UNF-1A', 0.2392, 0.249, 0.2208, 0.2258],
  ['3/4-16 UNF-2A', 0.7391, 0.7485, 0.7029, 0.7079],
  ['3/4-16 UNF-3A', null, null, 0.7056, 0.7094],
  ['#8-36 UNF-2A', 0.1577, 0.1632, 0.1424, 0.1452],
  ['1 1/4-7 UNC-2A', 1.2314, 1.2478, 1.1476, 1.155],
  ['1 1/4-7 UNC-3A', null, null, 1.1517, 1.1572],
  ['1 1/8-7 UNC-2A', 1.1064, 1.1228, 1.0228, 1.03],
  ['1 1/8-7 UNC-3A', null, null, 1.0268, 1.0322],
];

const thread = (designation: string) => {
  const read = readExternalThread(designation);
  if (read?.ok !== true) throw new Error(`${designation} is not read as a thread`);
  return read.thread;
};

describe('ISO 965-1 external threads', () => {
  it.each(metric)('%s: major %d to %d, pitch diameter %d to %d', (designation, majorMin, majorMax, pitchMin, pitchMax) => {
    const { major, pitchDiameter } = thread(designation);
    expect(major).toEqual({ min: expect.closeTo(majorMin ?? NaN, 4), max: expect.closeTo(majorMax ?? NaN, 4) });
    expect(pitchDiameter).toEqual({ min: expect.closeTo(pitchMin, 4), max: expect.closeTo(pitchMax, 4) });
  });
});

describe('ASME B1.1 external threads', () => {
  it.each(unified)('%s: major %d to %d, pitch diameter %d to %d', (designation, majorMin, majorMax, pitchMin, pitchMax) => {
    const { major, pitchDiameter } = thread(designation);
    const inches = (limits: { readonly min: number; readonly max: number } | undefined) => limits && [limits.min / 25.4, limits.max / 25.4];
    if (majorMin !== null && majorMax !== null) expect(inches(major)).toEqual([expect.closeTo(majorMin, 6), expect.closeTo(majorMax, 6)]);
    expect(inches(pitchDiameter)).toEqual([expect.closeTo(pitchMin, 6), expect.closeTo(pitchMax, 6)]);
  });
});

describe('how a thread is written', () => {
  it.each([
    ['M12', 'M12x1.75-6g'],
    ['m12 x 1,5', 'M12x1.5-6g'],
    ['M12x1.5-6g LH', 'M12x1.5-6g LH'],
    ['M10x1-5h6h', 'M10x1-5h6h'],
    ['1/2-13', '1/2-13 UNC-2A'],
    ['1/2-20', '1/2-20 UNF-2A'],
    ['1/4-32', '1/4-32 UNEF-2A'],
    ['10-32', '10-32 UNF-2A'],
    ['#10-24 UNC-3A', '10-24 UNC-3A'],
    ['1-1/8-7', '1 1/8-7 UNC-2A'],
    ['.500-13', '1/2-13 UNC-2A'],
    ['5/8-20', '5/8-20 UNS-2A'],
    ['1-1/8-8', '1 1/8-8 UN-2A'],
    ['1 1/8-8 8-UN-2A', '1 1/8-8 UN-2A'],
  ])('%s is %s', (typed, written) => {
    expect(thread(typed).designation).toBe(written);
  });

  it.each(['M12.3', 'M12x7', '10-1', '1/4-2'])('asks about %s', (typed) => {
    expect(readExternalThread(typed)).toMatchObject({ ok: false });
  });

  it.each(['25', '25 h6', '25 -1', '.548 -.002', '1-1/2', ''])('takes %s for no thread', (typed) => {
    expect(readExternalThread(typed)).toBeUndefined();
  });

  it('says so when a pitch is in no list', () => {
    expect(thread('M12x1.1').remark).toBeDefined();
    // M12x1.1 by the formulas: EI and Td2 to R40
    expect(thread('M12x1.1').pitchDiameter).toEqual({ max: 11.259, min: 11.134 });
  });
});
