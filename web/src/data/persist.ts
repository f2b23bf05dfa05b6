import * as z from 'zod';
import { kept } from './local';
import { read, write } from './store';

/** What the browser said when it was asked to keep this store: it may else throw it away when it needs room. */
export type Persisted = 'kept' | 'may be cleared' | 'not known';

const manager = (): StorageManager | undefined => ('storage' in navigator ? navigator.storage : undefined);

export async function persisted(): Promise<Persisted> {
  try {
    const is = await manager()?.persisted();
    return is === undefined ? 'not known' : is ? 'kept' : 'may be cleared';
  } catch {
    return 'not known';
  }
}

const ASKED = 'obra-persist-asked';
let asked = false;

/** Asks the browser, once there is something to lose, not to clear this store. */
export async function persistOnce(): Promise<void> {
  if (asked || kept.get(ASKED) !== null) return;
  asked = true;
  try {
    await manager()?.persist();
    kept.set(ASKED, 'yes');
  } catch {
    // not known over plain HTTP; the Logbook says so
  }
}

const KEY = 'backed-up';
const Stored = z.object({ at: z.iso.datetime(), entries: z.number() });
export type LastBackup = z.infer<typeof Stored>;

/** When everything was last backed up from here, and how many Bench entries there were. */
export async function lastBackup(): Promise<LastBackup | undefined> {
  const parsed = Stored.safeParse(await read(KEY));
  return parsed.success ? parsed.data : undefined;
}

export const noteBackup = (at: string, entries: number): Promise<void> => write(KEY, { at, entries } satisfies LastBackup);

const DAYS = 30;
const ENTRIES = 50;

/** What a person is reminded of: the last backup is a month old, or many entries behind. */
export function backupDue(last: LastBackup | undefined, entries: number, jobs: number, now: number): string | undefined {
  if (jobs === 0) return undefined;
  if (!last) return entries >= ENTRIES ? `${String(entries)} Bench entries here, and no backup was taken from this browser yet.` : undefined;
  const days = Math.floor((now - Date.parse(last.at)) / 86_400_000);
  const behind = entries - last.entries;
  if (days >= DAYS) return `The last backup from here is ${String(days)} days old${behind > 0 ? ` and ${String(behind)} entries behind` : ''}.`;
  return behind >= ENTRIES ? `The last backup from here is ${String(behind)} Bench entries behind.` : undefined;
}
