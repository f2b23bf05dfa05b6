import { practice } from '../../shop';
import { spareIn } from '../spare';
import { type Edge, type Feature } from '../../drawing';
import { alike, angle, exceeds, length, PLACE, say, type Sentence } from '../../quantity';
import { reason } from '../facts';
import { bevels, rounds } from '../../tooling';
import { combine, type Region } from '../../stock';
import { type Operation, operation } from '../outcome';
import { cutEdge } from './edgeTool';
import { plunged } from './grooves';

/**
 * Radii, chamfers of other angles than 45 degrees and reliefs of a row, at the corners that this setup reaches: the edge towards its free end, hollows and reliefs at a
 * shoulder, and with `behind` also the edge towards the headstock, where there is room for a tool or `groove` makes it.
 */
export const shapeEdges = (row: Feature, behind = false, groove: Region = []): Operation =>
  operation((draft) => {
    const { facts, at } = draft;
    for (const end of ['near', 'far'] as const) {
      const edge = end === 'near' ? row.edgeNear : row.edgeFar;
      const z = end === 'near' ? row.near : row.far;
      const away = end === 'near' ? -1 : 1;
      const d = end === 'near' ? row.nearDiameter.nominal : row.farDiameter.nominal;
      const beyond = facts.part.features.find((f) => f.id !== row.id && f.side === row.side && alike(end === 'near' ? f.far : f.near, z));
      const across = beyond && (end === 'near' ? beyond.farDiameter.nominal : beyond.nearDiameter.nominal);
      // against a larger neighbour it is the hollow of a corner
      const hollow = across !== undefined && exceeds(across, d, PLACE);
      const window = windowOf(edge, hollow);
      if (!window) continue;
      const facing = (end === 'near') === (at.end === 'right');
      if (row.side === 'outside' && !facing && !hollow && !behind && edge.kind !== 'shoulderUndercut') continue;
      const about = `${row.id}.${end}`;
      const corner = spareIn(facts, z + away * window.along, z - away * window.beyond, d / 2 - window.into, d / 2 + window.up);
      const sweeps = !facing && groove.length > 0 ? combine('union', groove, corner) : corner;
      if (edge.kind === 'shoulderUndercut') {
        plunged(draft, {
          verb: 'undercut',
          about,
          says: window.says,
          why: reason('relief-first', say`room for the mate’s corner and a grinding wheel (DIN 509, from memory)`, row.id),
          width: window.along,
          depth: Math.max(0.1, window.into),
          at: d,
          sweeps,
        });
        continue;
      }
      cutEdge(draft, {
        verb: 'form',
        about,
        says: window.says,
        because: [reason('chamfer-before-severing', say`while it still runs true`, row.id)],
        makes: edge.kind === 'radius' ? (t) => rounds(t, edge.radius) : (t) => edge.kind === 'chamfer' && bevels(t, edge.degrees, false),
        words: window.tool,
        size: window.along,
        ...(edge.kind === 'chamfer' && { degrees: edge.degrees }),
        at: d,
        minutes: practice.minutesCorner,
        sweeps,
      });
    }
  });

interface Window {
  readonly along: number;
  readonly beyond: number;
  readonly into: number;
  readonly up: number;
  readonly says: Sentence;
  readonly tool: Sentence;
}

function windowOf(edge: Edge, hollow: boolean): Window | undefined {
  if (edge.kind === 'radius')
    return {
      along: edge.radius,
      beyond: hollow ? 0 : 0.2,
      into: hollow ? 0 : edge.radius,
      up: hollow ? edge.radius : 0.1,
      says: say`radius ${length(edge.radius)}`,
      tool: say`radius form tool ${length(edge.radius)}`,
    };
  if (edge.kind === 'chamfer' && edge.degrees !== 45) {
    const into = edge.along * Math.tan((edge.degrees * Math.PI) / 180);
    return {
      along: edge.along,
      beyond: 0.2,
      into,
      up: 0.1,
      says: say`${length(edge.along)} × ${angle(edge.degrees)}`,
      tool: say`chamfering tool ${angle(edge.degrees)}`,
    };
  }
  if (edge.kind !== 'shoulderUndercut') return undefined;
  const { width, depth, faceDepth, faceLength } = edge.undercut;
  return { along: width, beyond: faceDepth ?? 0, into: depth, up: faceLength ?? 0, says: say`relief ${edge.name}`, tool: say`undercutting tool` };
}
