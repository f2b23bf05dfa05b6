/* One open job: history, saving, another window, storage that refuses. */
import { blankJob, type Job } from '@obra/core';
import { act, renderHook, waitFor } from '@testing-library/react';
import localForage from 'localforage';
import { createJob, loadJob, loadShop, saveJob } from './jobs';
import { type OpenJob, useJob, useShop } from './session';

const database = localForage.createInstance({ name: 'obra', storeName: 'records' });
const pin: Job = {
  ...blankJob('pin', 'mm'),
  drawing: { ...blankJob('pin', 'mm').drawing, outside: [{ id: 'a', size: { text: '20', units: 'mm' }, length: { text: '30', units: 'mm' } }] },
};

async function open(): Promise<{ readonly id: string; readonly now: () => OpenJob }> {
  const { id } = await createJob(pin);
  const { result } = renderHook(() => useJob(id));
  await waitFor(() => expect(result.current).toBeTruthy());
  return {
    id,
    now: () => {
      if (!result.current) throw new Error('not open');
      return result.current;
    },
  };
}

const size = (of: Job) => of.drawing.outside[0]?.size.text;
const retype = (text: string) => [{ op: 'put' as const, at: 'drawing/outside/#a/size/text', value: text }];

beforeEach(() => database.clear());

describe('an open job', () => {
  it('is null where there is none', async () => {
    const { result } = renderHook(() => useJob('nowhere'));
    await waitFor(() => expect(result.current).toBeNull());
  });

  it('is saved a moment after the last change', async () => {
    const { id, now } = await open();
    act(() => now().edit(retype('21')));
    expect(now().state).toBe('saving');
    await waitFor(() => expect(now().state).toBe('saved'));
    expect(size((await loadJob(id))?.job ?? pin)).toBe('21');
    expect((await loadJob(id))?.revision).toBe(2);
  });

  it('steps back and forth over the whole job; the keystrokes of one cell are one step', async () => {
    const { now } = await open();
    act(() => now().edit(retype('2'), 'job', 'a.size'));
    act(() => now().edit(retype('21'), 'job', 'a.size'));
    act(() => now().edit([{ op: 'put', at: 'name', value: 'axle' }], 'job', 'name'));
    act(() => now().undo());
    expect([now().job.name, size(now().job)]).toEqual(['pin', '21']);
    act(() => now().undo());
    expect(now().job).toEqual(pin);
    expect(now().canUndo).toBe(false);
    act(() => now().redo());
    act(() => now().redo());
    expect([now().job.name, size(now().job)]).toEqual(['axle', '21']);
    act(() => now().undo());
    act(() => now().edit(retype('22')));
    expect(now().canRedo).toBe(false);
  });

  it('is byte for byte what it was after as many steps back', async () => {
    const { id, now } = await open();
    for (let i = 0; i < 20; i++) act(() => now().edit(retype(String(20 + i))));
    while (now().canUndo) act(() => now().undo());
    await waitFor(() => expect(now().state).toBe('saved'));
    expect(JSON.stringify((await loadJob(id))?.job)).toBe(JSON.stringify(pin));
  });

  it('tells of another window that saved first, and keeps ours as a copy', async () => {
    const { id, now } = await open();
    await saveJob(id, 1, { ...pin, name: 'theirs' });
    act(() => now().edit(retype('99')));
    await waitFor(() => expect(now().says).toContain('Another window saved this job first'));
    expect(now().job.name).toBe('theirs');
    expect(now().canUndo).toBe(false);
    act(() => now().dismiss());
    expect(now().says).toBeUndefined();
  });

  it('goes on in memory when storage refuses, says so, and stores again when it can', async () => {
    const { id, now } = await open();
    const spy = jest.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    act(() => now().edit(retype('50')));
    await waitFor(() => expect(now().state).toBe('refused'));
    expect(now().says).toContain('did not store');
    expect(size(now().job)).toBe('50');
    spy.mockRestore();
    act(() => now().edit(retype('51')));
    await waitFor(() => expect(now().state).toBe('saved'));
    expect(now().says).toBeUndefined();
    expect(size((await loadJob(id))?.job ?? pin)).toBe('51');
  });
});

describe('the shop', () => {
  it('is changed from a job and put back by its undo', async () => {
    const shop = renderHook(() => useShop()).result;
    await waitFor(() => expect(shop.current.shop).toBeDefined());
    const { now } = await open();
    act(() => now().edit([{ op: 'put', at: 'ways/thread', value: 'die' }], 'shop'));
    await waitFor(async () => expect((await loadShop()).shop.ways['thread']).toBe('die'));
    expect(shop.current.shop?.ways['thread']).toBe('die');
    act(() => now().undo());
    await waitFor(async () => expect((await loadShop()).shop.ways['thread']).toBe('single-point'));
  });

  it('says when its change is not stored', async () => {
    const shop = renderHook(() => useShop()).result;
    await waitFor(() => expect(shop.current.shop).toBeDefined());
    const spy = jest.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    act(() => shop.current.editShop([{ op: 'put', at: 'ways/severing', value: 'saw' }]));
    await waitFor(() => expect(shop.current.refused).toBe(true));
    expect(shop.current.shop?.ways['severing']).toBe('saw');
    spy.mockRestore();
    act(() => shop.current.editShop([{ op: 'put', at: 'ways/severing', value: 'part' }]));
    await waitFor(() => expect(shop.current.refused).toBe(false));
  });
});
