/* What limits a cut. Kienzle, Taylor: textbooks named in the formulas; rules of the trade marked common practice. */
import fc from 'fast-check';
import type { Tool } from '../document';
import { cuttingForce } from '../mechanics';
import { formulas } from '../quantity';
import { midShop, startingShop } from '../shop';
import { materialOf } from '../standards';
import { edgeOf, type CuttingPlace, roughAsked, speedFor } from './data';
import { drillFeed, peckDepths } from './drilling';
import { bestFeed, type CutAsked, gripHolds, limitedAt, usesOf, windowOf } from './limits';
import { threadInfeeds } from './threadPasses';
import { edges, toolLife } from './toolLife';

const mild = materialOf('mild-steel');
const [machine] = midShop().machines;
const [turning] = midShop().tools;
if (!machine || !turning) throw new Error('the mid-size shop is empty');
const plain: Tool = {
  id: turning.id,
  name: turning.name,
  kind: 'turn',
  grade: 'carbide',
  hand: 'right',
  nose: { text: '0.8', units: 'mm' },
  lead: { text: '95', units: 'mm' },
};
const place = (more: Partial<CuttingPlace> = {}): CuttingPlace => ({ machine, material: mild, mostSpeed: 2500, ratio: 3, centre: false, ...more });
const asked = (more: Partial<CutAsked> = {}): CutAsked => ({ ...roughAsked(place(), plain, 25, 710), ...more });

describe('common practice', () => {
  it('a mid-size lathe takes 2.5 mm of depth in 25 mm mild steel at three to one', () => {
    const { binding } = limitedAt(asked(), 0.2);
    expect(binding.most.value).toBeGreaterThanOrEqual(2.4);
    expect(binding.most.value).toBeLessThanOrEqual(2.6);
  });

  it('and 1 mm at six to one without a centre', () => {
    expect(limitedAt(asked({ ratio: 6 }), 0.2).binding.most.value).toBeCloseTo(1, 6);
  });

  it('a 10 mm high-speed-steel reamer turns at about 360 rev/min in mild steel: 40 to 50 % of 30 m/min is 382 to 477, set one lower', () => {
    const reamer = midShop().tools.find((t) => t.kind === 'ream');
    if (!reamer) throw new Error('no reamer');
    expect(speedFor(place({ machine: { ...machine, speeds: [250, 360, 500] } }), reamer, 'ream', 10).value).toBe(360);
  });

  it('a thread is cut at about 100 rev/min, whatever the tool would take', () => {
    const tool = midShop().tools.find((t) => t.kind === 'thread');
    if (!tool) throw new Error('no threading tool');
    expect(speedFor(place(), tool, 'thread', 12).value).toBe(100);
  });

  it('a small bench lathe takes less than the mid-size one', () => {
    const [bench] = startingShop().machines;
    if (!bench) throw new Error('no lathe');
    expect(limitedAt(roughAsked(place({ machine: bench }), plain, 25, 540), 0.18).binding.most.value).toBeLessThan(1.1);
  });

  it('drill chips are cleared at three diameters, then oftener; at once where they string', () => {
    const stops = peckDepths(60, 8, false).map((f) => f.value);
    expect(stops.slice(0, 2)).toEqual([24, 40]);
    expect(stops.at(-1)).toBe(60);
    expect(peckDepths(20, 8, false)).toHaveLength(1);
    expect(peckDepths(60, 8, true).length).toBeGreaterThan(stops.length);
    expect(drillFeed(10)).toBeCloseTo(0.15, 6);
  });
});

describe('limits', () => {
  it('power: at the depth it allows, the cut takes exactly the share of the motor that reaches the chip', () => {
    const small = asked({ kilowatts: 0.5, ratio: 1, full: 5 });
    const { binding } = limitedAt(small, 0.2);
    expect(binding.rule).toBe('power');
    const { cutting } = cuttingForce(small.kc, small.mc, {
      depth: binding.most.value,
      feed: 0.2,
      lead: small.lead,
      nose: small.nose,
      speed: (Math.PI * 25 * 710) / 1000,
    });
    expect((cutting * Math.PI * 25 * 710) / 6e7).toBeCloseTo(0.4, 4);
  });

  it('spring: at the depth it allows, the work gives way by what is allowed', () => {
    const soft = asked({ lead: 45, give: { compliance: 1e-3, at: 118, allowed: 0.1, of: 'work' } });
    const { binding } = limitedAt(soft, 0.2);
    expect(binding.rule).toBe('spring');
    expect(usesOf(soft, 0.2, binding.most.value).spring).toBeCloseTo(1, 3);
  });

  it('grip: what it holds falls with the square of the speed, to a third at the most (EN 1550, from memory)', () => {
    const grip = { newtons: 9000, diameter: 20, loses: 2 / 3, mostSpeed: 2000, friction: 0.2 };
    expect(gripHolds(grip, 0).value).toBeCloseTo(900, 6);
    expect(gripHolds(grip, 2000).value).toBeCloseTo(300, 6);
    expect(gripHolds(grip, 1000).value).toBeCloseTo(900 * (1 - 2 / 3 / 4), 6);
    expect(limitedAt(asked({ grip: { ...grip, newtons: 2000 } }), 0.2).binding.rule).toBe('grip');
  });

  it('limits that exclude each other are named', () => {
    const { conflict } = limitedAt(asked({ least: 0.32, lead: 45, give: { compliance: 0.02, at: 200, allowed: 0.1, of: 'work' } }), 0.2);
    expect(conflict?.least).toBe(0.32);
    expect(conflict?.binding.rule).toBe('spring');
  });

  it('more compliance, less power, less grip never allow more; a chosen feed is always inside every limit or a conflict says why', () => {
    const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    fc.assert(
      fc.property(
        number(0.1, 8),
        number(1e-6, 0.05),
        number(500, 40000),
        number(3, 200),
        number(20, 3000),
        number(0.5, 15),
        number(0.1, 12),
        fc.integer({ min: 45, max: 95 }),
        (kilowatts, compliance, newtons, diameter, speed, ratio, total, lead) => {
          const one = asked({
            kilowatts,
            diameter,
            speed,
            ratio,
            lead,
            give: { compliance, at: 50, allowed: 0.1, of: 'work' },
            grip: { newtons, diameter, loses: 2 / 3, mostSpeed: 3000, friction: 0.2 },
          });
          const limited = bestFeed(one, [0.05, 0.1, 0.15, 0.2], total);
          expect(limited.most).toBeGreaterThan(0);
          if (!limited.conflict) {
            for (const share of Object.values(usesOf(one, limited.feed, limited.most))) expect(share).toBeLessThanOrEqual(1.001);
            expect(limited.most).toBeLessThanOrEqual(limited.binding.most.value + 1e-9);
          }
          const softer = limitedAt({ ...one, give: { compliance: 2 * compliance, at: 50, allowed: 0.1, of: 'work' } }, 0.1).binding.most.value;
          expect(softer).toBeLessThanOrEqual(limitedAt(one, 0.1).binding.most.value + 1e-6);
          const weaker = limitedAt({ ...one, kilowatts: kilowatts / 2 }, 0.1).binding.most.value;
          expect(weaker).toBeLessThanOrEqual(limitedAt(one, 0.1).binding.most.value + 1e-6);
        },
      ),
    );
  });

  it('more depth is never less force', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.02, max: 5, noNaN: true }),
        fc.double({ min: 0.02, max: 0.5, noNaN: true }),
        fc.double({ min: 0, max: 1.6, noNaN: true }),
        (depth, feed, nose) => {
          const at = (d: number) => cuttingForce(1780, 0.17, { depth: d, feed, nose }).cutting;
          expect(at(depth * 1.1)).toBeGreaterThanOrEqual(at(depth) * (1 - 1e-9));
        },
      ),
    );
  });

  it('draws every limit over feeds, each falling or level, and the least depth', () => {
    const { lines, feeds } = windowOf(asked({ kilowatts: 0.5, lead: 60, give: { compliance: 1e-3, at: 100, allowed: 0.1, of: 'work' } }), 0.3);
    expect(lines.map((l) => l.rule)).toEqual(expect.arrayContaining(['power', 'spring', 'least-depth']));
    for (const { depths } of lines) {
      expect(depths).toHaveLength(feeds.length);
      depths.forEach((d, i) => expect(d).toBeLessThanOrEqual((depths[i - 1] ?? Infinity) + 1e-6));
    }
  });
});

describe('edges and passes', () => {
  it('an edge lasts as Taylor says: at half the speed 2^(1/n) times as long (Kalpakjian: n = 0.5, half the speed, four times the life)', () => {
    const minutes = { is: 'time', value: 1, formula: 'minutes', of: { passes: 1, length: 97, approach: 3, f: 0.2, n: 500, handling: 0 } } as const;
    const { life, cuts } = edgeOf(place(), turning, 100 / Math.PI, 1200, minutes);
    const { minutes: T, n } = edges.carbide;
    expect(life.value).toBeCloseTo(toolLife(120, { n, C: 120 * T ** n }), 6);
    expect(cuts.value).toBe(Math.floor(life.value / 1));
    expect(toolLife(1, { n: 0.5, C: 2 }) / toolLife(2, { n: 0.5, C: 2 })).toBeCloseTo(4, 9);
  });

  it('passes of a thread take equal areas of the form, the last two none; the dial can show each', () => {
    const depths = threadInfeeds(1.0735, 8, 2, 0).map((f) => f.value);
    expect(depths).toHaveLength(8);
    expect(depths[5]).toBeCloseTo(1.0735, 9);
    expect(depths.slice(6)).toEqual([depths[5], depths[5]]);
    const areas = depths.slice(0, 6).map((d, i) => d ** 2 - (depths[i - 1] ?? 0) ** 2);
    for (const a of areas) expect(a).toBeCloseTo(1.0735 ** 2 / 6, 6);
    for (const d of threadInfeeds(1.0735, 8, 2, 0.02).slice(0, 5)) expect((d.value / 0.02) % 1).toBeCloseTo(0, 6);
  });

  it('a drill in the full: torque kc f D^2 / 8 and power 2 pi n M (Kienzle for drilling; definition)', () => {
    const M = formulas.drillTorque.compute({ kc: 2500, f: 0.2, D: 10, d: 0 });
    expect(M).toBeCloseTo((2500 * 0.2 * 100) / 8 / 1000, 9);
    expect(formulas.powerOfTorque.compute({ M, n: 500 })).toBeCloseTo((2 * Math.PI * 500 * M) / 60000, 9);
    expect(formulas.drillTorque.compute({ kc: 2500, f: 0.2, D: 10, d: 5 })).toBeCloseTo(0.75 * M, 9);
  });

  it('a bar that stands 300 out behind the spindle at 10 mm: about 1500 rev/min (common practice)', () => {
    expect(formulas.whipSpeed.compute({ d: 10, L: 300 })).toBeCloseTo(1556, 0);
  });
});
