import { inCut } from '../cutting';
import type { Machine, Shop } from '../document';
import type { Part } from '../drawing';
import type { Step, Verb } from '../operations';
import type { Setup } from '../settings';
import { boundsOf, combine, type Convex, overlapOf, rectangle, type Region, sweptAlong } from '../stock';
import { outlineOf } from '../tooling';
import {
  type Body,
  comesUp,
  type Contact,
  contactsOf,
  localOf,
  type Motion,
  motionsOf,
  type Moving,
  presentedIn,
  type Standing,
  standingIn,
  upFirst,
} from './bodies';
import { toolIn } from './toolIn';

/*
 * The making as it goes by: every pass on its way, the metal before and after it, what stands beside. It is what the proof goes over: the same ways, the same bodies, the
 * same regions. All lies in the plane of the tool: x from the finished face of the free end outwards, r from the axis to the operator, mm.
 */

/** One way of the tool, with the stock before and after it. */
export interface Way extends Motion {
  readonly minutes: number;
  readonly before: Region;
  readonly after: Region;
  /** which side of the tool is still to be cut while it is under way */
  readonly leaves: 'left' | 'inside' | 'outside' | 'all';
}

/** Two bodies that touch on a way. */
export interface Touch {
  readonly way: number;
  /** share of the way at which they begin to touch, 0 to 1 */
  readonly at: number;
  /** where the tool's point is then */
  readonly point: readonly [x: number, r: number];
  readonly moving: Moving;
  readonly standing: Standing;
  /** how far they would stand in each other at the end, mm */
  readonly by: number;
}

/** One step as it is seen. */
export interface Reel {
  readonly setup: string;
  readonly step: string;
  readonly verb: Verb;
  /** of a step that moves the piece: into the chuck, out of it by so much, round, to another machine */
  readonly move?: 'in' | 'pulled' | 'turned' | 'away';
  /** the left end is free: places are counted from it */
  readonly turned: boolean;
  readonly minutes: number;
  /** of them before the tool moves: hands on dials and gauges */
  readonly hands: number;
  readonly tool: readonly Convex[];
  readonly ways: readonly Way[];
  /** jaws, chuck, centre, tailstock, steady */
  readonly standing: readonly Body[];
  readonly before: Region;
  readonly after: Region;
  readonly touches: readonly Touch[];
}

export interface Film {
  readonly reels: readonly Reel[];
  readonly minutes: number;
}

/** A rapid way goes by in so much of the time of a cut as long. @source judgement */
const RAPID = 0.15;
/** More passes than this go by as this many. */
const PASSES = 24;
/** Hands take so much of a step whose cutting time is not known. */
const HANDS = 0.4;

/** A region with its places counted from the free end. */
const localised = (region: Region, x: (z: number) => number): Region =>
  region.map((rings) => rings.map((ring) => ring.map((v, i) => (i % 2 === 0 ? x(v) : v))));

/** The making of one piece. @param route its setups as they are worked */
export function filmOf(route: { readonly setups: readonly Setup[] }, shop: Shop, part: Part, machine?: Machine): Film {
  const reels = route.setups.flatMap((setup, nth) => reelsOf(setup, route.setups[nth - 1], shop, part, machine));
  return { reels, minutes: reels.reduce((sum, r) => sum + r.minutes, 0) };
}

function reelsOf(setup: Setup, last: Setup | undefined, shop: Shop, part: Part, machine: Machine | undefined): readonly Reel[] {
  const up = upFirst(setup, shop);
  const x = localOf(setup, part.length);
  let stock = setup.before;
  return setup.steps.map((step, k): Reel => {
    comesUp(up, setup, step);
    const tool = shop.tools.find((t) => t.id === step.tool);
    const shown = step.method === 'hands' ? undefined : toolIn(step, setup, part, tool, machine);
    const presented = tool ? (presentedIn(step, tool, part) ?? 'outside') : 'outside';
    const bodies = setup.end === null ? [] : standingIn(setup, step, shop, part.length, up, presented, machine);
    const before = stock;
    stock = step.after.length > 0 ? step.after : stock;
    const minutes = step.figures['minutes']?.value ?? 0;
    const cutting = inCut(step.figures);
    const ways = shown ? waysOf(step, shown.motions, localised(before, x), localised(stock, x), x) : [];
    const hands = ways.length === 0 ? minutes : cutting > 0 ? Math.max(0, minutes - cutting) : HANDS * minutes;
    const outline = tool && shown && presentedIn(step, tool, part) !== undefined ? outlineOf(tool, presented, machine) : undefined;
    const swept = tool && outline ? motionsOf(setup, step, tool, part, up.centre) : [];
    const contacts = outline ? contactsOf(swept, outline, bodies) : [];
    const move = k === 0 ? movedBefore(setup, last) : undefined;
    return {
      setup: setup.id,
      step: step.id,
      verb: step.verb,
      ...(move && { move }),
      turned: setup.end === 'left',
      minutes,
      hands,
      tool: shown?.outline ?? [],
      ways: timed(ways, minutes - hands),
      standing: bodies.filter((b) => b.is !== 'part' && b.is !== 'bar'),
      before: localised(before, x),
      after: localised(stock, x),
      touches: outline ? contacts.map((c) => touchOf(c, swept, outline[c.moving], bodies, ways.length - swept.length)) : [],
    };
  });
}

const movedBefore = (setup: Setup, last: Setup | undefined): Reel['move'] =>
  setup.end === null ? 'away' : !last ? 'in' : setup.pulled ? 'pulled' : last.end !== null && last.end !== setup.end ? 'turned' : 'in';

/** Each way with its share of the time in cut. */
function timed(ways: readonly Omit<Way, 'minutes'>[], minutes: number): readonly Way[] {
  const weigh = ({ from, to, cuts }: Motion) => Math.max(0.05, Math.hypot(to[0] - from[0], to[1] - from[1])) * (cuts ? 1 : RAPID);
  const all = ways.reduce((sum, w) => sum + weigh(w), 0);
  return ways.map((w) => ({ ...w, minutes: all > 0 ? (minutes * weigh(w)) / all : 0 }));
}

type Untimed = Omit<Way, 'minutes'>;

/** Places and radii that a region takes in. */
function spanOf(region: Region, x: (z: number) => number) {
  const { left, right } = boundsOf(region);
  const radii = region.flatMap((rings) => rings.flatMap((ring) => Array.from(ring).filter((_, i) => i % 2 === 1)));
  return { near: Math.max(x(left), x(right)), far: Math.min(x(left), x(right)), inner: Math.max(0, Math.min(...radii)), outer: Math.max(...radii) };
}

const FAR = 1e4;

/** The ways of a step pass by pass; the last of them is that of the proof, and ends in what the step leaves. */
function waysOf(step: Step, motions: readonly Motion[], before: Region, after: Region, x: (z: number) => number): readonly Untimed[] {
  const count = Math.min(PASSES, Math.max(1, Math.round(step.figures['passes']?.value ?? 1)));
  const removes = localised(step.removes, x);
  if (removes.length === 0 || motions.length === 0) return motions.map((m) => ({ ...m, before, after: m.cuts ? after : before, leaves: 'all' }));
  const span = spanOf(step.removes, x);
  const several = count > 1 && (step.verb === 'rough-turn' || step.verb === 'face' || step.verb === 'bore' || step.verb === 'finish-turn');
  const out: Untimed[] = [];
  let stock = before;
  for (let pass = 1; pass <= (several ? count : 1); pass++) {
    const share = several ? pass / count : 1;
    const left = (1 - share) * (step.verb === 'face' ? span.near - span.far : span.outer - span.inner);
    const cut = several && share < 1 ? combine('difference', before, combine('intersection', removes, whatIsCut(step, span, left))) : after;
    const shift: readonly [number, number] = step.verb === 'face' ? [left, 0] : [0, step.verb === 'bore' ? -left : left];
    motions.forEach((m, k) => {
      const place = ([a, b]: readonly [number, number]): readonly [number, number] => [a + shift[0], Math.max(0, b + shift[1])];
      // only what goes through metal takes it off; of several such ways each leaves what is under it, the last all
      const last = !motions.slice(k + 1).some((later) => later.cuts);
      const to = place(m.to);
      const leaves = leavesOf(m, step);
      const done = m.cuts && last ? cut : stock;
      out.push({ from: place(m.from), to, cuts: m.cuts, before: stock, after: done, leaves });
      if (m.cuts && last) stock = cut;
    });
  }
  return out;
}

/** What of the metal that a step takes is gone while so much is still left of it, on radius or along the axis. */
function whatIsCut(step: Step, { near, far, inner, outer }: ReturnType<typeof spanOf>, left: number): Region {
  if (step.verb === 'face') return rectangle(far + left, FAR, -1, FAR);
  return step.verb === 'bore' ? rectangle(far - 1, near + 1, -1, outer - left) : rectangle(-FAR, FAR, inner + left, FAR);
}

/** On which side of its point a tool under way has metal before it. */
function leavesOf({ from, to, cuts }: Motion, step: Step): Way['leaves'] {
  if (!cuts) return 'all';
  const [along, across] = [Math.abs(to[0] - from[0]), to[1] - from[1]];
  if (along > Math.abs(across)) return to[0] < from[0] ? 'left' : 'all';
  return step.verb === 'bore' || across > 0 ? 'outside' : 'inside';
}

/** Steps of the search for where two bodies begin to touch. */
const HALVINGS = 24;

/** Where on its way a contact begins. */
function touchOf(
  { way, moving, standing, by }: Contact,
  motions: readonly Motion[],
  outline: Convex,
  bodies: readonly Body[],
  before: number,
): Touch {
  const motion = motions[way];
  const against = bodies.filter((b) => b.is === standing);
  const place = (share: number): readonly [number, number] =>
    motion ? [motion.from[0] + share * (motion.to[0] - motion.from[0]), motion.from[1] + share * (motion.to[1] - motion.from[1])] : [0, 0];
  const met = (share: number) =>
    motion !== undefined && against.some((b) => overlapOf(sweptAlong(outline, motion.from, place(share)), b.outline) > 0);
  let [clear, meets] = [0, 1];
  if (met(0)) meets = 0;
  for (let i = 0; i < HALVINGS && meets > 0; i++) {
    const middle = (clear + meets) / 2;
    if (met(middle)) meets = middle;
    else clear = middle;
  }
  return { way: way + Math.max(0, before), at: meets, point: place(meets), moving, standing, by };
}
