/* Bores, lengths and threads brought to size: which dial, which limits, which way. Common practice; thread limits and wires by ASME B1.1 and B1.2, from memory. */
import fc from 'fast-check';
import type { Choice, Entry, Gauge, Job, Shop } from '../document';
import { inspect } from '../inspection';
import { issued, plan } from '../planner';
import { demoJob, demoShop, jobOf } from '../planner/demo.fixture';
import { figure, writeSentence } from '../quantity';
import { sizeAdvice, type Sizing } from '../sizing';
import { pitchDiameterOver, wires } from '../standards';
import { benchState } from './benchState';
import { sizedAt } from './sized';

const demo = demoShop();
const [lathe] = demo.machines;
if (!lathe) throw new Error('no lathe');
let n = 0;
const line = (step: string) => ({ id: `s${String(++n)}`, at: '2026-11-02T08:00:00.000Z', by: 'here', piece: 1, step });

/** A job at the Bench, everything done up to a step. */
function atStep(job: Job, shop: Shop, verb: string) {
  const [route] = plan(job, shop).routes;
  if (!route) throw new Error('no route');
  const out = issued(job, route, shop, '2026-11-02T08:00:00.000Z', '0.1.0');
  const made = plan(out, shop);
  const steps = made.routes[0]?.setups.flatMap((s) => s.steps) ?? [];
  const at = steps.findIndex((s) => s.verb === verb);
  const step = steps[at];
  if (!step) throw new Error(`no ${verb} in ${steps.map((s) => s.id).join(' ')}`);
  const before: Entry[] = steps.slice(0, at).map((s) => ({ ...line(s.id), kind: 'done' }));
  const read = (text: string, gauge: string, units: 'mm' | 'in' = 'mm'): Entry => ({
    ...line(step.id),
    kind: 'reading',
    of: 'x',
    value: { text, units },
    gauge,
  });
  const ask = (...own: Entry[]) => benchState(out, made, [...before, ...own]).advice;
  return { made, step, read, ask, sized: (gauge?: string) => sizedAt(step, made, shop, lathe, gauge) };
}

describe('a bore', () => {
  const sleeve: Job = (() => {
    const job = jobOf('40 x 30');
    return {
      ...job,
      drawing: { ...job.drawing, boreRight: [{ id: 'h', size: { text: '22 H7', units: 'mm' }, length: { text: 'through', units: 'mm' } }] },
    };
  })();

  it('is measured with a bore gauge, grows under the cut, and is past when it is over', () => {
    const { ask, read, sized } = atStep(sleeve, demo, 'bore');
    // ISO 286-2: 22 H7 is +0.021 / 0
    expect(sized()).toMatchObject({ kind: 'bore', limits: { max: 22.021, min: 22 }, of: 'h.diameter', axis: 'cross' });
    expect(ask()?.next).toBe('measure');
    const first = ask(read('21.400', 'bore'));
    expect(first?.next).toBe('twoCuts');
    expect(first?.aim.value).toBeGreaterThan(22);
    expect(first?.aim.value).toBeLessThan(22.0111);
    expect(first?.expects.value).toBeGreaterThan(21.6);
    expect(first?.expects.value).toBeLessThan(21.8);
    expect(ask(read('22.009', 'bore'))?.next).toBe('stop');
    const past = ask(read('22.060', 'bore'));
    expect(past?.chancePast).toBeGreaterThan(0.99);
    expect(past && writeSentence(past.because[0]?.says ?? [], 'mm')).toBe('0.039 mm over the most allowed: past saving by boring');
  });

  it('is asked about where a reading shrank without a reason', () => {
    const { ask, read, step } = atStep(sleeve, demo, 'bore');
    const cut: Entry = { ...line(step.id), kind: 'cut', axis: 'cross', dial: { text: '0.1', units: 'mm' } };
    expect(ask(read('21.400', 'bore'), cut, read('21.000', 'bore'))?.next).toBe('ask');
  });

  it('is advised like an outside seen in a mirror', () => {
    const sizing = (kind: 'outside' | 'bore', reads: number, dial: number): Sizing => {
      const of = kind === 'bore' ? (over: number) => 30 - over : (over: number) => 30 + over;
      return {
        kind,
        wanted: kind === 'bore' ? { nominal: 30, max: 30, min: 29.98, from: 'typed' } : { nominal: 30, max: 30.02, min: 30, from: 'typed' },
        events: [
          { kind: 'reading', size: of(reads), celsius: 20 },
          { kind: 'cut', dial },
          { kind: 'reading', size: of(reads - 2 * dial), celsius: 20 },
        ],
        takes: 2,
        division: 0.02,
        alpha: 11.7,
        bias: 0.001,
        repeat: 0.001,
        gaugeProves: true,
        nose: 0.4,
      };
    };
    fc.assert(
      fc.property(fc.integer({ min: 5, max: 60 }), fc.integer({ min: 1, max: 20 }), (over, divisions) => {
        const [a, b] = (['outside', 'bore'] as const).map((kind) => sizeAdvice(sizing(kind, over / 50, divisions / 100)));
        expect(b?.next).toBe(a?.next);
        expect(b?.dial?.value ?? 0).toBeCloseTo(a?.dial?.value ?? 0, 9);
        expect((b?.expects.value ?? 0) + (a?.expects.value ?? 0)).toBeCloseTo(60, 2);
        expect(b?.chanceIn).toBeCloseTo(a?.chanceIn ?? NaN, 3);
      }),
      { numRuns: 60, seed: 3 },
    );
  });
});

it('a length with limits is faced to size by the dial that can show a quarter of them', () => {
  const job: Job = (() => {
    const pin = jobOf('20 x 30; 25 x 20');
    const [a, b] = pin.drawing.outside;
    if (!a || !b) throw new Error('two rows');
    return {
      ...pin,
      drawing: { ...pin.drawing, outside: [a, { ...b, length: { text: '', units: 'mm' } }], overall: { text: '50 +/-0.03', units: 'mm' } },
    };
  })();
  const [route] = plan(job, demo).routes;
  const last = route?.setups.at(-1)?.steps.find((s) => s.verb === 'face');
  expect(last?.gauge).toBeDefined();
  const sized = last && sizedAt(last, plan(job, demo), demo, lathe, undefined);
  expect(sized).toMatchObject({ kind: 'length', of: 'overall', limits: { max: 50.03, min: 49.97 } });
  // a coarse carriage dial is not offered for six hundredths
  const coarse = {
    ...lathe,
    dials: { ...lathe.dials, carriage: { ...(lathe.dials.carriage ?? lathe.dials.cross), division: { text: '0.5', units: 'mm' } } },
  };
  expect(last && sizedAt(last, plan(job, demo), demo, coarse as typeof lathe, undefined)?.axis).toBe('compound');
  // a length of the general tolerance is not stopped for
  const general = jobOf('20 x 30; 25 x 20');
  expect(
    plan(general, demo)
      .routes[0]?.setups.at(-1)
      ?.steps.find((s) => s.verb === 'face')?.gauge,
  ).toBeUndefined();
});

describe('a thread by wires', () => {
  const stud = jobOf('1/2-13 UNC-2A x 3/4; 1 x 1-1/2', 'in');
  const set: Gauge = {
    id: 'wires',
    name: 'thread wires',
    kind: 'wires',
    from: { text: '3', units: 'mm' },
    to: { text: '75', units: 'mm' },
    resolution: { text: '0.001', units: 'mm' },
    bias: { text: '0.002', units: 'mm' },
    repeat: { text: '0.002', units: 'mm' },
    sizes: ['.029', '.045', '.072'].map((text) => ({ text, units: 'in' as const })),
  };
  const shop: Shop = { ...demo, gauges: [...demo.gauges.filter((g) => g.kind !== 'ring' && g.kind !== 'wires'), set] };

  it('is held to what 2A reads over the wire of the set that suits it', () => {
    const { sized } = atStep(stud, shop, 'thread');
    const by = sized();
    expect(by).toMatchObject({ kind: 'thread', axis: 'compound', wire: expect.closeTo(0.045 * 25.4, 6) as number });
    // ASME B1.1 from memory: pitch diameter .4435 to .4485; M = E + 3 W - 0.86603 P for 60 degrees, handbook worked example, without lead correction
    const plain = (E: number) => (E + 3 * 0.045 - 0.86603 / 13) * 25.4;
    expect(by?.limits.max).toBeCloseTo(plain(0.4485), 2);
    expect(by?.limits.min).toBeCloseTo(plain(0.4435), 2);
    // along a compound at 29.5 degrees a unit takes 2 cos 29.5 off the pitch diameter
    expect(by?.takes).toBeCloseTo(2 * 0.87036, 4);
  });

  it('says how much further along the compound, in divisions of a metric lathe, and is in when it is in', () => {
    const { ask, read, sized } = atStep(stud, shop, 'thread');
    const limits = sized()?.limits;
    if (!limits) throw new Error('not sized');
    expect(ask()?.next).toBe('measure');
    const over = (0.5 * (limits.max + limits.min)) / 25.4 + 0.012;
    const advice = ask(read(over.toFixed(4), 'wires', 'in'));
    expect(['cut', 'twoCuts']).toContain(advice?.next);
    const cuts = advice?.next === 'twoCuts' ? 2 : Math.round(Number(advice?.dial?.of['cuts'] ?? 1));
    // 0.012 in over the middle is 0.305 mm over wires: 0.175 mm along the compound in all
    expect((advice?.dial?.value ?? 0) * cuts).toBeGreaterThan(0.13);
    expect((advice?.dial?.value ?? 0) * cuts).toBeLessThan(0.24);
    const division = 0.02;
    expect(((advice?.dial?.value ?? 0) / division) % 0.5).toBeCloseTo(0, 6);
    expect(ask(read((limits.nominal / 25.4).toFixed(4), 'wires', 'in'))?.next).toBe('stop');
    expect(ask(read(((limits.min - 0.05) / 25.4).toFixed(4), 'wires', 'in'))?.chancePast).toBeGreaterThan(0.99);
  });

  it('with a ring it is tried, not sized; over wires the inspection tells in from out', () => {
    const { step, made } = atStep(stud, demo, 'thread');
    expect(sizedAt(step, made, demo, lathe, 'ring')).toBeUndefined();
    const thread = made.part.characteristics.find((c) => c.is === 'thread');
    const best = wires('1/2-13 UNC-2A', 0.045 * 25.4);
    if (!thread || !best.ok || best.over.max === null || best.over.min === null) throw new Error('no thread');
    const verdict = (mm: number) =>
      inspect(made.part, shop, [{ ...line(step.id), kind: 'reading', of: thread.id, value: { text: String(mm), units: 'mm' }, gauge: 'wires' }])[0]
        ?.says;
    const of = (mm: number) =>
      inspect(made.part, shop, [{ ...line(step.id), kind: 'reading', of: thread.id, value: { text: String(mm), units: 'mm' }, gauge: 'wires' }])[0]
        ?.value.value;
    // what is shown is the pitch diameter: within what the formula says of itself of the exact inverse of the measurement
    const form = { pitch: 25.4 / 13, half: 30, lead: 25.4 / 13 };
    for (const mm of [best.over.max, best.over.min, (best.over.max + best.over.min) / 2])
      expect(Math.abs((of(mm) ?? NaN) - pitchDiameterOver(mm, form, 0.045 * 25.4))).toBeLessThan(0.0002);
    expect(verdict((best.over.max + best.over.min) / 2)).toBe('in');
    expect(verdict(best.over.max + 0.02)).toBe('over');
    expect(verdict(best.over.min - 0.02)).toBe('under');
  });
});

it('a bearing seat keeps the cross dial and the limits of the drawing', () => {
  const axle = demoJob('sheave-axle');
  const { sized } = atStep(axle, demo, 'finish-turn');
  expect(sized()).toMatchObject({ kind: 'outside', axis: 'cross' });
  const way: Choice = { kind: 'way', id: 'w', way: 'infeed', value: 'straight' };
  const [route] = plan({ ...axle, choices: [way] }, demo).routes;
  expect(route?.setups.flatMap((s) => s.steps).find((s) => s.verb === 'thread')?.figures['depth']?.formula).toBe('infeed');
});

it.each(['M3', 'M6', 'M12', 'M36', 'M64', '#4-40 UNC-2A', '1/4-20 UNC-1A', '2-4.5 UNC-1A'])(
  '%s: a pitch diameter reckoned from the upper limit is off by less than the formula says, against the exact inverse',
  (designation) => {
    const over = wires(designation);
    if (!over.ok || over.over.max === null || over.over.min === null) throw new Error(designation);
    const { pitch, lead = pitch, pitchDiameter } = over.thread;
    const reckoned = figure('length', 'pitchByWires', { pitch: pitchDiameter.max ?? NaN, over: over.over.max, reading: over.over.min });
    expect(Math.abs(reckoned.value - pitchDiameterOver(over.over.min, { pitch, half: 30, lead }, over.wire))).toBeLessThan(0.0002);
  },
);
