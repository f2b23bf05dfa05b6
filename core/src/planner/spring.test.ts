/* How far the work gives way under a finishing cut: a beam of the stock as it stands, in the chuck of this shop. */
import { blankJob, type Choice, type Job } from '../document';
import { area, polygon, sectionsOf } from '../stock';
import { demoShop } from './demo.fixture';
import { plan } from './planning';

const mm = (text: string) => ({ text, units: 'mm' as const });
function job(rows: readonly (readonly [string, string])[], choices: readonly Choice[] = []): Job {
  const blank = blankJob('a bar', 'mm');
  return {
    ...blank,
    choices: [...choices],
    drawing: {
      ...blank.drawing,
      title: { edges: 'broken' },
      outside: rows.map(([size, length], i) => ({ id: `r${String(i)}`, size: mm(size), length: mm(length) })),
    },
  };
}
const springs = (of: Job) => {
  const made = plan(of, demoShop());
  const steps = made.routes[0]?.setups.flatMap((s) => s.steps) ?? [];
  return {
    made,
    spring: (id: string) => steps.find((s) => s.id === id)?.figures['spring']?.value ?? NaN,
    passive: (id: string) => steps.find((s) => s.id === id)?.figures['passive']?.value ?? NaN,
  };
};
const held = (support: readonly string[]): Choice => ({
  kind: 'hold',
  id: 'hold-right-1',
  setup: 'right-1',
  holding: 'three-jaw',
  support: support.map((item) => ({ item })),
});
const centre = demoShop().holdings.find((h) => h.kind === 'liveCentre' || h.kind === 'deadCentre')?.id ?? '';

it('is more the further it sticks out, and little where it is short', () => {
  const [short, long] = [springs(job([['20 h7', '30']], [held([])])), springs(job([['20 h7', '120']], [held([])]))];
  expect(short.spring('finish-turn@r0')).toBeGreaterThan(0);
  expect(short.spring('finish-turn@r0')).toBeLessThan(0.01);
  expect(long.spring('finish-turn@r0')).toBeGreaterThan(4 * short.spring('finish-turn@r0'));
  expect(long.passive('finish-turn@r0')).toBeCloseTo(short.passive('finish-turn@r0'), 6);
});

it('is no less than that of the finished bar clamped stiffly: F l^3 / 3 E I of its own length (elementary beam theory)', () => {
  const { spring, passive } = springs(job([['20 h7', '120']], [held([])]));
  const least = (passive('finish-turn@r0') * 120 ** 3) / ((3 * 205000 * Math.PI * 20.6 ** 4) / 64);
  expect(spring('finish-turn@r0')).toBeGreaterThan(least);
  // chuck and the bar beyond the part: not ten times that
  expect(spring('finish-turn@r0')).toBeLessThan(10 * least);
});

it('is a fraction with the tailstock centre', () => {
  const rows = [['20 h7', '200']] as const;
  const [free, carried] = [springs(job(rows, [held([])])), springs(job(rows, [held([centre])]))];
  expect(carried.spring('finish-turn@r0')).toBeLessThan(free.spring('finish-turn@r0') / 5);
  expect(free.made.findings.map((f) => f.code)).toContain('spring');
  expect(carried.made.findings.map((f) => f.code)).not.toContain('spring');
});

it('reads the stock as hollow cylinders, slopes in short pieces, that make up its metal', () => {
  const region = polygon([
    [0, 4],
    [0, 10],
    [-20, 10],
    [-40, 16],
    [-60, 16],
    [-60, 0],
    [-30, 0],
    [-30, 4],
  ]);
  const sections = sectionsOf(region, -1e4, 1e4);
  expect(sections.reduce((sum, s) => sum + (s.to - s.from) * (s.outer - s.inner), 0)).toBeCloseTo(area(region), 6);
  expect(sections.at(-1)).toEqual({ from: -20, to: 0, outer: 10, inner: 4 });
  expect(sections.filter((s) => s.from >= -40 && s.to <= -20).length).toBeGreaterThanOrEqual(4);
  expect(sectionsOf(region, 5, 20)).toEqual([]);
});
