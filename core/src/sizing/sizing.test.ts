import fc from 'fast-check';
import type { Entry, Machine } from '../document';
import type { Limits } from '../drawing';
import { applyEdits } from '../finding';
import { demoShop } from '../planner/demo.fixture';
import { tidy, write, writeSentence } from '../quantity';
import { advise, adviseWith, dialFound, eventsOf, sizingWith } from './advise';
import { beliefOf } from './belief';
import { dialSaid } from './dialSaid';
import { sizeNow } from './estimate';
import type { Advice } from './types';

const shop = demoShop();
const h6: Limits = { nominal: 25, max: 25, min: 24.987, from: 'class' };
const mic = shop.gauges.find((g) => g.id === 'mic-25-50');
const lathe = (reads: 'radius' | 'diameter', division: string, units: 'mm' | 'in'): Machine => {
  const [machine] = shop.machines;
  if (!machine?.dials.cross) throw new Error('no lathe');
  return { ...machine, dials: { cross: { ...machine.dials.cross, reads, division: { text: division, units } } } };
};
let n = 0;
const entry = () => ({ id: `e${String(++n)}`, at: '2026-11-02T08:00:00.000Z', by: 'here', piece: 1, step: null });
const reading = (mm: number, celsius?: number): Entry => ({
  ...entry(),
  kind: 'reading',
  of: 's1.diameter',
  value: { text: String(mm), units: 'mm' },
  gauge: 'mic-25-50',
  ...(celsius !== undefined && { celsius }),
});
const cut = (mm: number): Entry => ({ ...entry(), kind: 'cut', axis: 'cross', dial: { text: String(mm), units: 'mm' } });
const ask = (entries: readonly Entry[], wanted = h6, machine = lathe('radius', '0.02', 'mm')): Advice =>
  adviseWith(wanted, entries, { machine, gauge: mic, material: 'mild-steel', nose: 0.4 });
const because = (advice: Advice) => advice.because.map((r) => writeSentence(r.says, 'mm')).join('. ');

it('the question without a job knows bores and lengths too', () => {
  const bore = advise({ nominal: 22, max: 22.021, min: 22, from: 'class' }, [reading(21.4)], shop, { kind: 'bore' });
  expect(bore).toMatchObject({ kind: 'bore', next: 'twoCuts' });
  expect(bore.expects.value).toBeGreaterThan(21.6);
  const long = advise({ nominal: 70, max: 70.05, min: 69.95, from: 'typed' }, [reading(70.8)], shop, { kind: 'length' });
  expect(long).toMatchObject({ kind: 'length', aim: { is: 'length' } });
  // a length is dialled as it is, nothing is halved
  expect(long.dial?.of['takes']).toBe(1);
});

it('before the first cut says whether gauge and dial can do it, and what would', () => {
  const caliper = shop.gauges.find((g) => g.id === 'caliper');
  const before = adviseWith(h6, [], { machine: lathe('radius', '0.05', 'mm'), gauge: caliper, material: 'mild-steel', nose: 0.4 });
  expect(before.next).toBe('measure');
  expect(because(before)).toContain('this gauge cannot prove 0.013 mm: its doubt of 95 % is 0.031 mm; one good to 0.003 mm would');
  expect(because(before)).toContain('the smallest move of this dial takes 0.050 mm, more than a quarter of 0.013 mm');
  expect(because(ask([], h6, lathe('diameter', '0.002', 'mm')))).not.toContain('cannot prove');
  expect(because(ask([], h6, lathe('diameter', '0.002', 'mm')))).not.toContain('smallest move');
});

it('a warm piece leaves its size in more doubt than one that has cooled: from three degrees over the room, by a degree of what it may be off (judgement)', () => {
  const doubt = (celsius: number) => {
    const told = sizingWith(h6, [reading(25.6, celsius)], { machine: lathe('radius', '0.02', 'mm'), gauge: mic, material: 'mild-steel', nose: 0.4 });
    return sizeNow(beliefOf(told)).deviation;
  };
  expect(doubt(22.9)).toBeCloseTo(doubt(20), 6);
  expect(doubt(23.1)).toBeGreaterThan(doubt(22.9) + 1e-5);
  expect(doubt(34)).toBeCloseTo(doubt(23.1), 4);
});

describe('less left than the next setting of the dial takes for certain (spring-cut, common practice)', () => {
  const h8: Limits = { nominal: 20, max: 20, min: 19.967, from: 'class' };
  const h6of20: Limits = { nominal: 20, max: 20, min: 19.987, from: 'class' };
  const at = (keen: boolean | undefined): Advice =>
    // a keen edge still cuts what a honed one would rub: it has less left
    adviseWith(keen === true ? h6of20 : h8, [reading(20.12), cut(0.05), reading(keen === true ? 20.008 : 20.02)], {
      machine: lathe('radius', '0.02', 'mm'),
      gauge: mic,
      material: 'mild-steel',
      nose: 0.4,
      spring: 0.02,
      keen,
    });

  it('a keen edge repeats at the same setting', () => {
    expect(at(true)).toMatchObject({ next: 'springCut', dial: { value: 0 } });
    expect(because(at(true))).toContain('once more at the same setting: what gave way comes off');
  });

  it('a honed one does not: it would rub', () => {
    expect(at(false).next).toBe('stop');
    expect(at(false).dial).toBeUndefined();
    expect(because(at(false))).toContain('at the same setting it rubs: a keen one touched on there, or emery');
  });

  it('of an edge that nobody named both are said', () => {
    expect(at(undefined).next).toBe('springCut');
    expect(because(at(undefined))).toContain('if its edge is keen, once more');
  });
});

it('where the spring is too unsure for what is left the edge is drawn back until it about touches, and nothing grows by it', () => {
  const h8: Limits = { nominal: 20, max: 20, min: 19.967, from: 'class' };
  const slender = { machine: lathe('radius', '0.02', 'mm'), gauge: mic, material: 'mild-steel', nose: 0.4, spring: 0.2, keen: true };
  const advice = adviseWith(h8, [reading(20.35), cut(0.2), reading(20.03)], slender);
  expect(advice.dial?.value).toBeLessThan(0);
  expect(advice.chancePast).toBeLessThan(0.005);
  expect(because(advice)).toContain('until the edge about touches');
  // geometry: an edge clear of the work leaves its size as it was
  expect(advice.expects.value).toBeLessThanOrEqual(20.03);
  expect(advice.expects.formula).toBe('forecastTouching');
});

it.each([
  ['half', 0.01],
  ['whole', 0.02],
  ['fifth', 0.004],
])('a dial is set to %s divisions where that is how it is done here', (settable, step) => {
  const advice = adviseWith(h6, [reading(25.633)], {
    machine: lathe('radius', '0.02', 'mm'),
    gauge: mic,
    material: 'mild-steel',
    nose: 0.4,
    settable,
  });
  const moves = (advice.dial?.value ?? NaN) / step;
  expect(Math.abs(moves - Math.round(moves))).toBeLessThan(1e-6);
  expect(advice.dial?.of['settable']).toBeCloseTo(step, 9);
});

it.each([
  [0.16, '0.02', '8 divisions on radius'],
  [0.15, '0.02', '7½ divisions on radius'],
  [0.144, '0.02', '7.2 divisions on radius'],
  [0.01, '0.02', '½ division on radius'],
  [-0.02, '0.02', '1 division on radius'],
])('a move of %d on a division of %s is said as %s', (value, division, words) => {
  const move = { is: 'length' as const, value, formula: 'dialMove', of: { settable: 0.01 } };
  expect(dialSaid(move, lathe('radius', division, 'mm'), 'cross')).toBe(words);
});

it('a readout is set to its last digit, whatever the dial', () => {
  const machine = lathe('radius', '0.05', 'mm');
  const { cross } = machine.dials;
  if (!cross) throw new Error('no dial');
  const read = { ...machine, dials: { cross: { ...cross, readout: { text: '0.005', units: 'mm' as const } } } };
  expect(adviseWith(h6, [reading(25.633)], { machine: read, gauge: mic, material: 'mild-steel', nose: 0.4 }).dial?.of['settable']).toBeCloseTo(
    0.005,
    9,
  );
});

it('what is too warm to be told is left to cool before the last decision, and only then', () => {
  // 120 of aluminium, 23.1 millionths a degree: 1.2 degrees of doubt, twice, are 0.0067 of a tolerance of 0.022
  const wanted: Limits = { nominal: 120, max: 120, min: 119.978, from: 'class' };
  const big = { machine: lathe('radius', '0.02', 'mm'), gauge: mic, material: 'aluminium', nose: 0.4 };
  const at = (mm: number, celsius: number) => adviseWith(wanted, [reading(mm, celsius)], big);
  expect(at(120.06, 40).next).toBe('wait');
  expect(because(at(120.06, 40))).toContain('let it come under 23 °C, then measure again');
  expect(at(120.06, 22).next).not.toBe('wait');
  // with metal to come off there is time
  expect(at(121.2, 40).next).toBe('twoCuts');
  // a small one of steel goes on
  expect(ask([reading(25.318, 34)]).next).toBe('cut');
});

describe('a shaft of 25 h6 on a radius dial, insert radius 0.4 (common practice, as worked at the bench)', () => {
  it('25.626 measured: aim in the middle, two like cuts, dial in 0.16, expect 25.306', () => {
    const advice = ask([reading(25.626)]);
    expect(advice.next).toBe('twoCuts');
    expect(advice.dial?.value).toBeCloseTo(0.16, 9);
    expect(advice.expects.value).toBeCloseTo(25.306, 6);
    expect(advice.aim.value).toBeGreaterThan(24.9934);
    expect(advice.aim.value).toBeLessThan(24.996);
    expect(advice.instead?.dial?.value).toBeCloseTo(0.31, 1);
  });

  it('25.318 at 34 C: cold 25.314, 0.008 less came off than dialled; dial in 0.16, expect 24.994 +/-0.006 cold', () => {
    const advice = ask([reading(25.626), cut(0.16), reading(25.318, 34)]);
    expect(advice.cold?.value).toBeCloseTo(25.314, 3);
    expect(because(advice)).toContain('0.008 mm less came off than dialled');
    expect(advice.dial?.value).toBeCloseTo(0.16, 9);
    expect(advice.expects.value).toBeCloseTo(24.994, 3);
    expect(2 * (advice.expects.deviation ?? 0)).toBeGreaterThan(0.003);
    expect(2 * (advice.expects.deviation ?? 0)).toBeLessThan(0.007);
    expect(advice.reads?.value).toBeGreaterThan(advice.expects.value);
  });

  it('24.999 at 34 C: cold 24.995, in; check once cold', () => {
    const advice = ask([reading(25.626), cut(0.16), reading(25.318, 34), cut(0.16), reading(24.999, 34)]);
    expect(advice.next).toBe('stop');
    expect(advice.cold?.value).toBeCloseTo(24.995, 3);
    expect(because(advice)).toBe('within the limits. check once cold. 0.001 mm less came off than dialled');
  });
});

describe('what to do next', () => {
  it('measures first, and again after each cut', () => {
    expect(ask([]).next).toBe('measure');
    const after = ask([reading(25.626), cut(0.16)]);
    expect(after.next).toBe('measure');
    expect(after.expects.value).toBeCloseTo(25.306, 6);
  });

  it('on a diameter dial dials the whole of what comes off, on a radius dial half (diameter-dial, common practice)', () => {
    const wanted: Limits = { nominal: 25, max: 25.05, min: 24.95, from: 'typed' };
    // a little more than is left, since a heavier cut than the last gives way more
    const [whole, half] = [
      ask([reading(25.4)], wanted, lathe('diameter', '0.02', 'mm')).dial?.value ?? 0,
      ask([reading(25.4)], wanted, lathe('radius', '0.02', 'mm')).dial?.value ?? 0,
    ];
    expect(whole).toBeGreaterThanOrEqual(0.4);
    expect(whole).toBeLessThanOrEqual(0.42);
    expect(Math.abs(whole / 2 - half)).toBeLessThanOrEqual(0.01);
  });

  it.each(['0.02', '0.05', '.001', '.0005'])('only ever advises whole or half divisions of a dial marked in %s', (division) => {
    const units = division.startsWith('.') ? 'in' : 'mm';
    const half = (Number(division) * (units === 'in' ? 25.4 : 1)) / 2;
    fc.assert(
      fc.property(fc.double({ min: 25.01, max: 27, noNaN: true }), (size) => {
        const dial = ask([reading(Number(size.toFixed(3)))], h6, lathe('radius', division, units)).dial;
        const halves = (dial?.value ?? 0) / half;
        expect(Math.abs(halves - Math.round(halves))).toBeLessThan(1e-4);
      }),
      { numRuns: 60 },
    );
  });

  it('takes much metal in several cuts, never over 1 mm deep', () => {
    const advice = ask([reading(32)]);
    expect(advice.dial?.value).toBeLessThanOrEqual(1);
    expect(because(advice)).toContain('in 4 cuts');
  });

  it('says so when a cut is too light to cut, and when the size is past', () => {
    expect(because(ask([reading(25.12)]))).toContain('may rub instead of cut');
    const under = ask([reading(24.98)]);
    expect(under.next).toBe('stop');
    expect(because(under)).toContain('past saving by turning');
    expect(under.chancePast).toBeGreaterThan(0.5);
  });

  it.each([
    ['radius for diameter', [12.8], 'was a radius measured?'],
    ['inches for millimetres', [0.985], 'looks like the other unit'],
    ['more than before', [25.626, 26.2], 'is more than the 25.626 mm read before'],
  ])('asks about a reading that cannot be: %s', (_, sizes, sentence) => {
    const advice = ask(sizes.map((s) => reading(s)));
    expect(advice.next).toBe('ask');
    expect(because(advice)).toContain(sentence);
  });

  it.each([
    ['half a millimetre', 25.306 + 0.5],
    ['a millimetre', 25.306 - 1],
    ['.025 of an inch', 25.306 + 0.635],
  ])('asks whether a turn of the thimble was missed: %s off what was foretold', (_, size) => {
    const advice = ask([reading(25.626), cut(0.16), reading(Number(size.toFixed(3)))]);
    expect(advice.next).toBe('ask');
    expect(because(advice)).toMatch(/turn of the thimble missed|more than the/);
    // typed again it is taken as it is
    expect(ask([reading(25.626), cut(0.16), reading(24.306), reading(24.306)]).next).toBe('stop');
  });

  it('a wrong reading put right by the next, without undo, leaves nothing behind: it is as if it had not been', () => {
    for (const wrong of [24.306, 25.806, 26.306]) {
      const mended = ask([reading(25.626), cut(0.16), reading(wrong), reading(25.306)]);
      const clean = ask([reading(25.626), cut(0.16), reading(25.306)]);
      expect(mended.next).toBe(clean.next);
      expect(mended.dial?.value).toBeCloseTo(clean.dial?.value ?? NaN, 9);
      expect(mended.expects.value).toBeCloseTo(clean.expects.value, 9);
    }
  });

  it.each([
    ['the point left out, at the first reading', [2562], 25.62],
    ['two digits changed about, at the first reading', [52.62], 25.62],
    ['two digits changed about, within the limits', [25.626, cut(0.16), 24.993], undefined],
    ['two digits changed about, far from them', [25.626, cut(0.16), 25.136], 25.316],
    ['a digit typed wrong', [25.626, cut(0.16), 23.306], 25.306],
    ['a radius', [25.626, cut(0.16), 12.653], 25.306],
  ] as const)('asks about %s, with the size that was likely meant (surprise, common practice)', (_, events, meant) => {
    const advice = ask(events.map((e) => (typeof e === 'number' ? reading(e) : e)));
    expect(advice.next).toBe('ask');
    if (meant !== undefined) expect(advice.meant?.value).toBeCloseTo(meant, 3);
  });

  it('asks about a first reading far from what roughing left, or more than the stock has', () => {
    const known = {
      machine: lathe('radius', '0.02', 'mm'),
      gauge: mic,
      material: 'mild-steel',
      nose: 0.4,
      likely: { size: 25.4, deviation: 0.3 },
      stock: 30,
    };
    expect(adviseWith(h6, [reading(22.62)], known)).toMatchObject({ next: 'ask', meant: { value: 25.62 } });
    expect(adviseWith(h6, [reading(25.7)], known).next).toBe('twoCuts');
    expect(because(adviseWith(h6, [reading(38)], known))).toContain('more than the stock has');
  });

  it('asks whether the cut was taken when hardly anything came off (did-it-cut, common practice)', () => {
    expect(because(ask([reading(25.626), cut(0.16), reading(25.626)]))).toContain('reads as before the cut: was the pass taken');
    expect(because(ask([reading(25.626), cut(0.16), reading(25.59)]))).toContain('came off of 0.320 mm dialled');
    // a light cut may rub: no question of it
    expect(ask([reading(25.1), cut(0.01), reading(25.1)]).next).not.toBe('ask');
  });

  it('asks once whether the dial reads the other of radius and diameter when half came off twice (took-half, common practice)', () => {
    const half = [reading(26.6), cut(0.2), reading(26.4), reading(26.4), cut(0.2), reading(26.2), reading(26.2)];
    const events = [reading(26.6), cut(0.2), reading(26.4), cut(0.2), reading(26.2)];
    expect(because(ask(half.slice(0, 3)))).toMatch(/under|over|came off|foretold/);
    expect(because(ask(events))).toContain('half of what was dialled came off, twice running: this dial reads diameter, not radius');
    expect(ask(events).dialReads).toBe('diameter');
    // set as it was found, the same run is believed and gone on with
    const before = lathe('radius', '0.02', 'mm');
    const set = applyEdits({ ...shop, machines: [before] }, dialFound(before, 'diameter')).machines[0];
    expect(set?.dials.cross?.reads).toBe('diameter');
    expect(ask(events, h6, set).next).not.toBe('ask');
    // half came off a dial that is said to read diameter: no other reading of it explains that
    const told = ask([reading(26.6), cut(0.4), reading(26.4), cut(0.4), reading(26.2)], h6, lathe('diameter', '0.02', 'mm'));
    expect(told.dialReads).toBeUndefined();
    expect(because(told)).toContain('what was dialled?');
    // a slender shaft that gives way does not halve two like cuts
    expect(because(ask([reading(26.6), cut(0.2), reading(26.28), cut(0.2), reading(25.9)]))).not.toContain('twice running');
  });

  it('says how sure a held-back In is, and what the last cut took off too much or too little', () => {
    const advice = ask([reading(25.626), cut(0.16), reading(25.312), cut(0.16), reading(24.9885)]);
    expect(advice.next).toBe('stop');
    expect(because(advice)).toMatch(/came off than dialled/);
    if (advice.chanceIn < 0.9) expect(because(advice)).toMatch(/in with \d+ in 100/);
  });

  it('the dial is shown with the digits that its smallest move needs', () => {
    const shown = (division: string, units: 'mm' | 'in', size: number) => {
      const dial = ask([reading(size)], h6, lathe('diameter', division, units)).dial;
      return dial && { exact: dial.value / (units === 'in' ? 25.4 : 1), shown: Number(write(dial, units).text) };
    };
    for (let size = 25.02; size < 25.9; size += 0.0137)
      for (const [division, units] of [
        ['.001', 'in'],
        ['.0005', 'in'],
        ['0.05', 'mm'],
        ['0.025', 'mm'],
        ['0.02', 'mm'],
      ] as const) {
        const dial = shown(division, units, tidy(size));
        if (dial) expect(dial.shown).toBeCloseTo(dial.exact, 9);
      }
  });

  it('a dial that slipped is not averaged away: what is read twice is what is there', () => {
    const advice = ask([reading(25.626), cut(0.16), reading(25.5), reading(25.5)]);
    expect(advice.cold?.value).toBeCloseTo(25.5, 9);
    expect(advice.dial?.value).toBeCloseTo(ask([reading(25.5)]).dial?.value ?? NaN, 9);
  });

  it('takes a reading that was asked about when it is typed again', () => {
    expect(ask([reading(25.626), reading(26.2), reading(26.2)]).next).not.toBe('ask');
    expect(because(ask([reading(12.8)]))).toContain('type it again');
  });

  it('sends a size that the gauge cannot prove to a finer one', () => {
    const caliper = shop.gauges.find((g) => g.id === 'caliper');
    const advice = adviseWith(h6, [reading(24.993)], { machine: lathe('radius', '0.02', 'mm'), gauge: caliper, material: 'mild-steel', nose: 0.4 });
    expect(advice.next).toBe('changeGauge');
  });

  it('leaves withdrawn and unreadable entries out', () => {
    const wrong = reading(99);
    const entries: Entry[] = [
      reading(25.6),
      wrong,
      { ...entry(), kind: 'withdrawn', entry: wrong.id },
      { ...reading(1), value: { text: 'x', units: 'mm' } } as Entry,
    ];
    expect(eventsOf(entries)).toEqual([{ kind: 'reading', size: 25.6, celsius: 20, text: '25.6', units: 'mm' }]);
  });

  it('answers without a job: the dial question', () => {
    expect(advise(h6, [reading(25.626)], shop, {}).dial?.value).toBeCloseTo(0.16, 9);
    expect(advise(h6, [reading(25.7, 60)], shop, { material: 'aluminium' }).cold?.value).toBeCloseTo(25.7 - 25.7 * 23.6e-6 * 40, 6);
  });

  it('gives chances that make a whole', () => {
    fc.assert(
      fc.property(fc.double({ min: 24.9, max: 26, noNaN: true }), (size) => {
        const { chanceIn, chanceShort, chancePast } = ask([reading(Number(size.toFixed(3)))]);
        expect(chanceIn + chanceShort + chancePast).toBeCloseTo(1, 6);
      }),
    );
  });
});
