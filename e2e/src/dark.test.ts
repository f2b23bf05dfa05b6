/* Dark by the system's wish and by one key, on every screen: the same words, contrast held, kept over a reload, black on white on paper. */
import { demoUrl, goTo, pageForEach, press, sees, settle } from './harness';
import { crowded, violations } from './layout';

const on = pageForEach();
const theme = () => on.page.evaluate(() => document.documentElement.dataset['bsTheme']);

it.each([
  ['/', 'Samples'],
  ['/jobs', 'Sheave axle'],
  ['/jobs/sheave-axle/drawing', '8 sizes'],
  ['/jobs/sheave-axle/holding', 'Setup 1'],
  ['/jobs/sheave-axle/route', 'give out to the Bench'],
  ['/jobs/sheave-axle/inspection', 'Piece 1'],
  ['/shop', 'lathe'],
  ['/handbook', 'Handbook'],
  ['/handbook/threads', 'Source: '],
  ['/logbook', 'Logbook'],
  ['/dial', 'dial'],
])('%s in the dark', async (path, words) => {
  const { page } = on;
  await page.emulateMediaFeatures([{ name: 'prefers-color-scheme', value: 'dark' }]);
  await goTo(page, demoUrl(), path, words);
  expect(await theme()).toBe('dark');
  // what is worked out anew is greyed meanwhile, sometimes twice
  for (let i = 0; i < 2; i++) {
    await settle();
    await page.waitForFunction(() => document.querySelector('.older') === null);
  }
  expect(await violations(page)).toEqual([]);
  expect(await crowded(page)).toEqual([]);
});

it('the Bench in the dark, by its key and by a press; kept over a reload; by the system again when it is swapped back', async () => {
  const { page } = on;
  await goTo(page, demoUrl(), '/jobs/sheave-axle/route', 'give out to the Bench');
  expect(await theme()).toBe('light');
  await page.waitForSelector('.ops tr[data-step]');
  await press(page, 'give out to the Bench');
  await page.waitForSelector('[data-testid="step-number"]');
  await page.keyboard.press('d');
  expect(await theme()).toBe('dark');
  expect(await violations(page)).toEqual([]);
  await page.reload();
  await page.waitForSelector('[data-testid="step-number"]');
  expect(await theme()).toBe('dark');
  await page.emulateMediaType('print');
  expect(await page.evaluate(() => getComputedStyle(document.documentElement).getPropertyValue('--ink').trim())).toBe('#1b1f27');
  await page.emulateMediaType('screen');
  await page.click('header button[aria-label="light"]');
  expect(await theme()).toBe('light');
  await page.emulateMediaFeatures([{ name: 'prefers-color-scheme', value: 'dark' }]);
  await page.waitForFunction(() => document.documentElement.dataset['bsTheme'] === 'dark');
  await sees(page, 'step 1 of');
});
