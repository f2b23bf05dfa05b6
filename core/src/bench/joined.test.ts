/*
 * Two members joined as they were measured. A 25 mm joint with 0.025 of interference and a hand's margin goes on at 20 + (0.025 + gap) / (11.5e-6 x 25): linear expansion,
 * arithmetic. The force by Lame for a solid shaft in a hub of twice its size: p = E i (1 - 1/4) / (2 d), all of steel: any textbook of machine elements.
 */
import type { Entry, Job } from '../document';
import { plan } from '../planner';
import { demoShop, jobOf } from '../planner/demo.fixture';
import { practice } from '../shop';
import { materialOf } from '../standards';
import { joinedAt } from './joined';

const shop = demoShop();
const mm = (text: string) => ({ text, units: 'mm' as const });
const jobWith = (want: string): Job => {
  const job = jobOf('25 p6 x 30; 34 x 20');
  return { ...job, drawing: { ...job.drawing, mates: [{ id: 'm', of: 's1', piece: 'the gear', want: mm(want) }] } };
};
const at = '2026-11-28T09:00:00.000Z';
const read = (id: string, of: string, text: string): Entry => ({
  id,
  at,
  by: 'me',
  piece: 1,
  step: null,
  kind: 'reading',
  of,
  gauge: 'none',
  value: mm(text),
});
const joined = (want: string, log: readonly Entry[]) => {
  const job = jobWith(want);
  const made = plan(job, shop);
  const step = made.routes[0]?.setups.flatMap((s) => s.steps).find((s) => s.verb === 'join');
  return step && joinedAt(step, made.part, job, log, 1);
};
const both = (own: string, other: string) => [read('a', 's1.diameter', own), read('b', 'm', other)];

it('asks for both members, and says nothing of one alone', () => {
  expect(joined('shrink', [])).toMatchObject({ how: 'shrink', row: 's1', mate: 'm', hub: false });
  expect(joined('shrink', [read('a', 's1.diameter', '25.025')])?.interference).toBeUndefined();
  expect(joined('trial: slides', both('25', '25'))).toBeUndefined();
});

it('shrunk: how hot by both as they are', () => {
  const of = joined('shrink', both('25.025', '25.000'));
  expect(of?.interference?.value).toBeCloseTo(0.025, 9);
  const { alpha } = materialOf('mild-steel');
  expect(of?.heat?.value).toBeCloseTo(20 + (0.025 + practice.handsMargin) / (alpha * 1e-6 * 25), 0);
  expect(joined('shrink', both('25.4', '25.0'))?.trouble).toBe('tooHot');
  expect(joined('shrink', both('24.99', '25.0'))?.trouble).toBe('loose');
});

it('pressed: the push by Lame', () => {
  const of = joined('press', both('25.025', '25.000'));
  const { modulus } = materialOf('mild-steel');
  const pressure = (modulus * 1000 * 0.025 * (1 - 1 / 4)) / (2 * 25);
  const force = practice.pressFriction * pressure * Math.PI * 25 * 30;
  expect((of?.force ?? 0) / force).toBeGreaterThan(0.97);
  expect((of?.force ?? 0) / force).toBeLessThan(1.03);
});

it('glued: room for the compound, neither none nor too much', () => {
  expect(joined('adhesive', both('24.95', '25.0'))?.trouble).toBeUndefined();
  expect(joined('adhesive', both('24.995', '25.0'))?.trouble).toBe('noRoom');
  expect(joined('adhesive', both('24.7', '25.0'))?.trouble).toBe('loose');
  // 0.1 is the most that is said anywhere
  expect(joined('adhesive', both('24.88', '25.0'))?.trouble).toBe('loose');
});
