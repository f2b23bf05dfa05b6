/* The planner against plain enumeration of every first end, way of carrying, holding, support and order: drawn parts of at most three features in three shops, 15 here, 360 in the bench. */
import { judged as share } from './judged.fixture';
import fc from 'fast-check';
import { midShop, readoutShop, startingShop } from '../shop';
import { enumerated, fewHoldings } from './enumerated.fixture';
import { plan } from './planning';
import { smallJob, smallPart } from './smallParts.fixture';

const whole = midShop();
const few = ['three-jaw', 'collets', 'live-centre'];
const shops = [whole, startingShop(), readoutShop()].map((s) => fewHoldings(s, few));
const [shop = whole] = shops;

it('costs what the cheapest of all routes costs, and knows that it does', () => {
  let looked = 0;
  fc.assert(
    fc.property(smallPart, fc.constantFrom(0, 1, 2), (of, where) => {
      const shop = shops[where] ?? whole;
      const job = smallJob(of);
      const made = plan(job, shop);
      const judged = enumerated(job, shop);
      expect(made.routes.length > 0).toBe(judged !== undefined);
      if (!judged) return;
      looked += judged.looked;
      expect(made.routes[0]?.cost.total.value).toBeCloseTo(judged.cost, 9);
      expect(made.gap).toBeLessThan(1e-9);
    }),
    { numRuns: share(360, 24), seed: 500 },
  );
  expect(looked).toBeGreaterThan(share(500));
});

it('costs what the cheapest costs where the shop leaves threads, tapers and severing to be weighed', () => {
  const free = { ...shop, ways: { ...shop.ways, thread: 'least', severing: 'least', taper: 'least' } };
  const taken = new Set<string>();
  fc.assert(
    fc.property(smallPart, (of) => {
      const job = smallJob(of);
      const made = plan(job, free);
      const judged = enumerated(job, free);
      if (!judged) return;
      expect(made.routes[0]?.cost.total.value).toBeCloseTo(judged.cost, 9);
      expect(made.gap).toBeLessThan(1e-9);
      for (const setup of made.routes[0]?.setups ?? []) for (const step of setup.steps) taken.add(step.verb);
    }),
    { numRuns: share(12), seed: 21 },
  );
  expect([...taken]).toEqual(expect.arrayContaining(['part-off']));
});

it('costs what the cheapest costs where holdings are made for the part, dialled, or carried by a centre: none is left out for its minutes too soon', () => {
  const made = fewHoldings(whole, ['three-jaw', 'four-jaw', 'soft-jaws', 'live-centre']);
  fc.assert(
    fc.property(smallPart, fc.constantFrom(1, 40), (of, pieces) => {
      const job = { ...smallJob(of), pieces };
      const judged = enumerated(job, made);
      if (!judged) return;
      expect(plan(job, made).routes[0]?.cost.total.value).toBeCloseTo(judged.cost, 9);
    }),
    { numRuns: share(60, 6), seed: 902 },
  );
});

it('the order in which a shop lists its holdings, and a drawing its details, changes no cost', () => {
  fc.assert(
    fc.property(smallPart, fc.shuffledSubarray(whole.holdings, { minLength: whole.holdings.length }), (of, holdings) => {
      const job = smallJob(of);
      const [one, other] = [plan(job, whole), plan(job, { ...whole, holdings })];
      fc.pre(one.routes.length > 0);
      expect(other.routes[0]?.cost.total.value).toBeCloseTo(one.routes[0]?.cost.total.value ?? NaN, 9);
      expect(other.gap).toBe(one.gap);
    }),
    { numRuns: 25, seed: 77 },
  );
});

it('what no shop of this kind can make goes as far as it goes, and says what is missing', () => {
  const far = { ...smallJob({ rows: [{ size: '20', length: 40, chamfer: false }], hole: undefined }) };
  const noBar = plan({ ...far, drawing: { ...far.drawing, material: 'acetal' } }, midShop());
  expect(noBar.findings.map((f) => f.code)).toContain('bar-too-small');
  expect(noBar.routes[0]?.setups.length).toBe(2);
  expect(noBar.toGet[0]).toMatchObject({ how: 'order', holdsUp: ['load@right'] });
  const noHolding = plan(far, { ...midShop(), holdings: midShop().holdings.filter((h) => h.id === 'arbor') });
  expect(noHolding.findings.filter((f) => f.severity === 'stop').length).toBeGreaterThan(0);
  const tooLong = plan(
    { ...far, drawing: { ...far.drawing, outside: far.drawing.outside.map((r) => ({ ...r, length: { text: '2900', units: 'mm' as const } })) } },
    midShop(),
  );
  expect(tooLong.findings.map((f) => f.code)).toContain('bar-too-short');
  expect(tooLong.routes).toHaveLength(1);
});
