/* Beams against the closed forms of elementary beam theory (any textbook of strength of materials; Roark table 8, from memory), and against what must hold for every beam. */
import fc from 'fast-check';
import { type Beam, bend, complianceAt, weakestOf } from './beam';
import { deflectionAt, secondMoment } from './plainBar';

const E = 206000;
const rigid = { lateral: Infinity, angular: Infinity };
const rod = (length: number, more: Partial<Beam> = {}): Beam => ({
  stretches: [{ from: 0, to: length, diameter: 20 }],
  modulus: E,
  clamp: rigid,
  rests: [],
  ...more,
});
const unclamped = (length: number, rests: Beam['rests'], density?: number): Beam => ({
  stretches: [{ from: 0, to: length, diameter: 20 }],
  modulus: E,
  rests,
  ...(density !== undefined && { density }),
});
const EI = E * secondMoment(20);
const centre = (at: number, stiffness = Infinity) => ({ at, stiffness });
const near = (got: number, wanted: number) => expect(Math.abs(got - wanted)).toBeLessThanOrEqual(1e-9 * Math.abs(wanted) + 1e-15);

describe('closed forms, to 1e-9', () => {
  const [F, L, a] = [200, 200, 140];

  it('a cantilever: F a^3 / 3 E I at the load, F a^2 / 2 E I of slope, straight beyond it', () => {
    const bent = bend(rod(L), [{ at: a, force: F }]);
    near(bent.at(a), (F * a ** 3) / (3 * EI));
    near(bent.slope(a), (F * a ** 2) / (2 * EI));
    near(bent.at(L), (F * a ** 3) / (3 * EI) + ((L - a) * F * a ** 2) / (2 * EI));
    near(bent.at(60), (F * 60 ** 2 * (3 * a - 60)) / (6 * EI));
  });

  it('a springy clamp adds F / k and F a^2 / kr', () => {
    const clamp = { lateral: 30000, angular: 4e7 };
    near(bend(rod(L, { clamp }), [{ at: a, force: F }]).at(a), (F * a ** 3) / (3 * EI) + F / 30000 + (F * a ** 2) / 4e7);
  });

  it('a propped cantilever: F a^3 b^2 (4 L - a) / 12 E I L^3, its centre carrying F a^2 (3 L - a) / 2 L^3', () => {
    const bent = bend(rod(L, { rests: [centre(L)] }), [{ at: a, force: F }]);
    near(bent.at(a), deflectionAt({ diameter: 20, modulus: E, length: L, held: 'chuck and centre' }, F, a));
    near(bent.reactions[0] ?? 0, (F * a ** 2 * (3 * L - a)) / (2 * L ** 3));
    expect(Math.abs(bent.at(L))).toBeLessThan(1e-15);
  });

  it('a springy centre gives way by its own reaction over its stiffness', () => {
    const bent = bend(rod(L, { rests: [centre(L, 5000)] }), [{ at: a, force: F }]);
    near(bent.at(L), (bent.reactions[0] ?? 0) / 5000);
  });

  it('between centres: F a^2 b^2 / 3 E I L, and each carries its lever', () => {
    const free = unclamped(L, [centre(0), centre(L)]);
    const bent = bend(free, [{ at: a, force: F }]);
    near(bent.at(a), (F * a ** 2 * (L - a) ** 2) / (3 * EI * L));
    near(bent.reactions[0] ?? 0, (F * (L - a)) / L);
    near(bent.reactions[1] ?? 0, (F * a) / L);
    // slope at the ends: F b (L^2 - b^2) / 6 L E I
    const b = L - a;
    near(bent.slope(0), (F * b * (L ** 2 - b ** 2)) / (6 * L * EI));
  });

  it('three rests: a beam over two equal spans loaded in the middle of one, 13/32, 22/32 and -3/32 of the load (three-moment equation)', () => {
    const free = unclamped(400, [centre(0), centre(200), centre(400)]);
    const { reactions } = bend(free, [{ at: 100, force: 32 }]);
    near(reactions[0] ?? 0, 13);
    near(reactions[1] ?? 0, 22);
    near(reactions[2] ?? 0, -3);
  });

  it('sags under its own weight: w L^4 / 8 E I clamped, 5 w L^4 / 384 E I between centres, 3/8 w L on a prop', () => {
    const w = (7850 * 9.80665 * Math.PI * 20 ** 2) / 4 / 1e9;
    near(bend(rod(1000, { density: 7850 }), []).at(1000), (w * 1000 ** 4) / (8 * EI));
    const free = unclamped(1000, [centre(0), centre(1000)], 7850);
    near(bend(free, []).at(500), (5 * w * 1000 ** 4) / (384 * EI));
    near(bend(rod(1000, { rests: [centre(1000)], density: 7850 }), []).reactions[0] ?? 0, (3 / 8) * w * 1000);
  });

  it('a stepped cantilever, half as stiff in the outer half: F L^3 / 3 E I x (1 + 7) / 8 with the inner half of double I', () => {
    // outer half I: F l^3 / 3 E I; inner half 2 I adds (7/8 of F L^3 / 3 E I) / 2
    const thick = 20 * 2 ** 0.25;
    const stepped: Beam = {
      ...rod(L),
      stretches: [
        { from: 0, to: 100, diameter: thick },
        { from: 100, to: 200, diameter: 20 },
      ],
    };
    near(bend(stepped, [{ at: L, force: F }]).at(L), ((F * L ** 3) / (3 * EI)) * (1 / 8 + 7 / 16));
  });
});

describe('what holds for every beam', () => {
  const any = fc
    .record({
      lengths: fc.array(fc.double({ min: 1, max: 200, noNaN: true }), { minLength: 1, maxLength: 6 }),
      diameters: fc.array(fc.double({ min: 6, max: 80, noNaN: true }), { minLength: 6, maxLength: 6 }),
      hollow: fc.double({ min: 0, max: 0.9, noNaN: true }),
      held: fc.constantFrom('chuck', 'chuck and centre', 'centres', 'chuck, steady and centre'),
      soft: fc.double({ min: 1e3, max: 1e6, noNaN: true }),
    })
    .map(({ lengths, diameters, hollow, held, soft }): { readonly beam: Beam; readonly length: number } => {
      let at = 0;
      const stretches = lengths.map((l, i) => {
        const diameter = diameters[i] ?? 20;
        const s = { from: at, to: at + l, diameter, inside: hollow * diameter };
        at += l;
        return s;
      });
      const clamp = { lateral: soft * 10, angular: soft * 1e4 };
      const rests =
        held === 'centres'
          ? [centre(0, soft), centre(at, soft)]
          : held === 'chuck'
            ? []
            : held === 'chuck and centre'
              ? [centre(at, soft)]
              : [centre(at / 2, soft), centre(at, soft)];
      return { beam: { stretches, modulus: E, rests, ...(held !== 'centres' && { clamp }) }, length: at };
    });
  const share = fc.double({ min: 0.02, max: 0.98, noNaN: true });

  it('a load at a moves x as far as one at x moves a (Maxwell)', () => {
    fc.assert(
      fc.property(any, share, share, ({ beam, length }, s, t) => {
        const [a, x] = [s * length, t * length];
        const [one, other] = [bend(beam, [{ at: a, force: 100 }]).at(x), bend(beam, [{ at: x, force: 100 }]).at(a)];
        expect(Math.abs(one - other)).toBeLessThanOrEqual(1e-9 * (Math.abs(one) + complianceAt(beam, a) * 100));
      }),
    );
  });

  it('cut in two at any place without a step it bends the same', () => {
    fc.assert(
      fc.property(any, share, share, ({ beam, length }, s, t) => {
        const cut = s * length;
        const split = beam.stretches.flatMap((o) =>
          cut > o.from + 1e-6 && cut < o.to - 1e-6
            ? [
                { ...o, to: cut },
                { ...o, from: cut },
              ]
            : [o],
        );
        const x = t * length;
        const [whole, parts] = [complianceAt(beam, x), complianceAt({ ...beam, stretches: split }, x)];
        expect(Math.abs(whole - parts)).toBeLessThanOrEqual(1e-9 * whole);
      }),
    );
  });

  it('thicker, or held by stiffer things, it gives way less at the load', () => {
    fc.assert(
      fc.property(any, share, ({ beam, length }, s) => {
        const x = s * length;
        const before = complianceAt(beam, x);
        const thicker = beam.stretches.map((o) => ({ ...o, diameter: o.diameter * 1.05 }));
        expect(complianceAt({ ...beam, stretches: thicker }, x)).toBeLessThan(before);
        expect(complianceAt({ ...beam, rests: beam.rests.map((r) => ({ ...r, stiffness: 2 * r.stiffness })) }, x)).toBeLessThanOrEqual(
          before * (1 + 1e-12),
        );
      }),
    );
  });

  it('what the rests carry and the clamp make up the load and its lever', () => {
    fc.assert(
      fc.property(any, share, ({ beam, length }, s) => {
        if (beam.clamp) return;
        const { reactions } = bend(beam, [{ at: s * length, force: 100 }]);
        expect(reactions.reduce((a, b) => a + b, 0)).toBeCloseTo(100, 6);
      }),
    );
  });

  it('takes a step of a micrometre in a bar of a metre', () => {
    const plain = rod(1000);
    const stepped: Beam = {
      ...plain,
      stretches: [
        { from: 0, to: 499.9995, diameter: 20 },
        { from: 499.9995, to: 500.0005, diameter: 19.999 },
        { from: 500.0005, to: 1000, diameter: 20 },
      ],
    };
    expect(complianceAt(stepped, 1000) / complianceAt(plain, 1000)).toBeCloseTo(1, 8);
    expect(
      complianceAt(
        {
          ...plain,
          stretches: [
            { from: 0, to: 0.001, diameter: 8 },
            { from: 0.001, to: 1000, diameter: 20 },
          ],
        },
        1000,
      ),
    ).toBeGreaterThan(complianceAt(plain, 1000));
  });
});

it('finds the weakest place of a propped bar at 0.586 of its length', () => {
  const { at } = weakestOf(rod(200, { rests: [centre(200)] }), 0, 200);
  expect(Math.abs(at / 200 - (2 - Math.SQRT2))).toBeLessThan(0.02);
});

it.each([
  [
    'stretches that do not join',
    {
      stretches: [
        { from: 0, to: 10, diameter: 20 },
        { from: 12, to: 20, diameter: 20 },
      ],
    },
  ],
  ['a bar that is all bore', { stretches: [{ from: 0, to: 10, diameter: 20, inside: 20 }] }],
  ['no stretch', { stretches: [] }],
  ['a rest beside the bar', { rests: [centre(500)] }],
  ['two rests in one place', { rests: [centre(50), centre(50)] }],
  ['a rest without stiffness', { rests: [centre(50, 0)] }],
  ['a clamp without stiffness', { clamp: { lateral: 0, angular: 1 } }],
] as const)('refuses %s', (_, more) => {
  expect(() => bend(rod(100, more as Partial<Beam>), [{ at: 5, force: 1 }])).toThrow(RangeError);
});

it('refuses a bar that nothing holds, and a load beside it', () => {
  const free = unclamped(100, [centre(10)]);
  expect(() => bend(free, [])).toThrow(RangeError);
  expect(() => bend(rod(100), [{ at: 101, force: 1 }])).toThrow(RangeError);
});
