import type { Sentence } from '../quantity';

/** Across, up; in the sketch's own units (mm, or micrometres for zones of tolerance). */
export type Point = readonly [x: number, y: number];
export type Said = string | Sentence;

/** How an area is shown: cut metal hatched, a second part hatched the other way, what is cut away, a gauge. */
export type Surface = 'metal' | 'mate' | 'cut' | 'gauge' | 'hole zone' | 'shaft zone';

export type Shape =
  | { readonly is: 'area'; readonly points: readonly Point[]; readonly as: Surface }
  | { readonly is: 'circle'; readonly at: Point; readonly r: number; readonly as: Surface | 'line' | 'chain' }
  | { readonly is: 'line'; readonly points: readonly Point[]; readonly as: 'ink' | 'thin' | 'chain' }
  /** a distance, its line `off` pixels aside of the two points: to the left of the way from one to the other where positive */
  | { readonly is: 'dim'; readonly from: Point; readonly to: Point; readonly off: number; readonly says: Said }
  /** an angle at a point from one direction to another, degrees anticlockwise */
  | { readonly is: 'angle'; readonly at: Point; readonly from: number; readonly to: number; readonly r: number; readonly says: Said }
  | { readonly is: 'label'; readonly at: Point; readonly says: Said; readonly side?: 'left' | 'right' | 'middle'; readonly up?: number };

/** A figure to scale, the same across as up; what it shows in words is `about`. */
export interface Sketch {
  readonly about: string;
  readonly shapes: readonly Shape[];
}

export const area = (as: Surface, ...points: Point[]): Shape => ({ is: 'area', points, as });
export const line = (as: 'ink' | 'thin' | 'chain', ...points: Point[]): Shape => ({ is: 'line', points, as });
export const circle = (as: Surface | 'line' | 'chain', at: Point, r: number): Shape => ({ is: 'circle', at, r, as });
export const dim = (from: Point, to: Point, off: number, says: Said): Shape => ({ is: 'dim', from, to, off, says });
export const label = (at: Point, says: Said, side: 'left' | 'right' | 'middle' = 'middle', up = 0): Shape => ({ is: 'label', at, says, side, up });
export const angleOf = (at: Point, from: number, to: number, r: number, says: Said): Shape => ({ is: 'angle', at, from, to, r, says });

const radians = (degrees: number) => (degrees * Math.PI) / 180;

/** A point at a distance and a direction (degrees) from another. */
export const polar = ([x, y]: Point, r: number, degrees: number): Point => [x + r * Math.cos(radians(degrees)), y + r * Math.sin(radians(degrees))];

/** The same points with up and down changed about the axis. */
export const mirrored = (points: readonly Point[]): readonly Point[] => points.map(([x, y]): Point => [x, -y]);
