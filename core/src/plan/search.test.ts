/* The planner against plain enumeration of every first end, way of carrying, holding, support and order: 60 drawn parts here, 500 in the bench. */
import fc from 'fast-check';
import { midShop } from '../shop';
import { enumerated, fewHoldings } from './enumerated.fixture';
import { plan } from './index';
import { smallJob, smallPart } from './smallParts.fixture';

const shop = fewHoldings(midShop(), ['three-jaw', 'collets', 'live-centre']);

it('costs what the cheapest of all routes costs, and knows that it does', () => {
  let looked = 0;
  fc.assert(
    fc.property(smallPart, (of) => {
      const job = smallJob(of);
      const made = plan(job, shop);
      const judged = enumerated(job, shop);
      expect(made.routes.length > 0).toBe(judged !== undefined);
      if (!judged) return;
      looked += judged.looked;
      expect(made.routes[0]?.cost.total.value).toBeCloseTo(judged.cost, 9);
      expect(made.gap).toBeLessThan(1e-9);
    }),
    { numRuns: 60, seed: 500 },
  );
  expect(looked).toBeGreaterThan(500);
});
