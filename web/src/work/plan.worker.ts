import {
  type Alternative,
  alternatives,
  type Choice,
  type Finding,
  type Job,
  type Plan,
  plan,
  planning,
  provedAlternative,
  type Shop,
} from '@obra/core';
import * as Comlink from 'comlink';

let newest = 0;

/** Plans in slices with a pause between, so that a newer question is heard; an outdated one is dropped. */
const planner = {
  async plan(question: number, job: Job, shop: Shop, report: (plan: Plan, last: boolean) => void): Promise<void> {
    newest = Math.max(newest, question);
    const steps = planning(job, shop);
    for (;;) {
      const { done, value } = steps.next();
      if (question < newest) return;
      report(value, done === true);
      if (done === true) return;
      await new Promise((resume) => setTimeout(resume, 0));
      if (question < newest) return;
    }
  },
  /** Whole other ways; asked for only when somebody looks at them. */
  alternatives(job: Job, shop: Shop): readonly Alternative[] {
    return alternatives(job, shop, plan(job, shop));
  },
  /** What stands in the way of one of them. */
  proof(job: Job, shop: Shop, choices: readonly Choice[]): readonly Finding[] {
    return provedAlternative(job, shop, choices);
  },
};

export type Planner = typeof planner;
Comlink.expose(planner);
