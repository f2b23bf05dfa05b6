import { practice } from '../shop';
import { type CutForces, cuttingForce } from '../mechanics';
import { atLeast, type Figure, figure, length, PLACE, ROUNDING, say, type Sentence, surfaceAt, tidy } from '../quantity';

/** What holds the work against being turned or pushed in its grip. */
export interface Grip {
  /** all jaws together, standing still, N */
  readonly newtons: number;
  /** what they close on, mm */
  readonly diameter: number;
  /** share of the grip that is gone at the most speed: the jaws fly outwards */
  readonly loses: number;
  /** rev/min */
  readonly mostSpeed: number;
  /** of the jaws on this surface */
  readonly friction: number;
}

/** Share of the grip of a chuck that is gone at its most speed. @source EN 1550, from memory: the most speed leaves a third of the grip */
export const JAWS_LOSE = 2 / 3;

/** A roughing cut of one edge in its place; what it may not exceed. Lengths in mm. */
export interface CutAsked {
  readonly kc: number;
  readonly mc: number;
  /** in cut */
  readonly diameter: number;
  /** rev/min */
  readonly speed: number;
  readonly lead: number;
  readonly nose: number;
  readonly kilowatts: number;
  /** depth that this machine takes in this material short and stout, on radius */
  readonly full: number;
  /** stick-out to diameter, and a centre in use (1) or not (0) */
  readonly ratio: number;
  readonly centre: number;
  /** least depth that cuts rather than rubs */
  readonly least: number;
  readonly chips?: { readonly depth: readonly [number, number]; readonly feed: readonly [number, number] };
  /** how far the work gives way there, mm/N, how far from the jaws, and how much of it may be left standing */
  readonly give?: { readonly compliance: number; readonly at: number; readonly allowed: number; readonly of: 'work' | 'bar' };
  readonly grip?: Grip;
  /** held by a few millimetres only: how many */
  readonly heldBy?: number;
}

export type Rule = 'stick-out' | 'power' | 'spring' | 'chips' | 'grip' | 'short-grip';

/** One limit of a cut: the most depth it allows at a feed. */
interface Bound {
  readonly rule: Rule;
  /** on radius */
  readonly most: Figure;
  readonly says: Sentence;
}

export interface Limited {
  readonly feed: number;
  /** the limit that binds first, and what it allows */
  readonly binding: Bound;
  /** what is taken at the most: what binds, or the least that cuts where that is more */
  readonly most: number;
  readonly bounds: readonly Bound[];
  /** least depth wanted, and by what, where a limit allows less */
  readonly conflict?: { readonly least: number; readonly by: Sentence; readonly binding: Bound };
}

const forcesOf = (asked: CutAsked, feed: number, depth: number): CutForces =>
  cuttingForce(asked.kc, asked.mc, {
    depth,
    feed,
    // an edge that leans back over 90 degrees pulls a little at great depth: not counted on
    lead: Math.min(90, asked.lead),
    nose: asked.nose,
    speed: Math.max(1, surfaceAt(asked.diameter, asked.speed)),
  });

/** What a grip holds at a speed: friction of the jaws, less what flies off, with a factor. N at the gripped surface. */
export const gripHolds = (grip: Grip, speed: number): Figure =>
  figure(
    'force',
    'gripHolds',
    { F: grip.newtons, loses: grip.loses, n: speed, most: grip.mostSpeed, friction: grip.friction, factor: practice.gripFactor },
    { step: 1 },
  );

/** Share of each thing that a cut of this depth uses up: 1 is all that is allowed. */
export function usesOf(asked: CutAsked, feed: number, depth: number): Readonly<Partial<Record<Rule, number>>> {
  const forces = forcesOf(asked, feed, depth);
  return {
    power: pullOn('power', asked, forces) / allowedOf('power', asked),
    ...(asked.give && { spring: pullOn('spring', asked, forces) / allowedOf('spring', asked) }),
    ...(asked.grip && { grip: pullOn('grip', asked, forces) / allowedOf('grip', asked) }),
  };
}

/** N that count against a limit. */
function pullOn(rule: 'power' | 'spring' | 'grip', asked: CutAsked, forces: CutForces): number {
  if (rule === 'power') return forces.cutting;
  if (rule === 'spring') return forces.passive;
  return Math.hypot((forces.cutting * asked.diameter) / (asked.grip?.diameter ?? asked.diameter), forces.feed);
}

function allowedOf(rule: 'power' | 'spring' | 'grip', asked: CutAsked): number {
  if (rule === 'power') return (practice.motorShare * asked.kilowatts * 6e7) / (Math.PI * asked.diameter * asked.speed);
  if (rule === 'spring') return (asked.give?.allowed ?? Infinity) / (asked.give?.compliance ?? 0);
  return asked.grip ? gripHolds(asked.grip, asked.speed).value : Infinity;
}

/**
 * Most depth that each limit allows at a feed, those that bind first; a limit that is not reached at `cap` is left out.
 * @param cap deepest cut that is asked about, mm on radius
 */
export function boundsAt(asked: CutAsked, feed: number, cap = 3 * asked.full): readonly Bound[] {
  const bounds: Bound[] = [
    {
      rule: 'stick-out',
      most: figure('length', 'depthLimit', { full: asked.full, ratio: asked.ratio, centre: asked.centre }),
      says: say`stick-out of ${tidy(Math.round(asked.ratio * 10) / 10)} diameters, rule of thumb`,
    },
  ];
  if (asked.heldBy !== undefined)
    bounds.push({
      rule: 'short-grip',
      most: figure('length', 'distance', { value: practice.lightOnShort }),
      says: say`a grip of ${length(asked.heldBy, 0.1)}: light cuts, or it is levered out`,
    });
  if (asked.chips)
    bounds.push({
      rule: 'chips',
      most: figure('length', 'depthOfChips', { most: asked.chips.depth[1] }),
      says: say`the insert breaks chips up to there`,
    });
  for (const rule of ['power', 'spring', 'grip'] as const) {
    const most = depthBy(rule, asked, feed, cap);
    if (most) bounds.push({ rule, most, says: wordsOf(rule, asked) });
  }
  return bounds.toSorted((a, b) => a.most.value - b.most.value);
}

function wordsOf(rule: 'power' | 'spring' | 'grip', asked: CutAsked): Sentence {
  if (rule === 'power') return say`80 % of the motor`;
  const { at, allowed, of } = asked.give ?? { at: 0, allowed: 0, of: 'work' as const };
  if (rule === 'spring')
    return of === 'bar'
      ? say`spring of the bar, ${length(at, 0.1)} out (${length(allowed)})`
      : say`spring at ${length(at, 0.1)} from the jaws (${length(allowed)})`;
  return say`the grip, half of what would slip`;
}

/** The depth at which a force reaches its limit, as a figure; undefined where it does not up to `cap`. */
function depthBy(rule: 'power' | 'spring' | 'grip', asked: CutAsked, feed: number, cap: number): Figure | undefined {
  const allowed = allowedOf(rule, asked);
  const pull = (depth: number) => pullOn(rule, asked, forcesOf(asked, feed, depth));
  if (!Number.isFinite(allowed) || !(cap > 0) || pull(cap) <= allowed) return undefined;
  let [low, high] = [0, cap];
  for (let i = 0; i < 30 && high - low > 1e-5; i++) {
    const mid = (low + high) / 2;
    if (pull(mid) <= allowed) low = mid;
    else high = mid;
  }
  const depth = Math.max(low, 1e-4);
  const perMm = pull(depth) / depth;
  if (rule === 'power')
    return figure(
      'length',
      'depthByPower',
      { P: asked.kilowatts, share: practice.motorShare, perMm, d: asked.diameter, n: asked.speed },
      { step: 0.01 },
    );
  if (rule === 'spring')
    return figure(
      'length',
      'depthBySpring',
      { allowed: asked.give?.allowed ?? 0, give: 1000 * (asked.give?.compliance ?? 0), perMm },
      { step: 0.01 },
    );
  return figure('length', 'depthByGrip', { holds: allowed, perMm }, { step: 0.01 });
}

/** The limits of a cut at one feed, and which binds. */
export function limitedAt(asked: CutAsked, feed: number): Limited {
  const bounds = boundsAt(asked, feed);
  const [binding] = bounds;
  if (!binding) throw new RangeError('a cut without a limit');
  const least = Math.max(asked.least, asked.chips?.depth[0] ?? 0);
  if (atLeast(binding.most.value, least)) return { feed, binding, bounds, most: binding.most.value };
  const by = least > asked.least ? say`the insert breaks no chip under ${length(least)}` : say`the edge rubs under ${length(least)}`;
  return { feed, binding, bounds, most: least, conflict: { least, by, binding } };
}

/** The feed of those offered with which a depth is off soonest inside every limit; the coarser of two alike. */
export function bestFeed(asked: CutAsked, feeds: readonly number[], total: number): Limited {
  const tried = feeds.map((feed) => {
    const limited = limitedAt(asked, feed);
    const passes = Math.max(1, Math.ceil(total / limited.most - PLACE));
    return { limited, turns: (limited.conflict ? 1e6 : 1) * (passes / feed) };
  });
  const best = tried.reduce<(typeof tried)[number] | undefined>((b, t) => (b && b.turns <= t.turns - ROUNDING ? b : t), undefined);
  if (!best) throw new RangeError('no feed to choose from');
  return best.limited;
}

/** Depth against feed with every limit line: what a chart shows. Depths in mm on radius, Infinity cut off at `cap`. */
export interface CutWindow {
  readonly feeds: readonly number[];
  readonly lines: readonly { readonly rule: Rule | 'least-depth'; readonly depths: readonly number[] }[];
  readonly cap: number;
}

export function windowOf(asked: CutAsked, mostFeed: number): CutWindow {
  const cap = 2 * asked.full;
  const feeds = Array.from({ length: 24 }, (_, i) => tidy(0.02 + (Math.max(0.1, 1.3 * mostFeed) - 0.02) * (i / 23)));
  const at = feeds.map((feed) => boundsAt(asked, feed, cap));
  const rules: readonly Rule[] = ['stick-out', 'short-grip', 'power', 'spring', 'grip', 'chips'];
  const lines = rules
    .map((rule) => ({ rule, depths: at.map((bounds) => Math.min(cap, bounds.find((b) => b.rule === rule)?.most.value ?? cap)) }))
    .filter((line) => line.depths.some((d) => d < cap));
  const least = Math.max(asked.least, asked.chips?.depth[0] ?? 0);
  return { feeds, lines: [...lines, { rule: 'least-depth', depths: feeds.map(() => least) }], cap };
}
