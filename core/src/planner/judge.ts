import type { Job, Machine, Shop } from '../document';
import { longOf, type Part } from '../drawing';
import type { Finding, FindingCode } from '../finding';
import { type Step, verbs } from '../operations';
import { diameter, exceeds, fallsShort, length, PLACE, ROUNDING, say, type Sentence, spindleSpeed } from '../quantity';
import { readStep, thingOf } from '../ref';
import type { Setup } from '../settings';
import { grips, holdingOf, isChuck, machineOf, mmOf, speedsOf } from '../shop';
import { setOver } from '../standards';
import { outsideOf } from '../stock';
import { wrongOrder } from './orderJudge';
import type { Route } from './route';

/**
 * The one judge of a route, whoever made it: every broken rule of order, speed, reach, grip and bar. An empty list is a sound route; collisions are judged apart.
 * @example violations(plan({ ...blankJob('pin', 'mm'), drawing: { ...blankDrawing(), ...readLine('20 x 30', 'mm').value } }, midShop()).routes[0], readDrawing({ ...blankJob('pin', 'mm'), drawing: { ...blankDrawing(), ...readLine('20 x 30', 'mm').value } }.drawing), { ...blankJob('pin', 'mm'), drawing: { ...blankDrawing(), ...readLine('20 x 30', 'mm').value } }, midShop()) // []
 */
export function violations(route: Route, part: Part, job: Job, shop: Shop): readonly Finding[] {
  const found: Finding[] = [];
  const broken = (code: FindingCode, about: string, says: Sentence, why: Sentence) =>
    found.push({ code, about, severity: 'stop', says, why, mends: [] });
  const machine = machineOf(shop, job.machine);
  const names = new Set<string>();
  for (const setup of route.setups) {
    for (const step of setup.steps) {
      if (names.has(step.id))
        broken('step-twice', step.id, say`${verbs[step.verb]} stands twice under one name`, say`a record could not tell them apart`);
      names.add(step.id);
    }
    for (const { rule, early, late, says } of wrongOrder(setup, part))
      broken(rule, early.id, say`${verbs[early.verb]} stands before ${verbs[late.verb].toLowerCase()}`, says);
    judgeHolding(setup, shop, broken);
    judgeSupport(setup, route, shop, broken);
    if (machine)
      for (const step of setup.steps) {
        const { speed, feed } = step.figures;
        const most = Math.min(...[setup.holding, ...setup.support.map((s) => s.item)].map((id) => holdingOf(shop, id)?.maxSpeed ?? Infinity));
        if (speed && exceeds(speed.value, most, PLACE))
          broken(
            'spindle-speed',
            step.id,
            say`${spindleSpeed(speed.value)} is above what the holding allows, ${spindleSpeed(most)}`,
            say`jaws open under their own weight`,
          );
        if (speed && speed.formula !== 'chosen' && !speedsOf(machine).includes(speed.value))
          broken('spindle-speed', step.id, say`the lathe has no ${spindleSpeed(speed.value)}`, say`only what can be set is planned`);
        if (feed?.formula === 'feedSet' && !machine.feeds.includes(feed.value))
          broken('chips', step.id, say`the lathe has no such feed`, say`only what can be set is planned`);
        judgeReach(step, shop, broken);
        judgeTravel(step, setup, part, machine, broken);
        judgeSize(step, part, broken);
      }
    // what is only pulled out is measured where a size was finished
    const goesOn = route.setups[route.setups.indexOf(setup) + 1]?.pulled === true && setup.steps.every((s) => s.gauge === undefined);
    if (!goesOn && !setup.steps.some((s) => s.verb === 'check'))
      broken('release-check', setup.id, say`nothing is measured before the piece leaves this holding`, say`out of the chuck it has lost its centre`);
  }
  const bar = shop.bars.find((b) => b.id === route.bar.id);
  if (bar && exceeds(route.bar.cut.value, mmOf(bar.length), PLACE))
    broken(
      'bar-length',
      'bar',
      say`${bar.name} is ${length(mmOf(bar.length))} long, ${length(route.bar.cut.value)} are wanted`,
      say`a blank cut short cannot be made long`,
    );
  found.push(...unmade(route, part));
  return found;
}

type Broken = (code: FindingCode, about: string, says: Sentence, why: Sentence) => void;

function judgeHolding(setup: Setup, shop: Shop, broken: Broken): void {
  const holding = holdingOf(shop, setup.holding);
  if (!holding) {
    broken('holding', setup.id, say`the shop has no such holding`, say`nothing is turned that is not held`);
    return;
  }
  if (isChuck(holding) && !grips(holding, setup.gripDiameter) && !grips(holding, Math.round(100 * setup.gripDiameter) / 100))
    broken(
      'holding-range',
      setup.id,
      say`${holding.name} does not close on ${diameter(setup.gripDiameter)}`,
      say`it takes ${length(mmOf(holding.outside?.from))} to ${length(mmOf(holding.outside?.to))}`,
    );
  if (!(setup.grip.value > 0)) broken('short-grip', setup.id, say`nothing is gripped`, say`what is not held comes out`);
}

function judgeReach(step: Step, shop: Shop, broken: Broken): void {
  const tool = shop.tools.find((t) => t.id === step.tool);
  if (step.tool !== undefined && !tool) broken('tool', step.id, say`the shop has no such tool`, say`a step waits for its tool`);
  const deep = step.figures['point']?.value;
  if (tool?.reach && deep !== undefined && exceeds(deep, mmOf(tool.reach), PLACE))
    broken(
      'quill',
      step.id,
      say`${tool.name} reaches ${length(mmOf(tool.reach))}, the hole is ${length(deep)}`,
      say`the flutes must clear the mouth`,
    );
}

/** A rest that does not close on what it should carry, a centre where there is none to stand in. */
function judgeSupport(setup: Setup, { setups }: Route, shop: Shop, broken: Broken): void {
  // a seat drilled while the bar stood short serves where it is pulled out
  const seats = [...setups.slice(0, setups.indexOf(setup)).filter((s) => s.end === setup.end), setup].flatMap((s) => s.steps);
  for (const support of setup.support) {
    const item = holdingOf(shop, support.item);
    if (!item) broken('support', setup.id, say`the shop has no such support`, say`what is to be carried is not`);
    else if (support.kind === 'centre' && !seats.some((s) => s.verb === 'centre-drill' || s.verb === 'own'))
      broken('centre-then-support', setup.id, say`the tail centre has no seat: no centre hole is drilled here`, say`a centre wants its seat`);
    else if (support.kind !== 'centre' && item.outside) {
      const [from, to] = [mmOf(item.outside.from), mmOf(item.outside.to, Infinity)];
      const there = 2 * outsideOf(setup.steps.at(-1)?.after ?? setup.before, support.at - 1, support.at + 1).most;
      if (there > 0 && (fallsShort(there, from, PLACE) || exceeds(there, to, PLACE)) && support.kind === 'steady')
        broken('steady', setup.id, say`${item.name} does not close on ${diameter(there)}`, say`it takes ${length(from)} to ${length(to)}`);
    }
  }
}

/** A cut longer than the carriage or what the bed takes, a taper beyond the set-over of the tailstock. */
function judgeTravel(step: Step, setup: Setup, part: Part, machine: Machine, broken: Broken): void {
  const travel = mmOf(machine.dials.carriage?.travel, Infinity);
  const bed = mmOf(machine.centres, Infinity);
  const most = Math.min(travel > 0 ? travel : Infinity, bed > 0 ? bed : Infinity);
  const along = Math.max(0, ...step.passes.map((p) => Math.abs(p.to[0] - p.from[0])));
  if (exceeds(along, most, PLACE))
    broken(
      'travel',
      step.id,
      say`a cut of ${length(along)} is longer than the ${length(most)} that the carriage goes`,
      say`in two lengths, or another lathe`,
    );
  if (step.verb !== 'taper' || step.method !== 'set-over') return;
  const row = part.features.find((f) => f.id === thingOf(step.does[0] ?? ''));
  if (!row) return;
  const slope = Math.abs(row.nearDiameter.nominal - row.farDiameter.nominal) / Math.max(ROUNDING, longOf(row));
  const offset = setOver(part.length, slope);
  if (setup.carried !== 'centres')
    broken('setover-test', step.id, say`set over with the work in a chuck`, say`only between centres does the work follow the tailstock`);
  if (exceeds(offset, mmOf(machine.setOver), PLACE))
    broken('setover-test', step.id, say`${length(offset)} of set-over, the tailstock gives ${length(mmOf(machine.setOver))}`, say`by the compound`);
}

/** A finishing cut that aims outside the limits it works to, or is not measured. */
function judgeSize(step: Step, part: Part, broken: Broken): void {
  if (step.verb !== 'finish-turn' && step.verb !== 'bore') return;
  const row = part.features.find((f) => `${f.id}.diameter` === step.does[0]);
  const to = step.figures['to'];
  if (!row || to?.formula !== 'middle' || row.nearDiameter.from === 'general') return;
  const limits = step.limits ?? row.nearDiameter;
  if (exceeds(to.value, limits.max) || fallsShort(to.value, limits.min))
    broken(
      'aim',
      step.id,
      say`it aims at ${diameter(to.value, 0.001)}, outside ${diameter(limits.min, 0.001)} to ${diameter(limits.max, 0.001)}`,
      say`where it lands is not the part`,
    );
}

/** Rows with a tolerance or a thread of their own that no step makes. */
function unmade(route: Route, part: Part): readonly Finding[] {
  const done = new Set(route.setups.flatMap((s) => s.steps.flatMap((step) => [...step.does, readStep(step.id).of])).map(thingOf));
  return part.features
    .filter((f) => f.nearDiameter.from !== 'general' || f.form === 'thread')
    .filter((f) => !done.has(f.id))
    .map((f) => ({
      code: 'not-made',
      about: f.id,
      severity: 'stop' as const,
      says: say`no step makes ${diameter(f.nearDiameter.nominal)}`,
      why: say`the drawing asks for it`,
      mends: [],
    }));
}
