/* Holes by what is left of the metal, whatever is drawn and whatever lies in the drawer. Bars to 0.7 of their hole and within their reach, reamers with their own few tenths, floors not pierced: common practice. */
import fc from 'fast-check';
import { blankJob, type Job, type Section, type Shop } from '../document';
import { findingKey } from '../finding';
import { midShop, mmOf, readoutShop, startingShop } from '../shop';
import { sectionsOf } from '../stock';
import { judged } from './judged.fixture';
import { plan } from './planning';
import { wrongLengths } from './setLengths.fixture';

const mm = (text: string) => ({ text, units: 'mm' as const });

const drawn = fc.record({
  rows: fc.array(
    fc.record({
      size: fc.constantFrom('4', '5.5', '6 H7 reamed', '8', '10 H7 reamed', '11', '12 H8', '14', '17', '20 H7', '26 H8', 'M6', 'M8', 'M10'),
      long: fc.integer({ min: 5, max: 18 }),
      near: fc.constantFrom('', '0.5x45'),
    }),
    { minLength: 1, maxLength: 3 },
  ),
  floor: fc.constantFrom('', 'flat', 'through'),
  outside: fc.constantFrom('40', '50'),
});
type Drawn = typeof drawn extends fc.Arbitrary<infer T> ? T : never;

function jobOf({ rows, floor, outside }: Drawn): Job {
  const wide = (size: string) => parseFloat(size.replace('M', ''));
  const inward = rows
    .toSorted((a, b) => wide(b.size) - wide(a.size))
    .filter((r, i, all) => i === 0 || wide(all[i - 1]?.size ?? '0') > wide(r.size) + 0.6);
  const blank = blankJob('drawn', 'mm');
  const boreRight = inward.map((r, i): Section => {
    const last = i === inward.length - 1;
    return {
      id: `h${String(i)}`,
      size: mm(r.size),
      length: mm(last && floor === 'through' ? 'through' : String(r.long)),
      ...(i === 0 && r.near !== '' && { near: mm(r.near) }),
      ...(last && floor === 'flat' && { far: mm('flat') }),
    };
  });
  const long = inward.reduce((sum, r) => sum + r.long, 0) + 12;
  return {
    ...blank,
    drawing: { ...blank.drawing, title: { edges: 'broken' }, outside: [{ id: 'a', size: mm(outside), length: mm(String(long)) }], boreRight },
  };
}

/** What is wrong with the holes of a plan, in words. */
function wrongWith(job: Job, shop: Shop): readonly string[] {
  const made = plan(job, shop);
  const [route] = made.routes;
  // what the drawing itself cannot be is told there
  if (made.part.findings.some((f) => f.severity === 'stop')) return [];
  if (!route) return ['no route'];
  const wrong: string[] = [];
  for (const setup of route.setups)
    setup.steps.forEach((step, i) => {
      const tool = shop.tools.find((t) => t.id === step.tool);
      if (step.tool !== undefined && !tool) wrong.push(`${step.id}: ${step.tool} lies in no drawer`);
      const row = made.part.features.find((f) => f.id === step.does[0]?.split('.')[0]);
      if (!tool || !row || row.side === 'outside') return;
      const before = setup.steps[i - 1]?.after ?? setup.before;
      const [left, right] = [Math.min(row.near, row.far) + 0.5, Math.max(row.near, row.far) - 0.2];
      // of a hole that narrows to a point or a cone its mouth counts
      const hole = 2 * sectionsOf(before, left, right).reduce((most, s) => Math.max(most, s.inner), 0);
      if (step.verb === 'bore' && mmOf(tool.shank) > 0.7 * hole + 0.01) wrong.push(`${step.id}: ${tool.name} in a hole of ${hole.toFixed(2)}`);
      if (
        (step.verb === 'bore' || step.verb === 'drill' || step.verb === 'pilot') &&
        tool.reach &&
        Math.abs(row.far) > mmOf(tool.reach) + 0.01 &&
        row.through !== true
      )
        wrong.push(`${step.id}: ${tool.name} reaches ${String(mmOf(tool.reach))} of ${String(Math.abs(row.far))}`);
    });
  const lacking = made.toGet.some((g) => g.holdsUp.some((id) => /@h\d/.test(id)));
  for (const f of made.findings)
    if (f.code === 'gouged' || f.code === 'drill-bore-ream' || f.code === 'bar-enters' || (f.code === 'metal-left' && !lacking))
      wrong.push(findingKey(f));
  return [...wrong, ...wrongLengths(job, shop)];
}

it('drawn holes in three drawers: no tool cuts into the part or leaves metal, none is planned that does not go in or does not reach', () => {
  const shops = [midShop(), startingShop(), readoutShop()];
  fc.assert(
    fc.property(drawn, (one) => {
      for (const shop of shops) expect(wrongWith(jobOf(one), shop)).toEqual([]);
    }),
    { numRuns: judged(300), seed: 1919 },
  );
});

it.each<[string, (shop: Shop) => Shop]>([
  [
    'one drill',
    (shop) => ({ ...shop, tools: shop.tools.filter((t) => t.kind !== 'drill' || t.id === shop.tools.find((d) => d.kind === 'drill')?.id) }),
  ],
  ['none at all', (shop) => ({ ...shop, tools: shop.tools.filter((t) => t.kind !== 'drill' && t.kind !== 'bore' && t.kind !== 'ream') })],
  ['absurd ones', (shop) => ({ ...shop, tools: shop.tools.map((t) => (t.kind === 'drill' ? { ...t, size: mm('900'), reach: mm('0.1') } : t)) })],
])('a drawer with %s: a plan as far as it goes, and what is wanted', (_, thin) => {
  for (const size of ['8', '10 H7 reamed', '20 H7', 'M8']) {
    const made = plan(
      jobOf({ rows: [{ size: size as Drawn['rows'][number]['size'], long: 15, near: '' }], floor: 'through', outside: '40' }),
      thin(midShop()),
    );
    expect(made.reached).toBe('proof');
    expect(made.toGet.length).toBeGreaterThan(0);
  }
});

it('a drill that was chosen is taken where it makes the hole, and answered where it cannot', () => {
  const job = jobOf({ rows: [{ size: '11', long: 12, near: '' }], floor: '', outside: '40' });
  const choosing = (item: string): Job => ({ ...job, choices: [{ kind: 'use', id: 'u', step: 'drill@h0', item }] });
  const drilled = (of: Job) =>
    plan(of, midShop())
      .routes[0]?.setups.flatMap((s) => s.steps)
      .find((s) => s.id === 'drill@h0')?.tool;
  expect(drilled(choosing('drill-10'))).toBe('drill-10');
  const refused = plan(choosing('drill-30'), midShop());
  expect(refused.findings.map((f) => f.code)).toContain('use-not-possible');
});
