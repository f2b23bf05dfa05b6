import type { Kept } from '@obra/core/exchange';
import { loadLog, loadUnread } from './entries';
import { photosOf } from './photos';

/** The log of a job and what goes with it into a file. */
export async function wholeLog(id: string): Promise<Omit<Kept, 'stored'>> {
  const log = await loadLog(id);
  return { log, unread: await loadUnread(id), photos: await photosOf(log) };
}
