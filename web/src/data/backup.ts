import { type Kept, type Restore, united, writeBackup } from '@obra/core';
import { now } from './ids';
import { appendEntry, createJob, listJobs, loadJob, loadLog, loadShop, saveShop } from './jobs';

/** Every job with its log, as it is stored. */
export async function everything(): Promise<readonly Kept[]> {
  const { jobs } = await listJobs();
  return Promise.all(jobs.map(async (stored) => ({ stored, log: await loadLog(stored.id) })));
}

/** The whole of this browser as the text of one file. */
export const backedUp = async (): Promise<string> => writeBackup(now(), await everything(), await loadShop());

/** Takes a backup in as it was laid out before; entries first, so that a job never stands without its record. What came to be here meanwhile stands. */
export async function restore(of: Restore): Promise<void> {
  for (const { job, entry } of of.entries) await appendEntry(job, entry);
  for (const { id, job } of of.jobs) if (!(await loadJob(id))) await createJob(job, [], id);
  if (of.shops.length > 0) await saveShop((now) => of.shops.reduce((so, other) => united(so, other).both, now));
}
