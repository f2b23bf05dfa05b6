import type { Progress } from '@obra/core/bench';
import { type Job, orderWords, stillHere, type StoredJob } from '@obra/core/document';
import { readDrawing } from '@obra/core/drawing';
import { regionOf } from '@obra/core/stock';
import * as z from 'zod';
import { keysUnder, readUnder, remove, write } from './store';

/** Grows when a summary says more or otherwise than before: older ones are made anew. */
const VERSION = 3;

const Quantity = z.object({ is: z.string(), value: z.number(), step: z.number().optional() });
const Stored = z.object({
  version: z.literal(VERSION),
  id: z.string(),
  revision: z.number(),
  saved: z.string(),
  name: z.string(),
  customer: z.string().optional(),
  wanted: z.string().optional(),
  reference: z.string().optional(),
  /** what it may be found by beside what is shown */
  words: z.string(),
  /** parts of the customer that are still here */
  kept: z.number(),
  pieces: z.number(),
  material: z.string(),
  /** the finished part, small: its rings z, r, z, r ... in mm, its length and widest radius */
  outline: z.array(z.array(z.number())),
  long: z.number(),
  radius: z.number(),
  /** how far it was when `of` was so: revision of the job, of the shop, entries of its log */
  progress: z.object({ of: z.string(), reached: z.string(), next: z.array(z.union([z.string(), Quantity])) }).optional(),
});

/** What the lists of jobs show of one. It can be made again from the job at any time; deleting it loses nothing. */
export type Summary = Omit<z.infer<typeof Stored>, 'progress'> & { readonly progress?: Progress & { readonly of: string } };

/** What is kept beside a job was made from this: revision of the job, of the shop, entries of its log. */
export const madeFrom = (revision: number, shop: { readonly revision: number }, entries: number): string =>
  `${String(revision)}/${String(shop.revision)}/${String(entries)}`;

/** Most points of an outline: a list shows it 120 px wide. */
const POINTS = 240;

export function summaryOf(stored: StoredJob, before?: Summary): Summary {
  const { job } = stored;
  return {
    version: VERSION,
    id: stored.id,
    revision: stored.revision,
    saved: stored.saved,
    name: job.name,
    ...(job.customer !== undefined && { customer: job.customer }),
    ...(job.wanted !== undefined && { wanted: job.wanted }),
    ...(job.order?.reference !== undefined && { reference: job.order.reference }),
    words: orderWords(job),
    kept: stillHere(job).length,
    pieces: job.pieces,
    material: job.drawing.material,
    ...shapeOf(job),
    ...(before?.progress && { progress: before.progress }),
  };
}

function shapeOf(job: Job): Pick<Summary, 'outline' | 'long' | 'radius'> {
  try {
    const part = readDrawing(job.drawing);
    const rings = part.contour.length > 0 ? regionOf(part.contour) : [];
    const points = rings.reduce((sum, [ring]) => sum + (ring?.length ?? 0) / 2, 0);
    const each = Math.max(1, Math.ceil(points / POINTS));
    return {
      outline: rings.map(([ring]) =>
        Array.from(ring ?? [])
          .filter((_, i) => Math.floor(i / 2) % each === 0)
          .map((v) => Math.round(v * 100) / 100),
      ),
      long: part.length,
      radius: Math.max(...part.features.map((f) => f.nearDiameter.nominal / 2), 8),
    };
  } catch {
    // a drawing that cannot be drawn is still a job in the list
    return { outline: [], long: 0, radius: 8 };
  }
}

/** So many summaries are read in one go. */
const SLICE = 300;

const key = (id: string) => `sum/${id}`;

function parsed(raw: unknown): Summary | undefined {
  const read = Stored.safeParse(raw);
  return read.success ? (read.data as Summary) : undefined;
}

/** The summary of a job goes with it; storage that refuses it costs only time at the next list. */
export const keepSummary = (summary: Summary): Promise<void> => write(key(summary.id), summary).catch(() => undefined);
/** And so does the line of the logbook. */
export async function dropSummary(id: string): Promise<void> {
  for (const gone of [key(id), `made/${id}`]) await remove(gone).catch(() => undefined);
}

/** Summaries newest first, and the jobs that have none yet. */
export async function listSummaries(): Promise<{ readonly summaries: readonly Summary[]; readonly without: readonly string[] }> {
  const [raw, jobs] = await Promise.all([readUnder('sum/'), keysUnder('job/')]);
  const there = new Set(jobs.map((k) => k.slice('job/'.length)));
  const summaries: Summary[] = [];
  for (const [i, [, value]] of raw.entries()) {
    const read = parsed(value);
    if (read && there.has(read.id)) summaries.push(read);
    // thousands are read a few at a time, so that the page answers meanwhile
    if (i % SLICE === SLICE - 1) await new Promise((resume) => setTimeout(resume));
  }
  const known = new Set(summaries.map((s) => s.id));
  return { summaries: summaries.toSorted((a, b) => (a.saved < b.saved ? 1 : -1)), without: [...there].filter((id) => !known.has(id)) };
}

export async function summaryBefore(id: string): Promise<Summary | undefined> {
  const [found] = (await readUnder(key(id))).filter(([k]) => k === key(id));
  return parsed(found?.[1]);
}
