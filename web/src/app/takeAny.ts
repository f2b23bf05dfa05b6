import { parseBackupText, parseJobText } from '@obra/core/document';
import { writeSentence } from '@obra/core/quantity';
import { importJob } from '../data/jobs';
import { Unwritable } from '../data/unwritable';

const TOO_LARGE = 20_000_000;

/** What a file is, and what came of it. Nothing that is here is overwritten. */
export async function takeAny(file: File): Promise<{ readonly says: string; readonly to?: string }> {
  if (/\.dxf$/i.test(file.name)) return { says: `${file.name} is a drawing: take it in on the Drawing of a job.` };
  if (/\.(?:csv|tsv)$/i.test(file.name)) return { says: `${file.name} is a table: take it in on the Shop.`, to: '/shop/tools' };
  if (file.size > TOO_LARGE)
    return { says: `${file.name} is ${String(Math.round(file.size / 1e6))} MB; a job file is far smaller. Nothing was changed.` };
  const text = await file.text();
  const read = parseJobText(text);
  if (!read.ok) {
    if (parseBackupText(text).ok) return { says: `${file.name} is a backup: take it in here.`, to: '/logbook' };
    return { says: `${file.name}: ${writeSentence(read.problems[0]?.says ?? [], 'mm')}. Nothing was changed.` };
  }
  try {
    const { stored } = await importJob(read.value);
    return { says: `${stored.job.name} is in the list.`, to: `/jobs/${stored.id}/drawing` };
  } catch (cause) {
    return {
      says:
        cause instanceof Unwritable
          ? `It was not stored: ${writeSentence(cause.says, 'mm')}. Nothing was changed.`
          : 'This browser did not store it (storage full or blocked). Nothing that was stored is lost.',
    };
  }
}
