/** A piece of outline in the drawing's own axes, mm; bulge = tan(arc / 4), counter-clockwise positive. */
export interface Segment {
  readonly x0: number;
  readonly y0: number;
  readonly x1: number;
  readonly y1: number;
  readonly bulge: number;
}

/** Ends nearer than this are one, mm. */
export const JOIN = 0.01;
