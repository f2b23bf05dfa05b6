/** R, Rc: size and gauge length, mm; diameters and pitches are those of G. @source ISO 7-1, from memory */
export const gaugeLengths: readonly (readonly [string, number])[] = [
  ['1/16', 4],
  ['1/8', 4],
  ['1/4', 6],
  ['3/8', 6.4],
  ['1/2', 8.2],
  ['3/4', 9.5],
  ['1', 10.4],
  ['1 1/4', 12.7],
  ['1 1/2', 12.7],
  ['2', 15.9],
];

/** NPT: size, threads to the inch, outside diameter of the pipe and hand-tight engagement L1, inches. @source ASME B1.20.1, from memory */
export const nptSizes: readonly (readonly [string, number, number, number])[] = [
  ['1/16', 27, 0.3125, 0.16],
  ['1/8', 27, 0.405, 0.1615],
  ['1/4', 18, 0.54, 0.2278],
  ['3/8', 18, 0.675, 0.24],
  ['1/2', 14, 0.84, 0.32],
  ['3/4', 14, 1.05, 0.339],
  ['1', 11.5, 1.315, 0.4],
  ['1 1/4', 11.5, 1.66, 0.42],
  ['1 1/2', 11.5, 1.9, 0.42],
  ['2', 11.5, 2.375, 0.436],
];
