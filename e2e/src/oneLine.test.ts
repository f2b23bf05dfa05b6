/* A part on one line: said word by word as it is typed, the first wrong place marked, help by a question mark, kept as a job. */
import { demoUrl, goTo, pageForEach, press, sees } from './harness';
import { crowded, soundAt, violations } from './layout';

const on = pageForEach();

const words = () =>
  on.page.$$eval('.line-words li', (all) =>
    all.map((e) => ({ text: (e as HTMLElement).innerText.replace(/\s+/g, ' ').trim(), bad: e.className === 'bad' })),
  );

it('a bush in one line in inches, with its metal and how many, becomes a job', async () => {
  const { page } = on;
  await goTo(page, demoUrl(), '/', 'Samples');
  await page.type('#line', '1-1/4 x 1-1/2 c1/32; bore 7/8 thru; bronze; 2 off');
  await sees(page, '2 pieces');
  expect((await words()).map((w) => w.text)).toEqual([
    expect.stringMatching(/Ø1-1\/4, 1\.5\d* in long, edge 1\/32x45/),
    expect.stringContaining('from end A: hole 7/8, through'),
    expect.stringContaining('of bronze'),
    expect.stringContaining('2 pieces'),
  ]);
  await sees(page, 'read in inches');
  // while it is planned anew what stood before is greyed
  await sees(page, 'Saw or pull out');
  await page.waitForFunction(() => document.querySelector('.older') === null);
  expect(await crowded(page)).toEqual([]);
  expect(await violations(page)).toEqual([]);
  await page.focus('#line');
  await page.keyboard.press('Enter');
  await sees(page, '2 pieces');
  await page.waitForFunction(() => document.querySelector<HTMLSelectElement>('#material')?.value === 'bronze');
});

it('the first wrong place is marked and chosen by a press; a question mark tells what the line understands; the last line is offered', async () => {
  const { page } = on;
  await goTo(page, demoUrl(), '/', 'Samples');
  await page.type('#line', '25 x 40; bore 8; 4 off');
  await sees(page, 'how deep');
  await page.waitForSelector('.line-words li.bad');
  const wrong = (await words()).filter((w) => w.bad);
  expect(wrong).toHaveLength(1);
  expect(wrong[0]?.text).toContain('bore 8');
  await page.click('.line-words li.bad button');
  expect(
    await page.$eval('#line', (e) => {
      const i = e as HTMLInputElement;
      return i.value.slice(i.selectionStart ?? 0, i.selectionEnd ?? 0);
    }),
  ).toBe('bore 8');
  await page.keyboard.type('bore 8 through');
  await sees(page, 'hole 8, through');
  await page.reload();
  await sees(page, 'where you left it');
  await sees(page, 'stepped bolt');
  await page.click('.samples button:last-child');
  await sees(page, 'hole 8, through');
  await page.click('#line', { count: 3 });
  await page.keyboard.type('?');
  await sees(page, 'What the line understands');
  await soundAt(page);
  await press(page, 'B: tap M8 x 14');
  await sees(page, 'thread M8');
});

it('a whole line typed into the cell of a row becomes its rows, holes, metal and pieces', async () => {
  const { page } = on;
  await goTo(page, demoUrl(), '/jobs', 'new job');
  await press(page, 'new job');
  await page.waitForSelector('main.sheet');
  await press(page, 'add a row');
  await page.waitForSelector('[data-cell$=".size"]');
  await page.focus('[data-cell$=".size"]');
  await page.keyboard.type('12 x 18; 25 h7 x 38 c0.5; bore 8 x 20; brass; 4 off');
  await page.keyboard.press('Enter');
  const sizes = () => page.$$eval('[data-cell$=".size"]', (all) => all.map((e) => (e as HTMLInputElement).value));
  await page.waitForFunction(() => document.querySelectorAll('[data-cell$=".size"]').length === 4);
  expect(await sizes()).toEqual(['12', '25 h7', '', '8']);
  expect(await page.$eval('#material', (e) => (e as HTMLSelectElement).value)).toBe('brass');
  await sees(page, '4 pieces');
  expect(await violations(page)).toEqual([]);
  // what is not understood whole stays as it was typed
  await page.click('[aria-label="delete row 3"]');
  await press(page, 'add a row');
  await page.waitForFunction(() => document.activeElement?.getAttribute('data-cell')?.endsWith('.size') === true);
  await page.keyboard.type('10 x 5; nonsense');
  await page.keyboard.press('Tab');
  expect(await sizes()).toContain('10 x 5; nonsense');
  await sees(page, '“nonsense” has no length yet');
});
