import { atSize, benchState } from '../bench';
import type { Entry } from '../document';
import { issued, plan } from '../planner';
import { demoJob, demoShop } from '../planner/demo.fixture';
import { writeExact } from '../quantity';
import { isRehearsal, rehearsalId, rehearsedReading } from './rehearse';

const shop = demoShop();
const drawn = demoJob('sheave-axle');
const [route] = plan(drawn, shop).routes;
if (!route) throw new Error('no route');
const job = issued(drawn, route, shop, '2026-11-02T08:00:00Z', 'test');
const made = plan(job, shop);
const step = made.routes[0]?.setups.flatMap((s) => s.steps).find((s) => s.id === 'finish-turn@s2');
if (!step) throw new Error('no step');
const at = (log: readonly Entry[]) => atSize({ job, shop, plan: made, log, step, piece: 1, advice: undefined }, undefined);
const reading = (log: readonly Entry[], id = 'axle') => rehearsedReading(job, at(log), { id, piece: 1, step: step.id });

it('the same log is the same metal, another job another one', () => {
  expect(reading([])).toEqual(reading([]));
  expect(reading([])?.mm).not.toBe(reading([], 'other')?.mm);
});

it('rehearsed by the advice it comes in, or is told to be short of it by what a dial sets', () => {
  const ends = Array.from({ length: 12 }, (_, k) => {
    const log: Entry[] = [];
    let n = 0;
    const put = (entry: object) =>
      log.push({
        id: `r-${String(++n)}`,
        at: new Date(Date.UTC(2026, 10, 2, 9, 3 * n)).toISOString(),
        by: 'me',
        piece: 1,
        step: step.id,
        ...entry,
      } as Entry);
    for (let i = 0; i < 14; i++) {
      const now = at(log);
      const { advice, sized } = now;
      if (!sized || !advice || advice.next === 'stop' || (advice.next === 'changeGauge' && advice.stands === 'in')) break;
      if (advice.dial && advice.next !== 'ask' && advice.next !== 'measure') {
        put({ kind: 'cut', axis: sized.axis, dial: { text: writeExact(advice.dial.value, 'mm'), units: 'mm' } });
        continue;
      }
      const told = rehearsedReading(job, now, { id: `axle-${String(k)}`, piece: 1, step: step.id });
      put({ kind: 'reading', of: sized.of, gauge: now.inHand, value: { text: String(told?.mm), units: 'mm' }, celsius: told?.celsius });
    }
    return at(log).advice?.stands;
  });
  expect(ends.filter((s) => s === 'in' || s === 'short').length).toBeGreaterThanOrEqual(10);
  expect(ends.filter((s) => s === 'in').length).toBeGreaterThanOrEqual(5);
});

it('nothing is read where nothing is measured', () => {
  const load = made.routes[0]?.setups[0]?.steps[0];
  if (!load) throw new Error('no step');
  const none = atSize({ job, shop, plan: made, log: [], step: load, piece: 1, advice: benchState(job, made, []).advice }, undefined);
  expect(rehearsedReading(job, none, { id: 'axle', piece: 1, step: load.id })).toBeUndefined();
});

it('is told by its name, whatever the job was called', () => {
  expect(isRehearsal(rehearsalId('sheave-axle'))).toBe(true);
  expect(isRehearsal('sheave-axle')).toBe(false);
  expect(rehearsalId('x'.repeat(60)).length).toBeLessThanOrEqual(40);
});
