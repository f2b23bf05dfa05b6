import type { Job, Shop } from '@obra/core/document';
import type { Alternative, Plan } from '@obra/core/planner';
import { useEffect, useState } from 'react';
import { askAlternatives } from './usePlan';

export interface OtherWays {
  readonly ways: readonly Alternative[] | undefined;
  readonly failed: boolean;
}

/** Whole other ways of making the part, worked out in the worker once they are wanted; undefined while that goes on. */
export function useAlternatives(wanted: boolean, job: Job, shop: Shop, plan: Plan | undefined): OtherWays {
  const [answer, setAnswer] = useState<{ readonly of: Plan; readonly ways: readonly Alternative[]; readonly failed: boolean }>();
  useEffect(() => {
    if (!wanted || !plan || plan.routes.length === 0) return undefined;
    let dropped = false;
    const given = (ways: readonly Alternative[], failed: boolean) => {
      if (!dropped) setAnswer({ of: plan, ways, failed });
    };
    askAlternatives(job, shop).then(
      (ways) => given(ways, false),
      () => given([], true),
    );
    return () => {
      dropped = true;
    };
  }, [wanted, job, shop, plan]);
  return { ways: answer?.of === plan ? answer?.ways : undefined, failed: answer?.of === plan && answer?.failed === true };
}
