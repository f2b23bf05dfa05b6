import { type Entry, type JobFile, SCHEMA, type StoredJob } from '../document';

/** A job with its log as one file: plain JSON, indented, so that it can be read and compared. */
export function writeJobFile(stored: StoredJob, log: readonly Entry[]): string {
  const file: JobFile = { obra: 'job', ...stored, schema: SCHEMA, log: [...log] };
  return `${JSON.stringify(file, null, 1)}\n`;
}
