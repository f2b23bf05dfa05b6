/* What a check counts when ways are weighed: only what another way may be free of, and a stop more than a caution. */
import type { Finding } from '../finding';
import { plan } from '../plan';
import { planned } from '../plan/demo.fixture';
import { say } from '../quantity';
import { riskOf } from './risks.table';

const finding = (code: string, severity: Finding['severity']): Finding => ({ code, severity, about: 's1', says: say`x`, why: say`y`, mends: [] });

it('a check of the drawing or of the gauges is told and chooses nothing', () => {
  expect(riskOf([finding('gauge-too-coarse', 'caution'), finding('something-new', 'stop'), finding('strings', 'note')])).toEqual([]);
});

it('a caution of the way counts minutes, a stop as much as ten of them', () => {
  const [caution = 0] = riskOf([finding('grip-slips', 'caution')]);
  const [stop = 0] = riskOf([finding('grip-slips', 'stop')]);
  expect(caution).toBeGreaterThan(0);
  // no saving of a piece's usual minutes buys a way that cannot be gone
  expect(stop).toBeGreaterThanOrEqual(10 * caution);
});

it.each(planned)('%s: what its setups weigh is made of scores and of checks that the plan tells', (_, job, shop) => {
  const { routes, findings } = plan(job, shop);
  const told = riskOf(findings).length;
  const counted = (routes[0]?.setups ?? []).flatMap((s) => s.weighs.of['risks'] ?? []);
  expect(counted.length).toBeLessThanOrEqual(told);
});
