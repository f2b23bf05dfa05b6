/* Runout as a distribution, by Monte Carlo; pieces on bars; what a holding is weighed by. Rules of the trade marked common practice. */
import fc from 'fast-check';
import type { Bar } from '../document';
import { practice, startingShop } from '../shop';
import { partsOf } from './against';
import { gripOf } from './grip';
import { nest } from './nesting';
import { runoutOf } from './runout';
import { squeezeOf } from './squeeze';

/** A generator of its own, so that every run draws the same. */
function drawn(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return (state + 0.5) / 2 ** 32;
  };
}

describe('runout', () => {
  it('of several chuckings together: 19 of 20 stay within the root of the sum of squares, by drawing each eccentricity 40,000 times', () => {
    const random = drawn(20261125);
    const normal = () => Math.sqrt(-2 * Math.log(random())) * Math.cos(2 * Math.PI * random());
    const tirs = [0.08, 0.02, 0.012];
    // a reading kept to in 19 of 20: TIR / 2 is 2.448 standard deviations of each direction
    const sigmas = tirs.map((t) => t / 2 / Math.sqrt(-2 * Math.log(0.05)));
    const { expected, within } = runoutOf(tirs.map((tir) => ({ words: '', tir })));
    const limits = [0.02, 0.05, expected.value, 0.12];
    const counts = limits.map(() => 0);
    const draws = 40_000;
    for (let i = 0; i < draws; i++) {
      const [x, y] = [0, 1].map(() => sigmas.reduce((sum, s) => sum + s * normal(), 0));
      const tir = 2 * Math.hypot(x ?? 0, y ?? 0);
      limits.forEach((limit, k) => {
        if (tir <= limit) counts[k] = (counts[k] ?? 0) + 1;
      });
    }
    limits.forEach((limit, k) => expect(Math.abs((counts[k] ?? 0) / draws - within(limit).value)).toBeLessThan(0.01));
  });

  it('in one chucking is that of spindle and cut; never less than its largest part', () => {
    expect(runoutOf([{ words: '', tir: practice.sameChucking }]).expected.value).toBe(practice.sameChucking);
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 1, maxLength: 5 }), (tirs) => {
        const { expected } = runoutOf(tirs.map((tir) => ({ words: '', tir })));
        expect(expected.value).toBeGreaterThanOrEqual(Math.max(...tirs) - 1e-9);
        expect(expected.value).toBeLessThanOrEqual(tirs.reduce((a, b) => a + b, 0) + 1e-9);
      }),
    );
  });

  it('a dialled four-jaw runs truer than a three-jaw as it falls (common practice)', () => {
    const of = (kind: string) => {
      const holding = startingShop().holdings.find((h) => h.kind === kind);
      if (!holding) throw new Error(kind);
      return runoutOf(partsOf(holding)).expected.value;
    };
    expect(of('fourJaw')).toBeLessThan(of('threeJaw') / 3);
  });
});

describe('pieces on bars', () => {
  const bar = (id: string, length: number): Bar => ({
    id,
    name: id,
    material: 'mild-steel',
    across: { text: '25', units: 'mm' },
    form: 'round',
    skin: 'drawn',
    length: { text: String(length), units: 'mm' },
  });

  it('takes the shortest bar that is enough, so that the long one stays whole', () => {
    const { cuts, missing } = nest(3, { each: 120, once: 0 }, [bar('long', 1000), bar('stub', 380)]);
    expect(missing).toBe(0);
    expect(cuts.map((c) => [c.bar.id, c.pieces, c.left.value, c.goesBack])).toEqual([['stub', 3, 20, false]]);
  });

  it('pulled through the spindle, the last piece leaves its grip and gap in the jaws', () => {
    expect(nest(3, { each: 120, once: 46 }, [bar('a', 400)]).missing).toBe(1);
    expect(nest(3, { each: 120, once: 40 }, [bar('a', 400)]).missing).toBe(0);
  });

  it('of bars alike the first by name, in whatever order they lie on the rack', () => {
    const [a, b] = [bar('a', 400), bar('b', 400)];
    for (const rack of [
      [a, b],
      [b, a],
    ])
      expect(nest(1, { each: 120, once: 0 }, rack).cuts.map((c) => c.bar.id)).toEqual(['a']);
  });

  it('never takes more of a bar than there is, makes every piece it can, and begins no bar in vain', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 50 }),
        fc.integer({ min: 20, max: 400 }),
        fc.integer({ min: 0, max: 60 }),
        fc.array(fc.integer({ min: 50, max: 3000 }), { maxLength: 6 }),
        (pieces, each, once, lengths) => {
          const bars = lengths.map((l, i) => bar(`b${String(i)}`, l));
          const { cuts, missing } = nest(pieces, { each, once }, bars);
          expect(cuts.reduce((sum, c) => sum + c.pieces, 0) + missing).toBe(pieces);
          for (const c of cuts) {
            expect(c.left.value).toBeGreaterThanOrEqual(once - 1e-6);
            expect(c.pieces).toBeGreaterThan(0);
          }
          const most = bars.reduce((sum, b) => sum + Math.max(0, Math.floor((Number(b.length.text) - once) / each)), 0);
          expect(missing).toBe(Math.max(0, pieces - most));
        },
      ),
    );
  });

  it('refuses a piece that takes nothing', () => {
    expect(() => nest(1, { each: 0, once: 0 }, [])).toThrow(RangeError);
  });
});

describe('what a holding is weighed by', () => {
  const chuck = startingShop().holdings.find((h) => h.kind === 'threeJaw');
  const collet = startingShop().holdings.find((h) => h.kind === 'collet');
  if (!chuck || !collet) throw new Error('no chuck');

  it('collets keep their grip at speed, jaws do not (common practice)', () => {
    expect(gripOf(collet, 12, true)?.loses).toBe(0);
    expect(gripOf(chuck, 12, true)?.loses).toBeCloseTo(2 / 3, 9);
  });

  it('hard jaws squeeze a thin wall, collets and thick walls are not told', () => {
    const wall = { outer: 20, inner: 18, long: 20 };
    expect(squeezeOf(chuck, wall, 205000)?.value).toBeGreaterThan(0.05);
    expect(squeezeOf(collet, wall, 205000)).toBeUndefined();
    expect(squeezeOf(chuck, { outer: 20, inner: 8, long: 20 }, 205000)).toBeUndefined();
  });

  it('two fingers are a third of what the chuck can; told from 5 micrometres, which a longer grip halves (common practice)', () => {
    const squeezed = (long: number, inner = 18) => squeezeOf(chuck, { outer: 20, inner, long }, 205000);
    const at = squeezed(20);
    expect(at?.of['W']).toBeCloseTo((chuck.newtons ?? NaN) / 3 / (chuck.jaw?.count ?? NaN), 9);
    const edge = (20 * (at?.value ?? NaN)) / 0.005;
    expect(squeezed(edge * 0.98)).toBeDefined();
    expect(squeezed(edge * 1.02)).toBeUndefined();
    // a ring is thin to half of its mean radius: 20 to 12 is, 20 to 11.9 is not
    expect(squeezed(0.1, 12.01)).toBeDefined();
    expect(squeezed(0.1, 11.99)).toBeUndefined();
  });
});

it('what was read is so: two readings stand in one line at the worst, and are never said to be less', () => {
  const read = (tir: number) => ({ words: '', tir, read: true as const });
  const two = runoutOf([read(0.02), read(0.015)]);
  expect(two.expected.value).toBeCloseTo(0.035, 6);
  expect(two.within(0.03).value).toBe(0);
  expect(two.within(0.036).value).toBe(1);
  // a likelihood of the same size would often be less
  expect(
    runoutOf([
      { words: '', tir: 0.02 },
      { words: '', tir: 0.015 },
    ]).expected.value,
  ).toBeCloseTo(0.025, 6);
});
