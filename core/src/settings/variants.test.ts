/* Which end a row is turned from, and methods that the shop leaves to be weighed. The rules are common practice. */
import type { Choice, Job, Shop } from '../document';
import { plan, type Route, violations } from '../planner';
import { jobOf } from '../planner/demo.fixture';
import { writeSentence } from '../quantity';
import { midShop } from '../shop';

const shop = midShop();
const headed = jobOf('16 x 40; 30 x 12; 16 x 20');
const inSetup = (row: string, setup: 'right-1' | 'left-1'): Choice => ({ kind: 'in', id: 'where', step: `finish-turn@${row}`, setup });
const first = (end: string): Choice => ({ kind: 'method', id: 'first', of: 'first', method: end });
const routeOf = (job: Job, of: Shop = shop): Route => {
  const [route] = plan(job, of).routes;
  if (!route) throw new Error('no route');
  return route;
};
const setupOf = (route: Route, row: string) => route.setups.find((s) => s.steps.some((x) => x.id.startsWith(`finish-turn@${row}`)))?.id;
const rowIds = headed.drawing.outside.map((r) => r.id);
const wide = rowIds[1] ?? '';

it.each(['right-1', 'left-1'] as const)('the widest row is turned in %s when that is asked for, and the route breaks no rule', (setup) => {
  const job = { ...headed, choices: [first('right'), inSetup(wide, setup)] };
  const made = plan(job, shop);
  const [route] = made.routes;
  if (!route) throw new Error('no route');
  expect(setupOf(route, wide)).toBe(setup);
  expect(violations(route, made.part, job, shop)).toEqual([]);
  expect(made.findings.filter((f) => f.code === 'one-chucking').map((f) => f.about)).toEqual(setup === 'left-1' ? [`${wide}.diameter`] : []);
  expect(made.findings.filter((f) => f.code === 'metal-left' || f.code === 'gouged')).toEqual([]);
});

it('left free, the widest row goes where the whole costs least', () => {
  const free = routeOf(headed).cost.total.value;
  const asked = (['right', 'left'] as const).flatMap((end) =>
    (['right-1', 'left-1'] as const).map((setup) => routeOf({ ...headed, choices: [first(end), inSetup(wide, setup)] }).cost.total.value),
  );
  expect(free).toBeLessThanOrEqual(Math.min(...asked) + 1e-9);
});

it('a row that a larger one hides from an end is not turned from there, and that is said with a fix', () => {
  const made = plan({ ...headed, choices: [inSetup(rowIds[0] ?? '', 'left-1')] }, shop);
  const [told] = made.findings.filter((f) => f.code === 'in-not-possible');
  expect(told && writeSentence(told.says, 'mm')).toBe('it was to be turned from end B, and is turned from end A');
  expect(told?.mends[0]?.edits).toEqual([{ op: 'remove', at: 'choices/#where' }]);
  const gone = plan({ ...headed, choices: [inSetup('nothing', 'left-1')] }, shop);
  expect(gone.findings.map((f) => f.code)).toContain('choice-orphaned');
});

const least = { ...shop, ways: { ...shop.ways, thread: 'least', taper: 'least', severing: 'least' } };

it.each([
  ['M12 x 20; 20 x 30', 'die'],
  ['30 x 20; 30 > 26 x 8; 20 x 15', 'taper'],
] as const)('what is left open is done as it costs least: %s', (line, verb) => {
  const job = jobOf(line);
  const free = routeOf(job, least);
  const each = (way: string, values: readonly string[]) => values.map((value) => routeOf(job, { ...shop, ways: { ...shop.ways, [way]: value } }));
  const others = verb === 'die' ? each('thread', ['single-point', 'die', 'begun']) : each('taper', ['compound', 'set-over']);
  expect(free.cost.total.value).toBeLessThanOrEqual(Math.min(...others.map((r) => r.cost.total.value)) + 1e-9);
  expect(free.setups.flatMap((s) => s.steps.map((x) => x.verb))).toContain(verb);
});

it('with more ways than are weighed whole, says how many were', () => {
  const job = jobOf('24 x 10; 24 > 26 x 5; 26 x 5; 26 > 28 x 5; 28 x 5; 28 > 30 x 5; 30 x 20');
  const made = plan(job, least);
  const told = made.findings.find((f) => f.code === 'search-cut');
  expect(told && writeSentence(told.says, 'mm')).toBe('of 54 ways to thread, taper and sever it, 18 were weighed');
  expect(made.routes).toHaveLength(1);
});
