import react from '@vitejs/plugin-react';
import { join } from 'node:path';
import { build } from 'vite';
import { browse, makeProfile, root, serve } from '../harness';
import { report, share } from './report';

/** How often each page is started cold, by turns: a machine that others use too is slow for both. */
const TIMES = 11;

interface Start {
  /** when each was there and the page was painted, ms after it was asked for, by the clock of the page */
  readonly there: readonly number[];
  /** what was sent for it, its headers and fonts included */
  readonly bytes: number;
}

/** One cold start in a browser of its own, until each of these is there. */
async function coldStart(url: string, wanted: readonly string[]): Promise<Start> {
  const browser = await browse();
  const page = await browser.newPage();
  const session = await page.createCDPSession();
  await session.send('Network.enable');
  let bytes = 0;
  session.on('Network.loadingFinished', (event) => {
    bytes += event.encodedDataLength;
  });
  await page.evaluateOnNewDocument((all: readonly string[]) => {
    const there: Record<string, number> = {};
    Object.assign(window, { there });
    new MutationObserver(() => {
      for (const one of all) if (document.querySelector(one)) there[one] ??= performance.now();
    }).observe(document, { childList: true, subtree: true });
  }, wanted);
  await page.goto(url, { waitUntil: 'load' });
  const last = wanted.at(-1) ?? '';
  await page.waitForFunction(
    (one: string) =>
      one in (window as unknown as { there: Record<string, number> }).there && performance.getEntriesByName('first-contentful-paint').length > 0,
    { polling: 100 },
    last,
  );
  const there = await page.evaluate(
    (all: readonly string[]) =>
      all.map((one) =>
        Math.max(
          (window as unknown as { there: Record<string, number> }).there[one] ?? NaN,
          performance.getEntriesByName('first-contentful-paint')[0]?.startTime ?? NaN,
        ),
      ),
    wanted,
  );
  // what is asked for at last comes in
  await new Promise((resolve) => setTimeout(resolve, 700));
  await browser.close();
  return { there, bytes };
}

/** Cold start of the first screen, beside that of a page that holds only the libraries it stands on, built and served as it is. */
export async function coldBesideBare(url: string): Promise<void> {
  const { dir, remove } = makeProfile();
  await build({
    root: join(root, 'e2e', 'bare'),
    configFile: false,
    logLevel: 'error',
    plugins: [react()],
    build: { outDir: dir, emptyOutDir: true, target: 'es2022' },
  });
  const server = await serve({ page: dir });
  const [own, bare]: [Start[], Start[]] = [[], []];
  for (let i = 0; i < TIMES; i++) {
    own.push(await coldStart(url, ['.samples button', '#root > .drops .samples button']));
    bare.push(await coldStart(server.url, ['#line']));
  }
  await server.stop();
  remove();
  const at = (starts: readonly Start[], k: number) => starts.map((s) => s.there[k] ?? NaN);
  const [seen, app, beside] = [at(own, 0), at(own, 1), at(bare, 0)];
  report('cold start to first screen', seen);
  report('cold start until the app stands in its place', app);
  report('a bare page of the same libraries', beside);
  const ratio = (times: readonly number[]) => (share(times, 0.5) / share(beside, 0.5)).toFixed(2);
  const kB = (starts: readonly Start[]) =>
    (
      share(
        starts.map((s) => s.bytes),
        0.5,
      ) / 1000
    ).toFixed(0);
  console.log(`  transferred: ${kB(own)} kB as sent, headers, fonts and the demo included; for the bare page ${kB(bare)} kB`);
  console.log(
    `the first screen takes ${ratio(seen)} times as long as the bare page (aim 1.5), ${share(seen, 0.5).toFixed(0)} ms (aim 1000 ms); the app in its place ${ratio(app)} times`,
  );
}
