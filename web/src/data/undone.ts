import { type Job, SCHEMA } from '@obra/core/document';
import { type History, noHistory } from './history';
import type { Step } from './openJobs';
import { read, remove, write } from './store';

/* The steps of a job that can be undone, beside the job itself: they come back with a reload and are never exported. */

/** Steps that outlive a page. */
const MOST = 200;

/** As it is stored: steps share what did not change between them, and the browser keeps it shared. */
interface Kept {
  readonly schema: number;
  /** of the job as it was stored last; another window's save makes it another */
  readonly revision: number;
  readonly past: readonly Job[];
  readonly future: readonly Job[];
}

const keyOf = (id: string) => `undo/${id}`;

/** Steps of the job alone: what a step did to the shop is no step after a reload. */
const jobsOf = (steps: readonly Step[], now: Job): readonly Job[] => {
  const jobs = steps.map((s) => s.job);
  return jobs.filter((job, i) => job !== (jobs[i + 1] ?? now)).slice(-MOST);
};

/** Keeps what can be undone of a job as it was just stored. A browser that does not store it goes on without. */
export async function keepUndo(id: string, revision: number, job: Job, { past, future }: History<Step>): Promise<void> {
  const kept: Kept = { schema: SCHEMA, revision, past: jobsOf(past, job), future: jobsOf(future, job) };
  await write(keyOf(id), kept).catch(() => undefined);
}

/** What can be undone of a stored job; nothing where another window stored it since, or an older Obra. */
export async function undoOf(id: string, revision: number): Promise<History<Step>> {
  const kept = (await read(keyOf(id)).catch(() => null)) as Partial<Kept> | null;
  if (kept?.schema !== SCHEMA || kept.revision !== revision || !Array.isArray(kept.past) || !Array.isArray(kept.future)) return noHistory;
  const steps = (jobs: readonly Job[]): readonly Step[] => jobs.map((job) => ({ job, shop: undefined }));
  return { past: steps(kept.past), future: steps(kept.future), typing: undefined };
}

/** Lets go of it with its job. */
export const dropUndo = (id: string): Promise<void> => remove(keyOf(id));
