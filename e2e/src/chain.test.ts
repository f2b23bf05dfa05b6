/* From bar to part in the browser: a batch of washers in one setting, a point held short, a spindle on the cones of its hole; each way of holding worked out whole. */
import type { Job } from '@obra/core/document';
import { demoUrl, goTo, pageForEach, saved, sees } from './harness';
import { mm, openJob, row } from './openJob';
import { crowded, soundAt, violations } from './layout';

const on = pageForEach();
const opened = (id: string, own: Partial<Job>, drawing: Partial<Job['drawing']>) => openJob(on.page, id, own, drawing);

const setups = () =>
  on.page.$$eval('.chain-setting', (all) =>
    all.map((e) => ({ words: (e as HTMLElement).innerText.replace(/\s+/g, ' '), chosen: e.getAttribute('aria-pressed') })),
  );
const moves = () => on.page.$$eval('.chain-move', (all) => all.map((e) => e.textContent));

it('ten washers come out of one setting; one with a fine thickness is turned round for its second face', async () => {
  const { page } = on;
  await opened('ten-washers', { pieces: 10 }, { outside: [row('a', 'bar 25', '3')], boreRight: [row('h', '12', 'through')] });
  await goTo(page, demoUrl(), '/jobs/ten-washers/holding', 'Setup 1');
  expect(await setups()).toHaveLength(1);
  await page.waitForSelector('select[aria-label="Parted face"]');
  await soundAt(page);
  await page.select('select[aria-label="Parted face"]', 'turned');
  await sees(page, 'Setup 2');
  expect(await moves()).toContain('turned round');
  await page.keyboard.down('Control');
  await page.keyboard.press('z');
  await page.keyboard.up('Control');
  await page.waitForFunction(() => !document.body.innerText.includes('Setup 2'));
  await saved(page);
  await goTo(page, demoUrl(), '/jobs/ten-washers/route', 'pieces');
  await sees(page, 'gripped once for 10 pieces');
});

it('a point is turned short, the bar pulled out after; the chain is gone through by keys and a setting is looked at', async () => {
  const { page } = on;
  await opened('short-point', {}, { outside: [row('p', '0.8 > 12', '10'), row('b', '12 h9', '20'), row('c', '16', '30'), row('d', '12', '20')] });
  await goTo(page, demoUrl(), '/jobs/short-point/holding', 'Setup 1');
  await page.select('select[aria-label="Pulled out"]', 'short');
  await sees(page, 'pulled out');
  const all = await setups();
  expect(all.length).toBeGreaterThan(2);
  await page.focus('.chain-setting:nth-of-type(1)');
  const second = await page.$$('.chain-setting');
  await second[1]?.focus();
  await page.keyboard.press('Enter');
  await page.waitForFunction(() => document.querySelectorAll('.chain-setting')[1]?.getAttribute('aria-pressed') === 'true');
  expect(new URL(page.url()).searchParams.get('at')).toMatch(/-2$/);
  await soundAt(page);
  for (const [width, height] of [
    [1280, 680],
    [1024, 768],
  ] as const) {
    await page.setViewport({ width, height });
    expect([width, await crowded(page)]).toEqual([width, []]);
  }
});

it('a spindle bored through goes between centres on cones, asked for; each way of holding is worked out whole', async () => {
  const { page } = on;
  await opened('on-cones', {}, { outside: [row('a', '30 h6', '160')], boreRight: [row('h', '10', 'through')] });
  await goTo(page, demoUrl(), '/jobs/on-cones/holding', 'Setup 1');
  await page.select('select[aria-label="Carried"]', 'centres');
  await sees(page, 'Setup 4');
  expect(await moves()).toEqual(expect.arrayContaining(['on to its centres', 'end for end']));
  await page.evaluate(() => {
    for (const d of document.querySelectorAll('details')) if (d.textContent.includes('minutes against runout')) d.open = true;
  });
  await page.waitForSelector('[data-testid="dots"] svg');
  await page.waitForSelector('table[aria-label="Each way of holding, worked out whole"] tbody tr');
  expect(await violations(page)).toEqual([]);
  await goTo(page, demoUrl(), '/jobs/on-cones/route', 'cone of 60');
});

it('a hexagon is milled on the bar and cut off after; a plate is turned over and its rim turned where it lies', async () => {
  const { page } = on;
  await opened(
    'hexagon-on-bar',
    {},
    { outside: [row('s', 'M12', '20'), row('h', 'bar 20', '8')], details: [{ id: 'x', on: 'h', kind: 'hexagon', at: mm('0'), size: mm('17') }] },
  );
  await goTo(page, demoUrl(), '/jobs/hexagon-on-bar/route', 'Beside the lathe');
  const order = await page.$$eval('[data-step]', (all) => all.map((e) => e.getAttribute('data-step') ?? ''));
  expect(order.findIndex((id) => id.startsWith('away@'))).toBeLessThan(order.findIndex((id) => /^(part|saw)-off/.test(id)));
  // a person may have it milled later, and on its bar again
  const onBar = (wanted: boolean) =>
    page.waitForFunction(
      (on) => {
        const ids = [...document.querySelectorAll('[data-step]')].map((e) => e.getAttribute('data-step') ?? '');
        return ids.findIndex((id) => id.startsWith('away@')) < ids.findIndex((id) => /^(part|saw)-off/.test(id)) === on;
      },
      {},
      wanted,
    );
  await page.click('[data-step^="away@"] td.verb');
  await page.waitForSelector('select[aria-label="Method of this step"]');
  await page.select('select[aria-label="Method of this step"]', 'after');
  await onBar(false);
  await page.click('[data-step^="away@"] td.verb');
  await page.waitForSelector('select[aria-label="Method of this step"]');
  await page.select('select[aria-label="Method of this step"]', 'on-bar');
  await onBar(true);
  await opened('bored-plate', {}, { outside: [row('a', '80', '10')], boreRight: [row('b', '20 H7', 'through')] });
  await goTo(page, demoUrl(), '/jobs/bored-plate/holding', 'Setup 1');
  await page.select('select[aria-label="Carried"]', 'plate');
  await sees(page, 'Setup 3');
  expect(await moves()).toEqual(expect.arrayContaining(['turned over', 'bolted where it lies']));
  await soundAt(page);
});

it('a slit bush is slit between roughing and finishing where it is asked for, and undone again', async () => {
  const { page } = on;
  await opened(
    'slit-bush',
    {},
    {
      outside: [row('a', '24 h7', '30'), row('b', '32', '12')],
      boreRight: [row('h', '16 H7', 'through')],
      details: [{ id: 'd', kind: 'slot', on: 'right', at: mm('0'), size: mm('2 x 30') }],
    },
  );
  await goTo(page, demoUrl(), '/jobs/slit-bush/route', 'Beside the lathe');
  const slitFirst = (wanted: boolean) =>
    page.waitForFunction(
      (first) => {
        const ids = [...document.querySelectorAll('[data-step]')].map((e) => e.getAttribute('data-step') ?? '');
        return ids.findIndex((id) => id.startsWith('away@')) < ids.findIndex((id) => id.startsWith('finish-turn@a')) === first;
      },
      {},
      wanted,
    );
  await slitFirst(false);
  await page.click('[data-step^="away@"] td.verb');
  await page.waitForSelector('select[aria-label="Method of this step"]');
  await page.select('select[aria-label="Method of this step"]', 'spread');
  await slitFirst(true);
  await sees(page, 'then spread as it will work');
  await soundAt(page);
  await page.keyboard.down('Control');
  await page.keyboard.press('z');
  await page.keyboard.up('Control');
  await slitFirst(false);
});

it('a plate with tapped holes is bolted from behind by them: drilled first, face, register and rim in one go', async () => {
  const { page } = on;
  await opened(
    'bolted-plate',
    { choices: [{ kind: 'method', id: 'c', of: 'carrying', method: 'plate' }] },
    {
      outside: [row('a', '76', '10')],
      boreRight: [row('b', '20 H7', 'through')],
      details: [{ id: 'd', kind: 'boltCircle', on: 'right', at: mm('50'), size: mm('M6'), count: 4 }],
    },
  );
  await goTo(page, demoUrl(), '/jobs/bolted-plate/route', 'bolted from behind');
  const order = await page.$$eval('[data-step]', (all) => all.map((e) => e.getAttribute('data-step') ?? ''));
  expect(order.findIndex((id) => id.startsWith('away@'))).toBeLessThan(order.findIndex((id) => id.startsWith('load@')));
  await page.click('[data-step^="away@"] td.verb');
  await page.waitForSelector('select[aria-label="Method of this step"]');
  await soundAt(page);
  await goTo(page, demoUrl(), '/jobs/bolted-plate/holding', 'Setup 2');
  expect(await moves()).toContain('turned over');
});
