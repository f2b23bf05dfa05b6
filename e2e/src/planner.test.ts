/* The route worked on: which end first, what carries it, tools and methods swapped, steps pinned, lengths read, other ways proved, the sheet on paper. */
import type { Browser, Page } from 'puppeteer-core';
import { demoUrl, freshPage, goTo, movedOn, press, pressNext, saved, sees, sharedBrowser, stepNumber } from './harness';
import { crowded, soundAt, violations } from './layout';

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

const undo = async () => {
  await page.keyboard.down('Control');
  await page.keyboard.press('z');
  await page.keyboard.up('Control');
};
it('begins at the other end when asked to: setups, zero and sheet follow, a reload keeps it, undo takes it back', async () => {
  await goTo(page, demoUrl(), '/jobs/sheave-axle/holding', 'begin at');
  await page.select('select[aria-label="Begin at"]', 'left');
  await sees(page, 'Setup 1: end B out');
  await soundAt(page);
  await saved(page);
  await goTo(page, demoUrl(), '/jobs/sheave-axle/route', 'zero: face B');
  await page.waitForSelector('[data-step="load@left"]');
  await page.waitForSelector('[data-step="part-off@right"]');
  await soundAt(page);
  await page.reload({ waitUntil: 'networkidle0' });
  await page.waitForSelector('[data-step="load@left"]');
  await goTo(page, demoUrl(), '/jobs/sheave-axle/holding', 'begin at');
  await page.select('select[aria-label="Begin at"]', '');
  await sees(page, 'Setup 1: end A out');
  await saved(page);
});

it('a shaft between centres is faced and centred twice, then turned end for end; a way of carrying that cannot be says why', async () => {
  await goTo(page, demoUrl(), '/jobs/rudder-shaft/holding', 'begin at');
  await page.select('select[aria-label="Carried"]', 'plate');
  await sees(page, 'it cannot be carried on the faceplate');
  await press(page, 'let the planner choose');
  await page.waitForFunction(() => !document.body.innerText.includes('it cannot be carried on the faceplate'));
  await goTo(page, demoUrl(), '/jobs/pintle-pin/holding', 'begin at');
  await page.select('select[aria-label="Carried"]', 'centres');
  await page.waitForFunction(() => /Setup 4: end [AB] out|it cannot be carried between centres/.test(document.body.innerText));
  await page.select('select[aria-label="Carried"]', '');
  await page.waitForFunction(() => !/Setup 4: end [AB] out|it cannot be carried between centres/.test(document.body.innerText));
  await saved(page);
});

it('the widest row of a shaft is turned from its other end when asked to, told what that costs, and let go again', async () => {
  await goTo(page, demoUrl(), '/jobs/rudder-shaft/route?at=finish-turn@s3', 'Finish-turn');
  const inSetup = () =>
    page.$$eval('[data-step]', (rows) => {
      const ids = rows.map((r) => r.getAttribute('data-step') ?? '');
      return ids.indexOf('finish-turn@s3') > ids.findIndex((id) => id.startsWith('turn-round')) ? 'second' : 'first';
    });
  expect(await inSetup()).toBe('first');
  await page.select('select[aria-label="Turned from"]', 'left');
  await page.waitForFunction(() => {
    const ids = [...document.querySelectorAll('[data-step]')].map((r) => r.getAttribute('data-step') ?? '');
    return ids.indexOf('finish-turn@s3') > ids.findIndex((id) => id.startsWith('turn-round'));
  });
  await soundAt(page);
  await press(page, 'let it go: pinned');
  await page.waitForFunction(() => {
    const ids = [...document.querySelectorAll('[data-step]')].map((r) => r.getAttribute('data-step') ?? '');
    return ids.indexOf('finish-turn@s3') < ids.findIndex((id) => id.startsWith('turn-round'));
  });
  await saved(page);
});

it('another tool does a step, and is let go again; a step is pinned as it is', async () => {
  await goTo(page, demoUrl(), '/jobs/sheave-axle/route?at=rough-turn@s2', 'Rough-turn');
  await page.waitForSelector('select[aria-label="Tool for this step"]');
  const other = await page.$eval('select[aria-label="Tool for this step"]', (s) => [...s.options].find((o) => o.value !== s.value)?.value ?? '');
  await page.select('select[aria-label="Tool for this step"]', other);
  await page.waitForFunction(
    (value: string) =>
      document.querySelector<HTMLSelectElement>('select[aria-label="Tool for this step"]')?.value === value &&
      document.querySelector('.older') === null,
    {},
    other,
  );
  await press(page, 'let it go: pinned');
  await sees(page, 'pin as it is');
  await press(page, 'pin as it is');
  await sees(page, 'let it go: pinned');
  // a plan that is being worked out anew stands greyed
  await page.waitForFunction(() => document.querySelector('.older') === null);
  await soundAt(page);
  await undo();
  await sees(page, 'pin as it is');
  await saved(page);
});

it('another method does a thread: the die, whole plan and all', async () => {
  await goTo(page, demoUrl(), '/jobs/sheave-axle/route?at=thread@s1', 'single point');
  await page.waitForSelector('select[aria-label="Method of this step"]');
  await page.select('select[aria-label="Method of this step"]', 'die');
  await page.waitForFunction(() => /Thread with die|no die for/.test(document.body.innerText));
  await undo();
  await page.waitForSelector('[data-step="thread@s1"]');
  await saved(page);
});

it('the lengths of a setup stand below it, from the face that is zero; each opens its formula', async () => {
  await goTo(page, demoUrl(), '/jobs/sheave-axle/route', 'lengths of setup 1, from face A');
  await page.evaluate(() => {
    for (const d of document.querySelectorAll('details')) if (d.textContent.startsWith('lengths of setup')) d.open = true;
  });
  await page.waitForSelector('table[aria-label="Lengths from face A"]');
  await soundAt(page);
  await page.click('table[aria-label="Lengths from face A"] button.figure');
  await page.waitForSelector('[role="dialog"], [role="tooltip"], .popover');
  await page.keyboard.press('Escape');
});

it('another way is proved when it is asked for', async () => {
  await goTo(page, demoUrl(), '/jobs/windlass-spindle/route', 'other ways to make it');
  await page.evaluate(() => {
    for (const d of document.querySelectorAll('details')) if (d.textContent.startsWith('other ways to make it')) d.open = true;
  });
  await sees(page, 'not yet proved');
  await press(page, 'prove it');
  await page.waitForFunction(() =>
    /proved: nothing meets|would meet|comes to its cut|runs .* into the jaws/.test(
      document.querySelector('table[aria-label="Ways to make it"]')?.textContent ?? '',
    ),
  );
  await soundAt(page);
});

it('goes on paper with blanks and cautions, on A4 and on Letter', async () => {
  await goTo(page, demoUrl(), '/jobs/sheave-axle/route', 'print the sheet');
  const box = async (paper: string) => {
    await page.select('select[aria-label="Paper"]', paper);
    const pdf = Buffer.from(await page.pdf({ preferCSSPageSize: true })).toString('latin1');
    return /\/MediaBox \[0 0 ([\d.]+) ([\d.]+)\]/
      .exec(pdf)
      ?.slice(1)
      .map((n) => Math.round(Number(n)));
  };
  expect(await box('A4')).toEqual([595, 842]);
  expect(await box('letter')).toEqual([612, 792]);
  await page.evaluate(() => window.dispatchEvent(new Event('beforeprint')));
  await page.emulateMediaType('print');
  const text = await page.evaluate(() => document.querySelector<HTMLElement>('.traveller')?.innerText ?? '');
  for (const words of ['Local codes', 'Chuck key out before starting', '________', 'Made by', 'zero face B', 'Lengths from face A'])
    expect(text).toContain(words);
  // the browser changes to paper when it comes to it
  await page.waitForFunction(() => [...document.querySelectorAll<HTMLElement>('.noprint')].every((e) => e.offsetParent === null));
  await page.emulateMediaType('screen');
  await page.evaluate(() => window.dispatchEvent(new Event('afterprint')));
  expect(await page.$('.traveller')).toBeNull();
});

it('says how the whole is timed and that nothing costs less; what is to get says what does meanwhile', async () => {
  await goTo(page, demoUrl(), '/jobs/mast-dowel/route', 'none costs less');
  await sees(page, 'wind all travel through by hand before power');
});

it('something is wrong at the Bench: one remedy at a time, likeliest first; what did not help is not said again, not after a reload either', async () => {
  await goTo(page, demoUrl(), '/jobs/mast-dowel/route', 'give out to the Bench');
  await press(page, 'give out to the Bench');
  await page.waitForSelector('[data-testid="next"]');
  for (let i = 0; i < 8 && (await page.$('select[aria-label="what is wrong"]')) === null; i++) {
    const before = await stepNumber(page);
    await pressNext(page);
    await movedOn(page, before);
  }
  await page.select('select[aria-label="what is wrong"]', await page.$eval('select[aria-label="what is wrong"]', (s) => s.options[1]?.value ?? ''));
  const said = () => page.$eval('[data-testid="wrong"] strong', (e) => e.textContent);
  const first = await said();
  await press(page, 'no: the next');
  await page.waitForFunction((was: string) => document.querySelector('[data-testid="wrong"] strong')?.textContent !== was, {}, first);
  expect(await violations(page)).toEqual([]);
  await page.setViewport({ width: 1024, height: 768 });
  expect(await crowded(page)).toEqual([]);
  await page.setViewport({ width: 1280, height: 800 });
  await page.reload({ waitUntil: 'networkidle0' });
  await page.waitForSelector('select[aria-label="what is wrong"]');
  await page.select('select[aria-label="what is wrong"]', await page.$eval('select[aria-label="what is wrong"]', (s) => s.options[1]?.value ?? ''));
  await page.waitForSelector('[data-testid="wrong"] strong');
  expect(await said()).not.toBe(first);
});
