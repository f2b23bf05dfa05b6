import * as z from 'zod';
import { type Entry, parseEntry, parseStoredJob, type StoredJob } from '@obra/core/document';
import { now } from './ids';
import { readUnder, remove, write } from './store';

/** How long a deleted job can be put back, days. */
export const KEPT_DAYS = 30;
const DAY = 24 * 3_600_000;

const Binned = z.object({ deleted: z.iso.datetime(), stored: z.unknown(), log: z.array(z.unknown()), unread: z.array(z.unknown()) });

/** A deleted job, whole, until its days are over. */
export interface Deleted {
  readonly id: string;
  readonly deleted: string;
  readonly stored: StoredJob;
  readonly log: readonly Entry[];
  readonly unread: readonly unknown[];
  readonly daysLeft: number;
}

export async function bin(stored: StoredJob, log: readonly Entry[], unread: readonly unknown[]): Promise<void> {
  await write(`bin/${stored.id}`, { deleted: now(), stored, log, unread });
}

export const emptied = (id: string): Promise<void> => remove(`bin/${id}`);

/** What was deleted and can be put back, the last first; what is over its days goes. */
export async function listDeleted(): Promise<readonly Deleted[]> {
  const all: Deleted[] = [];
  for (const [key, raw] of await readUnder('bin/')) {
    const read = Binned.safeParse(raw);
    const stored = read.success ? parseStoredJob(read.data.stored) : undefined;
    if (!read.success || stored?.ok !== true) continue;
    const daysLeft = KEPT_DAYS - Math.floor((Date.now() - Date.parse(read.data.deleted)) / DAY);
    if (daysLeft <= 0) {
      await remove(key);
      continue;
    }
    const log = read.data.log.flatMap((raw) => {
      const entry = parseEntry(raw);
      return entry.ok ? [entry.value] : [];
    });
    all.push({ id: stored.value.id, deleted: read.data.deleted, stored: stored.value, log, unread: read.data.unread, daysLeft });
  }
  return all.toSorted((a, b) => (a.deleted < b.deleted ? 1 : -1));
}

export const findDeleted = async (id: string): Promise<Deleted | undefined> => (await listDeleted()).find((d) => d.id === id);
