import { letterDrills, numberDrills } from './drills.table';

/**
 * Diameter in inches of a drill named by number ('#7', 'No. 7') or letter ('letter F'). Numbers 1 to 80, letters A to Z.
 * @source number and letter drill table, from memory
 */
export function drillNamed(text: string): number | undefined {
  const number = /^(?:#|no\.?\s*)(\d{1,2})$/i.exec(text.trim());
  if (number?.[1] !== undefined) return numberDrills[String(Number(number[1]))];
  const letter = /^letter\s+([a-z])$/i.exec(text.trim());
  return letter?.[1] === undefined ? undefined : letterDrills[letter[1].toUpperCase()];
}
