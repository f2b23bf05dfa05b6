/* Fits by what they are for: both halves as bars over one another, what lies between them in words, what was tried so far. */
import { demoUrl, goTo, pageForEach, press, saved, sees } from './harness';
import { soundAt } from './layout';
import { mm, openJob, row } from './openJob';

const on = pageForEach();

it('the seat of a bearing by its intent, typed by keys: limits, both bars, worst and likely; it survives a reload and an undo', async () => {
  const { page } = on;
  await openJob(page, 'bearing-seat', {}, { outside: [row('a', '25', '30'), row('b', '40', '20')] });
  await goTo(page, demoUrl(), '/jobs/bearing-seat/drawing', 'add a row');
  await page.focus('[data-cell="a.size"]');
  await press(page, 'more');
  await press(page, 'fit to a piece');
  await page.waitForFunction(() => (document.activeElement as HTMLElement | null)?.dataset['cell']?.endsWith('.piece') === true);
  await page.keyboard.type('ball bearing');
  await page.focus('[data-cell$=".want"]');
  await page.keyboard.type('bearing, ring turns');
  await sees(page, '25.002 to 25.011');
  const said = await page.$eval('.fit-bars', (e) => (e as HTMLElement).innerText);
  expect(said).toMatch(/0\.002 mm to 0\.021 mm tight, likely 0\.007 mm to 0\.016 mm tight/);
  expect(await page.$eval('.fit-bars svg', (e) => e.getAttribute('aria-label'))).toMatch(/hole 24\.990 to 25\.000, shaft 25\.002 to 25\.011/);
  await saved(page);
  await soundAt(page);
  await page.reload();
  await page.waitForSelector('.fit-bars');
});

it('what was tried at the Bench stands at its fit', async () => {
  const { page } = on;
  await openJob(
    page,
    'tried-fit',
    {},
    {
      outside: [row('a', '25', '30'), row('b', '40', '20')],
      mates: [
        { id: 'm', of: 'a', piece: 'wheel', want: mm('clearance 0.02 to 0.05'), measured: { readings: [mm('25.01')], gauge: 'micrometer-0-25' } },
      ],
    },
  );
  await goTo(page, demoUrl(), '/jobs/tried-fit/inspection', 'Measured');
  await page.type('[aria-label^="reading of diameter"]', '24.975');
  await page.keyboard.press('Enter');
  await saved(page);
  await goTo(page, demoUrl(), '/jobs/tried-fit/drawing', 'so far: piece 1, read 24.975');
});
