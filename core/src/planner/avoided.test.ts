/* Contacts are avoided before they are told: another tool, another centre, a drill through the kerf, a back edge that leaves the piece hanging. All of it common practice. */
import { chuckingsOf } from '../settings';
import { blankJob, type Job, type Section, type Shop } from '../document';
import { midShop } from '../shop';
import { plan } from './planning';

const mm = (text: string) => ({ text, units: 'mm' as const });
const row = (id: string, size: string, length: string, more: Partial<Section> = {}): Section => ({ id, size: mm(size), length: mm(length), ...more });
const jobOf = (outside: readonly Section[], boreRight: readonly Section[] = []): Job => {
  const blank = blankJob('p', 'mm');
  return { ...blank, drawing: { ...blank.drawing, title: { edges: 'broken' }, outside: [...outside], boreRight: [...boreRight] } };
};
const stepsOf = (job: Job, shop: Shop) => plan(job, shop).routes[0]?.setups.flatMap((s) => s.steps) ?? [];
const slender = jobOf([row('a', '12 h9', '60'), row('b', '16', '60'), row('c', '25', '10')]);
const meets = (job: Job, shop: Shop) =>
  plan(job, shop)
    .findings.filter((f) => f.code.startsWith('meets-'))
    .map((f) => f.code);

it('beside a centre a tool is taken that passes it; without one the centre is; without either it is told', () => {
  const shop = midShop();
  const step = stepsOf(slender, shop).find((s) => s.id === 'rough-turn@a');
  expect(step?.tool).toMatch(/^turn-(finish|hss)$/);
  expect(step?.because.some((b) => b.rule === 'clearance')).toBe(true);
  expect(meets(slender, shop)).toEqual([]);
  const blunt: Shop = { ...shop, tools: shop.tools.filter((t) => t.kind !== 'turn' || t.id === 'turn-rough') };
  expect(meets(slender, blunt)).toContain('meets-centre');
  const half: Shop = {
    ...blunt,
    holdings: [
      ...blunt.holdings,
      { ...(blunt.holdings.find((h) => h.kind === 'deadCentre') ?? never()), id: 'half', name: 'half centre', kind: 'halfCentre' },
    ],
  };
  expect(meets(slender, half)).not.toContain('meets-centre');
  expect(plan(slender, half).routes[0]?.setups.some((s) => s.support.some((x) => x.item === 'half'))).toBe(true);
});
const never = (): never => {
  throw new Error('no dead centre');
};

it('a centre that a person chose is the one that carries it', () => {
  const choosing: Job = {
    ...slender,
    choices: [{ kind: 'hold', id: 'h', setup: 'right-1', holding: 'three-jaw', support: [{ item: 'dead-centre' }] }],
  };
  const [first] = chuckingsOf(plan(choosing, midShop()).routes[0]?.setups ?? []);
  expect(first?.support.map((s) => s.item)).toEqual(['dead-centre']);
});

it('a through hole is drilled past the blade that parts it, so that the blade goes no further than the wall', () => {
  const steps = stepsOf(jobOf([row('a', '40', '6')], [row('h', '16', 'through')]), midShop());
  const [drill, part] = [steps.find((s) => s.id === 'drill@h'), steps.find((s) => s.verb === 'part-off')];
  expect(part?.figures['depth']?.value).toBeCloseTo(12, 6);
  // the part, what is faced off its far end, and the blade
  expect(drill?.figures['depth']?.value).toBeGreaterThanOrEqual(6 + 1 + 3);
});

it('a thin bush is not cut through by the groove that makes room for its back edge: the edge waits for the other end', () => {
  const thin = (bore: string) => stepsOf(jobOf([row('a', '24', '20', { far: mm('0.5x45') })], [row('h', bore, 'through')]), midShop());
  const order = (bore: string) => {
    const steps = thin(bore);
    return [steps.findIndex((s) => s.id === 'chamfer@a.far'), steps.findIndex((s) => s.verb === 'part-off' || s.verb === 'saw-off')] as const;
  };
  const [stout, cut] = order('10');
  expect(stout).toBeLessThan(cut);
  const [late, severed] = order('22.5');
  expect(late).toBeGreaterThan(severed);
});

it('a mouth deep in a hole is not cut by a form tool that stands out less: by the bar', () => {
  const shop = midShop();
  const deep = jobOf([row('a', '60', '50')], [row('h', '40', '25'), row('i', '20', 'through', { near: mm('1x45') })]);
  const step = stepsOf(deep, shop).find((s) => s.id === 'chamfer@i.near');
  const by = shop.tools.find((t) => t.id === step?.tool);
  expect(by?.kind).toBe('bore');
  const near = stepsOf(jobOf([row('a', '60', '50')], [row('i', '20', 'through', { near: mm('1x45') })]), shop).find((s) => s.id === 'chamfer@i.near');
  expect(shop.tools.find((t) => t.id === near?.tool)?.kind).toBe('form');
});

it('a collet of a set grips only what is of its size', () => {
  const shop = midShop();
  const set: Shop = {
    ...shop,
    holdings: [
      ...shop.holdings.filter((h) => h.kind !== 'collet'),
      { ...(shop.holdings.find((h) => h.kind === 'collet') ?? never()), name: 'collets 6 to 20', sizes: ['6', '10', '12', '16', '20'].map(mm) },
    ],
  };
  const holdingOf = (bar: string) => {
    const drawn = jobOf([row('a', `bar ${bar}`, '20')]);
    const ways = plan(drawn, set).holdings.filter((h) => h.setup === 'right-1' && h.holding === 'collets');
    return ways.every((w) => w.findings.some((f) => f.code === 'holding-range'));
  };
  expect([holdingOf('12'), holdingOf('16'), holdingOf('25')]).toEqual([false, false, true]);
});
