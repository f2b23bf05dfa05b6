import { faceOf, innerOf, otherEnd, type Part, rowAt } from '../drawing';
import { edgeSize, type Facts, type Severing } from '../operations';
import { alike, atLeast, atMost, fallsShort, PLACE, ROUNDING } from '../quantity';
import { type End, thingOf } from '../ref';
import { mmOf, practice } from '../shop';
import type { Reach } from './reach';
import { backEdge, grooveFor } from './setups';
import { turnsOver } from './turnsOver';

/* Piece after piece from one bar, and what is parted to its length. */

/**
 * A face as the blade leaves it may stay: a ring or spacer, nothing to do there, no finish asked and its thickness no finer than a blade keeps.
 * @source parted-to-thickness, common practice: +/-0.1 or more
 */
export function partedStays(facts: Facts, first: End, reach: Reach, severing: Severing): boolean {
  const { part, bar, started, chosen } = facts;
  const far = otherEnd(first);
  if (started || severing.method !== 'part' || severing.tooDeep || chosen.hold.has(`${far}-1`)) return false;
  if (part.length > mmOf(bar.across) || chosen.method.get('parted')?.method === 'turned') return false;
  if (part.features.some((f) => f.side === 'outside' && reach[f.id] !== first)) return false;
  if (part.features.some((f) => f.side === far) || part.details.some((d) => d.on === far)) return false;
  if (!openAtFar(part, first) || !edgeGoesOff(part, first)) return false;
  const about = (ref: string) => thingOf(ref) === far || ref === far;
  if (part.relations.some((r) => about(r.of) || about(r.to))) return false;
  if (part.characteristics.some((c) => c.of === far)) return false;
  return part.distances.every((d) => !(about(d.a) || about(d.b)) || atLeast(d.limits.max - d.limits.min, 2 * practice.partedWithin, PLACE));
}

/** Where an edge is drawn behind the piece, there is room for it before the piece hangs on nothing. */
function edgeGoesOff(part: Part, first: End): boolean {
  const far = otherEnd(first);
  const last = rowAt(
    part.features.filter((f) => f.side === 'outside'),
    far,
  );
  if (!last) return false;
  const up = Math.max((far === 'left' ? last.chamferFar : last.chamferNear) ?? 0, edgeSize(backEdge(last, far))?.up ?? 0);
  return up === 0 || grooveFor(part, first, 0, last, up) !== undefined;
}

/** A hole goes through with a plain mouth at the far face: no pip is left there, and no edge is asked for. */
function openAtFar(part: Part, first: End): boolean {
  const z = faceOf(part, otherEnd(first));
  return part.features.some((f) => {
    if (f.side !== first || f.through !== true || !alike(innerOf(f, first), z, PLACE)) return false;
    const edge = first === 'right' ? f.edgeFar : f.edgeNear;
    return edge.kind === 'none' || edge.kind === 'sharp';
  });
}

/** The bar stays whole, or a length for all of them is sawn off: small like pieces, and it goes through the spindle. @source bar-or-blank, common practice */
export function goesWhole(facts: Facts): boolean {
  const { job, bar, part, started, machine, chosen } = facts;
  // what was given out before bars were pulled out stays a blank for each piece
  const before = job.issue !== undefined && !chosen.method.has('pull');
  if (started || job.pieces === 1 || chosen.ways.has('bar') || before) return false;
  return atMost(turnsOver(facts), mmOf(machine.through, Infinity), PLACE) && part.length <= practice.shortDiameters * mmOf(bar.across);
}

/**
 * How many pieces stand out of the chuck at once, their common hole drilled in one go: as deep as the drill of its size reaches, and parted at most two diameters out.
 * @source parted-to-thickness, common practice
 */
export function standTogether(facts: Facts, first: End, each: number): number {
  const { part, bar, job, shop } = facts;
  const holes = part.features.filter((f) => f.side !== 'outside');
  const [hole] = holes;
  if (!goesWhole(facts) || holes.length !== 1 || hole?.through !== true || hole.side !== first || part.length > mmOf(bar.across)) return 1;
  if (part.relations.length > 0) return 1;
  const wide = hole.nearDiameter.max;
  const drills = shop.tools.filter((t) => t.kind === 'drill' && !fallsShort(wide, mmOf(t.size), PLACE));
  const reach = drills.toSorted((a, b) => mmOf(b.size) - mmOf(a.size))[0]?.reach;
  const deep = reach ? mmOf(reach) - wide : 0;
  const room = Math.min(practice.partedOutRing * mmOf(bar.across) - practice.bladeGap, deep) - practice.faceFirst;
  return Math.max(1, Math.min(job.pieces, Math.floor(room / each + ROUNDING)));
}
