/** Over and up to this diameter, mm, and how far under it a ring of the normal class may be on its mean, um. @source ISO 492, normal class, mean diameters; from memory. Not taper rollers: the bores of their inch series are plus. */
export const ringBores: readonly (readonly [over: number, to: number, under: number])[] = [
  [0, 18, 8],
  [18, 30, 10],
  [30, 50, 12],
  [50, 80, 15],
  [80, 120, 20],
];
export const ringOutsides: readonly (readonly [over: number, to: number, under: number])[] = [
  [0, 18, 8],
  [18, 30, 9],
  [30, 50, 11],
  [50, 80, 13],
  [80, 120, 15],
  [120, 150, 18],
  [150, 180, 25],
];
