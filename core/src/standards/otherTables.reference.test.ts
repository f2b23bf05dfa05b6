import { formulas } from '../quantity';
import { centreFor } from './centres';
import { centresFormA } from './centres.table';
import { generalAngleTolerance, generalEdgeTolerance, generalTolerance } from './generalTolerances';
import { kienzle } from './kienzle.table';
import { materialOf } from './materials';
import { materials } from './materials.table';

/* DIN 332-1 form A: pilot, mouth in mm; from memory, medium confidence. */
describe('DIN 332-1 centres, form A', () => {
  it.each([
    [2.5, 5.3],
    [3.15, 6.7],
    [4, 8.5],
    [5, 10.6],
    [10, 21.2],
  ])('pilot %d opens to %d', (pilot, mouth) => {
    expect(centresFormA.find(([d1]) => d1 === pilot)?.[1]).toBe(mouth);
  });

  it('keeps the mouth under half of the end it stands in (common practice)', () => {
    for (const diameter of [6, 12, 19, 25, 60]) expect(centreFor(diameter).mouth).toBeLessThan(diameter / 2);
  });

  it('grows with the work and stops at what a small tailstock drills', () => {
    expect(centreFor(12).pilot).toBeLessThan(centreFor(25).pilot);
    expect(centreFor(200).pilot).toBe(4);
    expect(centreFor(2).pilot).toBe(1);
  });
});

/* ISO 2768-1:1989 table 1, plus and minus in mm; from memory. */
describe('ISO 2768-1 linear sizes without a tolerance', () => {
  it.each([
    [2, 'f', 0.05],
    [3, 'm', 0.1],
    [3.01, 'm', 0.1],
    [6.01, 'm', 0.2],
    [25, 'f', 0.1],
    [25, 'm', 0.2],
    [25, 'c', 0.5],
    [25, 'v', 1],
    [100, 'm', 0.3],
    [121, 'm', 0.5],
    [401, 'f', 0.3],
    [2001, 'c', 4],
  ])('%d mm, class %s: %d', (nominal, letter, deviation) => {
    expect(generalTolerance(nominal, letter)).toBe(deviation);
  });

  it.each([
    [0.4, 'm'],
    [3, 'v'],
    [2500, 'f'],
    [5000, 'm'],
    [25, 'x'],
  ])('has none for %d mm, class %s', (nominal, letter) => {
    expect(generalTolerance(nominal, letter)).toBeUndefined();
  });
});

/* ISO 2768-1:1989 tables 2 and 3; from memory. */
describe('ISO 2768-1 edges and angles', () => {
  it.each([
    [2, 'm', 0.2],
    [5, 'f', 0.5],
    [10, 'c', 2],
  ])('an edge of %d mm, class %s: %d', (size, letter, deviation) => expect(generalEdgeTolerance(size, letter)).toBe(deviation));

  it.each([
    [8, 'm', 1],
    [30, 'f', 0.5],
    [100, 'c', 0.5],
    [500, 'v', 1 / 3],
  ])('an angle with a leg of %d mm, class %s: %d degrees', (leg, letter, deviation) =>
    expect(generalAngleTolerance(leg, letter)).toBeCloseTo(deviation, 9),
  );
});

describe('materials', () => {
  /* alpha 20-100 C in millionths a degree, E in GPa, density in kg/m3: the bands in which handbooks differ; from memory. */
  it.each([
    ['mild-steel', 11.11, 12.29, 194.8, 215.2, 7752, 7988],
    ['alloy-steel', 11.69, 12.92, 194.8, 215.2, 7732, 7968],
    ['stainless-316', 15.2, 16.8, 183.3, 202.7, 7880, 8120],
    ['aluminium', 22.42, 24.78, 65.5, 72.3, 2660, 2740],
    ['aluminium-7075', 22.23, 24.57, 68.1, 75.3, 2768, 2852],
    ['brass', 19.47, 21.53, 92.1, 101.9, 8363, 8617],
    ['grey-iron', 9.45, 11.55, 85, 115, 7092, 7308],
  ])('%s lies within the bands', (id, ...bands) => {
    const { alpha, modulus, density } = materialOf(id);
    [alpha, modulus, density].forEach((value, i) => {
      expect(value).toBeGreaterThanOrEqual(bands[2 * i] ?? NaN);
      expect(value).toBeLessThanOrEqual(bands[2 * i + 1] ?? NaN);
    });
  });

  /* Kienzle/Victor type list, from memory */
  it.each([
    ['E360', 2260, 0.3],
    ['EN-GJL-250', 1160, 0.26],
    ['X5CrNi18-10', 2350, 0.21],
    ['18CrNi6', 2260, 0.3],
    ['C45E', 2220, 0.14],
    ['C60E', 2130, 0.18],
    ['42CrMo4', 2500, 0.26],
  ])('%s: kc1.1 %d, mc %d', (name, kc, mc) => {
    expect(kienzle.find((row) => row[0] === name)?.slice(1, 3)).toEqual([kc, mc]);
  });

  /* Kienzle with the lead angle: computed apart from kc1.1 and mc; kc in N/mm2, force in N */
  it.each([
    ['16MnCr5', 1, 0.1, 93, 3820.8, 3824.6, 382.1, 382.5],
    ['42CrMo4', 2, 0.2, 95, 3800.9, 3804.7, 1520.4, 1521.9],
    ['E295', 4, 0.4, 75, 2546.9, 2549.5, 4075.1, 4079.1],
  ])('%s, %d mm deep, %d mm/rev, %d degrees', (name, ap, f, kappa, ...bands) => {
    const [, kc, mc] = kienzle.find((row) => row[0] === name) ?? [];
    const force = formulas.forceAtAngle.compute({ kc: kc ?? NaN, mc: mc ?? NaN, ap, f, kappa });
    [force / (ap * f), force].forEach((value, i) => {
      expect(value).toBeGreaterThanOrEqual(bands[2 * i] ?? NaN);
      expect(value).toBeLessThanOrEqual(bands[2 * i + 1] ?? NaN);
    });
  });

  /* Specific cutting force, Kienzle list: kc1.1 in N/mm2 and exponent; from memory. */
  it.each([
    ['mild-steel', 1780, 0.17],
    ['steel-45', 2220, 0.14],
    ['alloy-steel', 2500, 0.26],
    ['stainless-316', 2350, 0.21],
    ['brass', 780, 0.18],
    ['silver-steel', 2260, 0.3],
  ])('%s: kc1.1 %d, mc %d', (id, kc, mc) => {
    expect(materialOf(id)).toMatchObject({ kc, mc });
  });

  /* Starting speeds, m/min: inside the span of the handbooks; from memory. */
  it.each([
    ['mild-steel', 27, 37, 120, 210],
    ['steel-45', 20, 30, 100, 180],
    ['alloy-steel', 18, 27, 90, 160],
    ['free-cutting-steel', 45, 60, 150, 270],
    ['stainless-303', 24, 37, 90, 150],
    ['stainless-316', 15, 22, 60, 110],
    ['aluminium', 100, 200, 250, 500],
    ['brass', 60, 100, 150, 300],
    ['bronze', 30, 60, 90, 180],
    ['silver-steel', 12, 20, 45, 90],
    ['acetal', 100, 200, 150, 300],
  ])('%s starts at a speed of the handbooks', (id, hssFrom, hssTo, carbideFrom, carbideTo) => {
    const { hss, carbide } = materialOf(id);
    expect(hss >= hssFrom && hss <= hssTo).toBe(true);
    expect(carbide >= carbideFrom && carbide <= carbideTo).toBe(true);
  });

  it('takes mild steel for a material it does not know, and names each but once', () => {
    expect(materialOf('unobtainium').id).toBe('mild-steel');
    expect(new Set(materials.map((m) => m.id)).size).toBe(materials.length);
  });
});
