/* What a gauge with a data key sends at a press, and what may go wrong on its line. The server's simulated gauges and those of Practice send by this. */

/** What may be made to go wrong. */
export const faults = ['none', 'noise', 'dropped', 'unit', 'silence', 'flood'] as const;
export type Fault = (typeof faults)[number];

/** So many readings a flood sends at one press. */
const FLOOD = 400;

/**
 * The lines that one press of a data key sends, faults and all.
 * @param axes '' for a gauge, letters for a readout
 * @param shows mm, by axis
 * @example linesOf({ axes: [''], shows: { '': 25.306 }, fault: 'none' })[0] // '25.306 mm'
 */
export function linesOf({
  axes,
  shows,
  fault,
}: {
  readonly axes: readonly string[];
  readonly shows: Readonly<Record<string, number>>;
  readonly fault: Fault;
}): readonly string[] {
  const line = (axis: string, mm: number) =>
    `${axis === '' ? '' : `${axis} `}${fault === 'unit' ? `${(mm / 25.4).toFixed(5)} in` : `${mm.toFixed(3)} mm`}`;
  const whole = axes.map((axis) => line(axis, shows[axis] ?? 0));
  switch (fault) {
    case 'silence':
      return [];
    case 'noise':
      return ['\u0000\u007f#~', `%%${whole[0] ?? ''}`, '12..5 mm', ...whole];
    case 'dropped':
      // a byte is lost on the way: the point
      return whole.map((w) => w.replace('.', ''));
    case 'flood':
      return Array.from({ length: FLOOD }, () => whole).flat();
    default:
      return whole;
  }
}
