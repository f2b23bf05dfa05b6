/* One feature, several methods: tapers by compound, set-over or form tool; threads by single point, die, or begun and then die. Common practice; set-over by L x slope / 2. */
import { blankJob, type Choice, type Job, type Section } from '../document';
import type { Step } from '../operations';
import { writeSentence } from '../quantity';
import { midShop } from '../shop';
import { choicesOf } from './choicesOf';
import { violations } from './judge';
import { plan } from './planning';

const mm = (text: string) => ({ text, units: 'mm' as const });
const row = (id: string, size: string, length: string): Section => ({ id, size: mm(size), length: mm(length) });
const shop = midShop();
const job = (outside: Section[], choices: Choice[] = []): Job => {
  const blank = blankJob('methods', 'mm');
  return { ...blank, choices, drawing: { ...blank.drawing, title: { edges: 'sharp' }, outside } };
};
const method = (of: string, how: string): Choice => ({ kind: 'method', id: `m-${of}`, of, method: how });
const made = (of: Job, where = shop) => {
  const result = plan(of, where);
  const [route] = result.routes;
  if (!route) throw new Error(result.findings.map((f) => writeSentence(f.says, 'mm')).join('; '));
  const steps: readonly Step[] = route.setups.flatMap((s) => s.steps);
  return { ...result, route, steps, taper: steps.find((s) => s.verb === 'taper') };
};
const rules = (step: Step | undefined) => step?.because.map((r) => r.rule) ?? [];

describe('a taper', () => {
  const short = [row('a', '16 > 20', '20'), row('b', '24', '40')];
  const long = [row('a', '16 > 22', '90'), row('b', '26', '60'), row('c', '20', '40')];

  it('within the travel of the compound is turned by it, the scale said in its own way', () => {
    const { taper } = made(job(short));
    expect(taper?.method).toBe('compound');
    expect(rules(taper)).toEqual(expect.arrayContaining(['taper-from-gauge', 'taper-on-centre', 'conventions']));
    const across = { ...shop, machines: shop.machines.map((m) => ({ ...m, compoundZero: 'across' as const })) };
    const said = made(job(short), across).taper?.because.find((r) => r.rule === 'conventions')?.says ?? [];
    // 2 / 20 each side: 5.71 degrees from the bed is 84.29 from across it
    expect(writeSentence(said, 'mm')).toContain('84.29');
  });

  it('longer than the compound goes: in two bites in a chuck, by set-over between centres, with two collars first', () => {
    expect(rules(made(job(long, [{ kind: 'method', id: 'c', of: 'carrying', method: 'chuck' }])).taper)).toContain('compound');
    const between = made(job(long, [{ kind: 'method', id: 'c', of: 'carrying', method: 'centres' }]));
    expect(between.route.layout).toBe('centres');
    expect(between.taper?.method).toBe('set-over');
    // 190 long, 6 on 90: 190 x 6 / 90 / 2
    expect(writeSentence(between.taper?.says ?? [], 'mm')).toContain('set over 6.33');
    expect(rules(between.taper)).toContain('setover-test');
    expect(violations(between.route, between.part, job(long), shop)).toEqual([]);
  });

  it('asked for by a method that cannot be, is turned another way and says why', () => {
    const over = made(job(short, [method('a', 'set-over')]));
    expect(over.taper?.method).toBe('compound');
    const told = over.findings.find((f) => f.code === 'method-not-possible');
    expect(writeSentence(told?.why ?? [], 'mm')).toBe('the tailstock is set over only with the work between centres');
    expect(made(job(short, [method('a', 'form')])).findings.map((f) => f.code)).toContain('method-not-possible');
    expect(made(job([row('a', '16 > 18', '6'), row('b', '24', '40')], [method('a', 'form')])).taper?.method).toBe('form');
  });

  it('a chosen method comes again when the route is written as choices', () => {
    const of = job([row('a', '16 > 18', '6'), row('b', '24', '40')], [method('a', 'form')]);
    const { route } = made(of);
    expect(made({ ...of, choices: [...choicesOf(route, of)] }).route).toEqual(route);
  });
});

describe('a thread', () => {
  const bolt = [row('a', 'M12', '25'), row('b', '18', '15')];

  it('begun by single point, then the die: half its depth, then to size, in that order, measured once', () => {
    const of = job(bolt, [method('a', 'begun')]);
    const { steps, route } = made(of);
    const [whole] = made(job(bolt, [method('a', 'single-point')])).steps.filter((s) => s.verb === 'thread');
    const at = steps.findIndex((s) => s.verb === 'thread');
    expect(steps[at + 1]?.verb).toBe('die');
    expect(steps[at]?.figures['depth']?.value).toBeCloseTo((whole?.figures['depth']?.value ?? 0) / 2, 6);
    expect(steps[at]?.gauge).toBeUndefined();
    expect(violations(route, plan(of, shop).part, of, shop)).toEqual([]);
    expect(made({ ...of, choices: [...choicesOf(route, of)] }).route).toEqual(route);
  });

  it('where the drawer has no such die it is single pointed, and the die stands on the list with what does meanwhile', () => {
    const bare = { ...shop, tools: shop.tools.filter((t) => t.kind !== 'die') };
    const { steps, toGet } = made(job(bolt, [method('a', 'die')]), bare);
    expect(steps.map((s) => s.verb)).toContain('thread');
    expect(toGet.map((g) => [g.how, writeSentence(g.instead?.says ?? [], 'mm')])).toContainEqual(['buy', 'single point it']);
  });

  it('into a shoulder without a relief it is cut outward, or stopped by hand (thread-away)', () => {
    const blind = job(bolt.map((r) => (r.id === 'a' ? { ...r, far: mm('sharp') } : r)));
    expect(rules(made(blind).steps.find((s) => s.verb === 'thread'))).toContain('thread-away');
    const relieved = job(bolt.map((r) => (r.id === 'a' ? { ...r, far: mm('DIN 76') } : r)));
    expect(rules(made(relieved).steps.find((s) => s.verb === 'thread'))).not.toContain('thread-away');
  });
});

it('dials and bars say what they are: radius or diameter, too coarse for a tolerance, corners at the saw', () => {
  const finish = (of: Job, where = shop) => made(of, where).steps.find((s) => s.id === 'finish-turn@a');
  expect(rules(finish(job([row('a', '20 h6', '30'), row('b', '25', '10')])))).toEqual(expect.arrayContaining(['diameter-dial', 'backlash']));
  const coarse = {
    ...shop,
    machines: shop.machines.map((m) => ({ ...m, dials: { ...m.dials, ...(m.dials.cross && { cross: { ...m.dials.cross, division: mm('0.1') } }) } })),
  };
  expect(rules(finish(job([row('a', '20 h6', '30'), row('b', '25', '10')]), coarse))).toContain('fine-infeed');
  const square = {
    ...shop,
    bars: [
      { id: 'sq', name: 'square 30', material: 'mild-steel', across: mm('30'), form: 'square' as const, skin: 'drawn' as const, length: mm('500') },
    ],
  };
  const loaded = made(job([row('a', '20', '30')], [{ kind: 'bar', id: 'bar', bar: 'sq' }]), square).steps[0];
  expect(rules(loaded)).toEqual(expect.arrayContaining(['corners-first', 'interrupted']));
});

it('carbide in steel is told by its sparks; a blind bore by a stop on the bed', () => {
  const bush = job([row('a', '40', '30')]);
  const blind = { ...bush, drawing: { ...bush.drawing, boreRight: [{ ...row('h', '20 H7', '15'), far: mm('flat') }] } };
  const { steps } = made({ ...blind, choices: [{ kind: 'way', id: 'w', way: 'edge', value: 'carbide' }] });
  expect(rules(steps.find((s) => s.verb === 'bore'))).toContain('depth-by-stop');
  expect(
    steps
      .filter((s) => s.verb === 'rough-turn' && shop.tools.find((t) => t.id === s.tool)?.grade === 'carbide')
      .every((s) => rules(s).includes('sparks')),
  ).toBe(true);
  const through = { ...bush, drawing: { ...bush.drawing, boreRight: [row('h', '20 H7', 'through')] } };
  expect(rules(made(through).steps.find((s) => s.verb === 'bore'))).not.toContain('depth-by-stop');
});

it('a hole whose limits a drill makes is opened by one a little smaller first, where there is one', () => {
  const [like] = shop.tools.filter((t) => t.kind === 'drill');
  const drill = (size: string) => (like ? [{ ...like, id: `d-${size.replace('.', '-')}`, name: `drill ${size}`, size: mm(size) }] : []);
  const holed = job([row('a', '30', '30')]);
  const of = { ...holed, drawing: { ...holed.drawing, boreRight: [row('h', '10 +0.1 drill', '12')] } };
  const { steps } = made(of, { ...shop, tools: [...shop.tools.filter((t) => t.kind !== 'drill'), ...['9.7', '10', '6'].flatMap(drill)] });
  const drills = steps.filter((s) => s.verb === 'pilot' || s.verb === 'drill');
  expect(drills.map((s) => [s.verb, s.tool])).toEqual([
    ['pilot', 'd-9-7'],
    ['drill', 'd-10'],
  ]);
  expect(rules(drills[1])).toContain('step-drill');
});
