/* The operation sheet worked on: lines moved, rules said, whole other ways taken. */
import { readFileSync } from 'node:fs';
import type { Browser, Page } from 'puppeteer-core';
import { demoUrl, downloads, freshPage, goTo, press, saved, sees, sharedBrowser } from './harness';
import { crowded, violations } from './layout';

let browser: Browser;
let page: Page;
let complaints: readonly string[];
let close: () => Promise<void>;

beforeAll(async () => {
  browser = await sharedBrowser();
  ({ page, complaints, close } = await freshPage(browser, demoUrl()));
});

afterAll(async () => {
  expect(complaints).toEqual([]);
  await close();
  await browser.disconnect();
});

const order = () => page.$$eval('.ops tr[data-step]', (rows) => rows.map((r) => (r as HTMLElement).dataset['step'] ?? ''));
const move = async (step: string, key: 'ArrowUp' | 'ArrowDown') => {
  await page.focus(`.ops tr[data-step="${step}"]`);
  await page.keyboard.down('Alt');
  await page.keyboard.press(key);
  await page.keyboard.up('Alt');
};
const stands = (a: string, b: string) =>
  page.waitForFunction(
    (x: string, y: string) => {
      const ids = [...document.querySelectorAll<HTMLElement>('.ops tr[data-step]')].map((r) => r.dataset['step']);
      return ids.includes(x) && ids.includes(y) && ids.indexOf(x) < ids.indexOf(y);
    },
    {},
    a,
    b,
  );

it('a line that may change places does, keeps its place after a reload, and is undone', async () => {
  await goTo(page, demoUrl(), '/jobs/sheave-axle/route', 'Part off');
  await stands('finish-turn@s2', 'finish-turn@s1');
  await move('finish-turn@s1', 'ArrowUp');
  await stands('finish-turn@s1', 'finish-turn@s2');
  await saved(page);
  await page.reload({ waitUntil: 'networkidle0' });
  await stands('finish-turn@s1', 'finish-turn@s2');
  await move('finish-turn@s1', 'ArrowDown');
  await stands('finish-turn@s2', 'finish-turn@s1');
  await saved(page);
});

it('one that may not says which rule forbids it, and nothing moves', async () => {
  const before = await order();
  await move('thread@s1', 'ArrowUp');
  await sees(page, 'Undercut stays before thread: a thread starts from a chamfer and runs out into room.');
  expect(await order()).toEqual(before);
  await press(page, 'close');
  await move('load@right', 'ArrowUp');
  await sees(page, 'it is the first of its setup');
});

it('says on the slate why a step stands where it stands', async () => {
  await goTo(page, demoUrl(), '/jobs/sheave-axle/route?at=thread@s1', 'Why here');
  await page.waitForFunction(() => document.querySelector('[data-testid="stands"]')?.textContent.includes('after undercut') === true);
});

it('a step of one’s own stands between any two lines, is kept by the planner, changed, and taken out', async () => {
  await goTo(page, demoUrl(), '/jobs/sheave-axle/route?at=rough-turn@s1', 'own step after 4');
  await press(page, 'own step after 4');
  await page.keyboard.type('stamp the number');
  await page.type('#root label + input[inputmode="decimal"]', '0');
  await page.keyboard.press('Enter');
  await sees(page, 'stamp the number');
  await page.waitForFunction(() => [...document.querySelectorAll('.ops tr')].findIndex((r) => r.textContent.includes('stamp the number')) === 4);
  await saved(page);
  await page.reload({ waitUntil: 'networkidle0' });
  await sees(page, 'stamp the number');
  await page.evaluate(() => [...document.querySelectorAll<HTMLElement>('.ops tr')].find((r) => r.textContent.includes('stamp the number'))?.click());
  await page.waitForSelector('[aria-label="minutes of this own step"]');
  expect(await page.$eval('[aria-label="minutes of this own step"]', (i) => (i as HTMLInputElement).value)).toBe('10');
  expect(await violations(page)).toEqual([]);
  await press(page, 'take it out');
  await page.waitForFunction(() => !document.body.innerText.includes('stamp the number'));
  await saved(page);
});

it('goes out as CSV, a line a step', async () => {
  const { next, remove } = await downloads(page);
  await press(page, 'the sheet as CSV');
  const text = readFileSync(await next(), 'utf8');
  expect(text.trim().split('\r\n')).toHaveLength(1 + (await order()).length);
  remove();
});

it('lays other ways side by side, takes one whole, and undo brings the first back', async () => {
  await goTo(page, demoUrl(), '/jobs/windlass-spindle/route', 'other ways to make it');
  await page.click('details:nth-of-type(2) summary');
  await page.waitForSelector('[data-way="sawn off and faced"]');
  expect(await crowded(page)).toEqual([]);
  expect(await violations(page)).toEqual([]);
  await page.click('[data-way="sawn off and faced"] td:last-child button');
  await sees(page, 'Saw off');
  await saved(page);
  await page.keyboard.down('Control');
  await page.keyboard.press('z');
  await page.keyboard.up('Control');
  await page.waitForSelector('[data-step^="part-off@"]');
});

it('lays every length on one chart: a length pressed shows what it hangs on; it prints with the sheet', async () => {
  await goTo(page, demoUrl(), '/jobs/sheave-axle/route', 'on one chart');
  const chart = 'table[aria-label="Tolerance chart"]';
  const open = await page.waitForSelector('details:has(table[aria-label="Tolerance chart"]) summary');
  await open?.click();
  const chosen = () => page.$$eval(`${chart} tr.chosen`, (all) => all.map((e) => (e as HTMLElement).innerText.split(/[\t\n]/)[0]));
  await press(page, 'row 2');
  // from face A two shoulders are made, row 2 lies between them
  expect(await chosen()).toHaveLength(3);
  expect((await chosen()).at(-1)).toBe('row 2');
  await press(page, 'row 2');
  expect(await chosen()).toEqual([]);
  expect(await crowded(page)).toEqual([]);
  expect(await violations(page)).toEqual([]);
  await page.emulateMediaType('print');
  await page.evaluate(() => window.dispatchEvent(new Event('beforeprint')));
  await page.waitForSelector('.traveller .length-chart');
  await page.evaluate(() => window.dispatchEvent(new Event('afterprint')));
  await page.emulateMediaType('screen');
});

it('several pieces: both orders with their minutes, the other taken and undone', async () => {
  await goTo(page, demoUrl(), '/jobs/mast-dowel/route', '4 pieces: each setup');
  const summary = await page.waitForSelector('::-p-xpath(//summary[contains(., "4 pieces")])');
  await summary?.click();
  await page.waitForSelector('[data-batch="piece"] button.btn');
  const rows = await page.$$eval('[data-batch]', (all) => all.map((e) => (e as HTMLElement).innerText));
  expect(rows).toHaveLength(2);
  for (const said of rows) expect(said).toMatch(/\d:\d\d/);
  expect(await crowded(page)).toEqual([]);
  await page.click('[data-batch="piece"] button.btn');
  await page.waitForSelector('[data-batch="operation"] button.btn');
  await saved(page);
  await page.keyboard.down('Control');
  await page.keyboard.press('z');
  await page.keyboard.up('Control');
  await page.waitForSelector('[data-batch="piece"] button.btn');
});
