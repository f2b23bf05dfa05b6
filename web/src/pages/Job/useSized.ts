import { type AtSize, atSize, type BenchState } from '@obra/core/bench';
import type { Step } from '@obra/core/operations';
import { useMemo } from 'react';
import type { JobView } from './view';

/** A step at the Bench with the gauge in hand, worked out anew when any of it changes. */
export function useSized({ plan, log, job, shop }: JobView, step: Step, piece: number, { advice }: BenchState, gauge: string | undefined): AtSize {
  return useMemo(() => atSize({ plan, log, job, shop, step, piece, advice }, gauge), [plan, log, job, shop, step, piece, advice, gauge]);
}
