/* As others have it: a phone, twice the size, colours that the system sets, decimals behind a comma; and where the cursor of the keyboard goes on. */
import type { Page } from 'puppeteer-core';
import { demoUrl, goTo, inEmpty, pageForEach, press, saved, sees, settle, stored, tap, tapNumber, untilStep } from './harness';
import { crowded, violations } from './layout';

const on = pageForEach();

const PAGES = [
  ['/', 'find'],
  ['/dial', 'Such as'],
  ['/jobs', 'new job'],
  ['/jobs/sheave-axle/drawing', 'size'],
  ['/jobs/sheave-axle/holding', 'stick'],
  ['/jobs/sheave-axle/route', 'Part off'],
  ['/jobs/sheave-axle/inspection', 'Inspection'],
  ['/shop/holdings', 'how stiff'],
  ['/shop/ways', 'Ways of working'],
  ['/handbook', 'Handbook'],
  ['/handbook/fits', 'Fit'],
  ['/practice', 'Touch off'],
  ['/practice/thread', 'half-nuts'],
  ['/logbook', 'Backup'],
  ['/guide', 'bolt'],
] as const;

/** On its own the page may be longer than the window, but never wider. */
const narrow = async (page: Page) => (await crowded(page)).filter((line) => !line.startsWith('the whole page scrolls'));

it.each([
  ['a phone', 390, 844],
  ['twice the size on a laptop', 640, 400],
])(
  '%s: nothing is cut off, over other words or wider than the page, and axe finds nothing',
  async (_, width, height) => {
    const { page } = on;
    await page.setViewport({ width, height });
    for (const [path, words] of PAGES) {
      await goTo(page, demoUrl(), path, words);
      await settle();
      expect([path, await narrow(page)]).toEqual([path, []]);
      expect([path, await violations(page)]).toEqual([path, []]);
    }
  },
  240_000,
);

it('on a phone a size is brought in by touch: the reading goes in by the pad, and the big key says what comes', async () => {
  const { page } = on;
  await goTo(page, demoUrl(), '/jobs/sheave-axle/route', 'give out to the Bench');
  await page.waitForSelector('.ops tr[data-step]');
  await page.setViewport({ width: 390, height: 844, hasTouch: true, isMobile: false });
  await tap(page, 'give out to the Bench');
  await page.waitForSelector('[data-testid="next"]');
  await untilStep(page, '18.979');
  await tapNumber(page, '19.62');
  await settle();
  await (await page.$('[data-testid="next"]'))?.tap();
  await page.waitForSelector('[data-testid="advice"][data-next="twoCuts"], [data-testid="advice"][data-next="cut"]');
  expect(await narrow(page)).toEqual([]);
  expect(await violations(page)).toEqual([]);
});

it('in colours that the system sets words and figures stand off their ground, and what is chosen has a frame', async () => {
  const { page } = on;
  const session = await page.createCDPSession();
  await session.send('Emulation.setEmulatedMedia', { features: [{ name: 'forced-colors', value: 'active' }] });
  await goTo(page, demoUrl(), '/jobs/sheave-axle/route', 'Part off');
  await settle();
  const ground = await page.evaluate(() => getComputedStyle(document.body).backgroundColor);
  // every text of a picture is written in the colour of text, none in that of the ground
  const faint = await page.$$eval(
    'svg text',
    (all, g) => all.flatMap((e) => (e.checkVisibility() && getComputedStyle(e).fill === g ? [e.textContent] : [])),
    ground,
  );
  expect(faint).toEqual([]);
  expect(await page.$eval('.stages a.active', (e) => getComputedStyle(e).outlineStyle)).toBe('solid');
  await goTo(page, demoUrl(), '/dial', 'Such as');
  await press(page, 'a journal to 25 h6, 25.626 now');
  await page.waitForSelector('[data-testid="run"] svg');
  const inks = await page.$$eval('[data-testid="run"] text, .dial-strip text', (all) => [...new Set(all.map((e) => getComputedStyle(e).fill))]);
  expect(inks).toEqual(['rgb(0, 0, 0)']);
});

describe('where decimals are read behind a comma', () => {
  const german = async (page: Page) => {
    const session = await page.createCDPSession();
    await session.send('Emulation.setLocaleOverride', { locale: 'de-DE' });
  };

  it('figures and dates are written so, what is typed stays as it is typed, and is understood', async () => {
    const { page } = on;
    await german(page);
    await goTo(page, demoUrl(), '/', 'find');
    await page.type('#line', '12,5 x 18,2; 25 h7 x 38');
    await page.waitForFunction(() => document.querySelector('[data-testid="bar"]')?.textContent.includes('18,2') === true);
    expect(await page.$eval('#line', (e) => (e as HTMLInputElement).value)).toBe('12,5 x 18,2; 25 h7 x 38');
    await goTo(page, demoUrl(), '/jobs', 'new job');
    await page.waitForFunction(() => /\d{2}\.\d{2}\.\d{4}/.test(document.body.innerText));
    // no computed figure of a whole route stands with a point
    await goTo(page, demoUrl(), '/jobs/sheave-axle/route', 'Part off');
    await page.waitForSelector('.ops tr[data-step]');
    const pointed = await page.$$eval('button.figure', (all) => all.flatMap((e) => (/\d\.\d/.test(e.textContent) ? [e.textContent] : [])));
    expect(pointed).toEqual([]);
    expect(await page.$$eval('button.figure', (all) => all.some((e) => /\d,\d/.test(e.textContent)))).toBe(true);
  });

  it('a reading goes in by the pad with its comma, is kept as it was typed, and is answered', async () => {
    const { page } = on;
    await german(page);
    await goTo(page, demoUrl(), '/jobs/sheave-axle/route', 'give out to the Bench');
    await page.waitForSelector('.ops tr[data-step]');
    await press(page, 'give out to the Bench');
    await page.waitForSelector('[data-testid="next"]');
    await untilStep(page, '18,979');
    for (const key of ['1', '9', '.', '6', '2']) await page.click(`.pad [aria-label="${key}"]`);
    expect(await page.$eval('#reading', (e) => (e as HTMLInputElement).value)).toMatch(/19,62$/);
    await settle();
    await page.click('[data-testid="next"]');
    await page.waitForSelector('[data-testid="advice"][data-next="twoCuts"], [data-testid="advice"][data-next="cut"]');
    const texts = Object.entries(await stored(page)).flatMap(([key, e]) =>
      key.startsWith('log/') && (e as { kind: string }).kind === 'reading' ? [(e as { value: { text: string } }).value.text] : [],
    );
    expect(texts).toEqual(['19,62']);
    expect(await page.$eval('.bench .huge, .bench .large', (e) => e.textContent)).toMatch(/^\d,\d+/);
    await sees(page, '19,62');
  });
});

describe('the cursor of the keyboard goes on', () => {
  const at = () => on.page.evaluate(() => document.activeElement?.getAttribute('aria-label') ?? document.activeElement?.textContent ?? '');

  it('after a row is deleted to the next row, after undo has nothing left to its neighbour, after a message is closed back', async () => {
    const { page } = on;
    await goTo(page, demoUrl(), '/jobs', 'new job');
    await press(page, 'new job');
    await inEmpty(page, 'size');
    for (const row of ['12 x 10', '20 x 15', '30 x 8']) {
      await inEmpty(page, 'size');
      await page.keyboard.type(row);
      await page.keyboard.press('Enter');
    }
    await inEmpty(page, 'size');
    await saved(page);
    await page.focus('[aria-label="delete row 2"]');
    await page.keyboard.press('Enter');
    await page.waitForFunction(() => document.querySelectorAll('[data-cell$=".size"]').length === 3);
    await page.waitForFunction(() => document.activeElement?.getAttribute('aria-label') === 'delete row 2', { timeout: 5000 });
    // undo until nothing is left to be undone
    for (let i = 0; i < 40 && (await page.$$eval('main button', (all) => all.some((b) => b.textContent.trim() === 'undo' && !b.disabled))); i++) {
      await page.$$eval('main button', (all) => all.find((b) => b.textContent.trim() === 'undo')?.focus());
      await page.keyboard.press('Enter');
      await settle();
    }
    await page.waitForFunction(() => document.activeElement?.textContent.trim() === 'redo', { timeout: 5000 });
  });

  it('after a job is deleted from its menu to a press of the list, and back to it when the message is closed', async () => {
    const { page } = on;
    await goTo(page, demoUrl(), '/jobs', 'Sheave axle');
    await page.focus('[aria-label="actions for Sheave axle"]');
    await page.keyboard.press('Enter');
    await page.waitForFunction(() => document.querySelector('.dropdown-menu.show') !== null);
    for (let i = 0; i < 3; i++) await page.keyboard.press('ArrowDown');
    await page.keyboard.press('Enter');
    await sees(page, 'it can be put back below');
    await settle();
    await page.waitForFunction(() => document.activeElement !== document.body, { timeout: 5000 });
    const then = await at();
    expect(then).toMatch(/^actions for /);
    await page.$$eval('.says button', (all) => all.find((b) => b.textContent === 'close')?.focus());
    await page.keyboard.press('Enter');
    await page.waitForFunction((was: string) => document.activeElement?.getAttribute('aria-label') === was, { timeout: 5000 }, then);
  });
});
