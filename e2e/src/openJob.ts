import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { blankJob, type Entry, type Job, SCHEMA } from '@obra/core/document';
import { writeJobFile } from '@obra/core/exchange';
import type { Page } from 'puppeteer-core';
import { demoUrl, goTo, sees, stored } from './harness';

export const mm = (text: string) => ({ text, units: 'mm' as const });
export const row = (id: string, size: string, length: string) => ({ id, size: mm(size), length: mm(length) });

/** Opens a job from a file on the page of jobs. */
export async function openJob(
  page: Page,
  id: string,
  own: Partial<Job>,
  drawing: Partial<Job['drawing']>,
  log: (job: Job) => { readonly job: Job; readonly entries: readonly Entry[] } = (job) => ({ job, entries: [] }),
): Promise<void> {
  const dir = mkdtempSync(join(tmpdir(), 'obra-job-'));
  try {
    const blank = blankJob(id, 'mm');
    const drawn: Job = { ...blank, ...own, drawing: { ...blank.drawing, title: { edges: 'broken' }, ...drawing } };
    const { job, entries } = log(drawn);
    const file = join(dir, `${id}.json`);
    writeFileSync(file, writeJobFile({ schema: SCHEMA, id, revision: 1, saved: '2026-11-29T08:00:00.000Z', by: 'test', job }, entries));
    await goTo(page, demoUrl(), '/jobs', 'Sheave axle');
    const input = await page.waitForSelector('input[type="file"]');
    await (input as unknown as { uploadFile: (path: string) => Promise<void> }).uploadFile(file);
    await sees(page, id);
    // its id may be a word of the page: it is in when it is stored
    for (let tries = 0; !(`job/${id}` in (await stored(page))); tries++) {
      if (tries > 200) throw new Error(`${id} was not taken in`);
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
  } finally {
    rmSync(dir, { recursive: true });
  }
}
