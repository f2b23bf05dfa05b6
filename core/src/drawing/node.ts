import type { Edge } from './types';

/** A corner of the half section before its edges are cut; bulge to the next one. */
export interface Node {
  readonly z: number;
  readonly r: number;
  readonly bulge: number;
  readonly of: string;
  readonly corner?: Corner;
}

export interface Corner {
  readonly edge: Edge;
  /** as findings name it: 's3.near' */
  readonly about: string;
  /** the row whose edge this is lies after the node, its face before; else the other way round */
  readonly rowIsNext: boolean;
  /** of a thread, mm: it decides the undercut */
  readonly pitch?: number;
}

export type Vector = readonly [z: number, r: number];

export const add = (a: Vector, b: Vector, by = 1): Vector => [a[0] + b[0] * by, a[1] + b[1] * by];
export const cross = (a: Vector, b: Vector): number => a[0] * b[1] - a[1] * b[0];
export const dot = (a: Vector, b: Vector): number => a[0] * b[0] + a[1] * b[1];

/** Direction and distance from one point to another. */
export function towards(
  from: { readonly z: number; readonly r: number },
  to: { readonly z: number; readonly r: number },
): { readonly unit: Vector; readonly long: number } {
  const [z, r] = [to.z - from.z, to.r - from.r];
  const long = Math.hypot(z, r);
  return { unit: long > 0 ? [z / long, r / long] : [0, 0], long };
}
