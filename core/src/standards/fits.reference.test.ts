import { fit, sizeLimits } from './fits';

type Pair = number | null;
/* Thousandths of an inch as printed in ANSI B4.1-1967; from memory, medium confidence, from the same reference list as the table of the code: it guards against slips, it is no second source. */
const printed: readonly (readonly [
  name: string,
  over: number,
  to: number,
  holeMin: Pair,
  holeMax: Pair,
  shaftMin: Pair,
  shaftMax: Pair,
  clearMin: Pair,
  clearMax: Pair,
  tightMin: Pair,
  tightMax: Pair,
])[] = [
  ['RC4', 0.4, 0.71, 0, 1, -1.3, -0.6, 0.6, 2.3, null, null],
  ['LT6', 0.24, 0.4, 0, 0.6, 0.4, 1, null, null, null, null],
  ['LC4', 0.4, 0.71, 0, 2.8, -1.6, 0, 0, 4.4, null, null],
  ['LC2', 0, 0.12, 0, 0.4, -0.25, 0, 0, 0.65, null, null],
  ['RC4', 1.97, 3.15, 0, 1.8, -2.4, -1.2, 1.2, 4.2, null, null],
  ['FN4', 0.24, 0.4, 0, 0.6, 1.2, 1.6, null, null, 0.6, 1.6],
  ['LC1', 1.97, 3.15, 0, 0.7, -0.5, 0, 0, 1.2, null, null],
  ['FN5', 0, 0.12, 0, 0.6, 0.9, 1.3, null, null, 0.3, 1.3],
  ['LC9', 0.71, 1.19, 0, 5, -8, -4.5, 4.5, 13, null, null],
  ['LN2', 1.19, 1.97, 0, 1, 1, 1.6, null, null, null, null],
  ['LN3', 0.71, 1.19, 0, 0.8, 1.2, 1.7, null, null, null, null],
  ['LC9', 1.97, 3.15, 0, 7, -10.5, -6, 6, 17.5, null, null],
  ['LC4', 3.15, 4.73, 0, 5, -3.5, 0, 0, 8.5, null, null],
  ['LT5', 1.97, 3.15, 0, 1.2, 0.8, 1.5, null, null, null, null],
  ['LT6', 0, 0.12, 0, 0.4, 0.25, 0.65, null, null, null, null],
  ['LT3', 0.4, 0.71, 0, 0.7, 0.1, 0.5, null, null, null, null],
  ['LC11', 0.71, 1.19, 0, 12, -22, -10, 10, 34, null, null],
  ['LT5', 0, 0.12, 0, 0.4, 0.25, 0.5, null, null, null, null],
  ['RC9', 0.4, 0.71, 0, 4, -8.8, -6, 6, 12.8, null, null],
  ['RC1', 3.15, 4.73, 0, 0.6, -0.9, -0.5, 0.5, 1.5, null, null],
  ['LC7', 0, 0.12, 0, 1.6, -1.6, -0.6, 0.6, 3.2, null, null],
  ['RC1', 0, 0.12, 0, 0.2, -0.25, -0.1, 0.1, 0.45, null, null],
  ['LC1', 0.4, 0.71, 0, 0.4, -0.3, 0, 0, 0.7, null, null],
  ['RC3', 1.19, 1.97, 0, 1, -1.6, -1, 1, 2.6, null, null],
  ['LC4', 1.97, 3.15, 0, 4.5, -3, 0, 0, 7.5, null, null],
  ['LC10', 0.24, 0.4, 0, 6, -11, -5, 5, 17, null, null],
  ['FN1', 1.97, 2.56, 0, 0.7, 1.3, 1.8, null, null, 0.6, 1.8],
  ['RC9', 0.71, 1.19, 0, 5, -10.5, -7, 7, 15.5, null, null],
  ['LC10', 1.19, 1.97, 0, 10, -18, -8, 8, 28, null, null],
  ['LC10', 1.97, 3.15, 0, 12, -22, -10, 10, 34, null, null],
  ['RC6', 0.24, 0.4, 0, 1.4, -1.9, -1, 1, 3.3, null, null],
  ['FN2', 0.4, 0.56, 0, 0.7, 1.2, 1.6, null, null, 0.5, 1.6],
  ['LT3', 0.71, 1.19, 0, 0.8, 0.1, 0.6, null, null, null, null],
  ['FN5', 0.71, 0.95, 0, 1.2, 2.2, 3, null, null, 1, 3],
  ['LC1', 0.71, 1.19, 0, 0.5, -0.4, 0, 0, 0.9, null, null],
  ['FN2', 1.19, 1.58, 0, 1, 1.8, 2.4, null, null, 0.8, 2.4],
  ['LT4', 0.71, 1.19, 0, 1.2, 0.1, 0.9, null, null, null, null],
  ['FN1', 3.15, 3.94, 0, 0.9, 1.8, 2.4, null, null, 0.9, 2.4],
  ['LN2', 0, 0.12, 0, 0.4, 0.4, 0.65, null, null, null, null],
  ['LN3', 1.19, 1.97, 0, 1, 1.4, 2, null, null, null, null],
  ['FN2', 3.15, 3.94, 0, 1.4, 2.8, 3.7, null, null, 1.4, 3.7],
  ['FN3', 1.97, 2.56, 0, 1.2, 2.5, 3.2, null, null, 1.3, 3.2],
  ['LC10', 0.4, 0.71, 0, 7, -13, -6, 6, 20, null, null],
  ['LC1', 0, 0.12, 0, 0.25, -0.2, 0, 0, 0.45, null, null],
  ['LC9', 0.4, 0.71, 0, 4, -6.3, -3.5, 3.5, 10.3, null, null],
  ['FN3', 1.58, 1.97, 0, 1, 2.2, 2.8, null, null, 1.2, 2.8],
  ['LC7', 0.71, 1.19, 0, 3.5, -3.6, -1.6, 1.6, 7.1, null, null],
  ['LC2', 1.97, 3.15, 0, 1.2, -0.7, 0, 0, 1.9, null, null],
  ['LT5', 0.24, 0.4, 0, 0.6, 0.4, 0.8, null, null, null, null],
  ['FN5', 1.19, 1.58, 0, 1.6, 3, 4, null, null, 1.4, 4],
  ['LC10', 0.12, 0.24, 0, 5, -9.5, -4.5, 4.5, 14.5, null, null],
  ['RC4', 0.24, 0.4, 0, 0.9, -1.1, -0.5, 0.5, 2, null, null],
  ['FN2', 3.94, 4.73, 0, 1.4, 3, 3.9, null, null, 1.6, 3.9],
  ['RC8', 0.4, 0.71, 0, 2.8, -5.1, -3.5, 3.5, 7.9, null, null],
  ['LC5', 1.97, 3.15, 0, 1.2, -1.1, -0.4, 0.4, 2.3, null, null],
  ['LN3', 0.24, 0.4, 0, 0.6, 0.8, 1.2, null, null, null, null],
  ['FN2', 0.24, 0.4, 0, 0.6, 1, 1.4, null, null, 0.4, 1.4],
  ['LC5', 0, 0.12, 0, 0.4, -0.35, -0.1, 0.1, 0.75, null, null],
  ['LC3', 1.97, 3.15, 0, 1.8, -1.2, 0, 0, 3, null, null],
  ['LC1', 0.12, 0.24, 0, 0.3, -0.2, 0, 0, 0.5, null, null],
  ['LC1', 0.24, 0.4, 0, 0.4, -0.25, 0, 0, 0.65, null, null],
  ['FN1', 1.19, 1.58, 0, 0.6, 0.9, 1.3, null, null, 0.3, 1.3],
  ['LC4', 0.24, 0.4, 0, 2.2, -1.4, 0, 0, 3.6, null, null],
  ['LT6', 0.71, 1.19, 0, 0.8, 0.6, 1.4, null, null, null, null],
  ['RC3', 0, 0.12, 0, 0.4, -0.55, -0.3, 0.3, 0.95, null, null],
  ['LN2', 0.4, 0.71, 0, 0.7, 0.7, 1.1, null, null, null, null],
  ['LT6', 1.19, 1.97, 0, 1, 0.7, 1.7, null, null, null, null],
  ['FN1', 0.56, 0.71, 0, 0.4, 0.6, 0.9, null, null, 0.2, 0.9],
  ['FN2', 4.73, 5.52, 0, 1.6, 3.5, 4.5, null, null, 1.9, 4.5],
  ['FN4', 1.97, 2.56, 0, 1.2, 3.5, 4.2, null, null, 2.3, 4.2],
  ['LN3', 0.4, 0.71, 0, 0.7, 1, 1.4, null, null, null, null],
  ['FN3', 4.73, 5.52, 0, 1.6, 5, 6, null, null, 3.4, 6],
  ['RC9', 1.19, 1.97, 0, 6, -12, -8, 8, 18, null, null],
  ['LC11', 1.97, 3.15, 0, 18, -32, -14, 14, 50, null, null],
  ['RC1', 1.19, 1.97, 0, 0.4, -0.7, -0.4, 0.4, 1.1, null, null],
  ['LT3', 1.97, 3.15, 0, 1.2, 0.1, 0.8, null, null, null, null],
  ['RC5', 0.71, 1.19, 0, 1.2, -2.4, -1.6, 1.6, 3.6, null, null],
  ['LN3', 0, 0.12, 0, 0.4, 0.5, 0.75, null, null, null, null],
  ['RC5', 0.24, 0.4, 0, 0.9, -1.6, -1, 1, 2.5, null, null],
  ['FN3', 0.95, 1.19, 0, 0.8, 1.6, 2.1, null, null, 0.8, 2.1],
  ['RC8', 0, 0.12, 0, 1.6, -3.5, -2.5, 2.5, 5.1, null, null],
  ['FN4', 0.71, 0.95, 0, 0.8, 1.6, 2.1, null, null, 0.8, 2.1],
  ['LC2', 3.15, 4.73, 0, 1.4, -0.9, 0, 0, 2.3, null, null],
  ['FN4', 1.58, 1.97, 0, 1, 2.8, 3.4, null, null, 1.8, 3.4],
  ['FN2', 1.58, 1.97, 0, 1, 1.8, 2.4, null, null, 0.8, 2.4],
  ['RC2', 0.4, 0.71, 0, 0.4, -0.55, -0.25, 0.25, 0.95, null, null],
  ['LC9', 3.15, 4.73, 0, 9, -12, -7, 7, 21, null, null],
  ['LC3', 0.12, 0.24, 0, 0.7, -0.5, 0, 0, 1.2, null, null],
  ['RC6', 0.71, 1.19, 0, 2, -2.8, -1.6, 1.6, 4.8, null, null],
  ['LT6', 1.97, 3.15, 0, 1.2, 0.8, 2, null, null, null, null],
  ['RC9', 0, 0.12, 0, 2.5, -5.6, -4, 4, 8.1, null, null],
  ['FN4', 3.15, 3.94, 0, 1.4, 5, 5.9, null, null, 3.6, 5.9],
  ['LC2', 0.12, 0.24, 0, 0.5, -0.3, 0, 0, 0.8, null, null],
  ['LC5', 0.24, 0.4, 0, 0.6, -0.6, -0.2, 0.2, 1.2, null, null],
  ['LC10', 3.15, 4.73, 0, 14, -25, -11, 11, 39, null, null],
  ['FN5', 0.24, 0.4, 0, 0.9, 1.4, 2, null, null, 0.5, 2],
  ['LC5', 3.15, 4.73, 0, 1.4, -1.4, -0.5, 0.5, 2.8, null, null],
  ['LC3', 1.19, 1.97, 0, 1.6, -1, 0, 0, 2.6, null, null],
  ['RC6', 3.15, 4.73, 0, 3.5, -5.2, -3, 3, 8.7, null, null],
  ['RC4', 3.15, 4.73, 0, 2.2, -2.8, -1.4, 1.4, 5, null, null],
  ['FN2', 0.95, 1.19, 0, 0.8, 1.4, 1.9, null, null, 0.6, 1.9],
  ['LC1', 1.19, 1.97, 0, 0.6, -0.4, 0, 0, 1, null, null],
  ['FN5', 0.95, 1.19, 0, 1.2, 2.5, 3.3, null, null, 1.3, 3.3],
  ['LC11', 3.15, 4.73, 0, 22, -38, -16, 16, 60, null, null],
  ['FN4', 1.19, 1.58, 0, 1, 2.5, 3.1, null, null, 1.5, 3.1],
  ['LC3', 0.71, 1.19, 0, 1.2, -0.8, 0, 0, 2, null, null],
  ['RC2', 1.97, 3.15, 0, 0.7, -0.9, -0.4, 0.4, 1.6, null, null],
  ['RC9', 0.12, 0.24, 0, 3, -6, -4.5, 4.5, 9, null, null],
  ['LC11', 0, 0.12, 0, 6, -11, -5, 5, 17, null, null],
  ['FN1', 2.56, 3.15, 0, 0.7, 1.4, 1.9, null, null, 0.7, 1.9],
  ['LC9', 0.24, 0.4, 0, 3.5, -5.2, -3, 3, 8.7, null, null],
  ['RC5', 0, 0.12, 0, 0.6, -1, -0.6, 0.6, 1.6, null, null],
  ['LC11', 0.24, 0.4, 0, 9, -16, -7, 7, 25, null, null],
  ['LT6', 0.4, 0.71, 0, 0.7, 0.5, 1.2, null, null, null, null],
  ['FN5', 0.56, 0.71, 0, 1, 1.8, 2.5, null, null, 0.8, 2.5],
  ['FN1', 1.58, 1.97, 0, 0.6, 1, 1.4, null, null, 0.4, 1.4],
  ['FN1', 0.24, 0.4, 0, 0.4, 0.5, 0.75, null, null, 0.1, 0.75],
  ['LC7', 0.4, 0.71, 0, 2.8, -2.8, -1.2, 1.2, 5.6, null, null],
  ['RC4', 0.71, 1.19, 0, 1.2, -1.6, -0.8, 0.8, 2.8, null, null],
  ['LC3', 0, 0.12, 0, 0.6, -0.4, 0, 0, 1, null, null],
  ['FN4', 4.73, 5.52, 0, 1.6, 7, 8, null, null, 5.4, 8],
  ['RC1', 0.24, 0.4, 0, 0.25, -0.35, -0.2, 0.2, 0.6, null, null],
  ['LN3', 1.97, 3.15, 0, 1.2, 1.6, 2.3, null, null, null, null],
  ['LC7', 3.15, 4.73, 0, 5, -6.5, -3, 3, 11.5, null, null],
  ['RC7', 1.19, 1.97, 0, 2.5, -4.6, -3, 3, 7.1, null, null],
  ['LC11', 0.12, 0.24, 0, 7, -13, -6, 6, 20, null, null],
];

const thousandths = (mm: number, from = 0) => ((mm - from) / 25.4) * 1000;

describe('ANSI B4.1 fits', () => {
  it.each(printed.map((row) => [`${row[0]} over ${String(row[1])} to ${String(row[2])} in`, row] as const))('%s', (_, row) => {
    const [name, over, to, holeMin, holeMax, shaftMin, shaftMax, clearMin, clearMax, tightMin, tightMax] = row;
    for (const size of [to, over + 0.01 * (to - over)]) {
      const found = fit(`${String(size)} ${name}`);
      if (!found.ok) throw new Error(name);
      const { hole, shaft, clearance } = found;
      const near = (mm: number, from: number, value: Pair) => {
        if (value !== null) expect(thousandths(mm, from)).toBeCloseTo(value, 4);
      };
      near(hole.min, hole.nominal, holeMin);
      near(hole.max, hole.nominal, holeMax);
      near(shaft.min, shaft.nominal, shaftMin);
      near(shaft.max, shaft.nominal, shaftMax);
      near(clearance.min, 0, clearMin);
      near(clearance.max, 0, clearMax);
      near(-clearance.max, 0, tightMin);
      near(-clearance.min, 0, tightMax);
    }
  });
});

describe('limits of size and ISO fits', () => {
  it.each([
    // ISO 286-2, from memory
    ['25 h6', 25, 25, 24.987],
    ['50 H7', 50, 50.025, 50],
    ['10 js6', 10, 10.0045, 9.9955],
    ['1.000 +.000 -.002 in', 25.4, 25.4, 25.3492],
    ['25 +/-0.05', 25, 25.05, 24.95],
    ['40 P7', 40, 39.983, 39.958],
    ['3/4 -.001', 19.05, 19.05, 19.0246],
  ])('%s: nominal %d, max %d, min %d', (text, nominal, max, min) => {
    expect(sizeLimits(text)).toEqual({ ok: true, nominal: expect.closeTo(nominal, 6), max: expect.closeTo(max, 6), min: expect.closeTo(min, 6) });
  });

  it.each([
    // ISO 286 worked pairs, from memory: clearance in micrometres
    ['25 H7/g6', 41, 7, 'clearance'],
    ['25 H7 h6', 34, 0, 'clearance'],
    ['25 H7/k6', 19, -15, 'transition'],
    ['25 H7/p6', -1, -35, 'interference'],
    ['50 H7/s6', -18, -59, 'interference'],
    ['100 H8/f7', 125, 36, 'clearance'],
  ] as const)('%s: %d to %d um, %s', (text, max, min, kind) => {
    const found = fit(text);
    expect(found).toMatchObject({ ok: true, kind, clearance: { max: expect.closeTo(max / 1000, 6), min: expect.closeTo(min / 1000, 6) } });
  });

  it.each(['', 'h6', '25', '25 q6', '600 h6', '25 js7', '0 h6', '25 +/-', '1 -2', '25 mm'])(
    'sizeLimits says what it did not understand of “%s”',
    (text) => {
      const read = sizeLimits(text);
      expect(read.ok ? [] : read.says.length).toBeGreaterThan(0);
    },
  );

  it.each(['', '25', '25 g6/H7', '25 H7/q6', '9.000 RC4', 'x RC4', '1.000 RC99', '1.000 LT1'])(
    'fit says what it did not understand of “%s”',
    (text) => {
      const read = fit(text);
      expect(read.ok ? [] : read.says.length).toBeGreaterThan(0);
    },
  );

  it('orders its limits at every size and class of the tables', () => {
    for (const nominal of [0.9, 2, 3, 5, 10, 13, 18, 25, 30, 47, 65, 100, 140, 250, 399, 500])
      for (const letter of 'd e f g h k m n p r s u x z D E F G H K M N P R S U X Z'.split(' '))
        for (let grade = 3; grade <= 18; grade++) {
          const read = sizeLimits(`${String(nominal)} ${letter}${String(grade)}`);
          if (read.ok) expect(read.max).toBeGreaterThan(read.min);
        }
  });
});
