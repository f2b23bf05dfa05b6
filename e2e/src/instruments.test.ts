/* Gauges that speak: a bearing seat from the simulated micrometer, unplugged in the middle, flooded, with noise, in the other unit; a serial line that is refused, opened, torn off. No real gauge was tried. */
import type { Browser, Page } from 'puppeteer-core';
import { advice, enterReading, freshPage, goTo, press, sees, serve, type Served, settle, sharedBrowser, stored, takeCut, untilStep } from './harness';

let browser: Browser;
let server: Served;
let open: Awaited<ReturnType<typeof freshPage>>;
let page: Page;

beforeAll(async () => {
  browser = await sharedBrowser();
  server = await serve({ demo: true, instruments: true });
});
afterAll(async () => {
  await server.stop();
  await browser.disconnect();
});
beforeEach(async () => {
  open = await freshPage(browser, server.url);
  page = open.page;
});
afterEach(async () => {
  await open.close();
});

const tell = (body: object) =>
  fetch(`${server.url}/api/instruments/micrometer`, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) });
const readings = async () =>
  Object.entries(await stored(page)).flatMap(([key, e]) =>
    key.startsWith('log/') && (e as { kind: string }).kind === 'reading' ? [(e as { value: { text: string; units: string } }).value] : [],
  );
const speaks = () => page.$eval('[data-testid="speaks"]', (e) => e.textContent);
const toSeat = async () => {
  await goTo(page, server.url, '/jobs/sheave-axle/route', 'give out to the Bench');
  await page.waitForSelector('.ops tr[data-step]');
  await press(page, 'give out to the Bench');
  await untilStep(page, '18.979');
};
const next = (what: string) => page.waitForSelector(`[data-testid="advice"][data-next="${what}"]`);

it('brings a bearing seat in by the key of the micrometer; unplugged in the middle the pad goes on; a flood and noise are told and not believed', async () => {
  await toSeat();
  await press(page, 'who, room');
  await press(page, 'simulated micrometer');
  await page.waitForFunction(() => document.querySelector('[data-testid="speaks"]')?.textContent === 'micrometer speaks');
  await press(page, 'close');
  await settle();
  await tell({ shows: 19.626, press: true });
  await next('twoCuts');
  expect(await readings()).toEqual([{ text: '19.626', units: 'mm' }]);
  await takeCut(page);
  await next('measure');
  // in the other unit, as its display was switched: it says so itself
  await tell({ fault: 'unit', shows: 19.31, press: true });
  await page.waitForFunction(() => document.querySelector('[data-testid="advice"]')?.getAttribute('data-next') !== 'measure');
  expect(await readings()).toContainEqual({ text: '0.76024', units: 'in' });
  const count = (await readings()).length;
  // garbage before the line is told, and the line itself is taken; of a flood nothing is
  await tell({ fault: 'flood', press: true });
  await page.waitForFunction(() => document.querySelector('[data-testid="speaks"]')?.textContent.includes('not understood'));
  await settle();
  expect((await readings()).length).toBe(count);
  await tell({ unplug: true });
  await page.waitForFunction(() => document.querySelector('[data-testid="speaks"]')?.textContent.includes('is silent'));
  expect(await advice(page)).toBeDefined();
  await takeCut(page);
  await enterReading(page, '18.992');
  await sees(page, 'In.');
  expect((await readings()).length).toBe(count + 1);
  await tell({ fault: 'none' });
});

it('a point that is lost on the way is told, never believed', async () => {
  await toSeat();
  await press(page, 'who, room');
  await press(page, 'simulated micrometer');
  await page.waitForFunction(() => document.querySelector('[data-testid="speaks"]')?.textContent === 'micrometer speaks');
  await press(page, 'close');
  await settle();
  await tell({ fault: 'dropped', shows: 19.626, press: true });
  await settle();
  await settle();
  // nineteen metres is no size: it is told in the head, and nothing is written
  expect(await readings()).toEqual([]);
  expect(await speaks()).toContain('not understood');
  await tell({ fault: 'none' });
});

describe('a serial line', () => {
  const fake = (refuse: boolean) =>
    page.evaluateOnNewDocument((no: boolean) => {
      const w = window as unknown as { say: (text: string) => void; tear: () => void };
      let to: ReadableStreamDefaultController<Uint8Array> | undefined;
      const port = {
        readable: new ReadableStream<Uint8Array>({
          start: (controller) => {
            to = controller;
          },
        }),
        open: () => (no ? Promise.reject(new Error('in use')) : Promise.resolve()),
        close: () => Promise.resolve(),
        getInfo: () => ({ usbVendorId: 1, usbProductId: 2 }),
      };
      w.say = (text) => to?.enqueue(new TextEncoder().encode(text));
      w.tear = () => to?.error(new Error('gone'));
      Object.defineProperty(navigator, 'serial', { value: { requestPort: () => Promise.resolve(port) }, configurable: true });
    }, refuse);
  const say = (text: string) => page.evaluate((t: string) => (window as unknown as { say: (text: string) => void }).say(t), text);

  it('is asked for by a press, read in pieces, and torn off', async () => {
    await fake(false);
    await page.goto(server.url);
    await toSeat();
    await press(page, 'who, room');
    await press(page, 'listen to a gauge');
    await page.waitForFunction(() => document.querySelector('[data-testid="speaks"]')?.textContent.includes('speaks'));
    await press(page, 'close');
    await settle();
    await say('+19.6');
    await settle();
    expect(await readings()).toEqual([]);
    await say('26 mm\r');
    await next('twoCuts');
    expect(await readings()).toEqual([{ text: '19.626', units: 'mm' }]);
    await page.evaluate(() => (window as unknown as { tear: () => void }).tear());
    await page.waitForFunction(() => document.querySelector('[data-testid="speaks"]')?.textContent.includes('is silent'));
  });

  it('that another program holds is said, and nothing else is changed', async () => {
    await fake(true);
    await page.goto(server.url);
    await toSeat();
    await press(page, 'who, room');
    await press(page, 'listen to a gauge');
    await sees(page, 'another program may have it');
    expect(await speaks()).toContain('is not open');
    await press(page, 'listen no more');
    await page.waitForFunction(() => document.querySelector('[data-testid="speaks"]') === null);
  });
});

it('a gauge that types as a keyboard does goes into the pad, with its own Enter; twice in a row is two readings, a half one is none', async () => {
  await toSeat();
  await settle();
  await page.keyboard.type('19.626');
  await page.keyboard.press('Enter');
  await next('twoCuts');
  expect(await readings()).toEqual([{ text: '19.626', units: 'mm' }]);
  await takeCut(page);
  await next('measure');
  await settle();
  // some send a comma, a sign and leading noughts
  await page.keyboard.type('019,310');
  await page.keyboard.press('Enter');
  await page.waitForFunction(() => document.querySelector('[data-testid="advice"]')?.getAttribute('data-next') !== 'measure');
  expect((await readings()).map((r) => Number(r.text.replace(',', '.')))).toContain(19.31);
});
