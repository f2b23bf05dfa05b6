import {
  type CutTaken,
  cutsIn,
  type Progress,
  progressOf,
  promisesOf,
  recordOf,
  type Shown,
  shownIn,
  type Strings,
  chatterIn,
  type Chattered,
  stringsIn,
  type Took,
  tookIn,
} from '@obra/core/bench';
import type { Choice, Entry, Job, Shop } from '@obra/core/document';
import type { Finding } from '@obra/core/finding';
import {
  type Alternative,
  alternatives,
  type Batch,
  batchesOf,
  heldEach,
  type HeldSo,
  type Plan,
  plan,
  planning,
  provedAlternative,
  whatIf,
  type WhatIf,
} from '@obra/core/planner';
import { type Film, filmOf } from '@obra/core/proof';
import { machineOf } from '@obra/core/shop';
import * as Comlink from 'comlink';

let newest = 0;

const turns = new MessageChannel();
const waiting: (() => void)[] = [];
turns.port1.onmessage = () => waiting.shift()?.();
/** One turn of the worker's loop, in which what was asked meanwhile is heard; a timer would wait longer each time. */
const pause = () =>
  new Promise<void>((resume) => {
    waiting.push(resume);
    turns.port2.postMessage(null);
  });

/** What the record of one job shows. */
interface Learned {
  readonly sizes: readonly Shown[];
  readonly strings: readonly Strings[];
  readonly chatter: readonly Chattered[];
  /** how far readings lay off what was foretold of them, in deviations */
  readonly off: readonly number[];
  readonly took: readonly Took[];
  readonly cuts: readonly CutTaken[];
}

const planner = {
  /** Plans in slices with a pause between, so that a newer question is heard; an outdated one is dropped. */
  async plan(question: number, job: Job, shop: Shop, report: (plan: Plan, last: boolean) => void): Promise<void> {
    newest = Math.max(newest, question);
    const steps = planning(job, shop);
    let reported: Plan | undefined;
    for (;;) {
      const { done, value } = steps.next();
      if (question < newest) return;
      // while the search rests the plan is the same
      if (value !== reported || done === true) report(value, done === true);
      reported = value;
      if (done === true) return;
      await pause();
      if (question < newest) return;
    }
  },
  /** Whole other ways; asked for only when somebody looks at them. */
  alternatives(job: Job, shop: Shop): readonly Alternative[] {
    return alternatives(job, shop, plan(job, shop));
  },
  /** What each way of holding a chucking makes of the whole route. */
  heldEach(job: Job, shop: Shop, chucking: string): readonly HeldSo[] {
    return heldEach(job, shop, plan(job, shop), chucking);
  },
  /** The whole route with something moved that is not let go yet. */
  whatIf(job: Job, shop: Shop, minutes: number): WhatIf | undefined {
    return whatIf(job, shop, minutes);
  },
  /** A batch piece by piece and operation by operation. */
  batches(job: Job, shop: Shop): readonly Batch[] {
    const [route] = plan(job, shop).routes;
    return route ? batchesOf(job, route, shop) : [];
  },
  /** How far a job is and what comes next. */
  progress(job: Job, shop: Shop, log: readonly Entry[]): Progress {
    return progressOf(job, plan(job, shop), log);
  },
  /** What the record of a job shows of lathe and tools, of the advice, and of the minutes that were planned. */
  shown(job: Job, shop: Shop, log: readonly Entry[]): Learned {
    const made = plan(job, shop);
    const lathe = machineOf(job.issue?.kit ?? shop, job.machine)?.id ?? '';
    const record = recordOf({ id: 'shown', job }, log, shop);
    return {
      sizes: shownIn(job, made, log),
      strings: stringsIn(made, log),
      chatter: chatterIn(made, log, lathe),
      off: record ? promisesOf(record) : [],
      took: tookIn(made, log, lathe),
      cuts: cutsIn(made, log, lathe),
    };
  },
  /** The making of one piece, to be played. */
  film(job: Job, shop: Shop): Film | undefined {
    const made = plan(job, shop);
    const [route] = made.routes;
    const kit = job.issue?.kit ?? shop;
    return route && filmOf(route, kit, made.part, machineOf(kit, job.machine));
  },
  /** What stands in the way of one of them. */
  proof(job: Job, shop: Shop, choices: readonly Choice[]): readonly Finding[] {
    return provedAlternative(job, shop, choices);
  },
};

export type Planner = typeof planner;
Comlink.expose(planner);
