/* Each relation is computed along the holdings between the two features as they are cut (one-chucking, moved-is-lost: common practice). */
import type { Job } from '../document';
import { midShop, mmOf } from '../shop';
import { jobOf } from './demo.fixture';
import { plan } from './planning';

const shop = midShop();
const mm = (text: string) => ({ text, units: 'mm' as const });
const related = (line: string, of: number, to: number): Job => {
  const job = jobOf(line);
  const ids = job.drawing.outside.map((r) => r.id);
  return { ...job, drawing: { ...job.drawing, relations: [{ id: 'k', kind: 'runout', of: ids[of] ?? '', to: ids[to] ?? '', value: mm('0.05') }] } };
};

it('features of one chucking run as true as the spindle; those of two by the holding of the later one, whatever comes after', () => {
  const { routes } = plan(related('20 x 20; 40 x 30; 20 x 20', 0, 2), shop);
  const [route] = routes;
  const setups = route?.setups ?? [];
  const at = (id: string) => setups.findIndex((s) => s.steps.some((t) => t.verb === 'finish-turn' && t.id.startsWith(`finish-turn@${id}`)));
  const job = related('20 x 20; 40 x 30; 20 x 20', 0, 2);
  const [a, b] = [at(job.drawing.outside[0]?.id ?? ''), at(job.drawing.outside[2]?.id ?? '')];
  const later = setups[Math.max(a, b)];
  const holding = shop.holdings.find((h) => h.id === later?.holding);
  const told = route?.runouts[0];
  expect(told?.oneChucking).toBe(a === b);
  if (a !== b && later?.carried === undefined) expect(told?.expected.value).toBeCloseTo(Math.hypot(mmOf(holding?.trueWithin), 0.005), 6);
  const same = plan(related('20 x 20; 40 x 30; 20 x 20', 0, 1), shop).routes[0];
  if (same?.runouts[0]?.oneChucking) expect(same.runouts[0].expected.value).toBeCloseTo(0.005, 9);
});

it('a piece already started is not gripped in bare jaws on a row that is finished', () => {
  const job = jobOf('20 x 30; 30 x 40');
  const cells = (size: string, length: string, id: string) => ({ id, size: mm(size), length: mm(length) });
  const started = (size: string): Job => ({
    ...job,
    startsAs: { outside: [cells('22', '30', 'x'), cells(size, '41', 'y')], boreRight: [], boreLeft: [], details: [], beyondRight: mm('0') },
  });
  const first = (of: Job) => {
    const made = plan(of, shop);
    const held = made.holdings.find((h) => h.setup === 'right-1' && h.holding === made.routes[0]?.setups[0]?.holding);
    return { marks: shop.holdings.find((h) => h.id === held?.holding)?.marks, codes: JSON.stringify(made.findings.map((f) => f.code)) };
  };
  const done = first(started('30'));
  // either it is held by what does not mark, or it is said
  expect(done.marks === false || /mark|pads/.test(done.codes + JSON.stringify(plan(started('30'), shop).routes[0]?.setups[0]?.steps))).toBe(true);
  expect(first(started('34')).marks).toBe(true);
});
