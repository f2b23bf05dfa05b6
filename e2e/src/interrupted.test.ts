/* The Bench interrupted: a reload at every single step of a job, and fifty times the page killed just after a press. What was written stays, nothing is written twice. */
import type { Page } from 'puppeteer-core';
import { demoUrl, freshPage, goTo, pageForEach, press, settle, sharedBrowser, stored } from './harness';
import { openJob, row } from './openJob';

const on = pageForEach();

it('a demo that was left while it came in is whole at the next visit', async () => {
  const browser = await sharedBrowser();
  const { page, close } = await freshPage(browser, `${demoUrl()}/icon.svg`);
  try {
    const broken = await page.evaluateOnNewDocument(() => {
      const proto = IDBObjectStore.prototype;
      // eslint-disable-next-line @typescript-eslint/unbound-method -- put back on each store that calls it
      const whole = proto.put;
      let left = 12;
      proto.put = function (...args: Parameters<typeof whole>) {
        if (left-- <= 0) throw new DOMException('the visit has ended', 'AbortError');
        return whole.apply(this, args);
      };
    });
    await page.goto(demoUrl(), { waitUntil: 'networkidle0' });
    const jobs = async () => Object.keys(await stored(page)).filter((key) => key.startsWith('job/'));
    const some = await jobs();
    await page.removeScriptToEvaluateOnNewDocument(broken.identifier);
    await goTo(page, demoUrl(), '/jobs/worn-tiller-pin/drawing', 'Tiller pin, worn');
    const all = await jobs();
    expect(some.length).toBeGreaterThan(0);
    expect(all.length).toBeGreaterThan(some.length);
    expect(Object.keys(await stored(page))).not.toContain('demo-coming');
  } finally {
    await close();
    await browser.disconnect();
  }
});

const giveOut = async (page: Page, id: string) => {
  await goTo(page, demoUrl(), `/jobs/${id}/route`, 'give out to the Bench');
  await page.waitForSelector('.ops tr[data-step]');
  await press(page, 'give out to the Bench');
  await page.waitForSelector('[data-testid="step-number"]');
};
const entries = async (page: Page, id: string) => Object.keys(await stored(page)).filter((key) => key.startsWith(`log/${id}/`)).length;
/** What stands on the card: its head, and what the big key says. */
const card = (page: Page) =>
  page.evaluate(() => [document.querySelector('.bench h1')?.textContent ?? '', document.querySelector('[data-testid="next"]')?.textContent ?? '']);
const isDone = (page: Page) => page.evaluate(() => document.body.innerText.includes('All steps done'));
const PLAIN = { outside: [row('a', '20', '40'), row('b', '30', '20')] };

it('a reload at every single step changes nothing: the same card, the same entries', async () => {
  const { page } = on;
  await openJob(page, 'again-pin', {}, PLAIN);
  await giveOut(page, 'again-pin');
  let [steps, count] = [0, 0];
  for (; steps < 40 && !(await isDone(page)); steps++) {
    const [before, had] = [await card(page), await entries(page, 'again-pin')];
    await page.reload({ waitUntil: 'load' });
    await page.waitForSelector('[data-testid="next"]');
    await page.waitForFunction((head: string) => document.querySelector('.bench h1')?.textContent === head, {}, before[0] ?? '');
    expect(await card(page)).toEqual(before);
    expect(await entries(page, 'again-pin')).toBe(had);
    await settle();
    const byDial = await page.$('[data-testid="by-dial"]');
    await (byDial ?? (await page.$('[data-testid="next"]')))?.click();
    await page.waitForFunction(
      (head: string, key: string) =>
        document.body.innerText.includes('All steps done') ||
        document.querySelector('.bench h1')?.textContent !== head ||
        document.querySelector('[data-testid="next"]')?.textContent !== key,
      {},
      before[0] ?? '',
      before[1] ?? '',
    );
    count = await entries(page, 'again-pin');
  }
  expect(steps).toBeGreaterThan(6);
  expect(count).toBeGreaterThanOrEqual(steps);
}, 600_000);

it('fifty times killed just after a press: what was shown as written is there, and nothing is there twice', async () => {
  const first = on.page;
  await openJob(first, 'killed-pin', { pieces: 9 }, PLAIN);
  await giveOut(first, 'killed-pin');
  const context = first.browserContext();
  let page: Page = first;
  let known = 0;
  for (let i = 0; i < 50; i++) {
    if (await isDone(page)) break;
    await page.waitForSelector('[data-testid="next"]');
    await settle();
    const head = (await card(page))[0] ?? '';
    const byDial = await page.$('[data-testid="by-dial"]');
    await (byDial ?? (await page.$('[data-testid="next"]')))?.click();
    // from at once to long after it was stored; and each fifth time only when the next card is shown
    if (i % 5 === 4)
      await page.waitForFunction((was: string) => document.querySelector('.bench h1')?.textContent !== was, {}, head).catch(() => undefined);
    else await new Promise((resolve) => setTimeout(resolve, (i * 7) % 40));
    const shown = (await card(page).catch(() => ['']))[0] ?? '';
    const next = await context.newPage();
    // the page goes without a word: nothing of it runs any more
    await page.close({ runBeforeUnload: false });
    page = next;
    await page.goto(`${demoUrl()}/jobs/killed-pin/bench`, { waitUntil: 'load' });
    await page.waitForSelector('.bench h1');
    const now = await entries(page, 'killed-pin');
    // one press writes one entry, or was cut off before it did
    expect(now - known).toBeGreaterThanOrEqual(shown !== '' && shown !== head ? 1 : 0);
    expect(now - known).toBeLessThanOrEqual(1);
    known = now;
  }
  expect(known).toBeGreaterThan(15);
  const log = Object.entries(await stored(page)).flatMap(([key, e]) =>
    key.startsWith('log/killed-pin/') ? [e as Readonly<Record<string, unknown>>] : [],
  );
  const done = log.filter((e) => e['kind'] === 'done').map((e) => `${String(e['piece'])}/${String(e['step'])}`);
  expect(new Set(done).size).toBe(done.length);
}, 900_000);
