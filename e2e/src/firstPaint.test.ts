/* The opening page before its script: it stands as markup, and what is typed or pressed on it meanwhile is taken over by the page that comes. */
import type { Browser, HTTPRequest, Page } from 'puppeteer-core';
import { demoUrl, freshPage, sees, sharedBrowser } from './harness';

let browser: Browser;
let open: Awaited<ReturnType<typeof freshPage>>;
let page: Page;
let held: HTTPRequest[];
let holding: boolean;

beforeAll(async () => {
  browser = await sharedBrowser();
});
beforeEach(async () => {
  open = await freshPage(browser, 'about:blank');
  page = open.page;
  [held, holding] = [[], false];
  await page.setBypassServiceWorker(true);
  await page.setRequestInterception(true);
  page.on('request', (request) => {
    if (holding && /\/assets\/index-[^/]*\.js$/.test(request.url())) held.push(request);
    else void request.continue();
  });
});
afterEach(async () => {
  const { complaints, close } = open;
  await close();
  expect(complaints).toEqual([]);
});
afterAll(() => browser.disconnect());

/** Opens the page, the app itself held back. */
async function opened(): Promise<void> {
  [held, holding] = [[], true];
  await page.goto(demoUrl(), { waitUntil: 'domcontentloaded' });
  await page.waitForSelector('#still .samples button');
}

/** Lets the app come, and waits until it stands in the place of the markup. */
async function letCome(): Promise<void> {
  holding = false;
  await Promise.all(held.map((request) => request.continue()));
  await page.waitForFunction(() => !document.getElementById('still') && document.querySelector('.samples, .rows, .slate'));
}

const boxes = (selectors: readonly string[]) =>
  page.evaluate(
    (all: readonly string[]) =>
      all.map((one) => {
        const { x, y, width, height } = document.querySelector(one)?.getBoundingClientRect() ?? new DOMRect();
        return `${one} ${[x, y, width, height].map((n) => n.toFixed(1)).join(' ')}`;
      }),
    selectors,
  );
const line = () => page.$eval('#line', (cell) => (cell as HTMLInputElement).value);

it('is seen whole without any script, its doors lead somewhere', async () => {
  await page.setJavaScriptEnabled(false);
  await page.goto(demoUrl(), { waitUntil: 'load' });
  const { text, doors } = await page.evaluate(() => ({
    text: document.body.innerText,
    doors: [...document.querySelectorAll('a')].map((a) => a.getAttribute('href')),
  }));
  for (const words of ['Type the part from its free end', 'Samples', 'stepped bolt', 'the machine is yours']) expect(text).toContain(words);
  for (const door of ['/jobs', '/shop', '/handbook', '/practice', '/logbook', '/dial', '/guide']) expect(doors).toContain(door);
});

it('what was typed before the app came stands in the line and is read; the cursor stays in it', async () => {
  await opened();
  expect(await page.evaluate(() => document.activeElement?.id)).toBe('line');
  await page.keyboard.type('20 h7 x 3');
  await letCome();
  await page.keyboard.type('0');
  await sees(page, '1 row, 30 mm long');
  expect(await line()).toBe('20 h7 x 30');
});

it.each([
  ['a sample', '.samples button:nth-child(3)', '16 g6 x 30'],
  ['find', 'button[aria-keyshortcuts="/"]', ''],
])('%s that was pressed before the app came is pressed', async (_, button, typed) => {
  await opened();
  await page.click(button);
  expect(await page.$('.modal')).toBeNull();
  await letCome();
  if (typed === '') await page.waitForSelector('.modal input');
  else await page.waitForFunction((text: string) => document.querySelector<HTMLInputElement>('#line')?.value.startsWith(text), {}, typed);
});

it.each([
  [1280, 800, false],
  [1280, 680, false],
  [1024, 768, false],
  [1280, 680, true],
])('nothing moves when the app comes, %i by %i, cautioned before: %s', async (width, height, told) => {
  await page.setViewport({ width, height });
  if (told) await page.evaluateOnNewDocument(() => localStorage.setItem('obra-cautioned', 'before'));
  await opened();
  const all = ['header', '#line', '.bar', '.slate', '.sheet h2'];
  const before = await boxes(all);
  await letCome();
  expect(await boxes(all)).toEqual(before);
  expect(await page.evaluate(() => document.querySelector('.notice') === null)).toBe(told);
});

it('is dark from its first moment where the system wishes it', async () => {
  await page.emulateMediaFeatures([{ name: 'prefers-color-scheme', value: 'dark' }]);
  await opened();
  expect(await page.evaluate(() => document.documentElement.dataset['bsTheme'])).toBe('dark');
  await letCome();
  expect(await page.evaluate(() => document.documentElement.dataset['bsTheme'])).toBe('dark');
});

it('stands at the opening page alone: another address shows nothing of it', async () => {
  const text = await (await fetch(`${demoUrl()}/jobs`)).text();
  expect(text).not.toContain('stepped bolt');
  expect(await (await fetch(demoUrl())).text()).toContain('stepped bolt');
});
