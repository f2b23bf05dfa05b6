/* How each kind of size is measured, by whom and in what room; a reading taken as it is by name; an own step put in at the Bench. */
import { readFileSync } from 'node:fs';
import { demoUrl, downloads, fill, goTo, pageForEach, press, pressNext, sees, settle, stored, tap } from './harness';
import { soundAt } from './layout';
import { mm, openJob, row } from './openJob';

const on = pageForEach();
const entries = async (id: string) =>
  Object.entries(await stored(on.page)).flatMap(([key, e]) => (key.startsWith(`log/${id}/`) ? [e as Readonly<Record<string, unknown>>] : []));
const type = async (label: string, text: string) => {
  await fill(on.page, label, text);
  await on.page.keyboard.press('Enter');
  await settle();
};

it('who measured and how warm the room was go with each reading; a runout is drawn round the piece; a size is taken as it is by name', async () => {
  const { page } = on;
  await openJob(
    page,
    'round-pin',
    {},
    {
      material: 'aluminium',
      outside: [row('a', '25 h6', '40'), row('b', '40', '30')],
      relations: [{ id: 'run', kind: 'runout', of: 'a', to: 'b', value: mm('0.03') }],
    },
  );
  await goTo(page, demoUrl(), '/jobs/round-pin/inspection', 'who measures');
  await fill(page, 'who measures', 'A. Turner');
  await fill(page, 'how warm the room is', '8 C');
  await type('reading of runout 5', '0 .01 .02 .012');
  await page.waitForSelector('[data-testid="round"]');
  // twelve and twenty hundredths: high less low
  await sees(page, '0.020 mm high to low');
  // a caliper cannot tell of 13 micrometres
  await page.select('[aria-label="gauge for diameter 1"]', 'caliper');
  await type('reading of diameter 1', '24.99');
  await sees(page, '? cannot tell');
  await press(page, 'accept as A. Turner');
  await sees(page, '✓ in by this gauge, A. Turner');
  await page.evaluate(() => document.querySelector('main.sheet')?.scrollTo(0, 0));
  await soundAt(page);
  await page.reload();
  await sees(page, '✓ in by this gauge, A. Turner');
  const kept = await entries('round-pin');
  expect(kept.filter((e) => e['kind'] === 'reading').every((e) => e['who'] === 'A. Turner' && e['room'] === 8)).toBe(true);
  // aluminium in a cold shop, by a gauge of steel: 25 mm x 12 degrees x 11.5 to 12.5 millionths more at 20 degrees than it reads
  const cold = await page.$$eval('tr', (rows) => rows.map((r) => r.innerText).find((t) => t.includes('25 h6') || t.includes('24.987')) ?? '');
  expect(cold).toContain('24.99');
  const files = await downloads(page);
  await press(page, 'readings as CSV');
  const table = readFileSync(await files.next(), 'utf8');
  files.remove();
  expect(table).toContain('who');
  expect(table).toContain('A. Turner');
  expect(table).toContain('in by this gauge');
});

it('an own step is put in at the Bench by touch after the one in hand, and is there after a reload', async () => {
  const { page } = on;
  await page.setViewport({ width: 1024, height: 768, hasTouch: true, isMobile: false });
  await openJob(page, 'own-pin', {}, { outside: [row('a', '20', '40')] });
  await goTo(page, demoUrl(), '/jobs/own-pin/route', 'give out to the Bench');
  await page.waitForSelector('.ops tr[data-step]');
  await press(page, 'give out to the Bench');
  await page.waitForSelector('[data-testid="step-number"]');
  await tap(page, 'own step');
  await fill(page, 'own step after this one', 'deburr with a fine file');
  await fill(page, 'minutes of the own step', 'none');
  expect(await page.$eval('[aria-label="Own step"] button[type="submit"]', (e) => e.disabled)).toBe(true);
  await fill(page, 'minutes of the own step', '1,5');
  await tap(page, 'put it after this step');
  await pressNext(page);
  await sees(page, 'deburr with a fine file');
  await page.reload();
  await sees(page, 'deburr with a fine file');
  expect(await page.$eval('.bench h1', (e) => e.textContent)).toMatch(/own step|deburr/i);
  // without touch the page is loaded anew
  await page.setViewport({ width: 1280, height: 800 });
  await sees(page, 'deburr with a fine file');
  await soundAt(page);
});

it('a knurl is brought to its grown size: half risen, the wheel further in, whole; a slip of the hand is refused', async () => {
  const { page } = on;
  await openJob(
    page,
    'grip-knob',
    {},
    {
      outside: [row('a', '30', '20'), row('b', '36', '12')],
      details: [{ id: 'k', on: 'a', kind: 'knurl', at: mm('0'), length: mm('20'), size: mm('straight 1') }],
    },
  );
  await goTo(page, demoUrl(), '/jobs/grip-knob/route', 'give out to the Bench');
  await page.waitForSelector('.ops tr[data-step]');
  await press(page, 'give out to the Bench');
  await page.waitForSelector('[data-testid="step-number"]');
  for (let i = 0; i < 30 && (await page.$('[data-testid="grown"]')) === null; i++) await pressNext(page).then(settle);
  const says = () => page.$eval('[data-testid="risen"]', (e) => e.getAttribute('data-says'));
  await type('over the crests of the knurl', '3.00');
  await sees(page, 'is not this knurl');
  await type('over the crests of the knurl', '29.75');
  await page.waitForSelector('[data-says="further"]');
  await soundAt(page);
  await type('over the crests of the knurl', '30,02');
  await page.waitForSelector('[data-says="whole"]');
  await page.reload();
  await page.waitForSelector('[data-says="whole"]');
  expect(await says()).toBe('whole');
});
