/* What tool and holder would touch. Sizes of holders and centres are usual ones; the rules are common practice. */
import { blankJob, type Choice, type Job, type Section, type Shop } from '../document';
import { plan, type Route } from '../planner';
import { writeSentence } from '../quantity';
import { midShop, mmOf } from '../shop';
import { area, boundsOf, combine, rectangle, regionOf } from '../stock';
import { proof } from './proof';

const mm = (text: string) => ({ text, units: 'mm' as const });
const row = (id: string, size: string, length: string, far?: string): Section => ({
  id,
  size: mm(size),
  length: mm(length),
  ...(far !== undefined && { far: mm(far) }),
});
const shop = midShop();
function jobOf(outside: Section[], choices: Choice[] = [], boreRight: Section[] = []): Job {
  const blank = blankJob('proved', 'mm');
  return { ...blank, choices, drawing: { ...blank.drawing, title: { edges: 'broken' }, outside, boreRight } };
}
const centre: Choice = { kind: 'hold', id: 'h', setup: 'right-1', holding: 'three-jaw', support: [{ item: 'live-centre' }] };
const found = (job: Job, of: Shop, code: string) => plan(job, of).findings.filter((f) => f.code === code);
/** The shop with every turning tool of one insert. */
const withInsert = (insert: string, lead: string): Shop => ({
  ...shop,
  tools: shop.tools.map((t) => (t.kind === 'turn' ? { ...t, insert, lead: mm(lead) } : t)),
});

it('a slim end beside a live centre is told for a stout insert, not for a slim one, and not without the centre', () => {
  const slim = jobOf([row('a', '8', '40'), row('b', '20', '120')], [centre]);
  const stout = found(slim, withInsert('CNMG120408', '95'), 'meets-centre');
  expect(stout.length).toBeGreaterThan(0);
  expect(writeSentence(stout[0]?.says ?? [], 'mm')).toMatch(/would meet the centre by \d+\.\d mm, beside the face/);
  const depth = (insert: string, lead: string) =>
    Math.max(0, ...found(slim, withInsert(insert, lead), 'meets-centre').map((f) => Number(/by ([\d.]+)/.exec(writeSentence(f.says, 'mm'))?.[1])));
  expect(depth('VBMT160404', '93')).toBeLessThan(depth('CNMG120408', '95'));
  expect(found(jobOf([row('a', '8', '12'), row('b', '20', '20')]), withInsert('CNMG120408', '95'), 'meets-centre')).toEqual([]);
});

it('a stout end beside a centre is clear', () => {
  expect(found(jobOf([row('a', '40 h7', '200')], [centre]), shop, 'meets-centre')).toEqual([]);
});

it('a boring bar as thick as its hole does not enter, one over 0.7 of it leaves no room for chips (common practice)', () => {
  const job = jobOf([row('a', '40', '20')], [], [row('h', '13 H7', 'through')]);
  const withShank = (shank: string): Shop => ({ ...shop, tools: shop.tools.map((t) => (t.id === 'bar-8' ? { ...t, shank: mm(shank) } : t)) });
  const { routes, part } = plan(job, shop);
  // the planner takes none that does not go in: the same route is played with another bar in its place
  const entering = (shank: string) => (routes[0] ? proof(routes[0], withShank(shank), part) : []).filter((f) => f.code === 'bar-enters');
  expect(routes[0]?.setups.flatMap((s) => s.steps).find((s) => s.id === 'bore@h')?.tool).toBe('bar-8');
  expect(entering('14')[0]?.severity).toBe('stop');
  expect(entering('10')[0]?.severity).toBe('caution');
  expect(entering('8')).toEqual([]);
});

it('of several bars the stoutest that leaves chips their room is taken', () => {
  const made = plan(jobOf([row('a', '60', '20')], [], [row('h', '31 H7', 'through')]), shop);
  expect(made.routes[0]?.setups[0]?.steps.find((s) => s.verb === 'bore')?.tool).toBe('bar-20');
});

it('a plan is proved last, after its route stands', () => {
  expect(plan(jobOf([row('a', '20', '40')]), shop).reached).toBe('proof');
});

describe('what is left at the end', () => {
  const named = (job: Job, of: Shop = shop) => plan(job, of).findings.map((f) => `${f.code} ${f.about}`);

  it('a whole route leaves the part: no metal more, none less', () => {
    const bolt = jobOf([row('a', '12 h7', '30', 'R1'), row('b', '20', '15'), row('c', '14', '12')], [], [row('h', '6', '20')]);
    expect(named(bolt).filter((f) => /^(metal-left|gouged|ring-left|cuts-air|rapid)/.test(f))).toEqual([]);
  });

  it('a tool that the shop has not leaves its metal, and says where', () => {
    const none: Shop = { ...shop, tools: shop.tools.filter((t) => t.kind !== 'bore') };
    expect(named(jobOf([row('a', '40', '20')], [], [row('h', '13.3 H7', 'through')]), none).join()).toMatch(/no-tool|metal-left/);
  });

  it('a metal ring in the kerf, a contour cut into, metal left: found in a route that is spoiled on purpose', () => {
    const job = jobOf([row('a', '16', '20'), row('b', '24', '20')]);
    const made = plan(job, shop);
    const [route] = made.routes;
    const last = route?.setups.at(-1);
    const step = last?.steps.at(-1);
    if (!route || !last || !step) throw new Error('no route');
    const spoiled = (after: typeof step.after): Route => ({
      ...route,
      setups: [...route.setups.slice(0, -1), { ...last, steps: [...last.steps.slice(0, -1), { ...step, after }] }],
    });
    const codes = (of: Route) => proof(of, shop, made.part).map((f) => `${f.code} ${f.about}`);
    expect(codes(route).filter((c) => /left|gouged/.test(c))).toEqual([]);
    expect(codes(spoiled(combine('union', step.after, rectangle(-15, -5, 0, 8.6))))).toContain('metal-left a.diameter');
    expect(codes(spoiled(combine('difference', step.after, rectangle(-35, -25, 11.4, 20))))).toContain('gouged b.diameter');
    const parted = route.setups[0]?.steps.findIndex((s) => s.verb === 'part-off') ?? -1;
    const [first] = route.setups;
    const kerf = first?.steps[parted];
    if (!first || !kerf) throw new Error('not parted');
    const [z0, z1] = [boundsOf(kerf.removes).left, boundsOf(kerf.removes).right];
    const ringed = { ...kerf, after: combine('union', kerf.after, rectangle(z0, z1, 0, 2)) };
    const withRing: Route = { ...route, setups: [{ ...first, steps: first.steps.map((s) => (s === kerf ? ringed : s)) }, ...route.setups.slice(1)] };
    expect(codes(withRing)).toContain('ring-left part-off@left');
  });

  it('a finished corner is kept by a blade and by a finishing cut, for the tool that forms it', () => {
    const neck = jobOf([row('a', '30', '12'), { ...row('b', '20', '14'), near: mm('R1'), far: mm('R1') }, row('c', '30', '12')]);
    expect(named(neck).filter((f) => /^(gouged|metal-left|cuts-air)/.test(f))).toEqual([]);
  });

  it('a nose leaves its radius in a square corner, outside and in a bore, and the step says how much', () => {
    const stepped = jobOf([row('a', '16', '30'), row('b', '30', '20')], [], [{ ...row('h', '12 H8', '20'), far: mm('flat') }]);
    const made = plan(stepped, shop);
    const [route] = made.routes;
    const last = route?.setups.at(-1)?.steps.at(-1)?.after ?? [];
    const left = combine('difference', last, regionOf(made.part.contour));
    const nose = mmOf(shop.tools.find((t) => t.id === route?.setups.flatMap((s) => s.steps).find((x) => x.id === 'finish-turn@a')?.tool)?.nose);
    const near = (z0: number, z1: number, r0: number, r1: number) => area(combine('intersection', left, rectangle(z0, z1, r0, r1)));
    expect(nose).toBeGreaterThan(0);
    expect(near(-30.01, -28, 7.99, 10)).toBeCloseTo(nose ** 2 * (1 - 2 * Math.sin(Math.PI / 8)), 2);
    expect(near(-20.1, -18, 5, 6.1)).toBeGreaterThan(0);
    const why = route?.setups
      .flatMap((s) => s.steps)
      .find((x) => x.id === 'finish-turn@a')
      ?.because.find((r) => r.rule === 'corner');
    expect(why && writeSentence(why.says, 'mm')).toBe(
      `its nose leaves ${String(nose)} mm in the corner: what seats there wants a chamfer, or an undercut`,
    );
    const relieved = jobOf([{ ...row('a', '16', '30'), far: mm('R1') }, row('b', '30', '20')]);
    expect(
      plan(relieved, shop)
        .routes[0]?.setups.flatMap((s) => s.steps)
        .some((x) => x.because.some((r) => r.rule === 'corner')),
    ).toBe(false);
  });
});

it('a thread is proved along its way: clear with room before the jaws, told where its tool comes to them', () => {
  const job = (bolt: string) => jobOf([row('a', 'M12', bolt), row('b', '20', '8')]);
  const steps = plan(job('30'), shop).routes[0]?.setups.flatMap((s) => s.steps) ?? [];
  const thread = steps.find((s) => s.verb === 'thread' || s.verb === 'die');
  // ISO 261: of M12 the pitch is 1.75; grooves from the face inwards up to the relief
  const lefts = (thread?.removes ?? []).map((g) => boundsOf([g]).left).toSorted((a, b) => b - a);
  expect(lefts.length).toBeGreaterThan(12);
  for (let i = 2; i < lefts.length - 1; i++) expect((lefts[i - 1] ?? 0) - (lefts[i] ?? 0)).toBeCloseTo(1.75, 3);
  expect(found(job('30'), shop, 'gouged')).toEqual([]);
  expect(found(job('30'), shop, 'cuts-air')).toEqual([]);
  const [route] = plan({ ...job('30'), choices: [{ kind: 'method', id: 'm', of: 'a', method: 'single-point' }] }, shop).routes;
  if (!route) throw new Error('no route');
  const part = plan(job('30'), shop).part;
  const told = (by: number) => {
    const setups = route.setups.map((s) =>
      s.steps.some((x) => x.verb === 'thread') ? { ...s, gripped: [by, by - 20] as const, gripDiameter: 12 } : s,
    );
    return proof({ ...route, setups }, shop, part).filter((f) => f.about.startsWith('thread') && f.code.includes('jaws'));
  };
  expect(told(-40)).toEqual([]);
  expect(told(-25).map((f) => f.code)).toContain('meets-jaws');
});
