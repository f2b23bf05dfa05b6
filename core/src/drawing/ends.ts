import type { End } from '../ref';
import type { Feature, Part } from './types';

/** @example otherEnd('right') // 'left' */
export const otherEnd = (end: End): End => (end === 'right' ? 'left' : 'right');

/**
 * The painted letter of an end.
 * @example letterOf('left') // 'B'
 */
export const letterOf = (end: End): 'A' | 'B' => (end === 'right' ? 'A' : 'B');

/** z of the finished face of an end. */
export const faceOf = (part: Pick<Part, 'length'>, end: End): number => (end === 'right' ? 0 : -part.length);

/**
 * The way along z from the free end of a setup to the headstock.
 * @example inward('right') // -1
 */
export const inward = (end: End): 1 | -1 => (end === 'right' ? -1 : 1);

/** The edge of a row towards the free end of a setup, and the one towards the headstock; z of the part, mm. Holes are read from their own end, outside rows from A. */
export const mouthOf = ({ near, far }: Pick<Feature, 'near' | 'far'>, end: End): number =>
  end === 'right' ? Math.max(near, far) : Math.min(near, far);
export const innerOf = ({ near, far }: Pick<Feature, 'near' | 'far'>, end: End): number =>
  end === 'right' ? Math.min(near, far) : Math.max(near, far);

/** How far the mouth of a hole lies within the face of its end, mm: what stands between that face and a depth counted from the mouth. */
export const sunkOf = (part: Pick<Part, 'length'>, hole: Pick<Feature, 'near' | 'far'>, end: End): number =>
  Math.abs(mouthOf(hole, end) - faceOf(part, end));

/** The row that an end of the part ends in. */
export const rowAt = (rows: readonly Feature[], end: End): Feature | undefined => (end === 'right' ? rows[0] : rows.at(-1));

/** How long a row is, mm. */
export const longOf = (row: Feature): number => Math.abs(row.near - row.far);
