/* A hot bore by touch on a tablet; what two tablets wrote of two pieces, united at the board. */
import type { Entry, Job } from '@obra/core/document';
import { issued, plan } from '@obra/core/planner';
import { midShop } from '@obra/core/shop';
import { advice, demoUrl, goTo, pageForEach, press, sees, settle, tap, tapDigits, tapNumber, untilStep } from './harness';
import { soundAt } from './layout';
import { mm, openJob, row } from './openJob';

const on = pageForEach();
const nextOf = () => on.page.$eval('[data-testid="advice"]', (e) => e.getAttribute('data-next'));
const tapNext = async () => {
  await settle();
  await (await on.page.$('[data-testid="next"]'))?.tap();
};

it('a bore that is hot from the cut: read warm, reckoned cold, let cool before it is let go, all by touch at 1024x768', async () => {
  const { page } = on;
  await page.setViewport({ width: 1024, height: 768, hasTouch: true, isMobile: false });
  await openJob(page, 'hot-bush', {}, { outside: [row('a', '38', '30')], boreRight: [{ id: 'h', size: mm('20 H7 bored'), length: mm('through') }] });
  await goTo(page, demoUrl(), '/jobs/hot-bush/route', 'give out to the Bench');
  await page.waitForSelector('.ops tr[data-step]');
  await press(page, 'give out to the Bench');
  await untilStep(page, '20.000 mm to Ø20.021');
  await tap(page, '°C');
  await tapDigits(page, '40');
  await tap(page, '°C');
  await tapNumber(page, '19.500');
  await tapNext();
  await page.waitForFunction(() => !['measure', null].includes(document.querySelector('[data-testid="advice"]')?.getAttribute('data-next') ?? null));
  // 19.5 x 11.7 millionths x 20 degrees: 4.6 micrometres less when it is cold
  expect((await advice(page)).text).toContain('19.495');
  for (let i = 0; i < 8; i++) {
    const what = await nextOf().catch(() => null);
    if (what === 'cut' || what === 'twoCuts') {
      await tapNext();
      await page.waitForSelector('[data-testid="advice"][data-next="measure"]');
      continue;
    }
    if (what !== 'measure') break;
    // it grew as it was foretold, as warm as it is said to be
    const said = await page.$$eval('.advice .pair button.figure, .advice .pair button', (all) => all.map((e) => e.textContent));
    await tapNumber(page, said[0] ?? '20.010');
    await tapNext();
    await settle();
  }
  // at forty degrees a bore of 21 micrometres is not let go: it is cooled, or read with a finer gauge
  expect(['wait', 'changeGauge', 'stop', 'ask']).toContain(await nextOf());
});

/** The job given out once, with what one tablet wrote of one piece. */
const wrote =
  (piece: number, by: string) =>
  (job: Job): { readonly job: Job; readonly entries: readonly Entry[] } => {
    const shop = midShop();
    const [route] = plan(job, shop).routes;
    if (!route) throw new Error('no route');
    const given = issued(job, route, shop, '2026-11-28T08:00:00.000Z', 'test');
    const steps = route.setups.flatMap((s) => s.steps.map((step) => step.id));
    const entries = steps
      .slice(0, 3)
      .map((step, i): Entry => ({
        kind: 'done',
        id: `${by}-${String(i)}`,
        at: new Date(Date.UTC(2026, 10, 28, 9, 5 * i + piece)).toISOString(),
        by,
        piece,
        step,
      }));
    return { job: given, entries };
  };

it('two tablets that each made a piece are united at the board: both discs have come as far, nothing is there twice', async () => {
  const { page } = on;
  const drawing = { outside: [row('a', '20', '40'), row('b', '28', '12')] };
  await openJob(page, 'united-pin', { pieces: 3 }, drawing, wrote(1, 'tablet-one'));
  await openJob(page, 'united-pin', { pieces: 3 }, drawing, wrote(2, 'tablet-two'));
  await openJob(page, 'united-pin', { pieces: 3 }, drawing, wrote(2, 'tablet-two'));
  await goTo(page, demoUrl(), '/jobs/united-pin/bench', 'step on all');
  await page.waitForSelector('.discs button');
  const discs = await page.$$eval('.discs button', (all) => all.map((e) => e.getAttribute('aria-label') ?? ''));
  expect(discs[0]).toMatch(/3 of \d+ steps done/);
  expect(discs[1]).toMatch(/3 of \d+ steps done/);
  expect(discs[2]).toContain('not begun');
  await sees(page, 'leave the Bench');
  await soundAt(page);
});
