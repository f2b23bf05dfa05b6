import { type Entry, parseEntry } from '@obra/core/document';
import { newId, notBefore } from './ids';
import { tell } from './news';
import { readUnder, remove, write } from './store';
import { readable } from './unwritable';

/** A day: clocks are set wrong by hours, not by years, ms. */
const AHEAD = 24 * 3_600_000;

/** No later than tomorrow, so that one wrong date does not stand after everything that comes. */
const dated = (entry: Entry, latest: number): number => Math.min(Date.parse(entry.at), latest);

/** The log of a job in the order of its moments. One that cannot be read is set aside under a key of its own, and counted by `loadUnread`. */
export async function loadLog(job: string): Promise<readonly Entry[]> {
  const entries: Entry[] = [];
  for (const [key, raw] of await readUnder(`log/${job}/`)) {
    const parsed = parseEntry(raw);
    if (parsed.ok) entries.push(parsed.value);
    else {
      await write(`aside/${key}`, raw);
      await remove(key);
    }
  }
  return ordered(entries);
}

export function ordered(entries: readonly Entry[]): readonly Entry[] {
  const latest = Date.now() + AHEAD;
  const sorted = entries.toSorted((a, b) => dated(a, latest) - dated(b, latest) || (a.id < b.id ? -1 : 1));
  const last = sorted.at(-1);
  if (last) notBefore(new Date(dated(last, latest)).toISOString());
  return sorted;
}

/** Entries of a job that could not be read: kept as they are, carried in its file. */
export const loadUnread = async (job: string): Promise<readonly unknown[]> => (await readUnder(`aside/log/${job}/`)).map(([, raw]) => raw);

/** Takes such entries in beside those that are there; one that is there already is not taken twice. */
export async function keepUnread(job: string, unread: readonly unknown[]): Promise<void> {
  const here = await loadUnread(job);
  for (const raw of unread) if (!here.some((own) => alike(own, raw))) await write(`aside/log/${job}/${newId()}`, raw);
}

/** Adds one entry under its own key; resolved only when the browser has stored it. */
export async function appendEntry(job: string, entry: Entry): Promise<void> {
  await write(`log/${job}/${entry.id}`, readable(parseEntry(entry)));
  tell('log', job);
}

/** Records as they are stored, from whichever realm they come. */
const alike = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

export interface Added {
  /** how many came in */
  readonly came: number;
  /** how many of another content stand here under the same id and stay */
  readonly stayed: number;
  /** how many were dated in the future, and are dated now */
  readonly redated: number;
}

/** Adds the entries that are not here yet. One of the same id stays as it is here; one from the future is dated when its file was written, at the latest now. */
export async function addEntries(job: string, entries: readonly Entry[], saved: string): Promise<Added> {
  const here = new Map(await readUnder(`log/${job}/`));
  const latest = Math.min(Date.parse(saved), Date.now());
  let [came, stayed, redated] = [0, 0, 0];
  for (const entry of entries) {
    const key = `log/${job}/${entry.id}`;
    const own = here.get(key);
    if (own !== undefined) {
      if (!alike(own, entry)) stayed++;
      continue;
    }
    const ahead = Date.parse(entry.at) > Date.now() + AHEAD;
    const taken = ahead ? { ...entry, at: new Date(latest).toISOString() } : entry;
    if (ahead) redated++;
    here.set(key, taken);
    await write(key, readable(parseEntry(taken)));
    came++;
  }
  if (came > 0) tell('log', job);
  return { came, stayed, redated };
}
