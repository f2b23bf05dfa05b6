import type { Machine, Tool } from '../document';
import type { Part } from '../drawing';
import type { Step } from '../operations';
import type { Setup } from '../settings';
import { sizeOf } from '../shop';
import type { Convex } from '../stock';
import { outlineOf } from '../tooling';
import { type Motion, motionsOf, presentedIn } from './bodies';

/** A tool as it stands in a step, in the plane of the tool: x from the finished face of the free end outwards, r from the axis to the operator; mm. */
export interface ToolIn {
  /** about its point: the edge and what stands behind it, its shank, the post; one body of what is in the tailstock */
  readonly outline: readonly Convex[];
  /** the ways of its point, in order */
  readonly motions: readonly Motion[];
}

const alongAxis = new Set<Step['verb']>(['centre-drill', 'pilot', 'drill', 'ream', 'tap']);

/** How far a drill stands behind its point, in diameters. */
const BEHIND = 6;

/** The tool of a step where it is, and its ways; undefined of a step that nothing in the post or the tailstock cuts. The same ways as those that the proof sweeps. */
export function toolIn(step: Step, setup: Setup, part: Part, tool: Tool | undefined, machine: Machine | undefined): ToolIn | undefined {
  if (!tool) return undefined;
  if (alongAxis.has(step.verb)) {
    const depth = step.figures['depth']?.value ?? 0;
    const r = sizeOf(tool) / 2;
    if (!(r > 0) || !(depth > 0)) return undefined;
    const body: Convex = [
      [0, 0],
      [0.6 * r, r],
      [2 * BEHIND * r, r],
      [2 * BEHIND * r, -r],
      [0.6 * r, -r],
    ];
    return { outline: [body], motions: [{ from: [2, 0], to: [-depth, 0], cuts: true }] };
  }
  const presented = presentedIn(step, tool, part);
  const motions = motionsOf(setup, step, tool, part);
  if (presented === undefined || motions.length === 0) return undefined;
  const { tool: edge, holder, carriage } = outlineOf(tool, presented, machine);
  return { outline: [carriage, holder, edge], motions };
}
