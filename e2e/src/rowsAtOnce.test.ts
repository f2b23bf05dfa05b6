/* Twelve rows of a drawing stand at once at 1280x800; columns that nobody uses stand back. */
import { demoUrl, goTo, pageForEach, press, showColumn } from './harness';
import { soundAt } from './layout';
import { openJob, row } from './openJob';

const on = pageForEach();
const heads = () => on.page.$$eval('table.rows th', (all) => all.map((e) => (e as HTMLElement).innerText.trim()));

it('twelve rows stand at once, one line each, with what was understood inside the cell or told of the row in hand', async () => {
  const { page } = on;
  const sizes = ['20 h7', '21', 'M24', '23 +/-0.05', '7/8 in', '25', '26 > 28', '28', '29 h7', '30', '31', '32 not a size'];
  await openJob(page, 'twelve-rows', {}, { outside: sizes.map((size, i) => row(`q${String(i)}`, size, String(8 + i))) });
  await page.setViewport({ width: 1280, height: 800 });
  await goTo(page, demoUrl(), '/jobs/twelve-rows/drawing', 'add a row');
  const rows = await page.$$eval('table.rows tbody tr', (all) => all.map((e) => e.getBoundingClientRect()).map((r) => [r.top, r.bottom, r.height]));
  expect(rows).toHaveLength(12);
  for (const [top = -1, bottom = 9999, height = 99] of rows) {
    expect(top).toBeGreaterThan(0);
    expect(bottom).toBeLessThanOrEqual(800);
    expect(Math.round(height)).toBe(36);
  }
  const understood = await page.$$eval('table.rows .understood', (all) => all.map((e) => (e as HTMLElement).innerText));
  expect(understood).toEqual(expect.arrayContaining(['19.979 to 20.000', 'M24x3-6g', '22.950 to 23.050']));
  // what has no room in its cell, or was not understood, is told of the row in hand
  await page.focus('[data-cell="q11.size"]');
  await page.waitForFunction(() => (document.querySelector('[data-said="q11.size"]')?.textContent ?? '') !== '');
  await soundAt(page);
});

it('a column that nobody uses is asked for, is kept while it holds something, and stays under the cursor when its last word is taken out', async () => {
  const { page } = on;
  await openJob(page, 'spare-columns', {}, { outside: [row('a', '20', '30'), row('b', '30', '10')] });
  await goTo(page, demoUrl(), '/jobs/spare-columns/drawing', 'add a row');
  expect(await heads()).not.toContain('finish');
  await showColumn(page, 'edges');
  await page.waitForSelector('[data-cell="a.near"]');
  await page.type('[data-cell="a.near"]', '1');
  await page.keyboard.press('Backspace');
  expect(await heads()).toEqual(expect.arrayContaining(['edge to A', 'edge to B']));
  await page.type('[data-cell="a.near"]', '1x45');
  await press(page, 'columns');
  expect(
    await page.$$eval('[role="menuitemcheckbox"]', (all) =>
      all.map((e) => [(e as HTMLElement).innerText.trim(), e.getAttribute('aria-disabled') === 'true']),
    ),
  ).toEqual([
    ['✓ edges, in use', true],
    ['finish', false],
    ['note', false],
  ]);
  await page.keyboard.press('Escape');
  await page.reload();
  await page.waitForSelector('[data-cell="a.near"]');
  await soundAt(page);
});
