/* The lengths of every setup and the chart of tolerances behind them. Rules: common practice (tool-width, quill, tolerance chart). */
import fc from 'fast-check';
import { blankJob, type Job, type Section, type Tool } from '../document';
import { stackOf, toleranceChart } from '../drawing';
import type { LedgerLine } from '../settings';
import { midShop, mmOf, readoutShop, shopProblems, sizeOf, sizeUnread, startingShop } from '../shop';
import { centreCut } from '../standards';
import { boundsOf } from '../stock';
import { chartOf } from './ledger';
import { plan } from './planning';
import type { Route } from './route';
import { drawnJob, drawnWithHoles, wrongLengths } from './setLengths.fixture';

const mm = (text: string) => ({ text, units: 'mm' as const });
const row = (id: string, size: string, length: string): Section => ({ id, size: mm(size), length: mm(length) });
const shop = midShop();
const job = (outside: Section[], more: Partial<Job['drawing']> = {}): Job => {
  const blank = blankJob('lengths', 'mm');
  return { ...blank, drawing: { ...blank.drawing, title: { edges: 'sharp' }, outside, ...more } };
};
function made(of: Job): {
  readonly route: Route;
  readonly part: ReturnType<typeof plan>['part'];
  readonly line: (step: string) => LedgerLine | undefined;
} {
  const { routes, part } = plan(of, shop);
  const [route] = routes;
  if (!route) throw new Error('no route');
  return { route, part, line: (step) => route.setups.flatMap((s) => s.lengths).find((l) => l.step === step) };
}

it('every shoulder, wall, depth and the over-all length, from the face that is zero there', () => {
  const { line, part } = made(
    job([row('a', '16', '20 +/-0.1'), row('b', '24', '30 +/-0.1'), row('c', '18', '15 +/-0.1')], { boreRight: [row('h', '6', '12')] }),
  );
  expect(line('finish-turn@a')).toMatchObject({ from: 'right', set: { value: 20 } });
  expect(line('rough-turn@a')?.set.value).toBeCloseTo(19.8, 6);
  expect(line('finish-turn@c')).toMatchObject({ from: 'left', set: { value: 15 } });
  expect(line('face@left')).toMatchObject({ from: 'right', set: { value: part.length } });
  const drilled = line('drill@h');
  expect(drilled?.set.value).toBeCloseTo(12 + 3 / Math.tan((59 * Math.PI) / 180), 6);
  const quill = mmOf(shop.machines[0]?.dials.quill?.travel);
  expect(drilled?.quillLeft?.value).toBeCloseTo(quill - 12 - (drilled?.set.value ?? 0), 6);
});

it('a blade that was touched on the face moves the length and its width (tool-width)', () => {
  const { line, route } = made(
    job([row('a', '16', '40')], { details: [{ id: 'g', kind: 'groove', on: 'a', at: mm('10'), length: mm('3'), size: mm('12') }] }),
  );
  const tool = shop.tools.find((t) => t.id === route.setups[0]?.steps.find((s) => s.id === 'groove@g')?.tool);
  expect(line('groove@g')?.set.value).toBeCloseTo(10, 6);
  expect(line('groove@g')?.withBlade?.value).toBeCloseTo(10 + mmOf(tool?.width), 6);
});

it('a length between a face of each setup takes the sum of three settings: each gets a third (worked by hand)', () => {
  const { part, route } = made(job([row('a', '16', '20 +/-0.15'), row('b', '24', '30 +/-0.15'), row('c', '18', '15 +/-0.15')]));
  const chart = chartOf(route.setups, part);
  const half = (to: string) => {
    const cut = chart.find((c) => c.to === to);
    return ((cut?.max.value ?? 0) - (cut?.min.value ?? 0)) / 2;
  };
  // b lies between a's shoulder (from A) and c's (from B): a + over all + c <= 0.15
  expect(half('a.far')).toBeCloseTo(0.05, 9);
  expect(half('left')).toBeCloseTo(0.05, 9);
  expect(half('b.far')).toBeCloseTo(0.05, 9);
});

it('drawn tighter than the settings can share, it is a check on that length', () => {
  const tight = (tolerance: string) =>
    plan(job([row('a', '16', '20 +/-0.2'), row('b', '24', `30 +/-${tolerance}`), row('c', '18', '15 +/-0.2')]), shop).findings.filter(
      (f) => f.code === 'length-chain',
    );
  expect(tight('0.02').map((f) => f.about)).toContain('b.length');
  expect(tight('0.2')).toEqual([]);
});

it('whatever is cut within the chart, in any order of faces and settings, every drawn length holds', () => {
  const lengths = fc.array(fc.tuple(fc.integer({ min: 50, max: 400 }), fc.integer({ min: 2, max: 40 })), { minLength: 2, maxLength: 6 });
  fc.assert(
    fc.property(
      lengths,
      fc.array(fc.boolean(), { minLength: 6, maxLength: 6 }),
      fc.array(fc.double({ min: -1, max: 1, noNaN: true }), { minLength: 8, maxLength: 8 }),
      (rows, fromLeft, at) => {
        const drawn = job(
          rows.map(([long, tol], i) => row(`s${String(i)}`, String(20 + 2 * (i % 2)), `${String(long / 10)} +/-${String(tol / 100)}`)),
        );
        const { part } = plan(drawn, shop);
        const inner = rows.slice(0, -1).map((_, i) => `s${String(i)}.far`);
        const cuts: (readonly [string, string])[] = [
          ['right', 'left'],
          ...inner.map((face, i): readonly [string, string] => [fromLeft[i] === true ? 'left' : 'right', face]),
        ];
        const chart = toleranceChart(part, cuts);
        // cut somewhere within each, then see where the faces lie
        const z = new Map<string, number>([['right', 0]]);
        for (const [i, cut] of chart.entries()) {
          const long = cut.min.value + ((cut.max.value - cut.min.value) * ((at[i] ?? 0) + 1)) / 2;
          z.set(cut.to, (z.get(cut.from) ?? 0) + (cut.from === 'left' ? long : -long));
        }
        for (const d of part.distances) {
          const is = Math.abs((z.get(d.a) ?? NaN) - (z.get(d.b) ?? NaN));
          expect(is).toBeGreaterThanOrEqual(d.limits.min - 1e-9);
          expect(is).toBeLessThanOrEqual(d.limits.max + 1e-9);
        }
        expect(stackOf(part, 'right', 'left')).toBeDefined();
      },
    ),
    { numRuns: 150, seed: 5 },
  );
});

describe('every length is set from the face that is zero there', () => {
  const shops = [midShop(), startingShop(), readoutShop()];
  it('what is set lies inside what it may be, and is where the metal ends: drawn parts, both ends, every starting shop', () => {
    fc.assert(
      fc.property(drawnWithHoles, (drawn) => {
        expect(wrongLengths(drawnJob(drawn), shops[drawn.shop] ?? shop)).toEqual([]);
      }),
      // 500 in the bench
      { numRuns: 40, seed: 16 },
    );
  }, 120_000);

  it('the second diameter of a hole is as deep as the first and itself together (worked by hand)', () => {
    for (const end of ['boreRight', 'boreLeft'] as const) {
      const { line } = made(job([row('a', '40', '60')], { [end]: [row('h', '20', '15'), row('k', '6', '20')] }));
      // 15 + 20, and the point of a 6 mm drill of 118 degrees; a shop without a drill of the size takes the next, with a point of its own
      expect(line('drill@k')?.set.value).toBeCloseTo(35 + 3 / Math.tan((59 * Math.PI) / 180), 6);
      expect(line('drill@k')?.from).toBe(end === 'boreRight' ? 'right' : 'left');
    }
  });
});

describe('a centre drill goes by its own size', () => {
  it.each([
    // DIN 333 form A: 3.15 has a cone of 6.7 at 5.9 deep
    [3.15, 6.7, 6.7, 5.9],
    [3.15, 20, 6.7, 5.9],
    // 3.15 to a cone of 5: 5.9 less (6.7 - 5) / 2 / tan 30
    [3.15, 5, 5, 5.9 - 0.85 / Math.tan(Math.PI / 6)],
    // number 3 plain, 7/64 with a body of 1/4: pilot about its diameter, then the cone to 0.9 of the body
    [2.778125, 20, 5.715, 2.778125 + (5.715 - 2.778125) / 2 / Math.tan(Math.PI / 6)],
  ])('pilot %d, wanted %d: cone %d, depth %d', (pilot, wanted, mouth, depth) => {
    const cut = centreCut(pilot, wanted);
    expect(cut.mouth).toBeCloseTo(mouth, 3);
    expect(cut.depth).toBeCloseTo(depth, 3);
  });

  it.each([midShop(), startingShop()])('what is swept is what is told, and it leaves a cone for the centre', (at) => {
    const { routes } = plan(job([row('a', '20', '140')]), at);
    const setup = routes[0]?.setups.find((s) => s.steps.some((t) => t.verb === 'centre-drill'));
    const step = setup?.steps.find((s) => s.verb === 'centre-drill');
    const tool = at.tools.find((t) => t.id === step?.tool);
    if (!step || !tool) throw new Error('no centre');
    const { left, right, radius } = boundsOf(step.removes);
    const face = setup?.end === 'left';
    expect(Math.abs((face ? right : left) - (face ? -140 : 0))).toBeCloseTo(step.figures['depth']?.value ?? 0, 2);
    expect(2 * radius).toBeGreaterThan(1.5 * sizeOf(tool));
  });

  it('a drawn centre that no drill of the shop makes is said to be impossible', () => {
    const centre = { id: 'c', kind: 'centre' as const, on: 'right', at: mm('0'), size: mm('A 6.3') };
    const { toGet, findings } = plan(job([row('a', '40', '60')], { details: [centre] }), midShop());
    expect(JSON.stringify([toGet, findings])).toMatch(/centre drill/);
  });
});

describe('sizes as the trade names them', () => {
  const tool = (kind: Tool['kind'], text: string, units: 'mm' | 'in' = 'in'): Tool => ({
    id: 't',
    name: text,
    kind,
    grade: 'hss',
    hand: 'right',
    size: { text, units },
  });
  it.each([
    // number and letter drills in inches, from memory
    ['drill', '#43', 0.089 * 25.4],
    ['drill', 'no. 7', 0.201 * 25.4],
    ['drill', 'No 7', 0.201 * 25.4],
    ['drill', 'F', 0.257 * 25.4],
    ['drill', 'letter Q', 0.332 * 25.4],
    ['drill', '13/64', (13 / 64) * 25.4],
    ['centreDrill', '#3', (7 / 64) * 25.4],
    ['centreDrill', 'A 2.5', 2.5],
    ['ream', '10', 254],
  ] as const)('%s “%s” is %d mm', (kind, text, mm) => {
    expect(sizeOf(tool(kind, text))).toBeCloseTo(mm, 6);
    expect(sizeUnread(tool(kind, text))).toBe(false);
  });

  it('what is not understood is told on the Shop page, and never planned with', () => {
    const odd = tool('drill', 'the big one', 'mm');
    const at = { ...midShop(), tools: [odd, ...midShop().tools] };
    expect(shopProblems(at).some((p) => p.about === 't.size' && p.severity === 'caution')).toBe(true);
    const { routes } = plan(job([row('a', '40', '30')], { boreRight: [row('h', '8', '12')] }), at);
    expect(routes[0]?.setups.flatMap((s) => s.steps).some((s) => s.tool === 't')).toBe(false);
    const none = { ...midShop(), tools: midShop().tools.map((t) => (t.kind === 'drill' ? { ...t, size: { text: '?', units: 'mm' as const } } : t)) };
    expect(() => plan(job([row('a', '40', '30')], { boreRight: [row('h', '8', '12')] }), none)).not.toThrow();
  });
});
