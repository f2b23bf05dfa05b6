import { threadUndercut } from './undercuts';

/* External threads, millimetres; DIN 76-1, from memory, medium confidence, from the same reference list as the table of the code: it guards against slips, it is no second source. */
const printed: readonly (readonly [pitch: number, runOut: number, under: number, width: number, overall: number])[] = [
  [0.25, 0.6, 0.4, 0.55, 0.9],
  [0.3, 0.75, 0.5, 0.6, 1.05],
  [0.35, 0.9, 0.6, 0.7, 1.2],
  [0.4, 1.0, 0.7, 0.8, 1.4],
  [0.6, 1.5, 1.0, 1.2, 2.1],
  [0.7, 1.75, 1.1, 1.5, 2.45],
  [0.75, 1.9, 1.2, 1.6, 2.6],
  [1.5, 3.8, 2.3, 3.2, 5.2],
  [1.75, 4.3, 2.6, 3.9, 6.1],
  [3, 7.5, 4.4, 6.7, 10.5],
  [4, 10.0, 5.7, 9.0, 14.0],
  [5, 12.5, 7.0, 11.5, 17.5],
  [6, 15.0, 8.3, 14.0, 21.0],
];

describe('DIN 76-1 run-outs and undercuts of external threads, form A', () => {
  it.each(printed)('pitch %d: run-out %d, %d under, %d to %d wide', (pitch, runOut, under, width, overall) => {
    expect(threadUndercut(pitch)).toMatchObject({ runOut, under, width, overall });
  });

  it('takes the next coarser row for a pitch between rows, and none beyond the table', () => {
    expect(threadUndercut(25.4 / 13)).toEqual(threadUndercut(2));
    expect(threadUndercut(6.5)).toBeUndefined();
  });
});
