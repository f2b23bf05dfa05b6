import type { Choice, Holding, Job, Shop } from '../document';
import type { HoldingChoice } from '../holding';
import { figure, type Figure } from '../quantity';
import { chuckingsOf } from '../settings';
import { couldBeMade, holdingOf, mmOf } from '../shop';
import { shapeOf } from './alternatives';
import type { Plan } from './plan';
import { routed } from './planning';
import type { Route } from './route';

/** What the whole route comes to where one chucking is held in this way. */
export interface HeldSo {
  readonly holding: string;
  readonly name: string;
  /** it is not in the shop, and would be made for this */
  readonly made?: Holding;
  readonly support: readonly string[];
  /** it is the way that is taken */
  readonly taken: boolean;
  /** how true it runs, TIR */
  readonly runout: Figure;
  /** of a piece, and beside the way that is taken; undefined where it cannot hold it */
  readonly minutes?: Figure;
  readonly more?: Figure;
  readonly setups?: number;
  /** what it makes of the relations of the drawing */
  readonly runouts: Route['runouts'];
}

/** Most ways that are worked out whole. */
const MOST_WAYS = 16;

const supportOf = (of: Pick<HoldingChoice, 'support'>): readonly string[] => of.support.map((s) => s.item);
const like = (a: readonly string[], b: readonly string[]): boolean => a.length === b.length && a.every((x) => b.includes(x));

/**
 * Every way of holding a chucking, each with the whole route that follows from it; what a check forbids is among them without minutes. Best first, as they were weighed.
 * @param chucking its first setting: 'right-1'
 * @example heldEach({ ...blankJob('pin', 'mm'), drawing: { ...blankDrawing(), ...readLine('20 x 30', 'mm').value } }, midShop(), plan({ ...blankJob('pin', 'mm'), drawing: { ...blankDrawing(), ...readLine('20 x 30', 'mm').value } }, midShop()), 'right-1').some((way) => way.taken) // true
 */
export function heldEach(job: Job, shop: Shop, now: Plan, chucking: string): readonly HeldSo[] {
  const [route] = now.routes;
  const held = route && chuckingsOf(route.setups).find((c) => c.id === chucking);
  if (!route || !held) return [];
  const options = now.holdings.filter((h) => h.setup === chucking);
  const free = new Set(options.filter((o) => o.findings.every((f) => f.severity !== 'stop')).slice(0, MOST_WAYS));
  const here = options.flatMap((option): HeldSo[] => {
    const support = supportOf(option);
    const taken = option.holding === held.holding && like(support, supportOf(held));
    const base = {
      holding: option.holding,
      name: holdingOf(shop, option.holding)?.name ?? option.holding,
      support,
      taken,
      runout: figure('length', 'runoutOfHolding', { tir: mmOf(holdingOf(shop, option.holding)?.trueWithin) }, { step: 0.001 }),
    };
    if (!free.has(option)) return support.length > 0 ? [] : [{ ...base, runouts: [] }];
    const made = taken ? route : routed(withHold(job, route, option), shop).routes[0];
    if (!made) return [{ ...base, runouts: [] }];
    return [
      {
        ...base,
        minutes: made.cost.minutes,
        more: figure('time', 'moreMinutes', { other: made.cost.minutes.value, now: route.cost.minutes.value }),
        setups: made.setups.length,
        runouts: made.runouts,
      },
    ];
  });
  return [...here, ...withMade(job, shop, route, chucking)];
}

/** What could be made to hold it: the whole route with that, its making counted. */
function withMade(job: Job, shop: Shop, route: Route, chucking: string): readonly HeldSo[] {
  return couldBeMade(shop).flatMap((made): HeldSo[] => {
    const way = routed(withHold(job, route, { setup: chucking, holding: made.id, support: [] }), { ...shop, holdings: [...shop.holdings, made] });
    const [whole] = way.routes;
    const option = way.holdings.find((h) => h.setup === chucking && h.holding === made.id && h.support.length === 0);
    const held = whole && chuckingsOf(whole.setups).find((c) => c.id === chucking);
    if (!whole || held?.holding !== made.id || !option || option.findings.some((f) => f.severity === 'stop')) return [];
    return [
      {
        holding: made.id,
        name: made.name,
        made,
        support: [],
        taken: false,
        runout: figure('length', 'runoutOfHolding', { tir: mmOf(made.trueWithin) }, { step: 0.001 }),
        minutes: whole.cost.minutes,
        more: figure('time', 'moreMinutes', { other: whole.cost.minutes.value, now: route.cost.minutes.value }),
        setups: whole.setups.length,
        runouts: whole.runouts,
      },
    ];
  });
}

/** The job with one chucking held in this way, its route otherwise of the same shape. */
function withHold(
  job: Job,
  route: Route,
  option: Pick<HoldingChoice, 'setup' | 'holding'> & { readonly support: readonly { readonly item: string }[] },
): Job {
  const own: readonly Choice[] = [
    ...shapeOf(route),
    { kind: 'hold', id: `hold-${option.setup}`, setup: option.setup, holding: option.holding, support: option.support.map(({ item }) => ({ item })) },
  ];
  const ids = new Set(own.map((c) => c.id));
  const before = job.choices.filter((c) => !ids.has(c.id) && !(c.kind === 'hold' && c.setup === option.setup));
  return { ...job, choices: [...before, ...own] };
}
