import { type ChildProcess, spawn } from 'node:child_process';
import { existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import puppeteer, { type Browser, type Page } from 'puppeteer-core';

export const root = join(typeof __dirname === 'string' ? __dirname : import.meta.dirname, '..', '..');

const CHROMIUM = ['/usr/bin/chromium', '/usr/bin/chromium-browser', '/usr/bin/google-chrome'];
const SHELL = '/usr/bin/chromium-headless-shell';

/** The browser to start: its headless shell asks half the work of a journey, and keeps no profile. */
const chromium = (keeps: boolean): string => (keeps ? CHROMIUM : [SHELL, ...CHROMIUM]).find((path) => existsSync(path)) ?? 'chromium';

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

/** Starts the real server, on a free port unless one is wanted. */
export function serve({
  demo = false,
  instruments = false,
  port = 0,
  page,
}: { readonly demo?: boolean | 'at work'; readonly instruments?: boolean; readonly port?: number; readonly page?: string } = {}): Promise<Served> {
  const offered = demo === 'at work' ? ['--demo'] : demo ? ['--demo-drawn'] : [];
  const args = [
    '--import',
    'tsx',
    join(root, 'server', 'src', 'main.ts'),
    ...offered,
    ...(instruments ? ['--instruments'] : []),
    ...(page === undefined ? [] : ['--page', page]),
  ];
  const child: ChildProcess = spawn(process.execPath, args, {
    cwd: root,
    env: { ...process.env, PORT: String(port) },
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
    executablePath: chromium(profile !== undefined),
    args: FLAGS,
    ...(profile !== undefined && { userDataDir: profile }),
    defaultViewport: { width: 1280, height: 800 },
  });
}

export function makeProfile(): { readonly dir: string; readonly remove: () => void } {
  const dir = mkdtempSync(join(tmpdir(), 'obra-'));
  return { dir, remove: () => rmSync(dir, { recursive: true, force: true, maxRetries: 5 }) };
}

/** How long a page may take to show what is waited for, ms: a machine that others use too stands still for seconds. */
const PATIENCE = 60_000;

/** A fresh page with its own storage; what the console or the page complains of is collected. */
export async function freshPage(
  browser: Browser,
  url: string,
  width = 1280,
  height = 800,
): Promise<{ readonly page: Page; readonly complaints: string[]; readonly close: () => Promise<void> }> {
  const context = await browser.createBrowserContext();
  const page = await context.newPage();
  page.setDefaultTimeout(PATIENCE);
  await page.setViewport({ width, height });
  // a page with something not stored asks before it is left
  page.on('dialog', (dialog) => void dialog.accept());
  const complaints: string[] = [];
  page.on('pageerror', (error) => complaints.push(String(error)));
  page.on('console', (message) => {
    if (message.type() === 'error') complaints.push(message.text());
  });
  await page.goto(url, { waitUntil: 'networkidle0' });
  return { page, complaints, close: () => context.close() };
}

/** A page of its own store for each test of a file; afterwards nothing was complained of. Opened at the demo. */
export function pageForEach(): { readonly page: Page } {
  let browser: Browser;
  let open: Awaited<ReturnType<typeof freshPage>>;
  beforeAll(async () => {
    browser = await sharedBrowser();
  });
  beforeEach(async () => {
    open = await freshPage(browser, demoUrl());
  });
  afterEach(async () => {
    const { complaints, close } = open;
    await close();
    expect(complaints).toEqual([]);
  });
  afterAll(() => browser.disconnect());
  return {
    get page() {
      return open.page;
    },
  };
}

/** Waits until the page's text holds these words. */
export async function sees(page: Page, words: string): Promise<void> {
  try {
    await page.waitForFunction((w: string) => document.body.innerText.includes(w), { polling: 100 }, words);
  } catch {
    throw new Error(`“${words}” is not on the page: ${(await page.evaluate(() => document.body.innerText)).slice(0, 1500)}`);
  }
}

/** Presses the button or link that carries these words. */
export const press = (page: Page, words: string): Promise<void> => onWords(page, words, 'click');

/** Taps it, as a finger does. */
export const tap = (page: Page, words: string): Promise<void> => onWords(page, words, 'tap');

/** A page that is drawn anew between the finding and the pressing lets go of what was found: it is looked for again. */
async function onWords(page: Page, words: string, act: 'click' | 'tap', tries = 3): Promise<void> {
  const handle = await page
    .waitForFunction(
      (w: string) =>
        [...document.querySelectorAll<HTMLElement>('button, a, [role="button"]')].find(
          (e) =>
            ((e.innerText as string | undefined)?.trim() === w || e.getAttribute('aria-label') === w) &&
            e.offsetParent !== null &&
            !(e as HTMLButtonElement).disabled,
        ),
      {},
      words,
    )
    .catch(() => {
      throw new Error(`no button “${words}”`);
    });
  if (page.url().includes('/bench')) await settle();
  try {
    await (handle as unknown as Record<typeof act, () => Promise<void>>)[act]();
  } catch (error) {
    if (tries <= 1 || !String(error).includes('detached')) throw error;
    await onWords(page, words, act, tries - 1);
  }
}

/** Shows a column of the drawing that nobody uses yet. */
export async function showColumn(page: Page, words: 'edges' | 'finish' | 'note'): Promise<void> {
  await press(page, 'columns');
  await press(page, words);
}

/** Types into the cell with this label, in place of what is there. */
export async function fill(page: Page, label: string, text: string): Promise<void> {
  const cell = await page.waitForSelector(`::-p-aria([name="${label}"][role="textbox"])`);
  await cell?.click({ count: 3 });
  await page.keyboard.press('Backspace');
  await cell?.type(text);
}

/** Waits until the cursor stands in an empty cell of this column. */
export async function inEmpty(page: Page, column: string): Promise<void> {
  await page.waitForFunction(
    (c: string) =>
      (document.activeElement as HTMLElement | null)?.dataset['cell']?.endsWith(`.${c}`) === true &&
      (document.activeElement as HTMLInputElement).value === '',
    {},
    column,
  );
}

/** What the big number of the advice says. */
export async function advice(page: Page): Promise<{ readonly next: string; readonly text: string }> {
  await page.waitForSelector('[data-testid="advice"]');
  return page.$eval('[data-testid="advice"]', (e) => ({ next: (e as HTMLElement).dataset['next'] ?? '', text: (e as HTMLElement).innerText }));
}

export async function saved(page: Page): Promise<void> {
  await page.waitForFunction(() => document.querySelector('[data-testid="saved"]')?.textContent === 'saved');
}

/** A folder that downloads of this page go to, and how to wait for the next one. */
export async function downloads(page: Page): Promise<{ readonly next: () => Promise<string>; readonly remove: () => void }> {
  const { dir, remove } = makeProfile();
  const session = await page.createCDPSession();
  await session.send('Browser.setDownloadBehavior', { behavior: 'allow', downloadPath: dir, browserContextId: page.browserContext().id ?? '' });
  const seen = new Set<string>();
  const next = async (): Promise<string> => {
    for (let tries = 0; tries < 80; tries++) {
      const name = readdirSync(dir).find((file) => !seen.has(file) && !file.endsWith('.crdownload'));
      if (name !== undefined) {
        seen.add(name);
        return join(dir, name);
      }
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
    throw new Error('nothing was downloaded');
  };
  return { next, remove };
}

/** What the browser holds under its own database, by key; read behind the back of the page. */
export function stored(page: Page): Promise<Record<string, unknown>> {
  return page.evaluate(
    () =>
      new Promise<Record<string, unknown>>((resolve, reject) => {
        const open = indexedDB.open('obra');
        open.onerror = () => reject(new Error('no database'));
        open.onsuccess = () => {
          const store = open.result.transaction('records').objectStore('records');
          const keys = store.getAllKeys();
          const values = store.getAll();
          values.onsuccess = () => {
            // summaries come and go by themselves: they hold nothing that a person put in
            const all = keys.result.map((key, i) => [key as string, values.result[i] as unknown] as const);
            resolve(Object.fromEntries(all.filter(([key]) => !key.startsWith('sum/'))));
            open.result.close();
          };
        };
      }),
  );
}

/** Follows a job of the list to one of its stages. */
export async function goTo(page: Page, url: string, path: string, words: string): Promise<void> {
  await page.goto(url + path, { waitUntil: 'load' });
  await sees(page, words);
}

/** Waits until a card of the Bench takes a press: one that comes sooner after it was drawn is taken for a bounce. */
export const settle = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, 300));

/** Presses the one big key of the Bench; a plain size that waits for its reading is done by the dial. */
export async function pressNext(page: Page): Promise<void> {
  await settle();
  const byDial = await page.$('[data-testid="by-dial"]');
  await (byDial ? byDial.click() : page.click('[data-testid="next"]'));
}

/** Where the Bench stands. */
export function stepNumber(page: Page): Promise<string> {
  return page.$eval('[data-testid="step-number"]', (e) => e.textContent);
}

/** Waits until the Bench has moved off a step. */
export async function movedOn(page: Page, from: string): Promise<void> {
  await page.waitForFunction((was: string) => document.querySelector('[data-testid="step-number"]')?.textContent !== was, { polling: 100 }, from);
}

/** Goes on at the Bench until the step with these words stands there. */
export async function untilStep(page: Page, words: string): Promise<void> {
  await page.waitForSelector('[data-testid="step-number"]');
  for (let i = 0; i < 40; i++) {
    if ((await page.$eval('.bench h1', (e) => e.textContent)).includes(words)) return;
    const at = await stepNumber(page);
    await pressNext(page);
    await movedOn(page, at);
  }
  throw new Error(`the Bench never came to “${words}”`);
}

/** Types a reading at the Bench and keeps it; `celsius` when the piece is warm. */
export async function enterReading(page: Page, text: string, celsius?: string): Promise<void> {
  const before = await page.$eval('[data-testid="advice"]', (e) => e.textContent);
  await page.focus('#reading');
  if (celsius !== undefined) {
    await page.keyboard.press('t');
    await page.keyboard.type(celsius);
    await page.keyboard.press('t');
  }
  await page.$eval('#reading', (e) => (e as HTMLInputElement).select());
  await page.keyboard.type(text);
  await settle();
  await page.keyboard.press('Enter');
  await page.waitForFunction((was: string) => document.querySelector('[data-testid="advice"]')?.textContent !== was, { polling: 100 }, before);
}

/** Says that the advised cut was taken. */
export async function takeCut(page: Page): Promise<void> {
  await pressNext(page);
  await page.waitForSelector('[data-testid="advice"][data-next="measure"]');
}

/** Taps a reading in on the pad, key by key, over what stands there. */
export async function tapNumber(page: Page, text: string): Promise<void> {
  while ((await page.$eval('#reading', (e) => (e as HTMLInputElement).value)) !== '') await tap(page, 'rub out');
  await tapDigits(page, text);
}

/** Taps keys of the pad: a piece on the board has a number too. */
export async function tapDigits(page: Page, text: string): Promise<void> {
  for (const digit of text) {
    const key = await page.waitForSelector(`.pad button[aria-label="${digit}"]`);
    await key?.tap();
  }
}
