import type { CutAsked } from '../cutting';
import type { Support } from '../holding';
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

/** One length that is set in a setup, from the face that is zero there. */
export interface LedgerLine {
  readonly step: string;
  /** what it is: a shoulder, a wall, a depth */
  readonly says: Sentence;
  /** the face that is zero */
  readonly from: 'right' | 'left';
  /** what the carriage, quill or stop is set to */
  readonly set: Figure;
  /** what the length itself may be, from the tolerance chart; absent where nothing drawn hangs on it */
  readonly min?: Figure;
  readonly max?: Figure;
  /** of a blade whose edge towards the headstock was touched on that face */
  readonly withBlade?: Figure;
  /** what is left of the quill at that depth */
  readonly quillLeft?: Figure;
}

export interface Setup {
  readonly id: string;
  readonly end: 'right' | 'left' | null;
  readonly holding: string;
  readonly support: readonly Support[];
  readonly grip: Figure;
  readonly stickOut: Figure;
  readonly runout: Figure;
  readonly minutes: Figure;
  /** what its holding and the cautions met in it are taken for, in minutes */
  readonly weighs: Figure;
  /** the order of its steps may be dearer than the cheapest by so much, minutes; absent where it is proven the cheapest */
  readonly unproven?: number;
  /** z of the bar or piece that the jaws hold: from, to */
  readonly gripped: readonly [number, number];
  /** what they close on, mm */
  readonly gripDiameter: number;
  /** held by its bore, on an arbor that fills it */
  readonly onArbor?: true;
  /** carried between two centres, or clamped on a plate: no jaws */
  readonly carried?: 'centres' | 'plate';
  readonly before: Region;
  /** the finishing cut under which the work gives way most: its step, z, spring on radius, and the bent line from the jaws (z, mm sideways) */
  readonly bent?: { readonly step: string; readonly at: number; readonly spring: Figure; readonly line: readonly (readonly [number, number])[] };
  readonly steps: readonly Step[];
  readonly lengths: readonly LedgerLine[];
}

/** How a piece is carried as a whole: in chucks, between its centres, or clamped on a plate. */
export type LayoutName = 'chuck' | 'centres' | 'plate';

export interface Route {
  readonly bar: {
    readonly id: string;
    readonly cut: Figure;
    /** which bars of the rack the pieces come out of, and what is left of each */
    readonly from: readonly { readonly id: string; readonly pieces: number; readonly left: Figure; readonly goesBack: boolean }[];
  };
  /** how true the relations of the drawing come out: not exceeded in 19 of 20, and how often within the limit */
  readonly runouts: readonly {
    readonly relation: string;
    readonly oneChucking: boolean;
    readonly limit: Figure;
    readonly expected: Figure;
    readonly chance: Figure;
  }[];
  readonly setups: readonly Setup[];
  readonly cost: {
    readonly minutes: Figure;
    /** of tools, in all setups */ readonly changes: Figure;
    /** of all pieces */ readonly all: Figure;
    readonly risk: Figure;
    readonly total: Figure;
  };
  /** the end that is worked first */
  readonly first: 'right' | 'left';
  /** held in chucks, between centres, or on a plate */
  readonly layout: LayoutName;
  readonly differs: Sentence;
  /** of all pieces: hands on, waiting with nothing to do, and both */
  readonly time: { readonly attended: Figure; readonly waiting: Figure; readonly elapsed: Figure };
  readonly schedule: readonly {
    readonly piece: number;
    readonly step: string;
    readonly starts: Figure;
    readonly attended: Figure;
    readonly waits: Figure;
  }[];
}
