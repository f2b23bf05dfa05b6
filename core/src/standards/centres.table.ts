/* Centre holes and centre drills; DIN 332-1 and DIN 333 in mm, ASME B94.11M in inches; from memory. Form R is not in this table. */
/** d1, countersink diameter d2, least depth t, shank (DIN 333). Medium confidence. */
export const centresFormA: readonly (readonly [number, number, number, number])[] = [
  [1, 2.12, 1.9, 3.15],
  [1.25, 2.65, 2.3, 3.15],
  [1.6, 3.35, 2.9, 4],
  [2, 4.25, 3.7, 5],
  [2.5, 5.3, 4.6, 6.3],
  [3.15, 6.7, 5.9, 8],
  [4, 8.5, 7.4, 10],
  [5, 10.6, 9.2, 12.5],
  [6.3, 13.2, 11.5, 16],
  [8, 17, 14.8, 20],
  [10, 21.2, 18.4, 25],
];
/** d1, protecting countersink d3 (120 degrees), least depth t. Medium confidence. */
export const centresFormB: readonly (readonly [number, number, number])[] = [
  [1, 3.15, 2.2],
  [1.25, 4, 2.7],
  [1.6, 5, 3.4],
  [2, 6.3, 4.3],
  [2.5, 8, 5.4],
  [3.15, 10, 6.8],
  [4, 12.5, 8.6],
  [5, 16, 10.8],
  [6.3, 18, 12.9],
  [8, 22.4, 16.4],
  [10, 28, 20.4],
];
/** Number, body, drill; plain. High confidence. */
export const centresPlain: readonly (readonly [number, number, number])[] = [
  [1, 0.125, 0.046875],
  [2, 0.1875, 0.078125],
  [3, 0.25, 0.109375],
  [4, 0.3125, 0.125],
  [5, 0.4375, 0.1875],
  [6, 0.5, 0.21875],
  [7, 0.625, 0.25],
  [8, 0.75, 0.3125],
];
/** Number, body, drill, bell. Medium confidence. */
export const centresBell: readonly (readonly [number, number, number, number])[] = [
  [11, 0.125, 0.046875, 0.1],
  [12, 0.1875, 0.0625, 0.15],
  [13, 0.25, 0.09375, 0.2],
  [14, 0.3125, 0.109375, 0.25],
  [15, 0.4375, 0.15625, 0.35],
  [16, 0.5, 0.1875, 0.4],
  [17, 0.625, 0.21875, 0.5],
  [18, 0.75, 0.25, 0.6],
];
