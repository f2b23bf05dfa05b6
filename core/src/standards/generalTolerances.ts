/** Upper limit of each range, then the deviation of classes f, m, c, v in mm; null where the standard gives none. */
const linear: readonly (readonly [number, number | null, number | null, number | null, number | null])[] = [
  [3, 0.05, 0.1, 0.2, null],
  [6, 0.05, 0.1, 0.3, 0.5],
  [30, 0.1, 0.2, 0.5, 1],
  [120, 0.15, 0.3, 0.8, 1.5],
  [400, 0.2, 0.5, 1.2, 2.5],
  [1000, 0.3, 0.8, 2, 4],
  [2000, 0.5, 1.2, 3, 6],
  [4000, null, 2, 4, 8],
];

/**
 * Permissible deviation (plus and minus, mm) of a linear size that has no tolerance of its own; nominal 0.5 to 4000 mm.
 * Undefined below 0.5 mm, where the standard wants the deviation written at the size.
 * @source ISO 2768-1:1989 table 1, from memory
 */
export function generalTolerance(nominal: number, letter: string): number | undefined {
  const column = ['f', 'm', 'c', 'v'].indexOf(letter);
  if (column < 0 || nominal < 0.5) return undefined;
  return linear.find(([limit]) => nominal <= limit)?.[column + 1] ?? undefined;
}
