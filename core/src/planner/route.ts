import type { LayoutName, RelationMade, Setup } from '../settings';
import type { Figure, Sentence } from '../quantity';

export interface Route {
  readonly bar: {
    readonly id: string;
    readonly cut: Figure;
    /** which bars of the rack the pieces come out of, and what is left of each */
    readonly from: readonly { readonly id: string; readonly pieces: number; readonly left: Figure; readonly goesBack: boolean }[];
  };
  /** how true the relations of the drawing come out */
  readonly runouts: readonly RelationMade[];
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
