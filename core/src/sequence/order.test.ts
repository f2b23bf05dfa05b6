/* The order of a setup against plain enumeration of every order, and the judge against routes with a step out of place. Rules: common practice. */
import fc from 'fast-check';
import { plan, type Route, violations } from '../planner';
import { demoJob, type demoNames, demoShop, planned } from '../planner/demo.fixture';
import { writeSentence } from '../quantity';
import type { Setup } from '../settings';
import { boundsOfStep, mayMove } from './moves';
import { bestOrder, type Block, costOfOrder, orderEdges, respects } from './order';

const drawn = fc.record({
  tools: fc.array(fc.constantFrom('a', 'b', 'c', undefined), { minLength: 1, maxLength: 6 }),
  hard: fc.array(fc.tuple(fc.nat(5), fc.nat(5)), { maxLength: 6 }),
  soft: fc.array(fc.tuple(fc.nat(5), fc.nat(5)), { maxLength: 4 }),
});
function problem(of: typeof drawn extends fc.Arbitrary<infer T> ? T : never) {
  const n = of.tools.length;
  const blocks: Block[] = of.tools.map((tool, i) => ({
    key: `k${String(i)}`,
    steps: [{ id: `own@k${String(i)}`, verb: 'own', does: [], figures: {}, ...(tool !== undefined && { tool }) }],
  }));
  const hard = blocks.map(() => [] as number[]);
  const soft = blocks.map(() => [] as number[]);
  // forwards only, so that no ring is drawn
  for (const [a, b] of of.hard) if (a < b && b < n) hard[b]?.push(a);
  for (const [a, b] of of.soft) if (a !== b && a < n && b < n && !soft[b]?.includes(a)) soft[b]?.push(a);
  return { blocks, edges: { hard, soft } };
}
function* orders(n: number, begun: number[] = []): Generator<number[]> {
  if (begun.length === n) yield begun;
  for (let i = 0; i < n; i++) if (!begun.includes(i)) yield* orders(n, [...begun, i]);
}

it('is as cheap as the cheapest of all orders tried one by one, and keeps every hard rule', () => {
  fc.assert(
    fc.property(drawn, (of) => {
      const { blocks, edges } = problem(of);
      let least = Infinity;
      for (const order of orders(blocks.length)) if (respects(order, edges)) least = Math.min(least, costOfOrder(order, blocks, edges));
      const best = bestOrder(blocks, edges);
      expect(respects(best.order, edges)).toBe(true);
      expect(costOfOrder(best.order, blocks, edges)).toBeCloseTo(least, 9);
      expect(best.cost).toBeCloseTo(least, 9);
      expect(best.proven).toBe(true);
      expect(best.bound).toBeLessThanOrEqual(least + 1e-9);
    }),
    { numRuns: 150, seed: 60 },
  );
});

it('an order asked for is kept, unless a rule forbids it: then the rule stands', () => {
  const steps = (id: string, verb: 'face' | 'own', tool: string) => ({ key: id, steps: [{ id, verb, does: [], figures: {}, tool }] });
  const blocks: Block[] = [steps('face@right', 'face', 'f'), steps('own@a', 'own', 'a'), steps('own@b', 'own', 'b'), steps('load@right', 'own', 'x')];
  const made = plan(demoJob('sheave-axle'), demoShop());
  const facts = { part: made.part, centre: false, steady: false };
  const asked = orderEdges(blocks, facts, [['own@b', 'own@a']]);
  const { order } = bestOrder(blocks, asked);
  expect(order.indexOf(2)).toBeLessThan(order.indexOf(1));
  const ring = orderEdges(blocks, facts, [
    ['own@b', 'own@a'],
    ['own@a', 'own@b'],
  ]);
  expect(respects(bestOrder(blocks, ring).order, ring)).toBe(true);
});

const routeOf = (name: (typeof demoNames)[number]): { readonly route: Route; readonly made: ReturnType<typeof plan> } => {
  const made = plan(demoJob(name), demoShop());
  const [route] = made.routes;
  if (!route) throw new Error(name);
  return { route, made };
};

describe.each(planned)('the judge of %s', (_, job, shop) => {
  const made = plan(job, shop);
  const [route] = made.routes;
  if (!route) throw new Error('no route');

  it('finds nothing broken in what the planner made', () => {
    expect(violations(route, made.part, job, shop).map((f) => `${f.code} ${f.about} ${writeSentence(f.says, 'mm')}`)).toEqual([]);
  });

  it('finds every pair of neighbours that a rule keeps apart, once they change places', () => {
    for (const [s, setup] of route.setups.entries())
      for (let i = 0; i + 1 < setup.steps.length; i++) {
        const [a, b] = [setup.steps[i], setup.steps[i + 1]];
        if (!a || !b) continue;
        const steps = [...setup.steps.slice(0, i), b, a, ...setup.steps.slice(i + 2)];
        const turned: Route = { ...route, setups: route.setups.map((o, k): Setup => (k === s ? { ...o, steps } : o)) };
        const broken = violations(turned, made.part, job, shop).length > 0;
        expect([b.id, mayMove(route, made.part, b.id, -1).ok]).toEqual([b.id, !broken]);
      }
  });
});

describe('the judge', () => {
  const { route, made } = routeOf('sheave-axle');
  const judged = (change: (setup: Setup, i: number) => Setup) =>
    violations({ ...route, setups: route.setups.map(change) }, made.part, demoJob('sheave-axle'), demoShop()).map((f) => f.code);

  it('misses a check before release, a row that nobody makes, a speed above the holding, a tool that is not there', () => {
    expect(judged((s) => ({ ...s, steps: s.steps.filter((x) => x.verb !== 'check') }))).toContain('release-check');
    expect(judged((s) => ({ ...s, steps: s.steps.filter((x) => x.id !== 'thread@s1' && !x.does.some((d) => d.startsWith('s1'))) }))).toContain(
      'not-made',
    );
    expect(
      judged((s) => ({
        ...s,
        steps: s.steps.map((x) => (x.figures['speed'] ? { ...x, figures: { ...x.figures, speed: { ...x.figures['speed'], value: 9999 } } } : x)),
      })),
    ).toContain('spindle-speed');
    expect(judged((s) => ({ ...s, steps: s.steps.map((x) => (x.tool === undefined ? x : { ...x, tool: 'gone' })) }))).toContain('tool');
    expect(judged((s) => ({ ...s, holding: 'gone' }))).toContain('holding');
  });

  it('says why a step stands where it stands', () => {
    const { after, before } = boundsOfStep(route, made.part, 'thread@s1');
    expect(after?.step.id).toBe('undercut@s1');
    expect(after?.rule.rule).toBe('relief-first');
    expect(before?.step.verb).toBe('chamfer');
    const first = mayMove(route, made.part, 'thread@s1', -1);
    expect(first.ok).toBe(false);
    if (!first.ok)
      expect(writeSentence(first.says, 'mm')).toBe('Undercut stays before thread: a thread starts from a chamfer and runs out into room');
    expect(mayMove(route, made.part, 'gone', 1).ok).toBe(false);
  });
});

describe('rules of the trade in what is planned (common practice)', () => {
  const before = (name: (typeof demoNames)[number], a: string, b: string) => {
    const settings = routeOf(name).route.setups.map((setup) => setup.steps.map((s) => s.id.replace(/:.*/, '')));
    const list = settings.find((steps) => steps.includes(a)) ?? [];
    expect(list).toContain(a);
    expect(list).toContain(b);
    expect(list.indexOf(a)).toBeLessThan(list.indexOf(b));
  };

  it('a knurl is rolled before its neighbours are finished', () => {
    before('windlass-spindle', 'knurl@d5', 'finish-turn@s9');
    before('windlass-spindle', 'finish-turn@s8', 'knurl@d5');
  });

  it('the blade goes in for the back edge only when the thread is cut', () => before('sheave-axle', 'thread@s1', 'chamfer@s3.far'));

  it('the hole is made before the outside is finished, and after the centre has done its work where one is needed', () => {
    before('mast-dowel', 'drill@b1', 'finish-turn@s1');
    before('windlass-spindle', 'thread@s1', 'withdraw@right');
    before('windlass-spindle', 'withdraw@right', 'drill@h2');
  });
});

describe('the judge finds what is spoiled on purpose', () => {
  const job = demoJob('pintle-pin');
  const made = plan(job, demoShop());
  const [route] = made.routes;
  if (!route) throw new Error('no route');
  const codes = (of: Route, shop = demoShop()) => violations(of, made.part, job, shop).map((f) => f.code);
  const withSetup = (i: number, more: Partial<Setup>): Route => ({ ...route, setups: route.setups.map((s, k) => (k === i ? { ...s, ...more } : s)) });
  const withStep = (verb: string, change: (s: Setup['steps'][number]) => Partial<Setup['steps'][number]>): Route => ({
    ...route,
    setups: route.setups.map((setup) => ({ ...setup, steps: setup.steps.map((s) => (s.verb === verb ? { ...s, ...change(s) } : s)) })),
  });

  const last = route.setups.length - 1;

  it('a sound route breaks nothing', () => expect(codes(route)).toEqual([]));
  it('travel: a cut longer than the carriage goes', () =>
    expect(codes(withStep('rough-turn', (s) => ({ passes: s.passes.map((p) => ({ ...p, to: [p.to[0] - 5000, p.to[1]] as const })) })))).toContain(
      'travel',
    ));
  it('support: a centre with no seat', () =>
    expect(codes(withSetup(0, { steps: route.setups[0]?.steps.filter((s) => s.verb !== 'centre-drill') ?? [] }))).toContain('centre-then-support'));
  it('support: one that is not in the shop', () =>
    expect(codes(withSetup(0, { support: [{ item: 'gone', kind: 'steady', at: -20, from: 20 }] }))).toContain('support'));
  it('reach: a drill shorter than its hole', () =>
    expect(
      codes(
        withStep('finish-turn', (s) => ({
          tool: 'drill-8',
          figures: { ...s.figures, point: { is: 'length', value: 900, formula: 'distance', of: { value: 900 } } },
        })),
      ),
    ).toEqual(expect.arrayContaining([expect.stringMatching(/quill|tool/)])));
  it('tolerance: a finishing cut that aims past its limits', () =>
    expect(
      codes(
        withStep('finish-turn', (s) => ({
          figures: { ...s.figures, to: { ...(s.figures['to'] ?? { is: 'diameter', formula: 'middle', of: {} }), value: 99 } },
        })),
      ),
    ).toContain('aim'));
  it('holding: one too small, or none', () => {
    expect(codes(withSetup(0, { gripDiameter: 900 }))).toContain('holding-range');
    expect(codes(withSetup(0, { holding: 'none' }))).toContain('holding');
  });
  it('nothing measured before release', () =>
    expect(codes(withSetup(last, { steps: route.setups[last]?.steps.filter((s) => s.verb !== 'check') ?? [] }))).toContain('release-check'));
});
