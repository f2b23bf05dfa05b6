/* The length of a known vector and an isotropic normal one. Sources beside each check. */
import { normalBelow } from './normal';
import { swingKept, swingLeft, swingWithin } from './swing';

/** Its distribution as an integral across the disc of the limit, by the midpoint rule. Geometry of the bivariate normal distribution. */
function acrossTheDisc(limit: number, read: number, spread: number): number {
  const deviation = spread / Math.sqrt(-2 * Math.log(0.05));
  const steps = 20_000;
  let sum = 0;
  for (let i = 0; i < steps; i++) {
    const x = -limit + (2 * limit * (i + 0.5)) / steps;
    const density = Math.exp(-((x - read) ** 2) / (2 * deviation ** 2)) / (deviation * Math.sqrt(2 * Math.PI));
    sum += density * (2 * normalBelow(Math.sqrt(limit ** 2 - x ** 2), 0, deviation) - 1);
  }
  return (sum * 2 * limit) / steps;
}

it.each([
  [0.03, 0.06, 0.005],
  [0.013, 0.012, 0.005],
  [0.03, 0.02, 0.02],
  [0.05, 0.001, 0.08],
  [0.1, 0.09, 0.006],
])('within %f, read %f, the rest %f: as the integral across the disc', (limit, read, spread) => {
  expect(swingWithin(limit, read, spread)).toBeCloseTo(acrossTheDisc(limit, read, spread), 5);
});

it('is the Rayleigh distribution where nothing was read: 1 - 0.05^((limit / spread)^2)', () => {
  for (const limit of [0.005, 0.02, 0.04]) expect(swingWithin(limit, 0, 0.02)).toBeCloseTo(1 - 0.05 ** ((limit / 0.02) ** 2), 10);
});

it('1 - Q1(1, 1) of Marcum is 0.26712 (tables, from memory)', () => {
  const spread = Math.sqrt(-2 * Math.log(0.05));
  expect(swingWithin(1, 1, spread)).toBeCloseTo(0.26712, 4);
});

it('series and normal limit meet where one takes over from the other', () => {
  const spread = 0.001;
  const deviation = spread / Math.sqrt(-2 * Math.log(0.05));
  const edge = deviation * Math.sqrt(2000);
  for (const off of [-2, -1, 0, 1, 2]) {
    const [before, after] = [0.999, 1.001].map((f) => swingWithin(f * edge + off * deviation, f * edge, spread));
    expect(before).toBeCloseTo(after ?? NaN, 2);
  }
});

it('what is kept and what may be left turn it round, and nothing beside it leaves just what was read', () => {
  expect(swingWithin(swingKept(0.012, 0.005), 0.012, 0.005)).toBeCloseTo(0.95, 6);
  expect(swingWithin(0.013, swingLeft(0.013, 0.005), 0.005)).toBeCloseTo(0.95, 6);
  expect(swingKept(0.012, 0)).toBeCloseTo(0.012, 9);
  expect(swingLeft(0.004, 0.005)).toBe(0);
});
