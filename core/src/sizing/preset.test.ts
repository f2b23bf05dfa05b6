import type { Entry } from '../document';
import { midShop, readoutShop } from '../shop';
import { adviseWith } from './advise';
import { presetOf } from './preset';

const wanted = { nominal: 24, max: 24, min: 23.979, from: 'class' as const };
const read: Entry = {
  id: 'r',
  at: '2026-11-02T08:00:00Z',
  by: 'me',
  piece: 1,
  step: null,
  kind: 'reading',
  of: 's1.diameter',
  value: { text: '24.62', units: 'mm' },
  gauge: 'mic',
};
const at = (machine: ReturnType<typeof midShop>['machines'][number] | undefined) =>
  adviseWith(wanted, [read], { machine, gauge: undefined, material: 'mild-steel', nose: 0.4 });

it('the readout is set to what was measured, and the cut is where it shows that less what comes off', () => {
  const [machine] = readoutShop().machines;
  const advice = at(machine);
  const takes = machine?.dials.cross?.reads === 'diameter' ? 1 : 2;
  const preset = presetOf(advice, machine, 'cross', takes);
  expect(preset?.set.value).toBeCloseTo(24.62, 6);
  expect(preset?.cut.value).toBeCloseTo(24.62 - takes * (advice.dial?.value ?? NaN), 6);
});

it('a lathe without one has no preset, nor has a size that is in', () => {
  const [machine] = midShop().machines;
  expect(presetOf(at(machine), machine, 'cross', 2)).toBeUndefined();
  expect(presetOf({}, readoutShop().machines[0], 'cross', 1)).toBeUndefined();
});
