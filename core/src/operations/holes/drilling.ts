import { drillFeed, gripHolds, peckDepths, speedFor } from '../../cutting';
import type { Tool } from '../../document';
import { type Feature, sunkOf } from '../../drawing';
import type { Mend } from '../../finding';
import { atLeast, atMost, diameter, type Figure, figure, length, say, tidy, writeExact } from '../../quantity';
import type { End } from '../../ref';
import { insideGaugeFor, mmOf, practice, sizeOf } from '../../shop';
import { drilled } from '../../stock';
import { chosenData, type Facts, reason, wayChosen } from '../facts';
import { addStep, type Draft, putOnList, stepId, warn } from '../outcome';

/** Drills a blind hole from its end: a pilot where the hole is wide, then the size. */
export function drillHole(draft: Draft, hole: Feature): void {
  const { facts, at } = draft;
  const size = hole.nearDiameter.nominal;
  const depth = Math.abs(hole.near - hole.far);
  const half = hole.bottom ?? 59;
  const drills = facts.shop.tools.filter((t) => t.kind === 'drill');
  const near = (t: Tool) => Math.abs(sizeOf(t) - size);
  const id = stepId(at, 'drill', hole.id);
  const asked = facts.chosen.use.get(id)?.flatMap((item) => drills.filter((t) => t.id === item))[0];
  const within = Math.max(0.06, (hole.nearDiameter.max - hole.nearDiameter.min) / 2);
  const tool = asked ?? drills.filter((t) => near(t) <= within).toSorted((a, b) => near(a) - near(b))[0];
  if (!tool) {
    const nearest = drills.toSorted((a, b) => near(a) - near(b)).slice(0, 2);
    putOnList(draft, 'drill', say`drill ${length(size)}`, id);
    warn(draft, {
      code: 'no-drill',
      about: id,
      severity: 'stop',
      says: say`the shop has no drill of ${diameter(size)}`,
      why: say`nor a boring bar that would open a smaller hole to it`,
      mends: nearest.map((t) => sizeMend(at.end, hole, t)),
    });
    return;
  }
  const sunk = sunkOf(facts.part, hole, at.end);
  const point = figure('length', 'drillDepth', { depth: tidy(sunk + depth), d: size, half }, { step: 0.1 });
  checkDepth(draft, hole, tool, id, depth, point.value - sunk - depth);
  if (half >= 90) {
    warn(draft, {
      code: 'flat-bottom',
      about: id,
      severity: 'caution',
      says: say`a drill leaves a cone ${length(0.3 * size, 0.1)} deep; the bottom is drawn flat`,
      why: say`a flat bottom wants a flat tool or a boring bar`,
      mends: [
        {
          says: say`draw a drill point`,
          to: 'job',
          edits: [{ op: 'put', at: `drawing/${at.end === 'right' ? 'boreRight' : 'boreLeft'}/#${hole.id}/far`, value: { text: '118', units: 'mm' } }],
        },
      ],
    });
  }
  const toTake = (t: Tool) => size - sizeOf(t);
  const under = sizedByDrill(hole)
    ? drills.find((t) => atLeast(toTake(t), practice.stepDrillLeast) && atMost(toTake(t), practice.stepDrillMost))
    : undefined;
  if (under) {
    oneDrill(draft, hole, under, 'pilot', depth, half);
    oneDrill(draft, hole, tool, 'drill', depth, half);
    return;
  }
  const pilot =
    size > 12 && wayChosen(facts, 'drilling') === 'pilot'
      ? drills.filter((t) => sizeOf(t) <= 0.6 * size && mmOf(t.reach, Infinity) >= depth).toSorted((a, b) => sizeOf(b) - sizeOf(a))[0]
      : undefined;
  if (pilot) oneDrill(draft, hole, pilot, 'pilot', depth, half);
  oneDrill(draft, hole, tool, 'drill', depth, half);
}

/** A hole with limits of its own that a drill makes. */
const sizedByDrill = (hole: Feature): boolean =>
  hole.nearDiameter.from !== 'general' && hole.nearDiameter.max - hole.nearDiameter.min <= practice.drilledTo;

export function oneDrill(draft: Draft, hole: Feature, tool: Tool, verb: 'pilot' | 'drill', depth: number, half: number): void {
  const { facts, at } = draft;
  const id = stepId(at, verb, hole.id);
  const size = verb === 'pilot' ? sizeOf(tool) : hole.nearDiameter.nominal;
  const speed = chosenData(facts, id, 'speed', speedFor(at.place, tool, 'drill', size));
  const feed = chosenData(facts, id, 'feed', figure('feed', 'feedByHand', { asked: tidy(drillFeed(size)) }));
  // every depth is set from the face that is zero; a hole that begins within another is deeper than it is long
  const sunk = sunkOf(facts.part, hole, at.end);
  const deep = tidy(sunk + depth);
  const point = figure('length', 'drillDepth', { depth: deep, d: size, half }, { step: 0.1 });
  const before = verb === 'drill' ? pilotBefore(draft, hole) : 0;
  const loads = drillLoads(facts, size, before, feed.value, half);
  drillSlips(draft, id, speed.value, loads);
  const sticks = facts.material.group === 'O' || facts.material.group === 'M' || facts.material.group === 'S';
  const stops = peckDepths(deep, size, sticks);
  const pecks = stops.length;
  addStep(draft, {
    verb,
    about: hole.id,
    tool,
    does: [`${hole.id}.diameter`],
    says: say`${diameter(size)} × ${length(deep)} deep, point ${length(point.value)}`,
    gauge: verb === 'drill' ? insideGaugeFor(facts.shop)?.id : undefined,
    because: [
      reason('drill-before-finish', say`drilling heats, pushes and can slip the work: before the outside is finished`, hole.id),
      ...(verb === 'drill' && facts.part.features.filter((f) => f.side === at.end).length > 1
        ? [reason('small-drill-first', say`the smallest of the hole goes through all of it; the larger follow it`, hole.id)]
        : []),
      ...(verb === 'drill' && before > 0 && atMost(size - before, practice.stepDrillMost)
        ? [
            reason(
              'step-drill',
              say`it has ${length(size - before)} to take, its corners stoned: a drill that has little to do drills to size`,
              hole.id,
            ),
          ]
        : []),
      ...(verb === 'pilot' ? [reason('drill-bore-ream', say`a pilot takes the load off the web of the drill`, hole.id)] : []),
      ...(verb === 'drill' && (facts.material.id === 'brass' || facts.material.id === 'acrylic')
        ? [reason('grabbing', say`the keenness taken off its lips, fed gently where it breaks through: ${facts.material.name} grabs`, hole.id)]
        : []),
      reason('depth-by-quill', say`zero the quill with the point on the face`, hole.id),
    ],
    figures: {
      speed,
      feed,
      passes: figure('count', 'counted', { count: pecks }),
      depth: figure('length', 'distance', { value: deep }),
      point,
      torque: loads.torque,
      force: loads.thrust,
      power: figure('power', 'powerOfTorque', { M: loads.torque.value, n: speed.value }),
      minutes: figure('time', 'minutes', {
        passes: 1,
        length: tidy(point.value - sunk),
        approach: 3,
        f: feed.value,
        n: speed.value,
        handling: practice.minutesDrill + practice.minutesPeck * pecks,
      }),
    },
    ...(pecks > 1 && { series: { says: say`out to clear the chips at`, figures: stops } }),
    sweeps: drilled(hole.near, depth, size / 2, half, at.end),
  });
}

/** What an earlier drill of this hole has opened, mm. */
const pilotBefore = ({ cuts }: Draft, hole: Feature): number =>
  Number(cuts.findLast(({ step }) => step.verb === 'pilot' && step.does[0] === `${hole.id}.diameter`)?.step.figures['torque']?.of['D'] ?? 0);

interface DrillLoads {
  readonly torque: Figure;
  readonly thrust: Figure;
}

function drillLoads({ material }: Facts, D: number, d: number, f: number, half: number): DrillLoads {
  const angle = Math.min(half, 90);
  const kc = material.kc * ((f / 2) * Math.sin((angle * Math.PI) / 180)) ** -material.mc;
  return {
    torque: figure('torque', 'drillTorque', { kc, f, D, d }, { step: 0.1 }),
    thrust: figure('force', 'drillThrust', { kc, f, D, d, half: angle }, { step: 10 }),
  };
}

/** Twist and push of a drill together against what the jaws hold. */
function drillSlips(draft: Draft, id: string, speed: number, { torque, thrust }: DrillLoads): void {
  const { at } = draft;
  const { grip } = at.place;
  if (!grip) return;
  const holds = gripHolds(grip, speed);
  const pull = Math.hypot((2000 * torque.value) / grip.diameter, thrust.value);
  if (pull <= holds.value) return;
  warn(draft, {
    code: 'grip-slips',
    about: id,
    cause: at.id,
    severity: pull > practice.gripFactor * holds.value ? 'caution' : 'note',
    says: say`the drill twists with ${torque} and pushes with ${thrust}; the grip holds ${holds}, half of what would slip`,
    why: say`a pilot, a finer feed, or the work seated against the jaws or a stop`,
    mends: [],
  });
}

export function checkDepth(draft: Draft, hole: Feature, tool: Tool, id: string, depth: number, cone: number): void {
  const { facts, at } = draft;
  const { end } = at;
  const reach = mmOf(tool.reach, Infinity);
  const quill = facts.machine.dials.quill ? mmOf(facts.machine.dials.quill.travel) - practice.quillLess : Infinity;
  const list = end === 'right' ? 'boreRight' : 'boreLeft';
  const shorten = (most: number): readonly Mend[] =>
    most > 1
      ? [
          {
            says: say`make it ${length(most)} deep`,
            to: 'job',
            edits: [{ op: 'put', at: `drawing/${list}/#${hole.id}/length`, value: { text: writeExact(most, 'mm'), units: 'mm' } }],
          },
        ]
      : [];
  const sunk = sunkOf(facts.part, hole, end);
  const whole = tidy(sunk + depth + cone);
  if (whole > reach) {
    const most = Math.floor(reach - cone - sunk);
    warn(draft, {
      code: 'deeper-than-drill',
      about: id,
      severity: 'stop',
      says: say`${tool.name} reaches ${length(reach)}; the hole with its point is ${length(whole)}`,
      why: say`the flutes must clear the mouth`,
      mends: shorten(most),
    });
  }
  if (whole > quill) {
    const most = Math.floor(quill - cone - sunk);
    warn(draft, {
      code: 'deeper-than-quill',
      about: id,
      severity: 'caution',
      says: say`the quill has ${length(quill)} to give; the hole with its point is ${length(whole)}`,
      why: say`shift the tailstock midway and find the depth again`,
      mends: shorten(most),
    });
  }
}

const sizeMend = (end: End, hole: Feature, tool: Tool): Mend => ({
  says: say`drill ${tool.name.replace(/^drill\s+/, '')}`,
  to: 'job',
  edits: [{ op: 'put', at: `drawing/${end === 'right' ? 'boreRight' : 'boreLeft'}/#${hole.id}/size`, value: tool.size ?? { text: '', units: 'mm' } }],
});
