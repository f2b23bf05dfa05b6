import Papa from 'papaparse';

/** A text that a spreadsheet would take for a formula is handed out behind its own mark for text. */
export const plain = (text: string): string => (/^[=@]|^[+-](?![\d.])/.test(text) ? `'${text}` : text);
/** And taken in without it. */
export const unmarked = (text: string): string => text.trim().replace(/^'(?=[=@+-])/, '');

/** Cells of a table as a spreadsheet takes them from the clipboard: tabs between, a line a row; what holds a tab, a line's end or a quote is quoted. */
export const writeBlock = (rows: readonly (readonly string[])[]): string =>
  Papa.unparse(
    rows.map((row) => row.map(plain)),
    { delimiter: '\t', newline: '\n' },
  );

/**
 * Cells that were copied: out of a spreadsheet with tabs between, or lines of a CSV with the commas or semicolons between that they all have alike.
 * A text without either is one cell, and lines without either are one column: “12,5” over “7,25” are two sizes with a comma each, not four cells.
 */
export function readBlock(text: string): readonly (readonly string[])[] {
  const body = text.replace(/\r?\n$/, '');
  for (const delimiter of ['\t', ';', ',']) {
    if (!body.includes(delimiter) || (delimiter !== '\t' && !body.includes('\n'))) continue;
    const { data, errors } = Papa.parse<string[]>(body, { delimiter });
    if (delimiter === '\t' || (errors.length === 0 && isTable(data, delimiter))) return data.map((row) => row.map(unmarked));
  }
  return body.split(/\r?\n/).map((line) => [unmarked(line)]);
}

/** Every line has as many cells; commas count only where not all of them may be decimals. */
function isTable(rows: readonly (readonly string[])[], delimiter: string): boolean {
  const wide = rows[0]?.length ?? 0;
  if (wide < 2 || rows.some((row) => row.length !== wide)) return false;
  return delimiter !== ',' || wide > 2 || rows.some((row) => row.some((cell) => !/^\s*\d+\s*$/.test(cell)));
}
