/* Every screen at the three sizes it must stand at, in both units: nothing cut off or overlapping, no accessibility violations. */
import type { Browser, Page } from 'puppeteer-core';
import { demoUrl, emptyUrl, freshPage, goTo, press, sees, sharedBrowser, untilStep } from './harness';
import { crowded, violations } from './layout';

let browser: Browser;
let page: Page;
let complaints: readonly string[];
let close: () => Promise<void>;

beforeAll(async () => {
  browser = await sharedBrowser();
  ({ page, complaints, close } = await freshPage(browser, demoUrl()));
  await goTo(page, demoUrl(), '/jobs/sheave-axle/route', 'Part off');
  await press(page, 'give out to the Bench');
  await untilStep(page, '18.979');
});

afterAll(async () => {
  await close();
  await browser.disconnect();
});

const screens: readonly (readonly [path: string, words: string])[] = [
  ['/', 'Samples'],
  ['/dial', 'What do I dial now?'],
  ['/jobs', 'Sheave axle'],
  ['/jobs/sheave-axle/drawing', 'edge to A'],
  ['/jobs/pintle-pin/drawing', 'edge to A'],
  ['/jobs/mast-dowel/drawing', 'edge to A'],
  ['/jobs/windlass-spindle/drawing', 'Windlass spindle'],
  ['/jobs/chainplate-ring/drawing', 'bolt circle'],
  ['/jobs/rudder-shaft/drawing', '1010'],
  ['/jobs/worn-tiller-pin/drawing', 'The piece as it is now'],
  ['/jobs/pintle-pin/holding', 'Saw or pull out'],
  ['/jobs/mast-dowel/holding?at=left-1', 'Turned round'],
  ['/jobs/pintle-pin/route?at=finish-turn@s1', 'Part off'],
  ['/jobs/mast-dowel/route?at=drill@b1', 'Part off'],
  ['/jobs/sheave-axle/route?at=thread@s1', 'Turn round'],
  ['/jobs/sheave-axle/bench', '18.979'],
  ['/jobs/sheave-axle/inspection', 'piece 2'],
  ['/jobs/mast-dowel/bench', 'Not given out yet'],
  ['/jobs/nowhere/drawing', 'No such job here'],
  ['/handbook', 'Limits of a thread'],
  ['/handbook/threads?d=M12x1.6', 'no such standard pitch'],
  ['/handbook/fits?d=25+H7/s6&m=25.03', 'shaft to this hole'],
  ['/handbook/tap-drills?d=10-32', '#21'],
  ['/handbook/tapers', 'tailstock set over'],
  ['/handbook/change-gears?p=2', 'pitch it cuts'],
  ['/handbook/press-fits', 'The hub yields'],
  ['/handbook/bolt-circle?n=11', 'an odd circle'],
  ['/handbook/wires?d=nonsense', 'is no thread of this table'],
  ['/practice', 'Two like cuts'],
  ['/practice/two-like-cuts?lathe=mid', 'start the spindle'],
  ['/practice/two-like-cuts?lathe=small', 'start the spindle'],
  ['/practice/two-collars', 'it stands right'],
  ['/practice/four-jaw', 'jaw 1'],
  ['/practice/pins', 'try it'],
];

const sizes = [
  [1280, 800],
  [1280, 680],
  [1024, 768],
] as const;

/** As it stands: the plan of what is typed, its figures in the units of the part. */
const stands = () => page.waitForFunction(() => document.querySelector('.older') === null, { polling: 100 });

describe.each(screens)('%s', (path, words) => {
  beforeAll(async () => {
    await page.evaluate(() => sessionStorage.clear());
    await goTo(page, demoUrl(), path, words);
  });

  it.each(sizes)('at %dx%d', async (width, height) => {
    await page.setViewport({ width, height });
    await stands();
    expect(await crowded(page)).toEqual([]);
    expect(await violations(page)).toEqual([]);
    await page.keyboard.press('u');
    expect(await crowded(page)).toEqual([]);
    await page.keyboard.press('u');
  });
});

describe.each(sizes)('at %dx%d', (width, height) => {
  beforeAll(() => page.setViewport({ width, height }));

  it('the opening page with a line typed', async () => {
    await goTo(page, demoUrl(), '/', 'Samples');
    await page.type('#line', '1/2-13 x 3/4; 3/4 -.001 x 1; 1 x 1-1/2');
    await sees(page, 'Part off');
    await stands();
    expect(await crowded(page)).toEqual([]);
    expect(await violations(page)).toEqual([]);
    await page.evaluate(() => sessionStorage.clear());
  });
});

describe('an empty store', () => {
  it('shows the one thing to do next, and no door that leads nowhere', async () => {
    const fresh = await freshPage(browser, `${emptyUrl()}/jobs`);
    await sees(fresh.page, 'No jobs yet');
    expect(await fresh.page.$$eval('nav[aria-label="Doors"] a', (all) => all.map((a) => a.textContent))).toEqual([
      'Jobs',
      'Shop',
      'Handbook',
      'Practice',
      'Logbook',
    ]);
    await press(fresh.page, 'new job');
    await sees(fresh.page, 'Type the first row');
    expect(await violations(fresh.page)).toEqual([]);
    for (const key of ['2', '3', '4', '5'] as const) {
      await fresh.page.keyboard.press('Escape');
      await fresh.page.keyboard.press(key);
      await fresh.page.waitForFunction(
        (n: string) => document.querySelector(`.stages a.active[aria-keyshortcuts="${n}"]`) !== null,
        { polling: 100 },
        key,
      );
      expect(await violations(fresh.page)).toEqual([]);
    }
    expect(fresh.complaints).toEqual([]);
    await fresh.close();
  });
});

describe('the picture', () => {
  it('has a text for those who do not see it, and keeps its proportions', async () => {
    await page.setViewport({ width: 1280, height: 800 });
    await goTo(page, demoUrl(), '/jobs/pintle-pin/drawing', 'edge to A');
    // in the units that its drawing is typed in, once it is read
    await page.waitForFunction(
      (said: string) => document.querySelector('[data-testid="bar"] svg')?.getAttribute('aria-label')?.includes(said),
      { polling: 100 },
      'The part from end A: Ø.75 in × 8 in; Ø1.25 in × .375 in; 8.375 in long.',
    );
    // slender: shortened by break lines, so that the head is still as thick as it is wide in its true proportion
    const head = await page.$eval('[data-testid="bar"] [aria-label="row 2"]', (e) => e.getBoundingClientRect().width);
    const blue = async () => page.$eval('[data-testid="bar"] rect[stroke="var(--blue)"]', (e) => e.getBoundingClientRect().height - 4);
    await page.focus('[data-cell="s2.size"]');
    await page.waitForSelector('[data-testid="bar"] rect[stroke="var(--blue)"]');
    expect(Math.abs((await blue()) / head / (1.25 / 0.375) - 1)).toBeLessThan(0.06);
  });

  it('puts the cursor in the row that is pressed', async () => {
    await page.click('[data-testid="bar"] [aria-label="row 1"]');
    await page.waitForFunction(() => document.activeElement?.getAttribute('data-picture-cell') === 's1.size');
    await page.keyboard.press('Escape');
    await page.waitForSelector('[data-picture-cell]', { hidden: true });
  });

  it('zooms by the wheel and fits again by 0', async () => {
    await page.keyboard.press('Escape');
    const box = await (await page.$('[data-testid="bar"]'))?.boundingBox();
    await page.mouse.move((box?.x ?? 0) + 400, (box?.y ?? 0) + 80);
    await page.mouse.wheel({ deltaY: -400 });
    await page.waitForFunction(() => document.querySelector('[data-testid="bar"] svg > g')?.getAttribute('transform')?.includes('scale') === true);
    await page.keyboard.press('0');
    await page.waitForFunction(() => document.querySelector('[data-testid="bar"] svg > g')?.hasAttribute('transform') === false);
  });
});

it('nothing was complained of on the way', () => {
  expect(complaints).toEqual([]);
});
