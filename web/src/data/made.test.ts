/* The lines of the logbook, kept beside their jobs: made once, made anew when something moved on, never asked for again and again. */
import { blankJob, type Entry } from '@obra/core/document';
import localForage from 'localforage';
import { appendEntry } from './entries';
import { createJob, deleteJob } from './jobs';
import { listMade, makeMade } from './made';
import { loadShop } from './shopStore';
import { keysUnder, remove } from './store';

const database = localForage.createInstance({ name: 'obra', storeName: 'records' });
const pin = blankJob('pin', 'mm');
const note = (id: string, minute: number): Entry => ({
  id,
  at: `2026-11-02T08:${String(minute).padStart(2, '0')}:00.000Z`,
  by: 'here',
  piece: 1,
  step: null,
  kind: 'note',
  says: 'blued lightly',
});
const withdrawn = (id: string, entry: string): Entry => ({
  id,
  at: '2026-11-02T09:00:00.000Z',
  by: 'here',
  piece: 1,
  step: null,
  kind: 'withdrawn',
  entry,
});

beforeEach(() => database.clear());

async function madeNow() {
  const shop = await loadShop();
  const { stale } = await listMade(shop);
  for (const { id } of stale) await makeMade(id, shop);
  return { made: stale.length, ...(await listMade(shop)) };
}

it('a job has a line from its first entry; nothing is left to be made then', async () => {
  await createJob({ ...pin, name: 'never cut' });
  const { id } = await createJob(pin, [note('e1', 0), note('e2', 7)]);
  const { made, lines, stale } = await madeNow();
  expect([made, stale]).toEqual([1, []]);
  expect(lines).toMatchObject([{ id, begun: 1, minutes: [7], issued: false, summary: { name: 'pin' } }]);
  expect(lines[0]?.words).toContain('blued');
});

it('is made anew when an entry comes to it', async () => {
  const { id } = await createJob(pin, [note('e1', 0)]);
  await madeNow();
  await appendEntry(id, note('e2', 5));
  const { made, lines } = await madeNow();
  expect(made).toBe(1);
  expect(lines[0]?.minutes).toEqual([5]);
});

it('a job whose entries were all withdrawn has none, and is not looked at again', async () => {
  await createJob(pin, [note('e1', 0), withdrawn('e2', 'e1')]);
  const { lines, stale } = await madeNow();
  expect([lines, stale]).toEqual([[], []]);
});

it('comes back after an update that knows no summaries yet', async () => {
  const { id } = await createJob(pin, [note('e1', 0)]);
  await remove(`sum/${id}`);
  await madeNow();
  expect((await madeNow()).lines).toMatchObject([{ id }]);
});

it('goes with its job', async () => {
  const { id } = await createJob(pin, [note('e1', 0)]);
  await madeNow();
  await deleteJob(id);
  expect(await keysUnder('made/')).toEqual([]);
});
