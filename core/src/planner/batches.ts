import type { Job, Shop } from '../document';
import { besideLathe } from '../operations';
import { figure, type Figure } from '../quantity';
import { holdingOf, practice } from '../shop';
import type { Route } from './route';
import { scheduleOf, totalsOf } from './schedule';

/** A batch made in one way, minutes. */
export interface Batch {
  readonly mode: 'operation' | 'piece';
  /** hands on */
  readonly attended: Figure;
  /** hands free and nothing to do */
  readonly waiting: Figure;
  /** how often what is on the spindle is changed */
  readonly changes: number;
  readonly changing: Figure;
  /** from the first hand laid on to the last taken off */
  readonly elapsed: Figure;
  /** until the first piece is whole and can be looked at */
  readonly first: Figure;
  /** less in all than the other way; absent where that is nothing to a person */
  readonly saves?: Figure;
}

/** Less than this is no difference over a batch, minutes. */
const FELT = 0.5;

/**
 * Each setup on every piece, and each piece right through, with what changing holdings costs beside the steps: soft jaws and soft collets that left the spindle are
 * bored anew.
 * @source batch, common practice; minutes judgement
 */
export function batchesOf(job: Job, { setups }: Pick<Route, 'setups'>, shop: Shop): readonly Batch[] {
  const both = (['operation', 'piece'] as const).map((mode): Batch => {
    const schedule = scheduleOf(job, setups, mode);
    const time = totalsOf(schedule);
    const steps = new Map(setups.flatMap((s) => s.steps.map((step) => [step.id, { step, holding: s.holding }] as const)));
    const bored = new Set<string>();
    let mounted: string | undefined;
    let [changes, again, done] = [0, 0, 0];
    const took = () => changes * practice.minutesChange + again;
    for (const line of schedule) {
      const at = steps.get(line.step);
      if (at && !besideLathe.includes(at.step.verb) && at.holding !== mounted) {
        if (mounted !== undefined) changes++;
        if (bored.has(at.holding)) again += boredAnew(shop, at.holding);
        bored.add(at.holding);
        mounted = at.holding;
      }
      if (line.piece === 1) done = line.starts.value + line.attended.value + line.waits.value + took();
    }
    const changing = figure('time', 'changesTake', { changes, each: practice.minutesChange, again });
    return {
      mode,
      attended: figure('time', 'totalMinutes', { minutes: [time.attended.value, changing.value] }),
      waiting: time.waiting,
      changes,
      changing,
      elapsed: figure('time', 'totalMinutes', { minutes: [time.elapsed.value, changing.value] }),
      first: figure('time', 'startsAfter', { minutes: [done] }),
    };
  });
  return both.map((own) => {
    const longer = Math.max(...both.map((b) => b.elapsed.value));
    const saves = figure('time', 'lessMinutes', { longer, shorter: own.elapsed.value });
    return saves.value > FELT ? { ...own, saves } : own;
  });
}

/** Minutes to bore a seat anew that has left the spindle. @source made-to-hold, common practice */
function boredAnew(shop: Shop, id: string): number {
  const kind = holdingOf(shop, id)?.kind;
  return kind === 'softJaws' ? practice.makeSoftJaws : kind === 'softCollet' ? practice.makeSoftCollet : 0;
}
