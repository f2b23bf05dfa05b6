import { type Bar, type Chosen, type Job, type Machine, orChosen, type Shop } from '../document';
import type { Part } from '../drawing';
import type { Reason, RuleName } from '../finding';
import type { StartedPiece } from '../holding';
import { type Figure, figure, type Sentence } from '../quantity';
import { wayOf } from '../shop';
import type { Material } from '../standards';
import type { Region } from '../stock';

/** What every operation is made from; nothing of it changes while a route is looked for. */
export interface Facts {
  readonly job: Job;
  readonly shop: Shop;
  readonly part: Part;
  readonly material: Material;
  readonly machine: Machine;
  readonly bar: Bar;
  /** the finished part, for cuts that follow its outline */
  readonly finished: Region;
  readonly chosen: Chosen;
  /** the piece that is worked on where it is no fresh bar */
  readonly started?: StartedPiece;
}

export interface ToGet {
  readonly what: Sentence;
  readonly how: 'buy' | 'make' | 'order';
  readonly holdsUp: readonly string[];
  /** what does at hand meanwhile, and its price */
  readonly instead?: { readonly says: Sentence; readonly costs: Figure };
}

/** A value of a data choice for this step over the computed figure. */
export function chosenData(facts: Facts, id: string, name: 'speed' | 'feed' | 'depth' | 'passes', computed: Figure): Figure {
  return orChosen(computed, facts.chosen.data.get(id)?.[name]);
}

export const wayChosen = (facts: Pick<Facts, 'shop' | 'chosen'>, key: string): string => wayOf(key, facts.shop.ways, facts.chosen.ways);

export const byHand = (handling: number): Figure => figure('time', 'minutesByHand', { handling });

export const reason = (rule: RuleName, says: Sentence, ...binds: readonly string[]): Reason => ({ rule, says, binds });
