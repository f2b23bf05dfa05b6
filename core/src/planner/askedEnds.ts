import { letterOf } from '../drawing';
import type { Finding } from '../finding';
import { type Facts } from '../operations';
import { say } from '../quantity';
import { endOf, rowOf } from '../ref';
import type { Route } from './route';

/** Rows that were asked for at an end that does not reach them. */
export function checkAskedEnds({ chosen, part }: Facts, route: Route): readonly Finding[] {
  const madeAt = new Map(route.setups.flatMap((s) => s.steps.map((step) => [rowOf(step.id), s.end ?? undefined] as const)));
  return [...chosen.in].flatMap(([row, choice]): Finding[] => {
    const asked = endOf(choice.setup);
    const is = madeAt.get(row);
    if (is === undefined || is === asked || !part.features.some((f) => f.id === row)) return [];
    return [
      {
        code: 'in-not-possible',
        about: `${row}.diameter`,
        severity: 'caution',
        says: say`it was to be turned from end ${letterOf(asked)}, and is turned from end ${letterOf(is)}`,
        why: say`a larger row hides it from there, or nothing plain would be left to hold it by`,
        mends: [{ says: say`let the planner choose`, to: 'job', edits: [{ op: 'remove', at: `choices/#${choice.id}` }] }],
      },
    ];
  });
}
