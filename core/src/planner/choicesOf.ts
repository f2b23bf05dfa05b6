import { type Choice, choiceId, chosenIn, type Job } from '../document';
import { STARTED } from '../holding';
import type { Step } from '../operations';
import { writeExact } from '../quantity';
import { rowOf } from '../ref';
import { chuckingsOf } from '../settings';
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
  for (const [i, held] of chuckingsOf(route.setups).entries()) {
    const ofBar = i === 0 && route.layout === 'chuck' && route.bar.id !== STARTED;
    const pulled = held.settings.length > 1;
    if (ofBar) made.push(pullChoice(pulled), partedChoice(route.setups.length === held.settings.length));
    made.push({
      kind: 'hold',
      id: `hold-${held.id}`,
      setup: held.id,
      holding: held.holding,
      grip: mm(held.grip.value),
      // what is pulled out, or one of several on a bar, stands as far as it must
      ...(ofBar && !pulled && route.bar.cut.formula !== 'barEach' && { stickOut: mm(held.stickOut.value) }),
      support: held.support.map(({ item, from }) => (from > 0 ? { item, at: mm(from) } : { item })),
    });
    for (const step of held.settings.flatMap((s) => s.steps)) {
      made.push(...choicesOfStep(step, String(++n), methods));
      if (step.verb === 'finish-turn') made.push({ kind: 'in', id: `in-${String(n)}`, step: step.id, setup: held.id });
    }
  }
  return [...made, ...own];
}

/** Whether the bar is pulled out in its chuck as it is worked, or stands all the while. */
export const pullChoice = (pulled: boolean): Choice => ({ kind: 'method', id: 'method-pull', of: 'pull', method: pulled ? 'short' : 'once' });

/** Whether the face that is severed stays as the blade leaves it, or is faced when the piece is turned round. */
export const partedChoice = (stays: boolean): Choice => ({ kind: 'method', id: 'method-parted', of: 'parted', method: stays ? 'stays' : 'turned' });

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
