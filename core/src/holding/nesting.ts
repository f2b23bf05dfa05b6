import type { Bar, Shop } from '../document';
import { figure, type Figure, ROUNDING } from '../quantity';
import { mmOf, practice } from '../shop';

/** What a piece takes of a bar. Lengths in mm. */
export interface Takes {
  /** each piece, its kerf with it */
  readonly each: number;
  /** what the last piece out of a bar wants besides: the grip and the gap to the jaws, where the bar is pulled through */
  readonly once: number;
}

export interface CutFrom {
  readonly bar: Bar;
  readonly pieces: number;
  readonly left: Figure;
  /** long enough to be worth its place on the rack */
  readonly goesBack: boolean;
}

export interface Nesting {
  readonly cuts: readonly CutFrom[];
  /** pieces that no bar on the rack has metal for */
  readonly missing: number;
}

/**
 * Pieces laid on the bars of the rack: the shortest bar that takes all that are left, else the longest, so that as few bars as can be are begun
 * and what is left lies in one piece.
 * @throws RangeError for a piece that takes nothing
 */
export function nest(pieces: number, takes: Takes, bars: readonly Bar[]): Nesting {
  if (!(takes.each > 0) || !(takes.once >= 0)) throw new RangeError(`a piece takes ${takes.each} mm and ${takes.once} once`);
  const fits = (bar: Bar) => Math.max(0, Math.floor((mmOf(bar.length) - takes.once) / takes.each + ROUNDING));
  const free = bars.filter((b) => fits(b) > 0).toSorted((a, b) => mmOf(a.length) - mmOf(b.length) || (a.id < b.id ? -1 : 1));
  const cuts: CutFrom[] = [];
  let still = pieces;
  while (still > 0 && free.length > 0) {
    const enough = free.findIndex((b) => fits(b) >= still);
    const [bar] = free.splice(enough >= 0 ? enough : free.length - 1, 1);
    if (!bar) break;
    const taken = Math.min(still, fits(bar));
    const left = figure('length', 'barLeft', { bar: mmOf(bar.length), cut: takes.each, pieces: taken }, { step: 1 });
    cuts.push({ bar, pieces: taken, left, goesBack: left.value >= practice.stub });
    still -= taken;
  }
  return { cuts, missing: still };
}

/** The bars of the rack that are like one: another length of the same. */
export const likeBars = (bar: Bar, shop: Shop): readonly Bar[] =>
  shop.bars.filter(
    (b) => b.material === bar.material && b.form === bar.form && b.skin === bar.skin && Math.abs(mmOf(b.across) - mmOf(bar.across)) < 0.01,
  );
