import type { Machine } from '../document';
import { exceeds, type Figure, PLACE } from '../quantity';
import { mmOf } from '../shop';

/**
 * A move of a dial in its own words: '8 divisions on radius', '7½', '7.2'; a readout is set to its digits. @source settable, common practice
 * @example dialSaid({ ...figure('length', 'toSize', { size: 0.16 }), of: { settable: 0.01 } }, midShop().machines[0], 'cross') // '8 divisions on radius'
 */
export function dialSaid(move: Figure, machine: Machine | undefined, axis: keyof Machine['dials']): string {
  const dial = machine?.dials[axis];
  const settable = move.of['settable'];
  if (typeof settable !== 'number') return '';
  const on = axis === 'cross' ? `on ${dial?.reads === 'diameter' ? 'diameter' : 'radius'}` : `of the ${axis}`;
  if (dial?.readout) return `on the readout, ${on}`;
  const count = Math.abs(move.value) / mmOf(dial?.division, 2 * settable);
  const whole = Math.floor(count + PLACE);
  const rest = Math.round((count - whole) * 10) / 10;
  const text = rest === 0.5 ? `${whole === 0 ? '' : String(whole)}½` : String(whole + rest);
  return `${text} division${exceeds(count, 1, PLACE) ? 's' : ''} ${on}`;
}
