import type { Shop, Tool } from '../document';
import { parseDegrees } from '../quantity';
import { mmOf, sizeOf } from '../shop';
import { alongHole, entersFrom } from './outline';

/* Which form tools make an edge: a bevel by their own angle, a radius by their own radius. @source edge-that-makes-it, common practice */

/** An angle of a tool is read to so much, degrees. */
const WITHIN = 0.6;

/** Over this an angle is the whole of a countersink's cone, not that of one flank to the axis. */
const FLANK_MOST = 60;

const angleOf = (tool: Tool): number | undefined => {
  const read = parseDegrees(tool.angle?.text ?? '');
  return read.ok && read.value > 0 ? read.value : undefined;
};

/** A form tool that goes in from the tailstock: its angle is the whole of its cone. */
export const isCountersink = (tool: Tool): boolean => tool.kind === 'form' && (angleOf(tool) ?? 0) > FLANK_MOST;

const like = (a: number, b: number) => Math.abs(a - b) < WITHIN;

/**
 * Cuts a bevel at so many degrees to the axis: by a flank of that angle, or turned about to the rest of 90; inside also by a countersink of twice the angle whose cone is
 * wide enough. @param wide across the mouth of the bevel, mm
 * @example bevels({ id: 'c', name: 'c', kind: 'form', grade: 'hss', hand: 'neutral', angle: { text: '90', units: 'mm' } }, 45, true) // true
 */
export function bevels(tool: Tool, degrees: number, inside: boolean, wide = 0): boolean {
  const angle = angleOf(tool);
  if (tool.kind !== 'form' || angle === undefined) return false;
  if (angle <= FLANK_MOST && (like(angle, degrees) || like(angle, 90 - degrees))) return true;
  return inside && like(angle, 2 * degrees) && wide <= mmOf(tool.width, Infinity);
}

/**
 * Forms a radius: a tool of that radius, or a set without one of its own.
 * @example rounds({ id: 'r', name: 'radius tools', kind: 'form', grade: 'hss', hand: 'neutral' }, 2) // true
 */
export function rounds(tool: Tool, radius: number): boolean {
  if (tool.kind !== 'form' || angleOf(tool) !== undefined) return false;
  const own = sizeOf(tool, mmOf(tool.nose));
  return own > 0 ? Math.abs(own - radius) <= Math.max(0.02, 0.02 * radius) : radius <= mmOf(tool.width, Infinity);
}

/** Grooves a shop's blades cut: no wider than the groove, deep enough; inside only with a shank that goes into the hole, as far as `deep`; the widest first, so that few plunges do. */
export function groovers(shop: Shop, width: number, depth: number, hole: number | undefined, deep = 0): readonly Tool[] {
  return shop.tools
    .filter(
      (t) =>
        (t.kind === 'groove' || (t.kind === 'part' && hole === undefined)) &&
        mmOf(t.width, Infinity) <= width + 0.01 &&
        mmOf(t.reach, Infinity) >= depth - 0.01 &&
        (hole === undefined ? t.shank === undefined : t.shank !== undefined && entersFrom(t) <= hole && alongHole(t) >= deep),
    )
    .toSorted((a, b) => Number(a.kind === 'part') - Number(b.kind === 'part') || mmOf(b.width) - mmOf(a.width));
}
