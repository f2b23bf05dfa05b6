import { blankDrawing, type Drawing, type Section } from '../document';
import { type Parsed, say, type Sentence, type Units } from '../quantity';
import { parseLengthCell, parseSize } from './parseSize';

/**
 * Reads a part typed on one line from its free end A: rows split at ';', each at its last 'x' with a space on both sides.
 * @param units what a bare number means
 * @example readLine('M12 x 18; 19 h7 x 25; 25 x 38', 'mm')
 */
export function readLine(text: string, units: Units): Parsed<Drawing> {
  const problems: { at: string; says: Sentence }[] = [];
  const outside: Section[] = [];
  const rows = text.split(';').map((row) => row.trim());
  rows.forEach((row, i) => {
    if (row === '' && i === rows.length - 1 && i > 0) return;
    const at = `row ${String(i + 1)}`;
    const split = /^(.*\S)\s+[xX×]\s+(\S.*)$/.exec(row);
    if (!split) {
      problems.push({
        at,
        says:
          row === ''
            ? say`row ${i + 1} is empty; write size x length`
            : /\S[xX×]\S/.test(row)
              ? asksAbout(row)
              : say`“${row}” has no length yet; write ${row} x length`,
      });
      return;
    }
    const [, size = '', length = ''] = split;
    const understood = parseSize(size, units);
    if (understood.kind === 'unknown') problems.push({ at, says: understood.says });
    const long = parseLengthCell(length, units);
    if (!long.ok) problems.push({ at, says: long.problems[0]?.says ?? say`the length is missing` });
    outside.push({ id: `s${String(i + 1)}`, size: { text: size, units }, length: { text: length, units } });
  });
  if (outside.length === 0 && problems.length === 0) problems.push({ at: '', says: say`type the part from its free end (A), size x length` });
  return problems.length > 0 ? { ok: false, problems } : { ok: true, value: { ...blankDrawing(), outside } };
}

function asksAbout(row: string): Sentence {
  const at = row.search(/[xX×][^xX×]*$/);
  const [size, length] = [row.slice(0, at).trim(), row.slice(at + 1).trim()];
  return say`“${row}”: a thread of pitch ${length}, or size ${size}, length ${length}? For the second put spaces round the x: ${size} x ${length}`;
}

/** The units a typed line speaks in when it says so itself: fractions, inch marks and unified threads, or M threads, ISO classes and mm. */
export function unitsOfLine(text: string): Units | undefined {
  const inch = /\d\/\d|"|”|\bin\b|(?:^|[\s;])#?\d+-\d{1,2}(?:\s|$)|(?:^|[\s;x+-])\.\d/i.test(text);
  const metric = /(?:^|[;\s])M\s?\d|\bmm\b|\d\s*(?:[a-hjkmnprs]|js)\d{1,2}(?:\s|;|$)/i.test(text);
  return inch === metric ? undefined : inch ? 'in' : 'mm';
}
