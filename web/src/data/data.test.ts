/* The data layer on an in-memory IndexedDB: what is stored, kept aside, copied on a conflict, merged and brought back. */
import { blankJob, type Entry, parseJobText, SCHEMA } from '@obra/core/document';
import { writeJobFile } from '@obra/core/exchange';
import localForage from 'localforage';
import { bin, findDeleted, listDeleted } from './bin';
import { appendEntry, loadLog, loadUnread } from './entries';
import { notBefore, now } from './ids';
import { allJobs, createJob, deleteJob, importJob, listAside, listSummaries, loadJob, putBack, saveJob, seedDemo, summarise } from './jobs';
import { backupDue } from './persist';
import { loadShop, mendShop, saveShop, unreadShop } from './shopStore';
import { holdsSomething, keysUnder, read, remove, StorageRefused, wantsDemo, write } from './store';
import { Unwritable } from './unwritable';

/** What the list of Jobs is made of. */
const listJobs = async () => ({ jobs: await allJobs(), aside: await listAside() });

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
    await deleteJob(stored.id);
    expect(await keysUnder('')).toEqual([`bin/${stored.id}`]);
    // an entry that another window adds meanwhile is kept with it
    await appendEntry(stored.id, entry('e3'));
    const [deleted] = await listDeleted();
    expect(deleted?.daysLeft).toBe(30);
    if (deleted) await putBack(deleted);
    expect(await loadJob(stored.id)).toEqual(stored);
    expect((await loadLog(stored.id)).map((e) => e.id)).toEqual(['e1', 'e2', 'e3']);
    expect(await listDeleted()).toEqual([]);
  });

  it('are saved by nobody while they lie in the wastebasket', async () => {
    const stored = await createJob(pin);
    await deleteJob(stored.id);
    expect(await saveJob(stored.id, 1, { ...pin, name: 'still typed here' })).toEqual({ kind: 'gone' });
    expect(await loadJob(stored.id)).toBeUndefined();
  });

  it('stay in the wastebasket for 30 days', async () => {
    const stored = await createJob(pin);
    await bin(stored, [], []);
    const raw = (await read(`bin/${stored.id}`)) as Record<string, unknown>;
    await write(`bin/${stored.id}`, { ...raw, deleted: new Date(Date.now() - 29.5 * 86_400_000).toISOString() });
    expect((await findDeleted(stored.id))?.daysLeft).toBe(1);
    await write(`bin/${stored.id}`, { ...raw, deleted: new Date(Date.now() - 30.5 * 86_400_000).toISOString() });
    expect(await findDeleted(stored.id)).toBeUndefined();
    expect(await keysUnder('bin/')).toEqual([]);
  });

  it('are carried as a file and come in as the same job', async () => {
    const stored = await createJob(pin, [entry('e1')]);
    const text = writeJobFile(stored, await loadLog(stored.id));
    await deleteJob(stored.id);
    const parsed = parseJobText(text);
    if (!parsed.ok) throw new Error('the file does not read back');
    const again = await importJob(parsed.value);
    expect(again.stored.id).toBe(stored.id);
    expect(again.stored.job).toEqual(stored.job);
    expect(await loadLog(stored.id)).toEqual([entry('e1')]);
  });

  it('never overwrite one that is here: another content comes in as a copy, the same one merges its readings', async () => {
    const stored = await createJob(pin, [entry('e1')]);
    const file = { obra: 'job' as const, ...stored, log: [entry('e1'), entry('e2')] };
    expect((await importJob(file)).stored.id).toBe(stored.id);
    expect((await loadLog(stored.id)).map((e) => e.id)).toEqual(['e1', 'e2']);
    const copy = await importJob({ ...file, job: { ...pin, name: 'changed elsewhere' } });
    expect(copy.stored.id).not.toBe(stored.id);
    expect(copy.stored.job.name).toBe('changed elsewhere (imported)');
    expect((await loadJob(stored.id))?.job.name).toBe('pin');
    // taken in once more nothing comes in twice
    const again = await importJob({ ...file, job: { ...pin, name: 'changed elsewhere' } });
    expect([again.stored.id, again.came]).toEqual([copy.stored.id, 0]);
    expect(await allJobs()).toHaveLength(2);
  });

  it('an entry of the same id stays as it is here', async () => {
    const stored = await createJob(pin, [{ ...entry('e1'), kind: 'note', says: 'ours' }]);
    const file = { obra: 'job' as const, ...stored, log: [{ ...entry('e1'), kind: 'note' as const, says: 'theirs' }, entry('e2')] };
    expect(await importJob(file)).toMatchObject({ came: 1, stayed: 1 });
    expect(await loadLog(stored.id)).toMatchObject([{ id: 'e1', says: 'ours' }, { id: 'e2' }]);
  });

  it('an entry of the year 9999 is dated when its file was written, and what comes after stands after it', async () => {
    const file = { obra: 'job' as const, schema: SCHEMA, id: 'far', revision: 1, saved: '2026-11-02T09:00:00.000Z', by: 'me', job: pin };
    const { redated } = await importJob({ ...file, log: [entry('late', '9999-12-31T23:59:59.000Z'), entry('early')] });
    expect(redated).toBe(1);
    expect((await loadLog('far')).map((e) => [e.id, e.at])).toEqual([
      ['early', '2026-11-02T08:00:00.000Z'],
      ['late', '2026-11-02T09:00:00.000Z'],
    ]);
    // one that came to be stored all the same does not drag the clock with it
    await write('log/far/wrong', entry('wrong', '9999-12-31T23:59:59.000Z'));
    await loadLog('far');
    expect(Date.parse(now())).toBeLessThan(Date.now() + 3 * 86_400_000);
  });

  it('no record is written that could not be read again', async () => {
    await expect(createJob({ ...pin, pieces: 51 })).rejects.toBeInstanceOf(Unwritable);
    await expect(appendEntry('j', { ...entry('e1'), piece: 0 })).rejects.toBeInstanceOf(Unwritable);
    await expect(saveShop((shop) => ({ ...shop, tools: shop.tools.map((t) => ({ ...t, insert: 'A'.repeat(27) })) }))).rejects.toBeInstanceOf(
      Unwritable,
    );
    expect(await keysUnder('')).toEqual([]);
  });

  it('are listed by what is kept of them, made again where it is missing', async () => {
    const stored = await createJob(pin);
    expect((await listSummaries()).summaries).toMatchObject([{ id: stored.id, name: 'pin', revision: 1 }]);
    await saveJob(stored.id, 1, { ...pin, name: 'axle' });
    expect((await listSummaries()).summaries).toMatchObject([{ name: 'axle', revision: 2 }]);
    await remove(`sum/${stored.id}`);
    const { summaries, without } = await listSummaries();
    expect([summaries, without]).toEqual([[], [stored.id]]);
    await summarise(without);
    expect((await listSummaries()).summaries).toMatchObject([{ name: 'axle' }]);
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

  it('a shop stays where it is until a person repairs it or takes it out', async () => {
    const saved = await saveShop((shop) => ({ ...shop, ways: { ...shop.ways, thread: 'die' } }));
    const broken = { ...saved, shop: { ...saved.shop, tools: saved.shop.tools.map((t, i) => (i === 0 ? { ...t, insert: 'A'.repeat(27) } : t)) } };
    await write('shop', broken);
    for (let visit = 0; visit < 3; visit++) await loadShop();
    expect(await read('shop')).toEqual(broken);
    expect(await keysUnder('aside/')).toEqual([]);
    expect((await unreadShop())?.salvage?.out).toHaveLength(1);
    // what can be read stands in; a change is not written over it
    expect((await loadShop()).shop.ways['thread']).toBe('die');
    await expect(saveShop((shop) => shop)).rejects.toBeInstanceOf(Unwritable);
    await mendShop('repair');
    expect(await unreadShop()).toBeUndefined();
    expect((await loadShop()).shop.tools).toHaveLength(saved.shop.tools.length - 1);
    expect(await keysUnder('aside/shop')).toHaveLength(1);
  });

  it('a shop of which nothing can be read is taken out by a press, and kept', async () => {
    await write('shop', { schema: 1, shop: 'gone' });
    expect((await loadShop()).shop.machines[0]?.id).toBe('bench-lathe');
    await mendShop('takeOut');
    expect(await read('shop')).toBeNull();
    expect((await listAside()).map((a) => a.raw)).toEqual([{ schema: 1, shop: 'gone' }]);
  });

  it('a Bench entry is set aside, counted, and goes out with the job', async () => {
    const stored = await createJob(pin, [entry('e1')]);
    await write(`log/${stored.id}/odd`, { kind: 'of a later one' });
    expect((await loadLog(stored.id)).map((e) => e.id)).toEqual(['e1']);
    expect(await loadUnread(stored.id)).toEqual([{ kind: 'of a later one' }]);
    const file = parseJobText(writeJobFile(stored, await loadLog(stored.id), { unread: await loadUnread(stored.id) }));
    if (!file.ok) throw new Error('the file does not read back');
    await deleteJob(stored.id);
    await importJob(file.value);
    await importJob(file.value);
    expect(await loadUnread(stored.id)).toEqual([{ kind: 'of a later one' }]);
  });
});

describe('a reminder to back up', () => {
  const today = Date.parse('2026-11-28T08:00:00.000Z');
  const at = (days: number) => new Date(today - days * 86_400_000).toISOString();
  it.each([
    [undefined, 49, 1, undefined],
    [undefined, 50, 1, /no backup/],
    [{ at: at(29), entries: 10 }, 59, 1, undefined],
    [{ at: at(30), entries: 10 }, 10, 1, /30 days old\./],
    [{ at: at(3), entries: 10 }, 60, 1, /50 Bench entries behind/],
    [{ at: at(90), entries: 10 }, 60, 0, undefined],
  ] as const)('%j, %d entries, %d jobs', (last, entries, jobs, says) => {
    const due = backupDue(last, entries, jobs, today);
    if (says === undefined) expect(due).toBeUndefined();
    else expect(due).toMatch(says);
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
    { obra: 'job', schema: SCHEMA, id: 'demo-1', revision: 1, saved: '2026-11-02T08:00:00.000Z', by: 'demo', job: pin, log: [] },
    { neither: true },
  ];

  it('fills an empty store and leaves one alone that holds something', async () => {
    expect(await holdsSomething()).toBe(false);
    await seedDemo(files);
    expect((await listJobs()).jobs.map((j) => j.id)).toEqual(['demo-1']);
    await deleteJob('demo-1');
    await createJob(pin);
    await seedDemo(files);
    expect((await listJobs()).jobs.map((j) => j.id)).not.toContain('demo-1');
  });

  it('left in the middle goes on at the next visit, with nothing twice and nothing brought back that was deleted', async () => {
    const of = (id: string) => ({ ...files[0], id, log: [entry(`${id}-1`), entry(`${id}-2`)] });
    const three = [of('demo-1'), of('demo-2'), of('demo-3')];
    const put = Object.getOwnPropertyDescriptor(IDBObjectStore.prototype, 'put')?.value as IDBObjectStore['put'];
    const spy = jest.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(function (this: IDBObjectStore, value: unknown, key?: IDBValidKey) {
      if (key === 'log/demo-3/demo-3-2') throw new DOMException('gone', 'AbortError');
      return put.call(this, value, key);
    });
    await expect(seedDemo(three)).rejects.toThrow();
    spy.mockRestore();
    expect((await allJobs()).map((j) => j.id).sort()).toEqual(['demo-1', 'demo-2']);
    await saveJob('demo-1', 1, { ...pin, name: 'mine' });
    await deleteJob('demo-2');
    await seedDemo(three);
    expect((await allJobs()).map((j) => `${j.id} ${j.job.name}`).sort()).toEqual(['demo-1 mine', 'demo-3 pin']);
    expect(await loadLog('demo-3')).toHaveLength(2);
    // it has come in: what is deleted from now on stays deleted
    expect(await wantsDemo()).toBe(false);
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
