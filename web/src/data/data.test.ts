/* The data layer on an in-memory IndexedDB: what is stored, kept aside, copied on a conflict, merged and brought back. */
import { blankJob, type Entry, parseJobText, writeJobFile } from '@obra/core';
import localForage from 'localforage';
import { notBefore, now } from './ids';
import {
  appendEntry,
  createJob,
  deleteJob,
  holdsSomething,
  importJob,
  listJobs,
  loadJob,
  loadLog,
  loadShop,
  saveJob,
  saveShop,
  seedDemo,
} from './jobs';
import { keysUnder, read, StorageRefused, write } from './store';

const database = localForage.createInstance({ name: 'obra', storeName: 'records' });
const pin = blankJob('pin', 'mm');
const entry = (id: string, at = '2026-11-02T08:00:00.000Z'): Entry => ({ id, at, by: 'here', piece: 1, step: 'face@right', kind: 'done' });

beforeEach(() => database.clear());

describe('jobs', () => {
  it('are made, listed newest first, and read back as they were', async () => {
    const first = await createJob(pin);
    const second = await createJob({ ...pin, name: 'axle' });
    const { jobs, aside } = await listJobs();
    expect(jobs.map((j) => j.id)).toEqual([second.id, first.id]);
    expect(aside).toEqual([]);
    expect(await loadJob(first.id)).toEqual(first);
    expect(await loadJob('gone')).toBeUndefined();
  });

  it('count their saves', async () => {
    const stored = await createJob(pin);
    const saved = await saveJob(stored.id, 1, { ...pin, name: 'pin 2' });
    expect(saved).toMatchObject({ kind: 'saved', stored: { revision: 2, job: { name: 'pin 2' } } });
    expect(await loadJob(stored.id)).toEqual(saved.kind === 'saved' ? saved.stored : undefined);
  });

  it('keep both when another window saved first: theirs stands, ours becomes a copy', async () => {
    const stored = await createJob(pin);
    await saveJob(stored.id, 1, { ...pin, name: 'theirs' });
    const saved = await saveJob(stored.id, 1, { ...pin, name: 'ours' });
    expect(saved.kind).toBe('conflict');
    expect((await loadJob(stored.id))?.job.name).toBe('theirs');
    expect((await listJobs()).jobs.map((j) => j.job.name).sort()).toEqual(['ours (from this window)', 'theirs']);
  });

  it('go with their log, and come back whole', async () => {
    const stored = await createJob(pin, [entry('e1'), entry('e2')]);
    const back = await deleteJob(stored.id);
    expect(await keysUnder('')).toEqual([]);
    await back();
    expect(await loadJob(stored.id)).toEqual(stored);
    expect(await loadLog(stored.id)).toHaveLength(2);
  });

  it('are carried as a file and come in as the same job', async () => {
    const stored = await createJob(pin, [entry('e1')]);
    const text = writeJobFile(stored, await loadLog(stored.id));
    await deleteJob(stored.id);
    const parsed = parseJobText(text);
    if (!parsed.ok) throw new Error('the file does not read back');
    const again = await importJob(parsed.value);
    expect(again.id).toBe(stored.id);
    expect(again.job).toEqual(stored.job);
    expect(await loadLog(stored.id)).toEqual([entry('e1')]);
  });

  it('never overwrite one that is here: another content comes in as a copy, the same one merges its readings', async () => {
    const stored = await createJob(pin, [entry('e1')]);
    const file = { obra: 'job' as const, ...stored, log: [entry('e1'), entry('e2')] };
    expect((await importJob(file)).id).toBe(stored.id);
    expect((await loadLog(stored.id)).map((e) => e.id)).toEqual(['e1', 'e2']);
    const copy = await importJob({ ...file, job: { ...pin, name: 'changed elsewhere' } });
    expect(copy.id).not.toBe(stored.id);
    expect(copy.job.name).toBe('changed elsewhere (imported)');
    expect((await loadJob(stored.id))?.job.name).toBe('pin');
  });
});

describe('records that cannot be read', () => {
  it.each([
    ['a later version', { schema: 9, id: 'x', revision: 1, saved: '2030-01-01T00:00:00.000Z', by: 'later', job: { new: true } }],
    ['a broken one', { nothing: 'of a job' }],
    ['no record at all', 'text'],
  ])('%s is set aside as it is, listed, and never deleted', async (_, raw) => {
    await write('job/x', raw);
    const { jobs, aside } = await listJobs();
    expect(jobs).toEqual([]);
    expect(aside).toEqual([expect.objectContaining({ key: 'aside/job/x', raw })]);
    expect(aside[0]?.says.length).toBeGreaterThan(0);
    expect(await read('aside/job/x')).toEqual(raw);
  });

  it('a shop that cannot be read gives way to the starting shop and is kept', async () => {
    await write('shop', { schema: 1, shop: 'gone' });
    expect((await loadShop()).shop.machines[0]?.id).toBe('bench-lathe');
    expect(await keysUnder('aside/')).toHaveLength(1);
  });
});

describe('the Bench log', () => {
  it('is only added to, a key an entry, in the order of its moments', async () => {
    await appendEntry('j', entry('b', '2026-11-02T08:00:02.000Z'));
    await appendEntry('j', entry('a', '2026-11-02T08:00:03.000Z'));
    await appendEntry('j', entry('c', '2026-11-02T08:00:01.000Z'));
    expect((await loadLog('j')).map((e) => e.id)).toEqual(['c', 'b', 'a']);
    expect(await keysUnder('log/j/')).toHaveLength(3);
  });

  it('keeps its order when the clock was set back', () => {
    const ahead = new Date(Date.now() + 3_600_000).toISOString();
    notBefore(ahead);
    const [one, two] = [now(), now()];
    expect(one > ahead && two > one).toBe(true);
  });
});

describe('the shop', () => {
  it('is the small bench lathe until somebody says otherwise', async () => {
    expect((await loadShop()).shop.machines[0]?.assumed).toContain('speeds');
    await saveShop((shop) => ({ ...shop, ways: { ...shop.ways, thread: 'die' } }));
    expect((await loadShop()).shop.ways['thread']).toBe('die');
  });

  it('is changed on top of what stands there, so that two windows lose nothing', async () => {
    await saveShop((shop) => ({ ...shop, ways: { ...shop.ways, thread: 'die' } }));
    const saved = await saveShop((shop) => ({ ...shop, ways: { ...shop.ways, severing: 'saw' } }));
    expect(saved.shop.ways).toMatchObject({ thread: 'die', severing: 'saw' });
    expect(saved.revision).toBe(3);
  });
});

describe('the demo', () => {
  const files = [
    { obra: 'job', schema: 1, id: 'demo-1', revision: 1, saved: '2026-11-02T08:00:00.000Z', by: 'demo', job: pin, log: [] },
    { neither: true },
  ];
  const readJob = (raw: unknown) => {
    const parsed = parseJobText(JSON.stringify(raw));
    return parsed.ok ? parsed.value : undefined;
  };

  it('fills an empty store and leaves one alone that holds something', async () => {
    expect(await holdsSomething()).toBe(false);
    await seedDemo(files, readJob);
    expect((await listJobs()).jobs.map((j) => j.id)).toEqual(['demo-1']);
    await deleteJob('demo-1');
    await createJob(pin);
    await seedDemo(files, readJob);
    expect((await listJobs()).jobs.map((j) => j.id)).not.toContain('demo-1');
  });
});

describe('storage that refuses', () => {
  it('says so by name', async () => {
    const spy = jest.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    await expect(write('job/x', {})).rejects.toBeInstanceOf(StorageRefused);
    spy.mockRestore();
    await write('job/x', 1);
    expect(await read('job/x')).toBe(1);
  });
});
