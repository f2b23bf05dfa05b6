import type { Cell, Relation } from '../document';
import type { Finding } from '../finding';
import type { Sentence } from '../quantity';
import type { DrawnThread, ShoulderUndercut } from '../standards';

/** Limits of a size in mm; of a diameter always on diameter. */
export interface Limits {
  readonly nominal: number;
  readonly max: number;
  readonly min: number;
  readonly from: 'typed' | 'class' | 'mate' | 'general';
}

/** What a size cell was understood as. `near` is the end towards the face that the row's list starts at. */
export type Size =
  | {
      readonly kind: 'diameter';
      readonly limits: Limits;
      /** as asked for in the cell: '12 H7 reamed' */ readonly made?: 'drilled' | 'bored' | 'reamed';
    }
  | { readonly kind: 'thread'; readonly designation: string; readonly leftHand: boolean }
  | {
      readonly kind: 'taper';
      /** absent where a named taper gives only its large end */
      readonly near?: Limits;
      readonly far?: Limits;
      /** diameter lost in one millimetre of length */
      readonly slope?: number;
      readonly large?: number;
      /** absent where the row's place in the part decides */
      readonly narrows?: 'near' | 'far';
      readonly name?: string;
    }
  | { readonly kind: 'ball'; readonly limits: Limits }
  | { readonly kind: 'arc'; readonly near: Limits; readonly far: Limits; readonly radius: number; readonly hollow: boolean }
  | { readonly kind: 'polygon'; readonly sides: 4 | 6; readonly across: Limits }
  | { readonly kind: 'bar'; readonly across: Limits }
  | { readonly kind: 'unknown'; readonly says: Sentence; readonly nearest: readonly string[] };

/** What an edge cell was understood as; mm, degrees. */
export type Edge =
  | { readonly kind: 'none' }
  | { readonly kind: 'sharp' }
  /** `along` the axis, at `degrees` to it */
  | { readonly kind: 'chamfer'; readonly along: number; readonly degrees: number }
  | { readonly kind: 'break'; readonly size: number }
  | { readonly kind: 'radius'; readonly radius: number }
  | { readonly kind: 'shoulderUndercut'; readonly name: string; readonly undercut: ShoulderUndercut }
  | { readonly kind: 'threadUndercut'; readonly form: 'A' | 'B' }
  /** of a hole's end: included angle, 180 for flat */
  | { readonly kind: 'bottom'; readonly degrees: number };

/** Part coordinates: z grows to the right, 0 at the finished right face; r >= 0; mm; bulge = tan(arc / 4) to the next vertex. */
export interface Vertex {
  readonly z: number;
  readonly r: number;
  readonly bulge: number;
  readonly of: string;
}

/** Closed, counter-clockwise, the half section above the centre line; sizes are never read back from it. */
export type Contour = readonly Vertex[];

/** A row, understood. Details cut in rows and ends are `PartDetail`. */
export interface Feature {
  readonly id: string;
  readonly form: 'cylinder' | 'taper' | 'thread' | 'ball' | 'arc' | 'polygon';
  readonly side: 'outside' | 'right' | 'left';
  /** z of its two faces; near is the one towards the end that its list starts at */
  readonly near: number;
  readonly far: number;
  /** of a thread where its crests lie; of a polygon across its corners */
  readonly nearDiameter: Limits;
  readonly farDiameter: Limits;
  readonly thread?: string;
  readonly usable?: number;
  /** that length of full thread was asked for in its cell */
  readonly usableAsked?: true;
  /** Ra in micrometres */
  readonly finish?: number;
  /** chamfers and broken edges, mm along the axis at 45 degrees, at the near and the far edge */
  readonly chamferNear?: number;
  readonly chamferFar?: number;
  readonly edgeNear: Edge;
  readonly edgeFar: Edge;
  /** of a hole that ends here: half of its point angle in degrees, 90 for a flat bottom */
  readonly bottom?: number;
  /** goes on into the other end's hole or through the other face */
  readonly through?: boolean;
  /** the other end's hole comes through into this one */
  readonly met?: boolean;
  readonly made?: 'drilled' | 'bored' | 'reamed';
  /** of a taper: diameter lost in one millimetre, and its name */
  readonly slope?: number;
  readonly taper?: string;
  /** of a ball or an arc, mm; `hollow` where the metal is hollow */
  readonly radius?: number;
  readonly hollow?: boolean;
  /** of a ball: z of its centre */
  readonly centre?: number;
  /** of a polygon: its sides, and across its flats */
  readonly sides?: 4 | 6;
  readonly across?: Limits;
  /** the drawn surface of the bar may stay */
  readonly asDrawn?: boolean;
}

export type DetailKind =
  | 'groove'
  | 'ringGroove'
  | 'faceGroove'
  | 'knurl'
  | 'centre'
  | 'countersink'
  | 'mark'
  | 'crossHole'
  | 'flat'
  | 'hexagon'
  | 'keyway'
  | 'slot'
  | 'boltCircle';

/** What the mouth of a hole is opened to, mm. */
export interface HoleHead {
  readonly form: 'counterbore' | 'countersink';
  readonly diameter: number;
  /** of a counterbore to its floor; of a countersink of its cone */
  readonly depth: number;
  /** of a countersink, degrees */
  readonly angle?: number;
}

/** Something cut in a row or an end, understood; mm. */
export interface PartDetail {
  readonly id: string;
  readonly kind: DetailKind;
  /** a row, or 'right' or 'left' */
  readonly on: string;
  /** z of its two ends, near the one towards the end that the row's list starts at; equal for what has no length */
  readonly near: number;
  readonly far: number;
  /** at the bottom of a groove; a hole's own; across flats; the outer one of a face groove */
  readonly diameter?: Limits;
  /** on radius, or along the axis for what is cut in a face */
  readonly depth?: number;
  readonly width?: number;
  /** degrees: between the walls of a groove, of a countersink, where a cross hole or the first of a circle stands */
  readonly angle?: number;
  readonly count?: number;
  /** corner radius at the bottom of a groove */
  readonly radius?: number;
  /** a groove that is an arc */
  readonly round?: boolean;
  readonly pitch?: number;
  /** of a hole beside the axis that is tapped, reamed, opened at its mouth */
  readonly thread?: DrawnThread;
  readonly reamed?: true;
  readonly head?: HoleHead;
  /** its computed numbers, in words */
  readonly says: Sentence;
  readonly source: string;
}

export interface Characteristic {
  readonly id: string;
  readonly balloon: number;
  readonly of: string;
  readonly is: 'diameter' | 'length' | 'angle' | 'thread' | 'finish' | 'runout';
  /** a length: between which faces */
  readonly between?: readonly [string, string];
  /** mm; of an angle to the axis degrees, of a finish micrometres Ra */
  readonly limits?: Limits;
  readonly text?: string;
  /** of a relation: to what */
  readonly relation?: { readonly kind: Relation['kind']; readonly to: string };
  /** of a thread: limits of its pitch diameter, mm, where the tables hold them */
  readonly pitchDiameter?: { readonly max: number; readonly min: number };
  readonly care: 'critical' | 'ordinary' | 'byEye';
}

export interface ReadRelation {
  readonly id: string;
  readonly kind: Relation['kind'];
  readonly of: string;
  readonly to: string;
  /** indicator reading, high to low, from 0; of a distance what it may be; mm */
  readonly limits: Limits;
}

export interface Part {
  /** id in the material table, for correcting warm readings */
  readonly material: string;
  readonly length: number;
  readonly contour: Contour;
  readonly features: readonly Feature[];
  readonly details: readonly PartDetail[];
  /** z of every face by its name: 'right', 'left', '<row>.far' */
  readonly faces: Readonly<Record<string, number>>;
  /** the lengths as drawn, and the overall one */
  readonly distances: readonly Distance[];
  /** what each fit to a piece comes to, by its id; absent by trial and while it is not understood or measured */
  readonly mates: Readonly<Record<string, MateLimits>>;
  readonly relations: readonly ReadRelation[];
  readonly characteristics: readonly Characteristic[];
  readonly findings: readonly Finding[];
}

/** What a mate comes to. */
export interface MateLimits {
  readonly limits: Limits;
  /** the mate at 20 C, mm; undefined where it was not measured */
  readonly mate: number | undefined;
  /** the other half of the fit, as far as it is known: as measured, or by its standard */
  readonly other?: { readonly max: number; readonly min: number };
  readonly says: Sentence;
}

/** A length of the drawing between two faces; `a` is nearer to the right end. */
export interface Distance {
  /** the row whose length it is, or 'overall' */
  readonly id: string;
  readonly a: string;
  readonly b: string;
  readonly limits: Limits;
}

/** How cells of a kind are read: never throws, says what was not understood. */
export type ReadCell<T> = (
  text: string,
  units: Cell['units'],
) => { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problems: readonly { readonly says: Sentence }[] };
