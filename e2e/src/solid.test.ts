/* The part as a solid: turned, looked into, drawn without WebGL too, and out as STL with its flats and holes cut. */
import { readFileSync } from 'node:fs';
import type { Browser, Page } from 'puppeteer-core';
import { demoUrl, downloads, freshPage, goTo, press, sees, sharedBrowser } from './harness';
import { soundAt } from './layout';

let browser: Browser;
let page: Page;
let complaints: readonly string[];
let close: () => Promise<void>;

beforeAll(async () => {
  browser = await sharedBrowser();
  ({ page, complaints, close } = await freshPage(browser, demoUrl()));
  await goTo(page, demoUrl(), '/jobs/windlass-spindle/drawing', 'edge to A');
});

afterAll(async () => {
  await close();
  await browser.disconnect();
});

/** The picture in the canvas: how many of its colours are not the paper's, and a sum that tells two of them apart. */
const seen = (at: Page) =>
  at.evaluate(async () => {
    const canvas = document.querySelector<HTMLCanvasElement>('[data-testid="solid"] canvas');
    const image = new Image();
    image.src = canvas?.toDataURL() ?? '';
    await image.decode();
    const copy = document.createElement('canvas');
    [copy.width, copy.height] = [image.width, image.height];
    const context = copy.getContext('2d');
    context?.drawImage(image, 0, 0);
    const data = context?.getImageData(0, 0, copy.width, copy.height).data ?? new Uint8ClampedArray();
    const [r, g, b] = data;
    let [other, sum] = [0, 0];
    for (let i = 0; i < data.length; i += 4) {
      if (data[i] === r && data[i + 1] === g && data[i + 2] === b) continue;
      other++;
      sum = (sum * 31 + (data[i] ?? 0) + i) % 1_000_003;
    }
    return { other, sum };
  });
const shown = (at: Page, section: string) => at.waitForSelector(`canvas[data-shown="${section}"]`);

it('v shows it, arrows turn it, a quarter is taken out, v brings the section back; by keys alone', async () => {
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  await page.keyboard.press('v');
  await shown(page, 'whole');
  const first = await seen(page);
  expect(first.other).toBeGreaterThan(3000);
  await page.focus('[data-testid="solid"] canvas');
  await page.keyboard.press('ArrowLeft');
  const turned = await seen(page);
  expect(turned.sum).not.toBe(first.sum);
  await page.keyboard.press('Home');
  expect((await seen(page)).sum).toBe(first.sum);
  for (let i = 0; i < 2; i++) await page.keyboard.press('Tab');
  await page.keyboard.press('Space');
  await shown(page, 'quarter');
  expect((await seen(page)).sum).not.toBe(first.sum);
  await soundAt(page);
  await shown(page, 'quarter');
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  await page.keyboard.press('v');
  await page.waitForSelector('[data-testid="bar"] svg');
});

it('is turned by a finger or the mouse', async () => {
  await press(page, 'solid');
  await shown(page, 'whole');
  const before = await seen(page);
  const box = await (await page.$('[data-testid="solid"] canvas'))?.boundingBox();
  if (!box) throw new Error('no canvas');
  await page.mouse.move(box.x + 400, box.y + 100);
  await page.mouse.down();
  await page.mouse.move(box.x + 520, box.y + 120, { steps: 4 });
  await page.mouse.up();
  expect((await seen(page)).sum).not.toBe(before.sum);
});

it('goes out as STL as heavy as the slate says it is', async () => {
  const files = await downloads(page);
  await press(page, 'menu');
  await press(page, 'solid as STL');
  const text = readFileSync(await files.next(), 'utf8');
  await sees(page, 'holes are cut');
  const at = [...text.matchAll(/vertex (\S+) (\S+) (\S+)/g)].map((m) => [Number(m[1]), Number(m[2]), Number(m[3])]);
  let volume = 0;
  for (let i = 0; i < at.length; i += 3) {
    const [a = [], b = [], c = []] = at.slice(i, i + 3);
    const [ax = 0, ay = 0, az = 0, bx = 0, by = 0, bz = 0, cx = 0, cy = 0, cz = 0] = [...a, ...b, ...c];
    volume += (ax * (by * cz - bz * cy) + ay * (bz * cx - bx * cz) + az * (bx * cy - by * cx)) / 6;
  }
  const said = await page.evaluate(() => /([\d.]+)\s*kg\s+finished/.exec(document.querySelector('aside')?.innerText.replace(/\n/g, ' ') ?? '')?.[1]);
  // carbon steel, 7.85 g/cm3
  expect((volume * 7.85e-6) / Number(said)).toBeGreaterThan(0.995);
  expect((volume * 7.85e-6) / Number(said)).toBeLessThan(1.005);
  files.remove();
});

it('without WebGL it is drawn plainly, and turns', async () => {
  const bare = await freshPage(browser, demoUrl());
  await bare.page.evaluateOnNewDocument(() => {
    const own = Object.getOwnPropertyDescriptor(HTMLCanvasElement.prototype, 'getContext')?.value as (kind: string, ...rest: unknown[]) => unknown;
    Object.defineProperty(HTMLCanvasElement.prototype, 'getContext', {
      value(this: HTMLCanvasElement, kind: string, ...rest: unknown[]) {
        return kind.startsWith('webgl') ? null : own.call(this, kind, ...rest);
      },
    });
  });
  await goTo(bare.page, demoUrl(), '/jobs/windlass-spindle/drawing', 'edge to A');
  await press(bare.page, 'solid');
  await shown(bare.page, 'whole');
  await sees(bare.page, 'no WebGL');
  const first = await seen(bare.page);
  expect(first.other).toBeGreaterThan(3000);
  await bare.page.focus('[data-testid="solid"] canvas');
  await bare.page.keyboard.press('ArrowUp');
  expect((await seen(bare.page)).sum).not.toBe(first.sum);
  await bare.close();
});

it('the console stays silent but for what the driver says of itself', () => {
  expect(complaints.filter((c) => !/WebGL|GL Driver|GPU stall/.test(c))).toEqual([]);
});
