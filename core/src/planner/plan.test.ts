import { type Choice, type Job, parseJob, type Shop } from '../document';
import { chuckingsOf } from '../settings';
import { applyEdits, findingKey } from '../finding';
import type { Step } from '../operations';
import { figure, type Figure, formulaNamed, writeSentence } from '../quantity';
import { mmOf, startingShop } from '../shop';
import { area, combine, regionOf } from '../stock';
import { choicesOf } from './choicesOf';
import { demoJob, demoShop, jobOf, planned } from './demo.fixture';
import { changedSinceIssue, issued } from './issue';
import type { Plan } from './plan';
import { plan, planning } from './planning';
import type { Route } from './route';

const routeOf = (job: Job, shop: Shop): Route => {
  const [route] = plan(job, shop).routes;
  if (!route) throw new Error('no route');
  return route;
};
const stepsOf = (route: Route): readonly Step[] => route.setups.flatMap((s) => s.steps);
const verbsOf = (job: Job, shop = demoShop()) => stepsOf(routeOf(job, shop)).map((s) => s.id);
const keys = (of: Plan) => of.findings.map(findingKey);
const withChoice = (job: Job, ...choices: Choice[]): Job => ({ ...job, choices: [...job.choices, ...choices] });

/** Every figure anywhere in a value. */
function figuresIn(value: unknown, found: Figure[] = []): Figure[] {
  if (typeof value !== 'object' || value === null || ArrayBuffer.isView(value)) return found;
  if ('formula' in value && 'of' in value) found.push(value as Figure);
  for (const member of Object.values(value)) figuresIn(member, found);
  return found;
}

describe.each(planned)('the plan of %s', (_, job, shop) => {
  const made = plan(job, shop);
  const route = routeOf(job, shop);
  const steps = stepsOf(route);

  it('reaches a route, the same one each time', () => {
    expect(made.reached).toBe('proof');
    expect(plan(job, shop)).toEqual(made);
  });

  it('shows no number that its formula does not give again', () => {
    const figures = figuresIn(made);
    expect(figures.length).toBeGreaterThan(20);
    for (const f of figures) {
      expect(formulaNamed(f.formula)).toBeDefined();
      expect(formulaNamed(f.formula)?.compute(f.of)).toBe(f.value);
      expect(Number.isFinite(f.value)).toBe(true);
    }
  });

  it('is a fixed point: planned from its own choices it is the same route', () => {
    const again = { ...job, choices: [...choicesOf(route, job)] };
    expect(parseJob(again).ok).toBe(true);
    expect(routeOf(again, shop)).toEqual(route);
  });

  it('gives every step a name of its own, a reason and a time', () => {
    expect(new Set(steps.map((s) => s.id)).size).toBe(steps.length);
    for (const s of steps) {
      expect(s.because.length).toBeGreaterThan(0);
      expect(s.figures['minutes']?.value).toBeGreaterThan(0);
    }
  });

  it('takes only speeds and feeds that the machine has, and never above what the holding allows', () => {
    const speeds = shop.machines[0]?.speeds;
    for (const setup of route.setups) {
      const most = shop.holdings.find((h) => h.id === setup.holding)?.maxSpeed ?? 0;
      for (const { figures } of setup.steps) {
        if (figures['speed']) {
          expect(speeds).toContain(figures['speed'].value);
          expect(figures['speed'].value).toBeLessThanOrEqual(most);
        }
        if (figures['feed']?.formula === 'feedSet') expect(shop.machines[0]?.feeds).toContain(figures['feed'].value);
      }
    }
  });

  it('removes metal step by step until the part is left, and never cuts into it', () => {
    const finished = regionOf(made.part.contour);
    for (const s of steps) {
      const gouged = combine('difference', finished, s.after);
      // half of the widest tolerance of the sheet, all round, is where the middle of the limits may lie under the nominal
      expect(area(gouged)).toBeLessThan(0.2 * made.part.length + 0.5);
      expect(area(combine('intersection', s.removes, s.after))).toBeLessThan(0.01);
    }
    const left = steps.at(-1)?.after ?? [];
    expect(Math.abs(area(left) - area(finished))).toBeLessThan(0.05 * area(finished) + 8);
  });

  it('faces first, drills before finish turning, and checks before it lets go', () => {
    const at = (test: (s: Step) => boolean) => steps.map((s, i) => (test(s) ? i : -1)).filter((i) => i >= 0);
    for (const setup of route.setups) {
      const own = setup.steps.filter((s) => s.verb !== 'own');
      expect(['load', 'turn-round', 'pull-out']).toContain(own[0]?.verb);
      if (own[0]?.verb !== 'pull-out') expect(own[1]?.verb).toBe('face');
      if (own.some((s) => s.gauge !== undefined))
        expect(own.findIndex((s) => s.verb === 'check')).toBeGreaterThan(own.findLastIndex((s) => s.verb === 'finish-turn'));
      if (setup.support.length === 0) {
        const drills = own.flatMap((s, i) => (s.verb === 'drill' ? [i] : []));
        const finishes = own.flatMap((s, i) => (s.verb === 'finish-turn' ? [i] : []));
        if (drills.length > 0 && finishes.length > 0) expect(Math.max(...drills)).toBeLessThan(Math.min(...finishes));
      }
    }
    const severing = at((s) => s.verb === 'part-off' || s.verb === 'saw-off');
    // a piece already started, with too little beyond face B to hold it by, is held by its own end
    expect(severing).toHaveLength(job.startsAs ? 0 : 1);
    if (!job.startsAs) expect(steps[(severing[0] ?? 0) + 1]?.verb).toBe('turn-round');
  });

  it('roughs larger diameters before smaller, and all of a setup before it finishes any', () => {
    for (const setup of route.setups) {
      const to = setup.steps.flatMap((s) => (s.verb === 'rough-turn' ? [s.figures['to']?.value ?? 0] : []));
      expect(to).toEqual([...to].sort((a, b) => b - a));
      const last = setup.steps.findLastIndex((s) => s.verb === 'rough-turn');
      const first = setup.steps.findIndex((s) => s.verb === 'finish-turn');
      if (last >= 0 && first >= 0) expect(last).toBeLessThan(first);
    }
  });

  it('has bar enough: cut length = stick-out + grip + spare; a piece already started has no spare', () => {
    const [held] = chuckingsOf(route.setups);
    const load = route.setups[0]?.steps[0]?.because.map((r) => r.rule);
    // of a bar that stays whole each piece takes itself, its facing and the blade
    const each = load?.includes('bar-or-blank') ? made.part.length + 1 + 1.5 + 3 : undefined;
    expect(route.bar.cut.value).toBeCloseTo(each ?? (held?.stickOut.value ?? 0) + (held?.grip.value ?? 0) + (job.startsAs ? 0 : 10), 6);
    if (job.startsAs) return;
    expect(mmOf(shop.bars.find((b) => b.id === route.bar.id)?.across)).toBeGreaterThanOrEqual(
      Math.max(...made.part.features.map((f) => f.nearDiameter.nominal)),
    );
  });
});

describe('the order of a job', () => {
  it('is the one a turner would write for a threaded axle', () => {
    expect(verbsOf(demoJob('sheave-axle'))).toEqual([
      'load@right',
      'face@right',
      'rough-turn@s2',
      'rough-turn@s1',
      'cool@right',
      'finish-turn@s2',
      'finish-turn@s1',
      'chamfer@s1.near',
      'chamfer@s2.near',
      'chamfer@s3.near',
      'undercut@s1',
      'thread@s1',
      'chamfer@s3.far',
      'check@right',
      'part-off@left',
      'turn-round@left',
      'face@left',
      'check@left',
    ]);
  });

  it('centre-drills before the tailstock centre comes up, and drills away the centre only after it is done', () => {
    const job = jobOf('12 h7 x 120; 20 x 20', 'mm');
    const holed: Job = {
      ...job,
      drawing: { ...job.drawing, boreRight: [{ id: 'h', size: { text: '6', units: 'mm' }, length: { text: '15', units: 'mm' } }] },
    };
    const ids = verbsOf(holed);
    const place = (id: string) => ids.indexOf(id);
    expect(place('centre-drill@right')).toBeLessThan(place('support@right'));
    expect(place('support@right')).toBeLessThan(place('rough-turn@s1'));
    expect(place('finish-turn@s1')).toBeLessThan(place('withdraw@right'));
    expect(place('withdraw@right')).toBeLessThan(place('drill@h'));
  });

  it('follows the way of the shop and of the job: die, saw', () => {
    const die = withChoice(
      demoJob('sheave-axle'),
      { kind: 'way', id: 'w', way: 'thread', value: 'die' },
      { kind: 'way', id: 'v', way: 'severing', value: 'saw' },
    );
    const ids = verbsOf(die);
    expect(ids).toContain('die@s1');
    expect(ids).not.toContain('thread@s1');
    expect(ids).toContain('saw-off@left');
    // major diameter 0.1 of the pitch under for a die (common practice)
    expect(stepsOf(routeOf(die, demoShop())).find((s) => s.id === 'finish-turn@s1')?.figures['to']?.value).toBeCloseTo(12 - 0.175, 3);
  });

  it('puts an own step where it was asked for', () => {
    const ids = verbsOf(withChoice(demoJob('sheave-axle'), { kind: 'ownStep', id: 'mine', after: 'face@right', says: 'stamp it', minutes: 1 }));
    expect(ids.indexOf('own@mine')).toBe(ids.indexOf('face@right') + 1);
  });

  it('turns what only the other end reaches after turning round', () => {
    const [first, second] = routeOf(demoJob('mast-dowel'), demoShop()).setups;
    expect(first?.steps.some((s) => s.id === 'finish-turn@s3')).toBe(false);
    expect(second?.steps.some((s) => s.id === 'finish-turn@s3')).toBe(true);
  });
});

describe('checks of the plan, each with its fix', () => {
  const axle = demoJob('sheave-axle');

  it.each<[string, Job]>([
    ['bar-too-small@bar', withChoice(axle, { kind: 'bar', id: 'bar', bar: 'st316-20' })],
    ['stick-out@right-1', withChoice(jobOf('12 x 90'), { kind: 'hold', id: 'h', setup: 'right-1', holding: 'three-jaw', support: [] })],
    ['speed-above-holding@finish-turn@s2', withChoice(axle, { kind: 'data', id: 'd', step: 'finish-turn@s2', speed: 9000 })],
    ['gauge-too-coarse@finish-turn@s2', withChoice(axle, { kind: 'use', id: 'u', step: 'finish-turn@s2', item: 'caliper' })],
    ['choice-orphaned@u', withChoice(axle, { kind: 'use', id: 'u', step: 'finish-turn@gone', item: 'caliper' })],
    ['choice-orphaned@b', withChoice(axle, { kind: 'bar', id: 'b', bar: 'sold' })],
    ['choice-orphaned@h', withChoice(axle, { kind: 'hold', id: 'h', setup: 'right-1', holding: 'lent', support: [] })],
    ['deeper-than-drill@drill@h', holed('8', '140', '40 x 200')],
    ['deeper-than-quill@drill@h', holed('8', '88', '40 x 200')],
    ['flat-bottom@bore@h', holed('4', '12', '40 x 60', 'flat')],
  ])('%s', (key, job) => {
    const shop = demoShop();
    const before = plan(job, shop);
    expect(keys(before)).toContain(key);
    const mends = before.findings.find((f) => findingKey(f) === key)?.mends ?? [];
    expect(mends.length).toBeGreaterThan(0);
    for (const mend of mends) {
      const after = mend.to === 'job' ? plan(applyEdits(job, mend.edits), shop) : plan(job, applyEdits(shop, mend.edits));
      expect(keys(after)).not.toContain(key);
    }
  });

  it('a hole that no drill makes is bored; without a boring bar the nearest drills are offered', () => {
    const job = holed('9.1', '20', '40 x 60');
    expect(plan(job, demoShop()).routes[0]?.setups.flatMap((s) => s.steps.map((step) => step.id))).toEqual(
      expect.arrayContaining(['drill@h', 'bore@h']),
    );
    const bare: Shop = { ...demoShop(), tools: demoShop().tools.filter((t) => t.kind !== 'bore') };
    const found = plan(job, bare).findings.find((f) => findingKey(f) === 'no-drill@drill@h');
    expect(found?.mends.length).toBeGreaterThan(0);
    for (const mend of found?.mends ?? []) expect(keys(plan(applyEdits(job, mend.edits), bare))).not.toContain('no-drill@drill@h');
  });

  it('a bar of a material that the rack lacks may be put on it, or another taken', () => {
    const job = { ...axle, drawing: { ...axle.drawing, material: 'aluminium' } };
    const found = plan(job, demoShop()).findings.find((f) => f.code === 'bar-too-small');
    expect(found?.mends.map((m) => m.to)).toEqual(['job', 'shop']);
    const [take, put] = found?.mends ?? [];
    expect(plan(applyEdits(job, take?.edits ?? []), demoShop()).reached).toBe('proof');
    expect(plan(job, applyEdits(demoShop(), put?.edits ?? [])).reached).toBe('proof');
  });

  it('a shop without lathe or chuck says so and offers to assume one', () => {
    for (const [list, code] of [
      ['machines', 'no-machine'],
      ['holdings', 'no-holding'],
    ] as const) {
      const bare: Shop = { ...demoShop(), [list]: [] };
      const found = plan(axle, bare).findings.find((f) => f.code === code);
      expect(found?.severity).toBe('stop');
      expect(plan(axle, applyEdits(bare, found?.mends[0]?.edits ?? [])).findings.map((f) => f.code)).not.toContain(code);
    }
  });

  it('what the shop lacks stands on the list of things to get, with what it holds up', () => {
    const bare: Shop = { ...demoShop(), tools: demoShop().tools.filter((t) => t.kind !== 'thread') };
    const [wanted, ...more] = plan(axle, bare).toGet;
    expect(wanted).toMatchObject({ how: 'make', holdsUp: ['thread@s1'], instead: { costs: { value: 12 } } });
    expect(more).toEqual([]);
  });

  it('a part that cannot be read stops at the drawing, and yields as it gets on', () => {
    expect(plan(jobOf('25 x 40', 'mm', { drawing: { ...axle.drawing, outside: [] } }), demoShop()).reached).toBe('drawing');
    const seen = [...planning(axle, demoShop())];
    expect([...new Set(seen)].map((p) => p.reached)).toEqual(['drawing', 'holding', 'route']);
    // while the search rests the plan stands as it is: it is not another one
    expect(seen.length).toBeGreaterThan(3);
  });
});

function holed(size: string, depth: string, line: string, far = '118'): Job {
  const job = jobOf(line);
  const mm = (text: string) => ({ text, units: 'mm' as const });
  return { ...job, drawing: { ...job.drawing, boreRight: [{ id: 'h', size: mm(size), length: mm(depth), far: mm(far) }] } };
}

describe('giving out', () => {
  const axle = demoJob('sheave-axle');
  const shop = demoShop();
  const given = issued(axle, routeOf(axle, shop), shop, '2026-11-02T08:00:00.000Z', '0.1.0');

  it('keeps the route and a shop of what it names', () => {
    expect(parseJob(given).ok).toBe(true);
    expect(given.issue?.kit.tools.length).toBeLessThan(shop.tools.length);
    expect(routeOf(given, shop)).toEqual(routeOf(axle, shop));
  });

  it('holds the Bench still while drawing and shop go on, and says what was changed', () => {
    const edited = applyEdits(given, [{ op: 'put', at: 'drawing/outside/#s2/size/text', value: '18 h7' }]);
    const other: Shop = { ...shop, machines: shop.machines.map((m) => ({ ...m, speeds: [55] })) };
    expect(routeOf(edited, other)).toEqual(routeOf(axle, shop));
    const [finding] = changedSinceIssue(edited, other);
    expect(finding && writeSentence(finding.says, 'mm')).toContain('row 2');
    expect(finding && writeSentence(finding.says, 'mm')).toContain('mid-size lathe');
    expect(changedSinceIssue(given, shop)).toEqual([]);
    expect(
      stepsOf(routeOf(applyEdits(edited, finding?.mends[0]?.edits ?? []), shop)).find((s) => s.id === 'finish-turn@s2')?.figures['to']?.value,
    ).toBeLessThan(18);
  });
});

describe('the starting shop', () => {
  it('plans a shaft in inches and says what is assumed of it', () => {
    const shop = startingShop();
    expect(shop.machines[0]?.assumed).toContain('speeds');
    expect(plan(jobOf('1/2-13 x 3/4; 3/4 -.001 x 1; 1 x 1-1/2', 'in'), shop).findings.filter((f) => f.severity === 'stop')).toEqual([]);
  });

  it('lightens the cut as the stick-out grows (common practice: full to 3 diameters, 0.7 to 5, 0.4 beyond)', () => {
    const depth = (ratio: number, centre: number) => figure('length', 'depthLimit', { full: 2.5, ratio, centre }).value;
    expect([depth(2, 0), depth(4, 0), depth(7, 0), depth(7, 1)]).toEqual([2.5, 1.75, 1, 1.75]);
  });
});
