/* npm run bench: time of reading a drawing and of planning, cold start, transferred size. Aims stand beside; nothing fails here. */
import { blankJob, type Job, parseJob, parseShop, plan, readDrawing, type Section } from '@obra/core';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { Bench } from 'tinybench';
import { browse, root, serve } from './harness';

const demo = (name: string): unknown => JSON.parse(readFileSync(join(root, 'demo', `${name}.json`), 'utf8'));
const shop = parseShop(demo('shop'));
if (!shop.ok) throw new Error('the demo shop does not parse');

/** A shaft of 30 rows, up and down in steps, with fits, chamfers and a thread. */
function longShaft(): Job {
  const job = blankJob('30 rows', 'mm');
  const outside = Array.from({ length: 30 }, (_, i): Section => {
    const d = i < 15 ? 10 + i : 38 - i;
    const size = i === 0 ? 'M10' : i % 4 === 1 ? `${String(d)} h7` : String(d);
    return {
      id: `r${String(i)}`,
      size: { text: size, units: 'mm' },
      length: { text: i === 0 ? '20' : '8', units: 'mm' },
      ...(i === 14 && { far: { text: '0.3', units: 'mm' } }),
    };
  });
  return { ...job, drawing: { ...job.drawing, outside } };
}

const jobs: (readonly [string, Job])[] = ['sheave-axle', 'pintle-pin', 'mast-dowel'].map((name) => {
  const parsed = parseJob(demo(name));
  if (!parsed.ok) throw new Error(`${name} does not parse`);
  return [name, parsed.value] as const;
});
jobs.push(['30 rows', longShaft()]);

const ms = (value: number | undefined) => `${(value ?? NaN).toFixed(3)} ms`;
const bench = new Bench({ time: 1500, warmupTime: 300, retainSamples: true });
for (const [name, job] of jobs) {
  bench.add(`readDrawing ${name}`, () => void readDrawing(job.drawing));
  bench.add(`plan ${name}`, () => void plan(job, shop.value));
}
await bench.run();
console.log('aims: readDrawing of 30 rows under 2 ms, plan under 20 ms, first screen under 1 s and under 300 kB');
for (const task of bench.tasks) {
  const result = task.result as { latency?: { p50?: number; p75?: number; p99?: number; samples?: number[] } };
  const samples = [...(result.latency?.samples ?? [])].sort((a, b) => a - b);
  const p95 = samples.length > 0 ? samples[Math.floor(samples.length * 0.95)] : result.latency?.p99;
  console.log(`${task.name.padEnd(26)} median ${ms(result.latency?.p50)}  ${samples.length > 0 ? 'p95' : 'p99'} ${ms(p95)}`);
}

const server = await serve({ demo: true });
const starts: number[] = [];
let bytes = 0;
for (let i = 0; i < 9; i++) {
  const browser = await browse();
  const page = await browser.newPage();
  const session = await page.createCDPSession();
  await session.send('Network.enable');
  bytes = 0;
  session.on('Network.loadingFinished', (event) => {
    bytes += event.encodedDataLength;
  });
  const from = performance.now();
  await page.goto(server.url, { waitUntil: 'domcontentloaded' });
  await page.waitForSelector('.samples button');
  starts.push(performance.now() - from);
  await new Promise((resolve) => setTimeout(resolve, 700));
  await browser.close();
}
starts.sort((a, b) => a - b);
console.log(`cold start to first usable screen: median ${ms(starts[4])}, slowest of 9 ${ms(starts[8])}`);
console.log(`transferred at first screen: ${(bytes / 1000).toFixed(0)} kB as sent, headers and fonts included`);
await server.stop();
