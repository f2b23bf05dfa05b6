/* Dialling in a four-jaw chuck. Common practice: the indicator swings twice the eccentricity; move half of the difference of opposite readings. */
import fc from 'fast-check';
import { fromReadings, fromSwing } from './dialling';

/** What an indicator shows at an angle of a round piece whose centre is off by x towards jaw 1 and y towards jaw 2. */
const shows = (x: number, y: number, degrees: number, radius = 20) => {
  const t = (degrees * Math.PI) / 180;
  const along = x * Math.cos(t) + y * Math.sin(t);
  const across = x * Math.sin(t) - y * Math.cos(t);
  return along + Math.sqrt(radius ** 2 - across ** 2) - radius;
};
const four = (x: number, y: number): [number, number, number, number] => [shows(x, y, 0), shows(x, y, 90), shows(x, y, 180), shows(x, y, 270)];

it('never confuses swing and eccentricity: 0.4 high to low is 0.2 off centre', () => {
  expect(fromReadings([0.2, 0, -0.2, 0])).toMatchObject({ eccentricity: 0.2, tir: 0.4, towards1: 0.2, towards2: 0 });
  expect(fromSwing(0.3, -0.1, 90)).toMatchObject({ eccentricity: 0.2, tir: 0.4, towards2: 0.2 });
});

it('finds the centre of a round piece wherever it lies, and from swing and place the same', () => {
  const off = fc.double({ min: -1, max: 1, noNaN: true });
  fc.assert(
    fc.property(off, off, (x, y) => {
      const found = fromReadings(four(x, y));
      expect(found.towards1).toBeCloseTo(x, 9);
      expect(found.towards2).toBeCloseTo(y, 9);
      const e = Math.hypot(x, y);
      const swing = fromSwing(e, -e, (Math.atan2(y, x) * 180) / Math.PI);
      expect(swing.towards1).toBeCloseTo(x, 9);
      expect(swing.towards2).toBeCloseTo(y, 9);
    }),
  );
});

it('tells a piece that is not round from one that is off centre', () => {
  const { oval, eccentricity } = fromReadings([0.05, -0.05, 0.05, -0.05]);
  expect(oval).toBeCloseTo(0.05, 12);
  expect(eccentricity).toBe(0);
});

it('comes from 1 mm off within 0.01 mm in three rounds, with an indicator that is 0.002 unsure and jaws that move a tenth off', () => {
  let seed = 7;
  const random = () => {
    seed = (Math.imul(seed, 1664525) + 1013904223) >>> 0;
    return seed / 2 ** 32;
  };
  const noise = (sigma: number) => sigma * Math.sqrt(-2 * Math.log(random() + 1e-12)) * Math.cos(2 * Math.PI * random());
  for (let piece = 0; piece < 500; piece++) {
    const start = 2 * Math.PI * random();
    let [x, y] = [Math.cos(start), Math.sin(start)];
    for (let round = 0; round < 3; round++) {
      const [a, b, c, d] = four(x, y);
      const found = fromReadings([a + noise(0.002), b + noise(0.002), c + noise(0.002), d + noise(0.002)]);
      x -= found.towards1 * (1 + 0.1 * (2 * random() - 1));
      y -= found.towards2 * (1 + 0.1 * (2 * random() - 1));
    }
    expect(Math.hypot(x, y)).toBeLessThan(0.01);
  }
});

it('refuses a low reading that is the higher one', () => expect(() => fromSwing(0, 0.1, 0)).toThrow(RangeError));
