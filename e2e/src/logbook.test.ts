/* The logbook: what was made is found by a word with its readings; what was learned is kept; everything goes into one file and comes back, united with what is there. */
import { readFileSync, rmSync, writeFileSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { SCHEMA } from '@obra/core/document';
import type { Browser, Page } from 'puppeteer-core';
import {
  demoUrl,
  downloads,
  emptyUrl,
  enterReading,
  freshPage,
  goTo,
  press,
  saved,
  sees,
  sharedBrowser,
  stored,
  takeCut,
  untilStep,
  pressNext,
} from './harness';
import { soundAt } from './layout';

let browser: Browser;
let page: Page;
let complaints: readonly string[];
let close: () => Promise<void>;
let files: Awaited<ReturnType<typeof downloads>>;
let backup = '';
const dir = mkdtempSync(join(tmpdir(), 'obra-logbook-'));

beforeAll(async () => {
  browser = await sharedBrowser();
  ({ page, complaints, close } = await freshPage(browser, `${demoUrl()}/jobs`));
  files = await downloads(page);
});

afterAll(async () => {
  await close();
  files.remove();
  rmSync(dir, { recursive: true, force: true });
  await browser.disconnect();
});

const records = async (of: Page = page) =>
  Object.fromEntries(Object.entries(await stored(of)).filter(([k]) => k.startsWith('log/') || k.startsWith('job/')));

async function give(path: string, to: Page = page): Promise<void> {
  const input = await (await to.waitForSelector('input[aria-label="Backup file"]'))?.toElement('input');
  await input?.uploadFile(path);
}

it('is empty until something was made, and says what to do', async () => {
  await goTo(page, demoUrl(), '/logbook', 'Nothing was made yet');
  await soundAt(page);
});

it('a job that was at the Bench stands in it with its readings, its verdicts and its time', async () => {
  await goTo(page, demoUrl(), '/jobs/sheave-axle/route', 'Part off');
  await press(page, 'give out to the Bench');
  await untilStep(page, '18.979');
  await enterReading(page, '19.626');
  await takeCut(page);
  await enterReading(page, '19.310');
  await takeCut(page);
  await enterReading(page, '18.992');
  await saved(page);
  await goTo(page, demoUrl(), '/logbook', 'Sheave axle');
  await sees(page, '✓ 1 in');
  await press(page, 'readings of Sheave axle');
  await sees(page, '19.626 → 19.310 → 18.992');
  await soundAt(page);
});

it('is found by any of its words, and nothing else is', async () => {
  await page.type('[aria-label="Find in the logbook"]', 'M12 axle');
  await sees(page, 'Sheave axle');
  await page.type('[aria-label="Find in the logbook"]', ' propeller');
  await sees(page, 'Nothing here has');
  await page.$eval('[aria-label="Find in the logbook"]', (e) => (e as HTMLInputElement).select());
  await page.keyboard.press('Backspace');
  await sees(page, 'Sheave axle');
});

const lessons = async () => ((await stored(page))['shop'] as { shop: { lessons: { accepted: boolean }[] } }).shop.lessons.map((l) => l.accepted);

it('what two cuts show of the lathe is proposed, kept, forgotten, refused, each with its way back', async () => {
  await sees(page, '% of the cut');
  await press(page, 'keep it');
  await sees(page, 'named in the route and at the dial');
  expect(await lessons()).toEqual([true]);
  await press(page, 'forget it');
  await page.waitForFunction(() => !document.body.innerText.includes('named in the route and at the dial'));
  expect(await lessons()).toEqual([]);
  await press(page, 'undo');
  await sees(page, 'named in the route and at the dial');
  expect(await lessons()).toEqual([true]);
  await press(page, 'forget it');
  await press(page, 'refuse it');
  await sees(page, 'Refused (1)');
  expect(await lessons()).toEqual([false]);
  await press(page, 'undo');
  await page.waitForFunction(() => !document.body.innerText.includes('Refused'));
  expect(await lessons()).toEqual([]);
});

it('answers what can be held from its own record, and says where so few tell little', async () => {
  await page.type('[aria-label="size or limits that are wanted"]', '25');
  await sees(page, 'with its class or its limits');
  await page.type('[aria-label="size or limits that are wanted"]', ' h6');
  await sees(page, 'of 1 came within 0.013 mm');
  await sees(page, 'From five sizes on');
  await page.$eval('[aria-label="size or limits that are wanted"]', (e) => (e as HTMLInputElement).select());
  await page.type('[aria-label="size or limits that are wanted"]', '±0.0001');
  await sees(page, 'the record does not tell');
  await sees(page, 'Tools by their record');
  await soundAt(page);
});

it('goes out whole as one file and changes nothing where it came from', async () => {
  await press(page, 'back up everything');
  backup = await files.next();
  expect(backup).toMatch(/obra-backup-\d{4}-\d\d-\d\d\.json$/);
  const before = await records();
  await give(backup);
  await sees(page, 'everything in it is here already');
  await press(page, 'close');
  expect(await records()).toEqual(before);
});

it('comes in to an empty browser as it was; readings made there come home and overwrite nothing', async () => {
  const before = await records();
  const other = await freshPage(browser, `${emptyUrl()}/logbook`);
  await give(backup, other.page);
  await sees(other.page, 'Sheave axle: comes in, with');
  await press(other.page, 'take it in');
  await sees(other.page, 'is taken in');
  const there = await records(other.page);
  const jobs = (of: Record<string, unknown>) => Object.fromEntries(Object.entries(of).map(([k, v]) => [k, (v as { job?: unknown }).job ?? v]));
  expect(jobs(there)).toEqual(jobs(before));
  // one more entry there, then home again
  const theirFiles = await downloads(other.page);
  await goTo(other.page, emptyUrl(), '/jobs/sheave-axle/bench', 'In.');
  await pressNext(other.page);
  await other.page.waitForFunction(() => !document.querySelector('.bench h1')?.textContent.includes('18.979'));
  await saved(other.page);
  await goTo(other.page, emptyUrl(), '/logbook', 'Sheave axle');
  await press(other.page, 'back up everything');
  const home = await theirFiles.next();
  await other.close();
  await give(home);
  await sees(page, 'Sheave axle: 1 entry of the Bench comes in');
  await soundAt(page);
  await press(page, 'take it in');
  await sees(page, 'is taken in');
  const after = await records();
  expect(Object.keys(after)).toHaveLength(Object.keys(before).length + 1);
  for (const [key, value] of Object.entries(before)) expect(after[key]).toEqual(value);
  theirFiles.remove();
});

it('a backup cut in half, or another file, is told apart and changes nothing', async () => {
  const whole = readFileSync(backup, 'utf8');
  const before = await records();
  for (const [name, text, says] of [
    ['half.json', whole.slice(0, whole.length / 2), 'the file is cut off or damaged'],
    ['job.json', '{"obra":"job"}', 'this file holds a job, not a backup'],
    ['later.json', whole.replace(`"schema": ${String(SCHEMA)}`, `"schema": ${String(SCHEMA + 1)}`), 'this was written by a later Obra'],
    ['nothing.json', '', 'this is not a backup'],
  ] as const) {
    const path = join(dir, name);
    writeFileSync(path, text);
    await give(path);
    await sees(page, says);
    await sees(page, 'Nothing was changed');
  }
  expect(await records()).toEqual(before);
});

it('storage that is full in the middle of it leaves what was there, and taking it in again brings the rest', async () => {
  const other = await freshPage(browser, `${emptyUrl()}/logbook`);
  await give(backup, other.page);
  await sees(other.page, 'Sheave axle: comes in, with');
  await other.page.evaluate(() => {
    const { prototype } = IDBObjectStore;
    const own = Object.getOwnPropertyDescriptor(prototype, 'put');
    const put = own?.value as (...args: unknown[]) => IDBRequest;
    let left = 5;
    Object.defineProperty(prototype, 'put', {
      ...own,
      value(this: IDBObjectStore, ...args: unknown[]) {
        if (left-- <= 0) throw new DOMException('full', 'QuotaExceededError');
        return Reflect.apply(put, this, args);
      },
    });
    (globalThis as { mend?: () => void }).mend = () => {
      if (own) Object.defineProperty(prototype, 'put', own);
    };
  });
  await press(other.page, 'take it in');
  await sees(other.page, 'did not store it');
  await other.page.evaluate(() => (globalThis as { mend?: () => void }).mend?.());
  await give(backup, other.page);
  await sees(other.page, 'take it in');
  await press(other.page, 'take it in');
  await sees(other.page, 'is taken in');
  expect(Object.keys(await records(other.page)).length).toBeGreaterThan(10);
  await other.close();
});

it('complained of nothing on the way', () => {
  expect(complaints).toEqual([]);
});
