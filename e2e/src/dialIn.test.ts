/* Finished work in four jaws again, dialled by readings at the Bench. */
import { demoUrl, goTo, pageForEach, press, saved, sees, untilStep } from './harness';
import { soundAt } from './layout';
import { mm, openJob, row } from './openJob';

const on = pageForEach();

it('four readings tell which jaw, which way, how much; within what the job wants it says so, and survives a reload', async () => {
  const { page } = on;
  await openJob(
    page,
    'dialled-stud',
    {
      choices: [
        { kind: 'method', id: 'method-first', of: 'first', method: 'right' },
        { kind: 'method', id: 'method-carrying', of: 'carrying', method: 'chuck' },
        { kind: 'hold', id: 'l', setup: 'left-1', holding: 'four-jaw', support: [] },
      ],
    },
    {
      outside: [row('a', '20', '30'), row('b', '32', '10'), row('c', '22', '15')],
      relations: [{ id: 'r', kind: 'runout', of: 'c', to: 'a', value: mm('0.03') }],
    },
  );
  await goTo(page, demoUrl(), '/jobs/dialled-stud/route', 'give out to the Bench');
  await press(page, 'give out to the Bench');
  await goTo(page, demoUrl(), '/jobs/dialled-stud/bench', 'step 1 of');
  await untilStep(page, 'Turn round');
  await sees(page, 'Dial it');
  const type = async (values: readonly string[]) => {
    for (const [i, v] of values.entries()) {
      await page.click(`[aria-label="indicator at jaw ${String(i + 1)}"]`);
      await page.keyboard.type(v);
    }
    await press(page, 'keep the readings');
  };
  const told = () => page.$eval('[data-testid="dialled-to"]', (e) => (e as HTMLElement).innerText);
  await type(['0.2', 'x', '-0,1', '0.3']);
  await sees(page, 'Indicator at jaw 2');
  await page.click('[aria-label="indicator at jaw 2"]', { clickCount: 3 });
  await page.keyboard.type('-0.1');
  await press(page, 'keep the readings');
  await page.waitForSelector('[data-testid="dialled-to"]');
  expect(await told()).toMatch(/0\.5/);
  expect(await told()).toMatch(/loosen jaw 3, tighten jaw 1: 0\.15/);
  expect(await told()).toMatch(/loosen jaw 2, tighten jaw 4: 0\.2/);
  await saved(page);
  await soundAt(page);
  await page.reload();
  await page.waitForSelector('[data-testid="dialled-to"]');
  await type(['0.004', '0', '-0.002', '0.001']);
  await sees(page, 'within what this job wants');
  expect(await told()).toMatch(/is kept in (9\d|100) of 100/);
  await goTo(page, demoUrl(), '/jobs/dialled-stud/inspection', 'How true it runs, as dialled');
  await sees(page, 'setup 2 dialled to 0.00');
  await soundAt(page);
});
