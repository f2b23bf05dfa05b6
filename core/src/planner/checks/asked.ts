import type { Job } from '../../document';
import type { Finding } from '../../finding';
import { type Step, verbs } from '../../operations';
import { say, type Sentence } from '../../quantity';
import { readStep } from '../../ref';
import { comesBefore } from '../../sequence';
import type { Part } from '../../drawing';
import type { Route } from '../route';

/** Orders that a person asked for and the route does not keep: answered with the rule that forbids them. */
export function ordersAsked(job: Job, route: Route, part: Part): readonly Finding[] {
  const places = new Map<string, { readonly at: number; readonly setup: number; readonly step: Step }>();
  let n = 0;
  route.setups.forEach((setup, i) => {
    for (const step of setup.steps) places.set(step.id, { at: n++, setup: i, step });
  });
  return job.choices.flatMap((choice): readonly Finding[] => {
    if (choice.kind !== 'order') return [];
    for (const [i, id] of choice.steps.slice(0, -1).entries()) {
      const [a, b] = [places.get(id), places.get(choice.steps[i + 1] ?? '')];
      if (!a || !b || a.at < b.at) continue;
      return [
        {
          code: 'order-not-possible',
          about: choice.id,
          severity: 'caution',
          says: say`asked for: ${nameOf(a.step)} before ${nameOf(b.step)}; the route has it the other way round`,
          why: whyNot(a, b, part, route),
          mends: [{ says: say`let the order go`, to: 'job', edits: [{ op: 'remove', at: `choices/#${choice.id}` }] }],
        },
      ];
    }
    return [];
  });
}

const nameOf = (step: Step): string => {
  const { verb } = readStep(step.id);
  return `${(verb in verbs ? verbs[verb as keyof typeof verbs] : verb).toLowerCase()} (${step.does[0] ?? ''})`;
};

interface Place {
  readonly setup: number;
  readonly step: Step;
}

function whyNot(a: Place, b: Place, part: Part, route: Route): Sentence {
  if (a.setup !== b.setup) return say`they are done in two holdings, and the one that is asked for first is held later`;
  const setup = route.setups[a.setup];
  const rule = comesBefore(b.step, a.step, {
    part,
    centre: setup?.support.some((s) => s.kind === 'centre') ?? false,
    steady: setup?.support.some((s) => s.kind === 'steady') ?? false,
  });
  return rule ? rule.says : say`they belong together with others that forbid it`;
}
