import type { Setup } from '@obra/core/settings';

/** The move that leads to a setting, in the shop's words. */
export function moveTo(setups: readonly Setup[], setup: Setup): string {
  const before = setups[setups.indexOf(setup) - 1];
  const first = setup.steps.find((s) => s.verb !== 'away')?.verb;
  if (!before) return first === 'load' ? 'taken from the rack' : 'held';
  if (setup.pulled) return first === 'pull-out' ? 'pulled out' : 'steady in place of the centre';
  if (setup.carried === 'centres') return before.carried === 'centres' ? 'end for end' : 'on to its centres';
  if (setup.carried === 'plate') return before.end === setup.end ? 'bolted where it lies' : 'turned over';
  return before.end === setup.end ? 'held again' : 'turned round';
}
