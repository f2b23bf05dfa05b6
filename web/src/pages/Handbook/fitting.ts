import type { Point, Said, Shape } from '@obra/core/handbook';
import { type Units, writeSentence } from '@obra/core/quantity';

const WIDE = 620;
export const HIGH = 340;
export const MARGIN = 8;
/** Width of a figure of the text, px. */
const LETTER = 7.8;

export type Map = (p: Point) => Point;
export interface Box {
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}

export const said = (says: Said, units: Units) => (typeof says === 'string' ? says : writeSentence(says, units));

type Label = Extract<Shape, { is: 'label' }>;
export type AngleShape = Extract<Shape, { is: 'angle' }>;
export type DimShape = Extract<Shape, { is: 'dim' }>;

export const placeOf = ({ at, side, up = 0 }: Label, map: Map): Point => {
  const [x, y] = map(at);
  return [x + (side === 'right' ? 6 : side === 'left' ? -6 : 0), y - up];
};

/** Where the line of a dimension runs, px: the two ends, and the direction away from what is measured. */
export function lineOf({ from, to, off }: DimShape, map: Map) {
  const [a, b] = [map(from), map(to)];
  const long = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
  // left of the way from one to the other, as the eye sees it (y runs down on the screen)
  const n: Point = [(b[1] - a[1]) / long, -(b[0] - a[0]) / long];
  const at = (p: Point, by: number): Point => [p[0] + n[0] * by, p[1] + n[1] * by];
  return { a, b, n, long, at, p: at(a, off), q: at(b, off) };
}

/** The largest scale at which the shapes with all their writing fit. */
export function fitted(shapes: readonly Shape[], units: Units): { readonly map: Map; readonly scale: number; readonly box: Box } {
  const points = shapes.flatMap((s): readonly Point[] => {
    if (s.is === 'area' || s.is === 'line') return s.points;
    if (s.is === 'circle')
      return [
        [s.at[0] - s.r, s.at[1] - s.r],
        [s.at[0] + s.r, s.at[1] + s.r],
      ];
    return s.is === 'dim' ? [s.from, s.to] : [s.at];
  });
  const [x0, x1] = [Math.min(...points.map(([x]) => x)), Math.max(...points.map(([x]) => x))];
  const [y0, y1] = [Math.min(...points.map(([, y]) => y)), Math.max(...points.map(([, y]) => y))];
  const at = (scale: number) => {
    const map: Map = ([x, y]) => [(x - x0) * scale, (y1 - y) * scale];
    const boxes = shapes.flatMap((s): readonly Box[] => boxOf(s, map, scale, units));
    const box: Box = {
      left: Math.min(0, ...boxes.map((b) => b.left)),
      right: Math.max((x1 - x0) * scale, ...boxes.map((b) => b.right)),
      top: Math.min(0, ...boxes.map((b) => b.top)),
      bottom: Math.max((y1 - y0) * scale, ...boxes.map((b) => b.bottom)),
    };
    return { map, scale, box };
  };
  let [low, high] = [0, Math.min(WIDE / Math.max(x1 - x0, 1e-9), HIGH / Math.max(y1 - y0, 1e-9))];
  for (let i = 0; i < 24; i++) {
    const middle = (low + high) / 2;
    const { box } = at(middle);
    if (box.right - box.left > WIDE - 2 * MARGIN || box.bottom - box.top > HIGH - 2 * MARGIN) high = middle;
    else low = middle;
  }
  return at(low);
}

/** Room that writing takes, px. */
function boxOf(s: Shape, map: Map, scale: number, units: Units): readonly Box[] {
  const around = (x: number, y: number, wide: number, tall: number): Box => ({
    left: x - wide / 2,
    right: x + wide / 2,
    top: y - tall / 2,
    bottom: y + tall / 2,
  });
  if (s.is === 'label') {
    const [x, y] = placeOf(s, map);
    const wide = said(s.says, units).length * LETTER;
    const centre = s.side === 'right' ? x + wide / 2 : s.side === 'left' ? x - wide / 2 : x;
    return [around(centre, y - 4, wide, 16)];
  }
  if (s.is === 'dim') {
    const { p, q } = lineOf(s, map);
    const wide = said(s.says, units).length * LETTER;
    const upright = Math.abs(q[0] - p[0]) < Math.abs(q[1] - p[1]);
    return [around((p[0] + q[0]) / 2, (p[1] + q[1]) / 2, upright ? 36 : wide, upright ? wide : 36)];
  }
  if (s.is === 'angle') {
    const [x, y] = map(s.at);
    const middle = (((s.from + s.to) / 2) * Math.PI) / 180;
    const wide = said(s.says, units).length * LETTER;
    const by = s.r * scale + 10;
    return [around(x + by * Math.cos(middle) + (Math.abs(Math.cos(middle)) > 0.5 ? wide / 2 : 0), y - by * Math.sin(middle), wide, 18)];
  }
  return [];
}
