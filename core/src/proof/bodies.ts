import type { Holding, Machine, Shop, Tool } from '../document';
import { faceOf, type Feature, type Part } from '../drawing';
import { type Step, threads } from '../operations';
import { atMost, PLACE } from '../quantity';
import { thingOf } from '../ref';
import type { Setup } from '../settings';
import { holdingOf, isChuck, mmOf, practice } from '../shop';
import { boundsOf, combine, type Convex, movedBy, outsideOf, overlapOf, sectionsOf, sweptAlong, turned } from '../stock';
import { centreOutlines, isCountersink, isPointed, type Outline, type Presented, shankOf } from '../tooling';

/*
 * What moves and what stands, in the plane of the tool: x along the axis from the finished face of the free end outwards, r from the axis to the operator. What holders,
 * centres and tailstock fill comes from their rows in the shop; where those do not say they have usual sizes, so a contact is told to be looked at, and all travel is wound
 * through by hand.
 */

export type Moving = keyof Outline;
export type Standing = 'jaws' | 'chuck' | 'centre' | 'tailstock' | 'steady' | 'part' | 'bar';

/** Less than this is two surfaces that touch, mm. */
const TOUCH = 0.002;

const box = (x0: number, x1: number, r0: number, r1: number): Convex => [
  [x0, r0],
  [x1, r0],
  [x1, r1],
  [x0, r1],
];

/** A straight way of the tool's point; cutting, or coming to the cut. */
export interface Motion {
  readonly from: readonly [x: number, r: number];
  readonly to: readonly [x: number, r: number];
  readonly cuts: boolean;
}

const turns = new Set<Step['verb']>(['rough-turn', 'finish-turn', 'taper', 'thread', 'knurl']);
const plunges = new Set<Step['verb']>(['neck', 'groove', 'undercut', 'part-off', 'chamfer', 'form']);

/** x of a z in a setup. */
export const localOf = (setup: Setup, length: number) => {
  const end = setup.end ?? 'right';
  const face = faceOf({ length }, end);
  return (z: number): number => (end === 'right' ? z - face : face - z);
};

/** The row that a step is done on: of a detail the row that it is cut in. */
function rowOfStep(step: Step, part: Pick<Part, 'features' | 'details'>): Feature | undefined {
  const thing = thingOf(step.does[0] ?? '');
  const on = part.details.find((d) => d.id === thing)?.on;
  return part.features.find((f) => f.id === (on ?? thing));
}

/** How a tool is presented in a step; undefined where it is carried by the tailstock, or by nothing that is known. */
export function presentedIn(step: Step, tool: Tool, part: Pick<Part, 'features' | 'details'>): Presented | undefined {
  const row = rowOfStep(step, part);
  if (!row || row.side === 'outside') return 'outside';
  if (tool.kind === 'bore' || shankOf(tool) > 0) return inside.has(step.verb) ? 'inside' : undefined;
  // a countersink goes in from the tailstock
  return tool.kind === 'form' && !isCountersink(tool) ? 'mouth' : undefined;
}

const inside = new Set<Step['verb']>(['bore', 'thread', 'groove', 'undercut', 'chamfer', 'form']);

/** The ways of the tool's point in a step, from what it removes; nothing for what is not cut with a tool in the post. */
export function motionsOf(
  setup: Setup,
  step: Step,
  tool: Tool,
  part: Pick<Part, 'length' | 'features' | 'details'>,
  beside = false,
): readonly Motion[] {
  if (step.removes.length === 0) return [];
  const x = localOf(setup, part.length);
  const { left, right } = boundsOf(step.removes);
  const [near, far] = [Math.max(x(left), x(right)), Math.min(x(left), x(right))];
  const presented = presentedIn(step, tool, part);
  if (presented === undefined) return [];
  const approach = beside ? practice.besideCentre : practice.approach;
  if (presented !== 'outside') return waysInside(setup, step, tool, presented, near, far, x);
  const depth = leastRadius(step);
  const clear = topOf(setup, step) + practice.approach;
  const row = rowOfStep(step, part);
  if (step.verb === 'taper' && row) {
    const ends = (
      [
        [x(row.near), row.nearDiameter.nominal / 2],
        [x(row.far), row.farDiameter.nominal / 2],
      ] as const
    ).toSorted((a, b) => b[0] - a[0]);
    const [outer, inner] = ends;
    return outer && inner
      ? [
          { from: [outer[0], clear], to: outer, cuts: true },
          { from: outer, to: inner, cuts: true },
        ]
      : [];
  }
  if (turns.has(step.verb)) {
    // what stands in front of its row is passed over in cut, from the free end
    const before = setup.steps[setup.steps.indexOf(step) - 1]?.after ?? setup.before;
    const z = (at: number) => (setup.end === 'left' ? -part.length - at : at);
    const inFront = outsideOf(before, z(near), z(near + practice.approach)).most;
    const start = (inFront > depth + 1e-3 ? Math.max(near, x(boundsOf(before).left), x(boundsOf(before).right)) : near) + approach;
    return [
      { from: [start, clear], to: [start, depth], cuts: false },
      { from: [start, depth], to: [far, depth], cuts: true },
    ];
  }
  if (step.verb === 'face') return [{ from: [far, clear], to: [far, 0], cuts: true }];
  if (!plunges.has(step.verb)) return [];
  const width = tool.kind === 'form' ? 0 : mmOf(tool.width, 3);
  const walls = isPointed(tool) ? [lowestOf(step, x)] : tool.kind === 'form' ? [far] : near - far > width + 0.05 ? [near, far + width] : [near];
  return walls.map((at) => ({ from: [at, clear], to: [at, depth], cuts: true }));
}

/** Into a hole: a form tool on end to its mouth; a bar along the wall, or in clear of it and then outwards. */
function waysInside(
  setup: Setup,
  step: Step,
  tool: Tool,
  presented: 'mouth' | 'inside',
  near: number,
  far: number,
  x: (z: number) => number,
): readonly Motion[] {
  const before = setup.steps[setup.steps.indexOf(step) - 1]?.after ?? setup.before;
  const face = Math.max(x(boundsOf(before).left), x(boundsOf(before).right), near) + practice.approach;
  const radii = step.removes.flatMap((rings) => rings.flatMap((ring) => [...ring].filter((_, i) => i % 2 === 1)));
  const [least, most] = [Math.max(0, Math.min(...radii)), Math.max(...radii)];
  if (presented === 'mouth') return [{ from: [face, (least + most) / 2], to: [far, (least + most) / 2], cuts: true }];
  if (step.verb !== 'groove' && step.verb !== 'undercut') return [{ from: [face, most], to: [far, most], cuts: true }];
  const clear = Math.max(0, least - IN_CLEAR);
  const width = mmOf(tool.width, 2);
  const walls = near - far > width + 0.05 ? [near, far + width] : [near];
  return walls.flatMap((at): readonly Motion[] => [
    { from: [face, clear], to: [at, clear], cuts: false },
    { from: [at, clear], to: [at, most], cuts: true },
  ]);
}

/** A grooving bar goes in so far off the wall, mm. */
const IN_CLEAR = 0.2;

/** Where a cut is deepest: the tip of a pointed tool is there. */
function lowestOf(step: Step, x: (z: number) => number): number {
  let [low, at] = [Infinity, 0];
  for (const rings of step.removes)
    for (const ring of rings)
      for (let i = 0; i < ring.length; i += 2) {
        const [z, r] = [ring[i] ?? 0, ring[i + 1] ?? 0];
        if (r < low) [low, at] = [r, x(z)];
      }
  return at;
}

const leastRadius = (step: Step): number =>
  Math.max(0, Math.min(...step.removes.flatMap((rings) => rings.flatMap((ring) => [...ring].filter((_, i) => i % 2 === 1)))));
const topOf = (setup: Setup, step: Step): number => Math.max(boundsOf(step.removes).radius, boundsOf(setup.before).radius);

export interface Body {
  readonly is: Standing;
  readonly outline: Convex;
}

/** What supports the work: whether a centre is up in its end, and a steady about it. */
export interface Up {
  centre: boolean;
  steady: boolean;
}

/** What is up when a setup begins. */
export const upFirst = (setup: Setup, shop: Shop): Up => ({ centre: holdingOf(shop, setup.holding)?.kind === 'centres', steady: false });

/** What a step brings up or takes away. */
export function comesUp(up: Up, setup: Setup, step: Step): void {
  if (step.verb === 'support') {
    up.centre = setup.support.some((s) => s.kind === 'centre');
    up.steady = setup.support.some((s) => s.kind === 'steady');
  }
  if (step.verb === 'withdraw') up.centre = false;
}

/** What stands beside the tool: jaws and chuck, centre and tailstock where they are up, a steady, the work as it is after the step. */
export function standingIn(
  setup: Setup,
  step: Step,
  shop: Shop,
  length: number,
  up: Readonly<Up>,
  presented: Presented = 'outside',
  machine?: Machine,
): readonly Body[] {
  const x = localOf(setup, length);
  const holding = holdingOf(shop, setup.holding);
  return [
    ...(holding && isChuck(holding) ? chuckOf(setup, holding, x(setup.gripped[0])) : []),
    ...(up.centre ? centreOf(setup, step, shop, machine, x) : []),
    ...(up.steady
      ? setup.support
          .filter((s) => s.kind === 'steady')
          .map((s): Body => ({
            is: 'steady',
            outline: box(
              x(s.at) - practice.steadyWide / 2,
              x(s.at) + practice.steadyWide / 2,
              radiusAt(step, s.at),
              radiusAt(step, s.at) + practice.steadyHigh,
            ),
          }))
      : []),
    ...workOf(setup, step, x, presented !== 'outside'),
  ];
}

const radiusAt = (step: Step, z: number): number => Math.max(1, ...sectionsOf(step.after, z - 1, z + 1).map((s) => s.outer));

function chuckOf(setup: Setup, holding: Holding, jaws: number): readonly Body[] {
  const closed = holding.kind === 'collet' || holding.kind === 'softCollet' || holding.kind === 'splitBush';
  const radius = setup.gripDiameter / 2;
  const long = mmOf(holding.jaw?.length, 25);
  const across = Math.max(mmOf(holding.outside?.to, 80) / 2, radius + 10);
  return [
    {
      is: 'jaws',
      outline: box(
        jaws - long,
        jaws,
        radius,
        closed ? Math.max(radius, mmOf(holding.nose, 2 * (radius + practice.colletNose)) / 2) : radius + practice.jawHigh,
      ),
    },
    ...(closed ? [] : [{ is: 'chuck' as const, outline: box(jaws - long - practice.chuckBehind, jaws - long, radius, across) }]),
  ];
}

function centreOf(setup: Setup, step: Step, shop: Shop, machine: Machine | undefined, x: (z: number) => number): readonly Body[] {
  const { left, right } = boundsOf(step.after);
  const face = Math.max(x(left), x(right));
  const item = setup.support.flatMap((s) => (s.kind === 'centre' ? (holdingOf(shop, s.item) ?? []) : []))[0];
  const { cone, body, tailstock } = centreOutlines(item, machine);
  return [cone, body, tailstock].map((of, i): Body => ({ is: i === 2 ? 'tailstock' : 'centre', outline: movedBy(of, [face, 0]) }));
}

/** The work after the step, in slices; beyond a kerf it is the bar. Of a thread the tool is in the groove that it cuts: the work there is as thick as its roots. */
function workOf(setup: Setup, step: Step, x: (z: number) => number, hollow: boolean): readonly Body[] {
  const { left, right } = boundsOf(step.removes);
  const work =
    threads.has(step.verb) && step.removes.length > 0 && !hollow
      ? combine('difference', step.after, turned(left, right, leastRadius(step)))
      : step.after;
  const jaws = x(setup.gripped[0]);
  const severs = setup.steps.some((s) => s.verb === 'part-off' || s.verb === 'saw-off');
  return sectionsOf(work, -1e4, 1e4).flatMap((s): readonly Body[] => {
    const [a, b] = [Math.min(x(s.from), x(s.to)), Math.max(x(s.from), x(s.to))];
    if (!hollow && atMost(b, jaws, PLACE)) return [];
    const is = severs && a < jaws + PLACE ? 'bar' : 'part';
    if (!hollow) return [{ is, outline: box(Math.max(a, jaws), b, 0, s.outer) }];
    // both walls of a hole: the bar lies between them; what is solid is in front of its end
    return [
      { is: 'part', outline: box(a, b, s.inner, s.outer) },
      { is: 'part', outline: box(a, b, -s.outer, -s.inner) },
    ];
  });
}

export interface Contact {
  readonly moving: Moving;
  readonly standing: Standing;
  /** how far they stand in each other, mm */
  readonly by: number;
  /** on which of the ways it is deepest */
  readonly way: number;
}

/** What touches what on the ways of a tool: for each pair the deepest. The cutting point in the work is the cut; coming to it, it is not. */
export function contactsOf(motions: readonly Motion[], bodies: Outline, standing: readonly Body[]): readonly Contact[] {
  const found = new Map<string, Contact>();
  for (const [way, motion] of motions.entries())
    for (const moving of ['tool', 'holder', 'carriage'] as const) {
      const swept = sweptAlong(bodies[moving], motion.from, motion.to);
      for (const body of standing) {
        const work = body.is === 'part' || body.is === 'bar';
        if (work && moving === 'tool' && motion.cuts) continue;
        const by = overlapOf(swept, body.outline);
        const key = `${moving} ${body.is}`;
        if (by > TOUCH && by > (found.get(key)?.by ?? 0)) found.set(key, { moving, standing: body.is, by, way });
      }
    }
  return [...found.values()];
}
