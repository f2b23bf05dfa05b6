/* Twenty parts of our own, each for one thing that cuts: what the sheet does with it, not what it is called. All of it common practice. */
import { blankJob, type Detail, type Job, type Mate, type Section, type Shop } from '../document';
import { writeSentence } from '../quantity';
import { midShop, mmOf, sizeOf } from '../shop';
import { plan } from './planning';

const mm = (text: string) => ({ text, units: 'mm' as const });
type Row = readonly [size: string, length: string, more?: Partial<Record<'near' | 'far' | 'usable' | 'finish', string>>];
const section = (id: string, [size, length, more = {}]: Row): Section => ({
  id,
  size: mm(size),
  length: mm(length),
  ...Object.fromEntries(Object.entries(more).map(([k, v]) => [k, mm(v)])),
});
interface Drawn {
  readonly outside: readonly Row[];
  readonly right?: readonly Row[];
  readonly left?: readonly Row[];
  readonly details?: readonly Detail[];
  readonly mates?: readonly Mate[];
  readonly material?: string;
}
function made({ outside, right = [], left = [], details = [], mates = [], material = 'mild-steel' }: Drawn, shop: Shop = midShop()) {
  const blank = blankJob('own', 'mm');
  const job: Job = {
    ...blank,
    drawing: {
      ...blank.drawing,
      material,
      title: { edges: 'broken' },
      outside: outside.map((r, i) => section(`s${String(i + 1)}`, r)),
      boreRight: right.map((r, i) => section(`b${String(i + 1)}`, r)),
      boreLeft: left.map((r, i) => section(`g${String(i + 1)}`, r)),
      details: [...details],
      mates: [...mates],
    },
  };
  const done = plan(job, shop);
  const steps = done.routes[0]?.setups.flatMap((s) => s.steps) ?? [];
  const find = (id: string) => steps.find((s) => s.id === id || s.id.startsWith(`${id}:`));
  return {
    steps,
    find,
    at: (id: string) => steps.findIndex((s) => s.id === id || s.id.startsWith(`${id}:`)),
    verb: (verb: string) => steps.findIndex((s) => s.verb === verb),
    tool: (id: string) => shop.tools.find((t) => t.id === find(id)?.tool),
    /** sizes of the drills of a row, in their order */
    drills: (row: string) =>
      steps
        .filter((s) => (s.verb === 'drill' || s.verb === 'pilot') && s.does[0]?.startsWith(`${row}.`))
        .map((s) => sizeOf(shop.tools.find((t) => t.id === s.tool) ?? nothing())),
    says: (id: string) => (find(id)?.because ?? []).map((b) => `${b.rule}: ${writeSentence(b.says, 'mm')}`).join('\n'),
    codes: done.findings.map((f) => f.code),
    gets: done.toGet.map((g) => writeSentence(g.what, 'mm')).join('; '),
  };
}
const nothing = (): never => {
  throw new Error('no tool');
};
const groove = (id: string, on: string, at: string, wide: string, to: string): Detail => ({
  id,
  on,
  kind: 'groove',
  at: mm(at),
  length: mm(wide),
  size: mm(to),
});

it('1 rowlock pin: a bevel of 30 degrees is not cut by the 45 degree tool: by the slide, and so said', () => {
  const of = made({ outside: [['16', '40', { near: '2x30' }]] });
  expect(of.find('form@s1.near')?.method).toBe('compound');
  expect(of.says('form@s1.near')).toContain('30°');
});

it('2 ferrule: an R4 edge with no tool of that radius is on the list, or blended by hand, never by a bevel', () => {
  const shop = midShop();
  const thin: Shop = { ...shop, tools: shop.tools.filter((t) => t.id !== 'radius') };
  const of = made({ outside: [['30', '20', { near: 'R4' }]] }, thin);
  expect(of.tool('form@s1.near')?.angle).toBeUndefined();
  expect(of.gets).toContain('4 mm');
});

it('3 cleat stud: a groove of 7 by a blade of 2 is plunged again and again, each over the last', () => {
  const of = made({ outside: [['24', '50']], details: [groove('d', 's1', '20', '7', '20')] });
  const blade = mmOf(of.tool('groove@d')?.width);
  expect(blade).toBeLessThan(7);
  expect((of.find('groove@d')?.figures['passes']?.value ?? 0) * blade).toBeGreaterThan(7);
});

it('4 capstan pawl pin: two shoulders and a neck between them are both reached', () => {
  const of = made({
    outside: [
      ['24', '15'],
      ['16', '30'],
      ['24', '12'],
    ],
  });
  expect(of.at('neck@s2')).toBeGreaterThan(0);
  expect(of.codes).not.toContain('metal-left');
});

it('5 lamp bush: a hole of 7.9 that nobody has a drill for: the nearest, and what is wanted on the list', () => {
  const of = made({ outside: [['20', '18']], right: [['7.9 H9', 'through']] });
  expect(`${of.gets} ${of.codes.join(' ')} ${of.steps.map((s) => s.verb).join(' ')}`).toMatch(/drill 7|bore/);
});

it('6 sheave bush: the reamer has its few tenths, whatever opens the way', () => {
  const of = made({ outside: [['30', '20']], right: [['16 H7 reamed', 'through']], material: 'bronze' });
  const bored = of.find('bore@b1')?.figures['to']?.value;
  const left = 16 - (bored ?? Math.max(...of.drills('b1')));
  expect(left).toBeGreaterThan(0.05);
  expect(left).toBeLessThan(0.6);
});

it('7 tank plug: an M12 blind in brass has its drill inside the class, and it is said how far the lead of the tap lets it be full', () => {
  const of = made({ outside: [['30', '40']], right: [['M12', '18']], material: 'brass' });
  const core = of.drills('b1').at(-1) ?? 0;
  // ISO 965-1: minor diameter of M12-6H 10.106 to 10.441
  expect(core).toBeGreaterThanOrEqual(10.1);
  expect(core).toBeLessThanOrEqual(10.45);
  expect(of.says('tap@b1')).toMatch(/lead|bottoming/);
});

it('8 pulley spacer: a big hole is opened by a pilot no thinner than its web', () => {
  const of = made({ outside: [['50', '20']], right: [['25', 'through']] });
  const [pilot = 0, last = 0] = of.drills('b1');
  expect(of.drills('b1').length).toBe(2);
  expect(pilot / last).toBeGreaterThanOrEqual(0.15 - 1e-9);
  expect(pilot / last).toBeLessThanOrEqual(0.6);
});

it('9 oil cup: a flat floor is not left a cone', () => {
  const of = made({ outside: [['40', '30']], right: [['20', '15', { far: 'flat' }]] });
  expect(of.at('bore@b1')).toBeGreaterThan(of.at('drill@b1'));
  const reach = of.find('drill@b1')?.figures['point']?.value ?? 99;
  expect(reach).toBeLessThan(15);
});

it('10 rod guide: a long hole past every drill is met from the other end, and so said', () => {
  const of = made({ outside: [['30', '150']], right: [['8', 'through']] });
  expect(of.steps.filter((s) => s.verb === 'drill').length).toBeGreaterThan(1);
});

it('11 shackle pin: a thread to a shoulder is no more than what is there, and no undercut is cut that nobody drew', () => {
  const of = made({
    outside: [
      ['M12', '20'],
      ['20', '10'],
    ],
  });
  expect(of.verb('undercut')).toBe(-1);
  expect(of.codes).toContain('thread-without-relief');
});

it('12 winch nut: an inside thread that no tap of the drawer cuts goes to a bar that enters its core', () => {
  const of = made({ outside: [['50', '25']], right: [['M24x1.5', 'through']] });
  const bar = of.tool('thread@b1');
  expect(bar?.kind).toBe('thread');
  expect(mmOf(bar?.shank)).toBeLessThanOrEqual(0.75 * 22.376 + 1e-9);
});

it('13 jib hank: a wide size without tolerance still has a gauge and a measured cut', () => {
  const of = made({ outside: [['27', '30']] });
  expect(of.find('finish-turn@s1')?.gauge).toBe('caliper-150');
  expect(of.says('finish-turn@s1')).toContain('plain-sizes-too');
});

it('14 bush to be pressed in: its bore closes, and the sheet says by how much', () => {
  const mate: Mate = { id: 'm', of: 's1', piece: 'hub', want: mm('press 0.03'), measured: { readings: [mm('30')], gauge: 'caliper-150' } };
  const of = made({ outside: [['30', '25']], right: [['24 H8', 'through']], mates: [mate], material: 'bronze' });
  expect(of.says('bore@b1')).toMatch(/closes-in: it closes by up to 0\.0[23]/);
  expect(of.verb('join')).toBeGreaterThan(of.at('bore@b1'));
});

it('15 a hub shrunk on by number: the heat stands at the join', () => {
  const mate: Mate = { id: 'm', of: 'b1', piece: 'shaft', want: mm('shrink 0.04'), measured: { readings: [mm('25')], gauge: 'caliper-150' } };
  const of = made({ outside: [['60', '30']], right: [['25', 'through']], mates: [mate] });
  const heat = of.find('join@m')?.figures['heat']?.value ?? 0;
  // 0.05 at the most and 0.05 for the hand over 11.7e-6 x 25: 342 degrees over a room of 20
  expect(heat).toBeGreaterThan(300);
  expect(of.codes).toContain('join-heat');
});

it('16 a hexagon with nothing but thread beside it is milled on the bar; one with a plain shank after', () => {
  const hex = (id: string): Detail => ({ id: 'h', on: id, kind: 'hexagon', at: mm('0'), size: mm('17') });
  const bare = made({
    outside: [
      ['M12', '20'],
      ['bar 20', '8'],
    ],
    details: [hex('s2')],
  });
  expect(bare.at('away@h')).toBeLessThan(Math.max(bare.verb('part-off'), bare.verb('saw-off')));
  const shank = made({
    outside: [
      ['M12', '20'],
      ['14', '25'],
      ['bar 20', '8'],
    ],
    details: [hex('s3')],
  });
  expect(shank.at('away@h')).toBeGreaterThan(Math.max(shank.verb('part-off'), shank.verb('saw-off')));
});

it('17 a fillet of R3 at a shoulder is not roughed away', () => {
  const of = made({
    outside: [
      ['16', '30', { far: 'R3' }],
      ['30', '15'],
    ],
  });
  expect(of.codes).not.toContain('gouged');
  expect(of.at('form@s1.far')).toBeGreaterThan(of.at('finish-turn@s1'));
});

it('18 acetal roller: pecks and air at the drill, a keen edge at the turning', () => {
  const of = made({ outside: [['32', '25']], right: [['10', 'through']], material: 'acetal' });
  expect(of.steps.flatMap((s) => s.because.map((b) => writeSentence(b.says, 'mm'))).join('\n')).toMatch(/peck/);
});

it('19 a counterbore for a head: by the drill that is there, made flat', () => {
  const of = made({
    outside: [['30', '25']],
    right: [
      ['14', '8', { far: 'flat' }],
      ['8.5', 'through'],
    ],
  });
  expect(of.at('drill@b2')).toBeLessThan(Math.max(of.at('bore@b1'), of.at('drill@b1')));
  expect(of.codes).not.toContain('metal-left');
  expect(of.codes).not.toContain('gouged');
});

it('20 a groove inside by a bar that goes into its hole; where none does it is on the list', () => {
  const inside = groove('d', 'b1', '8', '3', '26');
  const bare = made({ outside: [['40', '25']], right: [['22', 'through']], details: [inside] });
  expect(bare.gets).toMatch(/inside grooving bar/);
  const shop = midShop();
  const bar = {
    id: 'gb',
    name: 'inside grooving bar',
    kind: 'groove' as const,
    grade: 'hss' as const,
    hand: 'neutral' as const,
    width: mm('2'),
    reach: mm('3'),
    shank: mm('10'),
  };
  const of = made({ outside: [['40', '25']], right: [['22', 'through']], details: [inside] }, { ...shop, tools: [...shop.tools, bar] });
  expect(of.tool('groove@d')?.id).toBe('gb');
  expect(of.codes.filter((c) => c.startsWith('meets-'))).toEqual([]);
});
