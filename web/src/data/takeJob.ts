import { parseJobText } from '@obra/core/document';
import { type Units, writeSentence } from '@obra/core/quantity';
import { importJob, type Imported } from './jobs';
import { Unwritable } from './unwritable';
import { nothingLost } from '../words/refused';

/** A job file, its photographs with it, is far smaller than this, bytes. */
const TOO_LARGE = 40_000_000;

/** Why something was not stored, in a sentence. */
export const notStored = (cause: unknown, units: Units): string =>
  cause instanceof Unwritable ? `It was not stored: ${writeSentence(cause.says, units)}. Nothing was changed.` : nothingLost;

/** Takes in a job file. Says what came of it, and which job it is now; without one nothing was changed. */
export async function takeJob(file: File, units: Units): Promise<{ readonly says: string; readonly id?: string }> {
  if (file.size > TOO_LARGE)
    return { says: `${file.name} is ${String(Math.round(file.size / 1e6))} MB; a job file is far smaller. Nothing was changed.` };
  const read = parseJobText(await file.text());
  if (!read.ok) return { says: `${file.name}: ${writeSentence(read.problems[0]?.says ?? [], units)}. Nothing was changed.` };
  try {
    const came = await importJob(read.value);
    return { says: cameIn(came), id: came.stored.id };
  } catch (cause) {
    return { says: notStored(cause, units) };
  }
}

function cameIn({ stored, copy, came, stayed, redated }: Imported): string {
  const entries = (n: number) => `${String(n)} ${n === 1 ? 'entry' : 'entries'} of the Bench`;
  return [
    copy ? `It differs from the job here, which stays; the file’s is “${stored.job.name}”.` : `${stored.job.name} is in the list.`,
    ...(came > 0 ? [`${entries(came)} came in.`] : []),
    ...(stayed > 0 ? [`${entries(stayed)} differ from those here, which stay.`] : []),
    ...(redated > 0 ? [`${entries(redated)} were dated in the future, and are dated when the file was written.`] : []),
  ].join(' ');
}
