import { centreNamed } from './centres';
import { nutUndercut, shoulderUndercut, threadUndercut } from './undercuts';

/* The rows of these checks come from the same recollection as the tables: they guard against slips, they are no second source. */

/* DIN 76-1 external: P, run-out x1 and x2, undercut diameter below nominal, form A g1 min and g2 max; from memory, medium confidence. */
/* prettier-ignore */
const external: readonly (readonly [P: number, x1: number, x2: number, dg: number, g1: number, g2: number])[] = [
  [0.25, 0.6, 0.3, 0.4, 0.55, 0.9],
  [0.3, 0.75, 0.4, 0.5, 0.6, 1.05],
  [0.35, 0.9, 0.45, 0.6, 0.7, 1.2],
  [0.4, 1, 0.5, 0.7, 0.8, 1.4],
  [0.6, 1.5, 0.75, 1, 1.2, 2.1],
  [0.7, 1.75, 0.9, 1.1, 1.5, 2.45],
  [0.75, 1.9, 1, 1.2, 1.6, 2.6],
  [1.5, 3.8, 1.9, 2.3, 3.2, 5.2],
  [1.75, 4.3, 2.2, 2.6, 3.9, 6.1],
  [3, 7.5, 3.8, 4.4, 6.7, 10.5],
  [4, 10, 5, 5.7, 9, 14],
  [5, 12.5, 6.3, 7, 11.5, 17.5],
  [6, 15, 7.5, 8.3, 14, 21],
];

/* DIN 76-1 internal: P, run-out e1, form C g1 min and g2 max; from memory, medium confidence. */
/* prettier-ignore */
const internal: readonly (readonly [P: number, e1: number, g1: number, g2: number])[] = [
  [0.5, 2.8, 2, 2.7],
  [0.6, 3.4, 2.4, 3.3],
  [0.75, 4, 3, 4],
  [1.25, 6.2, 5, 6.7],
  [1.5, 7.3, 6, 7.8],
  [2.5, 11.2, 10, 13],
];

describe('DIN 76-1', () => {
  it.each(external)('outside, pitch %d', (pitch, x1, x2, under, width, overall) => {
    expect(threadUndercut(pitch)).toMatchObject({ runOut: x1, under, width, overall });
    // form B is as long as the usual run-out: 23 of 23 rows of the standard
    expect(threadUndercut(pitch, 'B')).toMatchObject({ runOut: x2, under, overall: x1 });
  });

  it.each(internal)('inside, pitch %d', (pitch, runOut, width, overall) => {
    expect(nutUndercut(pitch)).toMatchObject({ runOut, width, overall });
    // four pitches: 14 of 14 rows of the standard
    expect(width).toBeCloseTo(4 * pitch, 9);
  });

  it('takes the next coarser row between two, and has none beyond the table', () => {
    expect(threadUndercut(1.6)).toEqual(threadUndercut(1.75));
    expect(threadUndercut(7)).toBeUndefined();
    expect(nutUndercut(5)).toBeUndefined();
  });
});

describe('DIN 509', () => {
  /* radius, depth, width, length and depth in the face; from memory, medium confidence */
  it.each([
    ['F 0.2 x 0.1', 1, 0.9, 0.1],
    ['F 0.4 x 0.2', 2, 1.1, 0.1],
    ['F 0.6 x 0.2', 2, 1.4, 0.1],
    ['F 0.6 x 0.3', 2.5, 2.1, 0.2],
    ['F 1 x 0.2', 2.5, 1.8, 0.1],
    ['F 1 x 0.4', 4, 3.2, 0.3],
    ['F 1.2 x 0.2', 2.5, 2, 0.1],
  ])('%s', (text, width, faceLength, faceDepth) => {
    expect(shoulderUndercut(text)).toMatchObject({ ok: true, width, faceLength, faceDepth });
    expect(shoulderUndercut(text.replace('F', 'E'))).toMatchObject({ ok: true, form: 'E', width, faceLength: null, faceDepth: null });
  });

  it('names what there is when asked for another', () => {
    expect(shoulderUndercut('F 0.7x0.3')).toMatchObject({ ok: false });
  });
});

describe('centre holes', () => {
  /* DIN 332-1: d1, form A mouth, form B guard; from memory, medium confidence */
  it.each([
    [2.5, 5.3, 8],
    [3.15, 6.7, 10],
    [4, 8.5, 12.5],
    [5, 10.6, 16],
    [10, 21.2, 28],
  ])('DIN 332, d1 %d', (d1, mouth, guard) => {
    expect(centreNamed(`A ${String(d1)}`)).toMatchObject({ ok: true, pilot: d1, mouth, guard: null });
    expect(centreNamed(`B${String(d1)}`)).toMatchObject({ ok: true, guard });
  });

  /* DIN 333: shank of the drill; from memory, high confidence */
  it.each([
    [1.25, 3.15],
    [3.15, 8],
    [5, 12.5],
    [10, 25],
  ])('DIN 333 A %d has a shank of %d', (d1, shank) => {
    expect(centreNamed(`A ${String(d1)}`)).toMatchObject({ shank });
  });

  /* ASME B94.11M plain: number, body, drill, inches; from memory, high confidence */
  it.each([
    [3, 0.25, 0.109375],
    [7, 0.625, 0.25],
    [8, 0.75, 0.3125],
  ])('#%d', (number, body, drill) => {
    const found = centreNamed(`#${String(number)}`);
    if (!found.ok) throw new Error('not found');
    expect((found.shank ?? 0) / 25.4).toBeCloseTo(body, 9);
    expect(found.pilot / 25.4).toBeCloseTo(drill, 9);
  });

  /* the same, bell type: number, drill; medium confidence */
  it.each([
    [12, 0.0625],
    [15, 0.15625],
    [18, 0.25],
  ])('#%d', (number, drill) => {
    const found = centreNamed(String(number));
    expect(found.ok && found.pilot / 25.4).toBeCloseTo(drill, 9);
  });

  it.each(['R 2.5', 'A 3', '#9', 'x'])('%s is not in this table, and it says so', (text) => {
    expect(centreNamed(text).ok).toBe(false);
  });
});
