import {
  type Entry,
  type Job,
  type JobFile,
  parseEntry,
  parseShop,
  parseStoredJob,
  parseStoredShop,
  SCHEMA,
  type Sentence,
  type Shop,
  startingShop,
  type StoredJob,
  type StoredShop,
} from '@obra/core';
import { newId, notBefore, now, thisBrowser, thisWindow } from './ids';
import { alone, keysUnder, read, remove, write } from './store';

/** A record that could not be read: kept as it is under its own key, never stripped. */
export interface Aside {
  readonly key: string;
  readonly raw: unknown;
  readonly says: Sentence;
}

export interface JobList {
  readonly jobs: readonly StoredJob[];
  readonly aside: readonly Aside[];
}

interface News {
  readonly kind: 'job' | 'shop' | 'log';
  readonly id: string;
  readonly from: string;
}

const channel = 'BroadcastChannel' in globalThis ? new BroadcastChannel('obra') : undefined;
const tell = (kind: News['kind'], id: string) => channel?.postMessage({ kind, id, from: thisWindow } satisfies News);

/** Hears what other windows of this browser stored. */
export function onNews(listen: (news: News) => void): () => void {
  const heard = (event: MessageEvent<News>) => {
    if (event.data.from !== thisWindow) listen(event.data);
  };
  channel?.addEventListener('message', heard);
  return () => channel?.removeEventListener('message', heard);
}

export async function listJobs(): Promise<JobList> {
  const jobs: StoredJob[] = [];
  for (const key of await keysUnder('job/')) {
    const parsed = await loadRecord(key);
    if (parsed) jobs.push(parsed);
  }
  const aside: Aside[] = [];
  for (const key of await keysUnder('aside/')) {
    const raw = await read(key);
    const parsed = parseStoredJob(raw);
    aside.push({ key, raw, says: parsed.ok ? [] : (parsed.problems[0]?.says ?? []) });
  }
  return { jobs: jobs.sort((a, b) => (a.saved < b.saved ? 1 : -1)), aside };
}

async function loadRecord(key: string): Promise<StoredJob | undefined> {
  const raw = await read(key);
  if (raw === null || raw === undefined) return undefined;
  const parsed = parseStoredJob(raw);
  if (parsed.ok) return parsed.value;
  await write(`aside/${key}`, raw);
  await remove(key);
  return undefined;
}

export const loadJob = (id: string): Promise<StoredJob | undefined> => loadRecord(`job/${id}`);

export async function createJob(job: Job, log: readonly Entry[] = [], id = newId()): Promise<StoredJob> {
  const stored: StoredJob = { schema: SCHEMA, id, revision: 1, saved: now(), by: thisBrowser(), job };
  for (const entry of log) await write(`log/${id}/${entry.id}`, entry);
  await write(`job/${id}`, stored);
  tell('job', id);
  return stored;
}

export type Saved =
  | { readonly kind: 'saved'; readonly stored: StoredJob }
  /** another window saved first: its content stands, ours was kept as a copy */
  | { readonly kind: 'conflict'; readonly theirs: StoredJob; readonly copy: StoredJob };

/** Saves what this window has, if nobody saved since `revision`; else keeps both. */
export async function saveJob(id: string, revision: number, job: Job): Promise<Saved> {
  return alone(`job/${id}`, async () => {
    const theirs = await loadJob(id);
    if (theirs && theirs.revision !== revision) {
      const copy = await createJob({ ...job, name: `${job.name} (from this window)` });
      return { kind: 'conflict', theirs, copy };
    }
    const stored: StoredJob = { schema: SCHEMA, id, revision: revision + 1, saved: now(), by: thisBrowser(), job };
    await write(`job/${id}`, stored);
    tell('job', id);
    return { kind: 'saved', stored };
  });
}

/** Takes a job out with its log; what is returned puts all of it back. */
export async function deleteJob(id: string): Promise<() => Promise<void>> {
  const stored = await loadJob(id);
  const log = await loadLog(id);
  await remove(`job/${id}`);
  for (const entry of log) await remove(`log/${id}/${entry.id}`);
  tell('job', id);
  return async () => {
    if (!stored) return;
    for (const entry of log) await write(`log/${id}/${entry.id}`, entry);
    await write(`job/${id}`, stored);
    tell('job', id);
  };
}

/** Takes in a job file; one that is here already comes in as a copy, and its log entries are merged by union when it is the same job. */
export async function importJob(file: JobFile): Promise<StoredJob> {
  const here = await loadJob(file.id);
  if (here && JSON.stringify(here.job) === JSON.stringify(file.job)) {
    for (const entry of file.log) await write(`log/${file.id}/${entry.id}`, entry);
    tell('log', file.id);
    return here;
  }
  return createJob(here ? { ...file.job, name: `${file.job.name} (imported)` } : file.job, file.log, here ? newId() : file.id);
}

export async function loadLog(job: string): Promise<readonly Entry[]> {
  const entries: Entry[] = [];
  for (const key of await keysUnder(`log/${job}/`)) {
    const parsed = parseEntry(await read(key));
    if (parsed.ok) entries.push(parsed.value);
  }
  const ordered = entries.sort((a, b) => (a.at === b.at ? (a.id < b.id ? -1 : 1) : a.at < b.at ? -1 : 1));
  const last = ordered.at(-1);
  if (last) notBefore(last.at);
  return ordered;
}

/** Adds one entry under its own key; resolved only when the browser has stored it. */
export async function appendEntry(job: string, entry: Entry): Promise<void> {
  await write(`log/${job}/${entry.id}`, entry);
  tell('log', job);
}

export async function loadShop(): Promise<StoredShop> {
  const raw = await read('shop');
  const parsed = raw === null ? undefined : parseStoredShop(raw);
  if (parsed?.ok) return parsed.value;
  if (raw !== null && raw !== undefined) await write(`aside/shop-${newId()}`, raw);
  return { schema: SCHEMA, id: 'shop', revision: 1, saved: now(), by: thisBrowser(), shop: startingShop() };
}

/** Changes the stored shop on top of what stands there now. */
export async function saveShop(change: (shop: Shop) => Shop): Promise<StoredShop> {
  return alone('shop', async () => {
    const before = await loadShop();
    const stored: StoredShop = { ...before, revision: before.revision + 1, saved: now(), by: thisBrowser(), shop: change(before.shop) };
    await write('shop', stored);
    tell('shop', 'shop');
    return stored;
  });
}

export const holdsSomething = async (): Promise<boolean> => (await keysUnder('')).length > 0;

/** Puts the demo files into a store that holds nothing yet. */
export async function seedDemo(files: readonly unknown[], readJob: (raw: unknown) => JobFile | undefined): Promise<void> {
  await alone('seed', async () => {
    if (await holdsSomething()) return;
    for (const raw of files) {
      const shop = parseShop(raw);
      const job = shop.ok ? undefined : readJob(raw);
      if (shop.ok) await saveShop(() => shop.value);
      else if (job) await createJob(job.job, job.log, job.id);
    }
  });
}
