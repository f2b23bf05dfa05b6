/* The drawing as a machinist makes it: by keyboard, from a DXF, from a worn piece, from a spreadsheet and by the picture. */
import type { Job } from '@obra/core/document';
import { readDrawing, templates, volumeOf } from '@obra/core/drawing';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Browser, ElementHandle, Page } from 'puppeteer-core';
import {
  demoUrl,
  downloads,
  emptyUrl,
  freshPage,
  goTo,
  inEmpty,
  makeProfile,
  press,
  saved,
  sees,
  sharedBrowser,
  stored,
  showColumn,
} from './harness';
import { violations } from './layout';

let browser: Browser;
let page: Page;
let complaints: readonly string[];
let close: () => Promise<void>;
let files: Awaited<ReturnType<typeof downloads>>;

beforeAll(async () => {
  browser = await sharedBrowser();
  ({ page, complaints, close } = await freshPage(browser, `${emptyUrl()}/jobs`));
  files = await downloads(page);
});

afterAll(async () => {
  files.remove();
  await close();
  await browser.disconnect();
});

async function newJob(): Promise<string> {
  await goTo(page, emptyUrl(), '/jobs', 'new job');
  await press(page, 'new job');
  await sees(page, 'Type the first row');
  return /jobs\/([^/]+)\//.exec(page.url())?.[1] ?? '';
}

async function jobNow(id: string): Promise<Job> {
  await saved(page);
  return (((await stored(page))[`job/${id}`] ?? {}) as { job: Job }).job;
}

const type = (text: string) => page.keyboard.type(text);
/** Alt and a letter. */
const withAlt = async (letter: 'r' | 'a' | 'b' | 'g') => {
  await page.keyboard.down('Alt');
  await page.keyboard.press(letter);
  await page.keyboard.up('Alt');
};
const key = async (...keys: readonly string[]) => {
  for (const k of keys) await page.keyboard.press(k as 'Tab');
};
const said = () => page.$$eval('.checks [data-code]', (all) => all.map((e) => (e as HTMLElement).dataset['code'] ?? ''));

/** Texts of the picture's sizes that lie over one another. */
const overlapping = (on: Page = page) =>
  on.$$eval('[data-testid="bar"] text.dim', (all) => {
    const boxes = all.map((e) => ({ text: e.textContent, box: e.getBoundingClientRect() }));
    return boxes.flatMap((a, i) =>
      boxes.slice(i + 1).flatMap((b) => {
        const wide = Math.min(a.box.right, b.box.right) - Math.max(a.box.left, b.box.left);
        const tall = Math.min(a.box.bottom, b.box.bottom) - Math.max(a.box.top, b.box.top);
        return wide > 1 && tall > 4 ? [`${a.text} | ${b.text}`] : [];
      }),
    );
  });

async function paste(text: string): Promise<void> {
  await page.evaluate((t: string) => {
    const data = new DataTransfer();
    data.setData('text', t);
    document.activeElement?.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));
  }, text);
}

const outside = [
  'M16 x 30',
  '17 x 20',
  '20 h7 x 25',
  '24 x 12',
  '30 > 26 x 20',
  '26 x 30',
  '32 x 8',
  '28 k6 x 18',
  '24 x 10',
  '22 > 20 R40 x 16',
  '20 x 14',
  '18 h9 x 22',
];
const holeA = ['10 H8 x 20', '6 x 30'];
const holeB = ['M10 x 18', '5 x 20'];
const grooves: readonly (readonly [at: string, size: string, width: string])[] = [
  ['2', '22', '2'],
  ['6', '22', '2'],
  ['10', 'round 3', ''],
  ['20', '22 R0.5', '3'],
];

describe('a part of twenty features', () => {
  let first = '';

  it('is typed by keyboard alone, with at most 60 keys beyond the characters of its cells', async () => {
    first = await newJob();
    await page.evaluate(() => {
      const w = window as unknown as { keys: number };
      w.keys = 0;
      window.addEventListener('keydown', () => w.keys++, true);
    });
    let characters = 0;
    const write = async (text: string) => {
      characters += text.length;
      await type(text);
    };
    const rows = async (begin: 'r' | 'a' | 'b', texts: readonly string[]) => {
      await withAlt(begin);
      for (const [i, text] of texts.entries()) {
        await inEmpty(page, 'size');
        await write(text);
        await key(i < texts.length - 1 ? 'Enter' : 'Escape');
      }
    };
    await key('Escape');
    await rows('r', outside);
    await rows('a', holeA);
    await rows('b', holeB);
    // grooves go into the row that the cursor was last in
    await page.waitForFunction(() => document.querySelectorAll('.rows [data-cell$=".size"]').length >= 16);
    for (const [at, size, width] of grooves) {
      await withAlt('g');
      await inEmpty(page, 'at');
      await write(at);
      await key('Tab', 'Tab');
      await write(size);
      await key('Tab');
      await write(width);
      await key('Escape');
    }
    const keys = await page.evaluate(() => (window as unknown as { keys: number }).keys);
    expect(keys - characters).toBeLessThanOrEqual(60);
    const job = await jobNow(first);
    expect(job.drawing.outside.map((r) => `${r.size.text} x ${r.length.text}`)).toEqual(outside);
    expect([...job.drawing.boreRight, ...job.drawing.boreLeft].map((r) => `${r.size.text} x ${r.length.text}`)).toEqual([...holeA, ...holeB]);
    expect(job.drawing.details).toHaveLength(4);
  });

  it('moves its grooves to the row they belong on, and then has no stop', async () => {
    for (const select of await page.$$('[aria-label^="where, groove"]'))
      await (select as ElementHandle<HTMLSelectElement>).select((await jobNow(first)).drawing.outside[5]?.id ?? '');
    const job = await jobNow(first);
    const part = readDrawing(job.drawing);
    expect(part.findings.filter((f) => f.severity === 'stop')).toEqual([]);
    expect(part.length).toBe(225);
    await sees(page, '225');
    expect(await overlapping()).toEqual([]);
    expect(await violations(page)).toEqual([]);
  });

  it('goes out as DXF and comes back as the same solid', async () => {
    const before = readDrawing((await jobNow(first)).drawing);
    await press(page, 'menu');
    await press(page, 'drawing as DXF');
    const path = await files.next();
    const second = await newJob();
    await press(page, 'more');
    await press(page, 'drawing from a DXF');
    const file = await (await page.waitForSelector('input[aria-label^="DXF of"]'))?.toElement('input');
    await file?.uploadFile(path);
    await sees(page, 'rows outside');
    await sees(page, 'threads, tolerances and finishes');
    expect(await violations(page)).toEqual([]);
    await press(page, 'take these rows');
    await page.waitForFunction(() => document.querySelector('.modal') === null);
    const after = readDrawing((await jobNow(second)).drawing);
    expect(after.contour).toHaveLength(before.contour.length);
    expect(volumeOf(after.contour) / volumeOf(before.contour)).toBeCloseTo(1, 8);
    expect(readFileSync(path, 'utf8')).toContain('OUTLINE');
  });

  it('one with a gap, turned in its file, is told so; the gap is closed up to what is typed', async () => {
    await newJob();
    const { dir, remove } = makeProfile();
    const path = join(dir, 'gap.dxf');
    const askew = (x: number, y: number) => [0.8 * x - 0.6 * y, 0.6 * x + 0.8 * y];
    const lines = [
      [0, 0, 0, 15],
      [0, 15, 24.8, 15],
      [25, 15, 25, 10],
      [25, 10, 35, 10],
      [35, 10, 35, 0],
    ].map(([x0 = 0, y0 = 0, x1 = 0, y1 = 0]) => {
      const [[a, b], [c, d]] = [askew(x0, y0), askew(x1, y1)];
      return ['0', 'LINE', '8', '0', 10, a, 20, b, 11, c, 21, d].join('\n');
    });
    writeFileSync(path, ['0\nSECTION\n2\nENTITIES', ...lines, '0\nENDSEC\n0\nEOF'].join('\n'));
    await press(page, 'more');
    await press(page, 'drawing from a DXF');
    const file = await (await page.waitForSelector('input[aria-label^="DXF of"]'))?.toElement('input');
    await file?.uploadFile(path);
    await sees(page, 'a gap of 0.200 mm');
    await sees(page, 'turned by 36.87°');
    await page.type('#dxf-gap', '0,25');
    await page.keyboard.press('Enter');
    await sees(page, 'is closed by a line');
    await sees(page, '2 rows outside');
    expect(await violations(page)).toEqual([]);
    await press(page, 'cancel');
    remove();
  });

  it('a file that is none gets a sentence, and nothing changes', async () => {
    const id = await newJob();
    const { dir, remove } = makeProfile();
    const path = join(dir, 'none.dxf');
    writeFileSync(path, 'not a drawing');
    await press(page, 'more');
    await press(page, 'drawing from a DXF');
    const file = await (await page.waitForSelector('input[aria-label^="DXF of"]'))?.toElement('input');
    await file?.uploadFile(path);
    await sees(page, 'is no DXF');
    await press(page, 'cancel');
    expect((await jobNow(id)).drawing.outside.map((r) => r.size.text)).toEqual(['']);
    remove();
  });
});

describe('from a worn piece', () => {
  it('readings give likely sizes with their distance; the choice goes into the cell, the readings stay', async () => {
    const id = await newJob();
    await press(page, 'more');
    await press(page, 'size from a sample');
    await page.waitForFunction(() => (document.activeElement as HTMLElement).dataset['cell']?.endsWith('.readings') === true);
    await type('24.97 24.98 24.96');
    await page.waitForSelector('[data-likely="25 mm"]');
    await sees(page, 'doubt');
    await page.click('[data-likely="25 mm"]');
    const job = await jobNow(id);
    expect(job.drawing.outside[0]?.size.text).toBe('25 mm');
    expect(job.drawing.samples[0]?.measured.readings.map((r) => r.text)).toEqual(['24.97', '24.98', '24.96']);
    expect(await violations(page)).toEqual([]);
  });
});

describe('rows', () => {
  let id = '';
  it('are pasted from a spreadsheet in one step that undoes in one', async () => {
    id = await newJob();
    await key('Escape');
    await withAlt('r');
    await inEmpty(page, 'size');
    await paste('M12\t18\n19 h7\t25\t0.5x45\n25\t38');
    await page.waitForFunction(() => document.querySelectorAll('[data-cell$=".size"]').length === 3);
    expect((await jobNow(id)).drawing.outside.map((r) => r.size.text)).toEqual(['M12', '19 h7', '25']);
    await press(page, 'undo');
    expect((await jobNow(id)).drawing.outside).toHaveLength(1);
    await press(page, 'redo');
    expect((await jobNow(id)).drawing.outside).toHaveLength(3);
  });

  it('are marked together by Shift and an arrow: what is typed in one is typed in all; Ctrl+D fills down', async () => {
    const [a, b, c] = (await jobNow(id)).drawing.outside;
    await showColumn(page, 'finish');
    await page.focus(`[data-cell="${b?.id ?? ''}.finish"]`);
    await page.keyboard.down('Shift');
    await page.keyboard.press('ArrowDown');
    await page.keyboard.up('Shift');
    await page.waitForFunction((at: string) => (document.activeElement as HTMLElement).dataset['cell'] === at, {}, `${c?.id ?? ''}.finish`);
    await type('Ra 1.6');
    const finishes = (await jobNow(id)).drawing.outside.map((r) => r.finish?.text);
    expect(finishes).toEqual([undefined, 'Ra 1.6', 'Ra 1.6']);
    await page.focus(`[data-cell="${a?.id ?? ''}.size"]`);
    await page.focus(`[data-cell="${b?.id ?? ''}.length"]`);
    await page.keyboard.down('Control');
    await page.keyboard.press('d');
    await page.keyboard.up('Control');
    expect((await jobNow(id)).drawing.outside.map((r) => r.length.text)).toEqual(['18', '18', '38']);
  });

  it('a size, a length and a corner are typed in the picture; the part answers, the row is marked, undo takes it back', async () => {
    const [, b] = (await jobNow(id)).drawing.outside;
    const open = (words: string) => page.click(`[data-testid="bar"] [aria-label="${words}"]`);
    const typed = async (text: string) => {
      await page.waitForSelector('[data-picture-cell]');
      await page.keyboard.type(text);
    };
    await open('size Ø 19 h7');
    await page.waitForSelector('[data-picture-cell]');
    expect(await page.$eval('[data-picture-cell]', (e) => (e as HTMLInputElement).value)).toBe('19 h7');
    await typed('18 h7');
    await sees(page, 'Ø 18 h7');
    expect(await page.$eval('tr.at, .rowcard h2', (e) => (e as HTMLElement).innerText)).toMatch(/2/);
    await page.keyboard.press('Enter');
    await page.waitForSelector('[data-picture-cell]', { hidden: true });
    expect((await jobNow(id)).drawing.outside[1]?.size.text).toBe('18 h7');
    await open(`edge to A of row 2`);
    await typed('R0.8');
    await page.keyboard.press('Escape');
    expect((await jobNow(id)).drawing.outside[1]?.near?.text).toBe('R0.8');
    await open('size Ø 18 h7');
    await typed('18 zz');
    await page.waitForFunction(() => document.querySelector('.cell-in-picture .out') !== null);
    await page.keyboard.press('Enter');
    for (let back = 0; back < 3; back++) await press(page, 'undo');
    expect((await jobNow(id)).drawing.outside[1]).toEqual(b);
  });

  it('a shoulder is dragged in the picture in steps as fine as the drawing: its length stands beside the hand, letting go is one undo', async () => {
    const [a] = (await jobNow(id)).drawing.outside;
    const grip = await page.waitForSelector(`[data-shoulder="${a?.id ?? ''}"]`);
    const box = await grip?.boundingBox();
    if (!box) throw new Error('no shoulder');
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 3];
    await page.mouse.move(x, y);
    await page.mouse.down();
    for (let i = 1; i <= 10; i++) await page.mouse.move(x - 3 * i, y);
    const shown = await page.$eval('.moving:not(:empty)', (e) => e.textContent);
    expect(shown).toMatch(/^\d+$/);
    expect(Number(shown)).toBeGreaterThan(Number(a?.length.text));
    expect((await jobNow(id)).drawing.outside[0]?.length.text).toBe(a?.length.text);
    await page.mouse.up();
    await page.waitForFunction((text) => [...document.querySelectorAll('.dims text')].some((e) => e.textContent === text), {}, shown);
    expect((await jobNow(id)).drawing.outside[0]?.length.text).toBe(shown);
    await press(page, 'undo');
    expect((await jobNow(id)).drawing.outside[0]).toEqual(a);
  });

  it('everything in the picture is reached by keys: one stop of Tab, arrows from one to the next, Enter opens and closes', async () => {
    await page.$eval('[data-testid="bar"] [data-pick][tabindex="0"]', (e) => (e as SVGElement).focus());
    const at = () =>
      page.evaluate(() => document.activeElement?.getAttribute('data-pick') ?? document.activeElement?.getAttribute('data-picture-cell') ?? '');
    const first = await at();
    await page.keyboard.press('ArrowRight');
    const second = await at();
    expect(second).not.toBe(first);
    await page.keyboard.press('Enter');
    await page.waitForSelector('[data-picture-cell]');
    expect(await at()).toBe(second);
    await page.keyboard.press('Enter');
    await page.waitForFunction((cell) => document.activeElement?.getAttribute('data-pick') === cell, {}, second);
    expect(await page.$$eval('[data-testid="bar"] [data-pick][tabindex="0"]', (all) => all.length)).toBe(1);
  });

  it('a care is chosen, a fit gives its limits, a length starts at another face', async () => {
    const [, b] = (await jobNow(id)).drawing.outside;
    await page.focus(`[data-cell="${b?.id ?? ''}.size"]`);
    await page.select('.rowcard select[aria-label="care for the size"]', 'byEye');
    expect((await jobNow(id)).drawing.care).toEqual({ [`${b?.id ?? ''}.diameter`]: 'byEye' });
    await press(page, 'more');
    await press(page, 'fit to a piece');
    await inEmpty(page, 'piece');
    await type('sheave');
    await key('Tab');
    await type('19.05');
    await page.focus('[data-cell$=".want"]');
    await type('clearance 0.02 to 0.05');
    await sees(page, '19.000 to 19.030 mm');
    await press(page, 'fix');
    expect((await jobNow(id)).drawing.mates[0]?.fixed).toMatchObject({ max: 19.03, min: 19 });
    expect(await said()).toContain('limits-disagree');
    expect(await violations(page)).toEqual([]);
  });
});

describe('sizes of the picture', () => {
  it('do not lie over one another on any demo part, in either unit', async () => {
    const fresh = await freshPage(browser, demoUrl());
    for (const name of ['sheave-axle', 'pintle-pin', 'mast-dowel', 'windlass-spindle', 'chainplate-ring', 'rudder-shaft', 'worn-tiller-pin']) {
      await goTo(fresh.page, demoUrl(), `/jobs/${name}/drawing`, 'edge to A');
      for (const unit of ['own', 'other']) {
        expect([name, unit, await overlapping(fresh.page)]).toEqual([name, unit, []]);
        await fresh.page.keyboard.press('u');
      }
    }
    await fresh.close();
  });

  it('nor on any template, nor on forty rows', async () => {
    await newJob();
    for (const t of templates) {
      await press(page, 'more');
      await press(page, 'part from a few numbers');
      await press(page, t.name);
      await page.click('.modal button[type="submit"]');
      await page.waitForFunction(() => document.querySelector('.modal') === null);
      expect([t.name, await overlapping()]).toEqual([t.name, []]);
    }
    await newJob();
    await key('Escape');
    await withAlt('r');
    await inEmpty(page, 'size');
    await paste(Array.from({ length: 40 }, (_, i) => `${String(20 + ((i * 7) % 23))} h7\t${String(4 + ((i * 5) % 9))}`).join('\n'));
    await page.waitForFunction(() => document.querySelectorAll('[data-cell$=".size"]').length === 40);
    expect(await overlapping()).toEqual([]);
  });
});

it('nothing was complained of on the way', () => {
  expect(complaints).toEqual([]);
});
