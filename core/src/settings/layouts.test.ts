/* Routes from the other end, between centres and on a plate. The rules are common practice. */
import fc from 'fast-check';
import { blankJob, type Choice, type Detail, type Job, type Section, type Shop } from '../document';
import { choicesOf, plan, type Route, shapeOf, violations } from '../planner';
import { smallJob, smallPart } from '../planner/smallParts.fixture';
import { writeSentence } from '../quantity';
import { midShop } from '../shop';
import type { Setup } from './setup';

const mm = (text: string) => ({ text, units: 'mm' as const });
const row = (id: string, size: string, length: string, more: Partial<Section> = {}): Section => ({ id, size: mm(size), length: mm(length), ...more });
const shop = midShop();

function job(outside: Section[], more: { boreRight?: Section[]; boreLeft?: Section[]; details?: Detail[]; choices?: Choice[] } = {}): Job {
  const blank = blankJob('laid out', 'mm');
  const { choices = [], ...drawing } = more;
  return { ...blank, choices, drawing: { ...blank.drawing, title: { edges: 'sharp' }, outside, ...drawing } };
}
const routeOf = (of: Job, where: Shop = shop): Route => {
  const made = plan(of, where);
  const [route] = made.routes;
  if (!route) throw new Error(made.findings.map((f) => writeSentence(f.says, 'mm')).join('; '));
  return route;
};
const first = (end: 'right' | 'left'): Choice => ({ kind: 'method', id: 'first', of: 'first', method: end });
const carried = (how: string): Choice => ({ kind: 'method', id: 'carrying', of: 'carrying', method: how });
const verbs = (setup: Setup | undefined) => setup?.steps.map((s) => s.verb) ?? [];

/** The same part drawn from its other end. */
function turnedRound(of: Job): Job {
  const swap = ({ near, far, ...rest }: Section): Section => ({ ...rest, ...(near && { far: near }), ...(far && { near: far }) });
  const { outside, boreRight, boreLeft } = of.drawing;
  return { ...of, drawing: { ...of.drawing, outside: outside.map(swap).toReversed(), boreRight: boreLeft, boreLeft: boreRight } };
}

it('worked from end B a part is made like the same part drawn from there', () => {
  fc.assert(
    fc.property(smallPart, (of) => {
      const drawn = smallJob(of);
      // a thread is chamfered at its near end unless it is said otherwise: not the same drawn from there
      fc.pre(plan(drawn, shop).routes.length > 0 && of.rows.every((r) => r.size !== 'M16'));
      const [a, b] = [
        routeOf({ ...drawn, choices: [first('left'), carried('chuck')] }),
        routeOf({ ...turnedRound(drawn), choices: [first('right'), carried('chuck')] }),
      ];
      expect(a.setups.map(verbs)).toEqual(b.setups.map(verbs));
      expect(a.setups.map((s) => s.holding)).toEqual(b.setups.map((s) => s.holding));
      expect(a.cost.minutes.value).toBeCloseTo(b.cost.minutes.value, 6);
      // but for the price of beginning at the end that is drawn last
      expect(a.cost.total.value).toBeCloseTo(b.cost.total.value + 8, 6);
      expect([...new Set(a.setups.map((s) => s.end))]).toEqual(['left', 'right']);
    }),
    { numRuns: 40, seed: 3 },
  );
});

it('begins at end B where end A leaves only a ball to hold it by', () => {
  const knob = job([row('a', 'ball 20', '18'), row('b', '10', '12'), row('c', '16 h7', '25')]);
  const begun = routeOf(knob);
  const other = routeOf({ ...knob, choices: [first(begun.first === 'right' ? 'left' : 'right')] });
  expect(begun.cost.total.value).toBeLessThanOrEqual(other.cost.total.value);
});

describe('between centres', () => {
  const shaft = job([row('a', '20 k6', '40'), row('b', '30', '200'), row('c', '20 k6', '40')], { choices: [carried('centres')] });

  it('both ends are faced and centred first, then each is turned, the dog on the other: four setups', () => {
    const route = routeOf(shaft);
    expect(route.layout).toBe('centres');
    expect(route.setups.map((s) => s.id)).toEqual(['right-1', 'left-1', 'right-2', 'left-2']);
    for (const setup of route.setups.slice(0, 2)) expect(verbs(setup).slice(1, 3)).toEqual(['face', 'centre-drill']);
    for (const setup of route.setups.slice(2)) expect(setup.carried).toBe('centres');
    const made = (id: string) => route.setups.findIndex((s) => s.steps.some((step) => step.id === id));
    expect([made('finish-turn@a'), made('finish-turn@c')]).toEqual([2, 3]);
    expect(violations(route, plan(shaft, shop).part, shaft, shop)).toEqual([]);
  });

  it('a row under the dog waits until the work is end for end, though both ends reach it', () => {
    const route = routeOf(job([row('a', '24 h6', '180')], { choices: [carried('centres')] }));
    expect(route.setups[3]?.steps.some((s) => s.verb === 'finish-turn' && s.does[0] === 'a.diameter')).toBe(true);
  });

  it.each([
    ['a hole in an end', job([row('a', '20', '150')], { boreRight: [row('h', '8', '20')], choices: [carried('centres')] }), shop],
    ['a short piece', job([row('a', '40', '30')], { choices: [carried('centres')] }), shop],
    ['a shop without centres', shaft, { ...shop, holdings: shop.holdings.filter((h) => h.kind !== 'centres') }],
  ])('%s cannot be: said with why, and a fix that lets the planner choose', (_, of, where) => {
    const made = plan(of, where);
    const told = made.findings.find((f) => f.code === 'carrying-not-possible');
    expect(writeSentence(told?.why ?? [], 'mm').length).toBeGreaterThan(20);
    expect(told?.mends[0]?.edits).toEqual([{ op: 'remove', at: 'choices/#carrying' }]);
    expect(made.routes[0]?.layout).toBe('chuck');
  });
});

describe('on a plate', () => {
  const plate = job([row('a', '70', '12')], { boreRight: [row('h', '20 H7', 'through')], choices: [carried('plate')] });

  it('is faced under clamps, turned over, faced and bored, then its rim is turned true to the bore where it lies', () => {
    const route = routeOf(plate);
    expect(route.setups.map((s) => [s.id, s.carried])).toEqual([
      ['left-1', 'plate'],
      ['right-1', 'plate'],
      ['right-2', 'plate'],
    ]);
    // bored where its rim is turned next, so that it is not turned over between the two
    expect(verbs(route.setups[1])).toEqual(expect.arrayContaining(['face', 'bore']));
    expect(verbs(route.setups[2])).toEqual(expect.arrayContaining(['finish-turn', 'check']));
    expect(route.setups[0]?.steps[0]?.because.map((r) => r.rule)).toEqual(expect.arrayContaining(['rough-back', 'balance']));
    expect(violations(route, plan(plate, shop).part, plate, shop)).toEqual([]);
  });
});

it('every route written as choices comes again, whatever its end and its layout', () => {
  const parts = [
    job([row('a', '20 k6', '40'), row('b', '30', '200'), row('c', '20 k6', '40')], { choices: [carried('centres')] }),
    job([row('a', '70', '12')], { boreRight: [row('h', '20 H7', 'through')], choices: [carried('plate')] }),
    job([row('a', '16 h7', '20'), row('b', '25', '30')], { choices: [first('left')] }),
    job([row('a', '16 h7', '20'), row('b', '25', '30')]),
  ];
  for (const of of parts) {
    const route = routeOf(of);
    const again = routeOf({ ...of, choices: [...choicesOf(route, of)] });
    expect(again).toEqual(route);
    expect(shapeOf(route).map((c) => c.kind === 'method' && c.method)).toEqual([route.first, route.layout]);
  }
});

it('drawn parts: planned, written as choices, planned again, the same', () => {
  fc.assert(
    fc.property(smallPart, (of) => {
      const drawn = smallJob(of);
      fc.pre(plan(drawn, shop).routes.length > 0);
      const route = routeOf(drawn);
      expect(routeOf({ ...drawn, choices: [...choicesOf(route, drawn)] })).toEqual(route);
    }),
    { numRuns: 30, seed: 11 },
  );
});
