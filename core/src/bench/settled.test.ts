import type { Entry } from '../document';
import { inspect } from '../inspection';
import { issued, plan } from '../planner';
import { demoShop, jobOf } from '../planner/demo.fixture';
import { settled } from './settled';

const shop = demoShop();
const drawn = jobOf('19 h7 x 30; 25 x 20');
const [route] = plan(drawn, shop).routes;
if (!route) throw new Error('no route');
const job = issued(drawn, route, shop, '2026-11-02T07:00:00.000Z', 'test');
const made = plan(job, shop);
const step = made.routes[0]?.setups.flatMap((s) => s.steps).find((s) => s.verb === 'finish-turn');
if (!step) throw new Error('no finish');
const of = step.does[0] ?? '';
const line = (id: string) => ({ id, at: `2026-11-02T08:00:0${id}.000Z`, by: 'me', piece: 1 });
const read = (id: string, text: string, at: string | null): Entry => ({
  ...line(id),
  step: at,
  kind: 'reading',
  of,
  value: { text, units: 'mm' },
  gauge: 'mic-0-25',
});
const counted = (...log: readonly Entry[]) => settled(inspect(made.part, shop, log), job, made, log).map((v) => v.of);

it('a reading on the way to size is counted when its step is done, not before, wherever it lies', () => {
  const done: Entry = { ...line('5'), step: step.id, kind: 'done' };
  expect(counted(read('1', '19.6', step.id))).toEqual([]);
  expect(counted(read('1', '19.6', step.id), read('2', '18.99', step.id))).toEqual([]);
  expect(counted(read('1', '19.6', step.id), read('2', '18.99', step.id), done)).toEqual([of]);
});

it('one written down at inspection counts at once; so do all of a job that is not at the Bench', () => {
  expect(counted(read('1', '18.99', null))).toEqual([of]);
  const log = [read('1', '19.6', step.id)];
  expect(settled(inspect(made.part, shop, log), drawn, made, log)).toHaveLength(1);
});
