/* The order and the roughing of every route, judged by rules that are written apart from those it was made by. All common practice. */
import fc from 'fast-check';
import { plan } from '../planner';
import { planned } from '../planner/demo.fixture';
import { drawnJob, drawnWithHoles } from '../planner/setLengths.fixture';
import { smallJob, smallPart } from '../planner/smallParts.fixture';
import { partJob, parts } from '../planner/tradeParts.fixture';
import { midShop } from '../shop';
import { wrongOrder, wrongRoughing } from './turner.fixture';

const shop = midShop();
const cases = [...planned, ...parts.map(([name, part]) => [name, partJob(name, part), shop] as const)];

it.each(cases)('%s', (_, job, own) => {
  const { routes, part } = plan(job, own);
  const [route] = routes;
  if (!route) return;
  expect(wrongOrder(route, part)).toEqual([]);
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
      expect(wrongOrder(route, part)).toEqual([]);
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
  const rules = new Set(wrongOrder(turned, part).map((w) => w.rule));
  for (const rule of [
    'face-first',
    'rough-all-first',
    'hot-reads-big',
    'major-first',
    'relief-first',
    'chamfer-before-severing',
    'release-check',
    'seat-first',
  ])
    expect([rule, rules.has(rule)]).toEqual([rule, true]);
});
