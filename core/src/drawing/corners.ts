import type { Finding } from '../finding';
import { alike, atMost, length, ROUNDING, say, type Sentence } from '../quantity';
import { add, cross, dot, type Node, towards, type Vector } from './node';
import type { Contour, Vertex } from './types';

/** What a corner is cut to: how much of each side it takes, and the vertices that stand in its place. */
interface Cut {
  readonly before: number;
  readonly after: number;
  readonly bulge: number;
}

/** Cuts chamfers and radii at corners; one that does not fit is a finding and the corner stays sharp. */
export function traceCorners(nodes: readonly Node[], findings: Finding[]): Contour {
  const count = nodes.length;
  const sides = nodes.map((node, i) => towards(node, nodes[(i + 1) % count] ?? node));
  const cuts: (Cut | undefined)[] = nodes.map((node, i) => {
    if (!node.corner) return undefined;
    const [back, on] = [sides.at(i - 1), sides[i]];
    const before = nodes.at(i - 1);
    if (!back || !on || !before) return undefined;
    const made = before.bulge !== 0 || node.bulge !== 0 ? say`an edge is not cut against an arc` : cutOf(node, back.unit, on.unit);
    if ('bulge' in made) return made;
    findings.push(edgeDoesNotFit(node.corner.about, made));
    return undefined;
  });
  // each side gives to the corners at both of its ends
  nodes.forEach((node, i) => {
    const next = (i + 1) % count;
    const taken = (cuts[i]?.after ?? 0) + (cuts[next]?.before ?? 0);
    const room = sides[i]?.long ?? 0;
    if (atMost(taken, room)) return;
    const worst = (cuts[i]?.after ?? 0) >= (cuts[next]?.before ?? 0) ? i : next;
    const corner = nodes[worst]?.corner ?? node.corner;
    if (corner) findings.push(edgeDoesNotFit(corner.about, doesNotFit(corner.edge, room)));
    cuts[worst] = undefined;
  });
  const contour: Vertex[] = [];
  const put = (z: number, r: number, bulge: number, of: string) => {
    const last = contour.at(-1);
    if (last && alike(last.z, z, ROUNDING) && alike(last.r, r, ROUNDING)) contour.pop();
    contour.push({ z, r: Math.abs(r) < 1e-12 ? 0 : r, bulge, of });
  };
  nodes.forEach((node, i) => {
    const cut = cuts[i];
    const [back, on] = [sides.at(i - 1), sides[i]];
    if (!cut || !back || !on) {
      put(node.z, node.r, node.bulge, node.of);
      return;
    }
    const at: Vector = [node.z, node.r];
    const a = add(at, back.unit, -cut.before);
    const b = add(at, on.unit, cut.after);
    put(a[0], a[1], cut.bulge, node.corner?.about ?? node.of);
    put(b[0], b[1], 0, node.of);
  });
  return distinct(contour);
}

/** A last vertex that is the first again is dropped. */
function distinct(contour: readonly Vertex[]): Contour {
  return contour.filter((v, i) => {
    const next = contour[(i + 1) % contour.length];
    return !next || contour.length < 2 || Math.hypot(v.z - next.z, v.r - next.r) > ROUNDING || v.bulge !== 0;
  });
}

function cutOf(node: Node, into: Vector, out: Vector): Cut | Sentence {
  const { corner } = node;
  const edge = corner?.edge;
  const turn = cross(into, out);
  const along = dot(into, out);
  if (!corner || !edge || Math.abs(turn) < ROUNDING) return say`there is no corner here`;
  const angle = Math.atan2(turn, along);
  if (edge.kind === 'radius') {
    const trim = edge.radius * Math.tan(Math.abs(angle) / 2);
    return { before: trim, after: trim, bulge: Math.tan(angle / 4) };
  }
  if (turn < 0) return say`there is no corner here to chamfer`;
  const [degrees, size] = edge.kind === 'chamfer' ? [edge.degrees, edge.along] : edge.kind === 'break' ? [45, edge.size] : [45, 0];
  const { rowIsNext } = corner;
  const [row, face]: [Vector, Vector] = rowIsNext ? [out, [-into[0], -into[1]]] : [[-into[0], -into[1]], out];
  if (Math.abs(row[0]) < ROUNDING || Math.abs(face[0]) > ROUNDING) return say`there is no face here to chamfer against`;
  const onRow = size / Math.abs(row[0]);
  // from where the row is left, at its angle to the axis, to the face
  const onFace = row[1] * onRow * Math.sign(face[1]) + size * Math.tan((degrees * Math.PI) / 180);
  if (!(onFace > ROUNDING)) return say`a chamfer of ${degrees} degrees does not cut this corner`;
  return { before: rowIsNext ? onFace : onRow, after: rowIsNext ? onRow : onFace, bulge: 0 };
}

function doesNotFit(edge: NonNullable<Node['corner']>['edge'], room: number): Sentence {
  if (edge.kind === 'radius') return say`a radius of ${length(edge.radius)} does not fit a side of ${length(room)}`;
  const size = edge.kind === 'chamfer' ? edge.along : edge.kind === 'break' ? edge.size : 0;
  return say`a chamfer of ${length(size)} does not fit a step of ${length(room)}`;
}

/** `about` is '<row>.near' or '<row>.far'; the fix leaves that edge sharp. */
export function edgeDoesNotFit(about: string, says: Sentence): Finding {
  return { code: 'edge-does-not-fit', about, severity: 'stop', says, why: say`an edge is cut at a corner that has room for it`, mends: [] };
}
