import { applyEdits, type Edit, type Job } from '@obra/core';
import { createJob } from '../../data/jobs';

/** Makes a job of the line and of what was answered to it; its address. */
export async function keepLine(line: Job, edits: readonly Edit[]): Promise<string> {
  const stored = await createJob(applyEdits(line, edits));
  return `/jobs/${stored.id}/drawing`;
}
