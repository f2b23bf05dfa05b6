/* The commands as they are started, and what the page costs to open. */
import { spawnSync } from 'node:child_process';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
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
