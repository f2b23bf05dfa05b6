/* npm run shots: one picture of each main view, from the demo, at 1280x800. */
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { browse, enterReading, freshPage, goTo, press, root, sees, serve, takeCut, untilStep } from './harness';

const dir = join(root, 'docs', 'screenshots');
mkdirSync(dir, { recursive: true });
const server = await serve({ demo: 'at work' });
const browser = await browse();
const { page } = await freshPage(browser, server.url);
const shot = async (name: string) => {
  // a job is shown with its plan, not on the way to it
  await page.waitForFunction(
    () => document.querySelector('.older') === null && !(document.querySelector('.stages')?.textContent ?? '').includes('not yet'),
  );
  await new Promise((resolve) => setTimeout(resolve, 400));
  await page.screenshot({ path: join(dir, `${name}.png`) });
};

await press(page, 'close');
await page.type('#line', '1/2-13 x 3/4; 3/4 -.001 x 1; 1 x 1-1/2');
await sees(page, 'Part off');
await shot('opening');
await goTo(page, server.url, '/dial', 'What do I dial now?');
await page.type('#wanted', '25 h6');
await page.type('#measured', '25.626');
await shot('dial');
await goTo(page, server.url, '/jobs', 'Sheave axle');
// every line says how far its job is
await page.waitForFunction(() =>
  [...document.querySelectorAll('table[aria-label="Jobs"] tbody tr')].every((tr) => (tr.children[6]?.textContent ?? '') !== ''),
);
await shot('jobs');
await goTo(page, server.url, '/jobs/sheave-axle/drawing', 'edge to A');
await shot('drawing');
await goTo(page, server.url, '/jobs/windlass-spindle/drawing', 'edge to A');
await shot('drawing-spindle');
await press(page, 'solid');
await press(page, 'quarter out');
await page.waitForSelector('canvas[data-shown="quarter"]');
await shot('solid');
await goTo(page, server.url, '/practice/two-like-cuts?lathe=mid&number=2', 'start the spindle');
await press(page, 'start the spindle');
for (let mm = 3; mm < 8; mm += 0.1) {
  await page.$eval('[aria-label="turn the handle until its dial shows"]', (e) => (e as HTMLInputElement).select());
  await page.type('[aria-label="turn the handle until its dial shows"]', mm.toFixed(2));
  await page.keyboard.press('Enter');
  if (await page.evaluate(() => document.querySelector('.practice-log')?.textContent.includes('touches') ?? false)) break;
}
await press(page, 'a pass at this setting');
await page.click('[aria-label="Levers"] button');
await press(page, 'measure: micrometer');
await page.click('#adviser');
await shot('practice');
await goTo(page, server.url, '/jobs/windlass-spindle/holding', 'Out of the rack');
await shot('holding');
await goTo(page, server.url, '/jobs/pintle-pin/holding', 'Out of the rack');
await page.select('select[aria-label="Carried"]', 'centres');
await sees(page, 'Setup 4: end A out');
await page.click('.chain li:nth-child(4) .chain-setting');
await shot('holding-centres');
await page.select('select[aria-label="Carried"]', '');
await goTo(page, server.url, '/jobs/sheave-axle/route?at=rough-turn@s1', 'Part off');
await shot('route');
await press(page, 'draw its limits');
await page.waitForSelector('[data-testid="chart"] svg path');
await shot('chart');
await press(page, 'close');
await press(page, 'give out to the Bench');
await untilStep(page, '18.979');
await enterReading(page, '19.626');
await takeCut(page);
await enterReading(page, '19.318', '34');
await shot('bench');
await takeCut(page);
await enterReading(page, '18.990', '20');
await goTo(page, server.url, '/jobs/sheave-axle/inspection', 'piece 2');
await shot('inspection');
await goTo(page, server.url, '/logbook', 'Sheave axle');
await press(page, 'readings of Sheave axle');
await shot('logbook');
await goTo(page, server.url, '/handbook/fits?d=25+H7/g6', 'most clearance');
await press(page, 'pin');
// shown at once, stored a moment later
await new Promise((resolve) => setTimeout(resolve, 500));
await goTo(page, server.url, '/handbook/threads', 'pitch diameter');
await shot('handbook-threads');
await goTo(page, server.url, '/jobs/windlass-spindle/pack', 'print');
await page.waitForSelector('.pack[data-ready="true"]');
await shot('pack');
await goTo(page, server.url, '/handbook', 'Pinned');
// its pictures are drawn one by one when the page is idle; a few entries have none
const drawn = () => page.$$eval('.thumb', (all) => all.filter((e) => e.childElementCount > 0).length);
for (let before = -1, now = 0; now !== before; now = await drawn()) {
  before = now;
  await new Promise((resolve) => setTimeout(resolve, 1200));
}
await shot('handbook');
for (const [name, list] of [
  ['shop', 'machines'],
  ['shop-tools', 'tools'],
] as const) {
  await goTo(page, server.url, `/shop/${list}`, 'Ways of working');
  // a tool in hand is drawn below
  if (list === 'tools') await page.focus('[data-item="turn-finish"] [data-field="name"]');
  await shot(name);
}
await browser.close();
await server.stop();
