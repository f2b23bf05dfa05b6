import type { Job } from '@obra/core/document';
import { applyEdits, type Edit } from '@obra/core/finding';
import { createJob } from '../../data/jobs';

/** Makes a job of the line and of what was answered to it; its address. */
export async function keepLine(line: Job, edits: readonly Edit[]): Promise<string> {
  const stored = await createJob(applyEdits(line, edits));
  return `/jobs/${stored.id}/drawing`;
}
