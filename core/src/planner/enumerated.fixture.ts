import type { Choice, Job, Shop } from '../document';
import type { Step } from '../operations';
import { chuckingsOf, type Setup } from '../settings';
import { costOf } from './cost';
import { violations } from './judge';
import type { Plan } from './plan';
import { routed } from './planning';
import type { Route } from './route';

/*
 * The judge of optimality: every first end, every way of carrying, every holding and support of every setup, every order of the steps in it, one after the other, the
 * cheapest kept. It makes its steps by pinning everything in a plan, shares costOf and violations with the planner, and nothing of its search.
 */

/** Every order of the steps of a setup that breaks no rule; a beginning that breaks one is not gone on with. `breaks(i, j)`: the i-th before the j-th. */
export function* ordersOf(steps: readonly Step[], breaks: (i: number, j: number) => boolean): Generator<readonly Step[]> {
  function* from(begun: readonly number[], rest: readonly number[]): Generator<readonly Step[]> {
    if (rest.length === 0) yield begun.flatMap((i) => steps[i] ?? []);
    for (const i of rest)
      if (begun.every((b) => !breaks(b, i)) && rest.every((r) => r === i || !breaks(i, r)))
        yield* from(
          [...begun, i],
          rest.filter((r) => r !== i),
        );
  }
  yield* from([], [...steps.keys()]);
}

interface Cheapest {
  readonly cost: number;
  readonly route: Route;
  /** whole routes looked at */
  readonly looked: number;
}

export function enumerated(job: Job, shop: Shop): Cheapest | undefined {
  let best: Cheapest | undefined;
  let looked = 0;
  const known = new Map<string, { readonly cost: number; readonly setup: Setup }>();
  for (const first of ['right', 'left'] as const)
    for (const carrying of ['chuck', 'centres', 'plate'] as const) {
      for (const where of product(job.drawing.outside.map(({ id }) => insOf(id))))
        for (const methods of product([...chainsOf(job, carrying), ...methodsOf(job, shop)])) {
          const shape: Choice[] = [
            { kind: 'method', id: 'judge-first', of: 'first', method: first },
            { kind: 'method', id: 'judge-carrying', of: 'carrying', method: carrying },
            ...where,
            ...methods,
          ];
          const begun = routed({ ...job, choices: [...job.choices, ...shape] }, shop);
          const [made] = begun.routes;
          if (made?.layout !== carrying || begun.findings.some((f) => f.code === 'in-not-possible')) continue;
          for (const holds of product(chuckingsOf(made.setups).map((s) => holdsOf(begun, s.id)))) {
            const whole = routed({ ...job, choices: [...job.choices, ...shape, ...holds] }, shop);
            const [route] = whole.routes;
            if (!route || wrongPull(shape, holds, route)) continue;
            const cheapest = route.setups.map((setup) => {
              // a setup that was made in the same way before has the same cheapest order
              const key = JSON.stringify([setup.id, setup.weighs.value, setup.steps.map((s) => [s.id, s.tool, s.figures['minutes']?.value])]);
              const before = known.get(key);
              if (before) return before;
              let least: { readonly cost: number; readonly setup: Setup } | undefined;
              for (const steps of ordersOf(setup.steps, pairsOf(setup, route, whole, job, shop))) {
                looked++;
                const now = { ...setup, steps };
                const cost = costOf({ setups: [now] }, whole.part);
                if (!least || cost < least.cost) least = { cost, setup: now };
              }
              if (least) known.set(key, least);
              return least;
            });
            if (cheapest.some((c) => c === undefined)) continue;
            const setups = cheapest.flatMap((c) => (c ? [c.setup] : []));
            const cost = costOf({ setups }, whole.part);
            if (!best || cost < best.cost) best = { cost, route: { ...route, setups }, looked };
          }
        }
    }
  return best && { ...best, looked };
}

/** Which of two steps may not stand before the other, by the one judge; what is only missing from so short a setup is not held against it. */
function pairsOf(setup: Setup, route: Route, { part }: Plan, job: Job, shop: Shop): (i: number, j: number) => boolean {
  const severs = setup.steps.filter((s) => s.verb === 'part-off' || s.verb === 'saw-off');
  const table = setup.steps.map((a) =>
    setup.steps.map((b) => {
      if (a === b) return false;
      const steps = [a, b, ...severs.filter((s) => s !== a && s !== b)];
      return violations({ ...route, setups: [{ ...setup, steps }] }, part, job, shop).some((f) => f.code !== 'not-made' && f.about === a.id);
    }),
  );
  return (i, j) => table[i]?.[j] ?? false;
}

/** A row turned in the setup of one end or of the other. */
const insOf = (row: string): readonly Choice[] =>
  (['right', 'left'] as const).map((end) => ({ kind: 'in', id: `judge-in-${row}`, step: `finish-turn@${row}`, setup: `${end}-1` }));

/** The bar pulled out as it is worked or not; the parted face left or faced, where a hole goes through. */
const chainsOf = (job: Job, carrying: string): readonly (readonly Choice[])[] =>
  carrying === 'chuck'
    ? [
        ['short', 'once'].map((method) => ({ kind: 'method', id: 'judge-pull', of: 'pull', method })),
        ...(job.drawing.boreRight.some((r) => r.length.text === 'through')
          ? [['stays', 'turned'].map((method): Choice => ({ kind: 'method', id: 'judge-parted', of: 'parted', method }))]
          : []),
      ]
    : [];

/** Faced and centred far out, then carried by that centre: no turner does that unasked. @source short-then-out, common practice */
const wrongPull = (shape: readonly Choice[], holds: readonly Choice[], route: Route): boolean =>
  shape.some((c) => c.kind === 'method' && c.of === 'pull' && c.method === 'once') &&
  holds.some((c) => c.kind === 'hold' && c.setup === `${route.first}-1` && c.support.length > 0);

/** Every method of each row, and of severing, that the shop leaves open. */
function methodsOf(job: Job, shop: Shop): readonly (readonly Choice[])[] {
  const ways = (of: string, methods: readonly string[]): readonly Choice[] =>
    methods.map((method) => ({ kind: 'method', id: `judge-${of}`, of, method }));
  return [
    ...(shop.ways['severing'] === 'least' ? [ways('left', ['part', 'saw'])] : []),
    ...(shop.ways['thread'] === 'least'
      ? job.drawing.outside.filter((r) => r.size.text.startsWith('M')).map((r) => ways(r.id, ['single-point', 'die', 'begun']))
      : []),
  ];
}

/** Every way of holding of one setup that nothing forbids, as a choice. */
function holdsOf(made: Plan, setup: string): readonly Choice[] {
  const options = made.holdings.filter((h) => h.setup === setup);
  const free = options.filter((o) => o.findings.every((f) => f.severity !== 'stop'));
  return (free.length > 0 ? free : options.slice(0, 1)).map((o) => ({
    kind: 'hold' as const,
    id: `judge-${setup}`,
    setup,
    holding: o.holding,
    support: o.support.map(({ item }) => ({ item })),
  }));
}

function* product(lists: readonly (readonly Choice[])[]): Generator<readonly Choice[]> {
  const [first, ...rest] = lists;
  if (!first) {
    yield [];
    return;
  }
  for (const one of first) for (const others of product(rest)) yield [one, ...others];
}

/** The shop with few ways of holding, so that all of them can be tried. */
export const fewHoldings = (shop: Shop, keep: readonly string[]): Shop => ({ ...shop, holdings: shop.holdings.filter((h) => keep.includes(h.id)) });
