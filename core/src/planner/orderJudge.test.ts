/* The order and the roughing of every route, judged by rules that are written apart from those it was made by. All common practice. */
import fc from 'fast-check';
import { plan } from './index';
import { planned } from './demo.fixture';
import { drawnJob, drawnWithHoles } from './setLengths.fixture';
import { smallJob, smallPart } from './smallParts.fixture';
import { partJob, parts } from './tradeParts.fixture';
import { midShop } from '../shop';
import { comesBefore, factsOf } from '../sequence';
import { type WrongOrder, wrongOrder } from './orderJudge';
import type { Route } from './route';
import type { Part } from '../drawing';
import type { Step } from '../operations';
import { thingOf, readStep } from '../ref';

const shop = midShop();

const wrongIn = (route: Route, part: Part): readonly WrongOrder[] => route.setups.flatMap((setup) => wrongOrder(setup, part));
const about = (step: Step, part: Part): string => {
  const id = thingOf(readStep(step.id).of);
  return part.details.find((d) => d.id === id)?.on ?? id;
};

/** Roughing that leaves under 0.25 mm on diameter to finish, or more than the 1.5 that real cuts take; by the metal that it takes, not by what it says. */
function wrongRoughing(route: Route, part: Part): readonly string[] {
  const steps = route.setups.flatMap((s) => s.steps);
  return steps.flatMap((rough): readonly string[] => {
    if (rough.verb !== 'rough-turn' || rough.removes.length === 0) return [];
    const to = rough.figures['to']?.value ?? NaN;
    const finish = steps.find((s) => s.verb === 'finish-turn' && about(s, part) === about(rough, part))?.figures['to']?.value;
    const least = Math.min(...rough.removes.flatMap((polygon) => polygon.flatMap((ring) => Array.from(ring).filter((_, i) => i % 2 === 1))));
    const left = to - (finish ?? to);
    return [
      ...(Math.abs(2 * least - to) > 0.01 ? [`${rough.id} leaves Ø${String(2 * least)}, it says Ø${String(to)}`] : []),
      ...(finish !== undefined && !(left >= 0.25 && left <= 1.5) ? [`${rough.id} leaves ${String(left)} to finish`] : []),
    ];
  });
}

const cases = [...planned, ...parts.map(([name, part]) => [name, partJob(name, part), shop] as const)];

it.each(cases)('%s', (_, job, own) => {
  const { routes, part } = plan(job, own);
  const [route] = routes;
  if (!route) return;
  expect(wrongIn(route, part)).toEqual([]);
  expect(wrongRoughing(route, part)).toEqual([]);
});

it('parts drawn by number, plain and with holes', () => {
  const drawn = [
    ...fc.sample(smallPart, { seed: 9, numRuns: 40 }).map((p) => smallJob(p)),
    ...fc.sample(drawnWithHoles, { seed: 9, numRuns: 30 }).map((p) => drawnJob(p)),
  ];
  for (const job of drawn) {
    const { routes, part } = plan(job, shop);
    for (const route of routes.slice(0, 1)) {
      expect(wrongIn(route, part)).toEqual([]);
      expect(wrongRoughing(route, part)).toEqual([]);
    }
  }
});

it('the judge knows a wrong order when it sees one', () => {
  const [, job, own] = planned[0] ?? [];
  if (!job || !own) throw new Error('no job');
  const { routes, part } = plan(job, own);
  const [route] = routes;
  if (!route) throw new Error('no route');
  const turned = { ...route, setups: route.setups.map((s) => ({ ...s, steps: s.steps.toReversed() })) };
  const rules = new Set(wrongIn(turned, part).map((w) => w.rule));
  for (const rule of [
    'face-first',
    'rough-all-first',
    'hot-reads-big',
    'major-first',
    'relief-first',
    'chamfer-before-severing',
    'release-check',
    'seat-first',
  ] as const)
    expect([rule, rules.has(rule)]).toEqual([rule, true]);
});

it('judge and maker, written apart, agree on every two steps of a setting, either way round', () => {
  const drawn = fc.sample(drawnWithHoles, { seed: 31, numRuns: 32 }).map((p) => [drawnJob(p), shop] as const);
  let looked = 0;
  for (const [job, own] of [...cases.map(([, job, own]) => [job, own] as const), ...drawn]) {
    const { routes, part } = plan(job, own);
    for (const setup of routes[0]?.setups ?? []) {
      const facts = factsOf(setup, part);
      const severs = setup.steps.filter((s) => s.verb === 'part-off');
      for (const a of setup.steps)
        for (const b of setup.steps) {
          if (a === b) continue;
          const [judged] = wrongOrder({ ...setup, steps: [a, b, ...severs.filter((s) => s !== a && s !== b)] }, part).filter(
            (w) => w.early === a && w.late === b,
          );
          const rule = comesBefore(b, a, facts);
          // both may name another rule of several that hold
          expect([a.id, b.id, judged !== undefined]).toEqual([a.id, b.id, rule !== undefined && !rule.preferred]);
          looked++;
        }
    }
  }
  expect(looked).toBeGreaterThan(8_500);
});
