import type { Gauge, Machine } from '../document';
import type { Limits } from '../drawing';
import type { Truth } from '../lathe';
import type { SizedKind } from '../sizing';

/** What spoils a piece whatever it measures. */
export type Spoiled = 'crossed' | 'plunged' | 'jaws';

/** How the half-nuts are worked. */
export type Nuts = 'open' | 'any' | 'line' | 'kept';

/** What somebody does at the stand. */
export type Deed =
  /** the handle is turned until its dial shows so much, in its own unit */
  | { readonly do: 'dial'; readonly to: number }
  /** the other handle is turned until the tool stands so far clear of the edge of the work, mm; under nothing it is over it */
  | { readonly do: 'along'; readonly to: number }
  /** the ring of the dial is set to zero where it stands */
  | { readonly do: 'zero' }
  | { readonly do: 'levers'; readonly rpm: number; readonly feed: number }
  | { readonly do: 'coolant'; readonly on: boolean }
  /** what the person takes the cross dial for, from now on */
  | { readonly do: 'believe'; readonly reads: 'radius' | 'diameter' }
  /** emery over the turning piece, a stroke */
  | { readonly do: 'emery' }
  /** a pass at the setting as it stands */
  | { readonly do: 'pass' }
  | { readonly do: 'read'; readonly gauge: string }
  | { readonly do: 'wait'; readonly minutes: number }
  /** what came over the line of a gauge that speaks, in place of its display: mm, or nothing */
  | { readonly do: 'heard'; readonly mm: number | null }
  /** how the half-nuts are closed for a pass of a thread: at any line, at one line of the thread dial, kept closed and run back, or open */
  | { readonly do: 'nuts'; readonly at: Nuts }
  /** the tailstock centre is brought up, or drawn back */
  | { readonly do: 'centre'; readonly up: boolean }
  /** it is let go as it is */
  | { readonly do: 'done' };

/** A gauge as it lies on the bench: what it is said to be good for is told, what it truly is not. */
export interface StandGauge extends Gauge {
  readonly truly: { readonly bias: number; readonly repeat: number; readonly slips: number };
}

/** The way of the tool over the work, by the other handle: along the bed for a diameter, across for a face. Lengths in mm. */
export interface StandWay {
  readonly axis: 'carriage' | 'cross';
  /** from the edge to where the pass ends */
  readonly long: number;
  /** so far behind the edge stand the jaws */
  readonly jaws?: number;
}

/** A stand as it is set up. Lengths in mm; the dial counts as it says. */
export interface StandSet {
  readonly number: number;
  readonly kind: SizedKind;
  readonly wanted: Limits;
  readonly truth: Truth;
  /** the size before the first cut, as it is drawn: of a bore it grows */
  readonly begins: number;
  /** where the dial stands when the tool touches, and where it stands first */
  readonly touches: number;
  readonly starts: number;
  readonly machine: Machine;
  readonly axis: keyof Machine['dials'];
  /** what one unit of the dial takes off the size */
  readonly takes: number;
  readonly material: string;
  /** nose of the tool, mm */
  readonly nose: number;
  readonly gauges: readonly StandGauge[];
  readonly speeds: readonly number[];
  readonly feeds: readonly number[];
  /** what the tool and the stuff want: m/min */
  readonly speed: number;
  /** of a thread: what its pitch asks of the half-nuts on this leadscrew */
  readonly nuts?: Exclude<Nuts, 'open'>;
  /** what the plan expects to give way for each mm that is cut */
  readonly spring?: number;
  /** the shop says that the dial reads so; it may be wrong */
  readonly says: 'radius' | 'diameter' | 'length';
  readonly way: StandWay;
  /** the reading that the dial is to be brought to, where only that is asked; mm of dial */
  readonly toRead?: number;
}

/** What is seen, heard and felt after a deed. */
export interface Seen {
  readonly chips?: string;
  readonly sound?: string;
  readonly surface?: string;
  /** of the piece to the hand */
  readonly warm?: string;
  /** what the gauge showed, mm; undefined where what it sent was not taken */
  readonly reading?: number | undefined;
  readonly says?: string;
}

/** What it came to: told only when it is let go. */
export interface Outcome {
  /** the size as it truly is, cold */
  readonly size: number;
  readonly landed: 'in' | 'more' | 'past';
  /** what spoiled it whatever it measures: a pass beside its groove, the tool plunged in under size, the tool run into the jaws */
  readonly spoiled?: Spoiled;
  readonly cuts: number;
  readonly readings: number;
  readonly minutes: number;
}
