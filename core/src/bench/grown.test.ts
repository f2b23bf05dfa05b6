import type { Entry } from '../document';
import { plan } from '../planner';
import { jobOf } from '../planner/demo.fixture';
import { midShop } from '../shop';
import { grownAt } from './grown';

const shop = midShop();
const job = jobOf('30 x 20 knurl straight 1; 36 x 12');
const made = plan(job, shop);
const step = made.routes[0]?.setups.flatMap((s) => s.steps).find((s) => s.verb === 'knurl');
const [machine] = shop.machines;
const read = (text: string): Entry => ({
  id: 'r1',
  at: '2026-11-29T08:00:00Z',
  by: 'me',
  piece: 1,
  step: step?.id ?? '',
  kind: 'reading',
  of: grownAt(step ?? missing(), made, machine, [])?.of ?? '',
  value: { text, units: 'mm' },
  gauge: 'none',
});
const missing = (): never => {
  throw new Error('no knurl in the route');
};
const at = (...log: readonly Entry[]) => grownAt(step ?? missing(), made, machine, log) ?? missing();

it('the blank is as much smaller as the metal rises: half of the pitch of a straight knurl, trimmed to whole teeth (DIN 82, from memory)', () => {
  const { blank, whole, teeth, says } = at();
  expect(whole).toBe(30);
  // 29.5 trimmed by less than half a tooth round it
  expect(Math.abs(blank - 29.5)).toBeLessThanOrEqual(1 / Math.PI / 2 + 1e-3);
  expect(teeth).toBe(Math.round((Math.PI * 29.5) / 1));
  expect(says).toBe('measure');
});

it('half risen it is told how far the wheel is still to go, as this dial reads', () => {
  const { blank } = at();
  const half = at(read(((blank + 30) / 2).toFixed(3)));
  expect(half.says).toBe('further');
  expect(half.risen?.value).toBeCloseTo(0.5, 2);
  const reads = machine?.dials.cross?.reads === 'diameter' ? 1 : 2;
  expect(half.further?.value).toBeCloseTo((30 - blank) / 2 / reads, 3);
});

it.each([
  ['29.40', 'not begun'],
  ['30.00', 'whole'],
  ['30.40', 'over'],
  ['none', 'measure'],
])('over the crests %s: %s', (text, says) => {
  const told = at(read(text));
  expect(told.says).toBe(says);
  expect(told.further).toBeUndefined();
});

it('no other step is a knurl', () => {
  const other = made.routes[0]?.setups.flatMap((s) => s.steps).find((s) => s.verb === 'face');
  expect(other && grownAt(other, made, machine, [])).toBeUndefined();
});
