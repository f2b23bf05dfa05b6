/* Plating in a bore, and threads whose table gives the crest no limits. ME and Acme majors: nominal less a tolerance that this project's tables do not hold. */
import { plan } from '../planner';
import { jobOf } from '../planner/demo.fixture';
import { midShop } from '../shop';

const shop = midShop();
const mm = (text: string) => ({ text, units: 'mm' as const });

it('what plating adds in a bore is in the figure that is set, and in the limits it is measured to (finish, common practice)', () => {
  const job = jobOf('40 x 30');
  const bored = { ...job, drawing: { ...job.drawing, boreRight: [{ id: 'h', size: mm('22 H7'), length: mm('through') }] } };
  const plated = { ...bored, drawing: { ...bored.drawing, treatment: [{ id: 't', kind: 'plate' as const, value: mm('0.01') }] } };
  const step = (of: typeof bored) =>
    plan(of, shop)
      .routes[0]?.setups.flatMap((s) => s.steps)
      .find((s) => s.id === 'bore@h');
  const [plain, more] = [step(bored), step(plated)];
  // 22 H7: 0 to +0.021 (ISO 286-2); 0.01 a side
  expect(plain?.figures['to']?.value).toBeCloseTo(22.0105, 6);
  expect(more?.figures['to']?.value).toBeCloseTo(22.0305, 6);
  expect(more?.limits?.min).toBeCloseTo(22.02, 9);
});

it.each(['1/4-40 ME', '3/8-32 ME'])('%s: its major is held to the general rule, never over the nominal, with no gauge to buy', (thread) => {
  const { part, routes, toGet } = plan(jobOf(`${thread} x 20; 25 x 20`), shop);
  const row = part.features[0];
  expect(row?.nearDiameter.from).toBe('general');
  expect(row?.nearDiameter.max).toBeCloseTo(row?.nearDiameter.nominal ?? 0, 9);
  expect((row?.nearDiameter.max ?? 0) - (row?.nearDiameter.min ?? 0)).toBeGreaterThan(0.04);
  const turned = routes[0]?.setups.flatMap((s) => s.steps).find((s) => s.verb === 'finish-turn' && s.does[0]?.startsWith(row?.id ?? '?') === true);
  expect(shop.gauges.find((g) => g.id === turned?.gauge)?.kind).toBe('caliper');
  expect(JSON.stringify(turned?.because)).toContain('the general rule holds');
  expect(JSON.stringify(toGet)).not.toMatch(/micrometer|gauge good to/);
});

it('3/4-6 ACME: its major by its class, 0.05 of the pitch under the nominal (ASME B1.5, from memory)', () => {
  const { nearDiameter } = plan(jobOf('3/4-6 ACME x 20; 25 x 20'), shop).part.features[0] ?? {};
  expect(nearDiameter?.from).toBe('class');
  expect(nearDiameter?.max).toBeCloseTo(19.05, 9);
  // 0.0083 in as it is printed, to four decimals
  expect((nearDiameter?.max ?? 0) - (nearDiameter?.min ?? 0)).toBeCloseTo(0.0083 * 25.4, 6);
});

it('Tr 16x4: the same in the drawing, whether or not the shop has a tool of its angle', () => {
  const { nearDiameter } = plan(jobOf('Tr 16x4 x 20; 25 x 20'), shop).part.features[0] ?? {};
  expect(nearDiameter?.from).toBe('general');
  expect(nearDiameter?.max).toBeCloseTo(nearDiameter?.nominal ?? 0, 9);
  expect((nearDiameter?.max ?? 0) - (nearDiameter?.min ?? 0)).toBeGreaterThan(0.04);
});
