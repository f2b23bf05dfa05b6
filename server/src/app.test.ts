import { spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { makeApp } from './app';

const dir = mkdtempSync(join(tmpdir(), 'obra-server-'));
const web = join(dir, 'web');
const demo = join(dir, 'demo');
const servers: Server[] = [];

function serve(withDemo: boolean): Promise<string> {
  const server = createServer(makeApp({ web, version: '0.1.0', ...(withDemo && { demo: [demo] }) }));
  servers.push(server);
  return new Promise((resolve) => {
    server.listen(0, () => resolve(`http://localhost:${String((server.address() as AddressInfo).port)}`));
  });
}

let bare = '';
let offering = '';

beforeAll(async () => {
  mkdirSync(join(web, 'assets'), { recursive: true });
  mkdirSync(demo);
  writeFileSync(join(web, 'index.html'), '<!doctype html><title>Obra</title>');
  writeFileSync(join(web, 'assets', 'app-1a2b.js'), `export const long = '${'x'.repeat(4000)}';`);
  writeFileSync(join(web, 'icon.svg'), '<svg/>');
  writeFileSync(join(demo, 'shop.json'), '{"obra":"shop"}');
  writeFileSync(join(demo, 'notes.txt'), 'not a demo file');
  [bare, offering] = await Promise.all([serve(false), serve(true)]);
});

afterAll(() => {
  for (const server of servers) server.close();
  rmSync(dir, { recursive: true });
});

describe('the page', () => {
  it.each(['/', '/jobs', '/jobs/sheave-axle/route', '/somewhere/else'])('%s is the page, asked for anew each time', async (path) => {
    const response = await fetch(bare + path);
    expect(response.status).toBe(200);
    expect(await response.text()).toContain('<title>Obra</title>');
    expect(response.headers.get('cache-control')).toContain('no-cache');
  });

  it('is the opening page as markup at the door alone, where the build has one', async () => {
    const other = join(dir, 'still');
    mkdirSync(other);
    writeFileSync(join(other, 'index.html'), '<title>app</title>');
    writeFileSync(join(other, 'opening.html'), '<title>opening</title>');
    const server = createServer(makeApp({ web: other, version: '0.1.0' }));
    servers.push(server);
    await new Promise<void>((resolve) => server.listen(0, resolve));
    const at = `http://localhost:${String((server.address() as AddressInfo).port)}`;
    const door = await fetch(`${at}/?from=home`);
    expect(await door.text()).toContain('opening');
    expect(door.headers.get('cache-control')).toContain('no-cache');
    expect(await (await fetch(`${at}/jobs`)).text()).toContain('app');
  });

  it('allows no script but its own, and does not force HTTPS in a workshop', async () => {
    const { headers } = await fetch(bare);
    const policy = headers.get('content-security-policy') ?? '';
    expect(policy).toContain("script-src 'self'");
    expect(/script-src[^;]*unsafe/.test(policy)).toBe(false);
    expect(policy).not.toContain('upgrade-insecure-requests');
    expect(headers.get('strict-transport-security')).toBeNull();
    expect(headers.get('x-content-type-options')).toBe('nosniff');
    expect(headers.get('x-powered-by')).toBeNull();
  });

  it('keeps named assets for a year, compressed, and the rest not at all', async () => {
    const asset = await fetch(`${bare}/assets/app-1a2b.js`, { headers: { 'accept-encoding': 'gzip' } });
    expect(asset.headers.get('cache-control')).toContain('immutable');
    expect(asset.headers.get('content-encoding')).toBe('gzip');
    expect((await fetch(`${bare}/icon.svg`)).headers.get('cache-control')).toContain('no-cache');
  });

  it.each(['/assets/gone-9f.js', '/gone.png', '/assets/../../package.json'])('%s is not there, and is not the page either', async (path) => {
    const response = await fetch(bare + path);
    expect(response.status).toBe(404);
    expect(await response.text()).not.toContain('<title>Obra</title>');
  });
});

describe('what the page asks the server', () => {
  it('is well, and says which version', async () => {
    expect(await (await fetch(`${bare}/healthz`)).json()).toEqual({ ok: true, version: '0.1.0' });
  });

  it('whether there is a demo', async () => {
    expect(await (await fetch(`${bare}/api/config`)).json()).toEqual({ demo: false, version: '0.1.0', instruments: false });
    expect(await (await fetch(`${offering}/api/config`)).json()).toEqual({ demo: true, version: '0.1.0', instruments: false });
    expect((await fetch(`${bare}/api/config`)).headers.get('cache-control')).toBe('no-store');
  });

  it('which files the demo has', async () => {
    expect(await (await fetch(`${bare}/api/demo`)).json()).toEqual({ files: [] });
    expect(await (await fetch(`${offering}/api/demo`)).json()).toEqual({ files: ['/api/demo/shop.json'] });
    expect(await (await fetch(`${offering}/api/demo/shop.json`)).json()).toEqual({ obra: 'shop' });
    expect((await fetch(`${bare}/api/demo/shop.json`)).status).toBe(404);
    expect((await fetch(`${bare}/api/other`)).status).toBe(404);
  });
});

describe('what cannot be answered', () => {
  it.each(['/%E0%A4%A', '/assets/%c0%ae.js', '/api/demo/%'])('%s is said without a path or a stack', async (path) => {
    const response = await fetch(bare + path);
    expect(response.status).toBeGreaterThanOrEqual(400);
    expect(await response.text()).not.toMatch(/ at |node_modules|[\\/](?:src|tmp|work)/);
  });

  it.each(['seven', '-1', '70000', '4173x'])('PORT %s is said in one sentence', (port) => {
    const done = spawnSync(process.execPath, ['--import', 'tsx', join(__dirname, 'main.ts')], {
      env: { ...process.env, PORT: port },
      encoding: 'utf8',
    });
    expect(done.status).toBe(1);
    expect(done.stderr.trim()).toBe(`PORT is “${port}”; it wants a number from 0 to 65535.`);
  });
});
