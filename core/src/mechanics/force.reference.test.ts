/* Rings and cutting forces. Roark: circular rings; Kienzle and Victor's list; shares and corrections from memory, their sources named beside them. */
import fc from 'fast-check';
import { cuttingForce, drillForces, partingForce } from './cuttingForce';
import { lobes, squeezed } from './ring';

describe('a ring squeezed by jaws (Roark, circular rings under equal radial loads, from memory)', () => {
  it.each([
    [2, 0.0744],
    [3, 0.0159],
    [6, 0.0017],
  ])('%d loads: %f W R^3 / E I under each', (n, share) => {
    expect(squeezed(n, 1, 1, 1).atLoad).toBeCloseTo(share, 4);
  });

  it('two loads: bulges by 0.0683 W R^3 / E I half way, moment W R / pi under the load', () => {
    const ring = squeezed(2, 1, 1, 1);
    expect(ring.between).toBeCloseTo(0.0683, 4);
    expect(ring.moment).toBeCloseTo(1 / Math.PI, 9);
    expect(lobes(ring)).toBeCloseTo(0.0744 + 0.0683, 3);
  });

  it('six jaws squeeze a ring out of round a good deal less than three (common practice: soft jaws all round for thin rings)', () => {
    expect(lobes(squeezed(3, 300, 25, 1e5)) / lobes(squeezed(6, 150, 25, 1e5))).toBeGreaterThan(10);
  });

  it('grows with the load and the third power of the radius', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 12 }), fc.double({ min: 1, max: 500, noNaN: true }), (n, R) => {
        const [one, two] = [squeezed(n, 10, R, 1e6), squeezed(n, 20, 2 * R, 1e6)];
        expect(two.atLoad / one.atLoad).toBeCloseTo(16, 6);
        expect(one.atLoad).toBeGreaterThan(0);
        expect(one.between).toBeGreaterThan(0);
      }),
    );
  });

  it('is refused with one load or no size', () => {
    expect(() => squeezed(1, 1, 1, 1)).toThrow(RangeError);
    expect(() => squeezed(3, 1, 0, 1)).toThrow(RangeError);
  });
});

describe('the force of a cut (Kienzle; list of Kienzle and Victor, from memory)', () => {
  it.each([
    ['16MnCr5', 2100, 0.26, 1, 0.1, 93, 382.1, 382.5],
    ['42CrMo4', 2500, 0.26, 2, 0.2, 95, 1520.4, 1521.9],
    ['E295', 1990, 0.26, 4, 0.4, 75, 4075.1, 4079.1],
  ])('%s', (_, kc, mc, depth, feed, lead, least, most) => {
    const { cutting } = cuttingForce(kc, mc, { depth, feed, lead });
    expect(cutting).toBeGreaterThanOrEqual(least);
    expect(cutting).toBeLessThanOrEqual(most);
  });

  it('pushes the work away with a flat lead and not with a square one', () => {
    const square = cuttingForce(2000, 0.2, { depth: 2, feed: 0.2, lead: 90 });
    const flat = cuttingForce(2000, 0.2, { depth: 2, feed: 0.2, lead: 45 });
    expect(square.passive).toBeLessThan(1e-9);
    expect(flat.passive).toBeCloseTo(flat.feed, 6);
  });

  it('with a depth under the nose it is the nose that cuts: the work is pushed away though the tool is square', () => {
    const light = cuttingForce(2000, 0.2, { depth: 0.1, feed: 0.1, lead: 90, nose: 0.4 });
    expect(light.passive).toBeGreaterThan(2 * light.feed);
    expect(light.wide).toBeCloseTo(0.4 * Math.acos(0.75), 9);
    expect(light.thick * light.wide).toBeCloseTo(0.01, 9);
  });

  it('joins nose and straight edge without a jump', () => {
    const at = (depth: number) => cuttingForce(2000, 0.2, { depth, feed: 0.1, lead: 75, nose: 0.8 });
    const full = 0.8 * (1 - Math.cos((75 * Math.PI) / 180));
    expect(at(full + 1e-9).cutting).toBeCloseTo(at(full - 1e-9).cutting, 4);
    expect(at(full + 1e-9).passive).toBeCloseTo(at(full - 1e-9).passive, 4);
  });

  it('more depth or feed is never less force; more rake or speed less, a worn edge more', () => {
    const cut = fc.record({
      depth: fc.double({ min: 0.02, max: 6, noNaN: true }),
      feed: fc.double({ min: 0.02, max: 0.6, noNaN: true }),
      lead: fc.double({ min: 30, max: 100, noNaN: true }),
      nose: fc.double({ min: 0, max: 1.2, noNaN: true }),
    });
    fc.assert(
      fc.property(cut, (c) => {
        const F = (more: object) => cuttingForce(2000, 0.22, { ...c, ...more }).cutting;
        expect(F({ depth: c.depth * 1.1 })).toBeGreaterThan(F({}));
        expect(F({ feed: c.feed * 1.1 })).toBeGreaterThan(F({}));
        expect(F({ rake: 12 })).toBeLessThan(F({}));
        expect(F({ speed: 30 })).toBeGreaterThan(F({}));
        expect(F({ worn: true })).toBeCloseTo(1.3 * F({}), 6);
      }),
    );
  });

  it('is refused for a cut of nothing', () => {
    expect(() => cuttingForce(2000, 0.2, { depth: 0, feed: 0.1 })).toThrow(RangeError);
    expect(() => cuttingForce(2000, 0.2, { depth: 1, feed: 0.1, lead: 0 })).toThrow(RangeError);
  });
});

describe('drills and blades', () => {
  it('10 mm in C45 at 0.2: about 11 N m and 2 kN (textbook order of size, from memory, 25 %)', () => {
    const { torque, thrust } = drillForces(2220, 0.14, { diameter: 10, feed: 0.2 });
    expect(torque / 1000).toBeGreaterThan(6);
    expect(torque / 1000).toBeLessThan(14);
    expect(thrust).toBeGreaterThan(1500);
    expect(thrust).toBeLessThan(4000);
  });

  it('a pilot hole takes most of the thrust and little of the torque (common practice)', () => {
    const full = drillForces(2000, 0.2, { diameter: 20, feed: 0.2 });
    const opened = drillForces(2000, 0.2, { diameter: 20, feed: 0.2, pilot: 6 });
    expect(opened.thrust / full.thrust).toBeLessThan(0.4);
    expect(opened.torque / full.torque).toBeGreaterThan(0.9);
  });

  it('a blade pushes with half of what it cuts', () => {
    const { cutting, passive } = partingForce(2000, 0.2, 3, 0.05);
    expect(passive / cutting).toBeCloseTo(0.5, 9);
    expect(() => partingForce(2000, 0.2, 0, 0.05)).toThrow(RangeError);
    expect(() => drillForces(2000, 0.2, { diameter: 5, feed: 0.1, pilot: 6 })).toThrow(RangeError);
  });
});
