/* Files dropped on any page, what just happened told in one place, and dates as people read them. */
import type { Browser, Page } from 'puppeteer-core';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { demoUrl, freshPage, goTo, press, root, sees, sharedBrowser, stored } from './harness';
import { violations } from './layout';

let browser: Browser;
let page: Page;
let complaints: readonly string[];
let close: () => Promise<void>;

beforeAll(async () => {
  browser = await sharedBrowser();
});

beforeEach(async () => {
  ({ page, complaints, close } = await freshPage(browser, demoUrl()));
});

afterEach(async () => {
  expect(complaints).toEqual([]);
  await close();
});

afterAll(() => browser.disconnect());

/** Drags files over the page and lets go of them in its middle. */
const drop = (files: readonly (readonly [name: string, text: string])[], at = 'main') =>
  page.evaluate(
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
const toasts = () => page.$$eval('.says .toast', (all) => all.map((e) => (e as HTMLElement).innerText.split('\n')[0] ?? ''));

it.each([
  ['/', 'Samples', 'main'],
  ['/handbook', 'Limits of a thread', 'main'],
  ['/jobs/mast-dowel/route', 'Part off', 'main'],
])('a job dropped on %s is kept and opened', async (path, words, at) => {
  await goTo(page, demoUrl(), path, words);
  const renamed = JSON.stringify({ ...(JSON.parse(demo('pintle-pin')) as object), id: 'dropped' }).replaceAll('Rudder pintle pin', 'Dropped pin');
  await drop([['pin.json', renamed]], at);
  await sees(page, 'is in the list');
  await page.waitForFunction(() => location.pathname.endsWith('/drawing') && !location.pathname.includes('mast-dowel'));
  expect(await violations(page)).toEqual([]);
});

it('what is dropped where it does not belong is told, and nothing changes', async () => {
  await goTo(page, demoUrl(), '/handbook', 'Limits of a thread');
  const before = Object.keys(await stored(page)).filter((k) => k.startsWith('job/'));
  await drop([['part.dxf', 'x']]);
  await sees(page, 'take it in on the Drawing of a job');
  await drop([['nothing.json', '{']]);
  await sees(page, 'Nothing was changed');
  await drop([
    ['a.json', '{}'],
    ['b.json', '{}'],
  ]);
  await sees(page, 'One file at a time');
  // never two at once
  expect(await toasts()).toHaveLength(1);
  expect(await page.$eval('.says', (e) => e.getAttribute('aria-live'))).toBe('polite');
  expect(Object.keys(await stored(page)).filter((k) => k.startsWith('job/'))).toEqual(before);
  await press(page, 'close');
  expect(await toasts()).toEqual([]);
});

it('a table dropped on its page of the Shop is taken in there; the notice takes it out of the way again', async () => {
  await goTo(page, demoUrl(), '/shop/bars', 'Bars');
  const count = () => page.$$eval('tr[data-item]', (all) => all.length);
  const before = await count();
  await drop([['bars.csv', 'id,name,material,form,across,length,skin,count\nnew-bar,brass 12,brass,round,12,1000,drawn,2\n']]);
  await page.waitForFunction((n: number) => document.querySelectorAll('tr[data-item]').length === n + 1, {}, before);
  await page.waitForSelector('.says .toast');
  expect(await toasts()).toHaveLength(1);
});

it('a deleted job is told with the press that brings it back; on another page it is told no more', async () => {
  await goTo(page, demoUrl(), '/jobs', 'Mast step dowel');
  await press(page, 'actions for Mast step dowel');
  await press(page, 'delete');
  await sees(page, 'Mast step dowel is deleted');
  await press(page, 'undo');
  await sees(page, 'Mast step dowel is back');
  await new Promise((resolve) => setTimeout(resolve, 1200));
  await press(page, 'Handbook');
  await sees(page, 'Limits of a thread');
  expect(await toasts()).toEqual([]);
});
