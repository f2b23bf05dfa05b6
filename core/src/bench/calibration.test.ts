/* Promises against what came. The interval of a share by Wilson 1927: 8 of 10 lies between 0.490 and 0.943 in 19 of 20 (from memory, as general references print it). */
import type { Entry, Job } from '../document';
import { randomFrom } from '../lathe';
import { issued, plan } from '../planner';
import { demoShop, jobOf } from '../planner/demo.fixture';
import { calibration, paceOf, promisesOf, tookIn } from './calibration';
import { recordOf } from './record';

it('a share of few has a wide interval: Wilson, 8 of 10', () => {
  // eight within half a deviation, two far off
  const [half] = calibration([0.1, 0.2, 0.3, 0.1, -0.2, -0.3, 0.1, 0.2, 5, -5]);
  expect(half).toMatchObject({ said: 0.5, came: 0.8, count: 10 });
  expect(half?.low).toBeCloseTo(0.49, 2);
  expect(half?.high).toBeCloseTo(0.943, 3);
  expect(calibration([])).toEqual([]);
});

it('honest promises come as often as they say; ones too sure do not', () => {
  const random = randomFrom(3);
  const honest = Array.from({ length: 4000 }, () => random.normal());
  for (const { said, came, low, high } of calibration(honest)) {
    expect(Math.abs(came - said)).toBeLessThan(0.03);
    expect([low < said + 0.02, high > said - 0.02]).toEqual([true, true]);
  }
  for (const { said, high } of calibration(honest.map((z) => 2 * z))) expect(high).toBeLessThan(said);
});

const shop = demoShop();
const blank: Job = jobOf('16 h7 x 30; 24 x 12');
const [route] = plan(blank, shop).routes;
if (!route) throw new Error('no route');
const job = issued(blank, route, shop, '2026-11-28T08:00:00.000Z', 'test');
const made = plan(job, shop);
const steps = made.routes[0]?.setups.flatMap((s) => s.steps) ?? [];
const at = (minutes: number) => new Date(Date.UTC(2026, 10, 28, 9) + minutes * 60_000).toISOString();
const entry = (id: string, minutes: number, step: string | undefined, more: object): Entry =>
  ({ id, at: at(minutes), by: 'me', piece: 1, step: step ?? null, ...more }) as Entry;

it('what a reading lay off its promise is counted cold, in deviations', () => {
  const finish = steps.find((s) => s.id === 'finish-turn@s1')?.id;
  const log = [
    entry('c', 0, finish, {
      kind: 'cut',
      axis: 'cross',
      dial: { text: '0.1', units: 'mm' },
      told: { expects: 16.2, deviation: 0.01, chanceIn: 0, chancePast: 0 },
    }),
    entry('r', 1, finish, { kind: 'reading', of: 's1.diameter', gauge: 'mic', value: { text: '16.22', units: 'mm' } }),
  ];
  const record = recordOf({ id: 'x', job }, log, shop);
  expect(record && promisesOf(record).map((z) => Math.round(z * 100) / 100)).toEqual([2]);
  // a cell is read as it is everywhere: 0.64 in is 16.256 mm
  const inches = log.map((e) => (e.kind === 'reading' ? { ...e, value: { text: '.64', units: 'in' as const } } : e));
  const other = recordOf({ id: 'x', job }, inches, shop);
  expect(other && promisesOf(other).map((z) => Math.round(z * 100) / 100)).toEqual([5.6]);
});

it('a step takes from what was written before it to its end; a pause is no work', () => {
  const [first, second, third] = steps;
  const took = tookIn(
    made,
    [
      entry('a', 0, first?.id, { kind: 'done' }),
      entry('b', 2, second?.id, { kind: 'done' }),
      entry('c', 200, third?.id, { kind: 'note', says: 'back from the sail loft' }),
      entry('d', 203, third?.id, { kind: 'done' }),
    ],
    'lathe',
  );
  expect(took.map((t) => t.took)).toEqual([2, 3]);
  expect(took[0]?.planned).toBe(second?.figures['minutes']?.value);
  const pace = paceOf([...took, ...took]);
  expect(pace.reduce((sum, p) => sum + p.count, 0)).toBe(4);
  expect(pace.reduce((sum, p) => sum + p.took, 0)).toBe(10);
});
