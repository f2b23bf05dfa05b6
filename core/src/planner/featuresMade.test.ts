/* Edges, grooves and necks by what is left of the metal, whatever is drawn and whatever lies in the drawer. Edges by tools that make them, necks with both shoulders reached: common practice (edge-that-makes-it). */
import fc from 'fast-check';
import { blankJob, type Detail, type Job, type Shop } from '../document';
import { findingKey } from '../finding';
import { midShop, readoutShop, startingShop } from '../shop';
import { area, boundsOf, combine, regionOf } from '../stock';
import { judged } from './judged.fixture';
import { plan } from './planning';

const mm = (text: string) => ({ text, units: 'mm' as const });
const edge = fc.constantFrom('', '', '1x45', '0.5x30', '1x60', 'R1', 'R2', 'R4', 'break 0.3');

const drawn = fc.record({
  rows: fc.array(
    fc.record({
      size: fc.constantFrom('18', '22 h9', '26', '30 h7', '34', 'M20', 'M24x2'),
      long: fc.integer({ min: 12, max: 30 }),
      near: edge,
      far: edge,
    }),
    { minLength: 1, maxLength: 4 },
  ),
  groove: fc.option(
    fc.record({ on: fc.integer({ min: 0, max: 3 }), wide: fc.constantFrom('1.5', '2', '3', '5', '8'), deep: fc.constantFrom('0.5', '1', '2.5') }),
    { nil: undefined },
  ),
  material: fc.constantFrom('mild-steel', 'brass', 'stainless-316'),
});
type Drawn = typeof drawn extends fc.Arbitrary<infer T> ? T : never;

function jobOf({ rows, groove, material }: Drawn): Job {
  const blank = blankJob('drawn', 'mm');
  const grooved = groove && rows[groove.on % rows.length];
  const on = groove ? groove.on % rows.length : 0;
  const across = parseFloat((grooved?.size ?? '20').replace('M', ''));
  const details: readonly Detail[] =
    groove && grooved && !grooved.size.startsWith('M')
      ? [{ id: 'd', on: `r${String(on)}`, kind: 'groove', at: mm('4'), length: mm(groove.wide), size: mm(String(across - 2 * Number(groove.deep))) }]
      : [];
  return {
    ...blank,
    drawing: {
      ...blank.drawing,
      material,
      title: { edges: 'broken' },
      outside: rows.map((r, i) => ({
        id: `r${String(i)}`,
        size: mm(r.size),
        length: mm(String(r.long)),
        ...(r.near !== '' && !r.size.startsWith('M') && { near: mm(r.near) }),
        ...(r.far !== '' && !r.size.startsWith('M') && { far: mm(r.far) }),
      })),
      details: [...details],
    },
  };
}

/** What is wrong with the outside of a plan, in words. */
function wrongWith(job: Job, shop: Shop): readonly string[] {
  const made = plan(job, shop);
  const [route] = made.routes;
  if (made.part.findings.some((f) => f.severity === 'stop')) return [];
  if (!route) return made.findings.some((f) => f.severity === 'stop') ? [] : ['no route'];
  const wrong: string[] = [];
  const steps = route.setups.flatMap((s) => s.steps);
  for (const step of steps) {
    if (step.tool !== undefined && !shop.tools.some((t) => t.id === step.tool)) wrong.push(`${step.id}: ${step.tool} lies in no drawer`);
    // a planned tool cuts nothing of the part but what its tolerance lets it
    if (step.tool === undefined || step.removes.length === 0 || step.verb === 'thread' || step.verb === 'die' || step.verb === 'centre-drill')
      continue;
    const row = made.part.features.find((f) => f.id === step.does[0]?.split('.')[0]);
    const { left, right } = boundsOf(step.removes);
    const into = area(combine('intersection', step.removes, regionOf(made.part.contour))) / Math.max(1, right - left);
    const allowed = row ? row.nearDiameter.nominal - (row.nearDiameter.max + row.nearDiameter.min) / 2 : 0;
    if (into > 0.02 + Math.max(0, allowed) / 2) wrong.push(`${step.id} cuts ${into.toFixed(3)} mm into the part`);
  }
  const waits = new Set(made.toGet.flatMap((g) => g.holdsUp));
  for (const f of made.findings)
    if (f.code === 'gouged' || f.code === 'rapid-through-metal' || (f.code === 'metal-left' && waits.size === 0)) wrong.push(findingKey(f));
  return wrong;
}

it('drawn edges and grooves in three drawers: no tool cuts into the part, none leaves metal that nobody is told of', () => {
  const shops = [midShop(), startingShop(), readoutShop()];
  fc.assert(
    fc.property(drawn, (one) => {
      for (const shop of shops) expect(wrongWith(jobOf(one), shop)).toEqual([]);
    }),
    { numRuns: judged(300), seed: 1129 },
  );
});
