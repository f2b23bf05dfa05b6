/* A plate with tapped holes, bolted from behind by them: bolt-from-behind, common practice. */
import { blankJob, type Bar, type Choice, type Detail, type Job, type Shop } from '../document';
import { writeSentence } from '../quantity';
import { midShop } from '../shop';
import { choicesOf } from './choicesOf';
import { violations } from './judge';
import { plan } from './planning';

const mm = (text: string) => ({ text, units: 'mm' as const });
const disc: Bar = { id: 'disc', name: 'disc 130', material: 'mild-steel', across: mm('130'), form: 'round', skin: 'hot', length: mm('200') };
const shop: Shop = { ...midShop(), bars: [...midShop().bars, disc] };
const onPlate: Choice = { kind: 'method', id: 'c', of: 'carrying', method: 'plate' };
const plate = (size: string, choices: readonly Choice[] = [onPlate], more: Partial<Detail> = {}): Job => {
  const blank = blankJob('plate', 'mm');
  return {
    ...blank,
    choices: [...choices],
    drawing: {
      ...blank.drawing,
      title: { edges: 'broken' },
      outside: [{ id: 'a', size: mm('120'), length: mm('14') }],
      boreRight: [{ id: 'b', size: mm('40 H7'), length: mm('through') }],
      details: [{ id: 'd', kind: 'boltCircle', on: 'right', at: mm('80'), size: mm(size), count: 4, ...more }],
      relations: [{ id: 'r', kind: 'concentric', of: 'a', to: 'b', value: mm('0.03') }],
    },
  };
};
const routeOf = (job: Job) => {
  const made = plan(job, shop);
  const [route] = made.routes;
  if (!route) throw new Error('no route');
  return { made, route, ids: route.setups.map((s) => s.steps.map((x) => x.id)) };
};

it('drilled and tapped first, then face, register and rim in one go; turned over and dialled on the register', () => {
  const { made, route, ids } = routeOf(plate('M6'));
  expect(route.layout).toBe('plate');
  expect(ids[0]?.slice(0, 3)).toEqual(['away@d', 'load@right', 'face@right']);
  expect(ids[0]).toEqual(expect.arrayContaining(['bore@b', 'finish-turn@a']));
  expect(route.runouts[0]?.oneChucking).toBe(true);
  expect(ids.flat().filter((id) => id.startsWith('away@d'))).toHaveLength(1);
  const again = route.setups[1]?.steps[0];
  expect(again?.verb).toBe('turn-round');
  const words = again?.because.map((r) => writeSentence(r.says, 'mm')).join('\n') ?? '';
  expect(words).toMatch(/the bore, Ø40/);
  expect(words).toContain('paper');
  expect(violations(route, made.part, plate('M6'), shop)).toEqual([]);
  expect(made.findings.filter((f) => f.severity !== 'note' && f.code !== 'order-not-possible').map((f) => f.code)).toEqual([]);
});

it('comes again from its own choices', () => {
  const job = plate('M6');
  const { route } = routeOf(job);
  expect(routeOf({ ...job, choices: [...choicesOf(route, job)] }).route).toEqual(route);
});

it.each<readonly [string, Job]>([
  ['plain holes: heads would stand in the cut', plate('7')],
  ['blind ones do not reach the plate', plate('M6 x 8')],
  ['asked for later', plate('M6', [onPlate, { kind: 'method', id: 'm', of: 'd', method: 'after' }])],
])('not by %s', (_, job) => {
  const { route, ids } = routeOf(job);
  expect(route.layout).toBe('plate');
  expect(ids[0]?.[0]).toMatch(/^load@/);
  expect(ids.at(-1)?.some((id) => id.startsWith('away@d'))).toBe(true);
});

it('taken where it is cheapest, with no choice made: no clamp is moved and the rim is true to the bore', () => {
  const { route } = routeOf(plate('M6', []));
  const clamped = routeOf(plate('7')).route;
  if (route.layout === 'plate') expect(route.cost.total.value).toBeLessThan(clamped.cost.total.value);
});
