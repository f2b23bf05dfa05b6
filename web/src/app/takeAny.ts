import { parseBackupText } from '@obra/core/document';
import { takeJob } from '../data/takeJob';

/** What a file is, what came of it, and where to look. Nothing that is here is overwritten. */
export async function takeAny(file: File): Promise<{ readonly says: string; readonly to?: string }> {
  if (/\.dxf$/i.test(file.name)) return { says: `${file.name} is a drawing: take it in on the Drawing of a job.` };
  if (/\.(?:csv|tsv)$/i.test(file.name)) return { says: `${file.name} is a table: take it in on its page of the Shop.`, to: '/shop/tools' };
  const { says, id } = await takeJob(file, 'mm');
  if (id !== undefined) return { says, to: `/jobs/${id}/drawing` };
  return parseBackupText(await file.text()).ok ? { says: `${file.name} is a backup: take it in here.`, to: '/logbook' } : { says };
}
