import type { Machine, Tool } from '../document';
import { ACROSS, type CutForces, cuttingForce } from '../mechanics';
import { atLeast, atMost, type Figure, figure, parseDegrees, surfaceAt, tidy } from '../quantity';
import { mmOf, practice, speedsOf } from '../shop';
import type { Material } from '../standards';
import type { CutAsked, Grip } from './limits';
import { edges } from './toolLife';

/** What bounds a cut in its place; a compliance, a grip or a ratio, never a holding. */
export interface CuttingPlace {
  readonly machine: Machine;
  readonly material: Material;
  /** rev/min, the least of what holding, balance and bar allow */
  readonly mostSpeed: number;
  /** stick-out to diameter */
  readonly ratio: number;
  readonly centre: boolean;
  readonly grip?: Grip;
  /** held by so few millimetres, with nothing that carries the other end */
  readonly heldBy?: number;
  /** the stock has corners: over its flats, mm, cuts are broken, and its corners are what the edge meets */
  readonly knocks?: { readonly flats: number; readonly corners: number };
}

/** Share of the turning speed of the same tool material. @source spindle-speed, common practice */
export const speedShares = { turn: 1, face: 1, part: 0.5, form: 0.5, drill: 0.8, centreDrill: 1, thread: 1, ream: 0.45, knurl: 0.25 } as const;
export type CutKind = keyof typeof speedShares;

/** A speed that one can stop from at a shoulder, rev/min. @source spindle-speed, common practice: 100 is usual */
const THREADING = 100;

/** The machine's own speed for a diameter in cut, never above what the holding allows. */
export function speedFor(place: CuttingPlace, tool: Tool, work: CutKind, diameter: number): Figure {
  const knocks = work === 'turn' || work === 'face' ? place.knocks : undefined;
  const corners = knocks && diameter > knocks.flats - 0.01 ? knocks.corners : undefined;
  const v = place.material[tool.grade] * speedShares[work] * (corners === undefined ? 1 : practice.brokenCut);
  const most = work === 'thread' ? Math.min(THREADING, place.mostSpeed) : place.mostSpeed;
  return figure('spindleSpeed', 'spindleSpeed', { v, d: Math.max(diameter, corners ?? 0), most, speeds: speedsOf(place.machine) });
}

/** Feeds for roughing that machine and tool allow, up to the material's own; with the feeds by hand just that one. */
export function roughFeeds(place: CuttingPlace, tool: Tool): readonly number[] {
  const asked = Math.min(place.material.feed, tool.chips?.feed[1] ?? Infinity);
  const { feeds } = place.machine;
  if (feeds.length === 0) return [asked];
  const window = feeds.filter((f) => atMost(f, asked) && atLeast(f, tool.chips?.feed[0] ?? 0));
  return window.length > 0 ? window : [figure('feed', 'feedSet', { asked, feeds }).value];
}

/** Feed for a wanted Ra (micrometres) with this nose. */
export function finishFeed(place: CuttingPlace, tool: Tool, Ra: number): Figure {
  const r = Math.max(noseOf(tool), 0.05);
  if (place.machine.feeds.length === 0)
    return figure('feed', 'feedByHand', { asked: tidy(Math.round(1000 * Math.min(0.08, feedLimit(Ra, r))) / 1000) });
  return figure('feed', 'feedForFinish', { Ra, r, most: Math.min(0.12, tool.chips?.feed[1] ?? 0.12), feeds: place.machine.feeds });
}

const feedLimit = (Ra: number, r: number) => Math.sqrt((18 * Math.sqrt(3) * r * Ra) / 1000);

/** Nose radius of an edge, mm; 0.4 where it is not said. */
export const noseOf = (tool: Tool): number => mmOf(tool.nose, 0.4);

/** Lead of an edge, degrees; square where it is not said. */
export function leadOf(tool: Tool): number {
  const lead = parseDegrees(tool.lead?.text ?? '');
  return lead.ok && lead.value > 0 && lead.value <= 120 ? lead.value : 90;
}

/**
 * Least depth that an edge cuts rather than rubs, on radius, mm: a keen one (honed high-speed steel) 0.02, else a third of its nose.
 * @param keen nothing where it is not known
 * @source least-depth, common practice: a third to a half
 * @example leastDepthOf(false, 0.6) // 0.2
 */
export const leastDepthOf = (keen: boolean | undefined, nose: number): number => (keen === true ? 0.02 : tidy(nose / 3));

/** The same of a tool of the shop. */
export const leastDepth = (tool: Tool): number => leastDepthOf(tool.grade === 'hss', noseOf(tool));

/** Least feed that cuts rather than rubs: stainless hardens under less. @source austenitic-feed, common practice */
export const leastFeed = (material: Material): number => (material.group === 'M' ? 0.08 : 0.02);

/** Full depth of this machine in this material, short and stout, on radius. */
const fullDepth = (place: CuttingPlace): number => tidy(place.material.depth * Math.min(1, Math.max(0.05, place.machine.kilowatts / 1.5)));

/** A roughing cut as a question: what limits it here. */
export function roughAsked(place: CuttingPlace, tool: Tool, diameter: number, speed: number, give?: CutAsked['give']): CutAsked {
  return {
    kc: place.material.kc,
    mc: place.material.mc,
    diameter,
    speed,
    lead: leadOf(tool),
    nose: noseOf(tool),
    kilowatts: place.machine.kilowatts,
    full: fullDepth(place),
    ratio: place.ratio,
    centre: place.centre ? 1 : 0,
    least: leastDepth(tool),
    ...(tool.chips && { chips: tool.chips }),
    ...(give && { give }),
    ...(place.grip && { grip: place.grip }),
    ...(place.heldBy !== undefined && { heldBy: place.heldBy }),
  };
}

/** Most depth of a facing cut: pressed against the jaws, a rule of thumb, 1 mm at the most. @source common practice */
export const faceDepth = (place: CuttingPlace): number =>
  Math.min(1, figure('length', 'depthLimit', { full: fullDepth(place), ratio: place.ratio, centre: place.centre ? 1 : 0 }).value);

const forces = (place: CuttingPlace, tool: Tool, depth: number, feed: number, diameter: number, speed: number): CutForces =>
  cuttingForce(place.material.kc, place.material.mc, {
    depth,
    feed,
    lead: leadOf(tool),
    nose: noseOf(tool),
    speed: Math.max(1, surfaceAt(diameter, speed)),
  });

/** Force and power at a depth and feed. */
export function loadOf(
  place: CuttingPlace,
  tool: Tool,
  depth: number,
  feed: number,
  diameter: number,
  speed: number,
): { readonly force: Figure; readonly power: Figure } {
  const { wide, thick, factor } = forces(place, tool, depth, feed, diameter, speed);
  const force = figure('force', 'forceOfEdge', { kc: place.material.kc, mc: place.material.mc, b: wide, h: thick, factor }, { step: 1 });
  return { force, power: figure('power', 'power', { Fc: force.value, d: diameter, n: speed }) };
}

/** What pushes work and tool apart along the radius. */
export function passivePush(
  place: CuttingPlace,
  tool: Tool,
  cut: { readonly depth: number; readonly feed: number; readonly diameter: number; readonly speed: number },
): Figure {
  const { cutting, lead } = forces(place, tool, cut.depth, cut.feed, cut.diameter, cut.speed);
  return figure('force', 'passiveForce', { F: cutting, share: ACROSS, lead }, { step: 1 });
}

/** Minutes that an edge is in cut in a step, of its figures: without the handling, and as reckoned where something else was learned. */
export const inCut = (figures: Readonly<Record<string, Figure>>): number => minutesInCut(figures['reckoned'] ?? figures['minutes']);

/** The same of one figure of minutes. */
export const minutesInCut = (minutes: Figure | undefined): number => {
  const { passes, length, approach, f, n } = minutes?.of ?? {};
  return [passes, length, approach, f, n].every((v) => typeof v === 'number')
    ? (Number(passes) * (Number(length) + Number(approach))) / (Number(f) * Number(n))
    : 0;
};

/** How long an edge lasts at a speed by Taylor's law, and how many such cuts that is. */
export function edgeOf(
  place: CuttingPlace,
  tool: Tool,
  diameter: number,
  speed: number,
  minutes: Figure,
): { readonly life: Figure; readonly cuts: Figure } {
  const { minutes: T, n } = edges[tool.grade];
  const life = figure('time', 'edgeLife', {
    v: Math.max(0.1, surfaceAt(diameter, speed)),
    at: place.material[tool.grade],
    T,
    n,
    most: practice.longestLife,
  });
  return { life, cuts: figure('count', 'cutsOfEdge', { life: life.value, minutes: Math.max(1e-3, minutesInCut(minutes)) }) };
}
