/* The commands as they are started, and what the page costs to open. */
import { spawnSync } from 'node:child_process';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import type { Browser } from 'puppeteer-core';
import { demoUrl, freshPage, root, sees, serve, sharedBrowser } from './harness';

describe('the server', () => {
  it('takes the next port when the wanted one is taken, says where it is, and stops cleanly', async () => {
    const other = createServer();
    const taken = await new Promise<number>((resolve) => other.listen(0, () => resolve((other.address() as AddressInfo).port)));
    const server = await serve({ port: taken });
    expect(server.url).not.toBe(`http://localhost:${String(taken)}`);
    expect((await fetch(`${server.url}/healthz`)).status).toBe(200);
    expect(await server.stop()).toBe(0);
    other.close();
  });

  it('finds its packages already there when it is started again', () => {
    const again = spawnSync(process.execPath, ['scripts/ensure-deps.mjs'], { cwd: root, encoding: 'utf8' });
    expect(again.status).toBe(0);
  });
});

describe('the first screen', () => {
  let browser: Browser;
  beforeAll(async () => {
    browser = await sharedBrowser();
  });
  afterAll(() => browser.disconnect());

  it('asks for nothing from elsewhere, and for less than 300 kB', async () => {
    const { page, close } = await freshPage(browser, 'about:blank');
    const asked: { url: string; bytes: number }[] = [];
    page.on('response', (response) => {
      void response.buffer().then(
        (body) => asked.push({ url: response.url(), bytes: response.url().endsWith('woff2') ? body.length : gzipSync(body).length }),
        () => undefined,
      );
    });
    await page.goto(demoUrl(), { waitUntil: 'networkidle0' });
    await sees(page, 'Samples');
    expect(asked.filter(({ url }) => !url.startsWith(demoUrl()) && !url.startsWith('data:') && !url.startsWith('blob:'))).toEqual([]);
    const bytes = asked.reduce((sum, a) => sum + a.bytes, 0);
    expect(asked.length).toBeGreaterThan(5);
    expect(bytes).toBeLessThan(300_000);
    await close();
  });
});

/* What serves which page: what is here is what docs/maintaining.md says. A package that came in elsewhere is noticed. */
describe('what a page loads', () => {
  const packages = () => JSON.parse(readFileSync(join(root, 'web', 'dist', 'packages.json'), 'utf8')) as Readonly<Record<string, readonly string[]>>;
  const watched = [
    '@dnd-kit/core',
    '@hookform/resolvers',
    '@tanstack/react-table',
    '@tanstack/react-virtual',
    'd3-zoom',
    'date-fns',
    'echarts',
    'minisearch',
    'papaparse',
    'react-dropzone',
    'react-hook-form',
  ];
  const table = ['@tanstack/react-table', '@tanstack/react-virtual', 'date-fns', 'minisearch', 'papaparse', 'react-dropzone'];
  let browser: Browser;
  beforeAll(async () => {
    browser = await sharedBrowser();
  });
  afterAll(() => browser.disconnect());

  it.each([
    ['/', 'Samples', []],
    ['/dial', 'What do I dial', []],
    ['/handbook', 'Handbook', []],
    ['/jobs', 'import a job file', table],
    ['/logbook', 'Backup', table],
    ['/shop/tools', 'add a tool', ['@dnd-kit/core', '@hookform/resolvers', ...table.filter((p) => p !== 'date-fns'), 'react-hook-form']],
    [
      '/jobs/sheave-axle/drawing',
      'edge to A',
      ['@dnd-kit/core', '@hookform/resolvers', ...table.filter((p) => p !== 'react-dropzone'), 'react-hook-form'],
    ],
  ])('%s', async (path, words, more) => {
    const of = packages();
    const { page, close } = await freshPage(browser, 'about:blank');
    const loaded = new Set<string>();
    page.on('response', (response) => {
      for (const name of of[new URL(response.url()).pathname.slice(1)] ?? []) loaded.add(name);
    });
    await page.goto(`${demoUrl()}${path}`, { waitUntil: 'networkidle0' });
    await sees(page, words);
    expect(watched.filter((name) => loaded.has(name))).toEqual(more);
    await close();
  });
});
