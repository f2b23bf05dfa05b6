/* The route of parts that are more than cylinders: all the metal comes off, none too much, each step says how. */
import { blankJob, type Detail, type Job, type Section, type Shop } from '../document';
import { findingKey } from '../finding';
import { threads } from '../operations';
import { writeSentence } from '../quantity';
import { area, combine, regionOf } from '../stock';
import { demoShop } from './demo.fixture';
import { plan } from './planning';

const mm = (text: string) => ({ text, units: 'mm' as const });
const row = (id: string, size: string, length: string, more: Partial<Section> = {}): Section => ({ id, size: mm(size), length: mm(length), ...more });
const groove = (id: string, on: string, at: string, size: string, length?: string): Detail => ({
  id,
  kind: 'groove',
  on,
  at: mm(at),
  size: mm(size),
  ...(length !== undefined && { length: mm(length) }),
});
function job(outside: Section[], more: Partial<Job['drawing']> = {}): Job {
  const blank = blankJob('a shape', 'mm');
  return { ...blank, drawing: { ...blank.drawing, title: { edges: 'broken' }, ...more, outside } };
}

const parts: readonly (readonly [name: string, made: Job, steps: readonly string[]])[] = [
  [
    'a taper, an arc and a hollow',
    job([
      row('a', '12', '10'),
      row('b', '12 < 1:5', '20'),
      row('c', '20 > 15 R30', '20'),
      row('d', '15 > 20 R30 hollow', '20'),
      row('e', '22', '10'),
    ]),
    ['taper@b', 'form@c', 'form@d'],
  ],
  [
    'edges that are no 45 degree chamfers',
    job([row('a', '15', '20', { near: mm('2x30'), far: mm('R2') }), row('b', '24', '20', { near: mm('R1') })]),
    ['form@a.near', 'form@b.near'],
  ],
  ['a relief at a shoulder', job([row('a', '20 h6', '20', { far: mm('F0.6x0.3') }), row('b', '24', '20')]), ['undercut@a.far']],
  [
    'grooves of all kinds',
    job([row('a', '24', '60')], {
      details: [
        groove('g', 'a', '10', '16 R0.5', '4'),
        { id: 'r', kind: 'ringGroove', on: 'a', at: mm('20'), size: mm('') },
        groove('o', 'a', '30', 'round 4'),
        { id: 'f', kind: 'faceGroove', on: 'right', at: mm('2'), length: mm('3'), size: mm('16') },
      ],
    }),
    ['groove@g', 'groove@r', 'groove@o', 'groove@f'],
  ],
  [
    'holes from both ends',
    job([row('a', '24', '40')], {
      boreRight: [row('h', '16 H7', '10', { near: mm('1') }), row('i', '8', 'through')],
      boreLeft: [row('k', '12', '12', { far: mm('flat') })],
    }),
    ['drill@i', 'bore@h', 'chamfer@h.near'],
  ],
  [
    'a blind hole with a flat floor',
    job([row('a', '24', '40')], { boreRight: [row('h', '12 H8', '20', { far: mm('flat') })] }),
    ['drill@h', 'bore@h'],
  ],
  ['a tapered hole', job([row('a', '30', '40')], { boreRight: [row('h', '20 > 16', 'through')] }), ['drill@h', 'bore@h']],
  [
    'a centre in each end',
    job([row('a', '20', '60')], {
      details: (['right', 'left'] as const).map((on) => ({ id: on, kind: 'centre', on, at: mm(''), size: mm('A 2.5') })),
    }),
    ['centre-drill@right', 'centre-drill@left'],
  ],
  ['a thread at each end of a stud', job([row('a', 'M10', '20'), row('b', '12', '30'), row('c', 'M10', '20')]), ['die@a', 'die@c', 'chamfer@c.far']],
];

describe('the route of shapes', () => {
  it.each(parts)('%s: what stands at the end is the part, and the steps are there', (_, made, steps) => {
    const found = plan(made, demoShop());
    expect(found.reached).toBe('proof');
    const all = found.routes[0]?.setups.flatMap((s) => s.steps) ?? [];
    expect(all.map((s) => s.id)).toEqual(expect.arrayContaining([...steps]));
    // a thread is drawn by its crests
    const grooves = all.filter((s) => threads.has(s.verb)).flatMap((s) => s.removes);
    const [left, wanted] = [all.at(-1)?.after ?? [], combine('difference', regionOf(found.part.contour), grooves)];
    expect(area(combine('difference', left, wanted))).toBeLessThan(0.02 * area(wanted));
    expect(area(combine('difference', wanted, left))).toBeLessThan(0.02 * area(wanted));
    for (const step of all) expect([step.id, step.because.length > 0, step.figures['minutes'] !== undefined]).toEqual([step.id, true, true]);
  });

  it('a hole is tapped with the shop’s tap, or one is got', () => {
    const made = job([row('a', '24', '40')], { boreRight: [row('h', 'M10', '25')] });
    const tapped = plan(made, demoShop())
      .routes[0]?.setups.flatMap((s) => s.steps)
      .find((s) => s.id === 'tap@h');
    expect(tapped).toMatchObject({ tool: 'tap-m10' });
    const bare: Shop = { ...demoShop(), tools: demoShop().tools.filter((t) => t.kind !== 'tap') };
    expect(plan(made, bare).toGet.map((t) => writeSentence(t.what, 'mm'))).toContain('tap M10x1.5-6H');
  });

  it('a knurled row is turned to its blank and rolled up to its size; a shorter knurl gets a blank of its own', () => {
    const whole = job([row('a', '20', '30')], { details: [{ id: 'k', kind: 'knurl', on: 'a', at: mm(''), size: mm('diamond 1') }] });
    const steps = plan(whole, demoShop()).routes[0]?.setups.flatMap((s) => s.steps) ?? [];
    // 61 teeth of 1 mm: the blank is 61 / pi (DIN 82, from memory)
    expect(steps.find((s) => s.id === 'finish-turn@a')?.figures['to']?.value).toBeCloseTo(61 / Math.PI, 2);
    const before = area(steps[steps.findIndex((s) => s.id === 'knurl@k') - 1]?.after ?? []);
    expect(area(steps.find((s) => s.id === 'knurl@k')?.after ?? []) - before).toBeCloseTo(30 * (10 - 61 / Math.PI / 2), 0);
    const part = job([row('a', '20', '30')], {
      details: [{ id: 'k', kind: 'knurl', on: 'a', at: mm('5'), length: mm('10'), size: mm('straight 1') }],
    });
    const short = plan(part, demoShop()).routes[0]?.setups.flatMap((s) => s.steps.map((step) => step.id)) ?? [];
    expect(short.indexOf('neck@k')).toBeGreaterThan(short.indexOf('finish-turn@a'));
    expect(short.indexOf('knurl@k')).toBe(short.indexOf('neck@k') + 1);
  });

  it('a bore with a tolerance is measured with a gauge for bores, not with the one for depths', () => {
    const made = job([row('a', '24', '40')], { boreRight: [row('h', '16 H7', 'through')] });
    const bored = plan(made, demoShop())
      .routes[0]?.setups.flatMap((s) => s.steps)
      .find((s) => s.id === 'bore@h');
    expect(bored?.gauge).toBe('bore');
    const bare: Shop = { ...demoShop(), gauges: demoShop().gauges.filter((g) => g.kind !== 'bore') };
    expect(
      plan(made, bare)
        .routes[0]?.setups.flatMap((s) => s.steps)
        .find((s) => s.id === 'bore@h')?.gauge,
    ).toBeUndefined();
  });

  it('threads of other forms go to their own depth along their own flank', () => {
    const made = job([row('a', 'Tr20x4', '30'), row('b', '24', '20')]);
    const shop: Shop = {
      ...demoShop(),
      tools: [...demoShop().tools, { id: 'tr', name: 'threading tool 30', kind: 'thread', angle: mm('30'), grade: 'hss', hand: 'right' }],
    };
    const step = plan(made, shop)
      .routes[0]?.setups.flatMap((s) => s.steps)
      .find((s) => s.id === 'thread@a');
    // Tr20x4: root 15.5, so 2.25 deep, along the compound at 14.5 degrees divided by its cosine (ISO 2904, from memory)
    expect(step?.tool).toBe('tr');
    expect(step?.figures['depth']?.value).toBeCloseTo(2.25 / Math.cos((14.5 * Math.PI) / 180), 2);
    expect(step?.figures['feed']?.value).toBe(4);
  });

  it('what is cut beside the lathe stands last, with its numbers', () => {
    const made = job([row('a', '20', '60')], {
      details: [
        { id: 'x', kind: 'crossHole', on: 'a', at: mm('30'), size: mm('5') },
        { id: 'k', kind: 'keyway', on: 'a', at: mm('5'), length: mm('15'), size: mm('') },
      ],
    });
    const all =
      plan(made, demoShop())
        .routes[0]?.setups.at(-1)
        ?.steps.map((s) => [s.id, writeSentence(s.says, 'mm')]) ?? [];
    expect(all.filter(([id]) => id?.startsWith('away@'))).toEqual([
      ['away@x', expect.stringContaining('cross hole: Ø5 mm through')],
      ['away@k', expect.stringContaining('keyway: 6 mm wide, 3.5 mm deep')],
    ]);
  });
});

describe('what the shop cannot make or measure', () => {
  const keys = (made: Job, shop = demoShop()) => plan(made, shop).findings.map(findingKey);

  it.each([
    ['thread-no-tool@a.thread', job([row('a', 'Tr20x4', '30'), row('b', '24', '20')])],
    ['corner-too-tight@a.far', job([row('a', '15', '20', { far: mm('R0.1') }), row('b', '24', '20')])],
    ['groove-too-narrow@g', job([row('a', '24', '60')], { details: [groove('g', 'a', '10', '20', '1')] })],
    ['tolerance-not-measurable@h.diameter', job([row('a', '24', '40')], { boreRight: [row('h', '8 H7', 'through')] })],
    ['grip-last@left-1', job([row('a', 'ball 20', '17'), row('b', 'M12', '20')])],
    ['polygon-not-bar@a.diameter', job([row('a', 'hex 17', '20')])],
  ])('%s is told, and only where it is so', (key, made) => {
    expect(keys(made)).toContain(key);
    expect(keys(job([row('a', '24', '60')]))).not.toContain(key);
  });
});
