import { type ChildProcess, spawn } from 'node:child_process';
import { existsSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import puppeteer, { type Browser, type Page } from 'puppeteer-core';

const root = join(typeof __dirname === 'string' ? __dirname : import.meta.dirname, '..', '..');

export const chromium = (): string =>
  ['/usr/bin/chromium', '/usr/bin/chromium-browser', '/usr/bin/google-chrome'].find((path) => existsSync(path)) ?? 'chromium';

export const FLAGS = [
  '--headless',
  '--no-sandbox',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];

export interface Served {
  readonly url: string;
  readonly stop: () => Promise<number | null>;
}

/** What `start` began and `stop` ends. */
export interface Running {
  readonly browser: Browser;
  readonly servers: readonly Served[];
}

/** The browser shared by all journeys. */
export async function sharedBrowser(): Promise<Browser> {
  return puppeteer.connect({ browserWSEndpoint: process.env['OBRA_BROWSER'] ?? '', defaultViewport: null });
}

export const demoUrl = (): string => process.env['OBRA_DEMO'] ?? '';
export const emptyUrl = (): string => process.env['OBRA_EMPTY'] ?? '';

/** Starts the real server on a free port. */
export function serve(...args: readonly string[]): Promise<Served> {
  const child: ChildProcess = spawn(process.execPath, ['--import', 'tsx', join(root, 'server', 'src', 'main.ts'), ...args], {
    cwd: root,
    env: { ...process.env, PORT: '0' },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const stop = () =>
    new Promise<number | null>((resolve) => {
      child.once('exit', (code) => resolve(code));
      child.kill('SIGTERM');
    });
  return new Promise((resolve, reject) => {
    let said = '';
    child.stdout?.on('data', (chunk: Buffer) => {
      said += chunk.toString();
      const url = /http:\/\/localhost:\d+/.exec(said)?.[0];
      if (url !== undefined) resolve({ url, stop });
    });
    child.once('exit', () => reject(new Error(`the server ended: ${said}`)));
  });
}

export async function browse(profile?: string): Promise<Browser> {
  return puppeteer.launch({
    executablePath: chromium(),
    args: FLAGS,
    ...(profile !== undefined && { userDataDir: profile }),
    defaultViewport: { width: 1280, height: 800 },
  });
}

export function makeProfile(): { readonly dir: string; readonly remove: () => void } {
  const dir = mkdtempSync(join(tmpdir(), 'obra-'));
  return { dir, remove: () => rmSync(dir, { recursive: true, force: true, maxRetries: 5 }) };
}

/** A fresh page with its own storage; what the console or the page complains of is collected. */
export async function freshPage(
  browser: Browser,
  url: string,
  width = 1280,
  height = 800,
): Promise<{ readonly page: Page; readonly complaints: string[]; readonly close: () => Promise<void> }> {
  const context = await browser.createBrowserContext();
  const page = await context.newPage();
  await page.setViewport({ width, height });
  const complaints: string[] = [];
  page.on('pageerror', (error) => complaints.push(String(error)));
  page.on('console', (message) => {
    if (message.type() === 'error') complaints.push(message.text());
  });
  await page.goto(url, { waitUntil: 'networkidle0' });
  return { page, complaints, close: () => context.close() };
}

/** Waits until the page's text holds these words. */
export async function sees(page: Page, words: string, timeout = 8000): Promise<void> {
  try {
    await page.waitForFunction((w: string) => document.body.innerText.includes(w), { timeout }, words);
  } catch {
    throw new Error(`“${words}” is not on the page: ${(await page.evaluate(() => document.body.innerText)).slice(0, 1500)}`);
  }
}

/** Presses the button or link that carries these words. */
export async function press(page: Page, words: string): Promise<void> {
  const handle = await page
    .waitForFunction(
      (w: string) =>
        [...document.querySelectorAll<HTMLElement>('button, a, [role="button"]')].find(
          (e) => (e.innerText.trim() === w || e.getAttribute('aria-label') === w) && e.offsetParent !== null && !(e as HTMLButtonElement).disabled,
        ),
      { timeout: 8000 },
      words,
    )
    .catch(() => {
      throw new Error(`no button “${words}”`);
    });
  await (handle as unknown as { click: () => Promise<void> }).click();
}

/** Types into the cell with this label, in place of what is there. */
export async function fill(page: Page, label: string, text: string): Promise<void> {
  const cell = await page.waitForSelector(`::-p-aria([name="${label}"])`, { timeout: 8000 });
  await cell?.click({ count: 3 });
  await page.keyboard.press('Backspace');
  await cell?.type(text);
}

/** What the big number of the advice says. */
export async function advice(page: Page): Promise<{ readonly next: string; readonly text: string }> {
  await page.waitForSelector('[data-testid="advice"]', { timeout: 8000 });
  return page.$eval('[data-testid="advice"]', (e) => ({ next: (e as HTMLElement).dataset['next'] ?? '', text: (e as HTMLElement).innerText }));
}

export async function saved(page: Page): Promise<void> {
  await page.waitForFunction(() => document.querySelector('[data-testid="saved"]')?.textContent === 'saved', { timeout: 8000 });
}
