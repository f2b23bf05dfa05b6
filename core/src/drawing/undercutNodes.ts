import type { Finding } from '../finding';
import { exceeds, length, ROUNDING, say } from '../quantity';
import { threadUndercut } from '../standards';
import { edgeDoesNotFit } from './corners';
import { add, cross, type Node, towards, type Vector } from './node';

const tan = (degrees: number) => Math.tan((degrees * Math.PI) / 180);

interface Shape {
  /** from the row to the face: distance from the corner along the row, into it, and along the face */
  readonly points: readonly { readonly along: number; readonly into: number; readonly up: number; readonly radius?: number }[];
  readonly needsRow: number;
  readonly needsFace: number;
}

/** Puts undercuts in their corners: of a thread before its shoulder (DIN 76), of a seat against a face (DIN 509). */
export function relieve(nodes: readonly Node[], findings: Finding[]): readonly Node[] {
  return nodes.flatMap((node, i): readonly Node[] => {
    const { corner } = node;
    const [before, after] = [nodes.at(i - 1), nodes[(i + 1) % nodes.length]];
    if (!corner || !before || !after || (corner.edge.kind !== 'shoulderUndercut' && corner.edge.kind !== 'threadUndercut')) return [node];
    const bare: Node = { z: node.z, r: node.r, bulge: node.bulge, of: node.of };
    const [back, on] = [towards(node, before), towards(node, after)];
    const [row, face] = corner.rowIsNext ? [on, back] : [back, on];
    const concave =
      cross([-back.unit[0], -back.unit[1]], on.unit) < -ROUNDING && Math.abs(face.unit[0]) < ROUNDING && before.bulge === 0 && node.bulge === 0;
    const shape = concave ? shapeOf(corner.edge, corner.pitch) : undefined;
    if (!shape) {
      findings.push(edgeDoesNotFit(corner.about, say`there is no shoulder here to relieve`));
      return [bare];
    }
    if (exceeds(shape.needsRow, row.long) || exceeds(shape.needsFace, face.long)) {
      findings.push(
        edgeDoesNotFit(
          corner.about,
          exceeds(shape.needsRow, row.long)
            ? say`an undercut ${length(shape.needsRow)} wide does not fit on ${length(row.long)}`
            : say`an undercut that takes ${length(shape.needsFace)} of the face does not fit a step of ${length(face.long)}`,
        ),
      );
      return [bare];
    }
    const u = row.unit;
    const w = face.unit;
    const points = shape.points.map(({ along, into, up, radius }): Node => {
      let at: Vector = add([node.z, node.r], u, along);
      at = add(at, w, up - into);
      return {
        z: at[0],
        r: at[1],
        bulge: 0,
        of: corner.about,
        ...(radius !== undefined && { corner: { edge: { kind: 'radius' as const, radius }, about: corner.about, rowIsNext: true } }),
      };
    });
    return corner.rowIsNext ? points.toReversed() : points;
  });
}

function shapeOf(edge: NonNullable<Node['corner']>['edge'], pitch: number | undefined): Shape | undefined {
  if (edge.kind === 'threadUndercut') {
    const relief = pitch === undefined ? undefined : threadUndercut(pitch, edge.form);
    if (!relief) return undefined;
    const h = relief.under / 2;
    const flank = h / tan(30);
    const radius = Math.min(relief.radius ?? 0, 0.9 * h);
    return {
      points: [
        { along: relief.width + flank, into: 0, up: 0 },
        { along: relief.width, into: h, up: 0 },
        { along: 0, into: h, up: 0, radius },
      ],
      needsRow: relief.width + flank,
      needsFace: 0,
    };
  }
  if (edge.kind !== 'shoulderUndercut') return undefined;
  const { form, radius, depth, width, faceDepth, faceLength } = edge.undercut;
  const slope = depth / tan(15);
  const inCylinder = [
    { along: width, into: 0, up: 0 },
    { along: width - slope, into: depth, up: 0 },
  ];
  if (form === 'E' || faceDepth === null || faceLength === null)
    return { points: [...inCylinder, { along: 0, into: depth, up: 0, radius }], needsRow: width, needsFace: Math.max(0, radius - depth) };
  // the relief in the face comes back to it at 8 degrees; its length counts from the bottom of the groove
  const back = faceDepth / tan(8);
  return {
    points: [
      ...inCylinder,
      { along: -faceDepth, into: depth, up: 0, radius },
      { along: -faceDepth, into: depth, up: Math.max(radius, faceLength - back) },
      { along: 0, into: depth, up: Math.max(radius, faceLength - back) + back },
    ],
    needsRow: width,
    needsFace: Math.max(radius, faceLength - back) + back - depth,
  };
}
