/* The run to size: every reading of a piece on its way to the limits, at the Bench and where a dial is asked for without a job. */
import { demoUrl, enterReading, goTo, pageForEach, press, takeCut, untilStep } from './harness';
import { soundAt } from './layout';

const on = pageForEach();
const strip = () =>
  on.page.$eval('[data-testid="run"]', (e) => ({
    says: e.querySelector('svg')?.getAttribute('aria-label') ?? '',
    marks: [...e.querySelectorAll('circle.reading')].map((c) => parseFloat(c.getAttribute('cx') ?? '')),
    limits: parseFloat(e.querySelector('rect.limits')?.getAttribute('x') ?? ''),
    ghosts: [...e.querySelectorAll('[data-ghost]')].map((g) => parseFloat(g.getAttribute('width') ?? '')),
    below: e.querySelector('div')?.textContent ?? '',
  }));

it('stands under the big number: readings, limits, what is foretold, the chance in words; in words for a screen reader', async () => {
  const { page } = on;
  await goTo(page, demoUrl(), '/jobs/sheave-axle/route', 'Part off');
  await press(page, 'give out to the Bench');
  await untilStep(page, '18.979');
  expect(await page.$('[data-testid="run"]')).toBeNull();
  await enterReading(page, '19.626');
  await page.waitForSelector('[data-testid="run"]');
  const first = await strip();
  expect(first.marks).toHaveLength(1);
  expect(first.says).toMatch(/^Run to size: read 19.626; limits 18.979 to 19.000; the next cut is expected at 19.30\d, give or take/);
  // the first of two like cuts is not meant to land
  expect(first.below).toBe('');
  await takeCut(page);
  await enterReading(page, '19.314');
  await page.waitForFunction(() => document.querySelectorAll('[data-testid="run"] circle').length === 2);
  const second = await strip();
  expect(second.marks[1]).toBeGreaterThan(second.marks[0] ?? 0);
  expect(second.marks[1]).toBeLessThan(second.limits);
  // nine in ten is wider than half
  expect(second.ghosts[0]).toBeGreaterThan(second.ghosts[1] ?? 0);
  expect(second.below).toMatch(/^\d+ in \d+ that it lands/);
  await soundAt(page);
  await takeCut(page);
  await enterReading(page, '18.990');
  await page.waitForFunction(() => document.querySelectorAll('[data-testid="run"] circle').length === 3);
  const last = await strip();
  expect(last.marks[2]).toBeGreaterThan(last.limits);
  expect(last.says).toMatch(/; in$/);
  // and small, in Inspection and in the Logbook
  await goTo(page, demoUrl(), '/jobs/sheave-axle/inspection', 'piece 2');
  expect(await page.$$eval('[data-testid="run-strip"] circle', (all) => all.length)).toBe(3);
  await soundAt(page);
  await goTo(page, demoUrl(), '/logbook', 'Sheave axle');
  await press(page, 'readings of Sheave axle');
  await page.waitForSelector('[data-testid="run-strip"]');
  expect(await page.$eval('[data-testid="run-strip"]', (e) => e.getAttribute('aria-label'))).toBe('run to size: 19.626, 19.314, 18.990');
});

it('of a bore runs from small to large, without a job, in inches too', async () => {
  const { page } = on;
  await goTo(page, demoUrl(), '/dial', 'What do I dial now?');
  await page.select('#what', 'bore');
  await page.type('#wanted', '25 H7');
  await page.type('#measured', '24.4');
  await page.waitForSelector('[data-testid="run"]');
  const before = (await strip()).marks[0] ?? 0;
  await page.click('#measured', { count: 3 });
  await page.keyboard.type('24.9');
  await page.waitForFunction(
    (was) => parseFloat(document.querySelector('[data-testid="run"] circle.last')?.getAttribute('cx') ?? '0') > was,
    {},
    before,
  );
  const decades = () => page.$$eval('[data-testid="run"] text:not(.in)', (all) => all.map((e) => e.textContent));
  expect(await decades()).toContain('0.10 mm');
  await page.evaluate(() => (document.activeElement as HTMLElement).blur());
  await page.click('header .right button');
  for (const [id, text] of [
    ['#wanted', '1 +.0005 -0'],
    ['#measured', '.96'],
  ] as const) {
    await page.click(id, { count: 3 });
    await page.keyboard.type(text);
  }
  // decades of inches, not millimetres written in inches
  await page.waitForFunction(() => (document.querySelector('[data-testid="run"] text')?.textContent ?? '').endsWith(' in'));
  for (const one of await decades()) expect(one).toMatch(/^(1|\.1|\.01|\.001|\.0001)0* in$/);
  await soundAt(page);
});
