/* Every number on the page of every demo job opens what it is made of: formula, values, source; one that only stands as it is names its cell or entry. */
import { calculators } from '@obra/core/handbook';
import type { Browser, Page } from 'puppeteer-core';
import { demoJobs } from './demoJobs';
import { freshPage, serve, type Served, settle, sharedBrowser } from './harness';

let browser: Browser;
let server: Served;
let page: Page;
let open: Awaited<ReturnType<typeof freshPage>>;

beforeAll(async () => {
  browser = await sharedBrowser();
  server = await serve({ demo: 'at work' });
  open = await freshPage(browser, server.url);
  page = open.page;
});
afterAll(async () => {
  await open.close();
  await server.stop();
  await browser.disconnect();
});

const jobs = demoJobs.map((j) => j.id);
const stages = ['drawing', 'holding', 'route', 'bench', 'inspection'] as const;

/**
 * Numbers with a unit or a point that stand on slate and sheet and open nothing. What is typed, chosen or named is no number that was computed: cells, options, a bar or a
 * gauge by its name, a thread or an undercut by its designation, a reading as it was read.
 */
const closed = () =>
  page.evaluate(() => {
    const out: string[] = [];
    const names =
      /\b(?:M|Tr|G|R|F|E|A|B|H|Rc)\s?\d[\d.]*(?:\s?[x×]\s?\d[\d.]*)?(?:-\d[a-zA-Z])?|ISO \d[\d-]*\w*|DIN \d+|\d[\d.]*-\d[\d.]*|R\d[\d.]*|20 °C|68 °F/g;
    for (const area of document.querySelectorAll('aside, main, .bench')) {
      const walk = document.createTreeWalker(area, NodeFilter.SHOW_TEXT);
      for (let n = walk.nextNode(); n; n = walk.nextNode()) {
        const e = n.parentElement;
        const text = (n.textContent ?? '').replace(names, '');
        if (e === null) continue;
        if (e.offsetParent === null || !/\d/.test(text)) continue;
        if (
          e.closest(
            'button, a, input, select, textarea, svg, label, option, .visually-hidden, .printonly, .understood, .said, .handbook dt, [data-said], .past',
          )
        )
          continue;
        if (e.closest('[aria-label="readings so far"], .large.mid.quiet, .rowcard.quiet, [data-testid="saved"]')) continue;
        // “1 to 4 in the order that” is no length
        if (!/\d\s*(?:mm|in(?! the)|rpm|m\/min|mm\/rev|°|N|kg|µm)\b(?! Holding| Route)|\d[.,]\d/.test(text)) continue;
        out.push(`${(n.textContent ?? '').trim().slice(0, 90)} <${e.className || e.tagName}>`);
      }
    }
    return [...new Set(out)];
  });

it.each(jobs.flatMap((id) => stages.map((stage) => [id, stage] as const)))('%s, %s', async (id, stage) => {
  await page.goto(`${server.url}/jobs/${id}/${stage}`, { waitUntil: 'networkidle0' });
  await page.waitForFunction(() => document.querySelector('.older') === null && document.querySelector('h1') !== null);
  await settle();
  // what is folded up is on the page as well
  await page.$$eval('details', (all) => {
    for (const one of all) one.open = true;
  });
  await settle();
  expect(await closed()).toEqual([]);
});

it('every number of every answer of the Handbook opens, in millimetres and in inches', async () => {
  const shut: string[] = [];
  for (const units of ['mm', 'in']) {
    await page.goto(`${server.url}/handbook`, { waitUntil: 'networkidle0' });
    if ((await page.evaluate(() => sessionStorage.getItem('obra-units') ?? 'mm')) !== units) await page.keyboard.press('u');
    for (const { id } of calculators) {
      await page.goto(`${server.url}/handbook/${id}`, { waitUntil: 'load' });
      await page.waitForSelector('.slate');
      await page.waitForFunction(() => !document.body.innerText.includes('Opening…'));
      shut.push(...(await closed()).map((line) => `${id}, ${units}: ${line}`));
    }
  }
  expect(shut).toEqual([]);
}, 900_000);

it('a number that is pressed shows formula, all digits and source; of all that are tried none stays shut', async () => {
  const shut: string[] = [];
  let pressed = 0;
  for (const [id, stage] of [
    ['windlass-spindle', 'route'],
    ['windlass-spindle', 'holding'],
    ['rowlock-bush', 'inspection'],
  ] as const) {
    await page.goto(`${server.url}/jobs/${id}/${stage}`, { waitUntil: 'networkidle0' });
    await page.waitForSelector('button.figure');
    await settle();
    const count = await page.$$eval('button.figure', (all) => all.length);
    for (let i = 0; i < Math.min(count, 60); i++) {
      const text = await page.$$eval(
        'button.figure',
        (all, n: number) => {
          const one = all[n];
          if (!(one instanceof HTMLElement) || one.offsetParent === null) return '';
          one.click();
          return one.innerText;
        },
        i,
      );
      if (text === '') continue;
      pressed++;
      const card = await page.waitForSelector('[role="dialog"][aria-label="formula"]', { timeout: 3000 }).catch(() => null);
      const said = card ? await card.evaluate((e) => [...e.querySelectorAll('.fig, .quiet, td')].map((x) => x.textContent)) : [];
      if (said.length < 3 || said.some((t) => t === '' || t.includes('undefined') || t.includes('NaN'))) shut.push(`${id} ${stage}: ${text}`);
      await page.keyboard.press('Escape');
      await page.waitForSelector('[role="dialog"][aria-label="formula"]', { hidden: true });
    }
  }
  expect(shut).toEqual([]);
  expect(pressed).toBeGreaterThanOrEqual(60);
}, 600_000);
