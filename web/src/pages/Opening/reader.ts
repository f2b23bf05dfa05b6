import { type LineWord, type Part, readDrawing, readLine, typedLine, unitsOfLine } from '@obra/core/drawing';
import { blankJob, type Job, ownName } from '@obra/core/document';
import { type Units, writeSentence } from '@obra/core/quantity';

/** What a typed line comes to. */
export interface Read {
  /** what a bare number in it means */
  readonly units: Units;
  readonly words: readonly LineWord[];
  /** as a job, where all of it is understood */
  readonly job?: Job;
  /** that part, as it is drawn */
  readonly part?: Part;
  /** why it is not */
  readonly wrong?: string;
}

/** Reads the line; `asked` is the page's unit, for a line that does not say its own. Loaded with the first letter typed. */
export function readTyped(text: string, asked: Units | undefined): Read {
  const units = unitsOfLine(text) ?? asked ?? 'mm';
  const { words, pieces } = typedLine(text, units);
  const read = readLine(text, units);
  if (!read.ok) return { units, words, wrong: writeSentence(read.problems[0]?.says ?? [], units) };
  const drawing = { ...read.value, untoleranced: { text: units === 'mm' ? 'ISO 2768-m' : '+/-.005', units } };
  return {
    units,
    words,
    part: readDrawing(drawing),
    job: { ...blankJob(ownName(drawing), units), ...(pieces !== undefined && { pieces }), drawing },
  };
}
