import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { blankDrawing, blankJob, type Job, parseJobFile, parseShop, type Shop } from '../document';
import { readLine } from '../drawing';
import type { Units } from '../quantity';
import { startingShop } from '../shop';

/* For tests only: the demo shop and jobs, and jobs typed on one line. */
const read = (name: string): unknown =>
  JSON.parse(readFileSync(join(typeof __dirname === 'string' ? __dirname : import.meta.dirname, '..', '..', '..', 'demo', name), 'utf8'));

export function demoShop(): Shop {
  const parsed = parseShop(read('shop.json'));
  if (!parsed.ok) throw new Error('the demo shop does not parse');
  return parsed.value;
}

export function demoJob(name: string): Job {
  const parsed = parseJobFile(read(`${name}.json`));
  if (!parsed.ok) throw new Error(`${name} does not parse`);
  return parsed.value.job;
}

export const demoNames = [
  'sheave-axle',
  'pintle-pin',
  'mast-dowel',
  'windlass-spindle',
  'chainplate-ring',
  'rudder-shaft',
  'worn-tiller-pin',
] as const;

export function jobOf(line: string, units: Units = 'mm', more: Partial<Job> = {}): Job {
  const drawing = readLine(line, units);
  if (!drawing.ok) throw new Error(line);
  return { ...blankJob('typed', units), drawing: { ...blankDrawing(), ...drawing.value }, ...more };
}

/** Every job that a plan is tried on, with the shop it is planned in. */
export const planned: readonly (readonly [name: string, job: Job, shop: Shop])[] = [
  ...demoNames.map((name) => [name, demoJob(name), demoShop()] as const),
  ['bolt', jobOf('M12 x 18; 19 h7 x 25; 25 x 38'), demoShop()],
  ['stud in inches', jobOf('1/2-13 x 3/4; 3/4 -.001 x 1; 1 x 1-1/2', 'in'), startingShop()],
  ['dowel with a collar', jobOf('16 g6 x 30; 32 x 12; 20 +/-0.05 x 15'), demoShop()],
  ['neck between shoulders', jobOf('20 x 15; 14 x 8; 20 x 15'), demoShop()],
  ['slender', jobOf('8 h7 x 150'), demoShop()],
  ['bar as drawn', jobOf('25 x 60'), demoShop()],
  ['washer', jobOf('38 x 4'), demoShop()],
];
