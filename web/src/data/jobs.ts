import { type Entry, type Job, type JobFile, parseJobFile, parseShop, parseStoredJob, SCHEMA, type StoredJob } from '@obra/core/document';
import type { Sentence } from '@obra/core/quantity';
import same from 'fast-deep-equal';
import { bin, type Deleted, emptied, findDeleted } from './bin';
import { type Added, addEntries, keepUnread, loadLog, loadUnread } from './entries';
import { newId, now, thisBrowser } from './ids';
import { tell } from './news';
import { persistOnce } from './persist';
import { takePhotos } from './photos';
import { firstShop } from './shopStore';
import { alone, DEMO_COMING, keysUnder, read, readUnder, remove, wantsDemo, write } from './store';
import { dropSummary, keepSummary, listSummaries, type Summary, summaryBefore, summaryOf } from './summaries';
import { dropUndo } from './undone';
import { readable } from './unwritable';

/** A record that could not be read: kept as it is under its own key, never stripped. */
export interface Aside {
  readonly key: string;
  readonly raw: unknown;
  readonly says: Sentence;
}

/** Every job of this browser; for what needs them whole. The lists are drawn from `listSummaries`. */
export async function allJobs(): Promise<readonly StoredJob[]> {
  const jobs: StoredJob[] = [];
  for (const [key, raw] of await readUnder('job/')) {
    const parsed = await readRecord(key, raw);
    if (parsed) jobs.push(parsed);
  }
  return jobs.toSorted((a, b) => (a.saved < b.saved ? 1 : -1));
}

export async function listAside(): Promise<readonly Aside[]> {
  return (await readUnder('aside/')).map(([key, raw]) => {
    const parsed = parseStoredJob(raw);
    return { key, raw, says: parsed.ok || !key.startsWith('aside/job/') ? [] : (parsed.problems[0]?.says ?? []) };
  });
}

/** Makes the summaries that are missing, a few jobs at a time, so that the page answers meanwhile. */
export async function summarise(ids: readonly string[]): Promise<void> {
  for (const [i, id] of ids.entries()) {
    const stored = await loadJob(id);
    if (stored) await keepSummary(summaryOf(stored));
    if (i % 5 === 4) await new Promise((resume) => setTimeout(resume));
  }
}

const loadRecord = async (key: string): Promise<StoredJob | undefined> => readRecord(key, await read(key));

async function readRecord(key: string, raw: unknown): Promise<StoredJob | undefined> {
  if (raw === null || raw === undefined) return undefined;
  const parsed = parseStoredJob(raw);
  if (parsed.ok) return parsed.value;
  const taken = await read(`aside/${key}`);
  await write(taken === null || same(taken, raw) ? `aside/${key}` : `aside/${key}-${newId()}`, raw);
  await remove(key);
  return undefined;
}

export const loadJob = (id: string): Promise<StoredJob | undefined> => loadRecord(`job/${id}`);

/** Writes a job with its summary; the one place that does. */
async function put(stored: StoredJob): Promise<StoredJob> {
  const next = readable(parseStoredJob(stored));
  await write(`job/${stored.id}`, next);
  await keepSummary(summaryOf(next, await summaryBefore(stored.id)));
  tell('job', stored.id);
  void persistOnce();
  return next;
}

export async function createJob(job: Job, log: readonly Entry[] = [], id = newId()): Promise<StoredJob> {
  const stored: StoredJob = { schema: SCHEMA, id, revision: 1, saved: now(), by: thisBrowser(), job };
  readable(parseStoredJob(stored));
  await addEntries(id, log, stored.saved);
  return put(stored);
}

export type Saved =
  | { readonly kind: 'saved'; readonly stored: StoredJob }
  /** another window saved first: its content stands, ours was kept as a copy */
  | { readonly kind: 'conflict'; readonly theirs: StoredJob; readonly copy: StoredJob }
  /** another window deleted it: nothing was written */
  | { readonly kind: 'gone' };

/** Saves what this window has, if nobody saved since `revision`; else keeps both. */
export async function saveJob(id: string, revision: number, job: Job): Promise<Saved> {
  return alone(`job/${id}`, async () => {
    const theirs = await loadJob(id);
    if (!theirs && (await findDeleted(id))) return { kind: 'gone' };
    if (theirs && theirs.revision !== revision) {
      const copy = await createJob({ ...job, name: `${job.name} (from this window)` });
      return { kind: 'conflict', theirs, copy };
    }
    return { kind: 'saved', stored: await put({ schema: SCHEMA, id, revision: revision + 1, saved: now(), by: thisBrowser(), job }) };
  });
}

/** Takes a job out with its log, into the wastebasket. */
export async function deleteJob(id: string): Promise<void> {
  await alone(`job/${id}`, async () => {
    const stored = await loadJob(id);
    if (!stored) return;
    const log = await loadLog(id);
    const unread = await loadUnread(id);
    await bin(stored, log, unread);
    await remove(`job/${id}`);
    await dropSummary(id);
    await dropUndo(id);
    for (const key of [...(await keysUnder(`log/${id}/`)), ...(await keysUnder(`aside/log/${id}/`))]) await remove(key);
  });
  tell('job', id);
}

/** Puts a deleted job back as it was, with what was entered for it since. */
export async function putBack({ id, stored, log, unread }: Deleted): Promise<StoredJob> {
  await keepUnread(id, unread);
  await addEntries(id, log, now());
  const back = (await loadJob(id)) ?? (await put(stored));
  await emptied(id);
  tell('job', id);
  return back;
}

export interface Imported extends Added {
  readonly stored: StoredJob;
  /** it differs from the one here, which stays: this is a copy of the file's */
  readonly copy: boolean;
}

/** The suffixes that copies get, so that the same file taken in twice finds the copy that it made. */
const bare = (job: Job): Job => ({ ...job, name: job.name.replace(/(?: \((?:imported|from the backup)\))+$/, '') });

/**
 * Takes in a job file. Its entries are united with those here, none is overwritten. Where the job differs from the one here that one stays, and the
 * file's comes in beside it as a copy; taken in again it finds that copy.
 */
export async function importJob(file: JobFile): Promise<Imported> {
  const here = await loadJob(file.id);
  await takePhotos(file.photos);
  const unread = file.unread ?? [];
  if (!here) {
    const stored: StoredJob = { schema: SCHEMA, id: file.id, revision: 1, saved: now(), by: thisBrowser(), job: file.job };
    readable(parseStoredJob(stored));
    const added = await addEntries(file.id, file.log, file.saved);
    await keepUnread(file.id, unread);
    return { ...added, stored: await put(stored), copy: false };
  }
  const added = await addEntries(here.id, file.log, file.saved);
  await keepUnread(here.id, unread);
  if (same(here.job, file.job)) return { ...added, stored: here, copy: false };
  const twin = (await allJobs()).find((j) => j.id !== here.id && same(bare(j.job), bare(file.job)));
  const copy = twin ?? (await createJob({ ...file.job, name: `${bare(file.job).name} (imported)` }));
  const beside = await addEntries(copy.id, file.log, file.saved);
  return { ...beside, stored: copy, copy: true };
}

/** A job of a demo, unless it came before; it is written after its log, so that one which is here is here whole. */
async function firstJob({ id, job, log }: JobFile): Promise<void> {
  if (!(await loadJob(id)) && !(await findDeleted(id))) await createJob(job, log, id);
}

/** Puts the demo files into a store that holds nothing yet. Left in the middle, the next visit takes in what is missing; what is here stays as it is. */
export async function seedDemo(files: readonly unknown[]): Promise<void> {
  await alone('seed', async () => {
    if (!(await wantsDemo())) return;
    await write(DEMO_COMING, true);
    for (const raw of files) {
      const shop = parseShop(raw);
      const file = shop.ok ? undefined : parseJobFile(raw);
      if (shop.ok) await firstShop(shop.value);
      else if (file?.ok === true) await firstJob(file.value);
    }
    await remove(DEMO_COMING);
  });
}

export { listSummaries, type Summary };
