/* Dialling at the Bench by readings: which jaw, which way, how much, until within what the job wants. Common practice: half of the difference of opposite readings; geometry. */
import fc from 'fast-check';
import { blankJob, type Entry, type Job, type Relation } from '../document';
import { issued, plan } from '../planner';
import { midShop } from '../shop';
import { dialIn, dialledSo, dialledTo, readIndicator } from './dialIn';

const mm = (text: string) => ({ text, units: 'mm' as const });
const shop = midShop();
const relation: Relation = { id: 'r', kind: 'runout', of: 'c', to: 'a', value: mm('0.03') };
const jobOf = (relations: readonly Relation[], holding = 'four-jaw'): Job => {
  const blank = blankJob('dialled', 'mm');
  return {
    ...blank,
    drawing: {
      ...blank.drawing,
      title: { edges: 'sharp' },
      outside: [
        { id: 'a', size: mm('20 h7'), length: mm('30') },
        { id: 'b', size: mm('32'), length: mm('10') },
        { id: 'c', size: mm('22 h7'), length: mm('15') },
      ],
      relations: [...relations],
    },
    choices: [
      { kind: 'method', id: 'method-first', of: 'first', method: 'right' },
      { kind: 'method', id: 'method-carrying', of: 'carrying', method: 'chuck' },
      { kind: 'hold', id: 'l', setup: 'left-1', holding, support: [] },
    ],
  };
};
const atTurning = (job: Job) => {
  const made = plan(job, shop);
  const step = made.routes[0]?.setups.find((s) => s.id === 'left-1')?.steps[0];
  if (!step) throw new Error('not turned round');
  return { made, step, dial: dialIn(step, made, shop) };
};
const dialled = (step: string, ...readings: readonly string[]): Entry => ({
  id: `d${readings.join()}`,
  at: '2026-11-29T10:00:00.000Z',
  by: 'test',
  piece: 1,
  step,
  kind: 'dialled',
  readings: readings.map(mm),
});

it('is asked for where four jaws take finished work again, within what the drawing wants less what the spindle leaves', () => {
  const { dial } = atTurning(jobOf([relation]));
  expect(dial?.by).toBe('jaws');
  // four jaws are dialled to 0.02 and the drawing wants 0.03: the jaws are the finer
  expect(dial?.wanted.value).toBeCloseTo(0.02, 6);
  const fine = atTurning(jobOf([{ ...relation, value: mm('0.013') }])).dial;
  // 0.005 of the spindle in any direction beside what was read: 19 of 20 of the part of it along that, and the mean of what lies across
  const deviation = 0.005 / Math.sqrt(-2 * Math.log(0.05));
  expect(fine?.wanted.value).toBeCloseTo(0.013 - 1.645 * deviation - deviation ** 2 / 2 / 0.0095, 4);
});

it('a piece that came started is dialled on what it came with: what was made before is no chucking of this route', () => {
  const job = jobOf([{ ...relation, of: 'c', to: 'a', value: mm('0.012') }]);
  const cells = (id: string, size: string, length: string) => ({ id, size: mm(size), length: mm(length) });
  const started: Job = {
    ...job,
    choices: [{ kind: 'hold', id: 'h', setup: 'right-1', holding: 'four-jaw', support: [] }],
    startsAs: { outside: [cells('x', '20 h7', '30'), cells('y', '34', '26')], boreRight: [], boreLeft: [], details: [], beyondRight: mm('0') },
  };
  const made = plan(started, shop);
  for (const setup of made.routes[0]?.setups ?? []) {
    const [step] = setup.steps;
    const dial = step && dialIn(step, made, shop);
    if (!dial) continue;
    const [told] = dialledTo(dial, made, shop, [dialled(step.id, '0', '0', '0', '0')], 1)?.keeps ?? [];
    // dialled dead true the rest is what the plan itself says lies between, never more
    if (told) expect(told.expected.value).toBeLessThanOrEqual((made.routes[0]?.runouts[0]?.expected.value ?? 0) + 1e-9);
    expect(dial.wanted.value).toBeLessThanOrEqual(Math.sqrt(0.012 ** 2 - 0.005 ** 2) + 1e-9);
  }
  expect(made.routes[0]?.setups.some((s) => s.steps[0] && dialIn(s.steps[0], made, shop) !== undefined)).toBe(true);
});

it('not where a self-centring chuck keeps no relation, nor where the bar is chucked', () => {
  expect(atTurning(jobOf([], 'soft-jaws')).dial).toBeUndefined();
  const { made } = atTurning(jobOf([relation]));
  const load = made.routes[0]?.setups[0]?.steps[0];
  expect(load && dialIn(load, made, shop)).toBeUndefined();
});

it('four readings: jaws 1 and 3 by half of their difference, 2 and 4 by half of theirs; the swing is twice how far it is off (worked by hand)', () => {
  const { made, step, dial } = atTurning(jobOf([relation]));
  if (!dial) throw new Error('no dialling');
  const told = dialledTo(dial, made, shop, [dialled(step.id, '0.2', '-0.1', '-0.1', '0.3')], 1);
  expect(told?.moves).toMatchObject([
    { tighten: 1, loosen: 3, by: { value: expect.closeTo(0.15, 9) } },
    { tighten: 4, loosen: 2, by: { value: expect.closeTo(0.2, 9) } },
  ]);
  // 3, 4, 5: off by 0.15 and 0.2 is off by 0.25
  expect(told?.tir.value).toBeCloseTo(0.5, 9);
  expect(told?.within).toBe(false);
  const after = dialledTo(dial, made, shop, [dialled(step.id, '0.2', '-0.1', '-0.1', '0.3'), dialled(step.id, '0.004', '0', '-0.002', '0.001')], 1);
  expect(after?.within).toBe(true);
  expect(after?.keeps).toHaveLength(1);
  // it is so much off, whichever way: the spindle may add to it, and hardly ever takes it away
  expect(after?.keeps[0]?.expected.value).toBeCloseTo((after?.tir.value ?? 0) + (1.645 * 0.005) / 2.448, 3);
  expect(after?.keeps[0]?.chance.value).toBeGreaterThan(told?.keeps[0]?.chance.value ?? 1);
  expect(dialledTo(dial, made, shop, [dialled(step.id, '0', '0', '0', '0')], 2)).toBeUndefined();
});

it('whatever stands off, the moves it tells bring it to the middle', () => {
  const { made, step, dial } = atTurning(jobOf([relation]));
  if (!dial) throw new Error('no dialling');
  const off = fc.integer({ min: -900, max: 900 }).map((n) => n / 1000);
  fc.assert(
    fc.property(off, off, off, (x, y, zero) => {
      const at = (px: number, py: number) => [zero + px, zero + py, zero - px, zero - py].map((r) => r.toFixed(6));
      const told = dialledTo(dial, made, shop, [dialled(step.id, ...at(x, y))], 1);
      let [nx, ny] = [x, y];
      for (const m of told?.moves ?? []) {
        // tightening a jaw pushes the work away from it
        if (m.tighten === 1) nx -= m.by.value;
        if (m.tighten === 3) nx += m.by.value;
        if (m.tighten === 2) ny -= m.by.value;
        if (m.tighten === 4) ny += m.by.value;
      }
      expect(Math.hypot(nx, ny)).toBeLessThan(0.003);
    }),
  );
});

it('high and low alone give the swing; a chuck that cannot be dialled has no jaw to move', () => {
  const { made, step, dial } = atTurning(jobOf([relation], 'three-jaw'));
  expect(dial?.by).toBe('read');
  const told = dial && dialledTo(dial, made, shop, [dialled(step.id, '0.06', '-0.02')], 1);
  expect(told).toMatchObject({ tir: { value: 0.08 }, moves: [], within: false });
});

it('on a plate the face too: where it is highest, by half of its swing', () => {
  const { made, step, dial } = atTurning(jobOf([relation]));
  const told = dial && dialledTo({ ...dial, by: 'plate' }, made, shop, [dialled(step.id, '0', '0', '0', '0', '0', '0.04', '0', '-0.04')], 1);
  expect(told?.face).toMatchObject({ high: 2, by: { value: 0.04 }, tir: { value: 0.08 } });
  expect(told?.within).toBe(false);
});

it.each([
  ['-0,12', -0.12],
  ['+.005"', 0.127],
  ['0.0', 0],
  ['−0.3', -0.3],
])('an indicator reads %s', (text, value) => expect(readIndicator(text, 'mm')).toMatchObject({ ok: true, value: expect.closeTo(value, 9) }));
it.each(['', 'two', '900', '--1'])('it does not read %j', (text) => expect(readIndicator(text, 'mm').ok).toBe(false));

it('what was given out is dialled as it was given out', () => {
  const job = jobOf([relation]);
  const [route] = plan(job, shop).routes;
  const out = route && issued(job, route, shop, '2026-11-29T10:00:00.000Z', 'test');
  const made = plan(out ?? job, shop);
  const step = made.routes[0]?.setups.find((s) => s.id === 'left-1')?.steps[0];
  expect(step && dialIn(step, made, shop)?.wanted.value).toBeCloseTo(0.02, 6);
});

it('what Inspection says of a piece hangs on how that piece was dialled, and on nothing of another', () => {
  const { made, step } = atTurning(jobOf([relation]));
  const log = [dialled(step.id, '0.03', '0', '-0.03', '0')];
  const [first, second] = [1, 2].map((piece) => dialledSo(made, shop, log, piece));
  expect(first?.read.map((r) => [r.setup, r.tir.value])).toEqual([['left-1', expect.closeTo(0.06, 9)]]);
  expect(second?.read).toEqual([]);
  expect(second?.made[0]?.expected.value).toBeCloseTo(made.routes[0]?.runouts[0]?.expected.value ?? NaN, 9);
  expect(first?.made[0]?.expected.value).toBeGreaterThan(0.06);
  expect(first?.made[0]?.chance.value).toBeLessThan(0.001);
});
