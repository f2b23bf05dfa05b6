import type { Entry } from '../document';
import { midShop } from '../shop';
import { adviseWith } from './advise';

/** A micrometer of the shop, and one whose anvils are worn by 4 um. */
const [lathe] = midShop().machines;
const mic = midShop().gauges.find((g) => g.kind === 'micrometer' && g.to.text === '50') ?? midShop().gauges.find((g) => g.kind === 'micrometer');
const worn = mic && { ...mic, reads: { text: '0.004', units: 'mm' as const } };
const wanted = { nominal: 25, max: 25, min: 24.987, from: 'class' as const };
const read = (text: string, more: object = {}): Entry => ({
  id: `r${text.replace('.', '')}`,
  at: '2026-11-02T08:00:00Z',
  by: 'me',
  piece: 1,
  step: 'finish-turn@s1',
  kind: 'reading',
  of: 's1.diameter',
  value: { text, units: 'mm' },
  gauge: mic?.id ?? '',
  ...more,
});
const at = (gauge: typeof mic, material = 'mild-steel') => ({ machine: lathe, gauge, gauges: gauge ? [gauge] : [], material, nose: 0.4 });

describe('a shop that is not at 20 degrees', () => {
  it('steel at the warmth of the room is advised as if both were at 20: work and micrometer shrink alike (ISO 1)', () => {
    const cold = adviseWith(wanted, [read('25.300', { room: 6 })], at(mic));
    const usual = adviseWith(wanted, [read('25.300')], at(mic));
    expect(cold.dial?.value).toBe(usual.dial?.value);
    expect(cold.cold?.value).toBeCloseTo(25.3, 3);
    // and it is not told to be warm
    expect(cold.because.some((r) => r.rule === 'hot-reads-big')).toBe(false);
  });

  it('aluminium in it is larger at 20 than a steel micrometer says, and the reading that is foretold is the one that will be seen', () => {
    const told = adviseWith(wanted, [read('25.300', { room: 6 })], at(mic, 'aluminium'));
    // (23 to 24 - 11.5) millionths x 25.3 mm x 14 degrees: 4 um, by any handbook
    expect((told.cold?.value ?? 0) - 25.3).toBeCloseTo(0.004, 3);
    expect(told.reads && told.expects.value - told.reads.value).toBeCloseTo(0.004, 3);
  });

  it('a piece warm from the cut in a cold shop is told to be warm against the room', () => {
    const told = adviseWith(wanted, [read('25.300', { room: 6, celsius: 20 })], at(mic));
    expect(told.because.some((r) => r.rule === 'hot-reads-big')).toBe(true);
  });
});

describe('a gauge that was found to read over', () => {
  it('counts: what a micrometer with worn anvils calls 25.002 is in, and what it calls 24.988 is past', () => {
    expect(adviseWith(wanted, [read('25.002')], at(worn)).cold?.value).toBeCloseTo(24.998, 6);
    expect(adviseWith(wanted, [read('24.988')], at(worn)).stands).not.toBe('in');
    expect(adviseWith(wanted, [read('24.988')], at(mic)).stands).toBe('in');
  });

  it('the next reading that is foretold is the one that the worn gauge will show', () => {
    const told = adviseWith(wanted, [read('25.304')], at(worn));
    expect(told.reads && told.reads.value - told.expects.value).toBeCloseTo(0.004, 6);
    expect(told.cold?.formula).toBe('coldSizeBy');
  });
});
