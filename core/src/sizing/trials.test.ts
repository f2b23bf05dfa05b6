/* The advice on simulated lathes that it does not know: are its forecasts as sure as they say, and does it land? A seeded sample; the whole is counted by the bench. */
import { judged } from '../planner/judged.fixture';
import { followed, plainly, type Seen, trial } from './trials.fixture';

const SEEDS = Array.from({ length: 500 }, (_, i) => i + 1);

describe('forecasts on five hundred lathes', () => {
  const seen: Seen[] = [];
  for (const seed of SEEDS) followed(trial(seed), seed, (one) => seen.push(one));
  const share = (of: readonly Seen[], is: (s: Seen) => boolean) => of.filter(is).length / of.length;

  it('central 50 % and 90 % intervals hold the true size as often as they say', () => {
    expect(seen.length).toBeGreaterThan(1000);
    expect(Math.abs(share(seen, (s) => s.at > 0.25 && s.at < 0.75) - 0.5)).toBeLessThan(0.05);
    expect(Math.abs(share(seen, (s) => s.at > 0.05 && s.at < 0.95) - 0.9)).toBeLessThan(0.03);
  });

  it.each(['gauge', 'dial', 'stiffness', 'heat'] as const)('also apart, by %s', (by) => {
    for (const name of new Set(seen.map((s) => s.of[by]))) {
      const of = seen.filter((s) => s.of[by] === name);
      if (of.length < 400) continue;
      expect(Math.abs(share(of, (s) => s.at > 0.25 && s.at < 0.75) - 0.5)).toBeLessThan(0.07);
      expect(Math.abs(share(of, (s) => s.at > 0.05 && s.at < 0.95) - 0.9)).toBeLessThan(0.07);
    }
  });

  it('are at least a third narrower than what was known before the first cut', () => {
    const sum = (of: (s: Seen) => number) => seen.reduce((total, s) => total + of(s), 0);
    expect(sum((s) => s.width) / sum((s) => s.priorWidth)).toBeLessThan(0.67);
  });
});

it('lands where the gauge and the dial can; in fewer cuts than halving, and oftener than taking the rest at once', () => {
  const able = SEEDS.filter((seed) => trial(seed).able);
  const way = (go: (seed: number) => ReturnType<typeof plainly>) => {
    const ends = able.map(go);
    return {
      in: ends.filter((e) => e.landed === 'in').length / ends.length,
      past: ends.filter((e) => e.landed === 'past').length / ends.length,
      cuts: ends.reduce((sum, e) => sum + e.cuts + e.readings, 0),
    };
  };
  const ours = way((seed) => followed(trial(seed), seed));
  const halving = way((seed) => plainly(trial(seed), seed, 0.5));
  const once = way((seed) => plainly(trial(seed), seed, 1));
  expect(able.length).toBeGreaterThan(80);
  expect(ours.in).toBeGreaterThanOrEqual(0.99);
  expect(ours.past).toBeLessThanOrEqual(0.005);
  expect(ours.in).toBeGreaterThanOrEqual(halving.in);
  expect(ours.cuts).toBeLessThan(halving.cuts);
  expect(ours.in).toBeGreaterThan(once.in);
});

it('where the gauge cannot prove the size, the end is to change the gauge, or a size past or out of reach: never a silent “in”', () => {
  for (const seed of SEEDS.slice(0, judged(SEEDS.length))) {
    const one = trial(seed);
    if (one.told.gaugeProves) continue;
    const ended = followed(one, seed);
    expect([seed, ended.said === 'in']).toEqual([seed, false]);
  }
});
