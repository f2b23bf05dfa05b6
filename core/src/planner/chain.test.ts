/* From bar to part as a chain of settings: what a turner would want of the way a piece is carried. All of it common practice unless another source is named. */
import fc from 'fast-check';
import { blankJob, type Choice, type Job, type Shop } from '../document';
import { isShaped } from '../drawing';
import { writeSentence } from '../quantity';
import { chuckingsOf, type Setup } from '../settings';
import { holdingOf, isChuck, midShop, mmOf, practice, readoutShop, startingShop } from '../shop';
import { volume } from '../stock';
import { jobOf as lineJob } from './demo.fixture';
import { judged } from './judged.fixture';
import { choicesOf } from './choicesOf';
import { violations } from './judge';
import { plan } from './planning';
import type { Route } from './route';

const mm = (text: string) => ({ text, units: 'mm' as const });
const row = (id: string, size: string, length: string, more: Partial<Job['drawing']['outside'][number]> = {}) => ({
  id,
  size: mm(size),
  length: mm(length),
  ...more,
});
function jobOf(
  outside: Job['drawing']['outside'],
  boreRight: Job['drawing']['boreRight'] = [],
  more: Partial<Job['drawing']> = {},
  own: Partial<Job> = {},
): Job {
  const blank = blankJob('chain', 'mm');
  return { ...blank, ...own, drawing: { ...blank.drawing, title: { edges: 'broken' }, outside, boreRight, ...more } };
}
const shop = midShop();
function routeOf(job: Job, where: Shop = shop): Route {
  const [route] = plan(job, where).routes;
  if (!route) throw new Error('no route');
  return route;
}
const stepsOf = (route: Route) => route.setups.flatMap((s) => s.steps);
const saysOf = (route: Route) =>
  stepsOf(route).map((s) => [s.id, writeSentence(s.says, 'mm'), ...s.because.map((r) => writeSentence(r.says, 'mm'))].join('; '));
const setupOf = (route: Route, id: string): Setup | undefined => route.setups.find((s) => s.steps.some((step) => step.id === id));

describe('pulled out', () => {
  const pin = jobOf([row('p', '0.8 > 8', '6'), row('b', '8 h9', '34'), row('t', '6 h7', '12')], [], { material: 'mild-steel' });

  it('a point is turned close to the jaws, no centre in it, and the piece is severed after', () => {
    const route = routeOf(pin);
    const cone = setupOf(route, 'taper@p');
    expect((cone?.stickOut.value ?? Infinity) / (cone?.gripDiameter ?? 1)).toBeLessThanOrEqual(3.5);
    expect(stepsOf(route).map((s) => s.id)).not.toContain('centre-drill@right');
  });

  it('what can be done within three diameters comes first, then what lies within five; nothing is pulled out to have nothing cut', () => {
    const route = routeOf(jobOf([row('a', '12 h9', '30'), row('b', '18 h9', '32'), row('c', '10', '14')]));
    const outs = chuckingsOf(route.setups)[0]?.settings.map((s) => s.stickOut.value) ?? [];
    expect(outs).toEqual([...outs].sort((a, b) => a - b));
    for (const setup of route.setups) if (setup.pulled) expect(setup.steps.length).toBeGreaterThan(1);
  });

  it('rows that are to run true to one another stay in one place, unless a person asks otherwise', () => {
    const relation = { id: 'r', kind: 'runout' as const, of: 'a', to: 'b', value: mm('0.01') };
    const outside = [row('a', '12 h7', '20'), row('b', '20 h7', '30'), row('c', '16', '20')];
    const apart = chuckingsOf(routeOf(jobOf(outside, [], {}, { choices: [short] })).setups)[0]?.settings.length ?? 0;
    const kept = routeOf(jobOf(outside, [], { relations: [relation] }, { choices: [short] }));
    expect(apart).toBeGreaterThan(1);
    expect(kept.runouts[0]?.oneChucking).toBe(true);
  });

  it('is not, of a bar that does not go through the spindle, where a person says so, or where a stick-out is typed', () => {
    const long = jobOf([row('a', '16 h9', '120'), row('b', '20', '10')]);
    const pulls = (job: Job, where = shop) => routeOf(job, where).setups.some((s) => s.pulled);
    expect(pulls(long)).toBe(true);
    expect(pulls({ ...long, choices: [once] })).toBe(false);
    const typed: Choice = { kind: 'hold', id: 'h', setup: 'right-1', holding: 'three-jaw', stickOut: mm('150'), support: [{ item: 'live-centre' }] };
    expect(pulls({ ...long, choices: [typed] })).toBe(false);
    expect(pulls(long, { ...shop, machines: shop.machines.map((m) => ({ ...m, through: mm('15') })) })).toBe(false);
  });

  it('of a batch each piece goes right through its chucking: the bar is not taken out between two places', () => {
    const route = routeOf({ ...pin, pieces: 3, choices: [short] });
    const [held] = chuckingsOf(route.setups);
    const own = new Set(held?.settings.flatMap((s) => s.steps.map((step) => step.id)));
    const pieces = route.schedule.filter((l) => own.has(l.step)).map((l) => l.piece);
    expect(pieces).toEqual([...pieces].sort((a, b) => a - b));
  });

  it('far out with nothing that carries it a piece is sawn off, not parted, where the shop has a saw', () => {
    const bare: Choice = { kind: 'hold', id: 'h', setup: 'right-1', holding: 'collets', support: [] };
    const long = jobOf([row('a', '12 h9', '30'), row('b', '18 h9', '45'), row('c', '12 h9', '30')], [], {}, { choices: [bare] });
    expect(stepsOf(routeOf(long)).some((s) => s.verb === 'part-off')).toBe(false);
    const noSaw: Shop = { ...shop, tools: shop.tools.filter((t) => t.kind !== 'saw') };
    expect(stepsOf(routeOf(long, noSaw)).some((s) => s.verb === 'part-off')).toBe(true);
  });
});
const short: Choice = { kind: 'method', id: 'pull', of: 'pull', method: 'short' };
const once: Choice = { kind: 'method', id: 'pull', of: 'pull', method: 'once' };

describe('a deep hole far out', () => {
  it('gets its steady before the centre goes (steady-for-depth), or is drilled from a short chucking', () => {
    const barrel = jobOf([row('a', 'M16x1', '15'), row('b', '20 h9', '120')], [row('h', '8', 'through')]);
    const route = routeOf(barrel);
    const drill = setupOf(route, 'drill@h');
    const steady = drill?.support.some((s) => s.kind === 'steady');
    expect(steady === true || (drill?.stickOut.value ?? 0) <= practice.partedOut * (drill?.gripDiameter ?? 1)).toBe(true);
    const asked: Choice = { kind: 'hold', id: 'h', setup: 'right-1', holding: 'three-jaw', support: [{ item: 'live-centre' }, { item: 'steady' }] };
    const both = routeOf({ ...barrel, choices: [asked] });
    const verbs = stepsOf(both).map((s) => s.verb);
    expect(chuckingsOf(both.setups)[0]?.support.map((s) => s.kind)).toEqual(['centre', 'steady']);
    expect(verbs.lastIndexOf('support')).toBeLessThan(verbs.indexOf('withdraw'));
    expect(verbs.indexOf('withdraw')).toBeLessThan(verbs.indexOf('drill'));
    expect(violations(both, plan(barrel, shop).part, barrel, shop)).toEqual([]);
  });

  it('a thread over a thin wall is cut while it is solid; over a thick one the hole comes first', () => {
    const order = (bore: string) => {
      const ids = stepsOf(routeOf(jobOf([row('a', 'M16x1', '15'), row('b', '24', '25')], [row('h', bore, '30')]))).map((s) => s.id);
      return [ids.findIndex((id) => /^(thread|die)@a/.test(id)), ids.indexOf('drill@h')] as const;
    };
    const [thin, drilled] = order('12');
    expect(thin).toBeLessThan(drilled);
    const [thick, before] = order('6');
    expect(thick).toBeGreaterThan(before);
  });
});

describe('several from one bar', () => {
  const washer = (more: Partial<Job> = {}, size = '36', long = '4') => jobOf([row('a', `bar ${size}`, long)], [row('h', '13', 'through')], {}, more);
  const stock: Shop = {
    ...shop,
    bars: [{ id: 'b36', name: 'mild steel 36', material: 'mild-steel', across: mm('36'), form: 'round', skin: 'drawn', length: mm('900') }],
    tools: [...shop.tools, { id: 'd13', name: 'drill 13', kind: 'drill', grade: 'hss', hand: 'neutral', size: mm('13'), reach: mm('120') }],
  };

  it('washers come out of one setting, parted to thickness, drilled together: a grip once, not for each', () => {
    const one = routeOf(washer({ pieces: 1 }), stock);
    const ten = routeOf(washer({ pieces: 10 }), stock);
    expect(ten.setups).toHaveLength(1);
    expect(ten.cost.minutes.value).toBeLessThan(one.cost.minutes.value);
    const used = 900 - (ten.bar.from[0]?.left.value ?? 0);
    // each takes itself, a facing cut and the blade
    expect(used).toBeLessThanOrEqual(10 * (4 + 1 + 3) + 1);
    expect(saysOf(ten).join()).toMatch(/10 of them out at once|\d+ of them out at once/);
  });

  it('a finer thickness, a finish or a relation has the parted face faced: one more setting', () => {
    expect(routeOf(washer({ pieces: 10 }, '36', '4 +/-0.02'), stock).setups.length).toBeGreaterThan(1);
    const flat = washer({ pieces: 10 });
    const parallel = {
      ...flat,
      drawing: { ...flat.drawing, relations: [{ id: 'r', kind: 'parallel' as const, of: 'left', to: 'right', value: mm('0.02') }] },
    };
    expect(routeOf(parallel, stock).setups.length).toBeGreaterThan(1);
    const asked = { ...flat, choices: [{ kind: 'method' as const, id: 'p', of: 'parted', method: 'turned' }] };
    expect(routeOf(asked, stock).setups.length).toBeGreaterThan(1);
  });

  it('no more stand out at once than the drill reaches, nor than two diameters (parted-to-thickness)', () => {
    const tools = stock.tools.map((t) => (t.id === 'd13' ? { ...t, reach: mm('40') } : t));
    const words = saysOf(routeOf(washer({ pieces: 20 }), { ...stock, tools })).join();
    const together = Number(/, (\d+) of them out/.exec(words)?.[1] ?? 1);
    expect(together).toBeLessThanOrEqual((40 - 13) / 8);
    const far = routeOf(washer({ pieces: 50 }), stock).setups[0]?.stickOut.value ?? 0;
    expect(far).toBeLessThanOrEqual(2 * 36 + 1e-6);
  });

  it('a bar that does not enter the spindle is sawn into blanks', () => {
    const narrow: Shop = { ...stock, machines: stock.machines.map((m) => ({ ...m, through: mm('30') })) };
    expect(routeOf(washer({ pieces: 10 }), narrow).bar.cut.formula).not.toBe('barEach');
    expect(routeOf(washer({ pieces: 10 }), stock).bar.cut.formula).toBe('barEach');
  });
});

describe('between centres on cones', () => {
  const sleeve = (bore: string, outside = '30 h6', long = '160') =>
    jobOf([row('a', outside, long)], [row('h', bore, 'through')], {}, { choices: [{ kind: 'method', id: 'c', of: 'carrying', method: 'centres' }] });

  it('the hole first, a cone in each mouth, then the outside true to it', () => {
    const route = routeOf(sleeve('10'));
    expect(route.layout).toBe('centres');
    const ids = stepsOf(route).map((s) => s.id);
    const places = ['drill@h', 'chamfer@h.cone', 'chamfer@h.farCone', 'finish-turn@a'].map((id) => ids.indexOf(id));
    expect(places.every((p) => p >= 0)).toBe(true);
    expect(places).toEqual([...places].sort((a, b) => a - b));
    expect(plan(sleeve('10'), shop).findings.map((f) => f.code)).not.toContain('gouged');
  });

  it('the end that its hole is drilled from goes first: no cone is cut in solid metal', () => {
    const drawn = sleeve('10').drawing;
    const other = { ...sleeve('10'), drawing: { ...drawn, boreLeft: drawn.boreRight, boreRight: [] } };
    const route = routeOf(other);
    expect([route.layout, route.first]).toEqual(['centres', 'left']);
    const ids = stepsOf(route).map((s) => s.id);
    expect(ids.indexOf('drill@h')).toBeLessThan(ids.indexOf('chamfer@h.farCone'));
    const wrong: Choice = { kind: 'method', id: 'f', of: 'first', method: 'right' };
    expect(plan({ ...other, choices: [...other.choices, wrong] }, shop).findings.map((f) => f.code)).toContain('carrying-not-possible');
  });

  it('not with a wall too thin for a cone, nor with a hole that goes in from one end only: said', () => {
    const blind = jobOf([row('a', '30', '160')], [row('h', '10', '40')], {}, sleeve('10'));
    for (const job of [sleeve('27'), { ...sleeve('10'), drawing: blind.drawing }])
      expect(plan(job, shop).findings.map((f) => f.code)).toContain('carrying-not-possible');
  });
});

it('drawn centres in both ends are turned on, though the piece is short', () => {
  const centre = (on: string) => ({ id: `c-${on}`, on, kind: 'centre' as const, at: mm(''), size: mm('A 3.15') });
  const arbor = jobOf([row('a', '24 h6', '60'), row('b', '30', '12'), row('c', '20 h6', '40')], [], {
    details: [centre('right'), centre('left')],
    relations: [{ id: 'r', kind: 'runout', of: 'a', to: 'c', value: mm('0.01') }],
  });
  const route = routeOf(arbor);
  expect(route.layout).toBe('centres');
  expect(route.runouts[0]?.chance.value).toBeGreaterThan(0.9);
});

describe('what lies between jaws and work, and what it is dialled on', () => {
  const started = (outside: Job['drawing']['outside'], boreRight: Job['drawing']['outside'], job: Job): Job => ({
    ...job,
    startsAs: { outside, boreRight, boreLeft: [], details: [], beyondRight: mm('1') },
  });

  it('a thread or a knurl is closed on through a split nut or a split tube', () => {
    const knurled = jobOf([row('a', 'M10', '20'), row('k', '20', '12')], [], {
      details: [{ id: 'd', on: 'k', kind: 'knurl', at: mm('0'), size: mm('diamond 1') }],
    });
    for (const setup of routeOf(knurled).setups.filter((s) => s.end === 'left'))
      if (setup.gripDiameter > 15)
        expect(setup.steps[0]?.because.map((r) => writeSentence(r.says, 'mm')).join()).toMatch(/split copper tube|soft pads/);
    const held = started([row('x', '40', '21'), row('y', 'M24x1.5', '20')], [], jobOf([row('a', '38', '20'), row('b', 'M24x1.5', '20')]));
    const first = routeOf(held).setups[0];
    expect(first?.steps[0]?.because.map((r) => writeSentence(r.says, 'mm')).join()).toMatch(/split nut|threaded bush/);
  });

  it('what a piece came with is what it is dialled on; it is not told as turned in one chucking with it', () => {
    const relation = { id: 'r', kind: 'runout' as const, of: 'h', to: 'a', value: mm('0.02') };
    const bored = jobOf([row('a', '40 h6', '60')], [row('h', '20 H7', '25')], { relations: [relation] });
    const route = routeOf(started([row('x', '40', '61')], [], bored));
    expect(route.runouts[0]?.oneChucking).toBe(false);
    const first = route.setups[0];
    const holding = holdingOf(shop, first?.holding ?? '');
    const words = first?.steps[0]?.because.filter((r) => r.rule === 'dial-on-datum').map((r) => writeSentence(r.says, 'mm')) ?? [];
    expect(words.join()).toMatch(holding?.kind === 'fourJaw' ? /dialled on Ø40/ : /look at Ø40/);
    expect(route.runouts[0]?.expected.value).toBeGreaterThanOrEqual(mmOf(holding?.trueWithin));
  });
});

describe('on a faceplate', () => {
  it('bored and its rim turned where it lies, dialled on what the drawing names', () => {
    const plate = jobOf([row('a', '90', '12')], [row('h', '50 H8', '4'), row('i', '14', 'through')], {
      relations: [{ id: 'r', kind: 'runout', of: 'a', to: 'h', value: mm('0.05') }],
    });
    const route = routeOf({ ...plate, choices: [{ kind: 'method', id: 'c', of: 'carrying', method: 'plate' }] });
    const [bored, rim] = ['bore@h', 'finish-turn@a'].map((id) => route.setups.findIndex((s) => s.steps.some((x) => x.id === id)));
    expect(route.setups[bored ?? 0]?.end).toBe(route.setups[rim ?? 0]?.end);
    expect((rim ?? 0) - (bored ?? 0)).toBe(1);
    expect(route.setups[rim ?? 0]?.steps[0]?.because.map((r) => writeSentence(r.says, 'mm')).join()).toMatch(/dialled on the bore, Ø50/);
  });
});

/* Parts drawn by number in three shops. */
const size = fc.oneof(fc.constantFrom('12', '16 h7', '20', '24 h9', '30', '36', 'M12', 'M16x1.5', '20 > 14', '10 > 18'));
const drawn = fc.record({
  rows: fc.array(fc.record({ size, length: fc.integer({ min: 5, max: 60 }) }), { minLength: 1, maxLength: 4 }),
  hole: fc.option(fc.record({ size: fc.constantFrom('6', '8', '10 H7'), length: fc.constantFrom('through', '12', '25') }), { nil: undefined }),
  pieces: fc.constantFrom(1, 1, 4),
  shop: fc.integer({ min: 0, max: 2 }),
});
const shops = [startingShop(), midShop(), readoutShop()];
const drawnJob = (of: typeof drawn extends fc.Arbitrary<infer T> ? T : never): Job =>
  jobOf(
    of.rows.map((r, i) => row(`r${String(i)}`, r.size, String(r.length))),
    of.hole ? [row('h', of.hole.size, of.hole.length)] : [],
    {},
    { pieces: of.pieces },
  );

it('over drawn parts: nothing bare on thread or taper, no setting without a cut, metal in balance, each surface finished once, faced and centred short', () => {
  let routes = 0;
  fc.assert(
    fc.property(drawn, (of) => {
      const where = shops[of.shop] ?? shop;
      const job = drawnJob(of);
      const made = plan(job, where);
      const [route] = made.routes;
      if (!route || made.findings.some((f) => f.severity === 'stop')) return;
      routes++;
      let stock = route.setups[0]?.before ?? [];
      for (const setup of route.setups) {
        expect(volume(setup.before)).toBeLessThanOrEqual(volume(stock) + 1e-6);
        stock = setup.before;
        const removed = setup.steps.reduce((sum, s) => sum + volume(s.removes), 0);
        const after = setup.steps.at(-1)?.after ?? setup.before;
        // no metal comes or goes that no step takes: a knurl alone raises some
        expect(Math.abs(volume(setup.before) - volume(after) - removed) / volume(setup.before)).toBeLessThan(1e-6);
        expect([setup.id, setup.steps.some((s) => s.removes.length > 0 || s.verb === 'away')]).toEqual([setup.id, true]);
        const holding = holdingOf(where, setup.holding);
        const fromBar = setup.steps[0]?.verb !== 'turn-round';
        if (holding && isChuck(holding) && !fromBar && !setup.onArbor) {
          const [low, high] = [Math.min(...setup.gripped), Math.max(...setup.gripped)];
          const bare = made.part.features.filter(
            (f) =>
              f.side === 'outside' &&
              Math.min(f.near, f.far) < high - 0.05 &&
              Math.max(f.near, f.far) > low + 0.05 &&
              (f.form === 'thread' || isShaped(f)),
          );
          const words = setup.steps[0]?.because.map((r) => writeSentence(r.says, 'mm')).join() ?? '';
          if (bare.length > 0) expect(words).toMatch(/split nut|threaded bush|split bush|soft pads/);
        }
        const across = setup.gripDiameter;
        for (const step of setup.steps)
          if (step.verb === 'centre-drill' && setup.carried === undefined && setup.support.length === 0 && !fromBarCarried(route, setup))
            expect([step.id, setup.stickOut.value / across <= practice.carriedFrom + 0.1]).toEqual([step.id, true]);
      }
      for (const f of made.part.features) {
        if (f.side !== 'outside' || f.form !== 'cylinder') continue;
        const at = route.setups.filter((s) => s.steps.some((step) => step.verb === 'finish-turn' && step.does[0] === `${f.id}.diameter`));
        expect([f.id, at.length <= 1]).toEqual([f.id, true]);
      }
    }),
    { numRuns: judged(500, 10), seed: 20261129 },
  );
  expect(routes).toBeGreaterThan(judged(250, 10));
});

/** A centre that is drilled where a hole is started, the bar standing as it must. */
const fromBarCarried = (route: Route, setup: Setup): boolean => route.setups.indexOf(setup) === 0 && !route.setups[1]?.pulled;

it('a route written as choices comes again, pulled out, parted or on cones', () => {
  for (const job of [
    jobOf([row('a', '12 h9', '30'), row('b', '18 h9', '32'), row('c', '10', '14')], [], {}, { choices: [short] }),
    jobOf([row('a', 'bar 36', '4')], [row('h', '12', 'through')], {}, { pieces: 6 }),
    jobOf([row('a', '30 h6', '160')], [row('h', '10', 'through')], {}, { choices: [{ kind: 'method', id: 'c', of: 'carrying', method: 'centres' }] }),
    lineJob('16 h9 x 120; 20 x 10'),
  ]) {
    const route = routeOf(job);
    expect(routeOf({ ...job, choices: [...choicesOf(route, job)] })).toEqual(route);
  }
});

it('nothing is bored from an arbor that fills the hole', () => {
  const both = { ...jobOf([row('a', '40', '40')], [row('h', '20 H7', 'through')]) };
  const job: Job = { ...both, drawing: { ...both.drawing, boreLeft: [row('g', '26', '8')], boreRight: [row('h', '20 H7', 'through')] } };
  for (const setup of routeOf(job).setups) if (setup.onArbor) expect(setup.steps.some((s) => s.verb === 'bore' || s.verb === 'drill')).toBe(false);
});

describe('what nothing holds', () => {
  const pin = jobOf([row('a', '12 h9', '30'), row('b', '18', '20')]);
  it.each<readonly [string, Shop, boolean]>([
    ['a shop with one chuck', { ...shop, holdings: shop.holdings.filter((h) => h.kind === 'threeJaw') }, true],
    [
      'a chuck too small for the bar',
      { ...shop, holdings: shop.holdings.filter((h) => h.kind === 'threeJaw').map((h) => ({ ...h, outside: { from: mm('1'), to: mm('5') } })) },
      false,
    ],
    ['no chuck at all', { ...shop, holdings: [] }, false],
    ['a spindle that passes nothing', { ...shop, machines: shop.machines.map((m) => ({ ...m, through: mm('1') })) }, true],
  ])('%s: a plan as far as it goes, and what is wanted', (_, where, goes) => {
    const made = plan(pin, where);
    expect(made.findings.some((f) => f.severity === 'stop')).toBe(!goes);
    if (goes) expect(made.routes[0]?.setups.length).toBeGreaterThan(0);
    else expect(writeSentence(made.findings.find((f) => f.severity === 'stop')?.says ?? [], 'mm').length).toBeGreaterThan(10);
  });
});

it('what was given out before bars stayed whole keeps a blank for each piece; a plate asked for with its bored face first is made so', () => {
  const washers = jobOf([row('a', 'bar 25', '4')], [row('h', '12', 'through')], {}, { pieces: 5 });
  const made = routeOf(washers);
  const choices = choicesOf(made, washers).filter((c) => !(c.kind === 'method' && (c.of === 'pull' || c.of === 'parted')) && c.kind !== 'bar');
  const given: Job = { ...washers, issue: { at: '2026-11-01T08:00:00.000Z', app: '0.1.0', choices: [...choices], kit: shop } };
  expect(routeOf(given).bar.cut.formula).toBe('barLength');
  expect(made.bar.cut.formula).toBe('barEach');
  const plate = jobOf([row('a', '80', '10')], [row('h', '20 H7', 'through')]);
  const asked: readonly Choice[] = [
    { kind: 'method', id: 'f', of: 'first', method: 'right' },
    { kind: 'method', id: 'c', of: 'carrying', method: 'plate' },
  ];
  expect(routeOf({ ...plate, choices: [...asked] }).setups.map((s) => s.id)).toEqual(['right-1', 'left-1', 'left-2']);
});

describe('made to hold it', () => {
  const soft: Choice = { kind: 'hold', id: 'l', setup: 'left-1', holding: 'soft-jaws', support: [] };
  const stub = (pieces: number) => jobOf([row('a', '40 h7', '25'), row('b', '50', '20')], [], {}, { pieces, choices: [soft] });

  it('soft jaws are bored first, once for all pieces: on the list with their size, their minutes shared (made-to-hold)', () => {
    const [one, six] = [plan(stub(1), shop), plan(stub(6), shop)];
    const again = (made: ReturnType<typeof plan>) => made.routes[0]?.setups.find((s) => holdingOf(shop, s.holding)?.kind === 'softJaws');
    const minutes = (made: ReturnType<typeof plan>) => again(made)?.steps[0]?.figures['minutes']?.value ?? NaN;
    expect(minutes(one)).toBeCloseTo(practice.makeSoftJaws + practice.minutesTurnRound, 9);
    expect(minutes(six)).toBeCloseTo(practice.makeSoftJaws / 6 + practice.minutesTurnRound, 9);
    expect(
      one.toGet
        .filter((g) => g.how === 'make')
        .map((g) => writeSentence(g.what, 'mm'))
        .join(),
    ).toMatch(/soft jaws bored to Ø(40|50)/);
  });
});
