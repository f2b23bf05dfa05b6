/* How an order came and what came with it: typed by keys, kept, found, and told when the piece goes back. */
import { demoUrl, goTo, pageForEach, press, saved, sees, stored } from './harness';
import { openJob, row } from './openJob';
import { soundAt } from './layout';

const on = pageForEach();

it('is typed on the drawing, outlives a reload, is found by its words in Jobs and by /, and undone as it was typed', async () => {
  const { page } = on;
  await openJob(page, 'ordered', { name: 'ordered pin', customer: 'Harbour' }, { outside: [row('a', '12 h9', '40')] });
  await goTo(page, demoUrl(), '/jobs/ordered/drawing', 'columns');
  await press(page, 'more');
  await press(page, 'the order, and what came with it');
  await page.type('#order-reference', 'PO-4711');
  await page.type('#order-channel', 'telephone');
  await page.type('#order-price', '120');
  await press(page, 'what came with it');
  await page.waitForFunction(() => document.activeElement?.getAttribute('aria-label') === 'what came, part 1');
  await page.keyboard.type('two bronze washers');
  expect(await page.$eval('[aria-label="two bronze washers: received"]', (e) => (e as HTMLInputElement).value)).toMatch(/^20\d\d-\d\d-\d\d$/);
  await soundAt(page);
  await saved(page);
  await page.reload({ waitUntil: 'networkidle0' });
  const job = ((await stored(page))['job/ordered'] as { job: { order: unknown } }).job;
  expect(job.order).toMatchObject({ reference: 'PO-4711', channel: 'telephone', price: '120', parts: [{ what: 'two bronze washers' }] });
  await goTo(page, demoUrl(), '/jobs/ordered/inspection', 'To be given back with it: two bronze washers');
  await goTo(page, demoUrl(), '/jobs', 'ordered pin');
  await sees(page, '1 to give back');
  await page.type('[aria-label="Find in Jobs"]', 'bronze washers');
  await page.waitForFunction(
    () => [...document.querySelectorAll('table[aria-label="Jobs"] tbody strong')].map((e) => e.textContent).join() === 'ordered pin',
  );
  await page.evaluate(() => (document.activeElement as HTMLElement).blur());
  await page.keyboard.press('/');
  await page.keyboard.type('4711');
  await sees(page, 'ordered pin: drawing');
  await page.keyboard.press('Escape');
});

it('what is wanted soonest stands first in Jobs, and what is late says by how much', async () => {
  const { page } = on;
  const day = (days: number) => new Date(Date.now() + days * 86_400_000).toISOString().slice(0, 10);
  for (const [id, wanted] of [
    ['soon', day(1)],
    ['late', day(-9)],
    ['far', '2099-01-01'],
  ] as const)
    await openJob(page, id, { name: `Wanted ${id}`, wanted }, { outside: [row('a', '12', '40')] });
  await goTo(page, demoUrl(), '/jobs', 'Wanted soon');
  const names = await page.$$eval('table[aria-label="Jobs"] tbody strong', (all) => all.map((e) => e.textContent));
  const at = (name: string) => names.indexOf(`Wanted ${name}`);
  expect(at('late')).toBeLessThan(at('soon'));
  expect(at('soon')).toBeLessThan(at('far'));
  await sees(page, '9 days late');
});
