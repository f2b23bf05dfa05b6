import { chosenIn, type Job, type Shop } from '../document';
import { letterOf, readDrawing } from '../drawing';
import type { Finding } from '../finding';
import { asBar, chooseBar, startedPiece } from '../holding';
import { type Facts, type ToGet, wayChosen } from '../operations';
import { proof } from '../proof';
import { say, type Sentence } from '../quantity';
import { type Layout, layoutsOf } from '../settings';
import { holdingOf, machineOf, plannable, problemsOf, type ShopItem, type ShopList } from '../shop';
import { materialOf } from '../standards';
import { regionOf, sameRegion } from '../stock';
import { barCuts } from './barCuts';
import {
  barChecks,
  lengthChecks,
  nothingInShop,
  ordersAsked,
  orphans,
  shopChecks,
  speedChecks,
  unknownMaterial,
  withMends,
  wornTips,
  wouldHold,
} from './checks';
import { conflictFinding, conflictingChoices } from './conflict';
import { costOfSetups } from './cost';
import { checkAskedEnds } from './askedEnds';
import { changedSinceIssue } from './issue';
import { withLengths } from './ledger';
import type { Plan } from './plan';
import type { Route } from './route';
import { runoutsOf } from '../settings';
import { scheduleOf, totalsOf } from './schedule';
import { type CheapestWay, search } from './search';
import { told } from './told';

/**
 * Plans a job better and better: yields at `drawing`, `holding` and `route`, and the same plan again while the search rests. The same question gives the same answer.
 * A job given out to the Bench is planned from what was given out; later edits are told in a finding.
 * @example planning({ ...blankJob('pin', 'mm'), drawing: { ...blankDrawing(), ...readLine('20 x 30', 'mm').value } }, midShop()).next().value.reached // 'drawing'
 */
export function* planning(job: Job, shop: Shop): Generator<Plan, Plan> {
  const last = yield* plansOf(job, shop);
  if (job.issue || job.choices.length === 0 || last.findings.every((f) => f.severity !== 'stop')) return last;
  yield last;
  const conflict = conflictingChoices(job, shop, (j, s) => drained(plansOf(j, s)));
  return conflict.length === 0 ? last : { ...last, findings: [...last.findings, ...conflictFinding(conflict, shop)] };
}

/** Plans with one finding for one cause; a plan that comes again is the same again. */
function* plansOf(job: Job, shop: Shop): Generator<Plan, Plan> {
  const steps = plansAsMade(job, shop);
  let [last, said]: [Plan | undefined, Plan | undefined] = [undefined, undefined];
  for (;;) {
    const { done, value } = steps.next();
    if (value !== last || !said) [last, said] = [value, { ...value, findings: told(value.findings, value.part) }];
    if (done === true) return said;
    yield said;
  }
}

function* plansAsMade(job: Job, shop: Shop): Generator<Plan, Plan> {
  const issue = job.issue;
  const asIssued = issue ? issuedOf(job, issue) : job;
  // a tool without a size is told on the Shop page; nothing is planned with it
  const kit: Shop = plannable(issue ? issue.kit : shop);
  const findings: Finding[] = issue ? [...changedSinceIssue(job, shop)] : [];
  const part = readDrawing(asIssued.drawing);
  findings.push(...part.findings, ...shopChecks(part, kit), ...unknownMaterial(asIssued));
  const empty: Plan = { reached: 'drawing', part, routes: [], holdings: [], gap: 1, toGet: [], findings };
  yield empty;
  const machine = machineOf(kit, asIssued.machine);
  if (!machine) findings.push(nothingInShop('no-machine', 'machine', say`the shop has no lathe`, shop));
  if (part.findings.some((f) => f.severity === 'stop') || !machine) return { ...empty, findings };

  const started = startedPiece(asIssued, part);
  const {
    bar,
    toOrder,
    findings: ofBar,
  } = started ? { bar: asBar(started, part.material), toOrder: false, findings: started.findings } : chooseBar(asIssued, part, kit);
  findings.push(...ofBar, ...inUse(machine, 'machines', 'machine'));
  if (!started) findings.push(...inUse(bar, 'bars', 'bar'));
  if (findings.some((f) => f.about === 'machine' && f.severity === 'stop')) return { ...empty, findings };
  if (started?.findings.some((f) => f.severity === 'stop')) return { ...empty, findings };
  const chosen = chosenIn(asIssued);
  const facts: Facts = {
    job: asIssued,
    shop: kit,
    part,
    material: materialOf(asIssued.drawing.material),
    machine,
    bar,
    finished: sameRegion(regionOf(part.contour)),
    chosen,
    ...(started && { started }),
  };
  const { layouts, findings: ofLayouts } = layoutsOf(facts);
  findings.push(...ofLayouts);
  const holdings = layouts.flatMap((l) => (l.first === layouts[0]?.first && l.name === layouts[0].name ? l.stages.flatMap((s) => s.options) : []));
  if (!layouts[0]?.stages.every((s) => s.options.length > 0)) {
    findings.push(nothingInShop('no-holding', 'holding', say`the shop has no chuck or collet`, shop));
    return { ...empty, reached: 'holding', findings };
  }
  const looking: Plan = { ...empty, reached: 'holding', holdings, findings: [...findings] };
  const found = yield* whileSearching(search(facts, layouts), looking);
  if (!found) return { ...empty, reached: 'holding', holdings, findings };
  const { layout, setups } = found;
  const sheet = layout.sheetOf(setups[0]?.held.holding ?? '');
  for (const held of new Set(setups.map((m) => m.held.holding))) {
    const item = holdingOf(kit, held);
    if (item) findings.push(...inUse(item, 'holdings', 'holding'));
  }
  const wanted: ToGet[] = [];
  for (const made of setups) {
    const stage = layout.stages.find((s) => s.id === made.held.setup);
    const options = [...(stage?.options ?? []), ...(stage?.also ?? [])];
    if (made.opens) {
      const would = wouldHold(facts, made.setup, options);
      findings.push(...withMends(made.held, options), ...would.findings);
      wanted.push(...would.gets);
    }
    findings.push(...made.says);
  }
  findings.push(...barChecks(bar, machine, sheet));
  const { nesting, findings: ofBars } = started ? { nesting: { cuts: [] }, findings: [] } : barCuts(asIssued, bar, kit, sheet);
  // what was given out names its own bar; the rack is not looked at again
  if (!issue) findings.push(...ofBars);
  const from = nesting.cuts.map((c) => ({ id: c.bar.id, pieces: c.pieces, left: c.left, goesBack: c.goesBack }));
  const route = routeOf(facts, found, { id: bar.id, cut: sheet.cut, from });
  findings.push(...lengthChecks(route, part), ...speedChecks(route, machine, kit));
  findings.push(...wornTips(asIssued, route, kit));
  findings.push(...orphans(asIssued, route, kit), ...checkAskedEnds(facts, route), ...ordersAsked(asIssued, route, part));
  const toGet: readonly ToGet[] = [
    ...(toOrder
      ? [{ what: say`${bar.name}, ${sheet.cut} for each piece`, how: 'order' as const, holdsUp: [setups[0]?.setup.steps[0]?.id ?? 'load'] }]
      : []),
    ...together([...wanted, ...setups.flatMap((m) => m.gets)]),
  ];
  const gap = found.cost > 0 ? Math.max(0, (found.cost - found.bound) / found.cost) : 0;
  const taken = layout.stages.flatMap((s) => [...s.options, ...(s.also ?? [])]);
  const made: Plan = { ...empty, reached: 'route', routes: [route], holdings: taken, gap, toGet, findings: [...findings] };
  yield made;
  return { ...made, reached: 'proof', findings: [...findings, ...proof(route, kit, part, machine)] };
}

/** Goes on with a search and stands at the same plan in between. */
function* whileSearching<T>(search: Generator<undefined, T>, plan: Plan): Generator<Plan, T> {
  for (;;) {
    const step = search.next();
    if (step.done === true) return step.value;
    yield plan;
  }
}

/** One line for each thing, whatever it holds up. */
function together(list: readonly ToGet[]): readonly ToGet[] {
  const byName = new Map<string, ToGet>();
  for (const item of list) {
    const key = JSON.stringify(item.what);
    const before = byName.get(key);
    byName.set(key, before ? { ...before, holdsUp: [...new Set([...before.holdsUp, ...item.holdsUp])] } : item);
  }
  return [...byName.values()];
}

/** What is wrong with an item of the shop that this plan takes, told where it is taken. */
const inUse = (item: ShopItem, list: ShopList, about: string): readonly Finding[] =>
  problemsOf(item, list)
    .filter((f) => f.severity !== 'note')
    .map((f, i) => ({ ...f, about: i === 0 ? about : `${about}.${String(i + 1)}` }));

/** The job as it was given out: later edits of the drawing do not move the Bench. */
function issuedOf(job: Job, issue: NonNullable<Job['issue']>): Job {
  const { startsAs, ...rest } = job;
  const was = issue.drawing ? issue.startsAs : startsAs;
  return { ...rest, drawing: issue.drawing ?? job.drawing, choices: [...issue.choices], ...(was && { startsAs: was }) };
}

/**
 * Drains `planning`. Never throws for anything the document schemas let through.
 * @example plan({ ...blankJob('pin', 'mm'), drawing: { ...blankDrawing(), ...readLine('20 x 30', 'mm').value } }, midShop()).reached // 'proof'
 */
export const plan = (job: Job, shop: Shop): Plan => drained(planning(job, shop));

/** A plan as far as its route, not yet proved. */
export function routed(job: Job, shop: Shop): Plan {
  let last: Plan | undefined;
  for (const made of plansOf(job, shop)) {
    last = made;
    if (made.reached === 'route') return made;
  }
  return last ?? plan(job, shop);
}

function drained(steps: Generator<Plan, Plan>): Plan {
  for (;;) {
    const { done, value } = steps.next();
    if (done === true) return value;
  }
}

function routeOf(facts: Facts, { layout, setups: made }: CheapestWay, bar: Route['bar']): Route {
  const { job, part, shop, machine } = facts;
  const setups = withLengths(
    made.map((m) => m.setup),
    part,
    machine,
    shop,
  );
  const schedule = scheduleOf(job, setups, wayChosen(facts, 'batch') === 'piece' ? 'piece' : 'operation');
  return {
    bar,
    runouts: runoutsOf(part, setups, shop, facts.started !== undefined),
    setups,
    cost: costOfSetups(setups, part, job.pieces),
    first: layout.first,
    layout: layout.name,
    differs: differsIn(layout),
    time: totalsOf(schedule),
    schedule,
  };
}

const differsIn = ({ first, name }: Layout): Sentence =>
  name === 'centres'
    ? say`faced and centred at both ends, then turned between centres, end ${letterOf(first)} first`
    : name === 'plate'
      ? say`clamped on the faceplate, face ${letterOf(first)} first, then held through its bore`
      : say`end ${letterOf(first)} first, then turned round`;
