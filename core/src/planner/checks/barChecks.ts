import type { Bar, Machine } from '../../document';
import type { Finding } from '../../finding';
import { exceeds, PLACE, say } from '../../quantity';
import { sweptBy } from '../../holding';
import type { BarSheet } from '../../settings';
import { mmOf } from '../../shop';

/** A bar that does not go through the spindle, or is shorter than what is wanted of it. */
export function barChecks(bar: Bar, machine: Machine, sheet: BarSheet): readonly Finding[] {
  const findings: Finding[] = [];
  const bore = mmOf(machine.through);
  if (sheet.behind && bore > 0 && exceeds(sweptBy(bar), bore, PLACE))
    findings.push({
      code: 'bar-through',
      about: 'bar',
      severity: 'stop',
      says: say`${bar.name} does not go through the spindle, which passes ${{ is: 'diameter', value: bore }}`,
      why: say`left whole it has nowhere to go`,
      mends: [
        {
          says: say`saw a blank off`,
          to: 'job',
          edits: [{ op: 'put', at: 'choices/#way-bar', value: { kind: 'way', id: 'way-bar', way: 'bar', value: 'saw' } }],
        },
      ],
    });
  if (exceeds(sheet.cut.value, mmOf(bar.length), PLACE))
    findings.push({
      code: 'bar-too-short',
      about: 'bar',
      severity: 'stop',
      says: say`${bar.name} is ${{ is: 'length', value: mmOf(bar.length) }} long; ${{ is: 'length', value: sheet.cut.value }} are wanted`,
      why: say`a blank cut short cannot be made long`,
      mends: [],
    });
  return findings;
}
