/* Files dropped on any page, and what just happened told in one place. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { demoUrl, goTo, pageForEach, press, root, sees, stored } from './harness';
import { violations } from './layout';

const on = pageForEach();

/** Drags files over the page and lets go of them in its middle. */
const drop = (files: readonly (readonly [name: string, text: string])[], at = 'main') =>
  on.page.evaluate(
    (all, selector) => {
      const data = new DataTransfer();
      for (const [name, text] of all) data.items.add(new File([text], name));
      const on = document.querySelector(selector) ?? document.body;
      for (const type of ['dragenter', 'dragover', 'drop'])
        on.dispatchEvent(new DragEvent(type, { dataTransfer: data, bubbles: true, cancelable: true }));
    },
    files,
    at,
  );
const demo = (name: string) => readFileSync(join(root, 'demo', `${name}.json`), 'utf8');
const toasts = () => on.page.$$eval('.says .toast', (all) => all.map((e) => (e as HTMLElement).innerText.split('\n')[0] ?? ''));

it.each([
  ['/', 'Samples', 'main'],
  ['/handbook', 'Limits of a thread', 'main'],
  ['/jobs/mast-dowel/route', 'Part off', 'main'],
])('a job dropped on %s is kept and opened', async (path, words, at) => {
  await goTo(on.page, demoUrl(), path, words);
  const renamed = JSON.stringify({ ...(JSON.parse(demo('pintle-pin')) as object), id: 'dropped' }).replaceAll('Rudder pintle pin', 'Dropped pin');
  await drop([['pin.json', renamed]], at);
  await sees(on.page, 'is in the list');
  await on.page.waitForFunction(() => location.pathname.endsWith('/drawing') && !location.pathname.includes('mast-dowel'));
  expect(await violations(on.page)).toEqual([]);
});

it('what is dropped where it does not belong is told, and nothing changes', async () => {
  await goTo(on.page, demoUrl(), '/handbook', 'Limits of a thread');
  const before = Object.keys(await stored(on.page)).filter((k) => k.startsWith('job/'));
  await drop([['part.dxf', 'x']]);
  await sees(on.page, 'take it in on the Drawing of a job');
  await drop([['nothing.json', '{']]);
  await sees(on.page, 'Nothing was changed');
  await drop([
    ['a.json', '{}'],
    ['b.json', '{}'],
  ]);
  await sees(on.page, 'One file at a time');
  // never two at once
  expect(await toasts()).toHaveLength(1);
  expect(await on.page.$eval('.says', (e) => e.getAttribute('aria-live'))).toBe('polite');
  expect(Object.keys(await stored(on.page)).filter((k) => k.startsWith('job/'))).toEqual(before);
  await press(on.page, 'close');
  expect(await toasts()).toEqual([]);
});

it('a table dropped on its page of the Shop is taken in there; the notice takes it out of the way again', async () => {
  await goTo(on.page, demoUrl(), '/shop/bars', 'Bars');
  const count = () => on.page.$$eval('tr[data-item]', (all) => all.length);
  const before = await count();
  await drop([['bars.csv', 'id,name,material,form,across,length,skin,count\nnew-bar,brass 12,brass,round,12,1000,drawn,2\n']]);
  await on.page.waitForFunction((n: number) => document.querySelectorAll('tr[data-item]').length === n + 1, {}, before);
  await on.page.waitForSelector('.says .toast');
  expect(await toasts()).toHaveLength(1);
});

it('a deleted job is told with the press that brings it back; on another page it is told no more', async () => {
  await goTo(on.page, demoUrl(), '/jobs', 'Mast step dowel');
  await press(on.page, 'actions for Mast step dowel');
  await press(on.page, 'delete');
  await sees(on.page, 'Mast step dowel is deleted');
  await press(on.page, 'undo');
  await sees(on.page, 'Mast step dowel is back');
  await new Promise((resolve) => setTimeout(resolve, 1200));
  await press(on.page, 'Handbook');
  await sees(on.page, 'Limits of a thread');
  expect(await toasts()).toEqual([]);
});

it('the undo of the strip brings back what it tells of, and leaves what was typed since', async () => {
  await goTo(on.page, demoUrl(), '/shop/bars', 'Bars');
  const ids = () => on.page.$$eval('tr[data-item]', (all) => all.map((e) => (e as HTMLElement).dataset['item']));
  await on.page.waitForSelector('tr[data-item]');
  const before = await ids();
  const name = await on.page.$eval('tr[data-item] [data-field="name"]', (e) => (e as HTMLInputElement).value);
  await press(on.page, `delete ${name}`);
  await on.page.waitForSelector('.says .toast');
  const other = 'tr[data-item] [data-field="name"]';
  await on.page.click(other, { count: 3 });
  await on.page.keyboard.type('typed since');
  await on.page.keyboard.press('Enter');
  await on.page.click('.says .toast button');
  await on.page.waitForFunction((n: number) => document.querySelectorAll('tr[data-item]').length === n, {}, before.length);
  expect(await ids()).toEqual(before);
  expect(await on.page.$$eval('tr[data-item] [data-field="name"]', (all) => all.map((e) => (e as HTMLInputElement).value))).toContain('typed since');
});

it('text that is dragged over the page is left to the cells', async () => {
  await goTo(on.page, demoUrl(), '/jobs', 'Sheave axle');
  await on.page.waitForSelector('input[type="file"]');
  const kept = await on.page.evaluate(() => {
    const data = new DataTransfer();
    data.setData('text/plain', '25 h6');
    const over = new DragEvent('dragover', { dataTransfer: data, bubbles: true, cancelable: true });
    document.querySelector('main')?.dispatchEvent(over);
    return over.defaultPrevented;
  });
  expect(kept).toBe(false);
});
