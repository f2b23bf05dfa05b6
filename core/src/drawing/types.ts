import type { Finding } from '../finding';
import type { Sentence } from '../quantity';

/** Limits of a size in mm; of a diameter always on diameter. */
export interface Limits {
  readonly nominal: number;
  readonly max: number;
  readonly min: number;
  readonly from: 'typed' | 'class' | 'mate' | 'general';
}

/** What a size cell was understood as. */
export type Size =
  | { readonly kind: 'diameter'; readonly limits: Limits }
  | { readonly kind: 'thread'; readonly designation: string; readonly leftHand: boolean }
  | {
      readonly kind: 'taper';
      readonly near: Limits;
      readonly far?: Limits;
      readonly ratio?: number;
      readonly narrows: 'near' | 'far';
      readonly name?: string;
    }
  | { readonly kind: 'ball'; readonly limits: Limits }
  | { readonly kind: 'polygon'; readonly sides: 4 | 6; readonly across: Limits }
  | { readonly kind: 'bar' }
  | { readonly kind: 'unknown'; readonly says: Sentence; readonly nearest: readonly string[] };

/** Part coordinates: z grows to the right, 0 at the finished right face; r >= 0; mm; bulge = tan(arc / 4) to the next vertex. */
export interface Vertex {
  readonly z: number;
  readonly r: number;
  readonly bulge: number;
  readonly of: string;
}

/** Closed, counter-clockwise, the half section above the centre line; sizes are never read back from it. */
export type Contour = readonly Vertex[];

export interface Feature {
  readonly id: string;
  readonly form: 'cylinder' | 'taper' | 'thread' | 'ball' | 'polygon' | 'face' | 'groove' | 'edge' | 'knurl' | 'centre' | 'elsewhere';
  readonly side: 'outside' | 'right' | 'left';
  /** z of its two faces; near is the one towards the end that its list starts at */
  readonly near: number;
  readonly far: number;
  readonly nearDiameter: Limits;
  readonly farDiameter: Limits;
  readonly thread?: string;
  readonly usable?: number;
  /** Ra in micrometres */
  readonly finish?: number;
  /** chamfers, mm along the axis at 45 degrees, at the near and the far edge */
  readonly chamferNear?: number;
  readonly chamferFar?: number;
  /** of a blind hole: half of its point angle in degrees, 90 for a flat bottom */
  readonly bottom?: number;
}

export interface Characteristic {
  readonly id: string;
  readonly balloon: number;
  readonly of: string;
  readonly is: 'diameter' | 'length' | 'angle' | 'thread' | 'finish' | 'runout';
  readonly limits?: Limits;
  readonly text?: string;
  /** of a thread: limits of its pitch diameter, mm, where the tables hold them */
  readonly pitchDiameter?: { readonly max: number; readonly min: number };
  readonly care: 'critical' | 'ordinary' | 'byEye';
}

export interface Part {
  /** id in the material table, for correcting warm readings */
  readonly material: string;
  readonly length: number;
  readonly contour: Contour;
  readonly features: readonly Feature[];
  readonly characteristics: readonly Characteristic[];
  readonly findings: readonly Finding[];
}
