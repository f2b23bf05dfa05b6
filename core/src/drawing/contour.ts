import type { Contour, Feature, Part, Vertex } from './types';

/** The closed half section of a part: exact, counter-clockwise, from the axis at the left end. */
export function contourOf(part: Part): Contour {
  return part.contour;
}

/** Traces the half section from features whose outside rows lie end to end from z = 0 to the left. */
export function outline(features: readonly Feature[], total: number): Contour {
  const outside = features.filter((f) => f.side === 'outside');
  if (outside.length === 0) return [];
  const path: Vertex[] = [];
  const add = (z: number, r: number, of: string) => {
    const last = path.at(-1);
    if (!last || Math.abs(last.z - z) > 1e-9 || Math.abs(last.r - r) > 1e-9) path.push({ z, r, bulge: 0, of });
  };
  hole(features, 'left').forEach(([z, r, of]) => {
    add(z, r, of);
  });
  if (path.length === 0) add(-total, 0, 'left');
  const right = hole(features, 'right').toReversed();
  right.forEach(([z, r, of]) => {
    add(z, r, of);
  });
  if (right.length === 0) add(0, 0, 'right');
  for (const row of outside) {
    const r = row.nearDiameter.nominal / 2;
    const [near, far] = [row.chamferNear ?? 0, row.chamferFar ?? 0];
    if (near > 0) add(row.near, r - near, `${row.id}.near`);
    add(row.near - near, r, row.id);
    add(row.far + far, r, `${row.id}.far`);
    if (far > 0) add(row.far, r - far, `${row.id}.far`);
  }
  return path;
}

/** Points of a blind hole from its mouth to its bottom on the axis. */
function hole(features: readonly Feature[], side: 'right' | 'left'): readonly (readonly [number, number, string])[] {
  const bore = features.find((f) => f.side === side);
  if (!bore) return [];
  const r = bore.nearDiameter.nominal / 2;
  const half = bore.bottom ?? 59;
  const cone = half >= 90 ? 0 : r / Math.tan((half * Math.PI) / 180);
  const inward = side === 'right' ? -1 : 1;
  return [
    [bore.near, r, bore.id],
    [bore.far, r, bore.id],
    [bore.far + inward * cone, 0, bore.id],
  ];
}
