import type { Part } from '../drawing';
import { figure } from '../quantity';
import { comesBefore, factsOf, placed, preferredOf } from '../sequence';
import type { Setup } from '../settings';
import type { Route } from './route';

const minutesOf = (setup: Setup): readonly number[] => setup.steps.map((s) => s.figures['minutes']?.value ?? 0);
const risksOf = (setup: Setup): readonly number[] => setup.steps.map((s) => s.figures['risk']?.value ?? 0);

/** How often another tool is taken in a setup. */
function changesIn(setup: Setup): number {
  const tools = setup.steps.flatMap((s) => (s.tool === undefined ? [] : [s.tool]));
  return tools.filter((t, i) => t !== tools[i - 1]).length;
}

/** Pairs of a setup that stand against a preferred rule of order. */
function brokenIn(setup: Setup, part: Part): number {
  const facts = factsOf(setup, part);
  if (!setup.steps.some((s) => preferredOf.has(s.verb))) return 0;
  const steps = setup.steps.map((s) => placed(s, part));
  return steps.reduce((sum, early, i) => sum + steps.slice(i + 1).filter((late) => comesBefore(late, early, facts)?.preferred === true).length, 0);
}

/** What a way of making the part costs, from its steps as they stand. */
export function costOfSetups(setups: readonly Setup[], part: Part, pieces: number): Route['cost'] {
  const minutes = figure('time', 'totalMinutes', { minutes: setups.flatMap(minutesOf) });
  const risk = figure('cost', 'risk', { sizes: setups.flatMap(risksOf) }, { step: 0.1 });
  const changes = figure('count', 'toolChanges', { count: setups.reduce((sum, s) => sum + changesIn(s), 0) });
  const broken = figure('count', 'orderBroken', { count: setups.reduce((sum, s) => sum + brokenIn(s, part), 0) });
  return {
    minutes,
    all: figure('time', 'forPieces', { minutes: minutes.value, pieces }),
    risk,
    changes,
    total: figure('cost', 'totalCost', {
      minutes: minutes.value,
      risk: risk.value,
      changes: changes.value,
      broken: broken.value,
      weighs: setups.map((s) => s.weighs.value),
    }),
  };
}

/**
 * Minutes, handling and risk of a route brought to minutes, with the shop's weights.
 * @example costOf(plan({ ...blankJob('pin', 'mm'), drawing: { ...blankDrawing(), ...readLine('20 x 30', 'mm').value } }, midShop()).routes[0], readDrawing({ ...blankJob('pin', 'mm'), drawing: { ...blankDrawing(), ...readLine('20 x 30', 'mm').value } }.drawing)) > 0 // true
 */
export const costOf = (route: Pick<Route, 'setups'>, part: Part): number => costOfSetups(route.setups, part, 1).total.value;
