/* Five hundred jobs drawn by number, planned in the starting shops: every figure that slate and sheet can show is finite and comes out of its formula again. */
import { judged } from './judged.fixture';
import fc from 'fast-check';
import { blankJob, type Choice, type Job, type Shop } from '../document';
import { type Figure, formulaNamed } from '../quantity';
import { midShop, readoutShop, startingShop } from '../shop';
import { demoJob, demoNames } from './demo.fixture';
import { plan } from './planning';

const mm = (text: string) => ({ text, units: 'mm' as const });
const shops: readonly Shop[] = [startingShop(), midShop(), readoutShop()];

function figuresIn(value: unknown, found: Figure[] = []): Figure[] {
  if (typeof value !== 'object' || value === null || ArrayBuffer.isView(value)) return found;
  if ('formula' in value && 'of' in value) found.push(value as Figure);
  for (const member of Object.values(value)) figuresIn(member, found);
  return found;
}

const row = fc.record({
  size: fc.oneof(
    fc.integer({ min: 4, max: 60 }).map(String),
    fc.integer({ min: 4, max: 60 }).map((d) => `${String(d)} h7`),
    fc.constantFrom('M8', 'M12', 'M16x1.5', '20 > 15', 'ball 24', 'hex 17', '25 +/-0.02'),
  ),
  length: fc.integer({ min: 2, max: 90 }),
  near: fc.constantFrom('', '0.5', 'R1'),
});
const drawn = fc.record({
  rows: fc.array(row, { minLength: 1, maxLength: 6 }),
  hole: fc.option(fc.record({ size: fc.constantFrom('6', '10 H7', '16', 'M10', '22'), length: fc.constantFrom('through', '12', '40') }), {
    nil: undefined,
  }),
  material: fc.constantFrom('mild-steel', 'stainless-316', 'brass', 'acetal', 'titanium', 'nothing-known'),
  shop: fc.integer({ min: 0, max: 2 }),
  pieces: fc.integer({ min: 1, max: 20 }),
  grip: fc.constantFrom('', '8', '0', '-4', '5000'),
  out: fc.constantFrom('', '120', '1'),
  support: fc.constantFrom('', 'live-centre', 'steady', 'follow-rest', 'gone'),
});

function jobOf(of: typeof drawn extends fc.Arbitrary<infer T> ? T : never): Job {
  const blank = blankJob('drawn', 'mm');
  const hold: Choice = {
    kind: 'hold',
    id: 'hold-right-1',
    setup: 'right-1',
    holding: 'three-jaw',
    ...(of.grip !== '' && { grip: mm(of.grip) }),
    ...(of.out !== '' && { stickOut: mm(of.out) }),
    support: of.support === '' ? [] : [{ item: of.support }],
  };
  return {
    ...blank,
    pieces: of.pieces,
    choices: of.grip === '' && of.out === '' && of.support === '' ? [] : [hold],
    drawing: {
      ...blank.drawing,
      material: of.material,
      title: { edges: 'broken' },
      outside: of.rows.map((r, i) => ({
        id: `r${String(i)}`,
        size: mm(r.size),
        length: mm(String(r.length)),
        ...(r.near !== '' && { near: mm(r.near) }),
      })),
      boreRight: of.hole ? [{ id: 'h', size: mm(of.hole.size), length: mm(of.hole.length) }] : [],
    },
  };
}

it('no figure is ever NaN, every one comes out of its formula; what is cut stays inside its limits or a check names them', () => {
  let routes = 0;
  fc.assert(
    fc.property(drawn, (of) => {
      const shop = shops[of.shop] ?? startingShop();
      const made = plan(jobOf(of), shop);
      for (const figure of figuresIn(made)) {
        expect({ ...figure, finite: Number.isFinite(figure.value) }).toMatchObject({ finite: true });
        expect(formulaNamed(figure.formula)?.compute(figure.of)).toBe(figure.value);
      }
      for (const step of made.routes[0]?.setups.flatMap((s) => s.steps) ?? []) {
        routes++;
        const { depth, most, speed } = step.figures;
        if (speed) expect(speed.value).toBeGreaterThan(0);
        if (step.cut && depth && most && depth.value > most.value + 1e-6) expect(made.findings.map((f) => f.code)).toContain('limits-exclude');
      }
    }),
    { numRuns: judged(500), seed: 20261125 },
  );
  expect(routes).toBeGreaterThan(judged(1000));
});

it('the same job in the same shop gives the same plan', () => {
  fc.assert(
    fc.property(drawn, (of) => {
      const shop = shops[of.shop] ?? startingShop();
      expect(plan(jobOf(of), shop)).toEqual(plan(jobOf(of), shop));
    }),
    { numRuns: 25, seed: 7 },
  );
});

it.each(demoNames)('%s plans in every starting shop', (name) => {
  for (const shop of shops) {
    const job = { ...demoJob(name), choices: [] };
    const made = plan(job, shop);
    expect([name, made.reached, made.findings.filter((f) => f.severity === 'stop' && f.code === 'bar-too-small')]).toEqual([name, 'proof', []]);
  }
});
