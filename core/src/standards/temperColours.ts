import { temperColours } from './temperColours.table';

export interface TemperColour {
  readonly name: string;
  readonly celsius: number;
}

/** How far the colour may be off in temperature, degrees C. */
export const COLOUR_WITHIN = 10;

/**
 * The temper colour that a text names, the longest name that is in it: 'dark straw, in sand'.
 * @example temperColour('temper to dark straw')?.celsius // 243
 */
export function temperColour(text: string): TemperColour | undefined {
  const words = ` ${text.toLowerCase().replace(/[^a-z]+/g, ' ')} `;
  const [found] = temperColours.filter(([name]) => words.includes(` ${name} `)).toSorted((a, b) => b[0].length - a[0].length);
  return found && { name: found[0], celsius: found[1] };
}
