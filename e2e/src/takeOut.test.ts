/* What leaves a job in open formats, read back by general libraries and by the browser itself. */
import DxfParser from 'dxf-parser';
import { readFileSync } from 'node:fs';
import type { Browser, Page } from 'puppeteer-core';
import { demoUrl, downloads, freshPage, goTo, press, sees, sharedBrowser } from './harness';
import { violations } from './layout';

let browser: Browser;
let page: Page;
let complaints: readonly string[];
let close: () => Promise<void>;
let files: Awaited<ReturnType<typeof downloads>>;

beforeAll(async () => {
  browser = await sharedBrowser();
  ({ page, complaints, close } = await freshPage(browser, demoUrl()));
  files = await downloads(page);
  await goTo(page, demoUrl(), '/jobs/sheave-axle/drawing', 'edge to A');
});

afterAll(async () => {
  files.remove();
  await close();
  await browser.disconnect();
});

async function take(item: string): Promise<string> {
  await press(page, 'menu');
  await press(page, item);
  return readFileSync(await files.next(), 'utf8');
}

it('the drawing as DXF: it reads, and the page says what it cannot carry', async () => {
  const read = new DxfParser().parseSync(await take('drawing as DXF'));
  expect(read?.entities.filter((e) => e.layer === 'OUTLINE')).toHaveLength(1);
  expect(read?.entities.some((e) => e.type === 'TEXT' && (e as unknown as { text: string }).text === '%%c19 h7')).toBe(true);
  await sees(page, 'It cannot carry: tolerances');
  expect(await violations(page)).toEqual([]);
});

it('the solid as STL', async () => {
  const text = await take('solid as STL');
  expect(text.startsWith('solid Sheave axle\n')).toBe(true);
  expect(text.trimEnd().endsWith('endsolid Sheave axle')).toBe(true);
  await sees(page, '0.04 % less');
});

it('the rows as CSV', async () => {
  const rows = (await take('rows as CSV')).trimEnd().split('\r\n');
  expect(rows.slice(1).map((r) => r.split(',')[2])).toEqual(['M12', '19 h7', '25']);
});

it('the picture as SVG stands alone: well formed, without the styles of the page', async () => {
  const text = await take('picture as SVG');
  const facts = await page.evaluate((svg: string) => {
    const doc = new DOMParser().parseFromString(svg, 'image/svg+xml');
    return {
      wrong: doc.querySelector('parsererror') !== null,
      title: doc.querySelector('title')?.textContent ?? '',
      variables: svg.includes('var(--'),
      texts: [...doc.querySelectorAll('text')].map((t) => t.textContent),
      shapes: doc.querySelectorAll('path, line, rect, polygon, polyline').length,
    };
  }, text);
  expect(facts.wrong).toBe(false);
  expect(facts.title).toContain('The part from end A');
  expect(facts.texts.join(' ')).toContain('19 h7');
  expect(facts.shapes).toBeGreaterThan(10);
  expect(facts.variables).toBe(false);
});

it('the schemas are served with the app', async () => {
  for (const name of ['job', 'shop']) {
    const answer = await fetch(`${demoUrl()}/schema/${name}.json`);
    expect(answer.headers.get('content-type')).toContain('json');
    expect(await answer.json()).toMatchObject({ $schema: 'https://json-schema.org/draft/2020-12/schema', type: 'object' });
  }
});

it('nothing was complained of on the way', () => {
  expect(complaints).toEqual([]);
});
