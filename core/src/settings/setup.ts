import type { Step } from '../operations';
import type { Support } from '../holding';
import type { Figure, Sentence } from '../quantity';
import type { Region } from '../stock';

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
  /** the same chuck as the setting before it: the bar was only pulled out */
  readonly pulled?: true;
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
