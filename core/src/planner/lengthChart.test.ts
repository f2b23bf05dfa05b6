/* The tolerance chart of a whole route: which face is made from which, what that leaves of the drawn tolerances. Common practice; the arithmetic is worst case by intervals. */
import fc from 'fast-check';
import { blankJob, type Job, type Section } from '../document';
import { midShop } from '../shop';
import { lengthChart } from './lengthChart';
import { plan } from './planning';
import { drawnJob, drawnWithHoles } from './setLengths.fixture';

const mm = (text: string) => ({ text, units: 'mm' as const });
const row = (id: string, size: string, length: string): Section => ({ id, size: mm(size), length: mm(length) });
const chartOf = (job: Job) => {
  const { routes, part } = plan(job, midShop());
  const [route] = routes;
  if (!route) throw new Error('no route');
  return { ...lengthChart(route, part), part, route };
};
const job = (...outside: Section[]): Job => {
  const blank = blankJob('chart', 'mm');
  return { ...blank, drawing: { ...blank.drawing, title: { edges: 'sharp' }, outside } };
};

it('worked by hand: a shoulder from each end, 0.3 between them is shared by three settings, 0.1 each; a shoulder of its own 0.3 has 0.2 to spare', () => {
  const { made, drawn, faces } = chartOf(job(row('a', '16', '20 +/-0.15'), row('b', '24', '30 +/-0.15'), row('c', '18', '15 +/-0.15')));
  expect(faces.map((f) => f.name)).toEqual(['left', 'b.far', 'a.far', 'right']);
  expect(made).toHaveLength(3);
  for (const m of made) expect(m.max.value - m.min.value).toBeCloseTo(0.1, 6);
  const left = (id: string) => drawn.find((d) => d.id === id)?.left?.value;
  expect(left('b')).toBeCloseTo(0, 6);
  expect(drawn.find((d) => d.id === 'b')?.through).toHaveLength(3);
  const direct = drawn.filter((d) => d.through.length === 1);
  expect(direct.length).toBeGreaterThan(0);
  for (const d of direct) expect(d.left?.value).toBeCloseTo(0.2, 6);
});

it('each working length stands at the step that finishes it, in the setting where it is cut', () => {
  const { made, route } = chartOf(job(row('a', '16', '20'), row('b', '24', '30'), row('c', '18', '15')));
  for (const m of made) {
    const setup = route.setups.find((s) => s.id === m.setup);
    const steps = setup?.steps.map((s) => s.id) ?? [];
    expect(steps).toContain(m.step);
    expect(m.step).not.toMatch(/^rough/);
  }
});

it('whatever is cut within its working limits, every drawn length comes out within its own', () => {
  fc.assert(
    fc.property(drawnWithHoles, fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 24, maxLength: 24 }), (drawnPart, where) => {
      const { routes, part } = plan(drawnJob(drawnPart), midShop());
      const [route] = routes;
      if (!route) return;
      const { made, drawn } = lengthChart(route, part);
      // each face where its setting happened to leave it
      const at = new Map<string, number>([[route.setups[0]?.end ?? 'right', 0]]);
      made.forEach((m, i) => {
        const length = m.min.value + (where[i % where.length] ?? 0) * (m.max.value - m.min.value);
        const inward = (part.faces[m.to] ?? 0) > (part.faces[m.from] ?? 0) ? 1 : -1;
        // what nothing drawn ties to the first face has a place of its own
        if (!at.has(m.from)) at.set(m.from, 0);
        at.set(m.to, (at.get(m.from) ?? 0) + inward * length);
      });
      for (const d of drawn) {
        if (!d.comes) continue;
        const comes = (at.get(d.a) ?? NaN) - (at.get(d.b) ?? NaN);
        expect(comes).toBeGreaterThanOrEqual(d.limits.min - 1e-6);
        expect(comes).toBeLessThanOrEqual(d.limits.max + 1e-6);
        expect(comes).toBeGreaterThanOrEqual(d.comes.min.value - 1e-6);
        expect(comes).toBeLessThanOrEqual(d.comes.max.value + 1e-6);
      }
    }),
    { numRuns: 40, seed: 20 },
  );
});
