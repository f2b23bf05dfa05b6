/* What a plan says of its holding: by number, with rests, in an odd shop. Rules of the trade are common practice. */
import { blankJob, type Choice, type Job, type Section, type Shop } from '../document';
import { applyEdits } from '../finding';
import { choicesOf, plan, type Plan, violations } from '../planner';
import { writeSentence } from '../quantity';
import { midShop, mmOf } from '../shop';

const mm = (text: string) => ({ text, units: 'mm' as const });
const row = (id: string, size: string, length: string): Section => ({ id, size: mm(size), length: mm(length) });
function jobOf(outside: Section[], more: Partial<Job> = {}, drawing: Partial<Job['drawing']> = {}): Job {
  const blank = blankJob('held', 'mm');
  return { ...blank, ...more, drawing: { ...blank.drawing, title: { edges: 'broken' }, outside, ...drawing } };
}
const shop = midShop();
const hold = (more: Partial<Extract<Choice, { kind: 'hold' }>>): Choice => ({
  kind: 'hold',
  id: 'hold-right-1',
  setup: 'right-1',
  holding: 'three-jaw',
  support: [],
  ...more,
});
const codes = (made: Plan) => made.findings.map((f) => f.code);
const says = (made: Plan, code: string) => writeSentence(made.findings.find((f) => f.code === code)?.says ?? [], 'mm');
const stepOf = (made: Plan, id: string) => made.routes[0]?.setups.flatMap((s) => s.steps).find((s) => s.id === id);
const verbs = (made: Plan, setup = 0) => made.routes[0]?.setups[setup]?.steps.map((s) => s.verb) ?? [];

describe('by number', () => {
  const axle = [row('a', '20 h7', '40'), row('b', '25', '30')];

  it('a longer stick-out lies between blade and jaws, and a kerf far from them is told (common practice: part near)', () => {
    const made = plan(jobOf(axle, { choices: [hold({ stickOut: mm('150') })] }), shop);
    expect(made.routes[0]?.setups[0]?.stickOut.value).toBe(150);
    expect(codes(made)).toContain('part-near');
    expect(codes(plan(jobOf(axle), shop))).not.toContain('part-near');
  });

  it('one shorter than blade and part need is not taken', () => {
    const made = plan(jobOf(axle, { choices: [hold({ stickOut: mm('30') })] }), shop);
    expect(made.routes[0]?.setups[0]?.stickOut.value).toBeGreaterThan(70);
  });

  it('hollow work is told sooner than solid (common practice)', () => {
    const bush = jobOf([row('a', '25', '40')], { choices: [hold({ stickOut: mm('68') })] }, { boreRight: [row('h', '16', 'through')] });
    const solid = { ...bush, drawing: { ...bush.drawing, boreRight: [] } };
    expect(says(plan(bush, shop), 'part-near')).toMatch(/a hollow piece/);
    expect(codes(plan(solid, shop))).not.toContain('part-near');
  });

  it('a grip longer than what there is to hold is a check', () => {
    const made = plan(jobOf(axle, { choices: [{ ...hold({ grip: mm('400') }), id: 'hold-left-1', setup: 'left-1' } as Choice] }), shop);
    expect(codes(made)).toContain('grip-too-long');
  });

  it('taken as choices, the same route comes again: stick-out, steady and follow rest with it', () => {
    for (const support of [[], [{ item: 'live-centre' }], [{ item: 'live-centre' }, { item: 'follow-rest' }], [{ item: 'steady', at: mm('22') }]]) {
      const job = jobOf([row('a', '20 h7', '180')], { choices: [hold({ stickOut: mm('215'), support })] }, { boreRight: [row('h', '8', '30')] });
      const [route] = plan(job, shop).routes;
      if (!route) throw new Error('no route');
      expect(plan({ ...job, choices: [...choicesOf(route, job)] }, shop).routes[0]).toEqual(route);
    }
  });
});

describe('rests', () => {
  const long = [row('a', '20 h7', '300')];

  it('a follow rest behind the tool makes a slender shaft stiffer than the centre alone', () => {
    const spring = (support: readonly { item: string }[]) =>
      stepOf(plan(jobOf(long, { choices: [hold({ support: [...support] })] }), shop), 'finish-turn@a')?.figures['spring']?.value ?? NaN;
    expect(spring([{ item: 'live-centre' }, { item: 'follow-rest' }])).toBeLessThan(spring([{ item: 'live-centre' }]) / 2);
  });

  it('a steady is set after turning and before the hole is drilled', () => {
    const made = plan(jobOf(long, { choices: [hold({ support: [{ item: 'steady' }] })] }, { boreRight: [row('h', '8', '30')] }), shop);
    const order = verbs(made);
    expect(order.indexOf('support')).toBeGreaterThan(order.lastIndexOf('finish-turn'));
    expect(order.indexOf('drill')).toBeGreaterThan(order.indexOf('support'));
  });

  it('a steady with nothing to bore is refused with its reason', () => {
    const option = plan(jobOf(long), shop).holdings.find((h) => h.setup === 'right-1' && h.support.some((s) => s.kind === 'steady'));
    expect(option?.findings.map((f) => f.code)).toContain('steady-blocks');
  });

  it('nothing of the shop is left out: every holding is weighed for both ends', () => {
    const made = plan(jobOf(long), shop);
    const wanted = shop.holdings.filter((h) => !['liveCentre', 'deadCentre', 'steady', 'followRest'].includes(h.kind)).map((h) => h.id);
    for (const setup of ['right-1', 'left-1'])
      expect([...new Set(made.holdings.filter((h) => h.setup === setup).map((h) => h.holding))].sort()).toEqual([...wanted].sort());
    expect(made.holdings.find((h) => h.holding === 'between-centres')?.findings[0]?.code).toBe('holding-needs-centres');
  });
});

describe('an arbor', () => {
  const bush = jobOf([row('a', '30 h7', '25')], {}, { boreRight: [row('h', '16 H7', 'through')] });
  const on = (job: Job): Job => ({ ...job, choices: [{ kind: 'hold', id: 'hold-left-1', setup: 'left-1', holding: 'arbor', support: [] }] });

  it('holds a bored piece by its whole bore, true to it, and the plan is sound and the same from its own choices', () => {
    const made = plan(on(bush), shop);
    const [route] = made.routes;
    const second = route?.setups[1];
    if (!route) throw new Error('no route');
    expect(second?.onArbor).toBe(true);
    expect(second?.gripDiameter).toBe(16);
    expect(second?.steps.map((s) => s.verb)).toContain('face');
    expect(made.findings.filter((f) => f.about === 'left-1' && f.severity !== 'note')).toEqual([]);
    expect(violations(route, made.part, on(bush), shop)).toEqual([]);
    expect(plan({ ...bush, choices: [...choicesOf(route, on(bush))] }, shop).routes[0]).toEqual(route);
  });

  it('is refused while there is no bore, or one it does not open to', () => {
    const codesOf = (job: Job) =>
      plan(job, shop)
        .holdings.find((h) => h.setup === 'left-1' && h.holding === 'arbor')
        ?.findings.map((f) => f.code);
    expect(codesOf(jobOf([row('a', '30', '25')]))).toEqual(['holding-needs-bore']);
    expect(codesOf(jobOf([row('a', '60', '25')], {}, { boreRight: [row('h', '45 H7', 'through')] }))).toEqual(['holding-range']);
  });
});

describe('limits', () => {
  it('a cut that a stout insert would not break goes to a finer one', () => {
    const made = plan(jobOf([row('a', '24 h7', '40'), row('b', '25', '20')]), shop);
    expect(stepOf(made, 'rough-turn@a')?.tool ?? 'none').not.toBe('turn-rough');
  });

  it('a bar left whole turns slower where it stands out behind the spindle, and the step says so (common practice)', () => {
    const job = jobOf(
      [row('a', '12 h7', '30'), row('b', '16', '20')],
      { choices: [{ kind: 'way', id: 'w', way: 'bar', value: 'whole' }] },
      { material: 'brass' },
    );
    const made = plan(job, shop);
    const whole = stepOf(made, 'finish-turn@a');
    const sawn = stepOf(plan({ ...job, choices: [] }, shop), 'finish-turn@a');
    expect(whole?.figures['speed']?.value).toBeLessThan(sawn?.figures['speed']?.value ?? 0);
    expect(whole?.because.map((r) => writeSentence(r.says, 'mm')).join()).toMatch(/behind the spindle and whips/);
  });

  it('a depth chosen beyond what binds is told, with the computed one as its fix', () => {
    const job = jobOf([row('a', '14', '120'), row('b', '32', '20')], {
      choices: [{ kind: 'data', id: 'd', step: 'rough-turn@a', depth: 6, passes: 1 }],
    });
    const made = plan(job, shop);
    const finding = made.findings.find((f) => f.code === 'depth-over-limit');
    expect(writeSentence(finding?.says ?? [], 'mm')).toMatch(/6(\.0+)? mm deep is chosen; .* allows/);
    expect(codes(plan(applyEdits(job, finding?.mends[0]?.edits ?? []), shop))).not.toContain('depth-over-limit');
  });

  it('an edge worn by many pieces is told before the finishing cut', () => {
    const job = jobOf([row('a', '20 h7', '200')], { pieces: 50, choices: [hold({ support: [{ item: 'live-centre' }] })] });
    expect(codes(plan(job, shop))).toContain('worn-tip');
  });

  it('an edge that would be past half of its life is indexed before a finishing cut (common practice)', () => {
    const rows = [row('a', '20 h7', '280'), row('b', '24 h7', '280')];
    const fast = (step: string): Choice => ({ kind: 'data', id: `d-${step.slice(-1)}`, step, speed: 1000, feed: 0.05 });
    const choices: Choice[] = [
      hold({ support: [{ item: 'live-centre' }] }),
      { kind: 'way', id: 'w', way: 'edge', value: 'carbide' },
      fast('finish-turn@a'),
      fast('finish-turn@b'),
    ];
    const job = jobOf(rows, { choices }, { material: 'stainless-316' });
    const steps = plan(job, shop).routes[0]?.setups.flatMap((s) => s.steps) ?? [];
    const index = steps.findIndex((s) => s.verb === 'index');
    expect(index).toBeGreaterThan(0);
    expect(steps[index + 1]?.verb).toBe('finish-turn');
    expect(steps[index + 1]?.tool).toBe(steps[index]?.tool);
  });

  it('a rack that is too short for all pieces is told, and which bars they come out of', () => {
    const made = plan(jobOf([row('a', '20', '150'), row('b', '25', '50')], { pieces: 20 }), shop);
    expect(says(made, 'bar-not-enough')).toMatch(/for \d+ of 20 pieces/);
    expect(made.routes[0]?.bar.from.reduce((sum, c) => sum + c.pieces, 0)).toBeLessThan(20);
  });
});

describe('a shop from elsewhere that cannot be right', () => {
  const [lathe] = shop.machines;
  if (!lathe) throw new Error('no lathe');
  const job = jobOf([row('a', '20 h7', '40')]);
  it.each<[string, Shop, RegExp]>([
    ['no power', { ...shop, machines: [{ ...lathe, kilowatts: 0 }] }, /motor: 0 kW/],
    ['no speed', { ...shop, machines: [{ ...lathe, speeds: [] }] }, /it has no speed/],
    ['a negative swing', { ...shop, machines: [{ ...lathe, swing: mm('-300') }] }, /negative/],
    [
      'a negative travel',
      {
        ...shop,
        machines: [{ ...lathe, dials: { ...lathe.dials, ...(lathe.dials.cross && { cross: { ...lathe.dials.cross, travel: mm('-100') } }) } }],
      },
      /cross travel.*negative/,
    ],
    [
      'a chuck that grips nothing',
      { ...shop, holdings: shop.holdings.map((h) => (h.kind === 'threeJaw' ? { ...h, outside: { from: mm('140'), to: mm('3') } } : h)) },
      /./,
    ],
  ])('%s gives a finding with its fix, and a plan all the same', (_, odd, words) => {
    const made = plan(job, odd);
    const told = made.findings.filter((f) => f.code.startsWith('shop-unreadable') || f.code === 'holding-range');
    if (_ !== 'no speed') expect(made.reached).not.toBe('drawing');
    if (_ !== 'a chuck that grips nothing') {
      expect(told.map((f) => writeSentence(f.says, 'mm')).join()).toMatch(words);
      const fix = told[0]?.mends[0];
      expect(fix?.to).toBe('shop');
      expect(plan(job, applyEdits(odd, fix?.edits ?? [])).findings.filter((f) => f.code.startsWith('shop-unreadable'))).toEqual([]);
    }
  });

  it('an absurd material is planned as mild steel, and said so', () => {
    const made = plan(jobOf([row('a', '20', '40')], {}, { material: 'cheese' }), shop);
    expect(codes(made)).toContain('material-unknown');
  });

  it('a lathe that is too short or too small for the work says so', () => {
    const small: Shop = { ...shop, machines: [{ ...lathe, centres: mm('200'), swingOverSlide: mm('15') }] };
    const made = plan(job, small);
    expect(made.holdings.every((h) => h.findings.some((f) => f.severity === 'stop'))).toBe(true);
    expect(mmOf(small.machines[0]?.swingOverSlide)).toBe(15);
  });
});
