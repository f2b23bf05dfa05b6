import type { CutAsked } from '../cutting';
import type { Limits } from '../drawing';
import type { Reason } from '../finding';
import type { Figure, Sentence } from '../quantity';
import type { Region } from '../stock';
import type { Verb } from './verbs.table';

export interface Pass {
  readonly from: readonly [number, number];
  readonly to: readonly [number, number];
  /** on radius, mm */
  readonly depth: number;
}

export interface Step {
  readonly id: string;
  readonly verb: Verb;
  /** the rows or aspects it makes; the first names it */
  readonly does: readonly string[];
  /** where its verb has several: of a taper 'compound', 'set-over', 'form' */
  readonly method?: string;
  readonly tool?: string;
  /** named where one stops to measure */
  readonly gauge?: string;
  readonly because: readonly Reason[];
  readonly cautions: readonly string[];
  readonly figures: Readonly<Record<string, Figure>>;
  readonly passes: readonly Pass[];
  /** the limits that this step works to, where they are not the drawing's own: plating to come, or emery */
  readonly limits?: Limits;
  /** numbers that follow one another: infeed after each pass, depth of each peck */
  readonly series?: { readonly says: Sentence; readonly figures: readonly Figure[] };
  /** a roughing cut as it was asked: what its limits are drawn from */
  readonly cut?: CutAsked;
  readonly removes: Region;
  readonly after: Region;
  /** in words: what it makes */
  readonly says: Sentence;
}
