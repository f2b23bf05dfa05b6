import { type Choice, chosenIn, type Job, type Shop } from '../document';
import { letterOf, otherEnd } from '../drawing';
import { type Finding, findingKey } from '../finding';
import { figure, type Figure, say, type Sentence, writeSentence } from '../quantity';
import { STARTED } from '../holding';
import { holdingOf } from '../shop';
import { buysOf } from './buys';
import { partedChoice, pullChoice } from './choicesOf';
import { chuckingsOf } from '../settings';
import type { Plan } from './plan';
import { plan, routed } from './planning';
import type { Route } from './route';

/** Another way of making the part, whole, with what it costs beside the one in hand. */
export interface Alternative {
  /** what it differs in first of all */
  readonly kind: 'first' | 'carrying' | 'pull' | 'parted' | 'holding' | 'severing' | 'thread';
  readonly differs: Sentence;
  /** what is put into the job to take it; they replace choices of the same id */
  readonly choices: readonly Choice[];
  readonly route: Route;
  /** minutes of a piece more than the one in hand; negative is less */
  readonly more: Figure;
  readonly setups: number;
  /** what it buys, the most telling first */
  readonly buys: readonly Sentence[];
  /** stops and cautions of each, for what the two do not share */
  readonly gains: readonly Sentence[];
  readonly costs: readonly Sentence[];
  /** what each size risks, in minutes, where the two differ in it */
  readonly risks: readonly { readonly of: string; readonly here: Figure; readonly now: Figure }[];
}

/** Most ways that are laid beside the one in hand. */
const MOST_ALTERNATIVES = 3;

/**
 * Whole routes that differ in the first end, how the piece is carried and held, supported, severed or threaded; cheapest first, each made like any plan but not yet
 * proved for contacts: that is done when one is opened.
 * @example alternatives({ ...blankJob('pin', 'mm'), drawing: { ...blankDrawing(), ...readLine('20 x 30', 'mm').value } }, midShop(), plan({ ...blankJob('pin', 'mm'), drawing: { ...blankDrawing(), ...readLine('20 x 30', 'mm').value } }, midShop())).length > 0 // true
 */
export function alternatives(job: Job, shop: Shop, now: Plan): readonly Alternative[] {
  const [taken] = now.routes;
  if (!taken || job.issue) return [];
  const before = toldIn(now.findings.filter((f) => !proved.has(f.code)));
  const ranked = tries(job, shop, now, taken)
    .flatMap(({ kind, differs, choices }): Alternative[] => {
      const made = routed(withChoices(job, choices), shop);
      const [route] = made.routes;
      if (!route || same(route, taken)) return [];
      const after = toldIn(made.findings);
      return [
        {
          kind,
          differs,
          choices,
          route,
          more: figure('time', 'moreMinutes', { other: route.cost.total.value, now: taken.cost.total.value }),
          setups: route.setups.length,
          buys: buysOf(made, now),
          gains: unshared(before, after),
          costs: unshared(after, before),
          risks: riskier(route, taken),
        },
      ];
    })
    .toSorted((a, b) => a.costs.length - a.gains.length - (b.costs.length - b.gains.length) || a.more.value - b.more.value);
  // the best of each kind before a second of any, so that they differ in kind
  const firsts = ranked.filter((a, i) => ranked.findIndex((b) => b.kind === a.kind) === i);
  const chosen = new Set([...firsts, ...ranked.filter((a) => !firsts.includes(a))].slice(0, MOST_ALTERNATIVES));
  return ranked.filter((a) => chosen.has(a));
}

/** What the proof of another way finds, once it is opened: contacts, metal left, and so on. */
export function provedAlternative(job: Job, shop: Shop, choices: readonly Choice[]): readonly Finding[] {
  return plan(withChoices(job, choices), shop).findings.filter((f) => proved.has(f.code));
}

/** Codes that the proof alone finds. */
const proved = new Set(
  [
    'meets-jaws meets-chuck meets-centre meets-tailstock meets-steady meets-part meets-bar near-jaws',
    'rapid-through-metal cuts-air bar-enters drills-into-seat ring-left metal-left gouged',
  ].flatMap((line) => line.split(' ')),
);

/** A job with choices taken over those of the same id, or about the same thing. */
function withChoices(job: Job, choices: readonly Choice[]): Job {
  const ids = new Set(choices.map((c) => c.id));
  return { ...job, choices: [...job.choices.filter((c) => !ids.has(c.id)), ...choices] };
}

const toldIn = (findings: readonly Finding[]) => new Map(findings.filter((f) => f.severity !== 'note').map((f) => [findingKey(f), f.says]));

/** What is told here and not there: neither of the same thing, nor in the same words of another. */
function unshared(here: ReadonlyMap<string, Sentence>, there: ReadonlyMap<string, Sentence>): readonly Sentence[] {
  const words = new Set([...there.values()].map((says) => writeSentence(says, 'mm')));
  return [...here].filter(([key, says]) => !there.has(key) && !words.has(writeSentence(says, 'mm'))).map(([, says]) => says);
}

function riskier(route: Route, now: Route): Alternative['risks'] {
  const of = (r: Route) =>
    new Map(
      r.setups.flatMap((s) => s.steps.flatMap((step) => (step.figures['risk'] ? [[step.does[0] ?? step.id, step.figures['risk']] as const] : []))),
    );
  const [here, before] = [of(route), of(now)];
  return [...here].flatMap(([ref, risk]) => {
    const was = before.get(ref);
    return was && Math.abs(was.value - risk.value) >= 0.05 ? [{ of: ref, here: risk, now: was }] : [];
  });
}

interface Try {
  readonly kind: Alternative['kind'];
  readonly differs: Sentence;
  readonly choices: readonly Choice[];
}

/** The choices that keep a route's first end and way of carrying, so that one of its setups can be chosen in. */
export const shapeOf = (route: Pick<Route, 'first' | 'layout'>): readonly Choice[] => [
  { kind: 'method', id: 'method-first', of: 'first', method: route.first },
  { kind: 'method', id: 'method-carrying', of: 'carrying', method: route.layout },
];

/** Choices of holdings belong to the setups of one route: with another they are let go by being chosen anew. */
function tries(job: Job, shop: Shop, now: Plan, taken: Route): readonly Try[] {
  const out: Try[] = [];
  const chosen = chosenIn(job);
  if (chosen.hold.size === 0) {
    const other = otherEnd(taken.first);
    out.push({ kind: 'first', differs: say`end ${letterOf(other)} first`, choices: shapeOf({ first: other, layout: taken.layout }) });
    for (const layout of ['chuck', 'centres', 'plate'] as const)
      if (layout !== taken.layout)
        out.push({
          kind: 'carrying',
          differs: { chuck: say`in chucks`, centres: say`between centres`, plate: say`on the faceplate` }[layout],
          choices: shapeOf({ first: taken.first, layout }),
        });
  }
  for (const setup of chuckingsOf(taken.setups)) {
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
          kind: 'holding',
          differs: say`end ${setup.end === 'left' ? 'B' : 'A'} held in ${name}${with_.length > 0 ? ` with ${with_.join(' and ')}` : option.holding === setup.holding ? ' alone' : ''}`,
          choices: [
            ...shapeOf(taken),
            { kind: 'hold', id: `hold-${setup.id}`, setup: setup.id, holding: option.holding, support: option.support.map(({ item }) => ({ item })) },
          ],
        });
      }
  }
  const ofBar = chuckingsOf(taken.setups)[0];
  if (taken.layout === 'chuck' && ofBar && taken.bar.id !== STARTED) {
    const pulled = ofBar.settings.length > 1;
    out.push({
      kind: 'pull',
      differs: pulled ? say`not pulled out: it stands out all the while` : say`turned short, then pulled out`,
      choices: [pullChoice(!pulled)],
    });
    const stays = taken.setups.length === ofBar.settings.length;
    out.push({
      kind: 'parted',
      differs: stays ? say`turned round, its parted face faced` : say`parted to its length, the face left as it is`,
      choices: [partedChoice(!stays)],
    });
  }
  const verbs = new Set(taken.setups.flatMap((s) => s.steps.map((step) => step.verb)));
  const severed = otherEnd(taken.first);
  if (verbs.has('part-off') || (verbs.has('saw-off') && chosen.method.get(severed) !== undefined)) {
    const method = verbs.has('part-off') ? 'saw' : 'part';
    out.push({
      kind: 'severing',
      differs: method === 'saw' ? say`sawn off and faced` : say`parted off`,
      choices: [{ kind: 'method', id: `method-${severed}`, of: severed, method }],
    });
  }
  for (const step of taken.setups.flatMap((s) => s.steps)) {
    if (step.verb !== 'thread' && step.verb !== 'die') continue;
    const row = step.does[0] ?? '';
    if (now.part.features.some((f) => f.id === row && f.side !== 'outside')) continue;
    const method = step.verb === 'thread' ? 'die' : 'single-point';
    out.push({
      kind: 'thread',
      differs: method === 'die' ? say`thread by die` : say`thread by single point`,
      choices: [{ kind: 'method', id: `method-${row}`, of: row, method }],
    });
  }
  return out;
}

/** The same steps held the same way. */
const same = (a: Route, b: Route): boolean =>
  a.first === b.first &&
  a.setups.length === b.setups.length &&
  a.setups.every((s, i) => {
    const o = b.setups[i];
    return (
      s.holding === o?.holding &&
      s.support.map((x) => x.item).join() === o.support.map((x) => x.item).join() &&
      s.steps.map((x) => `${x.id} ${x.tool ?? ''}`).join() === o.steps.map((x) => `${x.id} ${x.tool ?? ''}`).join()
    );
  });
