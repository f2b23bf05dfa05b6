/* What speaks against a way of holding, each on both sides of where it begins. Bounds: common practice (stick-out, short-grip, clearance); physics: a plain cantilever. */
import type { Holding, Shop } from '../document';
import type { Finding } from '../finding';
import { figure } from '../quantity';
import { midShop } from '../shop';
import type { Held, ToKeep } from './held';
import { type HoldingChoice, weighHoldings } from './hold';
import { spokenAgainst } from './speaks.table';

const cells = (mm: number) => ({ text: String(mm), units: 'mm' as const });
const shop: Shop = {
  ...midShop(),
  holdings: midShop().holdings.map((h) =>
    h.kind === 'threeJaw' ? { ...h, outside: { from: cells(3), to: cells(100) }, trueWithin: cells(0.1) } : h,
  ),
};
const [machine] = shop.machines;
const fixed = (mm: number) => () => figure('length', 'distance', { value: mm });
const MODULUS = 205_000;

const held = (more: Partial<Held> & { readonly out?: number; readonly gripped?: number } = {}): Held => {
  if (!machine) throw new Error('no machine');
  const { out = 40, gripped = 30, ...rest } = more;
  return {
    setup: 'right-1',
    diameter: 20,
    form: 'round',
    finished: false,
    room: 200,
    stickOut: fixed(out),
    grip: fixed(gripped),
    face: 0,
    centreAllowed: true,
    centreDrawn: false,
    hole: undefined,
    bore: undefined,
    length: out,
    largest: 20,
    wall: undefined,
    modulus: MODULUS,
    machine,
    wantsSpeed: 500,
    pull: 100,
    keep: [],
    clear: 10,
    ...rest,
  };
};
const kindOf = (id: string, of: Shop = shop) => of.holdings.find((h) => h.id === id)?.kind;
const way = (of: Held, kind: Holding['kind'] = 'threeJaw', support?: string, where: Shop = shop): HoldingChoice => {
  const found = weighHoldings(of, where).find((w) => kindOf(w.holding, where) === kind && (w.support.at(-1)?.kind ?? 'none') === (support ?? 'none'));
  if (!found) throw new Error(`${kind} with ${support ?? 'nothing'}`);
  return found;
};
const told = (choice: HoldingChoice, code: string) => choice.findings.find((f) => f.code === code)?.severity;

describe('stick-out (common practice: to 3 free, 3 to 5 lighter, over 5 the centre, over 10 to 12 a rest)', () => {
  it.each([
    [2.9, undefined, undefined],
    [3.1, 'note', undefined],
    [4.9, 'note', undefined],
    [5.1, 'caution', undefined],
    [9.9, 'caution', undefined],
    [10.1, 'caution', undefined],
    [11.9, 'caution', undefined],
    [12.1, 'caution', 'caution'],
  ] as const)('%d diameters: alone %s, with the centre %s', (diameters, alone, centre) => {
    const of = held({ out: 20 * diameters });
    expect(told(way(of), 'stick-out')).toBe(alone);
    expect(told(way(of, 'threeJaw', 'centre'), 'stick-out')).toBe(centre);
  });

  it('a bare 6 diameters weighs less than with the centre, 2 diameters more', () => {
    expect(way(held({ out: 120 })).score.value).toBeLessThan(way(held({ out: 120 }), 'threeJaw', 'centre').score.value);
    expect(way(held({ out: 40 })).score.value).toBeGreaterThan(way(held({ out: 40 }), 'threeJaw', 'centre').score.value);
  });
});

it('a light cut that bends the work over a tenth is told: F L^3 / 3 E I of a cantilever, in stiff jaws (geometry)', () => {
  const stiff: Shop = { ...shop, holdings: shop.holdings.map((h) => ({ ...h, lateral: 1e9, angular: 1e12 })) };
  const bendsAt = (long: number, d: number) => told(way(held({ out: long, diameter: d, largest: d }), 'threeJaw', undefined, stiff), 'bends');
  // 30 N bend 10 mm of steel by 0.1 mm at this length
  const length = Math.cbrt((0.1 * 3 * MODULUS * Math.PI * 10 ** 4) / 64 / 30);
  expect(bendsAt(length * 0.98, 10)).toBeUndefined();
  expect(bendsAt(length * 1.02, 10)).toBe('caution');
});

describe('grip', () => {
  it('under one diameter, alone, with more than one out, it is said; a centre is the fail-safe (short-grip)', () => {
    expect(told(way(held({ gripped: 19 })), 'short-grip')).toBe('note');
    expect(told(way(held({ gripped: 21 })), 'short-grip')).toBeUndefined();
    expect(told(way(held({ gripped: 19, out: 19 })), 'short-grip')).toBeUndefined();
    expect(told(way(held({ gripped: 19 }), 'threeJaw', 'centre'), 'short-grip')).toBeUndefined();
  });

  it('more than there is to hold is a caution', () => {
    expect(told(way(held({ gripped: 30, room: 29 })), 'grip-too-long')).toBe('caution');
    expect(told(way(held({ gripped: 30, room: 30 })), 'grip-too-long')).toBeUndefined();
  });

  it('slips from half of what would slip: friction 0.2 of the jaws’ force on a finished surface, 0.3 where they bite into bar, a third of it left at their most speed (EN 1550, from memory)', () => {
    const chuck = shop.holdings.find((h) => h.kind === 'threeJaw');
    if (chuck?.newtons === undefined) throw new Error('no force');
    const holds = (n: number, friction: number) => (friction * (chuck.newtons ?? 0) * (1 - (2 / 3) * (n / chuck.maxSpeed) ** 2)) / 2;
    for (const [finished, friction] of [
      [true, 0.2],
      [false, 0.3],
    ] as const)
      for (const speed of [0, chuck.maxSpeed / 2, chuck.maxSpeed]) {
        const pulled = (share: number) => told(way(held({ wantsSpeed: speed, finished, pull: holds(speed, friction) * share })), 'grip-slips');
        expect(pulled(0.98)).toBeUndefined();
        expect(pulled(1.02)).toBe('caution');
      }
  });
});

describe('room', () => {
  it('two millimetres from the last cut to the jaws (clearance, common practice)', () => {
    expect(told(way(held({ clear: 1.9 })), 'clearance')).toBe('caution');
    expect(told(way(held({ clear: 2 })), 'clearance')).toBeUndefined();
    expect(told(way(held({ clear: undefined })), 'clearance')).toBeUndefined();
  });

  it('what does not swing over the slide is a stop', () => {
    const of = (largest: number) => held({ largest, machine: { ...held().machine, swingOverSlide: cells(100) } });
    expect(told(way(of(100)), 'swing')).toBeUndefined();
    expect(told(way(of(100.1)), 'swing')).toBe('stop');
  });

  it('a chuck that does not close on it, a form that its jaws do not take, are stops', () => {
    expect(told(way(held({ diameter: 100, largest: 100 })), 'holding-range')).toBeUndefined();
    expect(told(way(held({ diameter: 100.1, largest: 100.1 })), 'holding-range')).toBe('stop');
    expect(told(way(held({ diameter: 2.9 })), 'holding-range')).toBe('stop');
    expect(told(way(held({ form: 'square' })), 'holding-form')).toBe('stop');
    expect(told(way(held({ form: 'square' }), 'fourJaw'), 'holding-form')).toBeUndefined();
    expect(told(way(held({ form: 'hex' })), 'holding-form')).toBeUndefined();
  });
});

describe('supports', () => {
  it('a steady blocks the carriage where nothing is drilled (steady, common practice)', () => {
    expect(told(way(held({ out: 120 }), 'threeJaw', 'steady'), 'steady-blocks')).toBe('stop');
    expect(told(way(held({ out: 120, hole: 30 }), 'threeJaw', 'steady'), 'steady-blocks')).toBeUndefined();
  });

  it('a centre hole that nobody drew is asked about; without its leave there is no centre (centre-allowed)', () => {
    expect(told(way(held(), 'threeJaw', 'centre'), 'centre-allowed')).toBe('note');
    expect(told(way(held({ centreDrawn: true }), 'threeJaw', 'centre'), 'centre-allowed')).toBeUndefined();
    expect(() => way(held({ centreAllowed: false }), 'threeJaw', 'centre')).toThrow();
  });

  it('a tailstock stands no further off than the bed is long', () => {
    const of = (out: number) => held({ out, machine: { ...held().machine, centres: cells(500) } });
    expect(told(way(of(499), 'threeJaw', 'centre'), 'bed-too-short')).toBeUndefined();
    expect(told(way(of(501), 'threeJaw', 'centre'), 'bed-too-short')).toBe('stop');
  });
});

describe('what has to run true to what was made before', () => {
  const keep = (limit: number): readonly ToKeep[] => [{ id: 'r', words: 'runout', limit, datum: 's1' }];

  it('is told where fewer than 19 of 20 chuckings keep it: a bare three-jaw does not, a wide limit it does', () => {
    expect(told(way(held({ keep: keep(0.05) })), 'runout')).toBe('caution');
    expect(told(way(held({ keep: keep(0.2) })), 'runout')).toBeUndefined();
  });

  it('jaws that mark weigh less on a finished surface than on one to be turned away', () => {
    const lost = (finished: boolean) => way(held({ finished }), 'collet').score.value - way(held({ finished })).score.value;
    expect(lost(true)).toBeGreaterThan(lost(false));
  });
});

it('a stop speaks as much against a holding as ten cautions, a note as a tenth of one, and what is not of the holding not at all', () => {
  const of = (code: Finding['code'], severity: Finding['severity']): Finding => ({ code, severity, about: 'x', says: [], why: [], mends: [] });
  expect(spokenAgainst([of('bends', 'caution')])).toBe(1);
  expect(spokenAgainst([of('swing', 'stop')])).toBeGreaterThanOrEqual(10 * spokenAgainst([of('bends', 'caution')]));
  expect(spokenAgainst([of('short-grip', 'note')])).toBeCloseTo(0.1, 9);
  expect(spokenAgainst([of('edges-sharp', 'stop'), of('gauge-too-coarse', 'caution')])).toBe(0);
});

describe('what is no chuck', () => {
  it('centres want a centre in both ends, an arbor a bore that it opens to', () => {
    expect(told(way(held(), 'centres'), 'holding-needs-centres')).toBe('stop');
    expect(told(way(held({ carried: 'centres' }), 'centres'), 'holding-needs-centres')).toBeUndefined();
    const arbor = shop.holdings.find((h) => h.kind === 'arbor');
    if (!arbor?.inside) return;
    const [from, to] = [Number(arbor.inside.from.text), Number(arbor.inside.to.text)];
    expect(told(way(held(), 'arbor'), 'holding-needs-bore')).toBe('stop');
    expect(told(way(held({ bore: from - 0.1 }), 'arbor'), 'holding-range')).toBe('stop');
    expect(told(way(held({ bore: to + 0.1 }), 'arbor'), 'holding-range')).toBe('stop');
    expect(told(way(held({ bore: (from + to) / 2 }), 'arbor'), 'holding-range')).toBeUndefined();
  });
});
