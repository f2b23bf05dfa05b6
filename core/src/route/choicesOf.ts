import type { Choice, Job } from '../document';
import { STARTED } from '../holding';
import { writeExact } from '../quantity';
import { chosenIn } from './choices';
import type { Route } from './types';

const mm = (value: number) => ({ text: writeExact(value, 'mm'), units: 'mm' as const });

/**
 * A whole route written as choices, keeping the job's own ways, own steps, orders and overrules: planning with them gives the
 * same route. Taking an alternative and giving out to the Bench both go through this.
 */
export function choicesOf(route: Route, job: Job): readonly Choice[] {
  const own = job.choices.filter((c) => c.kind === 'way' || c.kind === 'ownStep' || c.kind === 'overrule' || c.kind === 'order');
  const methods = chosenIn(job).method;
  // a piece already started is no choice: the job itself says so
  const made: Choice[] = route.bar.id === STARTED ? [] : [{ kind: 'bar', id: 'bar', bar: route.bar.id, length: mm(route.bar.cut.value) }];
  made.push({ kind: 'method', id: 'method-first', of: 'first', method: route.first });
  made.push({ kind: 'method', id: 'method-carrying', of: 'carrying', method: route.layout });
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
      n++;
      const method = methodOf(step.verb);
      const about = step.does[0] ?? '';
      if (method !== undefined)
        made.push({
          kind: 'method',
          id: `method-${String(n)}`,
          of: about,
          method,
          ...(methods.get(about)?.why !== undefined && { why: methods.get(about)?.why ?? '' }),
        });
      if (step.tool !== undefined) made.push({ kind: 'use', id: `tool-${String(n)}`, step: step.id, item: step.tool });
      if (step.gauge !== undefined) made.push({ kind: 'use', id: `gauge-${String(n)}`, step: step.id, item: step.gauge });
      const { speed, feed, depth, passes } = step.figures;
      if (speed || feed || depth || passes) {
        made.push({
          kind: 'data',
          id: `data-${String(n)}`,
          step: step.id,
          ...(speed && { speed: speed.value }),
          ...(feed && { feed: feed.value }),
          ...(depth && { depth: depth.value }),
          ...(passes && { passes: passes.value }),
        });
      }
    }
  }
  return [...made, ...own];
}

function methodOf(verb: string): string | undefined {
  const methods: Readonly<Record<string, string>> = { thread: 'single-point', die: 'die', 'part-off': 'part', 'saw-off': 'saw' };
  return methods[verb];
}
