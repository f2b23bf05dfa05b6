/* The lengths of every setup and the chart of tolerances behind them. Rules: common practice (tool-width, quill, tolerance chart). */
import fc from 'fast-check';
import { blankJob, type Job, type Section } from '../document';
import { plan } from '../plan';
import { mmOf, midShop } from '../shop';
import { chartOf, type LedgerLine, type Route } from './index';
import { stackOf, toleranceChart } from '../drawing';

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
