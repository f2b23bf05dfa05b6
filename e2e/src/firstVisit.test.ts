/* A first visit: one question, a typed part, and a printed pack in under sixty presses; what is on; everything found by a few letters; what stands in the way of a job. */
import type { Browser, Page } from 'puppeteer-core';
import { emptyUrl, freshPage, goTo, press, sees, serve, type Served, settle, sharedBrowser, stored } from './harness';
import { soundAt } from './layout';

let browser: Browser;
let server: Served;
let open: Awaited<ReturnType<typeof freshPage>>;
let page: Page;

beforeAll(async () => {
  browser = await sharedBrowser();
  server = await serve({ demo: 'at work' });
});
afterAll(async () => {
  await server.stop();
  await browser.disconnect();
});
afterEach(async () => {
  expect(open.complaints).toEqual([]);
  await open.close();
});

const at = async (url: string) => {
  open = await freshPage(browser, url);
  page = open.page;
};
const shopOf = async () => (await stored(page))['shop'] as { shop: { machines: { name: string }[]; bars: { material: string }[] } } | undefined;

it('from nothing to a printed pack in under sixty presses, without help', async () => {
  await at(emptyUrl());
  await page.evaluateOnNewDocument(() => {
    window.print = () => document.body.setAttribute('data-printed', 'yes');
  });
  await page.reload();
  await sees(page, 'Which lathe is most like yours?');
  await soundAt(page);
  await page.evaluate(() => {
    const w = window as unknown as { presses: number };
    w.presses = Number(sessionStorage.getItem('presses') ?? '0');
    for (const kind of ['keydown', 'pointerdown'] as const)
      window.addEventListener(kind, () => sessionStorage.setItem('presses', String(Number(sessionStorage.getItem('presses') ?? '0') + 1)), true);
  });
  await page.click('[role="radio"]:nth-child(2)');
  await press(page, 'use these as they are');
  await page.waitForFunction(() => !document.body.innerText.includes('Which lathe is most like yours?'));
  expect((await shopOf())?.shop.machines[0]?.name).toBe('mid-size lathe');
  expect(new Set((await shopOf())?.shop.bars.map((b) => b.material)).size).toBeGreaterThanOrEqual(8);
  await page.click('#line');
  await page.type('#line', 'M12 x 18; 19 h7 x 25; 25 x 38');
  await sees(page, 'Part off');
  await page.keyboard.press('Enter');
  await page.waitForFunction(() => location.pathname.endsWith('/drawing'));
  await press(page, 'menu');
  await press(page, 'print the whole pack');
  await page.waitForSelector('body[data-printed="yes"]');
  expect(await page.evaluate(() => Number(sessionStorage.getItem('presses')))).toBeLessThan(60);
  // it is asked once
  await goTo(page, emptyUrl(), '/', 'Samples');
  await settle();
  expect(await page.evaluate(() => document.body.innerText.includes('Which lathe is most like yours?'))).toBe(false);
});

it('an inch home shop that sets its own goes to the Shop, and inches follow; it can be done over', async () => {
  await at(emptyUrl());
  await sees(page, 'Which lathe is most like yours?');
  await page.keyboard.press('Escape');
  await page.click('[role="radio"]:first-child');
  await press(page, 'I will set mine');
  await page.waitForFunction(() => location.pathname === '/shop/machines');
  await page.waitForFunction(() => [...document.querySelectorAll('input')].some((i) => i.value === 'small bench lathe'));
  await page.waitForFunction(() => sessionStorage.getItem('obra-units') === 'in' || document.body.innerText.includes(' in'));
  await press(page, 'in and out');
  await press(page, 'a larger lathe with readout');
  await sees(page, 'all of it assumed');
});

it('the demo is a bench of work in all states: what is on stands under the line, the job in hand first', async () => {
  await at(server.url);
  await sees(page, 'What is on');
  await page.waitForFunction(() => {
    const first = [...document.querySelectorAll('.on-job')].slice(0, 3).map((e) => (e as HTMLElement).innerText);
    return first.length === 3 && first.every((t) => t.includes('bench: piece'));
  });
  const names = await page.$$eval('.on-job strong', (all) => all.map((e) => e.textContent));
  expect(names.slice(0, 3).toSorted()).toEqual(['Rowlock bush', 'Tiller head pin', 'Winch pawl pin, rehearsed']);
  await soundAt(page);
  await page.click('.on-job');
  await page.waitForFunction(() => location.pathname.endsWith('/bench'));
  await goTo(page, server.url, '/logbook', 'Stem roller axle');
  await sees(page, 'What was learned');
  expect(await page.evaluate(() => document.body.innerText.includes('rehearsed'))).toBe(false);
  await sees(page, 'This browser');
});

it('the finder goes to a step, a check, something to do, a word, what the standards know; find, keys and words stand in the head', async () => {
  await at(server.url);
  await goTo(page, server.url, '/jobs/windlass-spindle/route', 'previous');
  await page.waitForSelector('.ops tr[data-step]');
  const find = async (text: string, words: string) => {
    await page.evaluate(() => [...document.querySelectorAll<HTMLButtonElement>('.finds button')].find((b) => b.innerText === 'find')?.click());
    await page.waitForSelector('[role="combobox"]');
    await page.type('[role="combobox"]', text);
    await sees(page, words);
  };
  await find('step knurl', 'knurl straight');
  await page.keyboard.press('Enter');
  await page.waitForFunction(() => document.querySelector('.ops tr[aria-current="step"]')?.textContent.includes('Knurl'));
  await find('check runout', 'check: ');
  await page.keyboard.press('Escape');
  await find('1/4-20 clearance', 'normal Ø7.144 mm (9/32)');
  await page.keyboard.press('Escape');
  await find('H drill', 'letter H: 6.756 mm');
  await page.keyboard.press('Escape');
  await find('what cannot I make of this', 'What I cannot hold, reach, measure or make here');
  await page.keyboard.press('Enter');
  await page.waitForFunction(() => location.hash === '#cannot');
  await sees(page, 'left-hand turning tool');
  await soundAt(page);
  await find('guide', 'three jobs from a sketch to the box');
  await page.keyboard.press('Enter');
  await sees(page, 'A bush to a measured pin');
  await soundAt(page);
  await press(page, 'keys');
  await sees(page, 'find anything');
});

it('a rule opens by its word, with its reason here; no code of it stands on the screen', async () => {
  await at(server.url);
  await goTo(page, server.url, '/jobs/sheave-axle/route?at=thread@s1', 'Why here');
  expect(await page.$$eval('.slate', (all) => all.some((e) => /\([a-z]+-[a-z-]+\)/.test(e.textContent)))).toBe(false);
  await page.click('[aria-label^="rule: "]');
  await sees(page, 'common practice, as turners hold it');
  await sees(page, 'Here: ');
  await press(page, 'close');
});
