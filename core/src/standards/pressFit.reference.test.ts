import { fit } from './fits';
import { degreesToAssemble, pressFit } from './pressFit';

const steel = { modulus: 206000, poisson: 0.3 };
const tightest = (text: string): number => {
  const found = fit(text);
  if (!found.ok) throw new Error(text);
  return -found.clearance.min;
};

describe('interference fits', () => {
  it('gives the pressure of the shrink-fit example of Timoshenko, Strength of Materials II: 4, 6 and 8 in, 0.005 in radial, 4050 psi', () => {
    const steelPsi = { modulus: 30e6, poisson: 0.3 };
    const { pressure } = pressFit({
      interference: 0.01,
      diameter: 12,
      outside: 16,
      inside: 8,
      length: 1,
      friction: 0.1,
      hub: steelPsi,
      shaft: steelPsi,
    });
    expect(pressure).toBeGreaterThan(4050);
    expect(pressure).toBeLessThan(4051);
  });

  it.each<[string, number, number, number, number, ...number[]]>([
    // Lame, computed apart and against a finite-difference solution: pressure N/mm2, force kN, torque N m
    ['80 H7/s6', 80, 160, 80, 0.15, 75.243, 75.394, 226.929, 227.383, 9077.15, 9095.33],
    ['25 H7/s6', 25, 50, 30, 0.12, 148.172, 148.468, 41.895, 41.978, 523.68, 524.73],
  ])('%s at its tightest', (text, diameter, outside, length, friction, ...bands) => {
    const found = pressFit({ interference: tightest(text), diameter, outside, length, friction, hub: steel, shaft: steel });
    const values = [found.pressure, found.force / 1000, found.torque];
    values.forEach((value, i) => {
      expect(value).toBeGreaterThanOrEqual(bands[2 * i] ?? NaN);
      expect(value).toBeLessThanOrEqual(bands[2 * i + 1] ?? NaN);
    });
  });

  it.each([
    // computed apart: degrees for interference and gap
    [0.059, 0.025, 50, 11.5, 145.94, 146.23],
    [0.048, 0.02, 25, 11.5, 236.29, 236.76],
    [0.059, 0.025, 50, 23.6, 71.12, 71.26],
    [0.078, 0.04, 80, 11.5, 128.13, 128.39],
  ])('%d interference and %d gap on %d mm, %d millionths: %d to %d degrees', (interference, gap, diameter, alpha, least, most) => {
    const degrees = degreesToAssemble(interference, gap, diameter, alpha);
    expect(degrees).toBeGreaterThanOrEqual(least);
    expect(degrees).toBeLessThanOrEqual(most);
  });

  it('a 50 mm hub with 0.10 interference and a hand gap of 0.05: 150 C in aluminium, 280 C in steel (common practice, worked from 20 C)', () => {
    expect(20 + degreesToAssemble(0.1, 0.05, 50, 23.6)).toBeCloseTo(147, 0);
    expect(20 + degreesToAssemble(0.1, 0.05, 50, 11.5)).toBeCloseTo(281, 0);
  });

  it('warns before the hub yields, presses nothing where there is clearance, and refuses what has no wall', () => {
    const base = { interference: 0.1, diameter: 25, outside: 40, length: 20, friction: 0.12, hub: { ...steel, yield: 235 }, shaft: steel };
    expect(pressFit(base).ofYield).toBeGreaterThan(1);
    expect(pressFit({ ...base, interference: -0.02 })).toMatchObject({ pressure: 0, force: 0 });
    expect(() => pressFit({ ...base, outside: 25 })).toThrow(RangeError);
    expect(() => pressFit({ ...base, inside: 25 })).toThrow(RangeError);
  });
});
