import { createHash } from 'node:crypto';
import { env } from 'node:process';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';

/*
 * Answers kept beside the tests, each as one line: what it comes to in short, and a digest of all of it. They say that something changed, not that it was right;
 * `npm run keep` writes them anew after a change that was meant, and the difference is read before it is committed.
 */

/** One answer as it is kept: its gist, and a digest of its whole text. */
export const kept = (gist: string, whole: string): string => `${gist} | ${createHash('sha256').update(whole).digest('hex').slice(0, 12)}`;

/** Holds answers against those of a file, or writes them there where that is asked. */
export function expectKept(file: string, answers: Readonly<Record<string, string>>): void {
  if (env['KEEP'] === 'all') writeFileSync(file, `${JSON.stringify(answers, null, 2)}\n`);
  const before: unknown = existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : {};
  expect(answers).toEqual(before);
}
