/* A batch as it was measured: all pieces of a size together, its run, the readings as files; and in the Logbook what was foretold against what came, planned against taken. */
import { readFileSync } from 'node:fs';
import type { Entry, Job } from '@obra/core/document';
import { issued, plan } from '@obra/core/planner';
import { midShop } from '@obra/core/shop';
import { demoUrl, downloads, goTo, pageForEach, press, sees } from './harness';
import { soundAt } from './layout';
import { openJob, row } from './openJob';

const on = pageForEach();
const PIECES = 12;

/** Given out, and every piece brought in by one reading, one advised cut and another reading; the last is out. */
function brought(job: Job): { readonly job: Job; readonly entries: readonly Entry[] } {
  const shop = midShop();
  const [route] = plan(job, shop).routes;
  if (!route) throw new Error('no route');
  const given = issued(job, route, shop, '2026-11-28T08:00:00.000Z', 'test');
  const steps = route.setups.flatMap((s) => s.steps.map((step) => step.id));
  const finish = steps.find((id) => id.startsWith('finish-turn@a')) ?? '';
  let [minutes, count] = [0, 0];
  const entries: Entry[] = [];
  const put = (piece: number, step: string, after: number, more: object) => {
    minutes += after;
    count += 1;
    const at = new Date(Date.UTC(2026, 10, 28, 9) + minutes * 60_000).toISOString();
    entries.push({ id: `e-${String(count)}`, at, by: 'test', piece, step, ...more } as Entry);
  };
  const mm = (text: string) => ({ text, units: 'mm' });
  for (let piece = 1; piece <= PIECES; piece++) {
    const size = piece === PIECES ? 20.004 : 19.984 + 0.002 * (piece % 6);
    put(piece, finish, 2, { kind: 'reading', of: 'a.diameter', gauge: 'mic-25', value: mm('20.300') });
    put(piece, finish, 1, {
      kind: 'cut',
      axis: 'cross',
      dial: mm('0.155'),
      told: { expects: 19.99, deviation: 0.004, chanceIn: 0.97, chancePast: 0.001 },
    });
    put(piece, finish, 1, { kind: 'reading', of: 'a.diameter', gauge: 'mic-25', value: mm(size.toFixed(3)) });
    put(piece, finish, 0.5, { kind: 'done' });
  }
  return { job: given, entries };
}

it('every size over all pieces with its run between the limits; the readings go out as CSV and JSON', async () => {
  const { page } = on;
  await openJob(page, 'twelve-pins', { pieces: PIECES }, { outside: [row('a', '20 h7', '40'), row('b', '28', '12')] }, brought);
  await goTo(page, demoUrl(), '/jobs/twelve-pins/inspection', 'All pieces together');
  await sees(page, '12 of 12');
  const line = await page.$eval('table.together tbody tr', (e) => e.textContent);
  expect(line).toContain('at least');
  expect(line).toContain('✗ 1');
  await page.click('[aria-label^="run of size"]');
  await page.waitForSelector('[data-testid="run-chart"] svg');
  // rows that are scrolled lie under the head of their table
  await page.evaluate(() => document.querySelector('main.sheet')?.scrollTo(0, 0));
  await soundAt(page);
  const files = await downloads(page);
  await press(page, 'readings as CSV');
  const table = readFileSync(await files.next(), 'utf8');
  await press(page, 'readings as JSON');
  const json = readFileSync(await files.next(), 'utf8');
  files.remove();
  const lines = table.trim().split('\r\n');
  expect(lines).toHaveLength(1 + 2 * PIECES);
  expect(lines.filter((l) => l.includes(',over,'))).toHaveLength(1);
  expect((JSON.parse(json) as { readings: unknown[] }).readings).toHaveLength(2 * PIECES);
});

it('the Logbook: what was foretold against what came, minutes planned against taken', async () => {
  const { page } = on;
  await openJob(page, 'twelve-told', { pieces: PIECES }, { outside: [row('a', '20 h7', '40'), row('b', '28', '12')] }, brought);
  await goTo(page, demoUrl(), '/logbook', 'twelve-told');
  await page.waitForSelector('section[aria-label="What was foretold, and what came"]');
  await sees(page, 'Said 9 in 10, came');
  const taken = await page.$eval('section[aria-label="Minutes planned and taken"]', (e) => e.textContent);
  expect(taken).toContain('Finish-turn');
  await soundAt(page);
});

it('a sheet filled in by hand is typed back by the numbers of its blanks; what is not understood stays', async () => {
  const { page } = on;
  await openJob(page, 'paper-pin', { pieces: 2 }, { outside: [row('a', '20 h7', '40'), row('b', '28', '12')] });
  await goTo(page, demoUrl(), '/jobs/paper-pin/inspection', 'typed back from paper');
  await page.click('details summary');
  await page.type('textarea[aria-label="readings from paper"]', '1 = 19,993\n2/1 = 19.985\nnineteen');
  await sees(page, 'line 3: “nineteen” is no reading of a blank');
  await soundAt(page);
  await press(page, 'keep 2 readings');
  await sees(page, '2 readings kept');
  expect(await page.$eval('textarea[aria-label="readings from paper"]', (e) => e.value)).toBe('nineteen');
  await sees(page, 'Inspection');
  await sees(page, '✓ in');
  await page.reload();
  await sees(page, '✓ in');
});
