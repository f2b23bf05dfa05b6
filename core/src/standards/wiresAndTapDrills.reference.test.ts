import fc from 'fast-check';
import { drillIndex, drillNamed } from './drills';
import { percentOfThread, tapDrills } from './tapDrills';
import { threadLimits } from './threads';
import { bestWire, overWires, overWiresByContact, pitchDiameterOver, wires } from './wires';

/* Three wires: every value computed apart (elementary formula, and a solved contact for the lead), none published; in the unit named.
   The pitch diameter is the basic one as the standard prints it: three decimals of a millimetre, four of an inch. */
const overThree: readonly (readonly [
  name: string,
  unit: 'mm' | 'in',
  pitchDiameter: number,
  pitch: number,
  half: number,
  best: number,
  wire: number,
  ignored: number,
  least: number,
  most: number,
])[] = [
  ['1/4-20 UNC', 'in', 0.2175, 0.05, 30, 0.02887, 0.02887, 0.26081, 0.260917, 0.260925],
  ['M20x2.5', 'mm', 18.376, 2.5, 30, 1.44338, 1.4434, 20.5411, 20.54309, 20.54317],
  ['Tr16x4', 'mm', 14, 4, 15, 2.07055, 2.0706, 16.6067, 16.63623, 16.63749],
  ['3/4-10 UNC', 'in', 0.685, 0.1, 30, 0.05774, 0.05774, 0.77162, 0.771707, 0.771711],
  ['0 BA', 'mm', 5.4, 1, 23.75, 0.54626, 0.5463, 6.1664, 6.16829, 6.16837],
  ['3/8-16 UNC', 'in', 0.3344, 0.0625, 30, 0.03608, 0.03608, 0.38851, 0.388604, 0.388609],
  ['1/4-20 BSW', 'in', 0.218, 0.05, 27.5, 0.02818, 0.02818, 0.25918, 0.259305, 0.259312],
  ['M6x1', 'mm', 5.35, 1, 30, 0.57735, 0.5774, 6.2162, 6.21763, 6.21771],
  ['Tr20x4', 'mm', 18, 4, 15, 2.07055, 2.0706, 20.6067, 20.62476, 20.62533],
];

describe('measurement over three wires', () => {
  it.each(overThree)('%s', (_, unit, pitchDiameter, pitch, half, best, wire, ignored, least, most) => {
    expect(bestWire(pitch, half)).toBeCloseTo(best, 5);
    const flat = overWires({ pitchDiameter, pitch, half, lead: 0 }, wire);
    const corrected = overWires({ pitchDiameter, pitch, half }, wire);
    expect(Math.abs(flat - ignored)).toBeLessThan(unit === 'mm' ? 0.00006 : 0.000006);
    expect(corrected).toBeGreaterThan(least - 1e-5);
    expect(corrected).toBeLessThan(most + 1e-5);
    // the lesser of the two was solved by contact
    expect(Math.abs(overWiresByContact({ pitchDiameter, pitch, half }, wire) - least)).toBeLessThan(unit === 'mm' ? 0.000006 : 0.0000006);
  });

  it('by contact, without a lead it is the plain groove; of many starts the formula is further off (geometry)', () => {
    const form = { pitchDiameter: 14, pitch: 4, half: 15 };
    expect(overWiresByContact({ ...form, lead: 0 }, 2.07)).toBeCloseTo(overWires({ ...form, lead: 0 }, 2.07), 6);
    const off = (lead: number) => overWires({ ...form, lead }, 2.07) - overWiresByContact({ ...form, lead }, 2.07);
    expect(off(8)).toBeGreaterThan(5 * off(4));
    expect(off(4)).toBeGreaterThan(0.001);
  });

  it('leads back to the pitch diameter, whatever the wire', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 2, max: 60, noNaN: true }),
        fc.double({ min: 0.06, max: 0.2, noNaN: true }),
        fc.double({ min: 0.52, max: 1, noNaN: true }),
        (e, share, w) => {
          const form = { pitch: e * share, half: 30 };
          const wire = w * form.pitch;
          expect(pitchDiameterOver(overWires({ ...form, pitchDiameter: e }, wire), form, wire)).toBeCloseTo(e, 7);
        },
      ),
    );
  });

  it('allows 0.505 to 1.010 of the pitch on 60 degrees (handbook, from memory)', () => {
    const read = wires('M12x1.5-6g');
    if (!read.ok) throw new Error('M12x1.5');
    expect(read.smallest / 1.5).toBeCloseTo(0.505, 3);
    expect(read.largest / 1.5).toBeCloseTo(1.01, 3);
    expect((read.over.max ?? 0) - (read.over.min ?? 0)).toBeCloseTo(0.14, 3);
  });

  it.each(['M12-6H', 'x', '1/2-13 UNC-2B'])('says why %s has none', (designation) => {
    expect(wires(designation).ok).toBe(false);
  });

  it('refuses a wire that does not touch the flanks', () => {
    expect(wires('M12x1.5-6g', 0.5).ok).toBe(false);
    expect(wires('M12x1.5-6g', 2).ok).toBe(false);
    expect(wires('M12x1.5-6g', 0.9).ok).toBe(true);
  });
});

/* DIN 336, mm; from memory, from the same reference list as the table of the code: it guards against slips, it is no second source. */
const metric: readonly (readonly [designation: string, drill: number])[] = [
  ['M10x1', 9],
  ['M20', 17.5],
  ['M2', 1.6],
  ['M2.5', 2.05],
  ['M22', 19.5],
  ['M1.8', 1.45],
  ['M10x1.25', 8.8],
  ['M20x1.5', 18.5],
  ['M4', 3.3],
  ['M16x1.5', 14.5],
  ['M2.2', 1.75],
  ['M24', 21],
  ['M1.6', 1.25],
  ['M30', 26.5],
  ['M10', 8.5],
  ['M27', 24],
  ['M8', 6.8],
];

/* Customary drill in inches and the percentage of thread it leaves; US handbooks, from memory, medium confidence; percentages computed. */
const customary: readonly (readonly [designation: string, inches: number, percent: number])[] = [
  ['#10-32', 0.159, 76.4],
  ['#12-24', 0.177, 72.1],
  ['7/16-20', 0.3906, 72.2],
  ['1/4-20', 0.201, 75.4],
  ['7/8-14', 0.8125, 67.4],
  ['1-12', 0.9219, 72.2],
  ['7/8-9', 0.7656, 75.8],
  ['#5-40', 0.1015, 72.4],
  ['1/2-13', 0.4219, 78.2],
  ['#3-48', 0.0785, 75.7],
  ['#10-24', 0.1495, 74.8],
  ['9/16-12', 0.4844, 72.2],
  ['3/8-24', 0.332, 79.4],
  ['9/16-18', 0.5156, 65],
  ['#6-32', 0.1065, 77.6],
  ['#6-40', 0.113, 77],
  ['1-8', 0.875, 77],
  ['#3-56', 0.082, 73.3],
  ['#8-32', 0.136, 69],
  ['#12-28', 0.182, 73.3],
  ['#2-64', 0.07, 78.8],
  ['5/16-18', 0.257, 76.9],
  ['#1-64', 0.0595, 66.5],
];

const every = (['number', 'letter', 'fraction', 'metric'] as const).flatMap(drillIndex);

describe('tap drills', () => {
  it.each(metric)('%s is drilled %d', (designation, drill) => {
    const read = tapDrills(designation, { drills: drillIndex('metric') });
    expect(read.ok && read.drills[0]).toMatchObject({ standard: true, diameter: drill });
  });

  it.each(customary)('%s is drilled %d in, %d percent', (designation, inches, percent) => {
    const read = tapDrills(designation, { drills: every });
    if (!read.ok) throw new Error(designation);
    const usual = read.drills.find((d) => d.standard && d.set !== 'metric');
    expect((usual?.diameter ?? 0) / 25.4).toBeCloseTo(inches, 4);
    expect(usual?.percent).toBeCloseTo(percent, 0);
    expect(percentOfThread(read.thread, inches * 25.4)).toBeCloseTo(percent, 0);
  });

  it('takes tough stock towards the largest minor diameter, but not over it (tough-tap, common practice: 64-69 percent from M5 up)', () => {
    for (const designation of ['M5', 'M8', 'M10', 'M12', '1/4-20', '3/8-16', '1/2-13']) {
      const read = tapDrills(designation, { drills: every, material: 'stainless-316' });
      const limits = threadLimits(designation.startsWith('M') ? `${designation}-6H` : `${designation}-2B`);
      if (!read.ok || !limits.ok) throw new Error(designation);
      const [first] = read.drills;
      expect(first?.within).toBe('in');
      expect(first?.diameter ?? 99).toBeLessThanOrEqual((limits.minor.max ?? 0) + 1e-6);
      expect(first?.percent).toBeGreaterThan(62);
      expect(first?.percent).toBeLessThan(72);
    }
  });

  it('takes the percentage asked for, marks what is out of class, and says what is no thread', () => {
    const read = tapDrills('M10', { drills: every, percent: 80 });
    if (!read.ok) throw new Error('M10');
    expect(Math.abs((read.drills[0]?.percent ?? 0) - 80)).toBeLessThan(4);
    expect(read.drills.filter((d) => d.within === 'open').every((d) => d.diameter > 8.676)).toBe(true);
    expect(tapDrills('bolt', { drills: every }).ok).toBe(false);
    expect(drillNamed('8.5')?.diameter).toBe(8.5);
  });
});
