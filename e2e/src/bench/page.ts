import type { Page } from 'puppeteer-core';
import { browse } from '../harness';
import { ms, report } from './report';

/** The Handbook after the app is loaded. */
export async function handbook(url: string): Promise<void> {
  const browser = await browse();
  const page = await browser.newPage();
  const opens: number[] = [];
  for (let i = 0; i < 9; i++) {
    await page.goto(`${url}/jobs`, { waitUntil: 'networkidle0' });
    await page.waitForSelector('nav a[href="/handbook"]');
    opens.push(
      await page.evaluate(
        () =>
          new Promise<number>((resolve) => {
            const from = performance.now();
            const watch = new MutationObserver(() => {
              if (document.querySelector('.columns li')) resolve(performance.now() - from);
            });
            watch.observe(document.body, { childList: true, subtree: true });
            document.querySelector<HTMLAnchorElement>('nav a[href="/handbook"]')?.click();
          }),
      ),
    );
  }
  await browser.close();
  report('the Handbook opens', opens, 100);
}

/** Typing into a row of a part of 40 rows: work of the main thread from the keystroke to the end of its render, and until the next frame is painted. */
export async function typing(url: string): Promise<void> {
  const typist = await browse();
  const desk = await typist.newPage();
  await desk.goto(`${url}/jobs`, { waitUntil: 'networkidle0' });
  const begin = await desk.waitForFunction(() => [...document.querySelectorAll('button')].find((b) => b.innerText.trim() === 'new job') ?? false);
  await desk.evaluate((button) => (button as HTMLElement).click(), begin);
  await desk.waitForSelector('main.sheet');
  await desk.keyboard.down('Alt');
  await desk.keyboard.press('r');
  await desk.keyboard.up('Alt');
  await desk.waitForSelector('[data-cell$=".size"]');
  await desk.focus('[data-cell$=".size"]');
  const rows = Array.from({ length: 40 }, (_, i) => `${String(20 + ((i * 7) % 23))} h7\t${String(8 + ((i * 5) % 9))}`).join('\n');
  await desk.evaluate((text: string) => {
    const data = new DataTransfer();
    data.setData('text', text);
    document.activeElement?.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));
  }, rows);
  await desk.waitForFunction(() => document.querySelectorAll('[data-cell$=".size"]').length === 40);
  await desk.evaluate(() => {
    const w = window as unknown as { work: number[]; painted: number[] };
    [w.work, w.painted] = [[], []];
    let start = 0;
    window.addEventListener('input', () => (start = performance.now()), true);
    window.addEventListener('input', () => {
      const from = start;
      queueMicrotask(() => queueMicrotask(() => w.work.push(performance.now() - from)));
      requestAnimationFrame(() => setTimeout(() => w.painted.push(performance.now() - from)));
    });
  });
  await desk.focus('[data-cell$=".length"]');
  for (let i = 0; i < 90; i++) {
    await desk.keyboard.press(i % 2 === 0 ? '1' : 'Backspace');
    await new Promise((resolve) => setTimeout(resolve, 45));
  }
  const { work, painted } = await desk.evaluate(() => {
    const w = window as unknown as { work: number[]; painted: number[] };
    return { work: w.work, painted: w.painted };
  });
  const of = (list: readonly number[], share: number) => [...list].sort((a, b) => a - b)[Math.floor(list.length * share)];
  // the first ones are compiled while they run
  const warm = (list: readonly number[]) => list.slice(20);
  await solidSeen(desk);
  console.log(
    `keystroke in a part of 40 rows: work median ${ms(of(warm(work), 0.5))}, p95 ${ms(of(warm(work), 0.95))} (aim 8 ms); painted median ${ms(of(warm(painted), 0.5))}, p95 ${ms(of(warm(painted), 0.95))}`,
  );
  await typist.close();
}

/** From the key to the turned solid on the screen, what draws it loaded on the way the first time; then with what is cut. */
async function solidSeen(desk: Page): Promise<void> {
  const [first, cut]: [number[], number[]] = [[], []];
  await desk.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  for (let i = 0; i < 7; i++) {
    const times = await desk.evaluate(
      () =>
        new Promise<readonly [number, number]>((resolve) => {
          const from = performance.now();
          let turned = 0;
          const watch = new MutationObserver(() => {
            const shown = document.querySelector('[data-testid="solid"] canvas')?.getAttribute('data-shown');
            if (shown && turned === 0) turned = performance.now() - from;
            if (shown !== 'whole') return;
            watch.disconnect();
            resolve([turned, performance.now() - from]);
          });
          watch.observe(document.body, { childList: true, subtree: true, attributes: true });
          [...document.querySelectorAll('button')].find((b) => b.innerText.trim() === 'solid')?.click();
        }),
    );
    first.push(times[0]);
    cut.push(times[1]);
    await desk.evaluate(() => [...document.querySelectorAll('button')].find((b) => b.innerText.trim() === 'section')?.click());
    await new Promise((resolve) => setTimeout(resolve, 300));
  }
  report('solid of 40 rows, first seen', first, 400);
  report('solid of 40 rows, cut', cut);
}

/** The jaws of a holding moved by the mouse: script of the main thread in each frame while they move, all of it counted. */
export async function dragging(url: string): Promise<void> {
  const browser = await browse();
  const page = await browser.newPage();
  await page.goto(`${url}/jobs/windlass-spindle/holding`, { waitUntil: 'networkidle0' });
  const handle = await page.waitForSelector('[role="slider"][aria-label="Stick-out, in the picture"]', { timeout: 30_000 });
  const box = await handle?.boundingBox();
  if (!box) throw new Error('no handle');
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  const script = async () => (await page.metrics()).ScriptDuration ?? 0;
  await page.mouse.move(x, y);
  await page.mouse.down();
  const frames: number[] = [];
  for (let i = 1; i <= 90; i++) {
    const from = await script();
    await page.mouse.move(x - i, y);
    await page.evaluate(() => new Promise((resolve) => requestAnimationFrame(resolve)));
    frames.push(1000 * ((await script()) - from));
  }
  await page.mouse.up();
  await browser.close();
  report('jaws moved in the picture, script a frame', frames.slice(20), 8);
}
