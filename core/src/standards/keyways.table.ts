/* Parallel keys and keyways, millimetres: DIN 6885-1 (ISO R773), from memory. */
/** Shaft over, up to and including; key width (P9 tight, N9 close), height, depth in the shaft, depth in the hub. */
/* prettier-ignore */
export const keyways: readonly (readonly [over: number, to: number, width: number, height: number, shaft: number, hub: number])[] = [
  [6, 8, 2, 2, 1.2, 1],
  [8, 10, 3, 3, 1.8, 1.4],
  [10, 12, 4, 4, 2.5, 1.8],
  [12, 17, 5, 5, 3, 2.3],
  [17, 22, 6, 6, 3.5, 2.8],
  [22, 30, 8, 7, 4, 3.3],
  [30, 38, 10, 8, 5, 3.3],
  [38, 44, 12, 8, 5, 3.3],
  [44, 50, 14, 9, 5.5, 3.8],
  [50, 58, 16, 10, 6, 4.3],
  [58, 65, 18, 11, 7, 4.4],
  [65, 75, 20, 12, 7.5, 4.9],
  [75, 85, 22, 14, 9, 5.4],
  [85, 95, 25, 14, 9, 5.4],
  [95, 110, 28, 16, 10, 6.4],
];
