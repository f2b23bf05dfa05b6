/* The making, played: by space and by the scrubber, to the step in hand and back; it stops where two bodies touch; steps where motion is not wanted; a still out. */
import { readFileSync } from 'node:fs';
import type { Choice } from '@obra/core/document';
import { issued, plan } from '@obra/core/planner';
import { midShop } from '@obra/core/shop';
import { demoUrl, downloads, goTo, pageForEach, press, sees, settle } from './harness';
import { soundAt } from './layout';
import { mm, openJob, row } from './openJob';

const on = pageForEach();
const held: Choice = { kind: 'hold', id: 'h', setup: 'right-1', holding: 'three-jaw', support: [{ item: 'live-centre' }] };

const opened = async (id: string) => {
  const { page } = on;
  await goTo(page, demoUrl(), `/jobs/${id}/route`, 'previous');
  await page.waitForSelector('.ops tr[data-step]');
  await page.$eval('h1', (e) => (e as HTMLElement).click());
  await page.keyboard.press('Space');
  await page.waitForFunction(() => (document.querySelector('[data-testid="film-said"]')?.textContent ?? '') !== '');
};
const said = () => on.page.$eval('[data-testid="film-said"]', (e) => e.textContent);
/** The scrubber drawn to a share of the way. */
const scrub = (share: number) =>
  on.page.$eval(
    '[aria-label="the making"]',
    (e, f: number) => {
      const input = e as HTMLInputElement;
      Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set?.call(input, String(Number(input.max) * f));
      input.dispatchEvent(new Event('input', { bubbles: true }));
    },
    share,
  );
const metal = () => on.page.$eval('[data-film="stays"]', (e) => e.getAttribute('d') ?? '');

it('plays by space from the step in hand, goes to and fro, and leaves the sheet at the step where it stopped', async () => {
  const { page } = on;
  await opened('sheave-axle');
  expect(await said()).toMatch(/^1 Chuck/);
  await scrub(0);
  const whole = await metal();
  await scrub(0.95);
  expect(await metal()).not.toBe(whole);
  await scrub(0);
  expect(await metal()).toBe(whole);
  await page.select('[aria-label="how fast"]', 'steps');
  await page.$eval('h1', (e) => (e as HTMLElement).click());
  await page.keyboard.press('Space');
  await page.waitForFunction(() => /^[3-9] /.test(document.querySelector('[data-testid="film-said"]')?.textContent ?? ''));
  await page.keyboard.press('Space');
  await settle();
  const number = Number(/^\d+/.exec(await said())?.[0]);
  expect(await page.$eval('.ops tr[aria-selected="true"], .ops tr.chosen, .ops tr[data-chosen]', (e) => e.textContent).catch(() => '')).toContain(
    String(number),
  );
  // the sheet leads as well: the step after
  await page.keyboard.press(']');
  await page.waitForFunction(
    (n: number) => document.querySelector('[data-testid="film-said"]')?.textContent.startsWith(`${String(n)} `),
    {},
    number + 1,
  );
  await soundAt(page);
  await page.keyboard.press('Escape');
  await page.waitForSelector('[data-testid="film"]', { hidden: true });
});

it('frames change nothing that the page is drawn from: no attribute outside the film, and little work', async () => {
  const { page } = on;
  await opened('windlass-spindle');
  await page.evaluate(() => {
    const w = window as unknown as { changed: number };
    w.changed = 0;
    new MutationObserver((all) => {
      w.changed += all.filter(
        (m) => (m.target instanceof Element ? m.target : m.target.parentElement)?.closest('[data-testid="film"]') === null,
      ).length;
    }).observe(document.body, { subtree: true, attributes: true, childList: true, characterData: true });
  });
  await page.select('[aria-label="how fast"]', '60');
  await page.click('[aria-label="play"]');
  await settle();
  const before = await page.evaluate(() => (window as unknown as { changed: number }).changed);
  await new Promise((resolve) => setTimeout(resolve, 2000));
  expect(await page.evaluate(() => (window as unknown as { changed: number }).changed)).toBe(before);
});

it('stops where the tool would meet the centre, rings it and says by how much', async () => {
  const { page } = on;
  // a slim end beside a live centre, and a stout insert: given out with a shop that has no other
  const shop = midShop();
  const stout = { ...shop, tools: shop.tools.map((t) => (t.kind === 'turn' ? { ...t, insert: 'CNMG120408', lead: mm('95') } : t)) };
  await openJob(page, 'slim-end', { choices: [held] }, { outside: [row('a', '8', '40'), row('b', '20', '120')] }, (job) => {
    const [route] = plan(job, stout).routes;
    if (!route) throw new Error('no route');
    return { job: issued(job, route, stout, '2026-11-29T08:00:00.000Z', 'test'), entries: [] };
  });
  await opened('slim-end');
  expect((await page.$$('.ticks .touch')).length).toBeGreaterThan(0);
  await page.select('[aria-label="how fast"]', '500');
  await page.click('[aria-label="play"]');
  await page.waitForSelector('[aria-label="play"]');
  expect(await said()).toMatch(/would meet the centre by [\d.]+ mm/);
  expect(await page.$eval('[data-film="ring"]', (e) => e.getAttribute('visibility'))).toBe('visible');
  // and goes on when it is pressed again
  const at = await page.$eval('[aria-label="the making"]', (e) => Number((e as HTMLInputElement).value));
  await page.click('[aria-label="play"]');
  await page.waitForFunction((was: number) => Number(document.querySelector<HTMLInputElement>('[aria-label="the making"]')?.value) > was, {}, at);
});

it('as a solid as well: the same moments, turned by the arrows, a still of it; back to the section by the same key', async () => {
  const { page } = on;
  await opened('pintle-pin');
  await page.keyboard.press('v');
  await page.waitForSelector('.film canvas');
  await scrub(0.1);
  await settle();
  const grey = () =>
    page.$eval('.film canvas', (e) => {
      const picture = e.toDataURL();
      let sum = 0;
      for (let i = 0; i < picture.length; i++) sum = (sum * 31 + picture.charCodeAt(i)) % 1_000_000_007;
      return sum;
    });
  const first = await grey();
  await scrub(0.8);
  const later = await grey();
  expect(later).not.toBe(first);
  await scrub(0.1);
  expect(await grey()).toBe(first);
  await page.focus('.film canvas');
  await page.keyboard.press('ArrowLeft');
  expect(await grey()).not.toBe(first);
  await page.keyboard.press('Home');
  expect(await grey()).toBe(first);
  const files = await downloads(page);
  await press(page, 'PNG');
  expect(readFileSync(await files.next()).length).toBeGreaterThan(3000);
  files.remove();
  await soundAt(page);
  await page.$eval('h1', (e) => (e as HTMLElement).click());
  await page.keyboard.press('v');
  await page.waitForSelector('.film canvas', { hidden: true });
  expect(await metal()).not.toBe('');
});

it('where motion is not wanted it goes step by step; a still goes out as SVG and PNG', async () => {
  const { page } = on;
  await page.emulateMediaFeatures([{ name: 'prefers-reduced-motion', value: 'reduce' }]);
  await opened('sheave-axle');
  await page.click('[aria-label="play"]');
  await page.waitForFunction(() => (document.querySelector('[data-testid="film-said"]')?.textContent ?? '').startsWith('2 '));
  await page.click('[aria-label="stop"]');
  const files = await downloads(page);
  await press(page, 'SVG');
  const svg = readFileSync(await files.next(), 'utf8');
  expect(svg).toContain('<svg');
  expect(svg).not.toContain('var(--');
  await press(page, 'PNG');
  const png = readFileSync(await files.next());
  expect(png.subarray(1, 4).toString()).toBe('PNG');
  expect(png.length).toBeGreaterThan(3000);
  files.remove();
  await sees(page, 'Route');
});
