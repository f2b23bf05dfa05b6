import { alike, ROUNDING } from '../quantity';
import type { Corner, Node } from './node';
import { threadOf } from './rows';
import type { Feature, PartDetail } from './types';

type Side = Feature['side'];

/**
 * The corners of a list of rows from its start face inwards. A bulge is that of this walk: on the outside and in the hole of the left end
 * the metal lies to the left of it, in the hole of the right end to the right.
 */
export function chainOf(features: readonly Feature[], details: readonly PartDetail[], side: Side): readonly Node[] {
  const rows = features.filter((f) => f.side === side).map((row, i, all) => opened(row, i, all, features));
  const metal = side === 'right' ? -1 : 1;
  const nodes: Node[] = [];
  rows.forEach((row, i) => {
    const before = rows[i - 1];
    const near = row.nearDiameter.nominal / 2;
    const last = nodes.at(-1);
    // a row that is not understood leaves room: shown as a neck of the smaller neighbour
    if (before && last && !alike(before.far, row.near, ROUNDING)) {
      const r = Math.min(last.r, near);
      nodes.push({ z: before.far, r, bulge: 0, of: row.id }, { z: row.near, r, bulge: 0, of: row.id });
    }
    const begins = row.near + inward(row) * (before ? drilledStep(before, row) : 0);
    if (row.form === 'ball' && near < ROUNDING) nodes.push({ z: row.near, r: 0, bulge: bulgeOf(row, metal), of: row.id });
    else nodes.push({ z: begins, r: near, bulge: bulgeOf(row, metal), of: row.id, ...(begins === row.near && cornerOf(row, 'near')) });
    const grooves = details
      .filter((d) => d.on === row.id && (d.kind === 'groove' || d.kind === 'ringGroove'))
      .toSorted((a, b) => inward(row) * (a.near - b.near));
    for (const groove of grooves) nodes.push(...grooveNodes(row, groove, metal));
    const other = row.through === true ? features.find((f) => f.met === true) : undefined;
    nodes.push({
      z: row.far - inward(row) * (other ? drilledStep(other, row) : 0),
      r: row.farDiameter.nominal / 2,
      bulge: 0,
      of: row.id,
      ...cornerOf(row, 'far'),
    });
  });
  const end = rows.at(-1);
  if (!end || side === 'outside' || end.through === true || end.met === true) return nodes;
  const half = end.bottom ?? 90;
  return [...nodes, { z: end.far + inward(end) * coneOf(end.farDiameter.nominal / 2, 2 * half), r: 0, bulge: 0, of: end.id }];
}

interface Rim {
  readonly z: number;
  readonly r: number;
  /** how far it lies inside the end as drawn, mm */
  readonly inside: number;
  readonly ball: string;
  readonly hole: string;
  /** z of the ball's centre */
  readonly centre: number;
}

/** Where a hole comes out of a ball whose pole is the end of the part. */
export function rimOf(features: readonly Feature[], end: 'right' | 'left'): Rim | undefined {
  const outside = features.filter((f) => f.side === 'outside');
  const ball = end === 'right' ? outside[0] : outside.at(-1);
  if (ball?.form !== 'ball' || ball.radius === undefined || ball.centre === undefined) return undefined;
  if ((end === 'right' ? ball.nearDiameter : ball.farDiameter).nominal > ROUNDING) return undefined;
  const own = features.find((f) => f.side === end);
  const from = features.find((f) => f.side !== 'outside' && f.side !== end && f.through === true);
  const hole = own ?? from;
  const r = ((own?.nearDiameter ?? from?.farDiameter)?.nominal ?? 0) / 2;
  if (!hole || r <= 0 || r >= ball.radius) return undefined;
  const out = Math.sqrt(ball.radius ** 2 - r ** 2);
  return { z: ball.centre + (end === 'right' ? out : -out), r, inside: ball.radius - out, ball: ball.id, hole: hole.id, centre: ball.centre };
}

/** A ball and the hole that comes out of it meet at the rim. */
function opened(row: Feature, i: number, rows: readonly Feature[], features: readonly Feature[]): Feature {
  const [first, last] = [i === 0, i === rows.length - 1];
  const on = (at: { readonly z: number; readonly r: number } | undefined, end: 'near' | 'far'): Partial<Feature> => {
    if (!at) return {};
    const across = end === 'near' ? row.nearDiameter : row.farDiameter;
    return row.side === 'outside' ? { [end]: at.z, [`${end}Diameter`]: { ...across, nominal: 2 * at.r } } : { [end]: at.z };
  };
  if (row.side === 'outside')
    return row.form === 'ball'
      ? { ...row, ...(first && on(rimOf(features, 'right'), 'near')), ...(last && on(rimOf(features, 'left'), 'far')) }
      : row;
  const other = row.side === 'right' ? 'left' : 'right';
  return { ...row, ...(first && on(rimOf(features, row.side), 'near')), ...(row.through === true && on(rimOf(features, other), 'far')) };
}

/** How far the cone of a drilled row reaches into the smaller one behind it, mm. */
function drilledStep(row: Feature, next: Feature): number {
  if (row.edgeFar.kind !== 'bottom' || row.side === 'outside' || next.form === 'ball') return 0;
  const cone = coneOf(Math.max(0, row.farDiameter.nominal - next.nearDiameter.nominal) / 2, row.edgeFar.degrees);
  return cone < Math.abs(next.far - next.near) ? cone : 0;
}

/** How far a point of this included angle reaches beyond the full radius, mm. */
export const coneOf = (radius: number, degrees: number): number => (degrees >= 180 ? 0 : radius / Math.tan((degrees * Math.PI) / 360));

const inward = (row: Feature): 1 | -1 => (row.far >= row.near ? 1 : -1);

function cornerOf(row: Feature, end: 'near' | 'far'): { corner?: Corner } {
  const edge = end === 'near' ? row.edgeNear : row.edgeFar;
  if (edge.kind === 'none' || edge.kind === 'sharp' || edge.kind === 'bottom') return {};
  const pitch = threadOf(row)?.pitch;
  return { corner: { edge, about: `${row.id}.${end}`, rowIsNext: end === 'near', ...(pitch !== undefined && { pitch }) } };
}

/** Of a row that is an arc from its near to its far corner. */
function bulgeOf(row: Feature, metal: 1 | -1): number {
  if (row.radius === undefined) return 0;
  const chord = Math.hypot(row.far - row.near, (row.farDiameter.nominal - row.nearDiameter.nominal) / 2);
  const half = Math.asin(Math.min(1, chord / 2 / row.radius));
  if (row.form === 'arc') return metal * (row.hollow ? -1 : 1) * Math.tan(half / 2);
  // a ball may be more than half of one on one side of its centre: the angle at the centre decides
  const n = inward(row) * (row.near - (row.centre ?? row.near));
  const f = n + Math.abs(row.far - row.near);
  const angle = Math.asin(Math.min(1, Math.max(-1, f / row.radius))) - Math.asin(Math.min(1, Math.max(-1, n / row.radius)));
  return (row.side === 'outside' ? 1 : -1) * metal * Math.tan(angle / 4);
}

/** Radius of a straight row at z. */
export function radiusAt(row: Feature, z: number): number {
  const t = row.far === row.near ? 0 : (z - row.near) / (row.far - row.near);
  return (row.nearDiameter.nominal + t * (row.farDiameter.nominal - row.nearDiameter.nominal)) / 2;
}

function grooveNodes(row: Feature, groove: PartDetail, metal: 1 | -1): readonly Node[] {
  const of = groove.id;
  const [a, b] = [radiusAt(row, groove.near), radiusAt(row, groove.far)];
  const wide = Math.abs(groove.far - groove.near);
  const bottom = (groove.diameter?.nominal ?? 0) / 2;
  if (groove.round === true) {
    const depth = Math.abs(bottom - (a + b) / 2);
    return [
      { z: groove.near, r: a, bulge: (-metal * 2 * depth) / wide, of },
      { z: groove.far, r: b, bulge: 0, of },
    ];
  }
  // walls that lean: each by half of the angle between them
  const lean = Math.min(wide / 2, Math.abs(bottom - (a + b) / 2) * Math.tan(((groove.angle ?? 0) * Math.PI) / 360));
  const corner = (about: string): { corner?: Corner } =>
    groove.radius === undefined ? {} : { corner: { edge: { kind: 'radius', radius: groove.radius }, about, rowIsNext: true } };
  const [n, f] = [groove.near + inward(row) * lean, groove.far - inward(row) * lean];
  return [
    { z: groove.near, r: a, bulge: 0, of },
    { z: n, r: bottom, bulge: 0, of, ...corner(of) },
    { z: f, r: bottom, bulge: 0, of, ...corner(of) },
    { z: groove.far, r: b, bulge: 0, of },
  ];
}

/** A centre hole from its mouth inwards. */
export function centreNodes(centre: PartDetail, face: number, side: 'right' | 'left'): readonly Node[] {
  const inwards = side === 'right' ? -1 : 1;
  const pilot = (centre.diameter?.nominal ?? 0) / 2;
  const mouth = (centre.width ?? 0) / 2;
  const depth = centre.depth ?? 0;
  const cone = coneOf(mouth - pilot, 60);
  const of = centre.id;
  // the tip counts in the depth
  const tip = Math.min(coneOf(pilot, 120), Math.max(0, depth - cone));
  return [
    { z: face, r: mouth, bulge: 0, of },
    { z: face + inwards * cone, r: pilot, bulge: 0, of },
    { z: face + inwards * (depth - tip), r: pilot, bulge: 0, of },
    { z: face + inwards * depth, r: 0, bulge: 0, of },
  ];
}
