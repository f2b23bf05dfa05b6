import type { Job, Shop, StoredJob } from '@obra/core/document';
import { barChoice, type SharedBar, sharedBar } from '@obra/core/planner';
import { useMemo } from 'react';
import useSWR from 'swr';
import { loadJob } from '../data/jobs';

/** The jobs cut before this one out of its bar, the first of them first; undefined stands for one that is gone or comes round to itself. */
async function jobsBefore(id: string, after: string): Promise<readonly (Job | undefined)[]> {
  const jobs: (Job | undefined)[] = [];
  const met = new Set([id]);
  for (let next: string | undefined = after; next !== undefined;) {
    const stored: StoredJob | undefined = met.has(next) ? undefined : await loadJob(next);
    met.add(next);
    jobs.unshift(stored?.job);
    next = stored && barChoice(stored.job)?.after;
  }
  return jobs;
}

/** The shop as the jobs before this one leave its bar; the shop as it is where the job has a bar of its own. */
export function useSharedBar(id: string, job: Job, shop: Shop): SharedBar {
  const choice = barChoice(job);
  const after = choice?.after;
  const { data } = useSWR(after === undefined ? null : ['before', id, after], () => jobsBefore(id, after ?? ''));
  return useMemo(() => (data ? sharedBar(choice, data, shop) : { shop, left: undefined, findings: [] }), [choice, data, shop]);
}
