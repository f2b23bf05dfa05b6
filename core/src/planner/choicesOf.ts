import { type Choice, choiceId, chosenIn, type Job } from '../document';
import { STARTED } from '../holding';
import type { Step } from '../operations';
import { writeExact } from '../quantity';
import { rowOf } from '../ref';
import type { Route } from './route';

const mm = (value: number) => ({ text: writeExact(value, 'mm'), units: 'mm' as const });

/**
 * A whole route written as choices, keeping the job's own ways, own steps, orders and overrules: planning with them gives the
 * same route. Taking an alternative and giving out to the Bench both go through this.
 * @example choicesOf(plan({ ...blankJob('pin', 'mm'), drawing: { ...blankDrawing(), ...readLine('20 x 30', 'mm').value } }, midShop()).routes[0], { ...blankJob('pin', 'mm'), drawing: { ...blankDrawing(), ...readLine('20 x 30', 'mm').value } }).some((c) => c.kind === 'hold') // true
 */
export function choicesOf(route: Route, job: Job): readonly Choice[] {
  const own = job.choices.filter((c) => c.kind === 'way' || c.kind === 'ownStep' || c.kind === 'overrule' || c.kind === 'order');
  const methods = chosenIn(job).method;
  // a piece already started is no choice: the job itself says so
  const made: Choice[] = route.bar.id === STARTED ? [] : [{ kind: 'bar', id: 'bar', bar: route.bar.id, length: mm(route.bar.cut.value) }];
  made.push({ kind: 'method', id: 'method-first', of: 'first', method: route.first });
  made.push({ kind: 'method', id: 'method-carrying', of: 'carrying', method: route.layout });
  // a blank whose grip is faced away is severed by nothing
  const severed = route.setups.some((s) => s.steps.some((step) => step.verb === 'part-off' || step.verb === 'saw-off'));
  if (route.layout === 'chuck' && route.bar.id !== STARTED && !severed)
    made.push({ kind: 'method', id: 'method-sever', of: route.first === 'right' ? 'left' : 'right', method: 'face' });
  let n = 0;
  for (const setup of route.setups) {
    made.push({
      kind: 'hold',
      id: `hold-${setup.id}`,
      setup: setup.id,
      holding: setup.holding,
      grip: mm(setup.grip.value),
      ...(setup === route.setups[0] && route.layout === 'chuck' && route.bar.id !== STARTED && { stickOut: mm(setup.stickOut.value) }),
      support: setup.support.map(({ item, from }) => (from > 0 ? { item, at: mm(from) } : { item })),
    });
    for (const step of setup.steps) {
      made.push(...choicesOfStep(step, String(++n), methods));
      if (step.verb === 'finish-turn') made.push({ kind: 'in', id: `in-${String(n)}`, step: step.id, setup: setup.id });
    }
  }
  return [...made, ...own];
}

/** One step as choices: its method, tool, gauge and cutting data. */
function choicesOfStep(step: Step, id: string, methods: ReturnType<typeof chosenIn>['method']): readonly Choice[] {
  const made: Choice[] = [];
  const method = methodOf(step);
  const about = step.does[0] ?? '';
  const why = methods.get(about)?.why;
  if (method !== undefined) made.push({ kind: 'method', id: `method-${id}`, of: about, method, ...(why !== undefined && { why }) });
  if (step.tool !== undefined) made.push({ kind: 'use', id: `tool-${id}`, step: step.id, item: step.tool });
  if (step.gauge !== undefined) made.push({ kind: 'use', id: `gauge-${id}`, step: step.id, item: step.gauge });
  const { speed, feed, depth, passes } = step.figures;
  if (speed ?? feed ?? depth ?? passes)
    made.push({
      kind: 'data',
      id: `data-${id}`,
      step: step.id,
      ...(speed && { speed: speed.value }),
      ...(feed && { feed: feed.value }),
      ...(depth && { depth: depth.value }),
      ...(passes && { passes: passes.value }),
    });
  return made;
}

/** A step held as it is: its choices, each under a name made from the step, so that whatever else is planned anew leaves it alone. */
export const pinOf = (step: Step, job: Job): readonly Choice[] =>
  choicesOfStep(step, choiceId(step.id), chosenIn(job).method).map((c) => ({ ...c, id: c.id.slice(0, 40) }));

/** The choices of a job that are about one step, and by which it is pinned or changed. */
export const choicesAbout = (step: Step, job: Job): readonly Choice[] =>
  job.choices.filter(
    (c) =>
      ((c.kind === 'use' || c.kind === 'data') && c.step === step.id) ||
      (c.kind === 'in' && step.verb === 'finish-turn' && rowOf(c.step) === rowOf(step.id)) ||
      (c.kind === 'method' && methodOf(step) !== undefined && c.of === step.does[0]),
  );

function methodOf({ verb, method }: Step): string | undefined {
  const methods: Readonly<Record<string, string>> = { thread: 'single-point', die: 'die', tap: 'tap', 'part-off': 'part', 'saw-off': 'saw' };
  return method ?? methods[verb];
}
