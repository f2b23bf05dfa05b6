import { Vector3 } from 'three';

/** Faces that meet under less than this are one rounded face, degrees. */
export const CREASE = 25;

/** In a body about as large as one: corners nearer than this are one, an edge lies along another within it. */
const SAME = 4e-6;
/** A triangle lower than this bounds nothing: by so little cutters go into a shoulder. */
const SLIVER = 3e-4;
/** Edges of one line are looked for in cells of this width. */
const CELL = 1e-3;
/** Seen from here no two lines of a part that is round lie alike. */
const ASIDE = new Vector3(0.37, 0.71, 1.13);

interface Edge {
  readonly a: Vector3;
  readonly b: Vector3;
  readonly long: number;
  /** from a to b */
  readonly along: Vector3;
  /** where its line comes nearest to a place aside */
  readonly nearest: Vector3;
  readonly normal: Vector3;
}

/**
 * Edges at which a solid about as large as one turns sharply, as pairs of corners. A face that was split for a cut meets itself, part of an edge along part of another:
 * no edge is drawn there.
 */
export function sharpEdges(corners: Float32Array): Float32Array<ArrayBuffer> {
  const lines: number[] = [];
  const least = Math.cos((CREASE * Math.PI) / 180);
  const sharp = (p: Vector3, q: Vector3) => p.dot(q) < least;
  const draw = (a: Vector3, b: Vector3) => lines.push(a.x, a.y, a.z, b.x, b.y, b.z);
  // those that meet whole, corner to corner
  const open = new Map<string, Edge>();
  const halves = edgesOf(corners);
  const name = (p: Vector3) => `${String(Math.round(p.x / SAME))} ${String(Math.round(p.y / SAME))} ${String(Math.round(p.z / SAME))}`;
  for (const edge of halves) {
    const [from, to] = [name(edge.a), name(edge.b)];
    const other = open.get(`${to}|${from}`);
    if (other) {
      open.delete(`${to}|${from}`);
      if (sharp(edge.normal, other.normal)) draw(edge.a, edge.b);
    } else open.set(`${from}|${to}`, edge);
  }
  // those that meet in part
  const cells = new Map<string, Edge[]>();
  const cell = (x: number, y: number, z: number) => `${String(x)} ${String(y)} ${String(z)}`;
  const at = (v: number) => Math.floor(v / CELL);
  for (const edge of open.values()) {
    const { nearest: n } = edge;
    for (let x = at(n.x - CELL / 2); x <= at(n.x + CELL / 2); x++)
      for (let y = at(n.y - CELL / 2); y <= at(n.y + CELL / 2); y++)
        for (let z = at(n.z - CELL / 2); z <= at(n.z + CELL / 2); z++) {
          for (const other of cells.get(cell(x, y, z)) ?? []) {
            const shared = sharp(edge.normal, other.normal) && sharedBy(edge, other);
            if (shared) draw(shared[0], shared[1]);
          }
        }
    const own = cell(at(n.x), at(n.y), at(n.z));
    const there = cells.get(own);
    if (there) there.push(edge);
    else cells.set(own, [edge]);
  }
  return new Float32Array(lines);
}

/** What two edges share that run against each other along one line. */
function sharedBy(p: Edge, q: Edge): readonly [Vector3, Vector3] | undefined {
  if (p.along.dot(q.along) > 0) return undefined;
  const [line, other] = p.long >= q.long ? [p, q] : [q, p];
  const spots = [other.a, other.b].map((end) => {
    const off = end.clone().sub(line.a);
    const t = off.dot(line.along);
    return { t, off: off.addScaledVector(line.along, -t).length() };
  });
  const [s0, s1] = spots;
  if (!s0 || !s1 || s0.off > SAME || s1.off > SAME) return undefined;
  const [from, to] = [Math.max(0, Math.min(s0.t, s1.t)), Math.min(line.long, Math.max(s0.t, s1.t))];
  if (to - from < SAME) return undefined;
  return [line.a.clone().addScaledVector(line.along, from), line.a.clone().addScaledVector(line.along, to)];
}

/** The edges of all triangles that are more than a sliver. */
function edgesOf(corners: Float32Array): readonly Edge[] {
  const edges: Edge[] = [];
  for (let i = 0; i < corners.length; i += 9) {
    const [a, b, c] = [new Vector3().fromArray(corners, i), new Vector3().fromArray(corners, i + 3), new Vector3().fromArray(corners, i + 6)];
    const normal = b.clone().sub(a).cross(c.clone().sub(a));
    const twice = normal.length();
    if (twice < SLIVER * Math.max(a.distanceTo(b), b.distanceTo(c), c.distanceTo(a))) continue;
    normal.divideScalar(twice);
    for (const [from, to] of [
      [a, b],
      [b, c],
      [c, a],
    ] as const) {
      const along = to.clone().sub(from);
      const long = along.length();
      if (long < SAME) continue;
      along.divideScalar(long);
      const aside = ASIDE.clone().sub(from);
      edges.push({ a: from, b: to, long, along, normal, nearest: from.clone().addScaledVector(along, aside.dot(along)) });
    }
  }
  return edges;
}
