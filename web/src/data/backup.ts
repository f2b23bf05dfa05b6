import { type Kept, type Restore, uniteShops, writeBackup } from '@obra/core/exchange';
import { addEntries, keepUnread } from './entries';
import { now } from './ids';
import { allJobs, createJob, loadJob } from './jobs';
import { noteBackup } from './persist';
import { takePhotos } from './photos';
import { attempts, takeAttempts } from './practised';
import { loadShop, saveShop } from './shopStore';
import { wholeLog } from './wholeLog';

/** Every job with its log, as it is stored. */
export async function everything(): Promise<readonly Kept[]> {
  return Promise.all((await allJobs()).map(async (stored) => ({ stored, ...(await wholeLog(stored.id)) })));
}

/** The whole of this browser as the text of one file; when it was taken is noted. */
export async function backedUp(): Promise<string> {
  const all = await everything();
  const text = writeBackup(now(), all, await loadShop(), await attempts());
  await noteBackup(
    now(),
    all.reduce((sum, k) => sum + k.log.length, 0),
  ).catch(() => undefined);
  return text;
}

/** Takes a backup in as it was laid out before; entries first, so that a job never stands without its record. What came to be here meanwhile stands. */
export async function restore(of: Restore): Promise<void> {
  for (const id of new Set(of.entries.map(({ job }) => job)))
    await addEntries(
      id,
      of.entries.flatMap(({ job, entry }) => (job === id ? [entry] : [])),
      of.saved,
    );
  await takePhotos(of.photos);
  for (const { job, raws } of of.unread) await keepUnread(job, raws);
  for (const { id, job } of of.jobs) if (!(await loadJob(id))) await createJob(job, [], id);
  if (of.shops.length > 0) await saveShop((now) => of.shops.reduce((so, other) => uniteShops(so, other).both, now));
  await takeAttempts(of.practised);
}
