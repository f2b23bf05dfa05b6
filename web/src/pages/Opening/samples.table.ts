import type { Units } from '@obra/core/quantity';

/** A line to begin with, and how it is drawn small: its ring z, r, z, r ... in mm, its length and widest radius. That they are those of the line is tested. */
export interface SampleLine {
  readonly rows: readonly (readonly [size: string, length: string])[];
  readonly units: Units;
  readonly says: string;
  readonly outline: readonly (readonly number[])[];
  readonly long: number;
  readonly radius: number;
}

export const samples: readonly SampleLine[] = [
  {
    rows: [
      ['M12', '18'],
      ['19 h7', '25'],
      ['25', '38'],
    ],
    units: 'mm',
    says: 'stepped bolt',
    outline: [[-81, 0, 0, 0, 0, 4.8, -1.2, 6, -18, 6, -18, 9.5, -43, 9.5, -43, 12.5, -81, 12.5]],
    long: 81,
    radius: 12.5,
  },
  {
    rows: [
      ['1/2-13', '3/4'],
      ['3/4 -.001', '1'],
      ['1', '1-1/2'],
    ],
    units: 'in',
    says: 'stud, in inches',
    outline: [[-82.55, 0, 0, 0, 0, 5.05, -1.3, 6.35, -19.05, 6.35, -19.05, 9.53, -44.45, 9.53, -44.45, 12.7, -82.55, 12.7]],
    long: 82.55,
    radius: 12.7,
  },
  {
    rows: [
      ['16 g6', '30'],
      ['32', '12'],
      ['20 +/-0.05', '15'],
    ],
    units: 'mm',
    says: 'dowel with a collar',
    outline: [[-57, 0, 0, 0, 0, 8, -30, 8, -30, 16, -42, 16, -42, 10, -57, 10]],
    long: 57,
    radius: 16,
  },
];
