/* A backup and what taking it in does: united by ids, nothing overwritten, a damaged file told apart. */
import fc from 'fast-check';
import { blankJob, type Entry, type Job, parseBackupText, SCHEMA, type Shop, type StoredJob, type StoredShop } from '../document';
import { writeSentence } from '../quantity';
import { midShop } from '../shop';
import { type Kept, layRestore, uniteShops, writeBackup } from './backup';

const saved = '2026-11-02T08:00:00.000Z';
const stored = (id: string, job: Job = blankJob(id, 'mm')): StoredJob => ({ schema: SCHEMA, id, revision: 1, saved, by: 'here', job });
const entry = (id: string): Entry => ({ id, at: saved, by: 'here', piece: 1, step: 'load@right', kind: 'done' });
const kept = (id: string, entries: readonly string[], job?: Job): Kept => ({ stored: stored(id, job), log: entries.map(entry) });
const shop: Shop = midShop();
const storedShop = (of: Shop): StoredShop => ({ schema: SCHEMA, id: 'shop', revision: 3, saved, by: 'here', shop: of });
let n = 0;
const newId = () => `copy-${String(++n)}`;
const read = (text: string) => {
  const parsed = parseBackupText(text);
  if (!parsed.ok) throw new Error(writeSentence(parsed.problems[0]?.says ?? [], 'mm'));
  return parsed.value;
};
const said = (of: { readonly says: readonly Parameters<typeof writeSentence>[0][] }) => of.says.map((s) => writeSentence(s, 'mm'));

it('goes out and comes in whole', () => {
  const here = [kept('pin', ['a', 'b']), kept('ring', [])];
  const into = layRestore(read(writeBackup(saved, here, storedShop(shop))), [], { ...shop, tools: [], lessons: [] }, newId);
  expect(into.jobs.map((j) => j.id)).toEqual(['pin', 'ring']);
  expect(into.entries.map((e) => `${e.job}/${e.entry.id}`)).toEqual(['pin/a', 'pin/b']);
  const [came] = into.shops;
  expect(came && uniteShops({ ...shop, tools: [] }, came).both.tools).toEqual(shop.tools);
  expect(said(into)[0]).toBe('pin: comes in, with 2 entries of the Bench');
});

it('taken in where it came from it changes nothing', () => {
  const here = [kept('pin', ['a', 'b'])];
  const again = layRestore(read(writeBackup(saved, here, storedShop(shop))), here, shop, newId);
  expect(again).toMatchObject({ jobs: [], entries: [] });
  expect(again.shops).toEqual([]);
  expect(said(again)).toEqual(['everything in it is here already']);
});

it('entries of both are united; the same entry is not there twice', () => {
  fc.assert(
    fc.property(fc.uniqueArray(fc.integer({ min: 0, max: 30 })), fc.uniqueArray(fc.integer({ min: 0, max: 30 })), (mine, theirs) => {
      const ids = (of: readonly number[]) => of.map((i) => `e${String(i)}`);
      const here = [kept('pin', ids(mine))];
      const into = layRestore(read(writeBackup(saved, [kept('pin', ids(theirs))], storedShop(shop))), here, shop, newId);
      expect(into.jobs).toEqual([]);
      const all = [...ids(mine), ...into.entries.map((e) => e.entry.id)];
      expect(new Set(all)).toEqual(new Set([...ids(mine), ...ids(theirs)]));
      expect(all).toHaveLength(new Set(all).size);
    }),
    { numRuns: 60, seed: 8 },
  );
});

it('a job that differs stays as it is here, the other comes in beside it with its record; so do items of the shop', () => {
  const other = { ...blankJob('pin', 'mm'), pieces: 4 };
  const [tool] = shop.tools;
  if (!tool) throw new Error('no tool');
  const theirs: Shop = { ...shop, tools: [{ ...tool, name: 'sharpened again' }, ...shop.tools.slice(1), { ...tool, id: 'new-tool' }] };
  const into = layRestore(read(writeBackup(saved, [kept('pin', ['a', 'z'], other)], storedShop(theirs))), [kept('pin', ['a'])], shop, () => 'copy');
  expect(into.jobs).toEqual([{ id: 'copy', job: { ...other, name: 'pin (from the backup)' } }]);
  expect(into.entries.map((e) => `${e.job}/${e.entry.id}`)).toEqual(['pin/z', 'copy/a', 'copy/z']);
  const both = into.shops.reduce((so, other) => uniteShops(so, other).both, shop);
  expect(both.tools.find((t) => t.id === tool.id)).toEqual(tool);
  expect(both.tools.map((t) => t.id)).toContain('new-tool');
  expect(said(into).join('; ')).toMatch(/differs from the one here, which stays.*1 item comes in; the shop: sharpened again differ and stay/);
});

it.each([
  ['', 'this is not a backup; a backup is JSON text'],
  ['hello', 'this is not a backup; a backup is JSON text'],
  ['[]', 'this is not a backup'],
  ['{"obra":"job"}', 'this file holds a job, not a backup'],
  ['{"obra":"backup","schema":9}', 'this was written by a later Obra'],
  ['{"obra":"backup","schema":2}', 'a backup, at'],
])('“%s” is told apart', (text, says) => {
  const parsed = parseBackupText(text);
  expect(parsed.ok ? '' : writeSentence(parsed.problems[0]?.says ?? [], 'mm')).toContain(says);
});

it('cut off anywhere it says so, and is never half taken in', () => {
  const whole = writeBackup(saved, [kept('pin', ['a', 'b'])], storedShop({ ...shop, tools: [], bars: [] }));
  fc.assert(
    fc.property(fc.integer({ min: 1, max: whole.length - 3 }), (at) => {
      const parsed = parseBackupText(whole.slice(0, at));
      expect(parsed.ok).toBe(false);
      if (!parsed.ok) expect(writeSentence(parsed.problems[0]?.says ?? [], 'mm')).toContain('the file is cut off or damaged');
    }),
    { numRuns: 40, seed: 5 },
  );
});

it('what was practised goes out and comes in, an attempt that is here already not again', () => {
  const attempt = (at: string) => ({
    exercise: 'hot',
    number: 3,
    lathe: 'mid',
    at,
    ended: 'in',
    cuts: 4,
    readings: 5,
    minutes: 12,
    run: [25.4, 25.1],
  });
  const file = read(writeBackup(saved, [], storedShop(shop), [attempt('b'), attempt('a')]));
  const into = layRestore(file, [], shop, newId, [attempt('a')]);
  expect(into.practised).toEqual([attempt('b')]);
  expect(said(into)).toEqual(['practice: 1 attempt comes in']);
  expect(layRestore(file, [], shop, newId, [attempt('a'), attempt('b')]).practised).toEqual([]);
  expect(read(writeBackup(saved, [], storedShop(shop)))).not.toHaveProperty('practised');
});
