/* Dialogs that are kept as a whole: a wrong number is told at its cell, nothing that was typed is lost, Enter keeps and Escape leaves as it was. */
import { demoUrl, goTo, pageForEach, press, saved, sees, stored } from './harness';
import { hiding, violations } from './layout';

const on = pageForEach();

const retype = async (selector: string, text: string) => {
  await on.page.waitForSelector(selector);
  await on.page.click(selector, { count: 3 });
  await on.page.keyboard.press('Backspace');
  await on.page.keyboard.type(text);
};
const valueOf = (selector: string) => on.page.$eval(selector, (e) => (e as HTMLInputElement).value);
const lathe = async () =>
  ((await stored(on.page))['shop'] as { shop: { machines: { kilowatts: number; speeds: number[] }[] } } | undefined)?.shop.machines[0];

it('the lathe', async () => {
  await goTo(on.page, demoUrl(), '/jobs/sheave-axle/holding', 'taken:');
  await press(on.page, 'mid-size lathe');
  // its words are seen whole
  expect(await hiding(on.page)).toEqual([]);
  await retype('#lathe-power', 'strong');
  await retype('#lathe-speeds', '60 fast 900');
  await on.page.keyboard.press('Enter');
  await sees(on.page, '“fast” is no number above zero');
  await sees(on.page, 'Motor: more than zero kW');
  // the first that is wrong has the cursor, and both stand as typed
  expect(await on.page.evaluate(() => document.activeElement?.id)).toBe('lathe-speeds');
  expect([await valueOf('#lathe-speeds'), await valueOf('#lathe-power')]).toEqual(['60 fast 900', 'strong']);
  expect(await violations(on.page)).toEqual([]);
  await retype('#lathe-speeds', '900 60, 300');
  await retype('#lathe-power', '2,2');
  await on.page.keyboard.press('Enter');
  await on.page.waitForFunction(() => document.querySelector('#lathe-power') === null);
  await saved(on.page);
  for (let tries = 0; tries < 50 && (await lathe())?.kilowatts !== 2.2; tries++) await new Promise((resolve) => setTimeout(resolve, 100));
  expect((await lathe())?.speeds).toEqual([60, 300, 900]);
  await press(on.page, 'mid-size lathe');
  await retype('#lathe-power', '99');
  await on.page.keyboard.press('Escape');
  await on.page.waitForFunction(() => document.querySelector('#lathe-power') === null);
  expect((await lathe())?.kilowatts).toBe(2.2);
});

it('what a lathe is learned by', async () => {
  await goTo(on.page, demoUrl(), '/shop/machines', 'learn this lathe');
  await press(on.page, 'learn this lathe');
  await sees(on.page, 'Backlash of the cross slide');
  const cell = await on.page.$$eval('.modal form[aria-label="Backlash of the cross slide"] input', (all) => all[0]?.id ?? '');
  await retype(`[id="${cell}"]`, 'two');
  await sees(on.page, '“two” is no number of divisions');
  await on.page.keyboard.press('Enter');
  expect(await valueOf(`[id="${cell}"]`)).toBe('two');
  await retype(`[id="${cell}"]`, '2,5');
  await on.page.keyboard.press('Enter');
  await sees(on.page, '✓ in the record');
  expect(await violations(on.page)).toEqual([]);
});

it('the limits of a fit that was fixed: kept together, with a reason', async () => {
  await goTo(on.page, demoUrl(), '/jobs/sheave-axle/drawing', 'edge to A');
  await on.page.focus('[data-cell="s2.size"]');
  await press(on.page, 'more');
  await press(on.page, 'fit to a piece');
  await on.page.waitForSelector('[aria-label="piece, fit 1"]');
  await on.page.type('[aria-label="piece, fit 1"]', 'sheave');
  await on.page.type('[aria-label="readings, fit 1"]', '19.05 19.06');
  await on.page.type('[aria-label="wanted, fit 1"]', 'clearance 0.05');
  await press(on.page, 'fix');
  const [min, max, why] = ['min', 'max', 'why'].map((key) => `[aria-label="${key}, fixed limits of sheave"]`) as [string, string, string];
  await on.page.waitForSelector(min);
  const was = await valueOf(max);
  await retype(max, '18');
  await retype(why, ' ');
  await press(on.page, 'keep');
  await sees(on.page, 'The larger limit comes second');
  expect(await valueOf(max)).toBe('18');
  await retype(max, 'wide');
  await press(on.page, 'keep');
  await sees(on.page, 'to: ');
  await on.page.focus(max);
  await on.page.keyboard.press('Escape');
  await on.page.waitForFunction((s: string, v: string) => document.querySelector<HTMLInputElement>(s)?.value === v, {}, max, was);
  await retype(max, '19.02');
  await retype(why, 'turned easier');
  await on.page.keyboard.press('Enter');
  await on.page.waitForFunction(() => ![...document.querySelectorAll('form.fixed button')].some((b) => b.textContent === 'keep'));
  await saved(on.page);
  await on.page.reload({ waitUntil: 'networkidle0' });
  await on.page.waitForSelector(max);
  expect([await valueOf(max), await valueOf(why)]).toEqual(['19.02', 'turned easier']);
});

it('a holding is chosen from a list by a word, with the arrows and Enter; Escape leaves it', async () => {
  await goTo(on.page, demoUrl(), '/jobs/sheave-axle/holding', 'taken:');
  const now = () => on.page.$eval('[aria-label^="Holding: "]', (e) => e.textContent);
  await on.page.waitForFunction(() => document.querySelector<HTMLButtonElement>('[aria-label^="Holding: "]')?.disabled === false);
  await on.page.waitForFunction(() => document.querySelector('[aria-label^="Holding: "]')?.textContent !== 'holding');
  const was = await now();
  await on.page.click('[aria-label^="Holding: "]');
  await on.page.waitForSelector('[aria-label="Find in Holding"]');
  expect(await on.page.$$eval('.chooser-list [role="option"] svg', (all) => all.length)).toBeGreaterThan(10);
  expect(await violations(on.page)).toEqual([]);
  await on.page.keyboard.type('four');
  await on.page.keyboard.press('ArrowDown');
  await on.page.keyboard.press('ArrowUp');
  await on.page.keyboard.press('Escape');
  await on.page.waitForFunction(() => document.querySelector('.chooser-list') === null);
  expect(await now()).toBe(was);
  await on.page.keyboard.press('Enter');
  await on.page.waitForSelector('[aria-label="Find in Holding"]');
  await on.page.keyboard.type('four-jaw');
  await on.page.keyboard.press('Enter');
  await on.page.waitForFunction(() => document.querySelector('[aria-label^="Holding: "]')?.textContent.includes('four-jaw') === true);
});

it('the finder goes by letters, arrows and Enter, and shows what was found last time first', async () => {
  await goTo(on.page, demoUrl(), '/jobs', 'import a job file');
  await on.page.keyboard.press('/');
  await on.page.waitForSelector('input[aria-label="Find a job, a place or a size"]');
  await on.page.keyboard.type('pintel');
  await sees(on.page, 'Rudder pintle pin: drawing');
  expect(await violations(on.page)).toEqual([]);
  await on.page.keyboard.press('ArrowDown');
  await on.page.keyboard.press('Enter');
  await on.page.waitForFunction(() => location.pathname.endsWith('/pintle-pin/holding'));
  await sees(on.page, 'taken:');
  await on.page.keyboard.press('/');
  await sees(on.page, 'lately');
  expect(await on.page.$eval('[role="option"]', (e) => e.textContent.trim())).toBe('Rudder pintle pin: holding');
});
