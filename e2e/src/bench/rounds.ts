import type { Page } from 'puppeteer-core';
import { browse } from '../harness';

/** Rounds through all screens: 200, or as many as ROUNDS says. */
const ROUNDS = Number(process.env['ROUNDS'] ?? 200);
/** The doors, and the stages of a job, as a person goes through them: without loading the page anew. */
const DOORS = ['/jobs', '/shop', '/handbook', '/practice', '/logbook'] as const;
const STAGES = ['drawing', 'holding', 'route', 'bench', 'inspection'] as const;

interface Snapshot {
  readonly snapshot: { readonly meta: { readonly node_fields: readonly string[]; readonly node_types: readonly [readonly string[], ...unknown[]] } };
  readonly nodes: readonly number[];
}

/** What the page holds after garbage is collected, bytes: all of it, and without what the browser compiled of its code. */
async function heap(page: Page): Promise<{ readonly all: number; readonly data: number }> {
  const session = await page.createCDPSession();
  await session.send('HeapProfiler.collectGarbage');
  const all = (await page.metrics()).JSHeapUsedSize ?? NaN;
  const parts: string[] = [];
  session.on('HeapProfiler.addHeapSnapshotChunk', ({ chunk }) => parts.push(chunk));
  await session.send('HeapProfiler.takeHeapSnapshot', { reportProgress: false });
  await session.detach();
  const { snapshot, nodes } = JSON.parse(parts.join('')) as Snapshot;
  const { node_fields: fields, node_types: types } = snapshot.meta;
  const [kind, size] = [fields.indexOf('type'), fields.indexOf('self_size')];
  const code = types[0].indexOf('code');
  let data = 0;
  for (let at = 0; at < nodes.length; at += fields.length) if (nodes[at + kind] !== code) data += nodes[at + size] ?? 0;
  return { all, data };
}

/** Follows a link of the page; waits until what it leads to is drawn. */
const follow = (page: Page, to: string) =>
  page.evaluate(async (path: string) => {
    const link = [...document.querySelectorAll<HTMLAnchorElement>('a[href]')].find((a) => a.getAttribute('href')?.startsWith(path));
    link?.click();
    for (let i = 0; i < 60 && !location.pathname.startsWith(path); i++) await new Promise((resolve) => setTimeout(resolve, 20));
    await new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve, 30)));
  }, to);

/** Memory of the page after many rounds through all of its screens, against that after the first ones; garbage is collected before each look. */
export async function memoryOfRounds(url: string): Promise<void> {
  const browser = await browse();
  const page = await browser.newPage();
  await page.goto(`${url}/jobs`, { waitUntil: 'networkidle0' });
  const round = async () => {
    for (const door of DOORS) await follow(page, door);
    await follow(page, '/jobs');
    await follow(page, '/jobs/sheave-axle/');
    for (const stage of STAGES) await follow(page, `/jobs/sheave-axle/${stage}`);
    // the Bench has no doors in its head: by the stages and out again
    await follow(page, '/jobs/sheave-axle/drawing');
  };
  // where it still grows late it leaks; early on the browser compiles what is used often
  const looks = [2, 10, 50, ROUNDS / 2, ROUNDS];
  const seen: (readonly [rounds: number, held: Awaited<ReturnType<typeof heap>>])[] = [];
  for (let i = 1; i <= ROUNDS; i++) {
    await round();
    if (looks.includes(i)) seen.push([i, await heap(page)]);
  }
  const say = (what: string, of: (held: Awaited<ReturnType<typeof heap>>) => number) => {
    const mb = seen.map(([n, held]) => [n, of(held) / 1e6] as const);
    const [, first = NaN] = mb[0] ?? [];
    const [, last = NaN] = mb.at(-1) ?? [];
    console.log(`memory after rounds through all screens, ${what}: ${mb.map(([n, held]) => `${String(n)} ${held.toFixed(1)} MB`).join(', ')}`);
    console.log(`  the last against the first ${(last / first).toFixed(2)} times (aim 1.3)`);
  };
  say('all of it', (held) => held.all);
  say('without compiled code', (held) => held.data);
  await browser.close();
}
