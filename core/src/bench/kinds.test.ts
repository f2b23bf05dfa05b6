/* The advice at each kind of size, on lathes that it does not know: it lands, hardly ever past, with the slips of a hand and without. A seeded sample; 1,000 of each by the bench. */
import { followKind, strata, type Stratum } from './kinds.fixture';

const SEEDS = Array.from({ length: 60 }, (_, i) => i + 1);
const ends = (kind: Stratum, slips: boolean) => SEEDS.map((seed) => followKind(seed, kind, slips));
const share = (of: readonly { readonly landed: string }[], landed: string) => of.filter((e) => e.landed === landed).length / of.length;

it.each(strata)('%s: lands, and not past', (kind) => {
  const plainly = ends(kind, false);
  expect(share(plainly, 'in')).toBeGreaterThanOrEqual(0.96);
  expect(share(plainly, 'past')).toBeLessThanOrEqual(0.017);
  expect(share(ends(kind, true), 'past')).toBeLessThanOrEqual(0.034);
});

it('a plain size takes one reading and a cut or two; a size with limits is read after each', () => {
  const of = (kind: Stratum) => {
    const all = ends(kind, false);
    return all.reduce((sum, e) => sum + e.cuts + e.readings, 0) / all.length;
  };
  expect(of('plain')).toBeLessThan(4);
  expect(of('class')).toBeGreaterThan(of('plain'));
});
