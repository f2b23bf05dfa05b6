/* The slowest speed of a lathe against what a tool stands: slowest-too-fast, a quarter over a caution, double a stop (common practice). */
import type { Job, Shop } from '../document';
import { writeSentence } from '../quantity';
import { midShop } from '../shop';
import { jobOf } from './demo.fixture';
import { plan } from './planning';

const shop = midShop();
const running = (speeds: readonly number[]): Shop => ({ ...shop, machines: shop.machines.map((m) => ({ ...m, speeds: [...speeds] })) });
const disc = (across: string): Job => jobOf(`${across} x 12`);
const told = (job: Job, at: Shop) => plan(job, at).findings.find((f) => f.code === 'slowest-too-fast');
const bars = (at: Shop, across: string): Shop => ({
  ...at,
  bars: at.bars.map((b, i) => (i === 0 ? { ...b, across: { text: across, units: 'mm' } } : b)),
});

it('says nothing where the lathe turns slowly enough', () => {
  expect(told(jobOf('20 x 30; 30 x 20'), shop)).toBeUndefined();
});

it('is a stop where the slowest is more than double what the tool stands, a caution from a quarter over', () => {
  const slow = told(disc('40'), bars(running([2000]), '45'));
  expect(slow?.severity).toBe('stop');
  const hss: Shop = { ...running([420]), tools: shop.tools.map((t) => ({ ...t, grade: 'hss' as const })) };
  const some = told(disc('40'), bars(hss, '45'));
  expect(some?.severity === 'caution' || some?.severity === 'stop').toBe(true);
});

it('an edge alone is no reason to stop: a light touch, or a file', () => {
  const hss: Shop = { ...running([200, 300]), tools: shop.tools.map((t) => ({ ...t, grade: 'hss' as const })) };
  const edged = told(jobOf('54 x 20 c1'), bars(hss, '60'));
  expect(edged?.about).toMatch(/^chamfer@/);
  expect(edged?.severity).toBe('caution');
  expect(writeSentence(edged?.why ?? [], 'mm')).toContain('file');
  // twice too fast for the turning itself stays a stop
  const faster: Shop = { ...hss, machines: hss.machines.map((m) => ({ ...m, speeds: [600] })) };
  expect(told(jobOf('54 x 20 c1'), bars(faster, '60'))?.severity).toBe('stop');
});

it('every spindle speed has the cutting speed that results beside it: pi d n / 1000 (definition)', () => {
  const { routes } = plan(jobOf('20 x 30; 30 x 20'), shop);
  const steps = routes[0]?.setups.flatMap((s) => s.steps).filter((s) => typeof s.figures['speed']?.of['d'] === 'number') ?? [];
  expect(steps.length).toBeGreaterThan(4);
  for (const { figures } of steps) {
    const d = Number(figures['speed']?.of['d']);
    expect(figures['surface']?.value).toBeCloseTo((Math.PI * d * (figures['speed']?.value ?? 0)) / 1000, 9);
  }
});

it('names the top speed of the lathe where that is what holds a speed down', () => {
  const says = plan(jobOf('20 x 30; 30 x 20'), running([60, 90]))
    .routes.flatMap((r) => r.setups.flatMap((s) => s.steps.flatMap((step) => step.because)))
    .filter((r) => r.rule === 'speed-limit')
    .map((r) => JSON.stringify(r.says));
  expect(says.some((s) => s.includes('the lathe turns no faster'))).toBe(true);
});
