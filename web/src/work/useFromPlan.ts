import type { Plan } from '@obra/core/planner';
import { useEffect, useState } from 'react';
import { useSteady } from '../shell/useSteady';

export interface FromPlan<T> {
  /** undefined while it is worked out */
  readonly answer: readonly T[] | undefined;
  readonly failed: boolean;
}

/**
 * What the worker works out beside a plan, once it is wanted; anew with another plan.
 * @param about what of the plan is asked: another one asks again
 */
export function useFromPlan<T>(wanted: boolean, plan: Plan | undefined, about: string, ask: () => Promise<readonly T[]>): FromPlan<T> {
  const [got, setGot] = useState<{ readonly of: Plan; readonly about: string; readonly answer: readonly T[]; readonly failed: boolean }>();
  const steady = useSteady({ ask });
  useEffect(() => {
    if (!wanted || !plan || plan.routes.length === 0) return undefined;
    let dropped = false;
    const given = (answer: readonly T[], failed: boolean) => {
      if (!dropped) setGot({ of: plan, about, answer, failed });
    };
    steady.ask().then(
      (answer) => given(answer, false),
      () => given([], true),
    );
    return () => {
      dropped = true;
    };
  }, [wanted, plan, about, steady]);
  const own = got?.of === plan && got?.about === about ? got : undefined;
  return { answer: own?.answer, failed: own?.failed === true };
}
