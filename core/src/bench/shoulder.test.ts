/* A shoulder and the bottom of a bore with limits of their own are brought in along the bed after the diameter. Common practice. */
import { blankJob, type Entry, type Job, type Section } from '../document';
import { issued, plan } from '../planner';
import { demoShop } from '../planner/demo.fixture';
import { benchState } from './benchState';
import { shoulderOf } from './shoulder';

const shop = demoShop();
const mm = (text: string) => ({ text, units: 'mm' as const });
const row = (id: string, size: string, length: string): Section => ({ id, size: mm(size), length: mm(length) });
const jobOf = (outside: Section[], boreRight: Section[] = []): Job => {
  const blank = blankJob('Shoulder', 'mm');
  return { ...blank, drawing: { ...blank.drawing, outside, boreRight } };
};

function atStep(of: Job, id: string) {
  const [route] = plan(of, shop).routes;
  if (!route) throw new Error('no route');
  const out = issued(of, route, shop, '2026-11-02T08:00:00.000Z', '0.1.0');
  const made = plan(out, shop);
  const setup = made.routes[0]?.setups.find((s) => s.steps.some((x) => x.id === id));
  const step = setup?.steps.find((s) => s.id === id);
  if (!step || !setup) throw new Error(`no ${id}`);
  let n = 0;
  const line = (own: string) => ({ id: `h${String(++n)}`, at: '2026-11-02T08:00:00.000Z', by: 'here', piece: 1, step: own });
  const all = made.routes[0]?.setups.flatMap((s) => s.steps) ?? [];
  const before: Entry[] = all.slice(0, all.indexOf(step)).map((s) => ({ ...line(s.id), kind: 'done' }));
  const read = (text: string, what: string, gauge: string): Entry => ({ ...line(step.id), kind: 'reading', of: what, value: mm(text), gauge });
  const cut = (text: string, axis: 'cross' | 'carriage' | 'compound'): Entry => ({ ...line(step.id), kind: 'cut', axis, dial: mm(text) });
  return {
    read,
    cut,
    ask: (...own: Entry[]) => benchState(out, made, [...before, ...own]).advice,
    shoulder: shoulderOf(step, made.part, setup, shop.machines[0]),
  };
}

it('a shoulder follows its diameter: it grows under the cut, and is past when it is too deep', () => {
  const { read, cut, ask, shoulder } = atStep(jobOf([row('s1', '19 h7', '30 +/-0.05'), row('s2', '30', '20')]), 'finish-turn@s1');
  expect(shoulder).toMatchObject({ kind: 'depth', of: 's1.length', limits: { max: 30.05, min: 29.95 } });
  // first the diameter, to its end
  expect(ask()?.kind).toBe('outside');
  expect(ask(read('19.4', 's1.diameter', 'mic-0-25'))).toMatchObject({ kind: 'outside', next: 'cut' });
  const round = read('18.990', 's1.diameter', 'mic-0-25');
  expect(ask(round)).toMatchObject({ kind: 'depth', next: 'measure' });
  const short = ask(round, read('29.80', 's1.length', 'caliper'));
  expect(short?.kind).toBe('depth');
  expect(short?.dial?.value).toBeGreaterThan(0.1);
  expect(short?.dial?.value).toBeLessThan(0.25);
  expect(short?.expects.value).toBeGreaterThan(29.9);
  // what was cut by the other dial and read of the other size is not mixed with it
  const own = [read('19.4', 's1.diameter', 'mic-0-25'), cut('0.2', 'cross'), round];
  expect(ask(...own, read('29.80', 's1.length', 'caliper'))?.dial?.value).toBeCloseTo(short?.dial?.value ?? 0, 9);
  const deep = ask(round, read('30.20', 's1.length', 'caliper'));
  expect(deep).toMatchObject({ kind: 'depth', next: 'stop' });
  expect(deep?.chancePast).toBeGreaterThan(0.9);
});

it('the bottom of a blind bore too; a hole right through has none, nor a length that only the general rule holds', () => {
  const blind = jobOf([row('s1', '50', '40')], [row('h', '30 H7', '20 +/-0.05')]);
  const { ask, read, shoulder } = atStep(blind, 'bore@h');
  expect(shoulder?.of).toBe('h.length');
  expect(ask(read('30.010', 'h.diameter', 'bore'))).toMatchObject({ kind: 'depth', next: 'measure' });
  expect(atStep(jobOf([row('s1', '50', '40')], [row('h', '30 H7', 'through')]), 'bore@h').shoulder).toBeUndefined();
  expect(atStep(jobOf([row('s1', '19 h7', '30'), row('s2', '30', '20')]), 'finish-turn@s1').shoulder).toBeUndefined();
  // the widest row ends at no larger one
  expect(atStep(jobOf([row('s1', '19', '30'), row('s2', '30 h7', '20 +/-0.05')]), 'finish-turn@s2').shoulder).toBeUndefined();
});
