import { alike, atLeast, atMost, ROUNDING } from '../quantity';
import type { Finding } from '../finding';
import { centreNodes, chainOf } from './chain';
import { traceCorners } from './corners';
import type { Node } from './node';
import type { Contour, Feature, Part, PartDetail } from './types';
import { relieve } from './undercutNodes';

/**
 * The closed half section of a part: exact, counter-clockwise, from the left end; sizes are never read back from it.
 * @example contourOf(readDrawing({ ...blankDrawing(), ...readLine('20 x 30', 'mm').value })).length > 0 // true
 */
export function contourOf(part: Part): Contour {
  return part.contour;
}

/** Traces the half section from rows and what is cut in them; an edge that does not fit its corner is a finding and left sharp. */
export function outline(features: readonly Feature[], details: readonly PartDetail[], total: number, findings: Finding[]): Contour {
  const outside = chainOf(features, details, 'outside');
  if (outside.length === 0) return [];
  const left = holeOf(features, details, 'left', total);
  const right = holeOf(features, details, 'right', total);
  const through = features.some((f) => f.through);
  const inner: Node[] = through
    ? [...left, ...reversed(right)]
    : [...(left.length > 0 ? left : [axis(-total, 'left')]), ...(right.length > 0 ? reversed(right) : [axis(0, 'right')])];
  const nodes = faceGrooves(merged([...inner, ...outside]), details, features, total);
  return traceCorners(relieve(nodes, findings), findings);
}

const axis = (z: number, of: string): Node => ({ z, r: 0, bulge: 0, of });

/** Nodes of an end's hole, or of its centre hole, from its mouth inwards. */
function holeOf(features: readonly Feature[], details: readonly PartDetail[], side: 'right' | 'left', total: number): readonly Node[] {
  const hole = chainOf(features, details, side);
  if (hole.length > 0) return hole;
  const otherThrough = features.find((f) => f.through && f.side !== side && f.side !== 'outside');
  if (otherThrough) return [];
  const centre = details.find((d) => d.kind === 'centre' && d.on === side);
  return centre ? centreNodes(centre, side === 'right' ? 0 : -total, side) : [];
}

/** The same path walked the other way. */
function reversed(nodes: readonly Node[]): readonly Node[] {
  return nodes.toReversed().map((node, i, all) => {
    const after = all[i + 1];
    const { corner, ...rest } = node;
    return { ...rest, bulge: after ? -after.bulge : 0, ...(corner && { corner: { ...corner, rowIsNext: !corner.rowIsNext } }) };
  });
}

/** Nodes in one place become one; what is cut at either stays. */
function merged(nodes: readonly Node[]): readonly Node[] {
  const out: Node[] = [];
  for (const node of nodes) {
    const last = out.at(-1);
    if (last && alike(last.z, node.z, ROUNDING) && alike(last.r, node.r, ROUNDING)) {
      const corner = node.corner ?? last.corner;
      out[out.length - 1] = { ...node, ...(corner && { corner }) };
    } else out.push(node);
  }
  return out;
}

/** Grooves in an end face or a shoulder: a step into the metal where the face lies. */
function faceGrooves(nodes: readonly Node[], details: readonly PartDetail[], features: readonly Feature[], total: number): readonly Node[] {
  let out = nodes;
  for (const detail of details) {
    if (detail.kind !== 'faceGroove' || !detail.diameter || detail.depth === undefined || detail.width === undefined) continue;
    const ro = detail.diameter.nominal / 2;
    const ri = ro - detail.width;
    const row = features.find((f) => f.id === detail.on);
    const z = detail.on === 'right' ? 0 : detail.on === 'left' ? -total : (row?.near ?? 0);
    const at = out.findIndex((a, i) => {
      const b = out[(i + 1) % out.length];
      return b && alike(a.z, z, ROUNDING) && alike(b.z, z, ROUNDING) && atMost(Math.min(a.r, b.r), ri) && atLeast(Math.max(a.r, b.r), ro);
    });
    const [a, b] = [out[at], out[(at + 1) % out.length]];
    if (at < 0 || !a || !b) continue;
    const up = b.r > a.r;
    const bottom = up ? z - detail.depth : z + detail.depth;
    const step = (r: number): readonly Node[] => [
      { z, r, bulge: 0, of: detail.id },
      { z: bottom, r, bulge: 0, of: detail.id },
    ];
    const cut = up ? [...step(ri), ...step(ro).toReversed()] : [...step(ro), ...step(ri).toReversed()];
    out = [...out.slice(0, at + 1), ...cut, ...out.slice(at + 1)];
  }
  return out;
}
