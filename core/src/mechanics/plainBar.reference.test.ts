import { bentLine, deflectionAt, type PlainBar, secondMoment, weakestPlace } from './plainBar';

const bar = (length: number, held: PlainBar['held']): PlainBar => ({ diameter: 20, modulus: 206000, length, held });

describe('a plain bar of 20 mm steel under 200 N', () => {
  /* computed apart, agrees with numerical beam integration; micrometres */
  it.each([
    ['chuck', 60, 60, 8.896, 8.905],
    ['chuck and centre', 200, 100, 9.009, 9.018],
    ['chuck and centre', 200, 140, 8.391, 8.399],
    ['centres', 200, 100, 20.592, 20.613],
    ['centres', 200, 140, 14.53, 14.544],
  ] as const)('%s, %d long, at %d', (held, length, at, least, most) => {
    const um = 1000 * deflectionAt(bar(length, held), 200, at);
    expect(um).toBeGreaterThanOrEqual(least);
    expect(um).toBeLessThanOrEqual(most);
  });

  it('agrees with the curvature integrated twice', () => {
    // chuck and centre, load in the middle: reaction at the centre 5 F / 16 (elementary beam theory)
    const [F, L, a, EI] = [200, 200, 100, 206000 * secondMoment(20)];
    const R = (5 * F) / 16;
    const steps = 20000;
    let [slope, y, at] = [0, 0, 0];
    for (let i = 0; i < steps; i++) {
      const x = ((i + 0.5) * L) / steps;
      slope += ((F * Math.max(0, a - x) - R * (L - x)) / EI) * (L / steps);
      y += slope * (L / steps);
      if (x < a) at = y;
    }
    expect(at).toBeCloseTo(deflectionAt(bar(200, 'chuck and centre'), 200, 100), 5);
    expect(y).toBeCloseTo(0, 5);
  });

  it.each(['chuck', 'centres', 'chuck and centre'] as const)('%s: nowhere weaker than at the place named', (held) => {
    const b = bar(200, held);
    const worst = deflectionAt(b, 200, weakestPlace(b));
    for (let at = 0; at <= 200; at += 5) expect(deflectionAt(b, 200, at)).toBeLessThanOrEqual(worst + 1e-12);
  });

  it.each(['chuck', 'centres', 'chuck and centre'] as const)('%s: a load at a moves x as far as one at x moves a (Maxwell’s reciprocity)', (held) => {
    const b = bar(200, held);
    for (const a of [30, 90, 150]) for (const x of [10, 90, 120, 190]) expect(bentLine(b, 200, a, x)).toBeCloseTo(bentLine(b, 200, x, a), 12);
    for (const a of [30, 90, 150]) expect(bentLine(b, 200, a, a)).toBeCloseTo(deflectionAt(b, 200, a), 12);
    expect(bentLine(b, 200, 90, 0)).toBe(0);
  });

  it('a load beside the bar is refused', () => expect(() => deflectionAt(bar(100, 'chuck'), 200, 101)).toThrow(RangeError));
});
