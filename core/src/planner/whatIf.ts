import type { Job, Shop } from '../document';
import { figure, type Figure } from '../quantity';
import { routed } from './planning';

/** What the whole route comes to, for a hand that still moves something. */
export interface WhatIf {
  /** of a piece */
  readonly minutes: Figure;
  /** beside the route as it stands; absent where that is nothing to a person */
  readonly more?: Figure;
  /** of the relation that is kept least surely, TIR */
  readonly runout?: Figure;
}

/** Less than this is no difference while something is moved, minutes. @source judgement */
const FELT = 0.05;

/** A job with what is being moved as it would be let go; undefined where that gives no route. @param now minutes of a piece as the route stands */
export function whatIf(job: Job, shop: Shop, now: number): WhatIf | undefined {
  const [route] = routed(job, shop).routes;
  if (!route) return undefined;
  const more = figure('time', 'moreMinutes', { other: route.cost.minutes.value, now });
  const [least] = route.runouts.toSorted((a, b) => a.chance.value - b.chance.value);
  return { minutes: route.cost.minutes, ...(Math.abs(more.value) >= FELT && { more }), ...(least && { runout: least.expected }) };
}
