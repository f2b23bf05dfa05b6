/* The demo by keyboard only: no pointer is used in this file. */
import type { Browser, Page } from 'puppeteer-core';
import { advice, demoUrl, enterReading, freshPage, saved, sees, sharedBrowser, settle } from './harness';

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

/** Tabs until the thing with these words has the focus. */
async function tabTo(words: string): Promise<void> {
  for (let i = 0; i < 80; i++) {
    await page.keyboard.press('Tab');
    const at = await page.evaluate(() => {
      const e = document.activeElement as HTMLElement | null;
      return e === null ? '' : `${e.getAttribute('aria-label') ?? ''}|${e.textContent.trim()}|${e.id}`;
    });
    if (at.split('|').includes(words)) return;
  }
  throw new Error(`no way by Tab to “${words}”`);
}

const sizes = () => page.$$eval('[data-cell$=".size"]', (all) => all.map((e) => (e as HTMLInputElement).value));
const key = (...keys: readonly string[]) =>
  keys.reduce<Promise<void>>((before, k) => before.then(() => page.keyboard.press(k as 'Tab')), Promise.resolve());
const chord = async (hold: 'Control' | 'Alt', then: string) => {
  await page.keyboard.down(hold);
  await page.keyboard.press(then as 'Tab');
  await page.keyboard.up(hold);
};

it('finds a job by its words', async () => {
  await key('Escape', '/');
  await page.waitForSelector('input[aria-label="Find a job, a place or a size"]');
  await page.keyboard.type('sheave draw');
  await sees(page, 'Sheave axle: drawing');
  await key('Enter');
  await sees(page, 'edge to A');
});

it('answers from the standards what is typed there', async () => {
  await key('Escape', '/');
  await page.waitForSelector('input[aria-label="Find a job, a place or a size"]');
  await page.keyboard.type('25 H7/g6');
  await sees(page, 'clearance, 0.007 mm to 0.041 mm');
  await key('Escape');
  await page.waitForFunction(() => document.querySelector('.modal') === null);
});

it('shows the keys', async () => {
  await page.keyboard.type('?');
  await sees(page, 'previous step');
  await key('Escape');
  await page.waitForFunction(() => document.querySelector('.modal') === null);
});

it('types rows, moves and deletes them, and undoes all of it', async () => {
  await tabTo('size, row 3');
  await key('Enter');
  await page.waitForFunction(() => document.querySelectorAll('[data-cell$=".size"]').length === 4);
  await page.waitForFunction(() => document.activeElement?.getAttribute('aria-label') === 'size, row 4');
  await page.keyboard.type('28 +/-0.05');
  await key('Tab');
  await page.keyboard.type('6');
  expect(await sizes()).toEqual(['M12', '19 h7', '25', '28 +/-0.05']);
  await chord('Alt', 'ArrowUp');
  await page.waitForFunction(() => [...document.querySelectorAll<HTMLInputElement>('[data-cell$=".size"]')][2]?.value === '28 +/-0.05');
  await chord('Control', 'z');
  await chord('Control', 'z');
  await chord('Control', 'z');
  await chord('Control', 'z');
  expect(await sizes()).toEqual(['M12', '19 h7', '25']);
  await saved(page);
});

it('says live what a size was understood as, keeps what it does not understand, and swaps the units', async () => {
  await tabTo('size, row 2');
  await page.keyboard.press('End');
  await page.keyboard.type(' nonsense');
  await page.waitForFunction(() => document.querySelector('[data-said="s2.size"]')?.textContent.includes('is not a tolerance') === true);
  await page.waitForSelector('.checks [data-code="size-unknown"]');
  await page.waitForSelector('[data-row-check="size-unknown"]');
  await sees(page, '1 to mend');
  await key('Escape');
  expect(await sizes()).toContain('19 h7 nonsense');
  await chord('Control', 'z');
  await page.waitForFunction(() => document.querySelector('[data-said="s2.size"]')?.textContent.startsWith('18.979 to 19.000') === true);
  await key('u');
  await page.waitForFunction(() => document.querySelector('[data-said="s2.size"]')?.textContent.startsWith('.7472 to .7480') === true);
  await key('u');
});

it('walks stages and steps', async () => {
  await key('2');
  await sees(page, 'Saw or pull out');
  await key('3');
  await sees(page, 'Part off');
  await key(']', ']', ']');
  await page.waitForFunction(() => location.search.includes('rough-turn'));
  await key('[');
  await page.waitForFunction(() => location.search.includes('face'));
  await tabTo('give out to the Bench');
  await key('Enter');
  await page.waitForSelector('[data-testid="step-number"]');
});

it('works through the Bench with Enter, Space and a page-turning pedal', async () => {
  const at = async () => (await page.waitForSelector('[data-testid="step-number"]'))?.evaluate((e) => e.textContent) ?? '';
  for (const press of ['Enter', ' ', 'PageDown', 'Enter', 'Enter']) {
    const before = await at();
    await settle();
    await key(press);
    await page.waitForFunction((was: string) => document.querySelector('[data-testid="step-number"]')?.textContent !== was, {}, before);
  }
  await page.waitForFunction(() => document.activeElement?.id === 'reading');
  await enterReading(page, '19.626');
  const dial = await advice(page);
  expect(dial.text).toContain('Dial in, cross slide');
  expect(dial.text).toContain('0.16');
  expect(dial.text).toContain('8 divisions on radius');
  await key('Escape', 'i');
  await sees(page, 'what is left / cuts');
  await key('Escape');
});

it('types a reading as so much over what is wanted: +7 is seven hundredths', async () => {
  await settle();
  await key('Enter');
  await page.waitForSelector('[data-testid="advice"][data-next="measure"]');
  await page.waitForFunction(() => document.activeElement?.id === 'reading');
  await page.$eval('#reading', (e) => (e as HTMLInputElement).select());
  await page.keyboard.type('+31');
  await sees(page, '19.310 mm, .7602 in');
  await settle();
  await key('Enter');
  await page.waitForSelector('[data-testid="advice"]:not([data-next="measure"])');
  expect((await advice(page)).text).toContain('19.31');
});

it('asks about a slip of the unit, and takes the entry back', async () => {
  await settle();
  await key('Enter');
  await page.waitForSelector('[data-testid="advice"][data-next="measure"]');
  await enterReading(page, '9.5');
  expect((await advice(page)).text).toContain('was a radius measured?');
  await tabTo('undo the last reading');
  await settle();
  await key('Enter');
  await page.waitForSelector('[data-testid="advice"][data-next="measure"]');
});

it('complained of nothing on the way', () => {
  expect(complaints).toEqual([]);
});
