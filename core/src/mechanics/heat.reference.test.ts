/* Warming and cooling of a bar, lumped. Closed forms: any textbook of heat transfer. Times of a bar in still air: common practice. */
import fc from 'fast-check';
import { formulas } from '../quantity';
import { materialOf } from '../standards';
import { type Beam, bend, complianceAt } from './beam';
import { drillForces } from './cuttingForce';
import { cooledTo, coolingConstant, coolingTime, SHEDS } from './heat';

const bar = (diameter: number, id = 'mild-steel') => {
  const { density, heat } = materialOf(id);
  return { volume: (Math.PI * diameter ** 2 * 100) / 4, area: Math.PI * diameter * 100, density, heat };
};
const hours = (sheds: number) => coolingTime(60, 22, 20, coolingConstant(bar(25), sheds)) / 3600;

it('of a long bar is rho c d / 4 h', () => {
  expect(coolingConstant(bar(25), 10)).toBeCloseTo((7870 * 486 * 0.025) / 40, 6);
});

it('takes a dull 25 mm bar from 60 to 22 degrees in still air of 20 in about two hours, a bright one in three (common practice)', () => {
  expect(hours(SHEDS.dull)).toBeGreaterThan(1.75);
  expect(hours(SHEDS.dull)).toBeLessThan(2.25);
  expect(hours(SHEDS.bright)).toBeGreaterThan(2.75);
  expect(hours(SHEDS.bright)).toBeLessThan(3.35);
});

it('under coolant is a matter of minutes (common practice)', () => {
  expect(60 * hours(SHEDS.flood)).toBeLessThan(5);
});

it('falls to 1/e of the difference in one time constant, and comes back by its inverse', () => {
  expect(cooledTo(60, 20, 900, 900)).toBeCloseTo(20 + 40 / Math.E, 9);
  fc.assert(
    fc.property(
      fc.double({ min: 21, max: 300, noNaN: true }),
      fc.double({ min: 10, max: 1e4, noNaN: true }),
      fc.double({ min: 0, max: 1e4, noNaN: true }),
      (from, constant, t) => {
        const to = cooledTo(from, 20, constant, t);
        fc.pre(to > 20.001);
        expect(coolingTime(from, to, 20, constant)).toBeCloseTo(t, 3);
      },
    ),
  );
});

it('never reaches the room, and says so; what is colder already waits for nothing', () => {
  expect(() => coolingTime(60, 20, 20, 100)).toThrow(RangeError);
  expect(() => coolingTime(60, 10, 20, 100)).toThrow(RangeError);
  expect(coolingTime(22, 40, 20, 100)).toBe(0);
});

it('one kilojoule that stays in a kilogram of steel warms it by a little over two degrees: 1000 / 486', () => {
  expect(formulas.warmth.compute({ room: 20, joules: 1, share: 1, mass: 1, heat: 486, most: 60 })).toBeCloseTo(20 + 1000 / 486, 9);
});

it('a drill twists and pushes alike in the slate and in mechanics', () => {
  const [kc, mc, feed] = [1780, 0.17, 0.2];
  const specific = kc * ((feed / 2) * Math.sin((59 * Math.PI) / 180)) ** -mc;
  for (const pilot of [0, 5]) {
    const { torque, thrust } = drillForces(kc, mc, { diameter: 10, feed, point: 118, pilot });
    expect(formulas.drillTorque.compute({ kc: specific, f: feed, D: 10, d: pilot })).toBeCloseTo(torque / 1000, 9);
    expect(formulas.drillThrust.compute({ kc: specific, f: feed, D: 10, d: pilot, half: 59 })).toBeCloseTo(thrust, 6);
  }
});

it('gives way as the whole beam says it does, by closed integrals: any steps, bore, chuck, rests', () => {
  fc.assert(
    fc.property(
      fc.array(
        fc.tuple(
          fc.double({ min: 1, max: 150, noNaN: true }),
          fc.double({ min: 6, max: 80, noNaN: true }),
          fc.double({ min: 0, max: 0.8, noNaN: true }),
        ),
        { minLength: 1, maxLength: 5 },
      ),
      fc.double({ min: 0.05, max: 1, noNaN: true }),
      fc.integer({ min: 0, max: 2 }),
      (steps, where, rests) => {
        let at = 0;
        const stretches = steps.map(([long, diameter, bore]) => {
          const s = { from: at, to: at + long, diameter, inside: bore * diameter };
          at += long;
          return s;
        });
        const beam: Beam = {
          stretches,
          modulus: 205000,
          clamp: { lateral: 30000, angular: 4e7 },
          rests: [
            { at: 0.97 * at, stiffness: 20000 },
            { at: 0.5 * at, stiffness: 8000 },
          ].slice(0, rests),
        };
        const x = where * at;
        const whole = bend(beam, [{ at: x, force: 1 }]).at(x);
        expect(Math.abs(complianceAt(beam, x) - whole)).toBeLessThan(1e-9 * Math.abs(whole) + 1e-15);
      },
    ),
  );
});
