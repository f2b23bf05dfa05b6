/* DIN 332-1 form A centre drills, millimetres; from memory, medium confidence. */
/** d1, countersink diameter d2, least depth t, shank (DIN 333). */
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
