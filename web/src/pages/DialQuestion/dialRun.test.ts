/* The dial question keeps the run of its piece: it comes to an end, and gives no advice twice running without a new reason (common practice). */
import type { Limits } from '@obra/core/drawing';
import { midShop, startingShop } from '@obra/core/shop';
import { type Advice, advise } from '@obra/core/sizing';
import { cutTaken, entriesOf, keepReading, type Run, runSaid } from './dialRun';

const empty: Run = { past: [], kept: undefined };
const now = (size: number) => ({ text: size.toFixed(3), units: 'mm' as const, celsius: 20, gauge: '' });

/** An even number 0 to 1 from a seed. @source mulberry32, public domain */
function from(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), state | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** A piece that springs back, on a lathe whose slide is not quite true, asked about until it is told to stop. */
function asked(seed: number): { readonly readings: number; readonly said: readonly Advice[]; readonly in: boolean } {
  const even = from(seed);
  const shop = seed % 2 === 0 ? midShop() : startingShop();
  const reads = shop.machines[0]?.dials.cross?.reads;
  const width = [0.013, 0.021, 0.033, 0.1][seed % 4] ?? 0.05;
  const wanted: Limits = { nominal: 25, max: 25, min: 25 - width, from: 'typed' };
  const spring = 0.02 + 0.15 * even();
  let size = 25.3 + even();
  let edge = size - spring * 0.3;
  let run = empty;
  const said: Advice[] = [];
  for (let readings = 1; readings <= 25; readings++) {
    const taken = now(size + 0.003 * (even() - 0.5));
    const advice = advise(wanted, entriesOf(run, taken), shop, { kind: 'outside' });
    said.push(advice);
    if (advice.next === 'stop' || advice.next === 'changeGauge')
      return { readings, said, in: size <= wanted.max + 0.003 && size >= wanted.min - 0.003 };
    if (!advice.dial) {
      run = cutTaken(run, taken);
      continue;
    }
    run = cutTaken(run, { ...taken, dial: advice.dial.value });
    edge -= advice.dial.value * (reads === 'diameter' ? 1 : 2) + 0.004 * (even() - 0.5);
    size = Math.min(size, (edge + spring * size) / (1 + spring));
  }
  return { readings: Infinity, said, in: false };
}

it('ends on two hundred pieces, within a dozen readings, and tells the same thing twice running only of another size', () => {
  const all = Array.from({ length: 200 }, (_, seed) => asked(seed));
  expect(all.filter((a) => a.readings > 12).length).toBe(0);
  for (const { said } of all)
    for (const [i, advice] of said.entries()) {
      const before = said[i - 1];
      if (advice.dial && before?.dial && advice.dial.value < 0) expect(advice.dial.value === before.dial.value).toBe(false);
    }
});

it('keeps readings with what was dialled between; the same reading kept again is one', () => {
  const once = keepReading(empty, { ...now(25.62), dial: 0.16 });
  expect(keepReading(once, { ...now(25.62), dial: 0.16 })).toEqual(once);
  const twice = keepReading(once, { ...now(25.31), dial: 0.15 });
  expect(entriesOf(twice, now(25.0)).map((e) => e.kind)).toEqual(['reading', 'cut', 'reading', 'cut', 'reading']);
  expect(entriesOf(twice, now(25.31)).map((e) => e.kind)).toEqual(['reading', 'cut', 'reading']);
  expect(runSaid(twice, '25.000', (mm) => `${String(mm)} mm`, 'mm')).toBe('25.620 → dialled 0.16 mm → 25.310 → dialled 0.15 mm');
});

it('a piece within its limits is in, whatever its dial could still do', () => {
  const advice = advise({ nominal: 25, max: 25, min: 24.979, from: 'typed' }, entriesOf(empty, now(24.985)), midShop(), {});
  expect(['stop', 'changeGauge']).toContain(advice.next);
});
