import type { Progress } from '@obra/core/bench';
import type { Choice, Entry, Job, Shop } from '@obra/core/document';
import type { Finding } from '@obra/core/finding';
import type { Film } from '@obra/core/proof';
import type { Alternative, Batch, HeldSo, Plan, WhatIf } from '@obra/core/planner';
import * as Comlink from 'comlink';
import { useEffect } from 'react';
import useSWRSubscription from 'swr/subscription';
import type { Planner } from './plan.worker';
import { startWorker } from './startWorker';

interface Answer {
  readonly plan: Plan;
  readonly job: Job;
  readonly shop: Shop;
  readonly last: boolean;
  readonly failed?: string;
}

/** Time for a frame, ms. */
const PAINT = 17;

type Next = (error: null, answer: Answer) => void;

let planner: Comlink.Remote<Planner> | undefined;
let question = 0;
const asking = new Map<string, Next>();
/** Jobs of which a route stands on the page: a plan that is not so far yet does not take it away. */
const routed = new Set<string>();

async function ask(key: string, job: Job, shop: Shop): Promise<void> {
  planner ??= Comlink.wrap<Planner>(startWorker());
  const mine = ++question;
  let latest: Plan | undefined;
  try {
    await planner.plan(
      mine,
      job,
      shop,
      Comlink.proxy((plan: Plan, last: boolean) => {
        if (mine !== question) return;
        latest = plan;
        if (plan.routes.length > 0) routed.add(key);
        else if (!last && routed.has(key)) return;
        else routed.delete(key);
        asking.get(key)?.(null, { plan, job, shop, last });
      }),
    );
  } catch (cause) {
    if (mine === question && latest) asking.get(key)?.(null, { plan: latest, job, shop, last: true, failed: String(cause) });
  }
}

/** Whole other ways of making this job, from the same worker. */
export async function askAlternatives(job: Job, shop: Shop): Promise<readonly Alternative[]> {
  planner ??= Comlink.wrap<Planner>(startWorker());
  return planner.alternatives(job, shop);
}

/** What each way of holding a chucking makes of the whole route. */
export async function askHeldEach(job: Job, shop: Shop, chucking: string): Promise<readonly HeldSo[]> {
  planner ??= Comlink.wrap<Planner>(startWorker());
  return planner.heldEach(job, shop, chucking);
}

/** The whole route with something moved that is not let go yet. */
export async function askWhatIf(job: Job, shop: Shop, minutes: number): Promise<WhatIf | undefined> {
  planner ??= Comlink.wrap<Planner>(startWorker());
  return planner.whatIf(job, shop, minutes);
}

/** The pieces of a job in both orders. */
export async function askBatches(job: Job, shop: Shop): Promise<readonly Batch[]> {
  planner ??= Comlink.wrap<Planner>(startWorker());
  return planner.batches(job, shop);
}

/** What the proof of another way finds. */
export async function askProof(job: Job, shop: Shop, choices: readonly Choice[]): Promise<readonly Finding[]> {
  planner ??= Comlink.wrap<Planner>(startWorker());
  return planner.proof(job, shop, choices);
}

/** How far a job is and what comes next. */
export async function askProgress(job: Job, shop: Shop, log: readonly Entry[]): Promise<Progress> {
  planner ??= Comlink.wrap<Planner>(startWorker());
  return planner.progress(job, shop, log);
}

/** The making of a job, to be played. */
export async function askFilm(job: Job, shop: Shop): Promise<Film | undefined> {
  planner ??= Comlink.wrap<Planner>(startWorker());
  return planner.film(job, shop);
}

/** What the record of a job shows of lathe and tools. */
export async function askShown(job: Job, shop: Shop, log: readonly Entry[]): Promise<ReturnType<Planner['shown']>> {
  planner ??= Comlink.wrap<Planner>(startWorker());
  return planner.shown(job, shop, log);
}

export interface Planned {
  readonly plan: Plan | undefined;
  /** the plan answers an earlier job or shop; a newer one is being worked out */
  readonly older: boolean;
  readonly failed: string | undefined;
}

/** The plan of this job with this shop, worked out in the worker; the last good one stays while the next is computed. */
export function usePlan(key: string, job: Job | undefined, shop: Shop | undefined): Planned {
  const { data } = useSWRSubscription<Answer, null>(['plan', key], (_: unknown, { next }: { next: Next }) => {
    asking.set(key, next);
    return () => asking.delete(key);
  });
  useEffect(() => {
    if (!job || !shop) return undefined;
    // the keystroke is painted first; the next one takes the place of a question not asked yet
    const soon = setTimeout(() => void ask(key, job, shop), PAINT);
    return () => clearTimeout(soon);
  }, [key, job, shop]);
  return { plan: data?.plan, older: data !== undefined && (data.job !== job || data.shop !== shop || !data.last), failed: data?.failed };
}
