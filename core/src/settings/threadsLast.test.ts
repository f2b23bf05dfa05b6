/* A person's word on the chain: no thread before the piece is turned round for the last time. Common practice: no jaw closes on a thread. */
import type { Choice } from '../document';
import { plan } from '../planner';
import { jobOf } from '../planner/demo.fixture';
import { endOf } from '../ref';
import { midShop } from '../shop';

const shop = midShop();
const last: Choice = { kind: 'method', id: 'turn', of: 'turn', method: 'before-threads' };
const cutting = new Set(['thread', 'die', 'tap']);
function threaded(line: string, ...choices: readonly Choice[]) {
  const made = plan(jobOf(line, 'mm', { choices: [...choices] }), shop);
  const setups = made.routes[0]?.setups ?? [];
  return {
    at: setups.flatMap((s, i) => (s.steps.some((step) => cutting.has(step.verb)) ? [i] : [])),
    turns: setups.flatMap((s, i) => (i > 0 && s.end !== setups[i - 1]?.end ? [i] : [])),
    told: made.findings.filter((f) => f.code === 'carrying-not-possible').length,
    end: endOf(setups.at(-1)?.id ?? 'right-1'),
  };
}

it.each(['M12 x 20; 20 h9 x 30; 25 x 10', '16 x 30; 22 x 12; M10 x 16'])('%s: its thread is cut after the last turning round', (line) => {
  const { at, turns, told } = threaded(line, last);
  expect(at.length).toBeGreaterThan(0);
  for (const cut of at) for (const turn of turns) expect(cut).toBeGreaterThanOrEqual(turn);
  expect(told).toBe(0);
});

it('left to the planner it is cut where it is cheapest, and threads at both ends cannot both be last: said, and planned all the same', () => {
  expect(threaded('M12 x 20; 20 h9 x 30; 25 x 10').told).toBe(0);
  const both = threaded('M12 x 20; 25 x 30; M10 x 16', last);
  expect(both.told).toBe(1);
  expect(both.at.length).toBeGreaterThan(0);
});
