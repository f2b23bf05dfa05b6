/* From bar to part, by effect: which bar of the rack, what grips, what stands out how far. All of it common practice: as-it-is, bar-or-blank, grip-on, short-then-out, steady, on-the-bar. */
import { blankJob, type Bar, type Detail, type Job, type Section, type Shop } from '../document';
import { writeSentence } from '../quantity';
import { midShop } from '../shop';
import { boundsOf } from '../stock';
import { choicesOf } from './choicesOf';
import { plan } from './planning';

const mm = (text: string) => ({ text, units: 'mm' as const });
const row = (id: string, size: string, length: string, more: Partial<Section> = {}): Section => ({ id, size: mm(size), length: mm(length), ...more });
const jobOf = (outside: readonly Section[], boreRight: readonly Section[] = [], more: Partial<Job['drawing']> = {}): Job => {
  const blank = blankJob('p', 'mm');
  return { ...blank, drawing: { ...blank.drawing, title: { edges: 'broken' }, outside: [...outside], boreRight: [...boreRight], ...more } };
};
const bar = (id: string, across: string, more: Partial<Bar>): Bar => ({
  id,
  name: id,
  material: 'mild-steel',
  across: mm(across),
  form: 'round',
  skin: 'drawn',
  length: mm('1000'),
  ...more,
});
const withBars = (...bars: readonly Bar[]): Shop => ({ ...midShop(), bars: [...midShop().bars, ...bars] });
const stepsOf = (job: Job, shop: Shop) => plan(job, shop).routes[0]?.setups.flatMap((s) => s.steps) ?? [];

describe('a hexagon of the drawing', () => {
  const nut = jobOf([row('h', 'hex 30', '15'), row('s', '24', '10')], [row('b', '12', 'through')]);
  const hex = bar('hex-30', '30', { form: 'hex' });

  it('is the hexagon bar of the rack where there is one: its flats stay, nothing is milled', () => {
    const made = plan(nut, withBars(hex));
    expect(made.routes[0]?.bar.id).toBe('hex-30');
    const steps = stepsOf(nut, withBars(hex));
    expect(steps.filter((s) => s.id.endsWith('@h') && (s.verb === 'rough-turn' || s.verb === 'finish-turn'))).toEqual([]);
    expect(made.findings.map((f) => f.code)).not.toContain('polygon-not-bar');
    // over its corners: 30 x 2 / root 3
    const before = made.routes[0]?.setups[0]?.before;
    expect(before && boundsOf(before).radius).toBeCloseTo(30 / Math.sqrt(3), 3);
    expect(made.findings.filter((f) => f.code === 'metal-left' || f.code === 'gouged')).toEqual([]);
  });

  it('of another size, or of another metal, is not that bar', () => {
    for (const other of [bar('hex-32', '32', { form: 'hex' }), bar('hex-30', '30', { form: 'hex', material: 'brass' })])
      expect(plan(nut, withBars(other)).routes[0]?.bar.id).not.toBe(other.id);
  });
});

describe('a tube on the rack', () => {
  const ring = (bore: string) => jobOf([row('o', '60', '15')], [row('b', bore, 'through')]);
  const tube = bar('tube', '63', { form: 'tube', inside: mm('45') });

  it('is the bar of a ring whose bore cleans up its hole: nothing is drilled', () => {
    const made = plan(ring('50'), withBars(tube));
    expect(made.routes[0]?.bar.id).toBe('tube');
    expect(stepsOf(ring('50'), withBars(tube)).filter((s) => s.verb === 'drill' || s.verb === 'pilot' || s.verb === 'centre-drill')).toEqual([]);
  });

  it('is not where the bore is no larger than its hole, or there is none', () => {
    for (const job of [ring('45.5'), jobOf([row('o', '60', '15')])]) expect(plan(job, withBars(tube)).routes[0]?.bar.id).not.toBe('tube');
  });
});

it('turned round it is held by a diameter of a longer row, not by a few millimetres of a collar before it', () => {
  const shaft = jobOf([row('a', '16', '80'), row('b', '22', '8'), row('c', '14 h9', '35')]);
  const second = plan(shaft, midShop()).routes[0]?.setups.find((s) => s.steps[0]?.verb === 'turn-round');
  expect(second?.gripDiameter).toBeCloseTo(16, 0);
  expect(second?.grip.value).toBeGreaterThan(10);
});

it('faced and centred short, then pulled out to the centre, and so said; a stout piece is not', () => {
  const words = (job: Job) => stepsOf(job, midShop()).map((s) => writeSentence(s.says, 'mm'));
  const long = jobOf([row('a', '16 h9', '120'), row('b', '20', '10')]);
  const verbs = stepsOf(long, midShop()).map((s) => s.verb);
  const places = (['face', 'centre-drill', 'pull-out', 'support', 'rough-turn'] as const).map((v) => verbs.indexOf(v));
  expect(places).toEqual([...places].sort((a, b) => a - b));
  expect(places.every((p) => p >= 0)).toBe(true);
  expect(words(long)[0]).toContain('short at first');
  const stout = jobOf([row('a', '30 h9', '30'), row('b', '40', '10')]);
  expect(stepsOf(stout, midShop()).map((s) => s.verb)).not.toContain('pull-out');
});

it('a bar too fat for the spindle is not pulled out of it', () => {
  const shop = midShop();
  const narrow: Shop = { ...shop, machines: shop.machines.map((m) => ({ ...m, through: mm('15') })) };
  const long = jobOf([row('a', '16 h9', '120'), row('b', '20', '10')]);
  expect(stepsOf(long, narrow).map((s) => s.verb)).not.toContain('pull-out');
});

it('no steady on a stub, unless a person asks for it', () => {
  const stub = jobOf([row('a', '30', '20')], [row('b', '12 H7', 'through')]);
  const made = plan(stub, midShop());
  expect(made.holdings.some((h) => h.support.some((s) => s.kind === 'steady'))).toBe(false);
  const asked: Job = { ...stub, choices: [{ kind: 'hold', id: 'h', setup: 'right-1', holding: 'three-jaw', support: [{ item: 'steady' }] }] };
  expect(plan(asked, midShop()).routes[0]?.setups[0]?.support.map((s) => s.item)).toEqual(['steady']);
});

it('faces that are to be parallel or square are answered: in one chucking by the spindle, else by how the piece is held', () => {
  const relation = (kind: 'parallel' | 'square', of: string, to: string) => [{ id: 'r', kind, of, to, value: mm('0.03') }];
  const ring = jobOf([row('a', '40', '12')], [row('b', '30', 'through')], { relations: relation('parallel', 'left', 'right') });
  const [told] = plan(ring, midShop()).routes[0]?.runouts ?? [];
  expect(told?.oneChucking).toBe(false);
  expect(told?.expected.value).toBeGreaterThan(0.005);
  const flange = jobOf([row('a', '40', '10'), row('c', '20 h7', '25')], [], { relations: relation('square', 'right', 'a') });
  expect(plan(flange, midShop()).routes[0]?.runouts[0]?.oneChucking).toBe(true);
});

it('milled on the bar: measured, away, its back edge broken, then severed', () => {
  const hex: Detail = { id: 'h', on: 's2', kind: 'hexagon', at: mm('0'), size: mm('17') };
  const bolt = jobOf([row('s1', 'M12', '20'), row('s2', 'bar 20', '8', { far: mm('0.5x45') })], [], { details: [hex] });
  const made = plan(bolt, midShop());
  const first = made.routes[0]?.setups[0]?.steps.map((s) => s.id) ?? [];
  const places = ['check@right', 'away@h', 'part-off@left'].map((id) => first.indexOf(id));
  expect(places.every((p, i) => p > (places[i - 1] ?? 0))).toBe(true);
  const back = first.indexOf('chamfer@s2.far');
  if (back >= 0) expect(back).toBeGreaterThan(first.indexOf('away@h'));
});

describe('asked to the mill now, or later', () => {
  const flat: Detail = { id: 'f', on: 's2', kind: 'flat', at: mm('5'), length: mm('10'), size: mm('20') };
  const pin = (choices: Job['choices']): Job => ({ ...jobOf([row('s1', '16', '30'), row('s2', '24', '40')], [], { details: [flat] }), choices });
  const ask = (method: string): Job['choices'] => [{ kind: 'method', id: 'm', of: 'f', method }];
  const away = (job: Job) => {
    const made = plan(job, midShop());
    const at = made.routes[0]?.setups.findIndex((s) => s.steps.some((x) => x.id.startsWith('away@f'))) ?? -1;
    const step = made.routes[0]?.setups[at]?.steps.find((x) => x.id.startsWith('away@f'));
    return { made, at, severs: made.routes[0]?.setups[at]?.steps.some((s) => s.verb === 'part-off' || s.verb === 'saw-off') === true, step };
  };

  it('on its bar before it is severed, or when all is turned; held as given out', () => {
    expect(away(pin(ask('after'))).severs).toBe(false);
    const now = away(pin(ask('on-bar')));
    expect(now.severs).toBe(true);
    expect(now.step?.because.map((r) => writeSentence(r.says, 'mm')).join()).toContain('as asked');
    expect(now.made.findings.map((f) => f.code)).not.toContain('choice-orphaned');
    const [route] = now.made.routes;
    const again = route && plan({ ...pin([]), choices: [...choicesOf(route, pin(ask('on-bar')))] }, midShop());
    expect(again?.routes[0]).toEqual(route);
  });

  it('where there is no bar to hold it by it says so', () => {
    const between = pin([...ask('on-bar'), { kind: 'method', id: 'c', of: 'carrying', method: 'centres' }]);
    const { step, made } = away(between);
    expect(made.routes[0]?.layout).toBe('centres');
    expect(step?.because.map((r) => writeSentence(r.says, 'mm')).join()).toContain('no bar to hold it by');
  });
});

/* Common practice: a slit piece springs open or shut; what was turned to size before has another size after. */
describe('a slit bush', () => {
  const slot: Detail = { id: 'd', on: 'right', kind: 'slot', at: mm('0'), size: mm('2 x 30') };
  const bush = (method: string | undefined): Job => ({
    ...jobOf([row('s1', '24 h7', '30'), row('s2', '32', '12')], [row('b', '16 H7', 'through')], { details: [slot] }),
    choices: method === undefined ? [] : [{ kind: 'method', id: 'm', of: 'd', method }],
  });
  const order = (method: string | undefined) => {
    const made = plan(bush(method), midShop());
    const steps = made.routes[0]?.setups.flatMap((s) => s.steps) ?? [];
    return { made, steps, at: (id: string) => steps.findIndex((s) => s.id === id || s.id.startsWith(`${id}:`)) };
  };

  it('is slit when all is turned, where nothing else is asked', () => {
    const { at } = order(undefined);
    expect(at('away@d')).toBeGreaterThan(at('finish-turn@s1'));
  });

  it.each(['spread', 'closed'])('is roughed and bored, slit, %s, and finished like that', (method) => {
    const { at, steps, made } = order(method);
    const slit = at('away@d');
    expect(slit).toBeGreaterThan(at('rough-turn@s1'));
    expect(slit).toBeGreaterThan(Math.max(...steps.map((s, i) => (s.verb === 'bore' || s.verb === 'drill' ? i : -1))));
    expect(slit).toBeLessThan(at('finish-turn@s1'));
    const check = steps.findIndex((s) => s.verb === 'check');
    if (check >= 0) expect(check).toBeGreaterThan(slit);
    expect(steps.filter((s) => s.id.startsWith('away@d'))).toHaveLength(1);
    expect(steps[slit]?.cautions.join()).toMatch(/slit/);
    expect(made.findings.filter((f) => f.severity === 'stop')).toEqual([]);
    const [route] = made.routes;
    const again = route && plan({ ...bush(method), choices: [...choicesOf(route, bush(method))] }, midShop());
    expect(again?.routes[0]?.setups.flatMap((s) => s.steps.map((x) => x.id))).toEqual(steps.map((s) => s.id));
  });
});

describe('holes beside the axis at the drill', () => {
  const flange = (size: string, more: Partial<Detail> = {}): Job =>
    jobOf([row('a', '60', '12'), row('b', '30', '20')], [row('h', '12', 'through')], {
      details: [{ id: 'd', on: 'right', kind: 'boltCircle', at: mm('45'), size: mm(size), count: 3, ...more }],
    });
  const away = (job: Job, shop: Shop = midShop()) => {
    const made = plan(job, shop);
    const step = made.routes[0]?.setups.flatMap((s) => s.steps).find((s) => s.id.startsWith('away@d'));
    return {
      step,
      words: step?.because.map((r) => writeSentence(r.says, 'mm')).join('\n') ?? '',
      gets: made.toGet.map((g) => writeSentence(g.what, 'mm')),
    };
  };

  it('tapped: its drill out of the drawer, the tap, every hole by its place; blind ones drilled deeper than their thread', () => {
    const { words, step } = away(flange('M6 x 8'));
    expect(words).toMatch(/M6.*drill (4\.9|5|5\.1)/);
    // lead of a plug tap of four pitches and room for chips: 8 + 4 + 2
    expect(words).toMatch(/drilled 14(\.0)? mm/);
    expect(words).toMatch(/1: x 22\.500 mm, y 0\.000 mm; 2: /);
    expect(step?.figures['minutes']?.value ?? 0).toBeGreaterThan(away(flange('5')).step?.figures['minutes']?.value ?? Infinity);
  });

  it('a plain hole names a drill only that makes it within its limits; a reamed one the drill that leaves its few tenths', () => {
    // ISO 2768-m: 5.4 within 0.1; there is no such drill in a drawer of whole sizes
    const whole: Shop = { ...midShop(), tools: midShop().tools.filter((t) => t.kind !== 'drill' || Number.isInteger(Number(t.size?.text))) };
    expect(away(flange('5.4'), whole).words).not.toMatch(/drill \d/);
    expect(away(flange('5'), whole).words).toContain('drill 5');
    expect(away(flange('6 H7 reamed')).words).toMatch(/(drill 5\.[6-9]\d*|drilled to Ø5\.[6-9]\d* mm), then reamed Ø6/);
  });

  it('a tap that is not there is on the list, and holds up that step only', () => {
    const without: Shop = { ...midShop(), tools: midShop().tools.filter((t) => t.kind !== 'tap') };
    const { gets, words } = away(flange('M6'), without);
    expect(gets.join()).toContain('tap M6');
    expect(words).toContain('no such tap');
  });

  it('across into a bore: through one wall where it is tapped, through both where it is plain', () => {
    const hub = (size: string): Job =>
      jobOf([row('a', '40', '30')], [row('h', '16', 'through')], {
        details: [{ id: 'd', on: 'a', kind: 'crossHole', at: mm('15'), size: mm(size) }],
      });
    expect(away(hub('M5')).words).toMatch(/M5.*\n?[^]*through one wall into the bore/);
    expect(away(hub('5')).words).toContain('through both walls of the bore');
  });
});
