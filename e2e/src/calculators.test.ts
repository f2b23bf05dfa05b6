/* Every calculator as a screen of its own, and the addresses that it is given wrong. */
import { calculators } from '@obra/core/handbook';
import type { Browser, Page } from 'puppeteer-core';
import { demoUrl, freshPage, goTo, sees, sharedBrowser } from './harness';
import { crowded, violations } from './layout';

let browser: Browser;
let page: Page;
let complaints: readonly string[];
let close: () => Promise<void>;

beforeAll(async () => {
  browser = await sharedBrowser();
  ({ page, complaints, close } = await freshPage(browser, demoUrl()));
  await page.setViewport({ width: 1024, height: 768 });
});

afterAll(async () => {
  await close();
  await browser.disconnect();
});

it.each(calculators.map((c) => [c.id, c.title] as const))(
  '%s: nothing cut off or over other things, in both units, and open to all',
  async (id, title) => {
    await goTo(page, demoUrl(), `/handbook/${id}`, 'Source: ');
    expect(await page.$eval('main h1', (e) => e.textContent)).toBe(title);
    expect(await crowded(page)).toEqual([]);
    expect(await violations(page)).toEqual([]);
    if (id !== 'materials') expect(await page.$eval('svg.sketch', (e) => e.getAttribute('aria-label'))).not.toBe('');
    const before = await page.$eval('.slate', (e) => (e as HTMLElement).innerText);
    await page.keyboard.press('u');
    expect(await crowded(page)).toEqual([]);
    // every cell can be reached and has a name
    expect(await page.$$eval('.asked input, .asked select', (all) => all.every((e) => (e as HTMLInputElement).labels?.length === 1))).toBe(true);
    await page.keyboard.press('u');
    expect(await page.$eval('.slate', (e) => (e as HTMLElement).innerText)).toBe(before);
  },
);

describe('an address that is wrong', () => {
  it.each([
    ['/handbook/threads?d=', 'Thread: nothing is typed'],
    ['/handbook/threads?d=%3Cscript%3Ealert(1)%3C%2Fscript%3E', 'is no thread of this table'],
    [`/handbook/sizes?d=${'9'.repeat(400)}`, 'more than 60 characters'],
    ['/handbook/drill-points?d=-10', 'negative'],
    ['/handbook/drill-points?d=1e400&angle=118', 'is not a length'],
    ['/handbook/drill-points?angle=117', 'none of'],
    ['/handbook/bolt-circle?n=0', 'outside 1 to 200'],
    ['/handbook/bolt-circle?n=6&over=abc&between=1', 'is not a length'],
    ['/handbook/speeds?speeds=', 'at least one number'],
    ['/handbook/change-gears?wheels=20+0+40', 'outside 8 to 300'],
    ['/handbook/deflection?d=20&di=20', 'The bore must be smaller than the bar'],
    ['/handbook/fits?u=furlongs&d=25+H7%2Fg6', '0.041 mm'],
    ['/handbook/fits?for=nowhere~outside~x', 'back to the drawing'],
    ['/handbook/fits?for=%7E%7E%7E', 'most clearance'],
  ])('%s', async (path, words) => {
    await goTo(page, demoUrl(), path, words);
    expect(await violations(page)).toEqual([]);
  });

  it('a row that is gone takes nothing, and nothing is lost', async () => {
    await goTo(page, demoUrl(), '/handbook/sizes?d=19+f7&for=sheave-axle~outside~gone', 'use 19 f7 in the job');
    await page.evaluate(() => [...document.querySelectorAll<HTMLButtonElement>('.slate button')].find((b) => b.innerText.startsWith('use'))?.click());
    await sees(page, 'edge to A');
    expect(await page.$$eval('[data-cell$=".size"]', (all) => all.map((e) => (e as HTMLInputElement).value))).toEqual(['M12', '19 h7', '25']);
  });
});

it('goes back and forth between addresses, each with what was typed in it', async () => {
  await goTo(page, demoUrl(), '/handbook/threads?d=M8', 'Read as M8x1.25-6g');
  await page.evaluate(() => document.querySelector<HTMLAnchorElement>('.contents a[href="/handbook/tapers"]')?.click());
  await sees(page, 'compound set to');
  await page.goBack();
  await sees(page, 'Read as M8x1.25-6g');
  expect(await page.$eval('#ask-d', (e) => (e as HTMLInputElement).value)).toBe('M8');
  await page.goForward();
  await sees(page, 'compound set to');
});

it('nothing was complained of on the way', () => {
  expect(complaints).toEqual([]);
});
