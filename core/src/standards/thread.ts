import type { Sentence } from '../quantity';

/** Limits in mm; null is a bound that the standard leaves free, or that these tables do not hold (then `remark` says so). */
export interface Bounds {
  readonly max: number | null;
  readonly min: number | null;
}

/** The basic form, mm; null where the standard's rounding is not known here. */
export interface Basic {
  readonly major: number;
  readonly pitchDiameter: number | null;
  readonly minor: number | null;
}

/** A thread as designated, mm throughout. */
export interface Thread {
  readonly family: 'metric' | 'unified' | 'whitworth' | 'pipe' | 'ba' | 'trapezoidal' | 'acme';
  /** written in full: 'M12x1.75-6g', '1/2-13 UNC-2A' */
  readonly designation: string;
  readonly nominal: number;
  readonly pitch: number;
  /** mm a turn, where there are several starts */
  readonly lead?: number;
  readonly leftHand: boolean;
  readonly internal: boolean;
  readonly basic: Basic;
  readonly major: Bounds;
  readonly pitchDiameter: Bounds;
  readonly minor: Bounds;
  /** normal length of engagement (N) of a metric thread: over, up to and including; shorter is S, longer is L */
  readonly engagement?: { readonly over: number; readonly to: number };
  /** what a person should know: a pitch that no standard lists, a limit that is not in this table */
  readonly remark?: Sentence;
}

export type ReadThread =
  { readonly ok: true; readonly thread: Thread } | { readonly ok: false; readonly says: Sentence; readonly nearest: readonly string[] };

export const FREE: Bounds = { max: null, min: null };

/** Free of binary dust. */
export const dustless = (value: number): number => Number(value.toFixed(6));
