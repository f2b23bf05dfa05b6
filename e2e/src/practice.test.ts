/* Practice: touched off and brought to size by keys and by touch on the simulated lathe, with the adviser beside and without; kept, shared by its number and as a file; a file of something else refused. */
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { demoUrl, downloads, emptyUrl, fill, goTo, pageForEach, press, sees, settle, stored, takeCut, tap, untilStep } from './harness';
import { soundAt } from './layout';

const on = pageForEach();
const LABEL = 'turn the handle until its dial shows';
const turn = async (mm: number) => {
  await fill(on.page, LABEL, mm.toFixed(3));
  await on.page.keyboard.press('Enter');
};
const reads = (id: string) => on.page.$eval(`[data-testid="${id}"]`, (e) => e.textContent);
const out = () => on.page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());

/** Comes in by steps until the tool scratches; where the dial stands then. */
async function touchOff(): Promise<number> {
  const begin = Number(await reads('dial'));
  for (let mm = begin + 0.1; mm < begin + 4; mm += 0.1) {
    await turn(mm);
    if (await on.page.evaluate(() => document.querySelector('.practice-log')?.textContent.includes('touches') ?? false)) return mm;
  }
  throw new Error('it never touched');
}

it('a journal to 25 h6 by the advice, by keys: come in from outside, pass, stop, measure, dial; what the metal was stands at the end and is kept', async () => {
  const { page } = on;
  await goTo(page, demoUrl(), '/practice/two-like-cuts?lathe=mid&number=2', 'start the spindle');
  await out();
  await page.keyboard.press('s');
  let at = (await touchOff()) + 0.1;
  await turn(at);
  await out();
  await page.keyboard.press('p');
  await page.click('#adviser');
  for (let i = 0; i < 24; i++) {
    const next = await page.$eval('[data-testid="advice"]', (e) => e.getAttribute('data-next'));
    if (next === 'stop' || next === 'changeGauge') break;
    await out();
    if (next === 'cut' || next === 'twoCuts' || next === 'springCut') {
      const dial = await page.$eval('[data-testid="advice"] .big, [data-testid="advice"] .large', (e) =>
        Number(/[\d.]+/.exec(e.textContent)?.[0] ?? '0'),
      );
      await page.keyboard.press('s');
      at += dial;
      await turn(at - 1);
      await turn(at);
      await out();
      await page.keyboard.press('p');
    }
    if (await page.evaluate(() => document.body.innerText.includes('spindle turns'))) await page.keyboard.press('s');
    await out();
    await page.keyboard.press('m');
  }
  await soundAt(page);
  await press(page, 'let it go: it is as it is');
  const said = await reads('ended');
  const size = Number(/The metal is ([\d.]+)/.exec(said)?.[1]);
  // brought within some micrometres of its limits: the rest is emery
  expect(size).toBeLessThan(25.006);
  expect(size).toBeGreaterThan(24.98);
  await sees(page, 'the advice would have dialled');
  await sees(page, 'gave way by');
  const files = await downloads(page);
  await press(page, 'as a file');
  const file = await files.next();
  const text = readFileSync(file, 'utf8');
  await soundAt(page);
  await goTo(page, demoUrl(), '/practice', 'Two like cuts');
  await sees(page, 'cuts, ');
  // the file is the same metal and the same deeds
  const dir = mkdtempSync(join(tmpdir(), 'obra-practice-'));
  const again = join(dir, 'again.json');
  writeFileSync(again, text);
  const input = await page.waitForSelector('input[type="file"]');
  await (input as unknown as { uploadFile: (path: string) => Promise<void> }).uploadFile(again);
  await sees(page, 'as in the file: next of');
  for (let i = 0; i < 120; i++) {
    const more = await page.evaluate(() => {
      const button = [...document.querySelectorAll('button')].find((b) => b.innerText.startsWith('as in the file'));
      button?.click();
      return button !== undefined;
    });
    if (!more) break;
  }
  await page.waitForSelector('[data-testid="ended"]');
  expect(await reads('ended')).toContain(`The metal is ${size.toFixed(3)}`);
  rmSync(dir, { recursive: true });
  files.remove();
});

it('the dial is brought to a reading: turned back to it the slide is not there, come to from outside it is', async () => {
  const { page } = on;
  for (const [from, words] of [
    [0, 'the take-up is not out'],
    [1, 'the slide stands where it says'],
  ] as const) {
    await goTo(page, demoUrl(), '/practice/set-the-dial?lathe=mid&number=4', 'start the spindle');
    const text = await page.$eval('aside.slate', (e) => e.innerText.replace(/\s+/g, ' '));
    const wanted = Number(/(\d+\.\d+) mm on the dial/.exec(text)?.[1]);
    if (from > 0) await turn(wanted - from);
    await turn(wanted);
    await soundAt(page);
    await press(page, 'let it go: it is as it is');
    expect(await reads('ended')).toContain(words);
  }
});

it('the handle goes by arrow keys, and back through its take-up moves nothing', async () => {
  const { page } = on;
  await goTo(page, demoUrl(), '/practice/backlash?lathe=mid&number=1', 'start the spindle');
  const before = Number(await reads('dial'));
  await page.$eval('[role="slider"]', (e) => (e as unknown as { focus: () => void }).focus());
  await page.keyboard.press('ArrowUp');
  expect(Number(await reads('dial'))).toBeCloseTo(before + 0.02, 6);
  await page.keyboard.down('Shift');
  await page.keyboard.press('ArrowUp');
  await page.keyboard.up('Shift');
  expect(Number(await reads('dial'))).toBeCloseTo(before + 0.022, 6);
  await page.keyboard.press('ArrowDown');
  await sees(page, 'nothing moves yet');
  await fill(page, LABEL, 'no size');
  await page.keyboard.press('Enter');
  await page.waitForSelector('[role="alert"]');
});

it('the carriage handle winds the tool along: by keys and by a press, a cut fed by hand, a gauge that needs room, and the jaws', async () => {
  const { page } = on;
  await goTo(page, demoUrl(), '/practice/two-like-cuts?lathe=mid&number=2', 'start the spindle');
  const along = () => reads('along');
  expect(await along()).toBe('2.0 over the work');
  await page.$$eval('[role="slider"]', (all) => (all[1] as unknown as { focus: () => void }).focus());
  for (const key of ['PageUp', 'PageUp', 'PageUp', 'ArrowDown'] as const) await page.keyboard.press(key);
  expect(await along()).toMatch(/^\d+\.\d clear of the edge$/);
  await press(page, 'through by hand');
  await sees(page, 'over the work');
  await press(page, 'measure: micrometer');
  await sees(page, 'wind it clear');
  await press(page, 'wind clear');
  await press(page, 'measure: micrometer');
  await page.waitForFunction(() => /^2\d\.\d+/.test(document.querySelector('[data-testid="reading"]')?.textContent ?? ''));
  await out();
  await page.keyboard.press('s');
  await turn((await touchOff()) + 0.2);
  await press(page, 'through by hand');
  await sees(page, 'A cut, fed by hand');
  expect(await reads('counts')).toContain('1 cut,');
  await soundAt(page);
  // on and on towards the headstock with the spindle turning
  await page.$$eval('[role="slider"]', (all) => (all[1] as unknown as { focus: () => void }).focus());
  for (let i = 0; i < 20; i++) await page.keyboard.press('PageDown');
  await sees(page, 'ran into the jaws');
  await press(page, 'let it go: it is as it is');
  expect(await reads('ended')).toContain('The tool ran into the jaws');
});

it('what was practised goes out with the backup and comes in elsewhere, once', async () => {
  const { page } = on;
  await goTo(page, demoUrl(), '/practice/touch-off?lathe=mid&number=3', 'start the spindle');
  await press(page, 'let it go: it is as it is');
  await page.waitForSelector('[data-testid="ended"]');
  const files = await downloads(page);
  await goTo(page, demoUrl(), '/logbook', 'Backup');
  await press(page, 'back up everything');
  const path = await files.next();
  expect((JSON.parse(readFileSync(path, 'utf8')) as { practised: unknown[] }).practised).toHaveLength(1);
  for (const again of [false, true]) {
    await goTo(page, emptyUrl(), '/logbook', 'Backup');
    const input = await (await page.waitForSelector('input[aria-label="Backup file"]'))?.toElement('input');
    await input?.uploadFile(path);
    await page.waitForSelector('[aria-label="What would come in"]');
    const said = await page.$eval('[aria-label="What would come in"]', (e) => e.textContent);
    expect(said.includes('practice: 1 attempt comes in')).toBe(!again);
    if (again) continue;
    await press(page, 'take it in');
    await sees(page, 'is taken in');
  }
  expect((await stored(page))['practice']).toHaveLength(1);
  files.remove();
});

it('by touch at 1024x768: parting is set and tried until it parts, four jaws by half of the difference', async () => {
  const { page } = on;
  await page.setViewport({ width: 1024, height: 768, hasTouch: true, isMobile: false });
  await goTo(page, demoUrl(), '/practice/parting', 'try it');
  for (const words of ['45 mm', '40 mm', 'at centre', 'locked', 'half of that and less, 400 rpm', 'steady, 0.05 mm/rev', 'into the slot'])
    await tap(page, words);
  await tap(page, 'try it');
  await sees(page, 'climbs on the blade');
  await tap(page, '8 mm');
  await tap(page, '18 mm');
  await tap(page, 'try it');
  await sees(page, 'It parts');
  await goTo(page, demoUrl(), '/practice/four-jaw?number=4', 'jaw 1');
  await page.click('#jaw-adviser');
  for (let i = 0; i < 3; i++) {
    const advice = await reads('jaw-advice');
    const [one = '0', two = '0'] = [...advice.matchAll(/([+−][\d.]+) towards/g)].map((m) => m[1] ?? '0');
    await fill(page, 'move towards jaw 1', one);
    await fill(page, 'move towards jaw 2', two);
    await tap(page, 'move it, and read again');
    await settle();
  }
  await tap(page, 'it is true enough');
  expect(Number(/within ([\d.]+)/.exec(await reads('ended'))?.[1])).toBeLessThanOrEqual(0.03);
  await goTo(page, demoUrl(), '/practice/two-collars?number=2', 'it stands right');
  await page.click('#collar-adviser');
  for (let i = 0; i < 3; i++) {
    const told = await reads('collar-advice');
    const by = /[\d.]+/.exec(told)?.[0] ?? '0';
    if (Number(by) < 0.01) break;
    await tap(page, told.includes('further over') ? 'further over' : 'back');
    await fill(page, 'move the tailstock by', by);
    await tap(page, 'move it, and turn collars again');
    await settle();
  }
  await tap(page, 'it stands right');
  expect(Number(/off by ([\d.]+)/.exec(await reads('ended'))?.[1])).toBeLessThanOrEqual(0.03);
  await page.setViewport({ width: 1280, height: 800 });
  await goTo(page, demoUrl(), '/practice', 'Parting without a grab');
  await sees(page, 'A four-jaw chuck');
  await soundAt(page);
});

it('a thread with the half-nuts at any line on an inch leadscrew is crossed, and says so; kept closed it is not', async () => {
  const { page } = on;
  for (const [at, words] of [
    ['any', 'The thread is crossed'],
    ['kept', 'It is past|metal to come off'],
  ] as const) {
    await goTo(page, demoUrl(), '/practice/thread?lathe=small&number=5', 'half-nuts open');
    await press(page, 'a pass at this setting');
    await sees(page, 'start it first');
    await press(page, 'start the spindle');
    await press(page, 'a pass at this setting');
    await sees(page, 'The half-nuts are open');
    await page.select('[aria-label="half-nuts"]', at);
    const begin = Number(await reads('dial'));
    const inch = begin < 1;
    for (let i = 1; i < 14; i++) {
      await turn(begin + i * (inch ? 0.008 : 0.2));
      await press(page, 'a pass at this setting');
    }
    const log = await page.$eval('.practice-log', (e) => e.textContent);
    expect(log.includes('crossed')).toBe(at === 'any');
    await press(page, 'let it go: it is as it is');
    if (at === 'any') await sees(page, words);
    else expect(await reads('ended')).toMatch(/It is in|past its limits|metal to come off/);
  }
});

it('a gauge that speaks in memory: its reading is heard, a lost sign and silence are told and not taken; earlier attempts stand as runs', async () => {
  const { page } = on;
  await goTo(page, demoUrl(), '/practice/springy?lathe=mid&number=4', 'start the spindle');
  await page.click('#gauge-speaks');
  await press(page, 'measure: micrometer');
  await sees(page, 'over its line');
  const first = await reads('reading');
  expect(first).toMatch(/^2\d\.\d+ mm/);
  await page.select('[aria-label="the line of the gauge"]', 'dropped');
  await press(page, 'measure: micrometer');
  await sees(page, 'nothing came over its line');
  expect(await reads('reading')).toBe('');
  expect(await reads('counts')).toContain('1 reading,');
  await page.select('[aria-label="the line of the gauge"]', 'unit');
  await press(page, 'measure: micrometer');
  await page.waitForFunction(() => document.querySelector('[data-testid="counts"]')?.textContent.includes('2 readings'));
  await soundAt(page);
  for (let round = 0; round < 2; round++) {
    await press(page, 'let it go: it is as it is');
    await page.waitForSelector('[data-testid="ended"]');
    if (round === 0) await press(page, 'the same metal again');
    if (round === 0) for (let i = 0; i < 2; i++) await press(page, 'measure: micrometer');
  }
  await sees(page, 'Earlier attempts');
  expect(await page.$$('[data-testid="earlier"] [data-testid="run"]')).toHaveLength(1);
  await soundAt(page);
});

it('a file that is no exercise is refused in a sentence, an exercise that is none says so', async () => {
  const { page } = on;
  await goTo(page, demoUrl(), '/practice', 'Touch off');
  const dir = mkdtempSync(join(tmpdir(), 'obra-practice-'));
  for (const [name, text, words] of [
    ['cut.json', '{"obra":"practice","exer', 'this is no exercise'],
    ['job.json', '{"obra":"job"}', 'holds a job, not an exercise'],
    ['other.json', '{"obra":"practice","exercise":"flying","number":1,"lathe":"mid","deeds":[]}', 'an exercise that is not here'],
  ] as const) {
    const path = join(dir, name);
    writeFileSync(path, text);
    const input = await page.waitForSelector('input[type="file"]');
    await (input as unknown as { uploadFile: (path: string) => Promise<void> }).uploadFile(path);
    await sees(page, words);
  }
  rmSync(dir, { recursive: true });
  await goTo(page, demoUrl(), '/practice/flying', 'No such exercise');
  await goTo(page, demoUrl(), '/practice/hot?number=1e99&lathe=moon', 'number 1');
});

it('a job is rehearsed at the Bench on simulated metal: marked, brought in by its own readings, and never in the Logbook', async () => {
  const { page } = on;
  await goTo(page, demoUrl(), '/jobs/sheave-axle/route', 'rehearse');
  await page.waitForSelector('.ops tr[data-step]');
  await press(page, 'rehearse');
  await page.waitForSelector('[data-testid="rehearsal"]');
  await untilStep(page, '18.979');
  const next = () => page.$eval('[data-testid="advice"]', (e) => e.getAttribute('data-next'));
  for (let i = 0; i < 14; i++) {
    const what = await next().catch(() => null);
    if (what === 'stop' || what === null) break;
    if (what === 'measure' || what === 'ask' || what === 'wait') await press(page, 'measure, rehearsed');
    else await takeCut(page).catch(() => undefined);
    await settle();
  }
  const kinds = Object.entries(await stored(page)).flatMap(([key, e]) => (key.startsWith('log/') ? [(e as { kind: string }).kind] : []));
  expect(kinds.filter((k) => k === 'reading').length).toBeGreaterThanOrEqual(2);
  expect(kinds.filter((k) => k === 'cut').length).toBeGreaterThanOrEqual(1);
  await page.reload();
  await page.waitForSelector('[data-testid="next"]');
  await soundAt(page);
  await goTo(page, demoUrl(), '/logbook', 'Backup');
  await settle();
  expect(await page.evaluate(() => document.body.innerText.includes('rehearsed'))).toBe(false);
});

it('a word of the trade is found by any of its names, by the finder and at its dotted line', async () => {
  const { page } = on;
  await goTo(page, demoUrl(), '/practice/words?w=saddle', 'Words of the trade');
  await sees(page, 'What slides along the bed');
  await fill(page, 'find a word', 'nothing of that kind zzz');
  await sees(page, 'No word of the trade is called so here');
  await fill(page, 'find a word', '');
  await soundAt(page);
  await out();
  await page.keyboard.press('/');
  await page.waitForSelector('[role="combobox"]');
  await page.keyboard.type('TIR');
  await sees(page, 'from its lowest to its highest');
  await page.keyboard.press('Escape');
  await goTo(page, demoUrl(), '/jobs/pintle-pin/holding', 'Saw or pull out');
  await press(page, 'TIR');
  await sees(page, 'It is twice how far the middle is off');
  await page.keyboard.press('Escape');
  await page.waitForFunction(() => !document.body.innerText.includes('It is twice how far'));
});
