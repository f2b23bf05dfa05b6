import { recordOf } from '@obra/core/bench';
import type { StoredShop } from '@obra/core/document';
import { isRehearsal } from '@obra/core/practice';
import * as z from 'zod';
import { loadLog } from './entries';
import { loadJob } from './jobs';
import { keysUnder, readUnder, write } from './store';
import { keepSummary, listSummaries, madeFrom, type Summary, summaryBefore, summaryOf } from './summaries';

/** Grows when a line of the logbook says more or otherwise than before: older ones are made anew. */
const VERSION = 1;

const Stored = z.object({
  version: z.literal(VERSION),
  id: z.string(),
  /** what it was made from: revision of the job, of the shop, entries of its log */
  of: z.string(),
  /** given out to the Bench: what it shows of lathe and tools can be learned */
  issued: z.boolean(),
  begun: z.number(),
  scrapped: z.number(),
  ended: z.string(),
  within: z.number(),
  out: z.number(),
  untold: z.number(),
  /** from entry to entry at the machine, longer pauses left out, min */
  minutes: z.array(z.number()),
  words: z.string(),
});

/** What the logbook shows of a job in its line. It can be made again from job and log at any time; deleting it loses nothing. */
type Made = z.infer<typeof Stored>;

export interface MadeLine extends Made {
  readonly summary: Summary;
}

/** So many are read in one go. */
const SLICE = 500;
const rest = () => new Promise((resume) => setTimeout(resume));

/** A job whose line is to be made, and from what. */
export interface Stale {
  readonly id: string;
  readonly of: string;
}

/** Lines that this browser did not store: for this visit. */
const unstored = new Map<string, Made>();

/** What was made, the last first; and of which jobs the line is to be made anew. */
export async function listMade(shop: StoredShop): Promise<{ readonly lines: readonly MadeLine[]; readonly stale: readonly Stale[] }> {
  const [{ summaries, without }, entries, raw] = await Promise.all([listSummaries(), keysUnder('log/'), readUnder('made/')]);
  const counts = new Map<string, number>();
  for (const key of entries) {
    const id = key.slice('log/'.length, key.lastIndexOf('/'));
    // what was rehearsed was not made
    if (isRehearsal(id)) continue;
    counts.set(id, (counts.get(id) ?? 0) + 1);
  }
  const known = new Map(unstored);
  for (const [i, [, value]] of raw.entries()) {
    const read = Stored.safeParse(value);
    if (read.success) known.set(read.data.id, read.data);
    if (i % SLICE === SLICE - 1) await rest();
  }
  const lines: MadeLine[] = [];
  const stale: Stale[] = without.filter((id) => counts.has(id)).map((id) => ({ id, of: '' }));
  for (const summary of summaries) {
    const count = counts.get(summary.id);
    if (count === undefined) continue;
    const made = known.get(summary.id);
    const of = madeFrom(summary.revision, shop, count);
    // all of its entries withdrawn: nothing was made
    if (made && made.ended !== '') lines.push({ ...made, summary });
    if (made?.of !== of) stale.push({ id: summary.id, of });
  }
  return { lines: lines.toSorted((a, b) => (a.ended < b.ended ? 1 : -1)), stale };
}

/** Makes the line of a job anew; it is empty for one whose entries were all withdrawn. */
export async function makeMade(id: string, shop: StoredShop): Promise<void> {
  const [stored, log] = await Promise.all([loadJob(id), loadLog(id)]);
  if (!stored) return;
  // a first visit after an update: the lists know nothing of it yet
  if (!(await summaryBefore(id))) await keepSummary(summaryOf(stored));
  const record = recordOf(stored, log, shop.shop);
  const says = (...verdicts: readonly string[]) => record?.verdicts.filter((v) => verdicts.includes(v.says)).length ?? 0;
  const { minutes } = (record?.time.of ?? {}) as { readonly minutes?: readonly number[] };
  const made: Made = {
    version: VERSION,
    id,
    of: madeFrom(stored.revision, shop, (await keysUnder(`log/${id}/`)).length),
    issued: stored.job.issue !== undefined,
    begun: record?.pieces.begun ?? 0,
    scrapped: record?.pieces.scrapped ?? 0,
    ended: record?.ended ?? '',
    within: says('in'),
    out: says('over', 'under'),
    untold: says('cannotTell'),
    minutes: [...(minutes ?? [])],
    words: record?.words ?? '',
  };
  await write(`made/${id}`, made).then(
    () => unstored.delete(id),
    () => unstored.set(id, made),
  );
}
