/* A file taken into the shop: a whole shop, a table, and what is neither; nothing is changed without a word. */
import { SCHEMA } from '@obra/core/document';
import { writeShopFile, writeShopTable } from '@obra/core/exchange';
import { midShop, startingShop } from '@obra/core/shop';
import { takeIn } from './takeIn';

const shop = startingShop();
let n = 0;
const into = { shop, list: undefined, units: 'mm' as const, newId: () => `new-${String(++n)}` };
const file = (name: string, text: string) => ({ name, size: text.length, text: () => Promise.resolve(text) });

it('a whole shop takes the place of this one', async () => {
  const text = writeShopFile({ schema: SCHEMA, id: 'shop', revision: 1, saved: '2026-01-01T00:00:00.000Z', by: 'a', shop: midShop() });
  const taken = await takeIn(file('mid.json', text), into);
  expect(taken.shop).toEqual(midShop());
  expect(taken.says).toBe('The shop is that of mid.json now; undo brings back the one before.');
});

it('a table goes into the list that is open, and nowhere else', async () => {
  const text = writeShopTable(midShop(), 'tools');
  expect((await takeIn(file('tools.csv', text), into)).says).toBe('Open the table that the file belongs to first. Nothing was changed.');
  const taken = await takeIn(file('tools.csv', text), { ...into, list: 'tools' });
  expect(taken.edits).toHaveLength(midShop().tools.length);
  expect(taken.edits?.every((e) => e.at.startsWith('tools/#'))).toBe(true);
});

it.each([
  ['half.json', '{"schema": 1, "shop"', 'half.json is not a whole JSON file. Nothing was changed.'],
  ['other.json', '{"hello": 1}', /^other\.json: .*Nothing was changed\.$/],
])('%s is refused with a sentence', async (name, text, says) => {
  const taken = await takeIn(file(name, text), into);
  expect(taken.says).toMatch(says);
  expect([taken.shop, taken.edits]).toEqual([undefined, undefined]);
});

it('a file that is far too large is not even read', async () => {
  const huge = { name: 'huge.csv', size: 40_000_000, text: () => Promise.reject(new Error('read')) };
  expect((await takeIn(huge, { ...into, list: 'bars' })).says).toBe('huge.csv is 40 MB; a shop is far smaller. Nothing was changed.');
});
