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
/** Chamfers and external radii. */
const edges: typeof linear = [
  [3, 0.2, 0.2, 0.4, 0.4],
  [6, 0.5, 0.5, 1, 1],
  [4000, 1, 1, 2, 2],
];
/** Angles, by the length of the shorter leg; minutes of arc. */
const angles: typeof linear = [
  [10, 60, 60, 90, 180],
  [50, 30, 30, 60, 120],
  [120, 20, 20, 30, 60],
  [400, 10, 10, 15, 30],
  [Infinity, 5, 5, 10, 20],
];

const find = (table: typeof linear, size: number, letter: string): number | undefined => {
  const column = ['f', 'm', 'c', 'v'].indexOf(letter);
  return column < 0 ? undefined : (table.find(([limit]) => size <= limit)?.[column + 1] ?? undefined);
};

/**
 * Permissible deviation (plus and minus, mm) of a linear size that has no tolerance of its own; nominal 0.5 to 4000 mm.
 * Undefined below 0.5 mm, where the standard wants the deviation written at the size.
 * @source ISO 2768-1:1989 table 1, from memory
 * @example generalTolerance(25, 'm') // 0.2
 */
export const generalTolerance = (nominal: number, letter: string): number | undefined => (nominal < 0.5 ? undefined : find(linear, nominal, letter));

/**
 * The same of a chamfer or an outside radius, mm. @source ISO 2768-1:1989 table 2, from memory
 * @example generalEdgeTolerance(2, 'm') // 0.2
 */
export const generalEdgeTolerance = (size: number, letter: string): number | undefined => (size < 0.5 ? undefined : find(edges, size, letter));

/** The same of an angle whose shorter leg has this length (mm), in degrees. @source ISO 2768-1:1989 table 3, from memory */
export const generalAngleTolerance = (leg: number, letter: string): number | undefined => {
  const minutes = leg > 0 ? find(angles, leg, letter) : undefined;
  return minutes === undefined ? undefined : minutes / 60;
};
