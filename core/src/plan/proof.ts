import type { Shop, Tool } from '../document';
import type { Finding } from '../finding';
import { diameter, length, parseDegrees, say } from '../quantity';
import { type Route, type Setup, type Step, verbs } from '../route';
import { mmOf } from '../shop';
import { readInsert } from '../standards';
import { boundsOf, edgesOf } from '../stock';

/** Width of a toolholder beside its tip, and how far off the metal a cut begins, mm. @source judgement: holders of small and mid-size lathes */
const HOLDER = 16;
const APPROACH = 2;
/** Room that is wanted between what moves and what stands, mm. @source clearance, common practice */
const ROOM = 1;
/** A ground tool falls back behind its tip by so much, degrees. @source common practice */
const GROUND = 15;
/** How a live centre widens from its point: a 60 degree cone to its nose, then its body; mm. @source usual sizes, from memory */
const NOSE = { radius: 10, from: 40, body: 22 } as const;

/**
 * What would touch what, along every cut: tool and holder against centre, jaws and the mouth of a hole. In the plane of the tool, with holders and centre
 * of usual size; the carriage and what is bolted to it are not known and are left to the hand that winds it through first.
 */
export function proof(route: Route, shop: Shop): readonly Finding[] {
  return route.setups.flatMap((setup) => {
    let centre = false;
    return setup.steps.flatMap((step): readonly Finding[] => {
      if (step.verb === 'support') centre = setup.support.some((s) => s.kind === 'centre');
      if (step.verb === 'withdraw') centre = false;
      const tool = shop.tools.find((t) => t.id === step.tool);
      if (!tool || step.removes.length === 0) return [];
      return [...(centre ? atCentre(setup, step, tool) : []), ...atJaws(setup, step, tool), ...intoHole(setup, step, tool)];
    });
  });
}

const outward = (setup: Setup) => (setup.end === 'left' ? -1 : 1);
const cutsOutside = new Set(['rough-turn', 'finish-turn', 'chamfer', 'undercut', 'thread', 'groove', 'neck', 'taper', 'form']);

/** Least radius of what a step removes, and its ends. */
function reachOf(step: Step) {
  const { left, right } = boundsOf(step.removes);
  return { left, right, radius: Math.min(...edgesOf(step.removes).map(([, r]) => r)) };
}

/** z of the faced end that the centre stands in. */
const faceOf = (setup: Setup, step: Step): number => {
  const { left, right } = boundsOf(step.after);
  return setup.end === 'left' ? left : right;
};

/** Radius of the centre so far beyond the face, its point seated in a hole of usual depth. */
const centreAt = (beyond: number): number =>
  beyond >= NOSE.from ? NOSE.body : Math.min(NOSE.radius, Math.max(0, (beyond + 2) * Math.tan(Math.PI / 6)));

/** How steeply the back of a tool falls away from its tip. */
function backOf(tool: Tool): number {
  const insert = tool.insert === undefined ? undefined : readInsert(tool.insert);
  const lead = parseDegrees(tool.lead?.text ?? '');
  return insert?.corner === undefined ? GROUND : Math.max(0, 180 - (lead.ok ? lead.value : 95) - insert.corner);
}

/** The holder beside the tip, where it begins at the free end, against the centre that stands there. */
function atCentre(setup: Setup, step: Step, tool: Tool): readonly Finding[] {
  if (!cutsOutside.has(step.verb)) return [];
  const { left, right, radius } = reachOf(step);
  const start = setup.end === 'left' ? left : right;
  const beyond = outward(setup) * (start - faceOf(setup, step)) + APPROACH;
  const fall = Math.tan((backOf(tool) * Math.PI) / 180);
  const wide = tool.kind === 'turn' ? HOLDER : Math.max(mmOf(tool.width, 3), tool.kind === 'form' ? 8 : 3) / 2;
  let deepest = 0;
  for (let along = 0; along <= wide; along += 0.5) {
    const at = beyond + along;
    if (at > 0) deepest = Math.max(deepest, centreAt(at) + ROOM - (radius + along * fall));
  }
  if (deepest <= ROOM) return [];
  return [
    {
      code: 'meets-centre',
      about: step.id,
      severity: 'caution',
      says: say`${tool.name} at ${diameter(2 * radius)} would meet the centre by ${length(deepest - ROOM, 0.1)}, beside the face`,
      why: say`for a centre and a holder of usual size: a longer or half centre, a slimmer tool, or begin clear of the face; wind it through by hand first`,
      mends: [],
    },
  ];
}

/** The side of a tool towards the headstock against the jaws. */
function atJaws(setup: Setup, step: Step, tool: Tool): readonly Finding[] {
  // on an arbor nothing holds it from outside
  if (setup.onArbor) return [];
  const { left, right } = reachOf(step);
  const inner = setup.end === 'left' ? right : left;
  const half = tool.kind === 'form' ? Math.min(mmOf(tool.width, 8), 8) / 2 : 0;
  const free = outward(setup) * (inner - setup.gripped[0]) - half;
  if (free >= ROOM || !(cutsOutside.has(step.verb) || step.verb === 'part-off')) return [];
  return [
    {
      code: 'meets-jaws',
      about: step.id,
      // a form tool may be set so that less of it stands over the jaws
      severity: free < 0 && tool.kind !== 'form' ? 'stop' : 'caution',
      says:
        free < 0
          ? say`${verbs[step.verb].toLowerCase()} runs ${length(-free, 0.1)} into the jaws`
          : say`${verbs[step.verb].toLowerCase()} comes within ${length(free, 0.1)} of the jaws`,
      why: say`less grip or more stick-out; a narrower tool`,
      mends: [],
    },
  ];
}

/** A boring bar against the hole that it enters. @source bar-enters, common practice */
function intoHole(setup: Setup, step: Step, tool: Tool): readonly Finding[] {
  if (step.verb !== 'bore' || tool.kind !== 'bore') return [];
  const shank = mmOf(tool.shank);
  const before = setup.steps[setup.steps.indexOf(step) - 1]?.after ?? setup.before;
  const mouth = faceOf(setup, step) - outward(setup) * 0.5;
  const radii = edgesOf(before)
    .filter(([z0, , z1]) => (z0 - mouth) * (z1 - mouth) <= 0 && z0 !== z1)
    .map(([z0, r0, z1, r1]) => r0 + ((r1 - r0) * (mouth - z0)) / (z1 - z0));
  const hole = radii.length > 1 ? 2 * Math.min(...radii) : 0;
  if (shank === 0 || shank <= 0.7 * hole + 1e-6) return [];
  return [
    {
      code: 'bar-enters',
      about: step.id,
      severity: shank >= hole ? 'stop' : 'caution',
      says: say`${tool.name}, ${length(shank)} thick, ${shank >= hole ? 'does not enter' : 'leaves little room for chips in'} a hole of ${diameter(hole)}`,
      why: say`up to 0.7 of the hole, so that chips come out`,
      mends: [],
    },
  ];
}
