import type { Holding, Shop, Tool } from '../document';
import { faceOf, type Part } from '../drawing';
import { type Step, threads } from '../operations';
import { atMost, parseDegrees, PLACE } from '../quantity';
import { thingOf } from '../ref';
import type { Setup } from '../settings';
import { holdingOf, isChuck, mmOf, practice } from '../shop';
import { readInsert } from '../standards';
import { boundsOf, combine, type Convex, outsideOf, overlapOf, sectionsOf, sweptAlong, turned } from '../stock';

/*
 * What moves and what stands, in the plane of the tool: x along the axis from the finished face of the free end outwards, r from the axis to the operator. Holders,
 * jaws, centres and tailstocks have usual sizes; what a shop really has is not known, so a contact is told to be looked at, and all travel is wound through by hand.
 */

type Moving = 'tool' | 'holder' | 'carriage';
type Standing = 'jaws' | 'chuck' | 'centre' | 'tailstock' | 'steady' | 'part' | 'bar';

const POST = { from: 4, wide: 76, above: 42, high: 90 } as const;
const STEADY = { half: 12, high: 60 } as const;
/** A live centre widens from its point: a 60 degree cone to its nose, then its body, then quill and tailstock. */
const NOSE = { seat: 2, radius: 10, from: 40, body: 22, tailstock: 95, casting: 48 } as const;
/** Less than this is two surfaces that touch, mm. */
const TOUCH = 0.002;

/** How steeply the back of a tool falls away from its tip, and how far its leading edge leans, degrees. */
function anglesOf(tool: Tool): { readonly fall: number; readonly lean: number } {
  const insert = tool.insert === undefined ? undefined : readInsert(tool.insert);
  const lead = parseDegrees(tool.lead?.text ?? '');
  const kappa = lead.ok ? lead.value : 95;
  return {
    fall: insert?.corner === undefined ? practice.groundClear : Math.max(0, 180 - kappa - insert.corner),
    lean: Math.max(0, Math.min(30, kappa - 90)),
  };
}

export type Bodies = Readonly<Record<Moving, Convex>>;

const box = (x0: number, x1: number, r0: number, r1: number): Convex => [
  [x0, r0],
  [x1, r0],
  [x1, r1],
  [x0, r1],
];

/** What moves with a tool, its lowest point towards the headstock at (0, 0). */
export function bodiesOf(tool: Tool): Bodies {
  const carriage = box(POST.from, POST.from + POST.wide, POST.above, POST.above + POST.high);
  const width = mmOf(tool.width, 3);
  if (tool.kind === 'part' || tool.kind === 'groove') {
    const reach = mmOf(tool.reach, 20);
    return {
      tool: box(-width, 0, 0, reach),
      holder: box(1 - width, practice.holderWide - width, reach, reach + 30),
      carriage: raised(carriage, reach),
    };
  }
  if (tool.kind === 'thread')
    return {
      tool: [
        [0, 0],
        [3, 5],
        [3, 10],
        [-3, 10],
        [-3, 5],
      ],
      holder: box(-3, practice.holderWide - 3, 10, 60),
      carriage,
    };
  // set so that nothing of its edge stands further towards the headstock than what it cuts
  if (tool.kind === 'form' || tool.kind === 'knurl')
    return { tool: box(0, Math.min(width, 8), 0, 10), holder: box(0, practice.holderWide, 10, 60), carriage };
  const { fall, lean } = anglesOf(tool);
  const [rise, slope] = [Math.tan((fall * Math.PI) / 180), Math.tan((lean * Math.PI) / 180)];
  return {
    tool: [
      [0, 0],
      [practice.insertWide, practice.insertWide * rise],
      [practice.insertWide, practice.insertWide + practice.insertWide * rise],
      [practice.insertWide * slope, practice.insertWide],
    ],
    holder: [
      [practice.insertWide, practice.insertWide * rise],
      [practice.holderWide, practice.holderWide * rise],
      [practice.holderWide, 70],
      [Math.max(1, practice.insertWide * slope), 70],
      [Math.max(1, practice.insertWide * slope), practice.insertWide * rise + practice.insertWide],
    ],
    carriage,
  };
}

const raised = (of: Convex, by: number): Convex => of.map(([x, r]) => [x, r + Math.max(0, by - 20)]);

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

/** The ways of the tool's point in a step, from what it removes; nothing for what is not cut from outside with a tool in the post. */
export function motionsOf(setup: Setup, step: Step, tool: Tool, part: Pick<Part, 'length' | 'features'>): readonly Motion[] {
  if (step.removes.length === 0) return [];
  const x = localOf(setup, part.length);
  const { left, right } = boundsOf(step.removes);
  const [near, far] = [Math.max(x(left), x(right)), Math.min(x(left), x(right))];
  const depth = leastRadius(step);
  const clear = topOf(setup, step) + practice.approach;
  const row = part.features.find((f) => f.id === thingOf(step.does[0] ?? ''));
  if (step.verb === 'thread' && row && row.side !== 'outside') return [];
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
    const start = (inFront > depth + 1e-3 ? Math.max(near, x(boundsOf(before).left), x(boundsOf(before).right)) : near) + practice.approach;
    return [
      { from: [start, clear], to: [start, depth], cuts: false },
      { from: [start, depth], to: [far, depth], cuts: true },
    ];
  }
  if (step.verb === 'face') return [{ from: [far, clear], to: [far, 0], cuts: true }];
  if (!plunges.has(step.verb)) return [];
  const width = tool.kind === 'form' ? 0 : mmOf(tool.width, 3);
  const walls = tool.kind === 'form' ? [far] : near - far > width + 0.05 ? [near, far + width] : [near];
  return walls.map((at) => ({ from: [at, clear], to: [at, depth], cuts: true }));
}

const leastRadius = (step: Step): number =>
  Math.max(0, Math.min(...step.removes.flatMap((rings) => rings.flatMap((ring) => [...ring].filter((_, i) => i % 2 === 1)))));
const topOf = (setup: Setup, step: Step): number => Math.max(boundsOf(step.removes).radius, boundsOf(setup.before).radius);

export interface Body {
  readonly is: Standing;
  readonly outline: Convex;
}

/** What stands beside the tool: jaws and chuck, centre and tailstock where they are up, a steady, the work as it is after the step. */
export function standingIn(
  setup: Setup,
  step: Step,
  shop: Shop,
  length: number,
  up: { readonly centre: boolean; readonly steady: boolean },
): readonly Body[] {
  const x = localOf(setup, length);
  const holding = holdingOf(shop, setup.holding);
  return [
    ...(holding && isChuck(holding) ? chuckOf(setup, holding, x(setup.gripped[0])) : []),
    ...(up.centre ? centreOf(step, x) : []),
    ...(up.steady
      ? setup.support
          .filter((s) => s.kind === 'steady')
          .map((s): Body => ({
            is: 'steady',
            outline: box(x(s.at) - STEADY.half, x(s.at) + STEADY.half, radiusAt(step, s.at), radiusAt(step, s.at) + STEADY.high),
          }))
      : []),
    ...workOf(setup, step, x),
  ];
}

const radiusAt = (step: Step, z: number): number => Math.max(1, ...sectionsOf(step.after, z - 1, z + 1).map((s) => s.outer));

function chuckOf(setup: Setup, holding: Holding, jaws: number): readonly Body[] {
  const closed = holding.kind === 'collet' || holding.kind === 'softCollet' || holding.kind === 'splitBush';
  const radius = setup.gripDiameter / 2;
  const long = mmOf(holding.jaw?.length, 25);
  const across = Math.max(mmOf(holding.outside?.to, 80) / 2, radius + 10);
  return [
    { is: 'jaws', outline: box(jaws - long, jaws, radius, radius + (closed ? practice.colletNose : practice.jawHigh)) },
    ...(closed ? [] : [{ is: 'chuck' as const, outline: box(jaws - long - practice.chuckBehind, jaws - long, radius, across) }]),
  ];
}

function centreOf(step: Step, x: (z: number) => number): readonly Body[] {
  const { left, right } = boundsOf(step.after);
  const face = Math.max(x(left), x(right));
  const tip = face - NOSE.seat;
  const cone = NOSE.radius / Math.tan(Math.PI / 6);
  return [
    {
      is: 'centre',
      outline: [
        [tip, 0],
        [tip + cone, NOSE.radius],
        [face + NOSE.from, NOSE.radius],
        [face + NOSE.from, 0],
      ],
    },
    { is: 'centre', outline: box(face + NOSE.from, face + NOSE.tailstock, 0, NOSE.body) },
    { is: 'tailstock', outline: box(face + NOSE.tailstock, face + NOSE.tailstock + 150, 0, NOSE.casting) },
  ];
}

/** The work after the step, in slices; beyond a kerf it is the bar. Of a thread the tool is in the groove that it cuts: the work there is as thick as its roots. */
function workOf(setup: Setup, step: Step, x: (z: number) => number): readonly Body[] {
  const { left, right } = boundsOf(step.removes);
  const work =
    threads.has(step.verb) && step.removes.length > 0 ? combine('difference', step.after, turned(left, right, leastRadius(step))) : step.after;
  const jaws = x(setup.gripped[0]);
  const severs = setup.steps.some((s) => s.verb === 'part-off' || s.verb === 'saw-off');
  return sectionsOf(work, -1e4, 1e4).flatMap((s): Body[] => {
    const [a, b] = [Math.min(x(s.from), x(s.to)), Math.max(x(s.from), x(s.to))];
    if (atMost(b, jaws, PLACE)) return [];
    const beyond = severs && a < jaws + PLACE;
    return [{ is: beyond ? 'bar' : 'part', outline: box(Math.max(a, jaws), b, 0, s.outer) }];
  });
}

export interface Contact {
  readonly moving: Moving;
  readonly standing: Standing;
  /** how far they stand in each other, mm */
  readonly by: number;
}

/** What touches what on the ways of a tool: for each pair the deepest. The cutting point in the work is the cut; coming to it, it is not. */
export function contactsOf(motions: readonly Motion[], bodies: Bodies, standing: readonly Body[]): readonly Contact[] {
  const found = new Map<string, Contact>();
  for (const motion of motions)
    for (const moving of ['tool', 'holder', 'carriage'] as const) {
      const swept = sweptAlong(bodies[moving], motion.from, motion.to);
      for (const body of standing) {
        const work = body.is === 'part' || body.is === 'bar';
        if (work && moving === 'tool' && motion.cuts) continue;
        const by = overlapOf(swept, body.outline);
        const key = `${moving} ${body.is}`;
        if (by > TOUCH && by > (found.get(key)?.by ?? 0)) found.set(key, { moving, standing: body.is, by });
      }
    }
  return [...found.values()];
}
