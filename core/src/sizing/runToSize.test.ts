/* The run to size: where a reading stands on its way, and chances as they are said. */
import { coldReadings, oddsSaid, runToSize } from './runToSize';

const wanted = { nominal: 25, max: 25, min: 24.987, from: 'class' as const };

it('each decade of what is still to come off is as wide as the last', () => {
  const run = runToSize(wanted, 'outside', [25.9], 'mm');
  const [one, tenth, hundredth] = [run.at(26), run.at(25.1), run.at(25.01)];
  expect(tenth - one).toBeCloseTo(hundredth - tenth, 9);
  expect(run.decades.map((d) => d.rest)).toEqual([1, 0.1, 0.01].map((r) => expect.closeTo(r, 12) as number));
  for (const { rest, at } of run.decades) expect(run.at(25 + rest)).toBeCloseTo(at, 9);
});

it('never runs backwards, and the limits lie between its ends', () => {
  const run = runToSize(wanted, 'outside', [25.9], 'mm');
  const sizes = Array.from({ length: 2000 }, (_, i) => 26.2 - i * 0.0007);
  const stands = sizes.map(run.at);
  stands.forEach((s, i) => expect(s).toBeGreaterThanOrEqual((stands[i - 1] ?? 0) - 1e-12));
  expect(run.at(25)).toBeCloseTo(run.band[0], 3);
  expect(run.at(24.987)).toBeCloseTo(run.band[1], 9);
  expect(run.at(20)).toBe(1);
  expect(run.at(40)).toBe(0);
});

it('of a bore it runs the other way: what is small stands left', () => {
  const run = runToSize({ nominal: 25, max: 25.021, min: 25, from: 'class' }, 'bore', [24.2, 24.9], 'mm');
  expect(run.at(24.2)).toBeLessThan(run.at(24.9));
  expect(run.at(25.01)).toBeGreaterThan(run.band[0]);
  expect(run.at(25.03)).toBeGreaterThan(run.band[1]);
});

it('in inches the decades are of inches', () => {
  const run = runToSize({ nominal: 25.4, max: 25.4, min: 25.3746, from: 'class' }, 'outside', [27], 'in');
  expect(run.decades.map((d) => d.rest / 25.4)).toEqual([0.1, 0.01, 0.001].map((r) => expect.closeTo(r, 12) as number));
  for (const { rest, at } of run.decades) expect(run.at(25.4 + rest)).toBeCloseTo(at, 9);
});

it('a warm reading stands where it will be cold: 100 mm of steel lose 0.0115 for each 10 degrees', () => {
  const text = (mm: string) => ({ value: { text: mm, units: 'mm' as const } });
  const [cold = 0, warm = 0] = coldReadings([text('100'), { ...text('100'), celsius: 30 }, text('none')], 'mild-steel', []);
  expect(cold).toBe(100);
  // 11 to 12 millionths a degree, by any handbook
  expect(cold - warm).toBeGreaterThan(0.011);
  expect(cold - warm).toBeLessThan(0.0121);
});

it.each([
  [0.95, '19 in 20'],
  [0.9, '9 in 10'],
  [0.0025, '1 in 400'],
  [0.05, '1 in 20'],
  [0.5, '1 in 2'],
  [0.75, '3 in 4'],
  [1e-6, 'hardly ever'],
  [0.99999, 'as good as sure'],
])('%s is said “%s”', (chance, words) => expect(oddsSaid(chance)).toBe(words));
