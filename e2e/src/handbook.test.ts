/* The Handbook as it is used: found, filtered, typed in, opened, linked, copied, pinned, and handed back to a drawing. */
import type { Browser, Page } from 'puppeteer-core';
import { demoUrl, freshPage, goTo, press, saved, sees, sharedBrowser } from './harness';
import { violations } from './layout';

let browser: Browser;
let page: Page;
let complaints: readonly string[];
let close: () => Promise<void>;

beforeAll(async () => {
  browser = await sharedBrowser();
  ({ page, complaints, close } = await freshPage(browser, demoUrl()));
});

afterAll(async () => {
  await close();
  await browser.disconnect();
});

/** Replaces what stands in a cell, letter by letter, as a person does. */
async function type(name: string, text: string): Promise<void> {
  await page.waitForSelector(`#ask-${name}`);
  await page.focus(`#ask-${name}`);
  await page.$eval(`#ask-${name}`, (e) => (e as HTMLInputElement).select());
  await page.keyboard.press('Backspace');
  await page.keyboard.type(text);
}

const answer = () => page.$eval('.slate', (e) => (e as HTMLElement).innerText.replace(/\s+/g, ' '));
const untilAnswer = (words: string) =>
  page.waitForFunction(
    (w: string) => document.querySelector<HTMLElement>('.slate')?.innerText.replace(/\s+/g, ' ').includes(w) === true,
    { polling: 100 },
    words,
  );
const cell = (id: string) => page.$eval(`[data-cell="${id}"]`, (e) => (e as HTMLInputElement).value);

it('is found by its door and filtered by a few letters, by keyboard', async () => {
  await press(page, 'close');
  await page.click('nav[aria-label="Doors"] a[href="/handbook"]');
  await page.waitForFunction(() => document.activeElement?.getAttribute('aria-label') === 'Filter the calculators');
  await page.keyboard.type('whitworth');
  await page.waitForFunction(() => document.querySelectorAll('.columns li').length === 1);
  await page.keyboard.press('Enter');
  await sees(page, 'pitch diameter, largest');
  expect(new URL(page.url()).pathname).toBe('/handbook/threads');
});

it('answers while one types, in both units, and keeps the last good answer while it does not read', async () => {
  await type('d', 'M12x1.5-6g');
  await untilAnswer('Ø10.994 mm Ø.4328 in');
  await type('d', '1/2-13 UNC-2A');
  await untilAnswer('pitch diameter, largest Ø11.392 mm Ø.4485 in');
  await page.keyboard.type('x');
  await untilAnswer('is no thread of this table');
  expect(await answer()).toContain('Ø.4485 in');
  expect(await page.$eval('#ask-d', (e) => e.getAttribute('aria-invalid'))).toBe('true');
  await press(page, 'M12x1.5-6g');
  await untilAnswer('Ø10.994 mm');
});

it('opens formula, values and source of a number', async () => {
  await page.click('.answer dd button');
  await sees(page, 'basic size + deviation of the table');
  await sees(page, 'ISO 965-1:2013, from memory');
  await page.keyboard.press('Escape');
});

it('stands in its address: a link and a reload bring all of it back', async () => {
  await page.goto(`${demoUrl()}/handbook/bolt-circle?n=5&D=3&u=in&start=0`);
  await untilAnswer('hole to the next 44.789 mm 1.7634 in');
  await page.reload();
  await untilAnswer('hole to the next 44.789 mm 1.7634 in');
  expect(await page.$eval('svg.sketch', (e) => e.getAttribute('aria-label'))).toContain('5 holes on a circle');
});

it('reads bare numbers in the unit of the page, and leaves those typed before in theirs', async () => {
  await page.goto(`${demoUrl()}/handbook/drill-points?d=10&depth=20`);
  await untilAnswer('to the tip 23.00 mm');
  await page.keyboard.press('u');
  await untilAnswer('to the tip .906 in');
  await type('depth', '1');
  await untilAnswer('to the tip 1.118 in');
  expect(await page.$eval('#ask-d', (e) => (e as HTMLInputElement).value)).toBe('10 mm');
  await page.keyboard.press('Escape');
  await page.keyboard.press('u');
  await untilAnswer('to the tip 28.40 mm');
});

it('copies its result as plain lines', async () => {
  await page.goto(`${demoUrl()}/handbook/fits?d=25+H7%2Fg6`);
  await untilAnswer('0.041 mm');
  await page.evaluate(() => {
    const kept: string[] = [];
    Object.assign(window, { kept });
    Object.defineProperty(navigator, 'clipboard', { value: { writeText: (t: string) => (kept.push(t), Promise.resolve()) } });
  });
  await press(page, 'copy');
  await sees(page, 'copied');
  const [text] = await page.evaluate(() => (window as unknown as { kept: string[] }).kept);
  expect(text).toContain('most clearance: 0.041 mm\nleast clearance: 0.007 mm');
  expect(text).toContain('Source: ISO 286');
});

it('remembers what was opened, and what is pinned, over a reload', async () => {
  await press(page, 'pin');
  await page.waitForSelector('button[aria-pressed="true"]');
  await goTo(page, demoUrl(), '/handbook', 'Opened last');
  const first = await page.$$eval('.columns section', (all) => all.slice(0, 2).map((s) => s.innerText.split('\n').filter((l) => l !== '')));
  expect(first[0]).toEqual(['Pinned', 'Fit of a hole and a shaft']);
  expect(first[1]).toContain('Depth of a drill’s point');
});

it('the finder leads there with what was typed', async () => {
  await page.keyboard.press('Escape');
  await page.keyboard.press('/');
  await page.waitForSelector('input[aria-label="Find a job, a place or a size"]');
  await page.keyboard.type('10-32 tap');
  await sees(page, 'Tap drill, 10-32');
  await page.keyboard.press('Enter');
  await untilAnswer('take #21');
  expect(new URL(page.url()).search).toContain('?d=10-32');
});

it('fills the cell that one came from, once, as one step that can be undone', async () => {
  await goTo(page, demoUrl(), '/jobs/sheave-axle/drawing', 'edge to A');
  await page.focus('[data-cell="s2.size"]');
  await page.click('a.look-up');
  await untilAnswer('Ø18.979 mm');
  await page.reload();
  await untilAnswer('Ø18.979 mm');
  await type('d', '19 f7');
  await untilAnswer('Ø18.980 mm');
  await press(page, 'use 19 f7 in the job');
  await page.waitForFunction(() => document.activeElement?.getAttribute('data-cell') === 's2.size');
  expect(await cell('s2.size')).toBe('19 f7');
  await saved(page);
  await page.reload();
  await sees(page, 'edge to A');
  expect(await cell('s2.size')).toBe('19 f7');
});

it('and undo takes it back', async () => {
  await page.focus('[data-cell="s2.size"]');
  await page.click('a.look-up');
  await type('d', '19 e8');
  await press(page, 'use 19 e8 in the job');
  await page.waitForFunction(() => document.querySelector<HTMLInputElement>('[data-cell="s2.size"]')?.value === '19 e8');
  await page.keyboard.down('Control');
  await page.keyboard.press('z');
  await page.keyboard.up('Control');
  await page.waitForFunction(() => document.querySelector<HTMLInputElement>('[data-cell="s2.size"]')?.value === '19 f7');
});

it('says so when there is no such page, and on a narrow screen puts the answer under the question', async () => {
  await goTo(page, demoUrl(), '/handbook/nowhere', 'No such page in the Handbook');
  await page.setViewport({ width: 820, height: 1100 });
  await goTo(page, demoUrl(), '/handbook/tapers', 'compound set to');
  const [asked, slate] = await page.$$eval('.handbook > main, .handbook > .slate', (all) =>
    all.map((e) => e.getBoundingClientRect()).map((r) => [r.top, r.bottom]),
  );
  expect(slate?.[0]).toBeGreaterThanOrEqual(asked?.[1] ?? Infinity);
  await sees(page, 'all calculators');
  expect(await violations(page)).toEqual([]);
});

it('nothing was complained of on the way', () => {
  expect(complaints).toEqual([]);
});
