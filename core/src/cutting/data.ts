import type { Machine, Tool } from '../document';
import { type Figure, figure } from '../quantity';
import { mmOf, speedsOf } from '../shop';
import type { Material } from '../standards';

/** What bounds a cut in its place; a compliance or a ratio, never a holding. */
export interface Place {
  readonly machine: Machine;
  readonly material: Material;
  /** rev/min, what the holding allows */
  readonly mostSpeed: number;
  /** stick-out to diameter */
  readonly ratio: number;
  readonly centre: boolean;
}

/** Share of the turning speed of the same tool material. @source spindle-speed, common practice */
export const speedShares = { turn: 1, face: 1, part: 0.5, form: 0.5, drill: 0.8, centreDrill: 1, thread: 1, ream: 0.45, knurl: 0.25 } as const;

export type Work = keyof typeof speedShares;

/** The machine's own speed for a diameter in cut, never above what the holding allows. */
export function speedFor(place: Place, tool: Tool, work: Work, diameter: number): Figure {
  const v = place.material[tool.grade] * speedShares[work];
  const most = work === 'thread' ? Math.min(100, place.mostSpeed) : place.mostSpeed;
  return figure('spindleSpeed', 'spindleSpeed', { v, d: diameter, most, speeds: speedsOf(place.machine) });
}

/** Feed for roughing: the material's own, within the chip window of the tool when it has one. */
export function roughFeed(place: Place, tool: Tool): Figure {
  const asked = Math.min(place.material.feed, tool.chips?.feed[1] ?? Infinity);
  return place.machine.feeds.length === 0
    ? figure('feed', 'feedByHand', { asked })
    : figure('feed', 'feedSet', { asked, feeds: place.machine.feeds });
}

/** Feed for a wanted Ra (micrometres) with this nose. */
export function finishFeed(place: Place, tool: Tool, Ra: number): Figure {
  const r = Math.max(mmOf(tool.nose, 0.4), 0.05);
  if (place.machine.feeds.length === 0) return figure('feed', 'feedByHand', { asked: 0.08 });
  return figure('feed', 'feedForFinish', { Ra, r, most: 0.12, feeds: place.machine.feeds });
}

/** Most depth of one roughing pass, on radius: full depth scaled by the motor, lightened by the stick-out. */
export function roughDepth(place: Place): Figure {
  const full = place.material.depth * Math.min(1, place.machine.kilowatts / 1.5);
  return figure('length', 'depthLimit', { full, ratio: place.ratio, centre: place.centre ? 1 : 0 });
}

/** Force and power at a depth and feed. */
export function loadOf(
  place: Place,
  depth: number,
  feed: number,
  diameter: number,
  speed: number,
): { readonly force: Figure; readonly power: Figure } {
  const force = figure('force', 'force', { kc: place.material.kc, mc: place.material.mc, ap: depth, f: feed });
  return { force, power: figure('power', 'power', { Fc: force.value, d: diameter, n: speed }) };
}
