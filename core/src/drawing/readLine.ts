import type { Drawing } from '../document';
import { type Parsed, say, type Units } from '../quantity';
import { typedLine } from './typedLine';

/**
 * Reads a part typed on one line from its free end A; what is not understood comes back in words, by its place in the line.
 * @param units what a bare number means
 * @example readLine('M12 x 18; 19 h7 x 25; 25 x 38', 'mm')
 */
export function readLine(text: string, units: Units): Parsed<Drawing> {
  const { words, drawing } = typedLine(text, units);
  const problems = words.flatMap((w, i) => (w.wrong ? [{ at: `row ${String(i + 1)}`, says: w.says }] : []));
  if (drawing.outside.length === 0 && problems.length === 0) problems.push({ at: '', says: say`type the part from its free end (A), size x length` });
  return problems.length > 0 ? { ok: false, problems } : { ok: true, value: drawing };
}

/** The units a typed line speaks in when it says so itself: fractions, inch marks and unified threads, or M threads, ISO classes and mm. */
export function unitsOfLine(text: string): Units | undefined {
  const inch = /\d\/\d|"|”|\d\s*in\b|(?:^|[\s;])#?\d+-\d{1,2}(?:\s|$)|(?:^|[\s;x+-])\.\d/i.test(text);
  const metric = /(?:^|[;\s])M\s?\d|\bmm\b|\d\s*(?:[a-hjkmnprs]|js)\d{1,2}(?:\s|;|$)/i.test(text);
  return inch === metric ? undefined : inch ? 'in' : 'mm';
}
