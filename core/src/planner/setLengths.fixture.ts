/* Parts drawn by number, with holes from either end, and what of their lengths is told wrong: set outside what it may be, or not where the metal ends. */
import fc from 'fast-check';
import { blankJob, type Job, type Section, type Shop } from '../document';
import { boundsOf } from '../stock';
import { plan } from './planning';

export const drawnWithHoles = fc.record({
  rows: fc.array(fc.record({ size: fc.constantFrom('16', '20 h7', '24', '30', '36'), length: fc.integer({ min: 12, max: 40 }) }), {
    minLength: 2,
    maxLength: 4,
  }),
  holes: fc.array(fc.record({ size: fc.constantFrom('5', '6', '8', '10 H7', '12'), length: fc.integer({ min: 4, max: 9 }) }), { maxLength: 2 }),
  end: fc.constantFrom('boreRight' as const, 'boreLeft' as const),
  shop: fc.constantFrom(0, 1, 2),
});
type Drawn = typeof drawnWithHoles extends fc.Arbitrary<infer T> ? T : never;

const row = (id: string, size: string, length: number): Section => ({
  id,
  size: { text: size, units: 'mm' },
  length: { text: String(length), units: 'mm' },
});

export function drawnJob({ rows, holes, end }: Drawn): Job {
  // a hole narrows from its mouth inwards
  const inward = holes.toSorted((a, b) => parseFloat(b.size) - parseFloat(a.size)).filter((h, i, all) => i === 0 || all[i - 1]?.size !== h.size);
  const blank = blankJob('drawn', 'mm');
  return {
    ...blank,
    drawing: {
      ...blank.drawing,
      outside: rows.map((r, i) => row(`r${String(i)}`, r.size, r.length)),
      [end]: inward.map((h, i) => row(`h${String(i)}`, h.size, h.length)),
    },
  };
}

const HOLES = new Set(['drill', 'pilot', 'bore', 'ream', 'centre-drill']);

/** Every length of the route that is wrong, named; none where all are right. */
export function wrongLengths(job: Job, shop: Shop): readonly string[] {
  const { routes, part } = plan(job, shop);
  return (routes[0]?.setups ?? []).flatMap((setup) =>
    setup.lengths.flatMap((line) => {
      const set = line.set.value;
      const outside = line.min && line.max && !(set >= line.min.value - 1e-6 && set <= line.max.value + 1e-6);
      const step = setup.steps.find((s) => s.id === line.step);
      const wrong = outside ? [`${line.step}: set ${String(set)} is outside what it may be`] : [];
      if (!step || step.removes.length === 0 || !HOLES.has(step.verb)) return wrong;
      const { left, right } = boundsOf(step.removes);
      const deep = line.from === 'right' ? -left : right + part.length;
      // a drill that runs out into an earlier hole leaves nothing to take there
      const off = step.verb === 'bore' ? Math.abs(deep - set) : deep - set;
      return off <= 0.06 ? wrong : [...wrong, `${line.step}: set ${String(set)}, the metal ends at ${String(deep)}`];
    }),
  );
}
