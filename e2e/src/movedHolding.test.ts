/* What holds the work, moved in the picture by mouse, finger and keys: jaws, a steady, the tailstock centre; letting go is one change. */
import type { Job } from '@obra/core/document';
import { demoUrl, goTo, pageForEach, sees } from './harness';
import { openJob, row } from './openJob';
import { soundAt } from './layout';

const on = pageForEach();
const opened = (id: string, own: Partial<Job>, drawing: Partial<Job['drawing']>) => openJob(on.page, id, own, drawing);
const handle = async (words: string) => {
  const it = await on.page.waitForSelector(`[role="slider"][aria-label="${words}"]`);
  const box = await it?.boundingBox();
  if (!it || !box) throw new Error(`no handle ${words}`);
  return { it, x: box.x + box.width / 2, y: box.y + box.height / 2 };
};

describe('the jaws moved in the picture', () => {
  const typed = (id: string) => on.page.$eval(`#${id}`, (e) => (e as HTMLInputElement).value);
  const value = async (id: string, test: (n: number) => boolean) => {
    for (let tries = 0; tries < 100; tries++) {
      const now = Number(await typed(id));
      if (test(now)) return now;
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
    throw new Error(`${id} stands at ${await typed(id)}`);
  };
  beforeEach(async () => {
    await opened('moved-jaws', {}, { outside: [row('a', '24 h9', '30'), row('b', '32', '20')] });
    await goTo(on.page, demoUrl(), '/jobs/moved-jaws/holding', 'Setup 1');
  });

  it('by mouse: what comes of it stands there while they move, without a commit; letting go is one undo', async () => {
    const { page } = on;
    const { x, y } = await handle('Stick-out, in the picture');
    const before = await page.$eval('[role="slider"][aria-label="Stick-out, in the picture"]', (e) => Number(e.getAttribute('aria-valuenow')));
    await page.mouse.move(x, y);
    await page.mouse.down();
    const took: number[] = [];
    for (let i = 1; i <= 20; i++) {
      await page.mouse.move(x - 3 * i, y);
      took.push(await page.evaluate(() => performance.now()));
    }
    expect(await page.$eval('.moving:not(:empty)', (e) => e.textContent)).toMatch(/out, [\d.]+ diameters, a light cut bends it [\d.]+/);
    expect(await typed('stick-out')).toBe('');
    await page.mouse.up();
    const now = await value('stick-out', (n) => n > before);
    expect(now).toBeLessThan(before + 60);
    await soundAt(page);
    await page.keyboard.down('Control');
    await page.keyboard.press('z');
    await page.keyboard.up('Control');
    await value('stick-out', (n) => n === 0);
  });

  it('by keys, a step at a time; the grip too; inches as inches', async () => {
    const { page } = on;
    const out = await handle('Stick-out, in the picture');
    await out.it.evaluate((e) => (e as SVGElement).focus());
    await page.keyboard.press('ArrowLeft');
    const once = await value('stick-out', (n) => n > 0);
    const grip = await handle('Grip, in the picture');
    await grip.it.evaluate((e) => (e as SVGElement).focus());
    await page.keyboard.press('ArrowRight');
    expect(await value('grip', (n) => n > 0)).toBeGreaterThan(3);
    expect(once).toBeGreaterThan(50);
  });

  it('by a finger', async () => {
    const { page } = on;
    const { x, y } = await handle('Stick-out, in the picture');
    const touch = await page.touchscreen.touchStart(x, y);
    for (let i = 1; i <= 8; i++) await touch.move(x - 5 * i, y);
    await touch.end();
    await value('stick-out', (n) => n > 0);
  });
});

describe('the tailstock centre moved in the picture', () => {
  const supports = () => on.page.$$eval('.chain-setting svg path.held', (all) => all.length);
  const until = (count: number) => on.page.waitForFunction((n) => document.querySelectorAll('.chain-setting svg path.held').length === n, {}, count);
  beforeEach(async () => {
    await opened('moved-centre', {}, { outside: [row('a', '24 h9', '70'), row('b', '32', '20')] });
    await goTo(on.page, demoUrl(), '/jobs/moved-centre/holding', 'Setup 1');
  });

  it('by mouse: brought up, its spring and the minutes of the whole piece stand there before it is let go; undo withdraws it', async () => {
    const { page } = on;
    expect(await supports()).toBe(0);
    const { x, y } = await handle('Tailstock centre, in the picture');
    await page.mouse.move(x, y);
    await page.mouse.down();
    for (let i = 1; i <= 10; i++) await page.mouse.move(x - 5 * i, y);
    await page.waitForFunction(() => [...document.querySelectorAll('.moving')].some((e) => /min a piece \(\+[\d.]+ min\)/.test(e.textContent)));
    expect(await page.$$eval('.moving', (all) => all.map((e) => e.textContent).join(' '))).toMatch(
      /centre up: 3\.2 diameters, a light cut bends it 0\.00\d/,
    );
    expect(await supports()).toBe(0);
    await page.mouse.up();
    await until(1);
    await soundAt(page);
    await page.keyboard.down('Control');
    await page.keyboard.press('z');
    await page.keyboard.up('Control');
    await until(0);
  });

  it('by keys: brought, and withdrawn again where it stands', async () => {
    const { page } = on;
    const { it } = await handle('Tailstock centre, in the picture');
    await it.evaluate((e) => (e as SVGElement).focus());
    await page.keyboard.press('ArrowLeft');
    await until(1);
    // held short first to be centred: it stands in the second
    const all = await page.$$('.chain-setting');
    await all[1]?.click();
    const there = await handle('Tailstock centre, in the picture');
    await there.it.evaluate((e) => (e as SVGElement).focus());
    await page.keyboard.press('ArrowRight');
    await until(0);
  });
});

it('a steady is moved along the bar that it carries, and stands where it was let go', async () => {
  const { page } = on;
  const hold = { kind: 'hold' as const, id: 'hold-right-1', setup: 'right-1', holding: 'three-jaw', support: [{ item: 'steady' }] };
  await opened('moved-steady', { choices: [hold] }, { outside: [row('a', '30', '150'), row('b', '24', '30')], boreRight: [row('h', '12', '80')] });
  await goTo(page, demoUrl(), '/jobs/moved-steady/holding', 'Setup 1');
  const at = () => page.$eval('#steady-at', (e) => (e as HTMLInputElement).value || (e as HTMLInputElement).placeholder).then(Number);
  const before = await at();
  const { it } = await handle('Steady, in the picture');
  expect(await it.evaluate((e) => e.getAttribute('aria-valuetext'))).toMatch(/steady [\d.]+ mm from the face: .*a light cut bends it/);
  await it.evaluate((e) => (e as SVGElement).focus());
  await page.keyboard.press('PageUp');
  await page.waitForFunction((was) => Number(document.querySelector<HTMLInputElement>('#steady-at')?.value) > was, {}, before);
  expect(await at()).toBeCloseTo(before + 5, 6);
  await sees(page, 'steady');
});
