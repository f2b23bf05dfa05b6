/* Two who never saw it: a learner who takes every wrong turn, and a home shop in inches whose dial is not what its label says. Nothing is lost, and each is told what to do. */
import type { Page } from 'puppeteer-core';
import { emptyUrl, fill, goTo, pageForEach, press, saved, sees, settle, stored, untilStep } from './harness';
import { soundAt } from './layout';

const on = pageForEach();

const type = async (page: Page, text: string) => {
  await page.focus('#reading');
  await page.$eval('#reading', (e) => (e as HTMLInputElement).select());
  await page.keyboard.type(text);
  await settle();
  await page.keyboard.press('Enter');
};
const until = (page: Page, next: string) => page.waitForSelector(`[data-testid="advice"][data-next="${next}"]`);
const log = async (page: Page) =>
  Object.entries(await stored(page)).flatMap(([k, e]) =>
    k.startsWith('log/') ? [e as { kind: string; value?: { text: string; units: string } }] : [],
  );
/** The steps of the route are there. */
const planned = (page: Page) => page.waitForSelector('.ops tr[data-step]');
const begin = async (page: Page, which: string) => {
  await goTo(page, emptyUrl(), '/', 'Which lathe is most like yours?');
  await page.click(`[role="radio"]${which}`);
  await press(page, 'use these as they are');
  await page.waitForFunction(() => !document.body.innerText.includes('Which lathe is most like yours?'));
};

it('a learner’s wrong turns: words for a part, stages out of order, sizes that are none, readings in the wrong unit, a reload in mid-cut', async () => {
  const { page } = on;
  await begin(page, ':nth-child(2)');
  // words in place of sizes: nothing is kept, and it says what it wants
  await page.type('#line', 'a bolt, please');
  await page.waitForFunction(() => (document.querySelector('#line-said')?.textContent ?? '') !== '');
  await page.keyboard.press('Enter');
  expect(new URL(page.url()).pathname).toBe('/');
  await page.$eval('#line', (e) => (e as HTMLInputElement).select());
  await page.keyboard.type('?');
  await sees(page, 'What the line understands');
  await page.$eval('#line', (e) => (e as HTMLInputElement).select());
  await page.keyboard.type('16 h7 x 30; 25 x 20');
  await sees(page, 'Part off');
  await page.keyboard.press('Enter');
  await page.waitForFunction(() => location.pathname.endsWith('/drawing'));
  const id = /jobs\/([^/]+)\//.exec(page.url())?.[1] ?? '';
  // the last stages first: each says what is wanted before it
  for (const [stage, words] of [
    ['inspection', 'verdict'],
    ['bench', 'give out'],
  ] as const) {
    await page.goto(`${emptyUrl()}/jobs/${id}/${stage}`, { waitUntil: 'load' });
    await page.waitForFunction((w: string) => document.body.innerText.toLowerCase().includes(w), {}, words);
    await soundAt(page);
  }
  // sizes that are none are kept as they were typed, and told
  await goTo(page, emptyUrl(), `/jobs/${id}/drawing`, 'size');
  const cells = await page.$$eval('[data-cell$=".length"]', (all) => all.map((e) => e.getAttribute('data-cell') ?? ''));
  const [first = ''] = cells;
  for (const wrong of ['thirty', '-30', '1e99', '30 m']) {
    await page.focus(`[data-cell="${first}"]`);
    await page.$eval(`[data-cell="${first}"]`, (e) => (e as HTMLInputElement).select());
    await page.keyboard.type(wrong);
    await page.keyboard.press('Tab');
    await page.waitForSelector('.checks [data-code]');
    expect(await page.$eval(`[data-cell="${first}"]`, (e) => (e as HTMLInputElement).value)).toBe(wrong);
  }
  await saved(page);
  for (let i = 0; i < 8; i++) {
    const back = await page.$eval(`[data-cell="${first}"]`, (e) => (e as HTMLInputElement).value === '30');
    if (back) break;
    await page.$$eval('main button', (all) => all.find((b) => b.textContent.trim() === 'undo' && !b.disabled)?.click());
    await settle();
  }
  expect(await page.$eval(`[data-cell="${first}"]`, (e) => (e as HTMLInputElement).value)).toBe('30');
  // at the Bench
  await goTo(page, emptyUrl(), `/jobs/${id}/route`, 'give out to the Bench');
  await planned(page);
  await press(page, 'give out to the Bench');
  await untilStep(page, '15.982');
  const none = (await log(page)).filter((e) => e.kind === 'reading').length;
  // nothing typed, and letters, are no reading
  await type(page, '');
  await type(page, 'abc');
  expect((await log(page)).filter((e) => e.kind === 'reading').length).toBe(none);
  // read off the inch side of the caliper: asked about, and what was meant is one press away
  await type(page, '.654');
  await page.waitForFunction(
    () => document.querySelector('[data-testid="advice"][data-next="ask"]') !== null || document.querySelector('[role="alert"]') !== null,
  );
  await soundAt(page);
  await press(page, 'undo the last reading').catch(() => press(page, 'undo the last entry'));
  await type(page, '16.62');
  await page.waitForSelector('[data-testid="advice"][data-next="twoCuts"], [data-testid="advice"][data-next="cut"]');
  const before = await page.$eval('.bench .huge, .bench .large', (e) => e.textContent);
  await page.reload();
  await page.waitForSelector('[data-testid="next"]');
  await page.waitForFunction((was: string) => document.querySelector('.bench .huge, .bench .large')?.textContent === was, {}, before);
  // away by the browser and back again: the cut in hand is still there
  await page.goto(`${emptyUrl()}/practice`, { waitUntil: 'load' });
  await page.goBack();
  await page.waitForFunction((was: string) => document.querySelector('.bench .huge, .bench .large')?.textContent === was, {}, before);
}, 600_000);

it('a home shop in inches with a quirk: its dial is labelled for the diameter and moves on radius; two readings tell, one press sets it, and from then on half is dialled', async () => {
  const { page } = on;
  await begin(page, ':first-child');
  // as its label says
  await goTo(page, emptyUrl(), '/shop/machines', 'cross dial reads');
  await page.waitForSelector('[data-field="dials.cross.reads"]');
  await page.select('[data-field="dials.cross.reads"]', 'diameter');
  await saved(page);
  await goTo(page, emptyUrl(), '/', 'Samples');
  await page.waitForSelector('#line');
  await page.type('#line', '3/4 -.001 x 1-1/4; 1 x 1/2');
  await sees(page, 'Part off');
  await page.keyboard.press('Enter');
  await page.waitForFunction(() => location.pathname.endsWith('/drawing'));
  const id = /jobs\/([^/]+)\//.exec(page.url())?.[1] ?? '';
  await goTo(page, emptyUrl(), `/jobs/${id}/route`, 'give out to the Bench');
  await planned(page);
  await press(page, 'give out to the Bench');
  await untilStep(page, '.749');
  await type(page, '.790');
  await page.waitForSelector('[data-testid="advice"][data-next="twoCuts"], [data-testid="advice"][data-next="cut"]');
  // two careful cuts of five thousandths, and twice as much comes off each time
  for (const reads of ['.7800', '.7700']) {
    await press(page, 'dialled otherwise');
    await fill(page, 'dialled in, as the dial shows it', '.005');
    await press(page, 'cut taken with it');
    await until(page, 'measure');
    await type(page, reads);
    await page.waitForFunction(() => document.querySelector('[data-testid="advice"]')?.getAttribute('data-next') !== 'measure');
    // the first time it may be the reading: it is read again
    if (reads === '.7800' && (await page.$('[data-testid="advice"][data-next="ask"]'))) await press(page, 'it is right, I read it again');
  }
  await until(page, 'ask');
  await sees(page, 'this dial reads radius, not diameter?');
  await soundAt(page);
  await press(page, 'the dial reads radius: set it so');
  await page.waitForFunction(() => document.querySelector('[data-testid="advice"][data-next="ask"]') === null);
  const shop = (await stored(page))['shop'] as { shop: { machines: { dials: { cross?: { reads: string } } }[] } };
  expect(shop.shop.machines[0]?.dials.cross?.reads).toBe('radius');
  // from now on half is dialled, in thousandths of an inch
  const left = await page.$eval('[data-testid="advice"]', (e) => e.textContent);
  expect(left).toContain('on radius');
});
