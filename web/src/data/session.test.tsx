/* One open job: history, saving, another window, storage that refuses. */
import { blankJob, type Job } from '@obra/core/document';
import { act, configure, renderHook, waitFor } from '@testing-library/react';
import localForage from 'localforage';
import type { ReactNode } from 'react';
import { SWRConfig } from 'swr';
import { backedUp } from './backup';
import { createJob, deleteJob, loadJob, saveJob } from './jobs';
import { kept } from './local';
import { watchLeaving } from './leaving';
import { sessions } from './openJobs';
import { type OpenJob, useJob } from './session';
import { useShop } from './shopSession';
import { loadShop } from './shopStore';

// storing takes its time on a busy machine
configure({ asyncUtilTimeout: 10_000 });
jest.setTimeout(30_000);

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
    // the next change brings the refused one with it
    act(() => shop.current.editShop([{ op: 'put', at: 'ways/thread', value: 'die' }]));
    await waitFor(() => expect(shop.current.refused).toBe(false));
    expect((await loadShop()).shop.ways).toMatchObject({ severing: 'saw', thread: 'die' });
  });

  it('takes no change that could not be read again, and says so', async () => {
    const shop = renderHook(() => useShop()).result;
    await waitFor(() => expect(shop.current.shop).toBeDefined());
    const tool = shop.current.shop?.tools[0]?.id ?? '';
    act(() => shop.current.editShop([{ op: 'put', at: `tools/#${tool}/insert`, value: 'A'.repeat(27) }]));
    expect(shop.current.says).toMatch(/was not taken/);
    expect(shop.current.shop?.tools[0]?.insert).toBeUndefined();
    act(() => shop.current.dismiss());
  });
});

describe('a page that is closed within the pause', () => {
  const journal = (id: string, revision: number, job: Job) =>
    kept.set(`obra-journal/job/${id}/closed-window`, JSON.stringify({ revision, saving: false, job }));
  const typed: Job = { ...pin, name: 'typed just before' };

  it('has noted the change at once, and lets go of the note once it is stored', async () => {
    const { id, now } = await open();
    act(() => now().edit([{ op: 'put', at: 'name', value: 'axle' }]));
    expect(kept.keys(`obra-journal/job/${id}/`)).toHaveLength(1);
    await waitFor(() => expect(now().state).toBe('saved'));
    expect(kept.keys(`obra-journal/job/${id}/`)).toHaveLength(0);
  });

  it('finds its change again at the next opening', async () => {
    const { id } = await createJob(pin);
    journal(id, 1, typed);
    const { result } = renderHook(() => useJob(id));
    await waitFor(() => expect(result.current?.job.name).toBe('typed just before'));
    expect(result.current?.says).toContain('is back');
    await waitFor(async () => expect((await loadJob(id))?.job.name).toBe('typed just before'));
    // let go of just after it is stored
    await waitFor(() => expect(kept.keys('obra-journal/')).toEqual([]));
  });

  it('keeps it as a copy where another window saved since', async () => {
    const { id } = await createJob(pin);
    await saveJob(id, 1, { ...pin, name: 'theirs' });
    journal(id, 1, typed);
    const { result } = renderHook(() => useJob(id));
    await waitFor(() => expect(result.current?.says).toContain('typed just before (from a closed window)'));
    expect(result.current?.job.name).toBe('theirs');
  });

  it('keeps the cell that is being typed in, and asks while something is not stored', async () => {
    watchLeaving();
    const { now } = await open();
    const cell = document.createElement('input');
    document.body.append(cell);
    cell.addEventListener('blur', () => now().edit([{ op: 'put', at: 'name', value: 'left in the cell' }]));
    cell.focus();
    const leaving = new Event('beforeunload', { cancelable: true });
    act(() => void window.dispatchEvent(leaving));
    expect(now().job.name).toBe('left in the cell');
    expect(leaving.defaultPrevented).toBe(false);
    const spy = jest.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    act(() => now().edit(retype('50')));
    await waitFor(() => expect(now().state).toBe('refused'));
    const again = new Event('beforeunload', { cancelable: true });
    act(() => void window.dispatchEvent(again));
    expect(again.defaultPrevented).toBe(true);
    spy.mockRestore();
    act(() => now().edit(retype('51')));
    await waitFor(() => expect(now().state).toBe('saved'));
    cell.remove();
  });
});

describe('a job deleted in another window', () => {
  it('goes on here, says so, and is put back with what was changed meanwhile', async () => {
    const { id, now } = await open();
    await deleteJob(id);
    act(() => now().edit(retype('33')));
    await waitFor(() => expect(now().gone).toBe(true));
    expect(now().says).toContain('deleted in another window');
    act(() => now().putBack());
    await waitFor(async () => expect(size((await loadJob(id))?.job ?? pin)).toBe('33'));
    await waitFor(() => expect(now().gone).toBe(false));
  });
});

describe('what can be undone outlives the page', () => {
  /** as another visit has it: nothing in memory */
  const Visit = ({ children }: { readonly children: ReactNode }) => <SWRConfig value={{ provider: () => new Map() }}>{children}</SWRConfig>;
  const reopened = async (id: string) => {
    sessions.clear();
    const { result } = renderHook(() => useJob(id), { wrapper: Visit });
    await waitFor(() => expect(result.current).toBeTruthy());
    return () => {
      if (!result.current) throw new Error('not open');
      return result.current;
    };
  };

  it('steps back and forth after a reload as before it', async () => {
    const { id, now } = await open();
    for (const text of ['21', '22', '23']) act(() => now().edit(retype(text)));
    act(() => now().undo());
    await waitFor(() => expect(now().state).toBe('saved'));
    const again = await reopened(id);
    expect(size(again().job)).toBe('22');
    act(() => again().redo());
    expect(size(again().job)).toBe('23');
    for (const text of ['22', '21', '20']) {
      act(() => again().undo());
      expect(size(again().job)).toBe(text);
    }
    expect(again().canUndo).toBe(false);
  });

  it('ends where another window saved since, and goes with a job that is deleted', async () => {
    const { id, now } = await open();
    act(() => now().edit(retype('21')));
    await waitFor(() => expect(now().state).toBe('saved'));
    const stored = await loadJob(id);
    await saveJob(id, stored?.revision ?? 0, { ...pin, name: 'theirs' });
    const again = await reopened(id);
    expect(again().job.name).toBe('theirs');
    expect(again().canUndo).toBe(false);
    await deleteJob(id);
    expect(await database.getItem(`undo/${id}`)).toBeNull();
  });

  it('keeps the last two hundred, and never stands in an export', async () => {
    const { id, now } = await open();
    for (let i = 0; i < 230; i++) act(() => now().edit(retype(String(30 + i))));
    await waitFor(() => expect(now().state).toBe('saved'));
    const again = await reopened(id);
    let steps = 0;
    while (again().canUndo && steps < 300) {
      act(() => again().undo());
      steps++;
    }
    expect(steps).toBe(200);
    expect(await backedUp()).not.toMatch(/"(past|future)"/);
  });
});
