/* Tables by mouse, by keys and by finger: cells chosen, copied, pasted and filled; lines sorted, filtered, found and moved; ten thousand of them. */
import { blankJob, SCHEMA } from '@obra/core/document';
import { demoUrl, goTo, pageForEach, press, saved, sees, tap } from './harness';
import { crowded, hiding, violations } from './layout';

const on = pageForEach();

const column = (key: string) => on.page.$$eval(`[data-field="${key}"]`, (all) => all.map((e) => (e as HTMLInputElement).value));
const names = (label: string) => on.page.$$eval(`table[aria-label="${label}"] strong`, (all) => all.map((e) => e.textContent));
/** As a spreadsheet hands cells over. */
const paste = (selector: string, text: string) =>
  on.page.$eval(
    selector,
    (e, cells) => {
      (e as HTMLElement).focus();
      const data = new DataTransfer();
      data.setData('text/plain', cells);
      e.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));
    },
    text,
  );
const copied = () =>
  on.page.evaluate(() => {
    const data = new DataTransfer();
    document.activeElement?.dispatchEvent(new ClipboardEvent('copy', { clipboardData: data, bubbles: true, cancelable: true }));
    return data.getData('text/plain');
  });
const cell = (item: string, key: string) => `[data-item="${item}"] [data-field="${key}"]`;
async function toTools(): Promise<void> {
  await goTo(on.page, demoUrl(), '/shop/tools', 'add a tool');
  await on.page.waitForSelector(cell('turn-rough', 'nose'));
}

it('three columns of a CSV go into Tools under their own heads; what is not understood stands in its cell; one undo takes it all back', async () => {
  await toTools();
  const before = await column('name');
  await paste('[data-item] [data-field="name"]', 'reach,name,kind\n71,drill 7.1,drill\nlong,drill 7.2,drill\n73,drill 7.3,boring tool\n');
  // the heads name their columns: laid from the first line on
  await sees(on.page, '3 tools changed. 2 cells were not understood and stand as pasted');
  expect((await column('name')).slice(0, 4)).toEqual(['drill 7.1', 'drill 7.2', 'drill 7.3', before[3]]);
  expect((await column('reach')).slice(0, 3)).toEqual(['71', 'long', '73']);
  await saved(on.page);
  await press(on.page, 'undo');
  await on.page.waitForFunction((n: string) => document.querySelector<HTMLInputElement>('[data-field="name"]')?.value === n, {}, before[0] ?? '');
  expect(await column('name')).toEqual(before);
});

it('cells chosen by Shift and the arrows are copied, filled down, and emptied; undone one by one', async () => {
  await toTools();
  await on.page.click(cell('turn-rough', 'width'));
  await on.page.keyboard.down('Shift');
  await on.page.keyboard.press('ArrowDown');
  await on.page.keyboard.press('ArrowRight');
  await on.page.keyboard.up('Shift');
  await sees(on.page, '2 × 2 cells');
  await paste(cell('turn-rough', 'width'), '3\t12\n4\t13');
  await sees(on.page, '2 tools changed.');
  expect([(await column('width')).slice(0, 2), (await column('reach')).slice(0, 2)]).toEqual([
    ['3', '4'],
    ['12', '13'],
  ]);
  expect(await copied()).toBe('3\t12\n4\t13');
  await on.page.keyboard.down('Control');
  await on.page.keyboard.press('d');
  await on.page.keyboard.up('Control');
  await on.page.waitForFunction(() => document.querySelectorAll<HTMLInputElement>('[data-field="reach"]')[1]?.value === '12');
  expect((await column('width')).slice(0, 2)).toEqual(['3', '3']);
  await on.page.keyboard.press('Delete');
  await on.page.waitForFunction(() => document.querySelectorAll<HTMLInputElement>('[data-field="reach"]')[1]?.value === '');
  await on.page.keyboard.press('Escape');
  await press(on.page, 'undo');
  await press(on.page, 'undo');
  await on.page.waitForFunction(() => document.querySelectorAll<HTMLInputElement>('[data-field="reach"]')[1]?.value === '13');
  await press(on.page, 'undo');
});

it('what is pasted on chosen cells is laid over all of them when it goes into them whole times, else from the first on: none of it is lost', async () => {
  await toTools();
  const choose = async () => {
    await on.page.keyboard.press('Escape');
    await on.page.click(cell('turn-rough', 'width'));
    await on.page.keyboard.down('Shift');
    await on.page.keyboard.press('ArrowDown');
    await on.page.keyboard.press('ArrowDown');
    await on.page.keyboard.up('Shift');
    await sees(on.page, '3 × 1 cells');
  };
  const firsts = async () => [(await column('width')).slice(0, 3), (await column('reach')).slice(0, 3)];
  const reach = (await column('reach')).slice(0, 3);
  await choose();
  await paste(cell('turn-rough', 'width'), '7');
  await on.page.waitForFunction(() => document.querySelectorAll<HTMLInputElement>('[data-field="width"]')[2]?.value === '7');
  expect(await firsts()).toEqual([['7', '7', '7'], reach]);
  await choose();
  await paste(cell('turn-rough', 'width'), '4\t21\n5\t22');
  await on.page.waitForFunction(() => document.querySelectorAll<HTMLInputElement>('[data-field="reach"]')[1]?.value === '22');
  expect(await firsts()).toEqual([
    ['4', '5', '7'],
    ['21', '22', reach[2]],
  ]);
});

it('a menu that is left by a press on a cell leaves the cursor in that cell', async () => {
  await toTools();
  await on.page.click('[aria-label="column kind"]');
  await sees(on.page, 'sort upwards');
  await on.page.click('[data-index="6"] [data-field="angle"]');
  await on.page.waitForFunction(() => !document.body.innerText.includes('sort upwards'));
  expect(await on.page.evaluate(() => (document.activeElement as HTMLElement).dataset['field'])).toBe('angle');
  await on.page.click('[aria-label="column kind"]');
  await on.page.keyboard.press('Escape');
  expect(await on.page.evaluate(() => document.activeElement?.getAttribute('aria-label'))).toBe('column kind');
});

it('cells are chosen by mouse, dragging and with Shift; and the corner drags on', async () => {
  await toTools();
  const middle = async (selector: string) => {
    const box = await (await on.page.waitForSelector(selector))?.boundingBox();
    return { x: (box?.x ?? 0) + (box?.width ?? 0) / 2, y: (box?.y ?? 0) + (box?.height ?? 0) / 2 };
  };
  const [from, to] = [await middle('[data-index="2"] [data-field="nose"]'), await middle('[data-index="4"] [data-field="reach"]')];
  await on.page.mouse.move(from.x, from.y);
  await on.page.mouse.down();
  await on.page.mouse.move(to.x, to.y, { steps: 4 });
  await on.page.mouse.up();
  await sees(on.page, '3 × 3 cells');
  expect(await on.page.$$eval('td[aria-selected="true"]', (all) => all.length)).toBe(9);
  await on.page.keyboard.down('Shift');
  await on.page.click('[data-index="5"] [data-field="width"]');
  await on.page.keyboard.up('Shift');
  await sees(on.page, '4 × 2 cells');
  const corner = await middle('[data-corner]');
  const last = await middle('[data-index="7"] [data-field="width"]');
  await on.page.mouse.move(corner.x, corner.y);
  await on.page.mouse.down();
  await on.page.mouse.move(last.x, last.y, { steps: 4 });
  await on.page.mouse.up();
  await sees(on.page, '6 × 2 cells');
  expect(await violations(on.page)).toEqual([]);
});

it('sorts by size whatever a size is typed in, filters by a kind, hides and moves a column, and keeps the columns over a reload', async () => {
  await toTools();
  await on.page.click('th[data-column="size"] .grid-head > button');
  await on.page.waitForSelector('th[data-column="size"][aria-sort="ascending"]');
  // the lines that are seen are drawn anew after the order
  await on.page.waitForFunction(
    () => [...document.querySelectorAll<HTMLInputElement>('[data-field="size"]')].filter((e) => /^[\d.]+$/.test(e.value)).length > 8,
  );
  const sizes = (await column('size')).filter((t) => /^[\d.]+$/.test(t)).map(Number);
  expect(sizes).toEqual(sizes.toSorted((a, b) => a - b));
  expect(await on.page.$eval('th[data-column="size"]', (e) => e.getAttribute('aria-sort'))).toBe('ascending');
  await on.page.click('[aria-label="column kind"]');
  await press(on.page, 'none of them');
  await sees(on.page, 'No tool passes these filters');
  await on.page.$$eval('.grid-values label', (all) =>
    all
      .find((l) => l.textContent === 'tap')
      ?.querySelector('input')
      ?.click(),
  );
  await on.page.waitForFunction(() => document.querySelectorAll('[data-item]').length > 0);
  expect(new Set(await column('kind'))).toEqual(new Set(['tap']));
  await on.page.keyboard.press('Escape');
  await sees(on.page, 'kind: tap');
  await press(on.page, 'kind: tap: take the filter off');
  await on.page.click('[aria-label="column edge"]');
  await press(on.page, 'hide this column');
  await on.page.waitForFunction(() => document.querySelector('th[data-column="grade"]') === null);
  await on.page.click('[aria-label="column kind"]');
  await press(on.page, 'move it to the right');
  const heads = () => on.page.$$eval('th[data-column]', (all) => all.map((e) => e.getAttribute('data-column')));
  expect((await heads()).slice(0, 3)).toEqual(['name', 'size', 'kind']);
  await on.page.reload({ waitUntil: 'networkidle0' });
  expect((await heads()).slice(0, 3)).toEqual(['name', 'size', 'kind']);
  await press(on.page, 'columns');
  await press(on.page, 'all of them, as they were');
  await on.page.waitForFunction(() => document.querySelector('th[data-column="grade"]') !== null);
  expect((await heads()).slice(0, 3)).toEqual(['name', 'kind', 'grade']);
});

it('a line that is typed in stays where it is until the table is sorted again', async () => {
  await toTools();
  await on.page.click('th[data-column="size"] .grid-head > button');
  const [first] = await on.page.$$eval('[data-item]', (all) => all.map((e) => e.getAttribute('data-item')));
  await on.page.click(cell(first ?? '', 'size'), { count: 3 });
  await on.page.keyboard.type('99');
  await on.page.keyboard.press('Enter');
  await saved(on.page);
  const now = () => on.page.$$eval('[data-item]', (all) => all.map((e) => e.getAttribute('data-item')));
  expect((await now())[0]).toBe(first);
  await on.page.click('th[data-column="size"] .grid-head > button');
  await on.page.waitForSelector('th[data-column="size"][aria-sort="descending"]');
  await on.page.waitForFunction(
    () => [...document.querySelectorAll<HTMLInputElement>('[data-field="size"]')].find((e) => /^[\d.]+$/.test(e.value))?.value === '99',
  );
  await on.page.keyboard.press('Escape');
  await press(on.page, 'undo');
});

it('at a tablet by finger: a head sorts, a filter is set, the cells of a corner are chosen, and a bar is moved in its list', async () => {
  await on.page.emulate({ viewport: { width: 1024, height: 768, hasTouch: true, isMobile: false }, userAgent: await on.page.browser().userAgent() });
  await goTo(on.page, demoUrl(), '/shop/bars', 'add a bar');
  await on.page.waitForSelector('[data-item] [aria-label^="move "]');
  const order = await column('name');
  const grip = await (await on.page.$('[data-index="0"] [aria-label^="move "]'))?.boundingBox();
  const line = await (await on.page.$('[data-index="2"]'))?.boundingBox();
  if (!grip || !line) throw new Error('no line to move');
  const finger = await on.page.touchscreen.touchStart(grip.x + 8, grip.y + 8);
  await new Promise((resolve) => setTimeout(resolve, 300));
  for (let i = 1; i <= 6; i++) await finger.move(grip.x + 8, grip.y + 8 + ((line.y + line.height / 2 - grip.y - 8) * i) / 6);
  await new Promise((resolve) => setTimeout(resolve, 100));
  await finger.end();
  await on.page.waitForFunction((was: string) => document.querySelector<HTMLInputElement>('[data-field="name"]')?.value !== was, {}, order[0] ?? '');
  expect((await column('name')).slice(0, 3)).toEqual([order[1], order[2], order[0]]);
  await tap(on.page, 'undo');
  await on.page.waitForFunction((was: string) => document.querySelector<HTMLInputElement>('[data-field="name"]')?.value === was, {}, order[0] ?? '');
  await on.page.tap('th[data-column="length"] .grid-head > button');
  expect(await on.page.$eval('th[data-column="length"]', (e) => e.getAttribute('aria-sort'))).toBe('ascending');
  await on.page.tap('[data-index="0"] [data-field="length"]');
  const corner = await (await on.page.waitForSelector('[data-corner]'))?.boundingBox();
  const below = await (await on.page.$('[data-index="3"] [data-field="length"]'))?.boundingBox();
  if (!corner || !below) throw new Error('no corner');
  const drag = await on.page.touchscreen.touchStart(corner.x + 11, corner.y + 11);
  for (let i = 1; i <= 4; i++) await drag.move(corner.x + 11, corner.y + 11 + ((below.y + 12 - corner.y - 11) * i) / 4);
  await drag.end();
  await sees(on.page, '4 × 1 cells');
  expect(await crowded(on.page)).toEqual([]);
});

it('finds by letters that are nearly right, and says so', async () => {
  await toTools();
  await on.page.type('[aria-label="Find in Tools"]', 'chamferring');
  await sees(on.page, 'by nearly these words');
  expect((await column('name')).every((n) => n.includes('chamfer'))).toBe(true);
});

it('Jobs are found, sorted by the day they are wanted and filtered by what they are of', async () => {
  await goTo(on.page, demoUrl(), '/jobs', 'import a job file');
  await on.page.waitForSelector('table[aria-label="Jobs"] strong');
  await on.page.click('th[data-column="wanted"] .grid-head > button');
  await on.page.waitForSelector('th[data-column="wanted"][aria-sort="ascending"]');
  expect((await names('Jobs')).slice(0, 3).toSorted()).toEqual(['Chainplate ring', 'Rudder pintle pin', 'Sheave axle']);
  // every line says how far its job is: nothing moves under the press any more
  await on.page.waitForFunction(() =>
    [...document.querySelectorAll('table[aria-label="Jobs"] tbody tr')].every((tr) => (tr.children[6]?.textContent ?? '') !== ''),
  );
  await on.page.click('[aria-label="column material"]');
  await on.page.waitForSelector('.grid-values');
  await press(on.page, 'none of them');
  await on.page.$$eval('.grid-values label', (all) =>
    all
      .find((l) => l.textContent === 'bearing bronze')
      ?.querySelector('input')
      ?.click(),
  );
  await sees(on.page, '1 of 7 jobs');
  expect(await names('Jobs')).toEqual(['Rudder pintle pin']);
  await on.page.keyboard.press('Escape');
  await press(on.page, 'material: bearing bronze: take the filter off');
  await on.page.type('[aria-label="Find in Jobs"]', 'marta');
  await sees(on.page, '5 of 7 jobs');
});

it('a day wanted is typed on the drawing, and the list knows it', async () => {
  await goTo(on.page, demoUrl(), '/jobs/mast-dowel/drawing', 'Wanted');
  await on.page.type('#wanted', '12092026');
  await saved(on.page);
  await goTo(on.page, demoUrl(), '/jobs', 'import a job file');
  await sees(on.page, 'Dec 9, 2026');
});

it('ten thousand lines of the logbook are sorted, filtered and scrolled without a wait', async () => {
  await goTo(on.page, demoUrl(), '/logbook', 'Logbook');
  const job = blankJob('x', 'mm');
  await on.page.evaluate(
    (schema, of) =>
      new Promise<void>((resolve, reject) => {
        const open = indexedDB.open('obra');
        open.onsuccess = () => {
          const transaction = open.result.transaction('records', 'readwrite');
          const store = transaction.objectStore('records');
          for (let i = 0; i < 10_000; i++) {
            const id = `m${String(i).padStart(5, '0')}`;
            const saved = new Date(1.7e12 + i * 3.6e6).toISOString();
            store.put({ schema, id, revision: 1, saved, by: 'test', job: { ...of, name: `Pin ${String(i)}` } }, `job/${id}`);
            store.put(
              {
                version: 3,
                words: '',
                kept: 0,
                id,
                revision: 1,
                saved,
                name: `Pin ${String(i)}`,
                pieces: 1,
                material: i % 4 === 0 ? 'brass' : 'mild-steel',
                outline: [],
                long: 0,
                radius: 8,
              },
              `sum/${id}`,
            );
            store.put({ id: 'e1', kind: 'note', at: saved, by: 'test', piece: 1, step: null, says: 'made' }, `log/${id}/e1`);
            store.put(
              {
                version: 1,
                id,
                of: '1/1/1',
                issued: false,
                begun: 1,
                scrapped: 0,
                ended: saved,
                within: i % 7,
                out: i % 50 === 0 ? 1 : 0,
                untold: 0,
                minutes: [i % 90],
                words: `pin ${String(i)} made`,
              },
              `made/${id}`,
            );
          }
          transaction.oncomplete = () => {
            open.result.close();
            resolve();
          };
          transaction.onerror = () => reject(new Error('not written'));
        };
      }),
    SCHEMA,
    job,
  );
  await goTo(on.page, demoUrl(), '/logbook', 'Logbook');
  await sees(on.page, '10000 jobs');
  expect(await on.page.$$eval('[data-item]', (all) => all.length)).toBeLessThan(60);
  await on.page.click('th[data-column="time"] .grid-head > button');
  await on.page.click('th[data-column="time"] .grid-head > button');
  const times = () => on.page.$$eval('tr[data-item] td[data-col="7"]', (all) => all.slice(0, 5).map((e) => e.textContent));
  await on.page.waitForFunction(() => document.querySelector('th[data-column="time"]')?.getAttribute('aria-sort') === 'descending');
  expect(new Set(await times()).size).toBe(1);
  await on.page.click('[aria-label="column material"]');
  await on.page.$$eval('.grid-values label', (all) =>
    all
      .find((l) => l.textContent === 'mild steel')
      ?.querySelector('input')
      ?.click(),
  );
  await sees(on.page, '2500 of 10000 jobs');
  await on.page.keyboard.press('Escape');
  await on.page.$eval('.grid.own', (e) => e.scrollTo({ top: e.scrollHeight }));
  await sees(on.page, '–2500');
  await on.page.type('[aria-label="Find in the logbook"]', 'pin 9996');
  await sees(on.page, '1 of 10000 jobs');
  expect(await names('What was made')).toEqual(['Pin 9996']);
  expect(await violations(on.page)).toEqual([]);
});

it('no cell, select or note hides the end of its words at 1280x800', async () => {
  await on.page.setViewport({ width: 1280, height: 800 });
  for (const [path, words] of [
    ...(['machines', 'holdings', 'tools', 'gauges', 'bars'] as const).map((list) => [`/shop/${list}`, 'Lathes'] as const),
    ...(['sheave-axle', 'windlass-spindle', 'worn-tiller-pin', 'rudder-shaft', 'mast-dowel'] as const).flatMap((job) =>
      [
        ['drawing', 'edge to A'],
        ['holding', 'taken:'],
        ['route', 'give out'],
        ['inspection', 'Piece 1'],
      ].map(([stage = '', seen = '']) => [`/jobs/${job}/${stage}`, seen] as const),
    ),
  ]) {
    await goTo(on.page, demoUrl(), path, words);
    await on.page.waitForSelector('input, select');
    expect([path, await hiding(on.page)]).toEqual([path, []]);
  }
});
