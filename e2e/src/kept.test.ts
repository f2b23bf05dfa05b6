/* What a person put in stays: hostile cells, held keys, pages closed in mid-word, other windows, browsers that keep nothing, narrow pages. */
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import type { Browser, Page } from 'puppeteer-core';
import { demoUrl, fill, freshPage, goTo, press, pressNext, sees, settle, sharedBrowser, stepNumber, stored, showColumn } from './harness';

let browser: Browser;

beforeAll(async () => {
  browser = await sharedBrowser();
});

afterAll(() => browser.disconnect());

/** A page of its own store, closed when the work is done. */
async function on(work: (page: Page, complaints: readonly string[]) => Promise<void>, before?: (page: Page) => Promise<void>): Promise<void> {
  const { page, complaints, close } = await freshPage(browser, before ? 'about:blank' : demoUrl());
  try {
    if (before) {
      await before(page);
      await page.goto(demoUrl(), { waitUntil: 'networkidle0' });
    }
    await work(page, complaints);
  } finally {
    await close();
  }
}

const jobs = ['sheave-axle', 'pintle-pin', 'mast-dowel', 'windlass-spindle', 'chainplate-ring', 'rudder-shaft', 'worn-tiller-pin'];
const shopInStore = async (page: Page) => (await stored(page))['shop'] as { shop: { tools: { id: string; insert?: string }[] } };

it('line 1: a cell of the shop that could not be read again is refused, and the shop opens as it was', () =>
  on(async (page) => {
    await goTo(page, demoUrl(), '/shop/tools', 'Tools');
    const cell = 'tr[data-item] [data-field="insert"]';
    await page.waitForSelector(cell);
    await page.click(cell, { count: 3 });
    await page.keyboard.type('A'.repeat(27));
    await page.keyboard.press('Enter');
    await sees(page, '27 characters; there is room for 20');
    expect(await page.$eval(cell, (e) => (e as HTMLInputElement).value)).toBe('A'.repeat(27));
    await page.reload({ waitUntil: 'networkidle0' });
    await sees(page, 'Tools');
    expect(Object.keys(await stored(page)).filter((k) => k.startsWith('aside/'))).toEqual([]);
  }));

it('line 1: a shop that cannot be read is said on its page, stays as it is, and is repaired by one press', () =>
  on(async (page) => {
    await page.evaluate(
      () =>
        new Promise<void>((resolve) => {
          const open = indexedDB.open('obra');
          open.onsuccess = () => {
            const at = open.result.transaction('records', 'readwrite').objectStore('records');
            const get = at.get('shop');
            get.onsuccess = () => {
              const shop = get.result as { shop: { tools: { insert?: string }[] } };
              const [first] = shop.shop.tools;
              if (first) first.insert = 'A'.repeat(27);
              at.put(shop, 'shop').onsuccess = () => {
                open.result.close();
                resolve();
              };
            };
          };
        }),
    );
    const before = await shopInStore(page);
    await goTo(page, demoUrl(), '/shop/tools', 'your shop cannot be read');
    await goTo(page, demoUrl(), '/jobs/sheave-axle/drawing', 'Your shop cannot be read');
    expect(await shopInStore(page)).toEqual(before);
    await goTo(page, demoUrl(), '/shop/tools', 'your shop cannot be read');
    await press(page, 'repair it: 1 line goes out');
    await page.waitForFunction(() => !document.body.innerText.includes('cannot be read'));
    expect((await shopInStore(page)).shop.tools).toHaveLength(before.shop.tools.length - 1);
    await goTo(page, demoUrl(), '/jobs', 'a shop');
  }));

it(
  'line 2: every job opens at 200 to 4000 px, and at 320 nothing scrolls sideways',
  () =>
    on(async (page) => {
      for (const width of [200, 320, 390, 640, 2200, 4000]) {
        await page.setViewport({ width, height: 800 });
        for (const id of width === 320 || width === 200 ? jobs : jobs.slice(0, 2)) {
          await page.goto(`${demoUrl()}/jobs/${id}/drawing`, { waitUntil: 'load' });
          await page.waitForSelector('.bar svg, svg');
          await page.waitForSelector('[data-cell]');
          if (width === 320) expect([id, await page.evaluate(() => document.documentElement.scrollWidth)]).toEqual([id, 320]);
        }
      }
      await page.setViewport({ width: 320, height: 800 });
      for (const path of [
        '/',
        '/dial',
        '/jobs',
        '/shop/tools',
        '/handbook',
        '/logbook',
        '/jobs/sheave-axle/holding',
        '/jobs/sheave-axle/route',
        '/jobs/sheave-axle/inspection',
      ]) {
        await page.goto(demoUrl() + path, { waitUntil: 'networkidle0' });
        expect([path, await page.evaluate(() => document.documentElement.scrollWidth)]).toEqual([path, 320]);
      }
    }),
  180_000,
);

it('line 3: a held Enter, a bounced one, and a double click on Next are one', () =>
  on(async (page) => {
    await goTo(page, demoUrl(), '/jobs/sheave-axle/route', 'Part off');
    await press(page, 'give out to the Bench');
    await page.waitForSelector('[data-testid="step-number"]');
    await settle();
    const first = await stepNumber(page);
    for (let i = 0; i < 12; i++) await page.keyboard.down('Enter');
    await page.keyboard.up('Enter');
    await page.waitForFunction((was: string) => document.querySelector('[data-testid="step-number"]')?.textContent !== was, {}, first);
    await settle();
    expect(await stepNumber(page)).toMatch(/^step 2 /);
    await page.click('[data-testid="next"]', { count: 2 });
    await page.waitForFunction(() => document.querySelector('[data-testid="step-number"]')?.textContent.startsWith('step 3') === true);
    // a bounce right after the next card was drawn
    await page.keyboard.press('Enter');
    await settle();
    expect(await stepNumber(page)).toMatch(/^step 3 /);
    expect(Object.keys(await stored(page)).filter((k) => k.startsWith('log/sheave-axle/'))).toHaveLength(2);
  }));

it('line 4: what was typed when the page was reloaded within the pause is there again', () =>
  on(async (page) => {
    await goTo(page, demoUrl(), '/jobs/pintle-pin/drawing', 'edge to A');
    await showColumn(page, 'note');
    await fill(page, 'note, row 1', 'left in mid-word');
    await page.reload({ waitUntil: 'load' });
    await sees(page, 'is back');
    expect(await page.$eval('[aria-label="note, row 1"]', (e) => (e as HTMLInputElement).value)).toBe('left in mid-word');
    await fill(page, 'size, row 1', '23.5 h7');
    await page.goto('about:blank');
    await goTo(page, demoUrl(), '/jobs/pintle-pin/drawing', 'edge to A');
    await page.waitForFunction(() => document.querySelector<HTMLInputElement>('[aria-label="size, row 1"]')?.value === '23.5 h7');
  }));

it('line 4: a shop change that storage refused stays, is said, and goes in with the next', () =>
  on(async (page) => {
    await goTo(page, demoUrl(), '/shop/holdings', 'true within');
    const cell = (key: string) => `[data-item="three-jaw"] [data-field="${key}"]`;
    const retype = async (key: string, text: string) => {
      await page.click(cell(key), { count: 3 });
      await page.keyboard.type(text);
      await page.keyboard.press('Enter');
    };
    await page.evaluate(() => {
      const descriptor = Object.getOwnPropertyDescriptor(IDBObjectStore.prototype, 'put') ?? {};
      Object.assign(window, { heal: () => Object.defineProperty(IDBObjectStore.prototype, 'put', descriptor) });
      Object.defineProperty(IDBObjectStore.prototype, 'put', {
        configurable: true,
        value: () => {
          throw new DOMException('full', 'QuotaExceededError');
        },
      });
    });
    await retype('trueWithin', '0.07');
    await sees(page, 'did not store the last change of the shop');
    await page.evaluate(() => {
      (window as unknown as { heal: () => void }).heal();
    });
    await retype('maxSpeed', '2345');
    await page.waitForFunction(() => !document.body.innerText.includes('did not store'));
    await page.reload({ waitUntil: 'networkidle0' });
    await page.waitForSelector(cell('trueWithin'));
    expect(await page.$eval(cell('trueWithin'), (e) => (e as HTMLInputElement).value)).toBe('0.07');
    expect(await page.$eval(cell('maxSpeed'), (e) => (e as HTMLInputElement).value)).toBe('2345');
  }));

it('line 5: a job deleted in another window is said at the Bench, its entries are kept, and any window puts it back', () =>
  on(async (page) => {
    await goTo(page, demoUrl(), '/jobs/mast-dowel/route', 'Part off');
    await press(page, 'give out to the Bench');
    await page.waitForSelector('[data-testid="step-number"]');
    const other = await page.browserContext().newPage();
    await goTo(other, demoUrl(), '/jobs', 'Mast step dowel');
    await press(other, 'actions for Mast step dowel');
    await press(other, 'delete');
    await sees(other, 'Deleted');
    await page.bringToFront();
    await sees(page, 'deleted in another window');
    await pressNext(page);
    await page.waitForFunction(() => document.querySelector('[data-testid="step-number"]')?.textContent.startsWith('step 2') === true);
    await other.bringToFront();
    await other.reload({ waitUntil: 'networkidle0' });
    await press(other, 'put back Mast step dowel');
    await sees(other, 'is back');
    const keys = Object.keys(await stored(other));
    expect(keys).toContain('job/mast-dowel');
    expect(keys.filter((k) => k.startsWith('log/mast-dowel/'))).toHaveLength(1);
    await page.bringToFront();
    await page.waitForFunction(() => !document.body.innerText.includes('deleted in another window'), { polling: 100 });
  }));

const places = ['/', '/dial', '/jobs', '/shop/machines', '/handbook', '/logbook'];

it('line 8: with cookies blocked every screen works for the visit', () =>
  on(
    async (page, complaints) => {
      for (const path of places) {
        await page.goto(demoUrl() + path, { waitUntil: 'networkidle0' });
        expect(await page.evaluate(() => document.body.innerText)).not.toContain('This screen stopped');
        expect(await page.$('main')).not.toBeNull();
      }
      expect(complaints).toEqual([]);
    },
    async (page) => {
      await page.evaluateOnNewDocument(() => {
        for (const name of ['localStorage', 'sessionStorage'])
          Object.defineProperty(window, name, {
            get: () => {
              throw new DOMException('blocked', 'SecurityError');
            },
          });
      });
    },
  ));

it(
  'line 8: a database that never opens is said, and the visit goes on without it',
  () =>
    on(
      async (page) => {
        await page.goto(`${demoUrl()}/jobs`, { waitUntil: 'load' });
        await sees(page, 'The storage of this browser does not open');
        await press(page, 'new job');
        await page.waitForFunction(() => location.pathname.endsWith('/drawing'));
        await sees(page, 'New job');
      },
      async (page) => {
        await page.evaluateOnNewDocument(() => {
          IDBFactory.prototype.open = () => Object.create(EventTarget.prototype) as IDBOpenDBRequest;
        });
      },
    ),
  60_000,
);

it('line 8: from a folder below an address the page says that it wants one of its own', async () => {
  const proxy = createServer((asked, answer) => {
    const inner = asked.url?.startsWith('/below/') === true ? asked.url.slice('/below'.length) : undefined;
    if (inner === undefined) return void answer.writeHead(404).end();
    void fetch(demoUrl() + inner).then(async (given) => {
      const kept = ['content-type', 'content-security-policy'].flatMap((name) => {
        const value = given.headers.get(name);
        return value === null ? [] : [[name, value] as const];
      });
      answer.writeHead(given.status, Object.fromEntries(kept)).end(Buffer.from(await given.arrayBuffer()));
    });
  });
  await new Promise<void>((ready) => proxy.listen(0, ready));
  const { page, close } = await freshPage(browser, 'about:blank');
  try {
    await page.goto(`http://localhost:${String((proxy.address() as AddressInfo).port)}/below/`, { waitUntil: 'load' });
    await page.waitForFunction(() => {
      const said = document.querySelector('#root > p');
      return said !== null && getComputedStyle(said).visibility === 'visible';
    });
    expect(await page.$eval('#root > p', (e) => e.textContent)).toContain('served from the top of an address');
  } finally {
    await close();
    proxy.close();
  }
});

it('line 8: a part that is gone loads the page anew, once', () =>
  on(async (page) => {
    await page.setCacheEnabled(false);
    await page.setRequestInterception(true);
    let asked = 0;
    page.on('request', (request) => {
      if (!/assets\/Logbook/i.test(request.url())) void request.continue();
      else if (++asked === 1) void request.respond({ status: 404, body: 'not found' });
      else void request.continue();
    });
    await page.evaluate(() => history.replaceState(null, '', '/'));
    await press(page, 'Logbook');
    await sees(page, 'Backup');
    expect(asked).toBeGreaterThan(1);
  }));

it('line 8: without locks everything is stored all the same', () =>
  on(
    async (page) => {
      await goTo(page, demoUrl(), '/jobs/pintle-pin/drawing', 'edge to A');
      await showColumn(page, 'note');
      await fill(page, 'note, row 1', 'no locks');
      await page.waitForFunction(() => document.querySelector('[data-testid="saved"]')?.textContent === 'saved');
      await page.reload({ waitUntil: 'load' });
      await page.waitForFunction(() => document.querySelector<HTMLInputElement>('[aria-label="note, row 1"]')?.value === 'no locks');
    },
    async (page) => {
      await page.evaluateOnNewDocument(() => Object.defineProperty(navigator, 'locks', { value: undefined }));
    },
  ));
