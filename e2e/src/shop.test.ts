/* The shop as it is typed, taken out and in, begun again; and what a job then plans with it. */
import { readFileSync, writeFileSync } from 'node:fs';
import type { Browser, Page } from 'puppeteer-core';
import { demoUrl, downloads, emptyUrl, freshPage, goTo, press, saved, sees, sharedBrowser, stored } from './harness';
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

const cell = (item: string, key: string) => `[data-item="${item}"] [data-field="${key}"]`;
const valueOf = (selector: string) => page.$eval(selector, (e) => (e as HTMLInputElement).value);
async function type(selector: string, text: string, then = 'Enter'): Promise<void> {
  await page.waitForSelector(selector);
  await page.click(selector, { count: 3 });
  await page.keyboard.press('Backspace');
  await page.type(selector, text);
  if (then !== '') await page.keyboard.press(then as 'Enter');
}
const takeIn = async (path: string) => {
  const input = await page.waitForSelector('input[type="file"]');
  await (input as unknown as { uploadFile: (path: string) => Promise<void> }).uploadFile(path);
};

describe('the Shop page', () => {
  it('is opened by its door and shows the lathe', async () => {
    await press(page, 'Shop');
    await sees(page, 'swing over the cross slide');
    expect(await valueOf('[data-field="name"]')).toBe('mid-size lathe');
  });

  it('types down a column with Enter, and survives a reload', async () => {
    await press(page, 'Holding 11');
    await type(cell('three-jaw', 'trueWithin'), '0.06');
    expect(await page.evaluate(() => document.activeElement?.closest('[data-item]')?.getAttribute('data-item'))).toBe('collets');
    await saved(page);
    await page.reload({ waitUntil: 'networkidle0' });
    await page.waitForSelector(cell('three-jaw', 'trueWithin'));
    expect(await valueOf(cell('three-jaw', 'trueWithin'))).toBe('0.06');
  });

  it('keeps what it does not understand in the cell, says why, and leaves the shop as it was', async () => {
    await type(cell('three-jaw', 'maxSpeed'), 'fast');
    await sees(page, 'most speed: more than zero, in rev/min');
    expect(await valueOf(cell('three-jaw', 'maxSpeed'))).toBe('fast');
    await type(cell('three-jaw', 'maxSpeed'), '2,2e3');
    await sees(page, 'most speed: more than zero');
    await type(cell('three-jaw', 'maxSpeed'), '2400');
    await page.waitForFunction(() => !document.body.innerText.includes('more than zero'));
  });

  it('undoes and does again, by key', async () => {
    await page.keyboard.press('Escape');
    await page.keyboard.down('Control');
    await page.keyboard.press('z');
    await page.keyboard.up('Control');
    await page.waitForFunction((s: string) => document.querySelector<HTMLInputElement>(s)?.value === '2500', {}, cell('three-jaw', 'maxSpeed'));
    await press(page, 'redo');
    await page.waitForFunction((s: string) => document.querySelector<HTMLInputElement>(s)?.value === '2400', {}, cell('three-jaw', 'maxSpeed'));
  });

  it('adds, copies and takes out a tool; the copy is ready to be named', async () => {
    await press(page, 'Tools 34');
    await press(page, 'add a tool');
    await sees(page, 'Tools 35');
    await page.keyboard.type('old boring bar');
    await page.keyboard.press('Enter');
    await sees(page, 'it wants a nose radius');
    await press(page, 'delete old boring bar');
    await sees(page, 'old boring bar is taken out; undo puts it back');
    await sees(page, 'Tools 34');
  });

  it('reads an insert and offers what it says', async () => {
    await type(cell('turn-rough', 'insert'), 'TNMG160412');
    await sees(page, 'TNMG160412 is triangular, nose 1.2');
    await press(page, 'take that');
    await page.waitForFunction((s: string) => document.querySelector<HTMLInputElement>(s)?.value === '1.2', {}, cell('turn-rough', 'nose'));
    await press(page, 'undo');
    await press(page, 'undo');
    await page.waitForFunction((s: string) => document.querySelector<HTMLInputElement>(s)?.value === 'CNMG120408', {}, cell('turn-rough', 'insert'));
  });

  it('fills a drawer from one line, says what it comes to first, and is undone at once', async () => {
    const cell = '.fill-cell input';
    await page.type(cell, 'drills one to 3');
    await sees(page, 'from, to and step are wanted');
    await page.click(cell, { count: 3 });
    await page.type(cell, 'number drills');
    await sees(page, '80 tools: drill #80, drill #79 … drill #1');
    await page.click(cell, { count: 3 });
    await page.type(cell, 'drills 3 to 4 by 0.1');
    await sees(page, '10 tools: drill 3, drill 3.1 … drill 4');
    await page.keyboard.press('Enter');
    await sees(page, '10 tools are in the drawer; what is dotted is assumed');
    await sees(page, 'Tools 44');
    await press(page, 'undo');
    await sees(page, 'Tools 34');
  });

  it('draws the tool in hand as it is understood, and says what is only usual', async () => {
    await page.focus(cell('turn-rough', 'name'));
    await sees(page, 'holder 16 mm wide, taken as usual');
    await type(cell('turn-rough', 'holder'), '25', 'Tab');
    await sees(page, 'holder 25 mm wide, 42 mm out of the post, taken as usual');
    await press(page, 'undo');
    await sees(page, 'holder 16 mm wide, taken as usual');
  });

  it('a set of collets comes from one line', async () => {
    await press(page, 'Holding 11');
    await page.waitForSelector('[placeholder="5C collets by 1/16"]');
    await page.type('.fill-cell input', '5C collets by 1/16');
    await sees(page, '1 set: 5C collets 1/16 to 1-1/8');
    await page.keyboard.press('Enter');
    await sees(page, 'Holding 12');
    await press(page, 'undo');
    await sees(page, 'Holding 11');
    await press(page, 'Tools 34');
    await page.waitForSelector('[aria-label="Find in Tools"]');
  });

  it('finds among many', async () => {
    await page.type('[aria-label="Find in Tools"]', 'knurl');
    await page.waitForFunction(() => document.querySelectorAll('[data-item]').length === 1);
    await page.click('[aria-label="Find in Tools"]', { count: 3 });
    await page.keyboard.press('Backspace');
  });

  it('a table goes out as CSV and comes back, with what could not be read said by line', async () => {
    const { next, remove } = await downloads(page);
    await press(page, 'Bars on the rack 13');
    // the table of the bars has its own menu
    await page.waitForSelector('[data-field="across"]');
    await press(page, 'in and out');
    await press(page, 'this table as CSV');
    const path = await next();
    const text = readFileSync(path, 'utf8');
    expect(text).toMatch(/^id,name,material,across,form/);
    writeFileSync(path, `${text},odd end,brass,1-1/4 in,round,,drawn,300\r\n,wrong,moonstone,20,round,,drawn,300\r\n`);
    await takeIn(path);
    await sees(page, '15 lines of');
    await sees(page, 'line 16, material: one of');
    await sees(page, 'Bars on the rack 15');
    expect(await page.$$eval('[data-field="across"]', (all) => all.map((e) => (e as HTMLInputElement).value))).toContain('1-1/4');
    await press(page, 'undo');
    await sees(page, 'Bars on the rack 13');
    writeFileSync(path, '{ "half": ');
    await takeIn(path);
    await sees(page, 'is not a whole JSON file. Nothing was changed');
    remove();
  });

  it('the whole shop goes out as a file; begun again with another, and undone', async () => {
    const { next, remove } = await downloads(page);
    await press(page, 'in and out');
    await press(page, 'the whole shop as a file');
    const path = await next();
    await press(page, 'in and out');
    await press(page, 'a small bench lathe, in inches');
    await sees(page, 'all of it assumed');
    await press(page, 'Lathes 1');
    await page.waitForFunction(() => document.querySelector<HTMLInputElement>('[data-field="name"]')?.value === 'small bench lathe');
    expect(await page.$$eval('.assumed-cell', (all) => all.length)).toBeGreaterThan(3);
    await press(page, 'right as it is: small bench lathe');
    await page.waitForFunction(() => document.querySelectorAll('.assumed-cell').length === 0);
    await takeIn(path);
    await sees(page, 'The shop is that of');
    await page.waitForFunction(() => document.querySelector<HTMLInputElement>('[data-field="name"]')?.value === 'mid-size lathe');
    remove();
  });

  it('a way of working is chosen with its reasons beside it, and the next plan follows it', async () => {
    await press(page, 'Ways of working 15');
    await sees(page, 'no chatter on long or hollow pieces');
    await page.click('input[name="severing"][value="saw"]');
    await saved(page);
    await goTo(page, demoUrl(), '/jobs/sheave-axle/route', 'Saw off');
    await goTo(page, demoUrl(), '/shop/ways', 'Severing');
    expect(await page.$eval('input[name="severing"][value="saw"]', (e) => e.checked)).toBe(true);
    await page.click('input[name="severing"][value="part"]');
  });

  it('the lathe is learned by ten divisions: what they show is said, kept in its record, and undone', async () => {
    await goTo(page, demoUrl(), '/shop/machines', 'learn this lathe');
    await press(page, 'learn this lathe');
    await sees(page, 'What the cross dial reads');
    const type = async (label: string, text: string) => {
      const id = await page.$$eval('.modal label', (all, l) => all.find((e) => e.textContent.startsWith(l))?.htmlFor ?? '', label);
      await page.focus(`[id="${id}"]`);
      await page.$eval(`[id="${id}"]`, (e) => (e as HTMLInputElement).select());
      await page.keyboard.type(text);
    };
    await type('diameter before', '30');
    await type('diameter after', 'about 29');
    await sees(page, 'diameter after:');
    await type('diameter after', '29,8');
    await type('divisions dialled', '10');
    await sees(page, 'it reads diameter');
    expect(await violations(page)).toEqual([]);
    await press(page, 'put it into the record');
    await sees(page, 'in the record');
    const reads = async () =>
      ((await stored(page))['shop'] as { shop: { machines: { dials: { cross: { reads: string } } }[] } }).shop.machines[0]?.dials.cross.reads;
    for (let tries = 0; tries < 50 && (await reads()) !== 'diameter'; tries++) await new Promise((resolve) => setTimeout(resolve, 100));
    expect(await reads()).toBe('diameter');
    await press(page, 'close');
    await press(page, 'undo');
    for (let tries = 0; tries < 50 && (await reads()) !== 'radius'; tries++) await new Promise((resolve) => setTimeout(resolve, 100));
    expect(await reads()).toBe('radius');
  });

  it.each(['machines', 'holdings', 'tools', 'gauges', 'bars', 'ways'])('%s stands at three sizes in both units', async (list) => {
    for (const [width, height] of [
      [1280, 800],
      [1280, 680],
      [1024, 768],
    ] as const) {
      await page.setViewport({ width, height });
      await goTo(page, demoUrl(), `/shop/${list}`, 'Ways of working');
      expect(await crowded(page)).toEqual([]);
      expect(await violations(page)).toEqual([]);
    }
    await page.setViewport({ width: 1280, height: 800 });
  });
});

describe('holding', () => {
  it('ranks what can hold it and says why the rest cannot', async () => {
    await goTo(page, demoUrl(), '/jobs/windlass-spindle/holding', 'Out of the rack');
    await sees(page, 'What cannot hold it, and why');
    await page.evaluate(() => document.querySelectorAll('details').forEach((d) => (d.open = true)));
    await sees(page, 'want a centre hole in both ends');
    await sees(page, 'there is none yet');
  });

  it('says how true a relation comes out, and opens its formula', async () => {
    await sees(page, 'How true it comes out');
    const figure = await page.waitForSelector('[aria-label="Runout"] td:nth-child(4) button');
    await figure?.click();
    await sees(page, 'in 19 of 20');
    await page.keyboard.press('Escape');
  });

  it('takes grip and stick-out by number, and a longer stick-out is weighed again', async () => {
    await goTo(page, demoUrl(), '/jobs/sheave-axle/holding', 'Saw or pull out');
    await type('#stick-out', '140');
    await sees(page, 'over 5 diameters the free end wants the tailstock centre');
    await saved(page);
    await type('#stick-out', 'long', 'Enter');
    await sees(page, 'a length, such as 40');
    await type('#stick-out', ' ');
    await page.waitForFunction(() => !document.body.innerText.includes('over 5 diameters'));
  });

  it('puts what is left of a bar back on the rack', async () => {
    const lengths = () => page.$$eval('[data-field="length"]', (all) => all.map((e) => Number((e as HTMLInputElement).value)));
    await goTo(page, demoUrl(), '/shop/bars', 'stainless');
    const before = await lengths();
    await goTo(page, demoUrl(), '/jobs/sheave-axle/holding', 'Out of the rack');
    const revision = async () => ((await stored(page))['shop'] as { revision: number }).revision;
    const was = await revision();
    await press(page, 'cut: put the rest back');
    // the shop is a record of its own: the mark of the job says nothing of it
    for (let tries = 0; tries < 100 && (await revision()) === was; tries++) await new Promise((resolve) => setTimeout(resolve, 100));
    await goTo(page, demoUrl(), '/shop/bars', 'stainless');
    const after = await lengths();
    expect(after.filter((l, i) => l < (before[i] ?? 0) - 50)).toHaveLength(1);
  });

  it('draws the limits of a roughing cut against its feed, the cut inside them', async () => {
    await goTo(page, demoUrl(), '/jobs/sheave-axle/route?at=rough-turn@s1', 'such cuts to an edge');
    await press(page, 'draw its limits');
    await page.waitForSelector('[data-testid="chart"] svg path');
    await sees(page, 'A cut under every line holds');
    expect(await violations(page)).toEqual([]);
    await press(page, 'close');
  });

  it('shows the infeed after each pass of a thread, and where a drill is cleared', async () => {
    await goTo(page, demoUrl(), '/jobs/sheave-axle/route?at=thread@s1', 'each pass to');
    expect(await page.$$eval('.series li', (all) => all.length)).toBeGreaterThan(4);
  });
});

it('an empty browser begins with the small bench lathe, assumed, and an emptied table says what to do', async () => {
  const fresh = await freshPage(browser, emptyUrl());
  await goTo(fresh.page, emptyUrl(), '/shop/gauges', 'micrometer');
  for (let i = 0; i < 8; i++) {
    const more = await fresh.page.$('[aria-label^="delete "]');
    if (!more) break;
    await more.click();
  }
  await sees(fresh.page, 'Nothing here yet: add a gauge');
  await press(fresh.page, 'undo');
  await fresh.page.waitForSelector('[data-item]');
  expect(fresh.complaints).toEqual([]);
  await fresh.close();
});
