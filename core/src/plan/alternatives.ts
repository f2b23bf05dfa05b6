import type { Choice, Job, Shop } from '../document';
import { figure, type Figure, say, type Sentence } from '../quantity';
import { chosenIn, type Route } from '../route';
import { holdingOf } from '../shop';
import { plan } from './planning';
import type { Plan } from './types';

/** Another way of making the part, whole, with what it costs beside the one in hand. */
export interface Alternative {
  readonly differs: Sentence;
  /** what is put into the job to take it; they replace choices of the same id */
  readonly choices: readonly Choice[];
  readonly route: Route;
  /** minutes of a piece more than the one in hand; negative is less */
  readonly more: Figure;
  readonly setups: number;
  /** stops and cautions of each, for what the two do not share */
  readonly gains: readonly Sentence[];
  readonly costs: readonly Sentence[];
}

/** Most ways that are laid beside the one in hand. */
const MOST = 3;

/** Whole routes that differ in how the piece is held, supported, severed or threaded, cheapest first; each made like any plan. */
export function alternatives(job: Job, shop: Shop, now: Plan): readonly Alternative[] {
  const [taken] = now.routes;
  if (!taken || job.issue) return [];
  return tries(job, shop, now, taken)
    .flatMap(({ differs, choices }): Alternative[] => {
      const ids = new Set(choices.map((c) => c.id));
      const made = plan({ ...job, choices: [...job.choices.filter((c) => !ids.has(c.id)), ...choices] }, shop);
      const [route] = made.routes;
      if (!route || same(route, taken)) return [];
      const told = (of: Plan) => new Map(of.findings.filter((f) => f.severity !== 'note').map((f) => [`${f.code}@${f.about}`, f.says]));
      const [before, after] = [told(now), told(made)];
      return [
        {
          differs,
          choices,
          route,
          more: figure('time', 'moreMinutes', { other: route.cost.total.value, now: taken.cost.total.value }),
          setups: route.setups.length,
          gains: [...before].filter(([key]) => !after.has(key)).map(([, says]) => says),
          costs: [...after].filter(([key]) => !before.has(key)).map(([, says]) => says),
        },
      ];
    })
    .toSorted((a, b) => a.costs.length - a.gains.length - (b.costs.length - b.gains.length) || a.more.value - b.more.value)
    .slice(0, MOST);
}

interface Try {
  readonly differs: Sentence;
  readonly choices: readonly Choice[];
}

function tries(job: Job, shop: Shop, now: Plan, taken: Route): readonly Try[] {
  const out: Try[] = [];
  const chosen = chosenIn(job);
  for (const setup of taken.setups) {
    // the best way of holding that is not this chuck, and the best of this chuck with another support
    const free = now.holdings.filter((h) => h.setup === setup.id && h.findings.every((f) => f.severity !== 'stop'));
    const supports = (h: { readonly support: readonly { readonly item: string }[] }) => h.support.map((s) => s.item).join('+');
    const other = free.find((h) => h.holding !== setup.holding);
    const carried = free.find((h) => h.holding === setup.holding && supports(h) !== supports(setup));
    for (const option of [other, carried])
      if (option) {
        const name = holdingOf(shop, option.holding)?.name ?? option.holding;
        const with_ = option.support.map((s) => ({ centre: 'centre', steady: 'steady', followRest: 'follow rest' })[s.kind]);
        out.push({
          differs: say`end ${setup.end === 'left' ? 'B' : 'A'} held in ${name}${with_.length > 0 ? ` with ${with_.join(' and ')}` : option.holding === setup.holding ? ' alone' : ''}`,
          choices: [
            { kind: 'hold', id: `hold-${setup.id}`, setup: setup.id, holding: option.holding, support: option.support.map(({ item }) => ({ item })) },
          ],
        });
      }
  }
  const verbs = new Set(taken.setups.flatMap((s) => s.steps.map((step) => step.verb)));
  if (verbs.has('part-off') || (verbs.has('saw-off') && chosen.method.get('left') !== undefined)) {
    const method = verbs.has('part-off') ? 'saw' : 'part';
    out.push({
      differs: method === 'saw' ? say`sawn off and faced` : say`parted off`,
      choices: [{ kind: 'method', id: 'method-left', of: 'left', method }],
    });
  }
  for (const step of taken.setups.flatMap((s) => s.steps)) {
    if (step.verb !== 'thread' && step.verb !== 'die') continue;
    const row = step.does[0] ?? '';
    const method = step.verb === 'thread' ? 'die' : 'single-point';
    out.push({
      differs: method === 'die' ? say`thread by die` : say`thread by single point`,
      choices: [{ kind: 'method', id: `method-${row}`, of: row, method }],
    });
  }
  return out;
}

/** The same steps held the same way. */
const same = (a: Route, b: Route): boolean =>
  a.setups.length === b.setups.length &&
  a.setups.every((s, i) => {
    const o = b.setups[i];
    return (
      s.holding === o?.holding &&
      s.support.map((x) => x.item).join() === o.support.map((x) => x.item).join() &&
      s.steps.map((x) => `${x.id} ${x.tool ?? ''}`).join() === o.steps.map((x) => `${x.id} ${x.tool ?? ''}`).join()
    );
  });
