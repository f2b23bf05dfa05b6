/* What goes wrong one day: files from elsewhere, text that is no number, storage that refuses. A clear sentence, and nothing lost. */
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { SCHEMA } from '@obra/core/document';
import type { Browser, Page } from 'puppeteer-core';
import { demoUrl, downloads, fill, freshPage, goTo, press, pressNext, saved, sees, sharedBrowser, stored } from './harness';

let browser: Browser;
let page: Page;
let close: () => Promise<void>;
const dir = mkdtempSync(join(tmpdir(), 'obra-bad-'));

beforeAll(async () => {
  browser = await sharedBrowser();
  ({ page, close } = await freshPage(browser, demoUrl()));
});

afterAll(async () => {
  await close();
  await browser.disconnect();
  rmSync(dir, { recursive: true });
});

const job = async () => ((await stored(page))['job/sheave-axle'] as { job: { drawing: { outside: { size: { text: string } }[] } } }).job;

describe('files from elsewhere', () => {
  const good = { obra: 'job', schema: 1, id: 'elsewhere', revision: 1, saved: '2026-11-02T08:00:00.000Z', by: 'them', job: {}, log: [] };
  const files: readonly (readonly [name: string, content: string | Buffer, says: string])[] = [
    ['cut-off.json', JSON.stringify(good).slice(0, 60), 'the file is cut off or damaged'],
    ['drawing.dxf', '0\nSECTION\n2\nHEADER\n', 'this is not a job file'],
    ['picture.json', Buffer.from([0x89, 0x50, 0x4e, 0x47, 0, 1, 2, 3]), 'this is not a job file'],
    ['later.json', JSON.stringify({ ...good, schema: SCHEMA + 1 }), 'this was written by a later Obra'],
    ['empty.json', '', 'this is not a job file'],
    ['shop.json', JSON.stringify({ ...good, obra: 'shop' }), 'this file holds a shop, not a job'],
    ['short.json', JSON.stringify(good), 'a job file, at job'],
    ['huge.json', Buffer.alloc(50_000_000, ' '), 'is 50 MB; a job file is far smaller'],
  ];

  it.each(files)('%s', async (name, content, says) => {
    writeFileSync(join(dir, name), content);
    await goTo(page, demoUrl(), '/jobs', 'Sheave axle');
    const before = await stored(page);
    const input = await page.waitForSelector('input[type="file"]');
    await (input as unknown as { uploadFile: (path: string) => Promise<void> }).uploadFile(join(dir, name));
    await sees(page, says);
    await sees(page, 'Nothing was changed');
    expect(await stored(page)).toEqual(before);
  });
});

describe('cells', () => {
  beforeAll(() => goTo(page, demoUrl(), '/jobs/sheave-axle/drawing', 'edge to A'));

  it.each([
    ['size, row 2', '19,02 h7', '18.999 to 19.020'],
    ['size, row 2', '-19', 'is negative; a diameter is more than zero'],
    ['size, row 2', '0', 'is zero; a diameter is more than zero'],
    ['size, row 2', 'x'.repeat(210), 'is not a size'],
    ['length, row 2', '1e9', 'is not a length'],
    ['length, row 2', '1000000000', 'is over 10 m; is the unit right?'],
    ['length, row 2', '', 'row 2 has no length'],
    ['length, row 2', '42,5', '42.5 mm'],
  ])('%s: “%s”', async (label, text, says) => {
    await fill(page, label, text);
    await sees(page, says);
    expect(await page.$eval(`[aria-label="${label}"]`, (e) => (e as HTMLInputElement).value)).toBe(text.slice(0, 200));
  });

  it('what was typed is stored as it was typed', async () => {
    await fill(page, 'size, row 2', '19 h7 or so');
    await saved(page);
    await page.reload();
    await sees(page, 'is not a tolerance');
    expect((await job()).drawing.outside[1]?.size.text).toBe('19 h7 or so');
    await fill(page, 'size, row 2', '19 h7');
    await fill(page, 'length, row 2', '42');
    await saved(page);
  });

  it('a part 9 m long is planned, with its checks, and drawn inside the picture', async () => {
    await fill(page, 'length, row 2', '9000');
    await page.keyboard.press('Escape');
    await page.keyboard.press('2');
    await sees(page, 'are wanted');
    await page.keyboard.press('1');
    await sees(page, 'edge to A');
    const outside = await page.$$eval('[data-testid="bar"] svg path', (all) => {
      const box = document.querySelector('[data-testid="bar"]')?.getBoundingClientRect();
      return box
        ? all.filter(
            (p) =>
              p.getBoundingClientRect().width > 0 &&
              (p.getBoundingClientRect().left < box.left - 2 || p.getBoundingClientRect().right > box.right + 2),
          ).length
        : -1;
    });
    expect(outside).toBe(0);
    await fill(page, 'length, row 2', '42');
    await saved(page);
  });
});

describe('storage that refuses', () => {
  it('says so, keeps working, and offers the export', async () => {
    await goTo(page, demoUrl(), '/jobs/sheave-axle/drawing', 'edge to A');
    await page.evaluate(() => {
      IDBObjectStore.prototype.put = () => {
        throw new DOMException('full', 'QuotaExceededError');
      };
    });
    await fill(page, 'note, row 3', 'kept in memory');
    await sees(page, 'This browser did not store the last change');
    await sees(page, 'not stored');
    await fill(page, 'size, row 3', '26');
    await sees(page, '26 mm');
    const files = await downloads(page);
    await press(page, 'menu');
    await press(page, 'export as a file');
    const file = await files.next();
    expect(file).toContain('sheave-axle');
    files.remove();
    await page.keyboard.press('3');
    await sees(page, 'Part off');
  });

  it('at the Bench does not move on before the entry is stored', async () => {
    await goTo(page, demoUrl(), '/jobs/sheave-axle/route', 'Part off');
    await press(page, 'give out to the Bench');
    await page.waitForSelector('[data-testid="step-number"]');
    await page.evaluate(() => {
      IDBObjectStore.prototype.put = () => {
        throw new DOMException('full', 'QuotaExceededError');
      };
    });
    await pressNext(page);
    await sees(page, 'did not store the entry');
    expect(await page.$eval('[data-testid="step-number"]', (e) => e.textContent)).toMatch(/^step 1 /);
  });

  it('a record that cannot be read stands in Jobs, to be taken out', async () => {
    await goTo(page, demoUrl(), '/jobs', 'Jobs');
    await page.evaluate(
      () =>
        new Promise<void>((resolve) => {
          const open = indexedDB.open('obra');
          open.onsuccess = () => {
            const put = open.result.transaction('records', 'readwrite').objectStore('records').put({ schema: 9, mystery: true }, 'job/later');
            put.onsuccess = () => {
              open.result.close();
              resolve();
            };
          };
        }),
    );
    await goTo(page, demoUrl(), '/jobs', 'Set aside');
    await sees(page, 'a later Obra');
    expect(Object.keys(await stored(page))).toContain('aside/job/later');
  });
});

describe('addresses that lead nowhere', () => {
  it.each([
    ['/jobs/nowhere/drawing', 'No such job here'],
    ['/nothing/at/all', 'Type the part from its free end'],
    ['/jobs/sheave-axle/kitchen', 'edge to A'],
  ])('%s', async (path, says) => {
    await goTo(page, demoUrl(), path, says);
  });
});
