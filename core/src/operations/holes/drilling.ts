import { drillFeed, gripHolds, peckDepths, speedFor } from '../../cutting';
import type { Tool } from '../../document';
import { faceOf, type Feature, mouthOf, threadOf } from '../../drawing';
import type { Mend, Reason } from '../../finding';
import { atMost, diameter, type Figure, figure, length, say, tidy } from '../../quantity';
import type { End } from '../../ref';
import { boreGaugeFor, caliperOf, insideGaugeFor, mmOf, practice, sizeOf } from '../../shop';
import { percentOfThread } from '../../standards';
import { drilled } from '../../stock';
import { mateName } from '../beside';
import { chosenData, type Facts, reason } from '../facts';
import { addStep, type Draft, stepId, warn } from '../outcome';
import { workLimits } from '../workLimits';
import { coneOf, cutsOver } from './rung';
import { drillAt } from './rungs';

/** One drill of a ladder. */
export interface Drilling {
  readonly tool: Tool;
  /** the drawer has none: it is on the list */
  readonly lacking?: true;
  /** open before it, mm; 0 in solid metal */
  readonly before: number;
  /** open beyond its point too: a deeper row, or a hole that was there; mm */
  readonly past: number;
  /** of its full diameter, from the face that is zero, mm */
  readonly deep: number;
  /** what it leads, where it is not the last of its row */
  readonly leads?: 'pilot' | 'step';
  /** names the step where its row has several that lead: 'b1', 'b1.2' */
  readonly about: string;
}

/** Drills a row as deep as its ladder says. */
export function oneDrill(draft: Draft, hole: Feature, { tool, lacking, before, past, deep, leads, about }: Drilling): void {
  const { facts, at } = draft;
  const verb = leads ? 'pilot' : 'drill';
  const id = stepId(at, verb, about);
  const { half } = drillAt(tool);
  const size = sizeOf(tool);
  const speed = chosenData(facts, id, 'speed', speedFor(at.place, tool, 'drill', size));
  const feed = chosenData(facts, id, 'feed', figure('feed', 'feedByHand', { asked: tidy(drillFeed(size)) }));
  // its cone ends where a hole is open already
  const point = figure('length', 'drillDepth', { depth: deep, d: tidy(size - Math.min(past, size)), half }, { step: 0.1 });
  const loads = drillLoads(facts, size, before, feed.value, half);
  drillSlips(draft, id, speed.value, loads);
  const stops = peckDepths(deep, size, sticky(facts));
  const pecks = stops.length;
  const through = hole.through === true;
  const { limits } = workLimits(facts, hole);
  const fine = verb === 'drill' && limits.from !== 'general' && hole.form === 'cylinder' && hole.made !== 'reamed';
  const gauge =
    verb === 'pilot'
      ? undefined
      : fine
        ? boreGaugeFor(facts.shop, limits.nominal, limits.max - limits.min)
        : through
          ? caliperOf(facts.shop)
          : insideGaugeFor(facts.shop);
  addStep(draft, {
    verb,
    about,
    ...(!lacking && { tool }),
    does: [`${hole.id}.diameter`],
    says:
      half >= 90 ? say`${diameter(size)} × ${length(deep)} deep, flat` : say`${diameter(size)} × ${length(deep)} deep, point ${length(point.value)}`,
    gauge: gauge?.id,
    because: [
      ...(lacking
        ? [reason('drill-ladder', say`${tool.name} is on the list: not in the drawer, and nothing there makes this as it should be`, hole.id)]
        : []),
      ...whyDrilled(draft, hole, before, leads),
      ...sizeItMakes(facts, hole, size, before, leads),
      depthReason(hole, before, tidy(deep + coneOf({ size, half }, before))),
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
        length: tidy(point.value - Math.min(mouthDepth(facts, hole, at.end), deep)),
        approach: 3,
        f: feed.value,
        n: speed.value,
        handling: practice.minutesDrill + practice.minutesPeck * pecks,
      }),
    },
    ...(pecks > 1 && { series: { says: say`in pecks, out to clear the chips at`, figures: stops } }),
    sweeps: drilled(faceOf(facts.part, at.end), deep, size / 2, half, at.end),
  });
}

const mouthDepth = (facts: Facts, hole: Feature, end: End): number => Math.abs(mouthOf(hole, end) - faceOf(facts.part, end));

/** Metal whose chips stick in the flutes: shorter pecks. */
const sticky = ({ material }: Facts): boolean => material.group === 'O' || material.group === 'M' || material.group === 'S';

const depthReason = (hole: Feature, before: number, goes: number) =>
  before > 0
    ? reason(
        'depth-by-quill',
        say`zero the quill with its lips just touching the mouth of the hole before it: ${length(goes, 0.1)} from there`,
        hole.id,
      )
    : reason('depth-by-quill', say`zero the quill with the point on the face`, hole.id);

/** Why this drill, here. @source drill-ladder, drill-before-finish, grabbing; common practice */
function whyDrilled({ facts, at }: Draft, hole: Feature, before: number, leads: Drilling['leads']): readonly Reason[] {
  const { material } = facts;
  const finished = at.steps.some((s) => s.verb === 'finish-turn');
  const grabs = material.id === 'brass' || material.id === 'acrylic';
  return [
    finished
      ? reason('drill-ladder', say`light pecks, and cool: what is finished outside stays as it is`, hole.id)
      : reason('drill-before-finish', say`drilling heats, pushes and can slip the work: before the outside is finished`, hole.id),
    ...(leads === 'pilot' ? [reason('drill-ladder', say`a pilot takes the load off the web of the drill that follows`, hole.id)] : []),
    ...(leads === 'step' ? [reason('step-drill', say`leaves the last drill a few tenths, so that it cuts to its size`, hole.id)] : []),
    ...(!leads && before > 0 && facts.part.features.filter((f) => f.side === at.end).length > 1
      ? [reason('small-drill-first', say`the smallest of the hole goes through all of it; the larger follow it`, hole.id)]
      : []),
    ...(grabs
      ? [reason('grabbing', say`the keenness taken off its lips, fed gently where it breaks through: ${material.name} grabs`, hole.id)]
      : material.group === 'O' && before > 0
        ? [reason('grabbing', say`it pulls itself into a hole that is there: lips eased, held back`, hole.id)]
        : []),
  ];
}

/** What a drill makes against what is asked of its row. @source drill-cuts-over, step-drill; common practice */
function sizeItMakes(facts: Facts, hole: Feature, size: number, before: number, leads: Drilling['leads']): readonly Reason[] {
  if (leads) return [];
  const { limits } = workLimits(facts, hole);
  const thread = threadOf(hole);
  const { least, most } = cutsOver(size, before);
  const follows = before > 0 && atMost(size - before, practice.followsMost);
  const trial = facts.job.drawing.mates.find((m) => m.of === hole.id);
  const tried = trial ? [reason('trial-fit', say`${mateName(trial.piece)} is tried in it before it leaves the chuck`, hole.id)] : [];
  if (follows)
    return [
      reason(
        'step-drill',
        say`it has ${length(tidy(size - before))} to take, its corners stoned: a drill that has little to do drills to size`,
        hole.id,
      ),
      ...tried,
    ];
  if (thread) {
    const percent = Math.round(
      percentOfThread({ ...thread, basic: { major: thread.nominal, pitchDiameter: null, minor: thread.crest } }, tidy(size + (least + most) / 2)),
    );
    return [reason('drill-cuts-over', say`cuts over by ${length(least, 0.01)} to ${length(most, 0.01)}: about ${percent} % of full thread`, hole.id)];
  }
  if (limits.from !== 'general' || trial || hole.made === 'drilled')
    return [
      reason(
        'drill-cuts-over',
        say`out of the solid it cuts over by ${length(least, 0.01)} to ${length(most, 0.01)}; a smaller one first leaves it less`,
        hole.id,
      ),
      ...tried,
    ];
  return [];
}

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
  // the grip is counted at half of what would slip: nothing moves under that
  if (pull <= practice.gripFactor * holds.value) return;
  warn(draft, {
    code: 'grip-slips',
    about: id,
    cause: at.id,
    severity: 'caution',
    says: say`the drill twists with ${torque} and pushes with ${thrust}; the grip holds ${holds}, half of what would slip`,
    why: say`a pilot, a finer feed, or the work seated against the jaws or a stop`,
    mends: [],
  });
}

/** The quill against the depth of a drill or a reamer. @source quill, common practice */
export function checkQuill(draft: Draft, id: string, whole: number, shorter?: (by: number) => Mend): void {
  const { quill } = draft.facts.machine.dials;
  const gives = quill ? mmOf(quill.travel) - practice.quillLess : Infinity;
  if (whole <= gives) return;
  warn(draft, {
    code: 'deeper-than-quill',
    about: id,
    severity: 'caution',
    says: say`the quill has ${length(gives)} to give; the hole with its point is ${length(whole)}`,
    why: say`shift the tailstock midway and find the depth again`,
    mends: shorter && whole - gives < whole / 2 ? [shorter(whole - gives)] : [],
  });
}
