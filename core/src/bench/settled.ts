import { type Entry, type Job, liveEntries } from '../document';
import type { Verdict } from '../inspection';
import type { Plan } from '../planner';
import { benchState } from './benchState';

/**
 * Verdicts of sizes that are brought in. A reading on the way, at a step that is not done for its piece, is no size that is inspected yet; one that was written
 * at no step is.
 */
export function settled(verdicts: readonly Verdict[], job: Job, plan: Plan | undefined, log: readonly Entry[]): readonly Verdict[] {
  if (!plan || !job.issue) return verdicts;
  const { done } = benchState(job, plan, log);
  const last = new Map(liveEntries(log).flatMap((e) => (e.kind === 'reading' ? [[`${String(e.piece)}/${e.of}`, e.step] as const] : [])));
  return verdicts.filter(({ piece, of }) => {
    const step = last.get(`${String(piece)}/${of}`) ?? null;
    return step === null || done.has(`${String(piece)}/${step}`);
  });
}
