/* Treatment of some of a piece, and tempering by colour. Common practice. */
import type { Job } from '../../document';
import { plan } from '../../planner';
import { jobOf } from '../../planner/demo.fixture';
import { writeSentence } from '../../quantity';
import { midShop } from '../../shop';

const mm = (text: string) => ({ text, units: 'mm' as const });
const shop = midShop();
function made(...treatment: readonly (readonly [Job['drawing']['treatment'][number]['kind'], string])[]) {
  const job = jobOf('12 h6 x 20; 16 h6 x 40; 24 x 12');
  const [route] = plan(
    { ...job, drawing: { ...job.drawing, treatment: treatment.map(([kind, text], i) => ({ id: `t${String(i)}`, kind, value: mm(text) })) } },
    shop,
  ).routes;
  const steps = route?.setups.flatMap((s) => s.steps) ?? [];
  return {
    said: (verb: string) =>
      steps
        .filter((s) => s.verb === verb)
        .map((s) => [writeSentence(s.says, 'mm'), ...s.because.map((b) => writeSentence(b.says, 'mm'))].join('; '))
        .join(),
    ground: steps.filter((s) => s.verb === 'grind').map((s) => s.id),
    waits: (verb: string) => steps.find((s) => s.verb === verb)?.figures['waits']?.value,
  };
}

it('a tip hardened for 12 is said so; only what it reaches is left for the wheel', () => {
  const whole = made(['harden', '58 HRC']);
  const tip = made(['harden', '58 HRC, tip 12']);
  expect(tip.said('harden')).toMatch(/hardened, 58 HRC, only 12 mm from end A.*that end alone in the flame/);
  expect(whole.ground).toHaveLength(2);
  expect(tip.ground).toEqual([expect.stringContaining('s1')]);
  expect(whole.said('harden')).not.toMatch(/that end alone/);
});

it('tempered to a colour: the degrees of the handbook with how far they may be off, no hour in an oven', () => {
  const blue = made(['harden', ''], ['temper', 'dark blue']);
  expect(blue.said('temper')).toMatch(/tempered to dark blue: about 299 °C \(570 °F\), within 10 °C.*daylight/);
  expect(blue.waits('temper') ?? 0).toBe(0);
  const oven = made(['harden', ''], ['temper', '260 C, 1 h']);
  expect(oven.said('temper')).toMatch(/260 °C \(500 °F\)/);
  expect(oven.waits('temper')).toBe(60);
});

it('plating goes on the rows that are named; what it adds is left off them alone', () => {
  expect(made(['plate', '0.01 row 2']).said('surface')).toMatch(/plated, 0.01, row 2 only/);
});
