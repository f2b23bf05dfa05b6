import type { Machine, Shop, Tool } from '../document';
import { letterOf, type Part } from '../drawing';
import type { Finding } from '../finding';
import { type Step, threads, verbs } from '../operations';
import { atMost, diameter, length, PLACE, ROUNDING, say } from '../quantity';
import type { Setup } from '../settings';
import { readStep, thingOf } from '../ref';
import { holdingOf, mmOf, practice } from '../shop';
import { area, boundsOf, combine, edgesOf, outsideOf, perimeterOf, rectangle, type Region, regionOf } from '../stock';
import { outlineOf } from '../tooling';
import { comesUp, type Contact, contactsOf, localOf, motionsOf, presentedIn, standingIn, upFirst } from './bodies';

/** What is proved: the setups of a route as they are worked. */
interface Worked {
  readonly setups: readonly Setup[];
}

/**
 * What would touch what along every cut, and whether the metal that is left is the part: tool, holder and carriage against jaws, chuck, centre, tailstock, steady and
 * work; bars into holes; cuts in air; metal left, a contour cut into, a piece not severed.
 */
export function proof(route: Worked, shop: Shop, part: Part, machine?: Machine): readonly Finding[] {
  return [...route.setups.flatMap((setup) => inSetup(setup, shop, part, machine)), ...finished(route, part)];
}

function inSetup(setup: Setup, shop: Shop, part: Part, machine: Machine | undefined): readonly Finding[] {
  const up = upFirst(setup, shop);
  return setup.steps.flatMap((step): readonly Finding[] => {
    comesUp(up, setup, step);
    const tool = shop.tools.find((t) => t.id === step.tool);
    if (!tool) return [];
    if (step.removes.length === 0) return inAir(step);
    // what both hands lead goes no path that is known beforehand: its step says so
    if (step.method === 'hands') return [];
    const presented = presentedIn(step, tool, part) ?? 'outside';
    const contacts = contactsOf(
      motionsOf(setup, step, tool, part, up.centre),
      outlineOf(tool, presented, machine),
      standingIn(setup, step, shop, part.length, up, presented, machine),
    );
    return [
      ...contacts.map((c) => told(c, setup, step, tool)),
      ...nearJaws(setup, step, tool, part, contacts),
      ...intoHole(setup, step, tool),
      ...intoJaws(setup, step, shop),
    ];
  });
}

const cuts = new Set<Step['verb']>([
  'rough-turn',
  'finish-turn',
  'face',
  'neck',
  'groove',
  'undercut',
  'chamfer',
  'form',
  'taper',
  'drill',
  'bore',
  'ream',
]);

const inAir = (step: Step): readonly Finding[] =>
  cuts.has(step.verb)
    ? [
        {
          code: 'cuts-air',
          about: step.id,
          severity: 'note',
          says: say`${verbs[step.verb].toLowerCase()} finds nothing left to cut there`,
          why: say`an earlier step took it, or the stock was never there`,
          mends: [],
        },
      ]
    : [];

const words: Readonly<Record<Contact['standing'], string>> = {
  jaws: 'the jaws',
  chuck: 'the chuck',
  centre: 'the centre',
  tailstock: 'the tailstock',
  steady: 'the steady',
  part: 'the work',
  bar: 'the bar beyond the cut',
};

function told({ moving, standing, by }: Contact, setup: Setup, step: Step, tool: Tool): Finding {
  const name = moving === 'tool' ? tool.name : moving === 'holder' ? `the holder of ${tool.name}` : 'the tool post';
  const at = Math.min(...edgesOf(step.removes).map(([, r]) => r));
  const rapid = moving === 'tool' && (standing === 'part' || standing === 'bar');
  return {
    code: rapid ? 'rapid-through-metal' : `meets-${standing}`,
    about: step.id,
    // a centre is the same in every setup
    cause: standing === 'centre' || standing === 'tailstock' ? standing : `${tool.id} in ${setup.id}`,
    // a form tool may be set so that less of it stands over the jaws; sizes of holders and centres are usual ones
    severity: standing === 'jaws' && moving === 'tool' && tool.kind !== 'form' ? 'stop' : 'caution',
    says:
      standing === 'jaws' && moving === 'tool'
        ? say`${verbs[step.verb].toLowerCase()} runs ${length(by, 0.1)} into the jaws`
        : rapid
          ? say`${name} comes to its cut through ${length(by, 0.1)} of metal`
          : say`${name} at ${diameter(2 * Math.max(0, at))} would meet ${words[standing]} by ${length(by, 0.1)}${standing === 'centre' ? ', beside the face' : ''}`,
    why:
      standing === 'centre' || standing === 'tailstock'
        ? say`for a centre and a holder of usual size: a longer or half centre, a slimmer tool, or begin clear of the face; wind it through by hand first`
        : standing === 'jaws' || standing === 'chuck'
          ? say`less grip or more stick-out; a narrower tool; wind it through by hand first`
          : say`for a holder of usual size: more overhang, a slimmer tool, or another order; wind it through by hand first`,
    mends: [],
  };
}

/** A cut that ends just beside the jaws. */
function nearJaws(setup: Setup, step: Step, tool: Tool, part: Part, contacts: readonly Contact[]): readonly Finding[] {
  if (setup.onArbor || setup.carried || contacts.some((c) => c.standing === 'jaws')) return [];
  const motions = motionsOf(setup, step, tool, part);
  if (motions.length === 0 || presentedIn(step, tool, part) !== 'outside') return [];
  const x = localOf(setup, part.length);
  const { left, right } = boundsOf(step.removes);
  const free = Math.min(x(left), x(right)) - x(setup.gripped[0]);
  if (free >= practice.roomWanted || step.verb === 'face') return [];
  return [
    {
      code: 'near-jaws',
      about: step.id,
      severity: 'caution',
      says: say`${verbs[step.verb].toLowerCase()} comes within ${length(Math.max(0, free), 0.1)} of the jaws`,
      why: say`less grip or more stick-out; a narrower tool`,
      mends: [],
    },
  ];
}

/** A boring bar against the hole that it enters. @source bar-enters, common practice */
function intoHole(setup: Setup, step: Step, tool: Tool): readonly Finding[] {
  const bar = tool.kind === 'bore' || (tool.kind === 'thread' && tool.shank !== undefined);
  if ((step.verb !== 'bore' && step.verb !== 'thread') || !bar) return [];
  const shank = mmOf(tool.shank);
  const before = setup.steps[setup.steps.indexOf(step) - 1]?.after ?? setup.before;
  const { left, right } = boundsOf(step.after);
  const mouth = setup.end === 'left' ? left + 0.5 : right - 0.5;
  const radii = edgesOf(before)
    .filter(([z0, , z1]) => (z0 - mouth) * (z1 - mouth) <= 0 && z0 !== z1)
    .map(([z0, r0, z1, r1]) => r0 + ((r1 - r0) * (mouth - z0)) / (z1 - z0));
  const hole = radii.length > 1 ? 2 * Math.min(...radii) : 0;
  const share = tool.kind === 'thread' ? practice.threadBarEnters : practice.barEnters;
  if (shank === 0 || atMost(tool.least ? mmOf(tool.least) : shank / share, hole, PLACE)) return [];
  return [
    {
      code: 'bar-enters',
      about: step.id,
      cause: tool.id,
      severity: shank >= hole ? 'stop' : 'caution',
      says: say`${tool.name}, ${length(shank)} thick, ${shank >= hole ? 'does not enter' : 'leaves little room for chips in'} a hole of ${diameter(hole)}`,
      why: say`up to ${share} of the hole, so that chips come out`,
      mends: [],
    },
  ];
}

/** A drill that comes out where the piece sits on its seat. */
function intoJaws(setup: Setup, step: Step, shop: Shop): readonly Finding[] {
  const kind = holdingOf(shop, setup.holding)?.kind;
  const seat = kind === 'softJaws' || kind === 'softCollet' ? 'seat of the soft jaws' : kind === 'faceplate' ? 'faceplate' : undefined;
  // bolted on packings it stands off the plate
  const off = setup.steps.some((s) => s.because.some((r) => r.rule === 'bolt-from-behind'));
  if ((step.verb !== 'drill' && step.verb !== 'pilot') || seat === undefined || off) return [];
  const back = setup.end === 'left' ? boundsOf(setup.before).right : boundsOf(setup.before).left;
  const { left, right } = boundsOf(step.removes);
  const out = setup.end === 'left' ? right : left;
  if (Math.abs(out - back) > 1e-3) return [];
  return [
    {
      code: 'drills-into-seat',
      about: step.id,
      cause: setup.id,
      severity: 'caution',
      says: say`the drill comes out on the ${seat}`,
      why: say`relieve the seat, or set the piece off on parallels clear of the hole: ${length(practice.behindHole)} and the point at the least`,
      mends: [],
    },
  ];
}

/** What is left at the end against what was drawn. */
function finished(route: Worked, part: Part): readonly Finding[] {
  const stands = route.setups.at(-1)?.steps.at(-1)?.after;
  if (!stands || stands.length === 0) return [];
  const drawn = regionOf(part.contour);
  const findings: Finding[] = [];
  const severed = route.setups
    .flatMap((s) => s.steps.map((step) => ({ s, step })))
    .find(({ step }) => step.verb === 'part-off' || step.verb === 'saw-off');
  if (severed) {
    const { left, right } = boundsOf(severed.step.removes);
    const ring = outsideOf(severed.step.after, (left + right) / 2 - 0.01, (left + right) / 2 + 0.01).most;
    if (ring > practice.faultFrom)
      findings.push({
        code: 'ring-left',
        about: severed.step.id,
        severity: 'stop',
        says: say`a ring up to ${diameter(2 * ring)} is left standing in the kerf`,
        why: say`the piece is not severed there`,
        mends: [],
      });
  }
  const last = severed && severed.s === route.setups.at(-1) ? piece(stands, severed.step, severed.s.end) : stands;
  // a centre that carries the work stays in it, as the cone in a mouth does, and is told where it is drilled; a thread is drawn by its crests
  const meant = route.setups.flatMap((s) =>
    s.steps
      .filter((step) => step.verb === 'centre-drill' || threads.has(step.verb) || /cone$/i.test(readStep(step.id).of))
      .flatMap((step) => step.removes),
  );
  const missing = combine('difference', drawn, last);
  const cones = missing.length > 0 ? route.setups.flatMap((s) => s.steps.flatMap((step) => coneBeyond(step, part))) : [];
  const known = [...meant, ...cones];
  const kept = known.length > 0 && missing.length > 0 ? combine('difference', missing, known) : missing;
  for (const [region, code] of [
    [exceptPoints(combine('difference', last, drawn), part), 'metal-left'],
    [kept, 'gouged'],
  ] as const)
    findings.push(...faults(region, code, part));
  return findings;
}

/** What falls when it is severed: the rest is bar. */
function piece(stands: Region, { removes }: Step, end: Setup['end']): Region {
  const { left, right } = boundsOf(removes);
  const kerf = (left + right) / 2;
  return combine('intersection', stands, rectangle(kerf, end === 'left' ? -1e4 : 1e4, -1, 1e4));
}

/** The cone that a drill leaves at a shoulder which is not drawn flat: so long at the most, mm. @source judgement */
const CONE = 1.05;

/** Metal without the drawn points of blind holes: what stands about a point that a bar bored round is no fault of the hole. */
function exceptPoints(left: Region, part: Part): Region {
  if (left.length === 0) return left;
  const points = part.features.flatMap((f): Region => {
    if (f.side === 'outside' || f.bottom === undefined || f.bottom >= 90 || f.through === true) return [];
    const radius = Math.max(f.nearDiameter.nominal, f.farDiameter.nominal) / 2 + 0.01;
    return rectangle(f.far, f.far + (f.side === 'right' ? -1 : 1) * radius, 0, radius);
  });
  return points.length === 0 ? left : combine('difference', left, points);
}

/** What of a drill's cut lies beyond the shoulder of its row: its point goes on into the smaller hole, as points do. */
function coneBeyond(step: Step, part: Part): Region {
  if ((step.verb !== 'drill' && step.verb !== 'pilot') || step.removes.length === 0) return [];
  const row = part.features.find((f) => f.id === thingOf(step.does[0] ?? ''));
  if (!row || row.side === 'outside' || row.edgeFar.kind === 'bottom') return [];
  const inward = row.side === 'right' ? -1 : 1;
  return combine('intersection', step.removes, rectangle(row.far, row.far + inward * CONE, 0, 1000));
}

function faults(region: Region, code: 'metal-left' | 'gouged', part: Part): readonly Finding[] {
  const reported = new Map<string, number>();
  for (const rings of region) {
    const one: Region = [rings];
    const thick = (2 * area(one)) / Math.max(ROUNDING, perimeterOf(one));
    if (thick <= practice.faultFrom) continue;
    const { left, right } = boundsOf(one);
    const middle = (left + right) / 2;
    const inside = boundsOf(one).radius < outsideOf(regionOf(part.contour), middle - 0.01, middle + 0.01).most - practice.faultFrom;
    const row =
      part.features.find((f) => (f.side === 'outside') !== inside && middle <= Math.max(f.near, f.far) && middle >= Math.min(f.near, f.far)) ??
      part.features.find((f) => middle <= Math.max(f.near, f.far) && middle >= Math.min(f.near, f.far));
    const about = row?.id ?? (middle > -part.length / 2 ? 'right' : 'left');
    reported.set(about, Math.max(reported.get(about) ?? 0, thick));
  }
  return [...reported].map(([about, thick]) => ({
    code,
    about: about === 'right' || about === 'left' ? 'route' : `${about}.diameter`,
    severity: 'caution' as const,
    says:
      code === 'metal-left'
        ? say`about ${length(thick, 0.1)} of metal is left ${about === 'right' || about === 'left' ? `at face ${letterOf(about)}` : 'there'} when the last step is done`
        : say`the last step leaves about ${length(thick, 0.1)} less ${about === 'right' || about === 'left' ? `at face ${letterOf(about)}` : 'there'} than is drawn`,
    why: code === 'metal-left' ? say`no step of the route takes it off: a tool or a method is missing` : say`a tool cuts into what is finished`,
    mends: [],
  }));
}
