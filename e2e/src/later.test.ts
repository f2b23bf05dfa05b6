/* What comes after the first plan: a piece already started, a drawing changed once cutting has begun, two jobs out of one bar. */
import type { Entry, Job } from '@obra/core/document';
import type { Browser, Page } from 'puppeteer-core';
import { demoUrl, fill, freshPage, goTo, inEmpty, press, saved, sees, sharedBrowser, stored } from './harness';
import { violations } from './layout';

let browser: Browser;
let page: Page;
let complaints: readonly string[];
let close: () => Promise<void>;

beforeAll(async () => {
  browser = await sharedBrowser();
  ({ page, complaints, close } = await freshPage(browser, `${demoUrl()}/jobs`));
});

afterAll(async () => {
  await close();
  await browser.disconnect();
});

async function newJob(name: string, rows: readonly string[]): Promise<string> {
  await goTo(page, demoUrl(), '/jobs', 'new job');
  await press(page, 'new job');
  await sees(page, 'Type the first row');
  await fill(page, 'Name', name);
  await press(page, 'add a row');
  for (const row of rows) {
    await inEmpty(page, 'size');
    await page.keyboard.type(row);
    await page.keyboard.press('Enter');
  }
  await inEmpty(page, 'size');
  await saved(page);
  return /jobs\/([^/]+)\//.exec(page.url())?.[1] ?? '';
}

async function jobNow(id: string): Promise<Job> {
  await saved(page);
  return (((await stored(page))[`job/${id}`] ?? {}) as { job: Job }).job;
}

const changed = async (id: string) =>
  Object.entries(await stored(page)).flatMap(([key, e]) => (key.startsWith(`log/${id}/`) && (e as Entry).kind === 'changed' ? [e as Entry] : []));

let worn = '';

it('trues a worn shaft: what it is now is the stock', async () => {
  worn = await newJob('Worn shaft', ['20 h7 x 40', '30 x 60']);
  await press(page, 'more');
  await press(page, 'a piece already started');
  for (const row of ['24 x 41', '30 x 60']) {
    await inEmpty(page, 'size');
    await page.keyboard.type(row);
    await page.keyboard.press('Enter');
  }
  await fill(page, 'stands beyond finished face A by', '1');
  await sees(page, 'beyond face B');
  expect((await jobNow(worn)).startsAs?.outside.map((r) => r.size.text)).toEqual(['24', '30', '']);
  expect(await violations(page)).toEqual([]);
  await goTo(page, demoUrl(), `/jobs/${worn}/route`, 'give out to the Bench');
  await page.waitForSelector('.ops tr[data-step]');
  const steps = await page.$$eval('.ops tr[data-step]', (rows) => rows.map((r) => (r as HTMLElement).dataset['step']));
  expect(steps).toEqual(expect.arrayContaining(['face@right', 'rough-turn@', 'finish-turn@'].map((s) => expect.stringContaining(s) as string)));
  expect(steps.filter((s) => /part-off|saw-off/.test(s ?? ''))).toEqual([]);
  await goTo(page, demoUrl(), `/jobs/${worn}/holding`, 'The piece as it is');
  // how it gives way stands on the bar and on the slate
  await page.waitForSelector('[data-testid="bent"]');
  expect(await page.$eval('.slate', (e) => (e as HTMLElement).innerText)).toContain('spring, finishing');
});

it('says at once where the piece is too small, in the drawing', async () => {
  await goTo(page, demoUrl(), `/jobs/${worn}/drawing`, 'The piece as it is now');
  await fill(page, 'size, row 1, as it is', '19');
  await sees(page, 'the piece is Ø19 mm there');
  await press(page, 'undo');
  await page.waitForFunction(() => !document.body.innerText.includes('the piece is Ø19 mm there'));
});

it('a surface is finished by what is said of it, else by its size: it is held under pads or bitten', async () => {
  const isHeldIn = async (held: string) => {
    await goTo(page, demoUrl(), `/jobs/${worn}/holding`, 'The piece as it is');
    await page.waitForSelector('[data-testid="bent"]');
    // pads in the four-jaw, or bitten in the three-jaw
    await page.waitForFunction((held) => document.body.innerText.includes(`Holding\n${held}`), {}, held);
    await goTo(page, demoUrl(), `/jobs/${worn}/drawing`, 'The piece as it is now');
  };
  await isHeldIn('four-jaw');
  const surface = '[aria-label="surface, row 2, as it is"]';
  await page.locator(surface).fill('pink');
  expect(await page.$eval(surface, (e) => e.getAttribute('aria-invalid'))).toBe('true');
  await page.locator(surface).fill('sawn');
  await page.waitForSelector(`${surface}[aria-invalid="false"]`);
  expect(await violations(page)).toEqual([]);
  await isHeldIn('three-jaw');
});

it('takes what is cut in the piece already: a groove too deep for the part is said', async () => {
  await press(page, 'cut in it as it is');
  await press(page, 'groove');
  await page.waitForFunction(() => document.activeElement?.getAttribute('aria-label') === 'at, groove 1, as it is');
  await page.keyboard.type('10');
  await fill(page, 'size, groove 1, as it is', '19');
  await fill(page, 'length or width, groove 1, as it is', '3');
  await sees(page, 'the piece is Ø19 mm there');
  expect((await jobNow(worn)).startsAs?.details.map((d) => [d.kind, d.size.text])).toEqual([['groove', '19']]);
  expect(await violations(page)).toEqual([]);
  await page.click('[aria-label="delete groove 1, as it is"]');
  await page.waitForFunction(() => !document.body.innerText.includes('the piece is Ø19 mm there'));
});

it('keeps the old size and the reason of a change after cutting began, and what it touches', async () => {
  await goTo(page, demoUrl(), `/jobs/${worn}/route`, 'give out to the Bench');
  await page.waitForSelector('.ops tr[data-step]');
  await press(page, 'give out to the Bench');
  await sees(page, 'step 1 of');
  await press(page, 'Next');
  await sees(page, 'step 2 of');
  await goTo(page, demoUrl(), `/jobs/${worn}/drawing`, 'The part');
  await fill(page, 'size, row 1', '19.9 h7');
  await sees(page, 'Changed since cutting began');
  const row = await page.$eval('[data-change$=".diameter"]', (e) => (e as HTMLElement).innerText);
  expect(row).toContain('20 h7');
  expect(row).toContain('19.9 h7');
  expect(await violations(page)).toEqual([]);
  await fill(page, 'why, row 1, size', 'the bush is worn');
  await press(page, 'keep');
  await page.waitForSelector('[data-changed$=".diameter"]');
  expect(await changed(worn)).toMatchObject([{ was: '20 h7', now: '19.9 h7', why: 'the bush is worn' }]);
});

it('writes down what was changed without a reason when the job is taken back', async () => {
  await fill(page, 'length, row 2', '59');
  await page.waitForSelector('[data-change$=".length"]');
  await saved(page);
  await goTo(page, demoUrl(), `/jobs/${worn}/route`, 'take it back');
  await press(page, 'take it back');
  await sees(page, 'give out to the Bench');
  await saved(page);
  await goTo(page, demoUrl(), `/jobs/${worn}/drawing`, 'no reason given');
  expect((await changed(worn)).length).toBe(2);
});

it('cuts a second job out of what the first leaves of its bar', async () => {
  await newJob('Weight', ['24 x 60']);
  const second = await newJob('Collar', ['24 x 20']);
  await goTo(page, demoUrl(), `/jobs/${second}/holding`, 'Saw or pull out');
  const handle = await page.waitForFunction(
    () =>
      [...document.querySelectorAll<HTMLOptionElement>('select[aria-label="Cut after"] option')].find((o) => o.textContent === 'after Weight')?.value,
  );
  const value = (await handle.jsonValue()) ?? '';
  await page.select('select[aria-label="Cut after"]', value);
  await sees(page, 'left of it');
  // greyed while it is planned anew
  await page.waitForFunction(() => document.querySelector('.older') === null, { polling: 100 });
  expect(await violations(page)).toEqual([]);
  expect((await jobNow(second)).choices).toMatchObject([{ kind: 'bar', after: value }]);
  await page.select('select[aria-label="Cut after"]', '');
  await page.waitForFunction(() => !document.body.innerText.includes('left of it'));
});

it('complained of nothing on the way', () => {
  expect(complaints).toEqual([]);
});
