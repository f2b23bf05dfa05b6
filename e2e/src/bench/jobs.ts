import { blankJob, type Entry, type Job, SCHEMA } from '@obra/core/document';
import type { Page } from 'puppeteer-core';
import { browse } from '../harness';

const ms = (value: number | undefined) => `${(value ?? NaN).toFixed(0)} ms`;
const cell = (text: string) => ({ text, units: 'mm' as const });
export const record = (id: string, job: Job) => ({ schema: SCHEMA, id, revision: 1, saved: '2026-11-02T08:00:00.000Z', by: 'bench', job });

/** Writes records behind the back of the page. */
export const put = (page: Page, records: readonly (readonly [string, unknown])[]) =>
  page.evaluate(
    (all) =>
      new Promise<void>((resolve, reject) => {
        const open = indexedDB.open('obra');
        open.onsuccess = () => {
          const transaction = open.result.transaction('records', 'readwrite');
          for (const [key, value] of all) transaction.objectStore('records').put(value, key);
          transaction.oncomplete = () => {
            open.result.close();
            resolve();
          };
          transaction.onerror = () => reject(new Error('not written'));
        };
      }),
    records,
  );

/** Jobs with 2,000 of them, and a job of 500 rows and 5,000 entries. */
export async function manyJobs(url: string): Promise<void> {
  const browser = await browse();
  const page = await browser.newPage();
  const lines = () => page.evaluate(() => Number(document.querySelector('table[aria-label="Jobs"]')?.getAttribute('aria-rowcount') ?? 1));
  await page.goto(`${url}/jobs`, { waitUntil: 'networkidle0' });
  const all = 2000 + (await lines());
  const drawing = (rows: number): Job['drawing'] => ({
    ...blankJob('x', 'mm').drawing,
    outside: Array.from({ length: rows }, (_, i) => ({ id: `s${String(i)}`, size: cell(String(20 + (i % 17))), length: cell('12') })),
  });
  for (let i = 0; i < 2000; i += 250)
    await put(
      page,
      Array.from(
        { length: 250 },
        (_, k) => [`job/j${String(i + k)}`, record(`j${String(i + k)}`, { ...blankJob(`Job ${String(i + k)}`, 'mm'), drawing: drawing(4) })] as const,
      ),
    );
  // the first visit makes the summaries
  await page.goto(`${url}/jobs`, { waitUntil: 'load' });
  const until = performance.now() + 120_000;
  while ((await lines()) < all && performance.now() < until) await new Promise((resolve) => setTimeout(resolve, 200));
  if ((await lines()) < all) console.log(`only ${String(await lines())} of ${String(all)} lines after 120 s`);
  const times: number[] = [];
  const longest: number[] = [];
  for (let i = 0; i < 7; i++) {
    await page.goto(`${url}/`, { waitUntil: 'networkidle0' });
    const [listed, long] = await page.evaluate(
      () =>
        new Promise<[number, number]>((resolve) => {
          let most = 0;
          new PerformanceObserver((list) => {
            for (const e of list.getEntries()) most = Math.max(most, e.duration);
          }).observe({ type: 'longtask' });
          const from = performance.now();
          let shown = 0;
          const watch = new MutationObserver(() => {
            if (shown === 0 && document.querySelector('table[aria-label="Jobs"] tbody tr a')) shown = performance.now() - from;
          });
          watch.observe(document.body, { childList: true, subtree: true });
          document.querySelector<HTMLAnchorElement>('nav a[href="/jobs"]')?.click();
          setTimeout(() => resolve([shown, most]), 2500);
        }),
    );
    times.push(listed);
    longest.push(long);
  }
  const middle = (list: number[]) => list.toSorted((a, b) => a - b)[Math.floor(list.length / 2)];
  console.log(
    `2,000 jobs listed: median ${ms(middle(times))}, slowest of 7 ${ms(Math.max(...times))} (aim 300 ms); longest task median ${ms(middle(longest))}, most ${ms(Math.max(...longest))} (aim 50 ms)`,
  );
  const large = record('large', { ...blankJob('Large', 'mm'), drawing: drawing(500) });
  const line = (i: number): Entry => ({
    id: `e${String(i)}`,
    at: new Date(Date.UTC(2026, 10, 1, 8, 0, i)).toISOString(),
    by: 'bench',
    piece: 1,
    step: 'face@right',
    kind: 'note',
    says: 'x',
  });
  await put(page, [['job/large', large], ...Array.from({ length: 5000 }, (_, i) => [`log/large/e${String(i)}`, line(i)] as const)]);
  const opens: number[] = [];
  for (let i = 0; i < 3; i++) {
    await page.goto(`${url}/`, { waitUntil: 'networkidle0' });
    const from = performance.now();
    await page.goto(`${url}/jobs/large/drawing`, { waitUntil: 'domcontentloaded' });
    await page.waitForFunction(() => document.querySelectorAll('[data-cell$=".size"]').length > 20, { polling: 50, timeout: 60_000 });
    opens.push(performance.now() - from);
  }
  console.log(`a job of 500 rows and 5,000 entries opens: median ${ms(middle(opens))}, slowest of 3 ${ms(Math.max(...opens))} (aim 2 s)`);
  await browser.close();
}
