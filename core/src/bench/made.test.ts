/* A change after something was done: a done step is done as long as what it made is what is wanted (common practice). */
import type { Entry, Job } from '../document';
import { issued, plan, type Plan } from '../planner';
import { jobOf } from '../planner/demo.fixture';
import { writeSentence } from '../quantity';
import { midShop } from '../shop';
import { benchState } from './benchState';
import { madeBy } from './made';

const shop = midShop();
const given = (line: string): { readonly job: Job; readonly made: Plan } => {
  const job = jobOf(line);
  const route = plan(job, shop).routes[0];
  if (!route) throw new Error('no route');
  const out = issued(job, route, shop, '2026-11-28T08:00:00.000Z', '0');
  return { job: out, made: plan(out, shop) };
};
let n = 0;
/** Everything done up to a step, with what it made. */
function doneUpTo(of: Plan, last: string): readonly Entry[] {
  const steps = of.routes[0]?.setups.flatMap((s) => s.steps) ?? [];
  return steps.slice(0, steps.findIndex((s) => s.id === last) + 1).map((step): Entry => {
    const made = madeBy(step, of);
    const at = new Date(Date.UTC(2026, 10, 28, 8, 0, ++n)).toISOString();
    return { id: `d${String(n)}`, at, by: 'me', piece: 1, step: step.id, kind: 'done', ...(made && { made }) };
  });
}
const told = (line: string, after: string, last: string) => {
  const before = given(line);
  const now = given(after);
  const state = benchState(now.job, now.made, doneUpTo(before.made, last));
  return state.outdated.map((o) => `${o.step} ${o.again ? 'again' : 'gone'}: ${writeSentence(o.says, 'mm')}`);
};

it('a facing finished at the old length is not the new one: 4.8 short cannot be, longer is open again', () => {
  expect(told('16 x 20; 24 x 30', '16 x 20; 24 x 30', 'face@left')).toEqual([]);
  expect(told('16 x 20; 24 x 30', '16 x 20; 24 x 34.8', 'face@left').join()).toMatch(/face@left gone: .*4\.8 mm short/);
  expect(told('16 x 20; 24 x 30', '16 x 20; 24 x 28', 'face@left').join()).toMatch(/face@left again: .*2 mm more to come off/);
});

it('a diameter turned already is open again where it is to be smaller, and gone where it is to be larger', () => {
  expect(
    told('16 x 20; 24 x 30', '15 x 20; 24 x 30', 'finish-turn@r1').length + told('16 x 20; 24 x 30', '15 x 20; 24 x 30', 'finish-turn@s1').length,
  ).toBeGreaterThan(0);
  const ids = given('16 x 20; 24 x 30').made.part.features.map((f) => f.id);
  const step = `finish-turn@${ids[0] ?? ''}`;
  expect(told('16 x 20; 24 x 30', '15 x 20; 24 x 30', step).join()).toMatch(/again: it was made Ø16\.000 mm; Ø15\.000 mm is wanted/);
  expect(told('16 x 20; 24 x 30', '17 x 20; 24 x 30', step).join()).toMatch(/gone: .*the metal is gone/);
  // a shoulder farther from the face is cut on; nearer to it the metal is gone
  expect(told('16 x 20; 24 x 30', '16 x 25; 24 x 30', step).join()).toMatch(/again/);
  expect(told('16 x 20; 24 x 30', '16 x 15; 24 x 30', step).join()).toMatch(/gone/);
});

it('what is open again is where the Bench stands; an entry of an earlier Obra, without what it made, stays done', () => {
  const before = given('16 x 20; 24 x 30');
  const now = given('15 x 20; 24 x 30');
  const step = `finish-turn@${before.made.part.features[0]?.id ?? ''}`;
  const log = doneUpTo(before.made, step);
  const state = benchState(now.job, now.made, log);
  expect(state.done.has(`1/${step}`)).toBe(false);
  const old = log.map((e) => (e.kind === 'done' ? { ...e, made: undefined } : e)) as readonly Entry[];
  expect(benchState(now.job, now.made, old).outdated).toEqual([]);
});

it('a piece that was scrapped is asked nothing more', () => {
  const before = given('16 x 20; 24 x 30');
  const now = given('16 x 20; 24 x 34.8');
  const log = doneUpTo(before.made, 'face@left');
  const scrapped: Entry = { id: 'gone', at: '2026-11-28T09:00:00.000Z', by: 'me', piece: 1, step: 'face@left', kind: 'scrapped', why: 'short' };
  expect(benchState(now.job, now.made, log).outdated).not.toEqual([]);
  expect(benchState(now.job, now.made, [...log, scrapped]).outdated).toEqual([]);
});
