import { fit } from './fits';
import { degreesToAssemble } from '../quantity';
import { boreCloses, degreesToChill, pressFit } from './pressFit';

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

describe('against the radial equilibrium itself, solved by finite differences', () => {
  /** Radial growth at `at` of a ring from a to b under a pressure of 1 N/mm2 on one of its faces: u'' + u'/r - u/r^2 = 0, plane stress. */
  function growthOf(a: number, b: number, modulus: number, poisson: number, on: 'inside' | 'outside'): number {
    const n = 4000;
    const h = (b - a) / n;
    // unknowns u0..un, one row each: [before, own, after] and right side
    const rows = Array.from({ length: n + 1 }, (_, i): [number, number, number, number] => {
      const r = a + i * h;
      return [1 / h ** 2 - 1 / (2 * h * r), -2 / h ** 2 - 1 / r ** 2, 1 / h ** 2 + 1 / (2 * h * r), 0];
    });
    // at the faces the radial stress E / (1 - nu^2) (u' + nu u / r) is given; the point beyond the face is eliminated
    const stiff = modulus / (1 - poisson ** 2);
    const face = (i: number, r: number, outward: 1 | -1, stress: number) => {
      const row = rows[i];
      if (!row) return;
      const [before, own, after] = row;
      const beyond = outward === 1 ? after : before;
      // u beyond = u within + outward 2 h (stress / stiff - nu u / r)
      const shared = beyond;
      const within = (outward === 1 ? before : after) + shared;
      const ownNow = own - outward * 2 * h * (poisson / r) * shared;
      const right = -outward * 2 * h * (stress / stiff) * shared;
      rows[i] = outward === 1 ? [within, ownNow, 0, right] : [0, ownNow, within, right];
    };
    face(0, a, -1, on === 'inside' ? -1 : 0);
    face(n, b, 1, on === 'outside' ? -1 : 0);
    // Thomas: forward, then back
    for (let i = 1; i <= n; i++) {
      const [up, row] = [rows[i - 1], rows[i]];
      if (!up || !row) continue;
      const by = row[0] / up[1];
      rows[i] = [0, row[1] - by * up[2], row[2], row[3] - by * up[3]];
    }
    const u: number[] = Array.from({ length: n + 1 }, () => 0);
    for (let i = n; i >= 0; i--) {
      const row = rows[i];
      if (row) u[i] = (row[3] - row[2] * (u[i + 1] ?? 0)) / row[1];
    }
    return on === 'inside' ? (u[0] ?? NaN) : (u[n] ?? NaN);
  }

  it.each([
    ['one steel', { modulus: 206000, poisson: 0.3 }, { modulus: 206000, poisson: 0.3 }, 20, 25, 50],
    ['aluminium on steel', { modulus: 69000, poisson: 0.33 }, { modulus: 206000, poisson: 0.3 }, 10, 40, 70],
    ['thin bush in iron', { modulus: 100000, poisson: 0.26 }, { modulus: 100000, poisson: 0.34 }, 20, 25, 60],
  ])('%s', (_, hub, shaft, inside, d, outside) => {
    // both faces move under the same pressure until they close the interference
    const opens = growthOf(d / 2, outside / 2, hub.modulus, hub.poisson, 'inside');
    const closes = -growthOf(inside / 2, d / 2, shaft.modulus, shaft.poisson, 'outside');
    const pressure = 0.02 / 2 / (opens + closes);
    const found = pressFit({ interference: 0.02, diameter: d, outside, inside, length: 10, friction: 0.1, hub, shaft });
    expect(pressure / found.pressure).toBeCloseTo(1, 5);
  });
});

describe('chilling, with the expansion that metal has down there', () => {
  it.each([
    // contraction from 20 to -196 C: steel 0.20 %, 6061 aluminium 0.39 %, brass 0.35 %; cryogenic tables, from memory
    ['steel', 11.7, 0.002],
    ['aluminium', 23.4, 0.0039],
    ['brass', 20.0, 0.0035],
  ])('%s shrinks down to liquid nitrogen by what is published, within a tenth', (_, alpha, share) => {
    const d = 50;
    expect(Math.abs(degreesToChill(share * d, 0, d, alpha) - 216) / 216).toBeLessThan(0.12);
  });

  it('by a little it is the plain rule, and what no cold does is endless', () => {
    expect(degreesToChill(0.005, 0, 50, 11.5)).toBeCloseTo(degreesToAssemble(0.005, 0, 50, 11.5), 0);
    expect(degreesToChill(1, 0, 50, 11.5)).toBe(Infinity);
  });
});

describe('a bush that is pressed in (Lame, thick cylinders)', () => {
  const elastic = { modulus: 110_000, poisson: 0.34 };
  const closes = (inside: number, outside = 400) =>
    boreCloses({ interference: 0.04, diameter: 20, outside, inside, length: 20, friction: 0.1, hub: elastic, shaft: elastic });
  it('a thin one in a stout seat closes by nearly all of its interference, a thick one by much less, a drilled rod hardly', () => {
    expect(closes(19)).toBeGreaterThan(0.9 * 0.04);
    expect(closes(19)).toBeLessThan(0.04);
    expect(closes(12)).toBeLessThan(closes(16));
    expect(closes(1)).toBeLessThan(0.15 * 0.04);
  });
  it('a bush of 20 x 16 with 0.04: by hand p = 0.04 / (20 ((1 + nu) / E + (C - nu) / E)), C = (400 + 256) / (400 - 256); then 2 p d i d / (E (d2 - i2))', () => {
    const C = 656 / 144;
    const ofHub = (400 ** 2 + 400) / (400 ** 2 - 400);
    const p = 0.04 / (20 * ((ofHub + 0.34) / 110_000 + (C - 0.34) / 110_000));
    expect(closes(16)).toBeCloseTo((2 * p * 16 * 400) / (110_000 * 144), 12);
  });
});
