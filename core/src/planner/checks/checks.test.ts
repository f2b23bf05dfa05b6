/* Each check with one case in which it binds and one in which it does not. The limits are common practice. */
import type { Choice, Job, Machine, Shop, Tool } from '../../document';
import { findingKey } from '../../finding';
import { writeSentence } from '../../quantity';
import { midShop, problemsOf, readoutShop } from '../../shop';
import { jobOf } from '../demo.fixture';
import { violations } from '../judge';
import { plan } from '../planning';

const mm = (text: string) => ({ text, units: 'mm' as const });
const shop = midShop();
const larger = readoutShop();
const withTools = (change: (tool: Tool) => Tool | undefined): Shop => ({ ...shop, tools: shop.tools.flatMap((t) => change(t) ?? []) });
const without = (...kinds: Tool['kind'][]): Shop => withTools((t) => (kinds.includes(t.kind) ? undefined : t));
const onLathe = (change: Partial<Machine>): Shop => ({ ...shop, machines: shop.machines.map((m) => ({ ...m, ...change })) });
const job = (line: string, ...choices: Choice[]): Job => jobOf(line, 'mm', { choices });
const held = (holding: string, ...support: string[]): Choice => ({
  kind: 'hold',
  id: 'h',
  setup: 'right-1',
  holding,
  support: support.map((item) => ({ item })),
});
const way = (of: string, value: string): Choice => ({ kind: 'way', id: `w-${of}`, way: of, value });
const chosenDepth = (depth: number): Choice => ({ kind: 'data', id: 'd', step: 'rough-turn@s1', depth });
const codes = (of: Job, at = shop): readonly string[] => plan(of, at).findings.map((f) => f.code);

it.each<[code: string, binds: readonly [Job, Shop?], not: readonly [Job, Shop?]]>([
  ['bar-through', [job('20 x 30', way('bar', 'whole')), onLathe({ through: mm('10') })], [job('20 x 30', way('bar', 'whole'))]],
  ['blade-too-wide', [job('20 x 20; 10 x 1; 20 x 20')], [job('20 x 20; 10 x 8; 20 x 20')]],
  ['follow-rest-idle', [job('20 x 40', held('three-jaw', 'follow-rest')), larger], [job('12 x 150', held('three-jaw', 'follow-rest')), larger]],
  ['holding-needs-plate', [job('20 x 60', held('faceplate'))], [job('20 x 60', held('three-jaw'))]],
  ['no-die', [job('M11 x 20; 20 x 20', way('thread', 'die'))], [job('M12 x 20; 20 x 20', way('thread', 'die'))]],
  ['no-gauge', [job('20 h7 x 40'), { ...shop, gauges: [] }], [job('20 h7 x 40')]],
  ['parting-depth', [job('58 x 30', { kind: 'method', id: 'm', of: 'left', method: 'part' })], [job('20 x 30')]],
  ['thread-class-fine', [job('M12-4g x 20; 20 x 20'), without('thread')], [job('M12-6g x 20; 20 x 20'), without('thread')]],
  ['thread-class-fine', [job('M12-4g x 20; 20 x 20'), without('thread')], [job('M12-4g x 20; 20 x 20')]],
  ['depth-over-limit', [job('20 x 40; 40 x 20', chosenDepth(12))], [job('20 x 40; 40 x 20', chosenDepth(0.5))]],
])('%s', (code, binds, not) => {
  expect(codes(...binds)).toContain(code);
  expect(codes(...not)).not.toContain(code);
});

it('what the designation of an insert says is told where the tool says another nose, or no chip room; what is none is told too (ISO 1832)', () => {
  const [turning] = shop.tools.filter((t) => t.kind === 'turn');
  if (!turning) throw new Error('no turning tool');
  const told = (insert: string, nose: string) => problemsOf({ ...turning, insert, nose: mm(nose) }, 'tools').map((f) => f.code);
  expect(told('CNMG120408', '0.4')).toContain('insert-says');
  expect(told('CNMG-QX', '0.8')).toContain('insert-unknown');
  expect(told('CNMG120408', '0.8')).not.toContain('insert-unknown');
});

it('a step that stands twice under one name is no sound route', () => {
  const of = job('20 x 30');
  const made = plan(of, shop);
  const [route] = made.routes;
  if (!route) throw new Error('no route');
  const twice = { ...route, setups: route.setups.map((s, i) => (i === 0 ? { ...s, steps: s.steps.flatMap((o) => [o, o]) } : s)) };
  expect(violations(route, made.part, of, shop)).toEqual([]);
  expect(violations(twice, made.part, of, shop).map(findingKey)).toContain('step-twice@face@right');
});

it('a lesson that was kept is told where it lands: over or under the middle, and wide only where the tolerance is less', () => {
  const of = job('20 h7 x 40');
  const tool =
    plan(of, shop)
      .routes[0]?.setups.flatMap((s) => s.steps)
      .find((s) => s.verb === 'finish-turn')?.tool ?? '';
  const told = (mean: number, deviation: number): string => {
    const lesson = {
      id: 'l',
      at: '2026-11-02T08:00:00Z',
      says: '',
      evidence: [],
      where: { machine: shop.machines[0]?.id ?? '', tool },
      of: 'held' as const,
      mean,
      deviation,
      count: 6,
      accepted: true,
    };
    const steps = plan(of, { ...shop, lessons: [lesson] }).routes[0]?.setups.flatMap((s) => s.steps) ?? [];
    return steps.flatMap((s) => s.because.filter((r) => r.rule === 'lesson').map((r) => writeSentence(r.says, 'mm'))).join('; ');
  };
  expect(told(0.003, 0.002)).toContain('landed 0.003 mm over the middle, give or take 0.004 mm, kept from 6 sizes');
  expect(told(-0.003, 0.002)).toContain('under the middle');
  expect(told(0.003, 0.002)).not.toContain('more than this tolerance');
  expect(told(0.003, 0.006)).toContain('more than this tolerance of 0.021 mm leaves');
});

it('a shallow hole is drilled in one go, a deep one comes out to clear its chips (common practice: from about three diameters)', () => {
  const drilled = (depth: string) => {
    const of = job('40 x 80');
    const made = plan({ ...of, drawing: { ...of.drawing, boreRight: [{ id: 'h', size: mm('8'), length: mm(depth) }] } }, shop);
    return made.routes[0]?.setups.flatMap((s) => s.steps).find((s) => s.verb === 'drill')?.series?.figures.length ?? 0;
  };
  expect(drilled('10')).toBe(0);
  expect(drilled('60')).toBeGreaterThan(1);
});
