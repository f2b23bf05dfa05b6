import { type Kept, type Restore, type Shop, writeBackup } from '@obra/core';
import { now } from './ids';
import { appendEntry, createJob, listJobs, loadLog, loadShop, saveShop } from './jobs';

/** Every job with its log, as it is stored. */
export async function everything(): Promise<readonly Kept[]> {
  const { jobs } = await listJobs();
  return Promise.all(jobs.map(async (stored) => ({ stored, log: await loadLog(stored.id) })));
}

/** The whole of this browser as the text of one file. */
export const backedUp = async (): Promise<string> => writeBackup(now(), await everything(), await loadShop());

/** Takes a backup in as it was laid out before; entries first, so that a job never stands without its record. */
export async function restore(of: Restore): Promise<void> {
  for (const { job, entry } of of.entries) await appendEntry(job, entry);
  for (const { id, job } of of.jobs) await createJob(job, [], id);
  const { shop } = of;
  if (shop) await saveShop((before: Shop) => ({ ...before, ...missing(before, shop) }));
}

/** What a shop gained since it was laid beside the backup stays. */
function missing(before: Shop, merged: Shop): Partial<Shop> {
  const both = <T extends { readonly id: string }>(mine: readonly T[], theirs: readonly T[]): T[] => [
    ...mine,
    ...theirs.filter((item) => !mine.some((m) => m.id === item.id)),
  ];
  return {
    machines: both(before.machines, merged.machines),
    holdings: both(before.holdings, merged.holdings),
    tools: both(before.tools, merged.tools),
    gauges: both(before.gauges, merged.gauges),
    bars: both(before.bars, merged.bars),
    lessons: both(before.lessons, merged.lessons),
  };
}
