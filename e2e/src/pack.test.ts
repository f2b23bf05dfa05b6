/* The pack on paper: every demo job in A4 and Letter, nothing cut at the edge of a leaf, figures that are read at the machine 4 mm high; reached from the menu and by the finder. */
import type { Browser, Page } from 'puppeteer-core';
import { demoJobs } from './demoJobs';
import { freshPage, goTo, press, sees, serve, type Served, sharedBrowser } from './harness';
import { violations } from './layout';

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

const jobs = demoJobs.map((j) => [j.id, j.pieces] as const);

/** Things on a leaf that reach over its edge; a figure of the drawing may. */
const cut = () =>
  page.$$eval('.leaf', (leaves) =>
    leaves.flatMap((leaf) => {
      const edge = leaf.getBoundingClientRect();
      return [...leaf.querySelectorAll('td, th, p, h2, li, svg text')].flatMap((e) => {
        const box = e.getBoundingClientRect();
        return box.width > 0 && (box.right > edge.right + 1 || box.left < edge.left - 1)
          ? [`${leaf.getAttribute('aria-label') ?? ''}: ${e.textContent.slice(0, 40)}`]
          : [];
      });
    }),
  );

/** The height of digits as they stand, mm: of the smallest that is read at the machine. */
const smallest = () =>
  page.$$eval('.pack .fig, .pack .number, .pack .blank, .pack-drawing svg text.dim', (all) => {
    const canvas = document.createElement('canvas').getContext('2d');
    return Math.min(
      ...all
        .filter((e) => /\d/.test(e.textContent))
        .map((e) => {
          const style = getComputedStyle(e);
          // a drawing is enlarged as a whole
          const zoom = e.closest('.pack-drawing') ? Number(getComputedStyle(e.closest('.pack-drawing') ?? e).zoom) : 1;
          if (!canvas) return 0;
          canvas.font = `${style.fontWeight} ${style.fontSize} ${style.fontFamily}`;
          return (canvas.measureText('0').actualBoundingBoxAscent * zoom * 25.4) / 96;
        }),
    );
  });

it.each(jobs)('%s: leaf by leaf, in both papers', async (id, pieces) => {
  for (const paper of ['A4', 'letter'] as const) {
    await goTo(page, server.url, `/jobs/${id}/pack`, 'print');
    await page.waitForSelector('.pack[data-ready="true"]');
    await page.select('[aria-label="Paper"]', paper);
    await page.waitForSelector(`.pack.${paper} .leaf svg`);
    expect(await cut()).toEqual([]);
    if (id === 'gallows-foot') continue;
    const titles = await page.$$eval('.leaf', (all) => all.map((e) => e.getAttribute('aria-label')));
    expect(titles).toEqual([
      'Drawing',
      'Operation sheet',
      'To fetch before starting',
      ...Array.from({ length: pieces }, (_, i) => `Inspection, piece ${String(i + 1)}`),
    ]);
    expect(await smallest()).toBeGreaterThanOrEqual(3.95);
    const pdf = Buffer.from(await page.pdf({ preferCSSPageSize: true })).toString('latin1');
    const leaves = pdf.match(/\/Type\s*\/Page\b/g)?.length ?? 0;
    expect(leaves).toBeGreaterThanOrEqual(3 + pieces);
    expect(leaves).toBeLessThanOrEqual(12 + 2 * pieces);
    // the first leaf lies across
    const boxes = [...pdf.matchAll(/\/MediaBox\s*\[\s*0\s+0\s+([\d.]+)\s+([\d.]+)/g)].map((m) => [Number(m[1]), Number(m[2])] as const);
    expect(boxes.some(([w, h]) => w > h)).toBe(true);
    expect(boxes.some(([w, h]) => w < h)).toBe(true);
  }
});

it('from the menu of a job and by the finder, one press each; open to all', async () => {
  await goTo(page, server.url, '/jobs/pintle-pin/route', 'previous');
  // printing is the browser's own affair
  await page.evaluateOnNewDocument(() => {
    window.print = () => document.body.setAttribute('data-printed', 'yes');
  });
  await goTo(page, server.url, '/jobs/pintle-pin/route', 'previous');
  await press(page, 'menu');
  await press(page, 'print the whole pack');
  await page.waitForSelector('body[data-printed="yes"]');
  expect(await violations(page)).toEqual([]);
  await goTo(page, server.url, '/jobs/pintle-pin/route', 'previous');
  await page.keyboard.press('/');
  await page.waitForSelector('[role="combobox"]');
  await page.keyboard.type('whole pack');
  await sees(page, 'Print the whole pack');
  await page.keyboard.press('Enter');
  await page.waitForFunction(() => location.pathname.endsWith('/pack'));
  await goTo(page, server.url, '/jobs/nothing/pack', 'No such job here');
});

it('nothing was complained of on the way', () => {
  expect(open.complaints).toEqual([]);
});
