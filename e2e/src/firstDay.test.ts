/* A machinist's first day, from an empty store: type, hold, route, size, inspect, carry out and in. */
import { readFileSync } from 'node:fs';
import type { Browser, Page } from 'puppeteer-core';
import {
  advice,
  downloads,
  emptyUrl,
  enterReading,
  freshPage,
  press,
  saved,
  sees,
  sharedBrowser,
  stored,
  takeCut,
  untilStep,
  settle,
} from './harness';

let browser: Browser;
let page: Page;
let complaints: readonly string[];
let close: () => Promise<void>;
let files: Awaited<ReturnType<typeof downloads>>;
let exported = '';

beforeAll(async () => {
  browser = await sharedBrowser();
  ({ page, complaints, close } = await freshPage(browser, emptyUrl()));
  files = await downloads(page);
});

afterAll(async () => {
  await close();
  files.remove();
  await browser.disconnect();
});

const jobUrl = () => page.url().replace(/\/(drawing|holding|route|bench|inspection).*$/, '');

it('has the cursor in the one cell', async () => {
  expect(await page.evaluate(() => document.activeElement?.id)).toBe('line');
});

it('says once that the machine’s manual comes first', async () => {
  await sees(page, 'licensed or supervised practice come first');
  await press(page, 'close');
  expect(await page.$('.notice')).toBeNull();
});

it('draws the typed line at once and plans it with the assumed lathe', async () => {
  await page.type('#line', '1/2-13 x 3/4; 3/4 -.001 x 1; 1 x 1-1/2');
  await sees(page, '3 rows, 3.25 in long, read in inches');
  await sees(page, 'Part off');
  await sees(page, 'small bench lathe (assumed)');
  const labels = await page.$$eval('[data-testid="bar"] text', (all) => all.map((t) => t.textContent));
  expect(labels).toEqual(expect.arrayContaining(['1/2-13 UNC-2A', 'Ø 3/4 -.001', 'Ø 1', '3/4', '1', '1-1/2', '3.25 in']));
});

it('opens the formula of a number', async () => {
  const number = await page.$('.slate .big button');
  await number?.click();
  await sees(page, 'part + facing at A + facing at B');
  await page.keyboard.press('Escape');
});

it('lets every assumption be changed: another bar changes what to saw', async () => {
  const bars = await page.$$eval('select[aria-label="Bar"] option', (all) => all.map((o) => o.value));
  expect(bars.length).toBeGreaterThan(4);
  const before = await page.$eval('.slate', (e) => (e as HTMLElement).innerText);
  await page.select('select[aria-label="Bar"]', 'mild-1-1-2');
  await page.waitForFunction(
    (was: string) => document.querySelector<HTMLElement>('.slate')?.innerText !== was && document.body.innerText.includes('1-1/2'),
    {},
    before,
  );
});

it('is kept as a job, all of it', async () => {
  await press(page, 'keep as a job');
  await page.waitForFunction(() => location.pathname.endsWith('/drawing'));
  await sees(page, 'add a row');
  expect(await page.$$eval('[data-cell$=".size"]', (all) => all.map((e) => (e as HTMLInputElement).value))).toEqual(['1/2-13', '3/4 -.001', '1']);
});

it('takes another holding', async () => {
  await page.keyboard.press('Escape');
  await page.keyboard.press('2');
  await sees(page, 'Saw or pull out');
  await page.click('[data-holding="three-jaw+centre"] td:last-child button');
  await page.waitForFunction(() => document.querySelector('[data-holding="three-jaw+centre"]')?.textContent.includes('taken') === true);
  await page.waitForSelector('[data-role="centre"]');
  await saved(page);
});

it('walks the route, with what each step removes filled on the bar', async () => {
  await page.keyboard.press('3');
  await sees(page, 'Bring the centre up');
  const steps = await page.$$eval('.ops tr[data-step]', (rows) => rows.length);
  let removing = 0;
  for (let i = 0; i < steps; i++) {
    await page.keyboard.press(']');
    await page.waitForFunction((n: number) => document.querySelectorAll('.ops tr[data-step]')[n]?.getAttribute('aria-current') === 'step', {}, i);
    if ((await page.$('[data-testid="bar"] [data-role="removed"]')) !== null) removing++;
  }
  expect(removing).toBeGreaterThan(8);
  await page.keyboard.press('[');
  expect(await page.$eval('.ops tr[aria-current]', (e) => (e as HTMLElement).dataset['step'])).toBe('face@left');
});

it('is given out to the Bench and sizes the 3/4 in three measurements, one of them hot', async () => {
  await press(page, 'give out to the Bench');
  await sees(page, 'step 1 of');
  await untilStep(page, '.7490');
  expect((await advice(page)).next).toBe('measure');
  await enterReading(page, '.7750');
  expect((await advice(page)).next).toBe('twoCuts');
  await takeCut(page);
  // 70 C over a 20 C room: 19.35 mm of steel reads 0.0113 mm, .0004 in, over
  await enterReading(page, '.7626', '70C');
  const hot = await advice(page);
  expect(hot.text).toContain('70 °C');
  expect(hot.text).toContain('cold .7622');
  expect(['cut', 'twoCuts']).toContain(hot.next);
  await takeCut(page);
  await enterReading(page, '.7495', '20C');
  expect((await advice(page)).text).toContain('In.');
  await settle();
  await page.keyboard.press('Enter');
});

it('stands in the inspection, within limits in both units', async () => {
  await page.goto(`${jobUrl()}/inspection`);
  await sees(page, '✓ in');
  const line = await page.$eval('[data-item="s2.diameter"]', (e) => (e as HTMLElement).innerText);
  expect(line).toContain('.7490 – .7500');
  expect(line).toContain('19.025 – 19.050');
  // 1/2-13 UNC-2A, pitch diameter .4435 to .4485 in, ASME B1.1 from memory
  expect(await page.$eval('[data-item="s1.thread"]', (e) => (e as HTMLElement).innerText)).toContain('.4435 – .4485');
  await page.type('[data-item="s3.length"] input', '1.502');
  await page.keyboard.press('Enter');
  await page.waitForFunction(() => document.querySelector('[data-item="s3.length"]')?.textContent.includes('in') === true);
});

it('prints on one page', async () => {
  const pdf = Buffer.from(await page.pdf({ preferCSSPageSize: true })).toString('latin1');
  expect(pdf.match(/\/Type\s*\/Page[^s]/g)).toHaveLength(1);
});

it('goes out as one file, is deleted, and comes in again as it was', async () => {
  const before = await stored(page);
  await page.goto(`${emptyUrl()}/jobs`);
  await sees(page, 'piece 1, step');
  const name = await page.$eval('table[aria-label="Jobs"] strong', (e) => e.textContent);
  await press(page, `actions for ${name}`);
  await press(page, 'export as a file');
  exported = await files.next();
  expect(exported).toContain('.obra.json');
  await press(page, `actions for ${name}`);
  await press(page, 'delete');
  await sees(page, 'No jobs yet');
  expect(Object.keys(await stored(page)).filter((key) => key.startsWith('job/') || key.startsWith('log/'))).toEqual([]);
  const input = await page.waitForSelector('input[type="file"]');
  await (input as unknown as { uploadFile: (path: string) => Promise<void> }).uploadFile(exported);
  await sees(page, 'is in the list');
  const after = await stored(page);
  const own = (of: Record<string, unknown>) => Object.fromEntries(Object.entries(of).filter(([key]) => key.startsWith('log/')));
  expect(own(after)).toEqual(own(before));
  const jobs = (of: Record<string, unknown>) =>
    Object.entries(of).flatMap(([key, value]) => (key.startsWith('job/') ? [(value as { job: unknown }).job] : []));
  expect(jobs(after)).toEqual(jobs(before));
  expect((JSON.parse(readFileSync(exported, 'utf8')) as { obra: string }).obra).toBe('job');
});

it('undoes a deletion', async () => {
  const name = await page.$eval('table[aria-label="Jobs"] strong', (e) => e.textContent);
  await press(page, `actions for ${name}`);
  await press(page, 'delete');
  await sees(page, 'is deleted');
  await press(page, 'undo');
  await page.waitForFunction((n: string | null) => document.querySelector('table[aria-label="Jobs"] strong')?.textContent === n, {}, name);
});

it('complained of nothing on the way', () => {
  expect(complaints).toEqual([]);
});
