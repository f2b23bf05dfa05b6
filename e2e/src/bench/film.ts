import { blankJob } from '@obra/core/document';
import type { Page } from 'puppeteer-core';
import { browse } from '../harness';
import { put, record } from './jobs';
import { report } from './report';

/** How long the film is watched, s: ten minutes where FILM=long is asked, else half of one. */
const WATCHED = process.env['FILM'] === 'long' ? 600 : 30;

/** Rows of the job that is played. */
const ROWS = 40;

/** Script of each frame while the making of a job with 40 features is played, and what memory it takes over the time. */
export async function filmFrames(url: string): Promise<void> {
  const browser = await browse();
  const page = await browser.newPage();
  await page.goto(`${url}/jobs`, { waitUntil: 'networkidle0' });
  const cell = (text: string) => ({ text, units: 'mm' as const });
  const blank = blankJob('forty', 'mm');
  const outside = Array.from({ length: ROWS }, (_, i) => ({ id: `s${String(i)}`, size: cell(String(20 + i)), length: cell('3') }));
  await put(page, [['job/forty', record('forty', { ...blank, drawing: { ...blank.drawing, outside } })]]);
  await page.goto(`${url}/jobs/forty/route`, { waitUntil: 'networkidle0' });
  await page.waitForSelector('.ops tr[data-step]', { timeout: 30_000 });
  await page.evaluate(() => [...document.querySelectorAll('button')].find((b) => b.innerText.trim() === 'play')?.click());
  await page.waitForFunction(() => (document.querySelector('[data-testid="film-said"]')?.textContent ?? '') !== '', { timeout: 30_000 });
  await page.select('[aria-label="how fast"]', '200');
  await page.evaluate(() => {
    const raf = window.requestAnimationFrame.bind(window);
    const w = window as unknown as { frames: number[] };
    w.frames = [];
    // every frame that the film asks for is timed
    window.requestAnimationFrame = (work) =>
      raf((now) => {
        const from = performance.now();
        work(now);
        w.frames.push(performance.now() - from);
      });
  });
  const before = (await page.metrics()).JSHeapUsedSize ?? 0;
  const times = await watched(page, WATCHED);
  const heap = (await page.metrics()).JSHeapUsedSize ?? 0;
  report(`script a frame of the film, ${String(times.length)} frames in ${String(WATCHED)} s`, times, 8);
  console.log(`memory before it ${(before / 1e6).toFixed(1)} MB, after it ${(heap / 1e6).toFixed(1)} MB`);
  await page.click('.film-rule [aria-keyshortcuts="v"]');
  await page.waitForSelector('.film canvas');
  const solid = await watched(page, 20);
  report(`the same as a solid, ${String(solid.length)} frames in 20 s`, solid, 8);
  await browser.close();
}

/** Seconds in one call of the page: a call that lasts longer is given up. */
const SLICE = 20;

/** The film played for so long, begun again where it ends. @returns script of each frame, ms */
async function watched(page: Page, seconds: number): Promise<readonly number[]> {
  const frames: number[] = [];
  for (let gone = 0; gone < seconds; gone += SLICE)
    frames.push(
      ...(await page.evaluate(
        async (slice: number) => {
          const press = () => document.querySelector<HTMLButtonElement>('[aria-label="play"]')?.click();
          const end = performance.now() + slice * 1000;
          while (performance.now() < end) {
            press();
            await new Promise((resolve) => setTimeout(resolve, 250));
          }
          const w = window as unknown as { frames: number[] };
          return w.frames.splice(0);
        },
        Math.min(SLICE, seconds - gone),
      )),
    );
  return frames;
}
