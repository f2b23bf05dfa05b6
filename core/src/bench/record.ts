import { practice } from '../shop';
import { type Entry, type Gauge, liveEntries, orderWords, type Shop, type StoredJob } from '../document';
import { type Part, readDrawing } from '../drawing';
import { inspect, type Verdict } from '../inspection';
import { figure, type Figure } from '../quantity';

/** What the logbook says of a job: when, how many, how it measured, how long. */
export interface JobRecord {
  readonly id: string;
  readonly part: Part;
  readonly began: string | undefined;
  readonly ended: string | undefined;
  readonly pieces: { readonly begun: number; readonly scrapped: number };
  readonly verdicts: readonly Verdict[];
  readonly readings: readonly Extract<Entry, { kind: 'reading' }>[];
  /** as they were when it was given out: what each was found to read over */
  readonly gauges: readonly Gauge[];
  /** by the id of a reading: what was foretold of it before the cut, cold, mm */
  readonly foretold: ReadonlyMap<string, { readonly expects: number; readonly deviation: number }>;
  /** minutes at the machine: from entry to entry, longer pauses left out */
  readonly time: Figure;
  /** every word that it may be found by, in small letters */
  readonly words: string;
}

/** A job's record from its log; a job that was never at the Bench has none. */
export function recordOf({ id, job }: Pick<StoredJob, 'id' | 'job'>, log: readonly Entry[], shop: Shop): JobRecord | undefined {
  const live = liveEntries(log);
  const [first] = live;
  if (!first) return undefined;
  const drawing = job.issue?.drawing ?? job.drawing;
  const part = readDrawing(drawing);
  const times = live.map((e) => Date.parse(e.at)).sort((a, b) => a - b);
  const gaps = times.slice(1).map((t, i) => (t - (times[i] ?? t)) / 60_000);
  const scrapped = new Set(live.flatMap((e) => (e.kind === 'scrapped' ? [e.piece] : [])));
  const notes = live.flatMap((e) => (e.kind === 'note' ? [e.says] : e.kind === 'trial' ? [e.feel] : e.kind === 'symptom' ? [e.symptom] : []));
  return {
    id,
    part,
    began: live[0]?.at,
    ended: live.at(-1)?.at,
    pieces: { begun: new Set(live.map((e) => e.piece)).size, scrapped: scrapped.size },
    verdicts: inspect(part, job.issue?.kit ?? shop, live),
    readings: live.flatMap((e) => (e.kind === 'reading' ? [e] : [])),
    gauges: (job.issue?.kit ?? shop).gauges,
    foretold: foretoldIn(live),
    time: figure('time', 'totalMinutes', { minutes: gaps.filter((g) => g > 0 && g <= practice.pauseFrom) }),
    words: [
      job.name,
      job.customer ?? '',
      orderWords(job),
      drawing.material,
      ...Object.values(drawing.title),
      ...[...drawing.outside, ...drawing.boreRight, ...drawing.boreLeft].flatMap((r) => [r.size.text, r.note ?? '']),
      ...notes,
    ]
      .join(' ')
      .toLowerCase(),
  };
}

/** Of each reading the promise of the cut before it, where one was made at the same step. */
function foretoldIn(live: readonly Entry[]): JobRecord['foretold'] {
  const promised = new Map<string, { readonly expects: number; readonly deviation: number }>();
  const found = new Map<string, { readonly expects: number; readonly deviation: number }>();
  for (const e of live) {
    const at = `${e.step ?? ''}/${String(e.piece)}`;
    if (e.kind === 'cut') {
      if (e.told) promised.set(at, e.told);
      else promised.delete(at);
    }
    const told = promised.get(at);
    if (e.kind === 'reading' && told) {
      found.set(e.id, told);
      promised.delete(at);
    }
  }
  return found;
}
