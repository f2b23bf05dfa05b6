import type { RuleName } from '../finding';
import { type Part } from '../drawing';
import { type Step, verbs } from '../operations';
import { say, type Sentence } from '../quantity';
import type { Support } from '../holding';
import type { End } from '../ref';
import { comesBefore, type OrderRule, type SetupFacts, goesOnTheBar } from './rules';

/** A setting as far as its order goes. */
export interface Ordering {
  readonly end: End | null;
  readonly support: readonly Support[];
  readonly steps: readonly Step[];
}

/** A route as far as the order of its steps goes. */
interface Orderings {
  readonly setups: readonly Ordering[];
}

/** What an order rule looks at in a setup, read off the setup as it stands. */
export function factsOf(setup: Ordering, part: Part): SetupFacts {
  const rows = part.features.filter((f) => f.side === 'outside');
  const last = setup.end === 'left' ? rows[0] : rows.at(-1);
  const back = setup.steps.some((s) => s.verb === 'part-off') && last ? `${last.id}.${setup.end === 'left' ? 'near' : 'far'}` : undefined;
  return {
    part,
    centre: setup.support.some((s) => s.kind === 'centre'),
    steady: setup.support.some((s) => s.kind === 'steady'),
    ...(back !== undefined && { backEdge: back }),
    ...(goesOnTheBar(setup.steps) && { onTheBar: true as const }),
  };
}

export interface Bound {
  readonly step: Step;
  readonly rule: OrderRule;
}

/** The nearest step before a step that has to be there, and the nearest after it: why it does not stand earlier or later. */
export function boundsOfStep(route: Orderings, part: Part, id: string): { readonly after?: Bound; readonly before?: Bound } {
  const setup = route.setups.find((s) => s.steps.some((step) => step.id === id));
  const at = setup?.steps.findIndex((s) => s.id === id) ?? -1;
  const own = setup?.steps[at];
  if (!setup || !own) return {};
  const facts = factsOf(setup, part);
  const bound = (steps: readonly Step[], first: boolean): Bound | undefined => {
    for (const step of steps) {
      const rule = first ? comesBefore(step, own, facts) : comesBefore(own, step, facts);
      if (rule && !rule.preferred) return { step, rule };
    }
    return undefined;
  };
  const [after, before] = [bound(setup.steps.slice(0, at).toReversed(), true), bound(setup.steps.slice(at + 1), false)];
  return { ...(after && { after }), ...(before && { before }) };
}

export type Moved =
  | { readonly ok: true; /** the one before the other */ readonly order: readonly [string, string] }
  | { readonly ok: false; readonly says: Sentence; readonly rule?: RuleName };

/**
 * May a step go up or down its setup past its neighbours; if not, the rule of the first that it may not pass.
 * @param by how many lines, down above zero
 */
export function mayMove(route: Orderings, part: Part, id: string, by: number): Moved {
  const setup = route.setups.find((s) => s.steps.some((step) => step.id === id));
  const at = setup?.steps.findIndex((s) => s.id === id) ?? -1;
  const own = setup?.steps[at];
  if (!setup || !own) return { ok: false, says: say`this step is not there now` };
  const passed = by < 0 ? setup.steps.slice(Math.max(0, at + by), at).toReversed() : setup.steps.slice(at + 1, at + by + 1);
  const last = passed.at(-1);
  if (!last) return { ok: false, says: say`it is the ${by < 0 ? 'first' : 'last'} of its setup; what is done in another holding is another step` };
  const facts = factsOf(setup, part);
  for (const other of passed) {
    const [first, then] = by < 0 ? [other, own] : [own, other];
    const rule = comesBefore(first, then, facts);
    if (rule && !rule.preferred)
      return { ok: false, rule: rule.rule, says: say`${verbs[first.verb]} stays before ${verbs[then.verb].toLowerCase()}: ${rule.says}` };
  }
  return { ok: true, order: by < 0 ? [own.id, last.id] : [last.id, own.id] };
}
