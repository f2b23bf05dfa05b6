import type { Job } from '../document';
import { besideLathe, fittedOne, type Step } from '../operations';
import { atMost, fallsShort, figure } from '../quantity';
import { thingOf } from '../ref';
import type { Setup } from '../settings';
import type { Route } from './route';

type Line = Route['schedule'][number];

interface Task {
  readonly piece: number;
  readonly step: Step;
  readonly setup: number;
  /** the lathe is taken from the first step of a setup to its last */
  readonly lathe: boolean;
  readonly attended: number;
  readonly waits: number;
}

/** The setup from which each piece goes right through because its own mate is fitted to it there; none where no mates are numbered. */
export function fitsFrom(job: Job, setups: readonly Setup[]): number {
  if (job.pieces === 1) return Infinity;
  const rows = new Set(job.drawing.mates.filter(fittedOne).map((m) => thingOf(m.of)));
  const at = setups.findIndex((s) => s.steps.some((step) => step.gauge !== undefined && rows.has(thingOf(step.does[0] ?? ''))));
  return at < 0 ? Infinity : at;
}

/**
 * What is done when, with one person and one lathe. Each setup on every piece, or each piece right through; what waits beside the lathe (curing, tempering)
 * goes on while the next piece is turned; from the setup in which a mate is fitted on, each piece is finished with its own mate, what cools in the chuck holds the lathe up but not the hands, which then do what waits beside it.
 */
export function scheduleOf(job: Job, setups: readonly Setup[], mode: 'operation' | 'piece'): Route['schedule'] {
  const queue = tasksOf(job, setups, mode);
  const free = new Map<number, number>();
  let [hands, lathe] = [0, 0];
  const lines: Line[] = [];
  while (queue.length > 0) {
    // the first of each piece that may begin soonest; of equals the one that stands first
    const seen = new Set<number>();
    let best = -1;
    let soonest = Infinity;
    let latheAhead = false;
    for (const [i, task] of queue.entries()) {
      const ready = !seen.has(task.piece) && !(task.lathe && latheAhead);
      seen.add(task.piece);
      if (task.lathe) latheAhead = true;
      if (!ready) continue;
      const at = Math.max(hands, free.get(task.piece) ?? 0, task.lathe ? lathe : 0);
      if (fallsShort(at, soonest)) [best, soonest] = [i, at];
      // nothing begins before the hands are free
      if (atMost(soonest, hands)) break;
    }
    const [task] = queue.splice(Math.max(best, 0), 1);
    if (!task) break;
    const done = soonest + task.attended;
    hands = done;
    free.set(task.piece, done + task.waits);
    if (task.lathe) lathe = done + task.waits;
    lines.push({
      piece: task.piece,
      step: task.step.id,
      starts: figure('time', 'startsAfter', { minutes: [soonest] }),
      attended: figure('time', 'minutesByHand', { handling: task.attended }),
      waits: figure('time', 'minutesByHand', { handling: task.waits }),
    });
  }
  return lines;
}

function tasksOf(job: Job, setups: readonly Setup[], mode: 'operation' | 'piece'): Task[] {
  const pieces = Array.from({ length: job.pieces }, (_, i) => i + 1);
  const from = fitsFrom(job, setups);
  const ofSetup = (piece: number, setup: Setup, i: number): Task[] =>
    setup.steps.map((step) => {
      const minutes = step.figures['minutes']?.value ?? 0;
      const waits = Math.min(minutes, step.figures['waits']?.value ?? 0);
      return { piece, step, setup: i, lathe: !besideLathe.includes(step.verb), attended: minutes - waits, waits };
    });
  if (mode === 'piece') return pieces.flatMap((piece) => setups.flatMap((setup, i) => ofSetup(piece, setup, i)));
  // what is only pulled out stays in its chuck: its settings follow one another on each piece
  const chuckings = setups.reduce<number[][]>((so, setup, i) => {
    const last = so.at(-1);
    if (setup.pulled && last) last.push(i);
    else so.push([i]);
    return so;
  }, []);
  const through = (piece: number, list: readonly number[]) => list.flatMap((i) => (setups[i] ? ofSetup(piece, setups[i], i) : []));
  const one = (list: readonly number[]) => list.every((i) => i < from);
  return [
    ...chuckings.filter(one).flatMap((list) => pieces.flatMap((piece) => through(piece, list))),
    ...pieces.flatMap((piece) => chuckings.filter((list) => !one(list)).flatMap((list) => through(piece, list))),
  ];
}

/** When the last hand is taken off, and how much of that is work. */
export function totalsOf(schedule: Route['schedule']): Route['time'] {
  const attended = figure('time', 'totalMinutes', { minutes: schedule.map((l) => l.attended.value) });
  const end = schedule.reduce((latest, l) => Math.max(latest, l.starts.value + l.attended.value + l.waits.value), 0);
  const elapsed = figure('time', 'startsAfter', { minutes: [end] });
  return { attended, elapsed, waiting: figure('time', 'waitingTime', { elapsed: end, attended: attended.value }) };
}
