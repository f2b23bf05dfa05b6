/* Sizes without a tolerance are still turned by cut, measure, cut: common practice. The general rule is their band: ISO 2768-1 m, from memory 0.2 for 6 to 30, 0.3 for 30 to 120. */
import type { Entry } from '../document';
import { plan } from '../planner';
import { demoShop, jobOf } from '../planner/demo.fixture';
import { atSize } from './atSize';
import { passesOf, passesTaken, passTaken } from './passes';
import { inByDial, press } from './press';
import { shoulderByDial } from './shoulder';
import { sizedAt } from './sized';

const shop = demoShop();
const [machine] = shop.machines;
const job = jobOf('20 x 40 groove 3 x 16 at 12; 30 x 25; 44 x 10');
const made = plan(job, shop);
const setups = made.routes[0]?.setups ?? [];
const steps = setups.flatMap((s) => s.steps);
const step = (id: string) => {
  const found = steps.find((s) => s.id.startsWith(id));
  if (!found) throw new Error(`no ${id} in ${steps.map((s) => s.id).join(' ')}`);
  return found;
};
const line = { at: '2026-11-28T09:00:00.000Z', by: 'me', piece: 1 };

describe('a sketch without one tolerance', () => {
  it('brings every diameter, the bottom of a groove and the whole length to size, by the general rule', () => {
    const sized = steps.flatMap((s) => {
      const one = sizedAt(s, made, shop, machine, undefined);
      return one ? [[s.id, one.kind, one.plain, one.limits.min, one.limits.max]] : [];
    });
    expect(sized).toEqual(
      expect.arrayContaining([
        ['finish-turn@s1', 'outside', true, 19.8, 20.2],
        ['finish-turn@s2', 'outside', true, 29.8, 30.2],
        ['finish-turn@s3', 'outside', true, 43.7, 44.3],
        [expect.stringContaining('groove@'), 'outside', true, 15.8, 16.2],
        [expect.stringContaining('face@left'), 'length', true, expect.any(Number), expect.any(Number)],
      ]),
    );
  });

  it('a size by eye is left to the dial', () => {
    const byEye = plan({ ...job, drawing: { ...job.drawing, care: { 's1.diameter': 'byEye' } } }, shop);
    const own = byEye.routes[0]?.setups.flatMap((s) => s.steps).find((s) => s.id === 'finish-turn@s1');
    expect(own && sizedAt(own, byEye, shop, machine, undefined)).toBeUndefined();
  });

  it('a shoulder is told by the dial along the bed, from the face of its end', () => {
    const own = step('finish-turn@s1');
    const setup = setups.find((s) => s.steps.includes(own));
    const shoulder = shoulderByDial(own, made.part, setup);
    expect(shoulder?.along.value).toBeCloseTo(40, 6);
    expect([shoulder?.limits.min, shoulder?.limits.max]).toEqual([39.7, 40.3]);
    expect(shoulderByDial(step('finish-turn@s3'), made.part, setup)).toBeUndefined();
  });

  const at = (live: readonly Entry[]) =>
    atSize({ job, shop, plan: made, log: live, step: step('finish-turn@s1'), piece: 1, advice: undefined }, undefined);
  const reading = (id: string, text: string): Entry => ({
    ...line,
    id,
    step: 'finish-turn@s1',
    kind: 'reading',
    of: 's1.diameter',
    value: { text, units: 'mm' },
    gauge: 'caliper-150',
  });

  it('one reading, one cut, and it is done by the dial; a second reading is for who wants one', () => {
    expect(at([]).advice?.next).toBe('measure');
    const first = at([reading('a', '20.62')]);
    expect(first.advice?.next).toBe('cut');
    const card = { piece: 1, step: step('finish-turn@s1'), plan: made, picked: false, along: undefined, gauge: 'caliper-150' };
    const as = (of: ReturnType<typeof at>) => press({ ...card, sized: of.sized, advice: of.advice, reading: undefined }, undefined);
    expect(as(at([]))).toHaveProperty('refused');
    const cut = as(first);
    if (!('entries' in cut)) throw new Error('refused');
    const after = at([reading('a', '20.62'), ...cut.entries.map((e, i) => ({ ...e, ...line, id: `c${String(i)}` }))]);
    expect(after.advice?.next).toBe('measure');
    expect(after.advice && inByDial(after.sized, after.advice)).toBe(true);
    expect(as(after)).toMatchObject({ entries: [{ kind: 'done' }] });
    // and where somebody measures, what was measured counts: under the least it is past
    const low = at([...after.live, reading('b', '19.70')]);
    expect(low.advice?.stands).not.toBe('in');
  });

  it('a size with limits of its own is not in by the dial', () => {
    const fine = jobOf('20 h7 x 40; 30 x 25');
    const own = plan(fine, shop);
    const finish = own.routes[0]?.setups.flatMap((s) => s.steps).find((s) => s.id === 'finish-turn@s1');
    if (!finish) throw new Error('no step');
    const cut: Entry = { ...line, id: 'c', step: finish.id, kind: 'cut', axis: 'cross', dial: { text: '0.31', units: 'mm' } };
    const stands = atSize({ job: fine, shop, plan: own, log: [reading('a', '20.62'), cut], step: finish, piece: 1, advice: undefined }, undefined);
    expect(stands.advice && inByDial(stands.sized, stands.advice)).toBe(false);
  });
});

describe('roughing pass by pass', () => {
  const rough = step('rough-turn@s1');
  const passes = passesOf(rough, made, machine);

  it('the dial and what is left at each; the last leaves what the step leaves', () => {
    expect(passes).toHaveLength(Math.round(rough.figures['passes']?.value ?? 0));
    expect(passes.length).toBeGreaterThan(1);
    const depth = rough.figures['depth']?.value ?? 0;
    const reads = machine?.dials.cross?.reads === 'diameter' ? 2 : 1;
    passes.forEach((pass, i) => expect(pass.dial.value).toBeCloseTo(depth * reads * (i + 1), 6));
    expect(passes.at(-1)?.leaves.value).toBeCloseTo(rough.figures['to']?.value ?? 0, 6);
    expect((passes[0]?.leaves.value ?? 0) - (passes[1]?.leaves.value ?? 0)).toBeCloseTo(2 * depth, 6);
  });

  it('counts those that were taken; a step without passes has none', () => {
    const [first] = passes;
    if (!first) throw new Error('no pass');
    const taken = { ...passTaken(first, rough, 1), ...line, id: 'p' } as Entry;
    expect(taken).toMatchObject({ kind: 'cut', axis: 'cross', step: rough.id });
    expect(passesTaken([taken])).toBe(1);
    expect(passesOf(step('finish-turn@s1'), made, machine)).toEqual([]);
  });
});
