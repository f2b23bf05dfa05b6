import { firstPass, speedFor, threadInfeeds } from '../../cutting';
import type { Tool } from '../../document';
import { faceOf, type Feature, innerOf, inward, longOf, mouthOf, threadOf } from '../../drawing';
import { alike, angle, atMost, exceeds, figure, length, PLACE, say } from '../../quantity';
import { type End, writeStep } from '../../ref';
import { mmOf, practice } from '../../shop';
import { type DrawnThread, flankHalf } from '../../standards';
import { type Region, threaded } from '../../stock';
import { cuts, insideBars, toolForThread } from '../../tooling';
import { barTooSlender } from '../cutChecks';
import { byHand, chosenData, type Facts, reason, wayChosen } from '../facts';
import { addStep, type At, type Draft, putOnList, needTool, type Operation, operation, stepId, warn } from '../outcome';

/* Threads by single point, outside and inside, and by die. */

/** Die is this shop's way for the row, or chosen for it. */
export function dieFor(facts: Facts, feature: Feature): boolean {
  return threadMethod(facts, feature) !== 'single-point' && dieTool(facts, feature) !== undefined;
}

/** A thread by single point, by die, or begun by single point so that the die starts true. */
function threadMethod(facts: Facts, feature: Feature): 'single-point' | 'die' | 'begun' {
  const asked = facts.chosen.method.get(feature.id)?.method ?? wayChosen(facts, 'thread');
  return asked === 'die' || asked === 'begun' ? asked : 'single-point';
}

const dieTool = (facts: Facts, feature: Feature) => toolForThread(facts.shop, 'die', threadOf(feature));

/** An inside thread is cut with a bar: chosen, or no tap of the shop makes it. `core` is what its hole stands at, mm */
export function singlePointed(facts: Facts, row: Feature, core: number): boolean {
  const thread = threadOf(row);
  const asked = facts.chosen.method.get(row.id)?.method;
  if (!thread || asked === 'tap') return false;
  if (asked === 'single-point') return true;
  if (toolForThread(facts.shop, 'tap', thread)) return false;
  return insideBars(facts.shop, thread).some((t) => atMost(mmOf(t.shank), practice.barEnters * core, PLACE)) || thread.nominal > practice.tapBoughtTo;
}

/** The tool of a thread: outside one in the post, inside the stoutest bar that its hole takes. */
function threadTool(draft: Draft, feature: Feature, thread: DrawnThread, id: string): Tool | undefined {
  const { facts, at } = draft;
  const form = angle(2 * flankHalf(thread.family));
  if (feature.side === 'outside') return needTool(draft, id, 'thread', say`threading tool ${form}`, (t) => t.shank === undefined && cuts(t, thread));
  const bars = insideBars(facts.shop, thread).filter((t) => atMost(mmOf(t.shank), practice.barEnters * thread.crest, PLACE));
  const tool = needTool(
    draft,
    id,
    'thread',
    say`threading bar ${form} under ${length(practice.barEnters * thread.crest, 0.1)}`,
    (t) => t === bars[0],
  );
  if (tool) barTooSlender(draft, id, tool, Math.abs(feature.far - faceOf(facts.part, at.end)));
  return tool;
}

/** The thread, single point or by die. */
export const cutThread = (feature: Feature): Operation => operation((draft) => writeThread(draft, feature));

/** A thread written into an operation of more than it: a hole has its own. */
export function writeThread(draft: Draft, feature: Feature): void {
  const { facts, at } = draft;
  const thread = threadOf(feature);
  if (!thread) return;
  const { pitch, nominal, lead } = thread;
  const inside = feature.side !== 'outside';
  const flank = flankHalf(thread.family);
  const method = inside ? 'single-point' : threadMethod(facts, feature);
  const wantsDie = method !== 'single-point';
  const begun = method === 'begun' && dieFor(facts, feature);
  const long = feature.usable ?? longOf(feature);
  const says = say`${feature.thread ?? ''} × ${length(long)}`;
  const die = () =>
    addStep(draft, {
      verb: 'die',
      ...(begun && { method }),
      about: feature.id,
      does: [feature.id, `${feature.id}.thread`],
      tool: dieTool(facts, feature),
      says,
      gauge: threadGauge(facts, nominal, false),
      because: [reason('die', say`this shop's way; start square against the tailstock, open first, close to size`, feature.id)],
      figures: { feed: figure('feed', 'feedOfThread', { P: lead }), minutes: byHand(practice.minutesDie) },
      sweeps: groovesOf(thread, mouthOf(feature, at.end), at.end, long),
    });
  if (wantsDie && dieFor(facts, feature) && !begun) {
    die();
    return;
  }
  if (wantsDie && !begun) {
    putOnList(draft, 'die', say`die ${feature.thread ?? ''}`, writeStep({ verb: 'thread', of: feature.id }));
    warn(draft, {
      code: 'no-die',
      about: `${feature.id}.thread`,
      severity: 'note',
      says: say`no die for ${feature.thread ?? ''} in the drawer: single point instead`,
      why: say`the shop's way is the die`,
      mends: [],
    });
  }
  const id = stepId(at, 'thread', feature.id);
  const tool = threadTool(draft, feature, thread, id);
  // the depth of the form, in pitches: of 60 degree threads the full ISO root
  const whole = Math.round((500 * Math.abs(thread.crest - thread.root)) / pitch) / 1000;
  const k = begun ? whole * practice.begunShare : whole;
  const along = flank - 0.5;
  const straight = wayChosen(facts, 'infeed') === 'straight';
  const infeed = straight
    ? figure('length', 'infeed', { k, P: pitch }, { step: 0.01 })
    : figure('length', 'infeedCompound', { k, P: pitch, degrees: along }, { step: 0.01 });
  const speed = tool && chosenData(facts, id, 'speed', speedFor(at.place, tool, 'thread', nominal));
  const passes = chosenData(facts, id, 'passes', figure('count', 'threadPasses', { infeed: infeed.value, first: firstPass(pitch) }));
  addStep(draft, {
    verb: 'thread',
    ...(begun && { method }),
    about: feature.id,
    does: begun ? [feature.id] : [feature.id, `${feature.id}.thread`],
    tool,
    says: begun ? say`${feature.thread ?? ''}, begun half deep` : says,
    series: {
      says: straight ? say`cross dial from zero, each pass to` : say`along the compound from zero, each pass to`,
      figures: threadInfeeds(
        infeed.value,
        passes.value,
        begun ? 0 : practice.springPasses,
        mmOf((straight ? facts.machine.dials.cross : facts.machine.dials.compound)?.division),
      ),
    },
    gauge: begun ? undefined : threadGauge(facts, nominal, inside),
    because: [
      ...(inside
        ? [reason('infeed', say`inside: fed towards you, drawn clear the other way; each pass springs, so the last ones again`, feature.id)]
        : []),
      ...(begun ? [reason('die', say`begun by single point, so that the die is led straight and has half to cut`, feature.id)] : []),
      reason(
        'infeed',
        straight
          ? say`straight in, light, cross dial from zero to ${infeed} on radius`
          : say`compound at ${angle(along)}, ${infeed} along it; cross slide back to zero each time`,
        feature.id,
      ),
      reason('angle-set', say`the tool square to the work, by a gauge on the work or against its face`, feature.id),
      reason('scratch-pass', say`a first trace checked with a pitch gauge`, feature.id),
      reason('infeed-by-nose', say`depth of the form to its root, ${whole} of the pitch`, feature.id),
      ...(blind(facts, at, feature)
        ? [
            reason(
              'thread-away',
              inside
                ? say`blind, no relief at its bottom: cut outward in reverse, chuck locked; else a mark on the bar, and stop by hand, slow`
                : say`no relief before the shoulder: cut outward in reverse, the tool inverted or behind, chuck locked; else stop by hand, slow`,
              feature.id,
            ),
          ]
        : []),
      ...(at.end === 'left' && feature.side === 'outside' && facts.part.features.some((f) => f.thread !== undefined && f.id !== feature.id)
        ? [
            reason(
              'pick-up-thread',
              say`if it must be held again half way: half-nuts closed, backlash taken, the tool brought into its groove by hand`,
              feature.id,
            ),
          ]
        : []),
    ],
    figures: {
      speed,
      feed: figure('feed', 'feedOfThread', { P: lead }),
      depth: infeed,
      passes,
      force: figure(
        'force',
        'forceOfEdge',
        { kc: facts.material.kc, mc: facts.material.mc, b: k * pitch, h: firstPass(pitch) / 2, factor: straight ? practice.crowds : 1 },
        { step: 10 },
      ),
      minutes:
        speed &&
        figure('time', 'minutes', {
          passes: passes.value,
          length: long,
          approach: 6,
          f: lead,
          n: speed.value,
          handling: practice.minutesThread + practice.minutesThreadPass * passes.value,
        }),
    },
    sweeps: groovesOf(thread, mouthOf(feature, at.end), at.end, long, begun ? practice.begunShare : 1),
  });
  if (begun) die();
}

/** The grooves of a thread from its mouth inwards, cut to a share of their depth. */
export const groovesOf = (thread: DrawnThread, mouth: number, end: End, long: number, share = 1): Region =>
  threaded(mouth, inward(end), long, {
    pitch: thread.pitch,
    crest: thread.crest / 2,
    root: thread.crest / 2 + (share * (thread.root - thread.crest)) / 2,
    mean: thread.mean / 2,
    half: flankHalf(thread.family),
  });

/** A thread that ends at a shoulder, or at the bottom of its hole, with no relief before it. */
function blind(facts: Facts, at: At, feature: Feature): boolean {
  const inner = at.end === 'right' ? feature.edgeFar : feature.edgeNear;
  if (feature.side !== 'outside') return feature.edgeFar.kind !== 'threadUndercut' && feature.through !== true && feature.met !== true;
  const z = innerOf(feature, at.end);
  const beyond = facts.part.features.find((f) => f.side === feature.side && f.id !== feature.id && alike(mouthOf(f, at.end), z));
  return inner.kind !== 'threadUndercut' && beyond !== undefined && exceeds(beyond.nearDiameter.nominal, feature.nearDiameter.nominal, PLACE);
}

const OUTSIDE: ReadonlySet<string> = new Set(['ring', 'nut', 'wires', 'threadMicrometer']);

/** The first gauge of the shop that takes a thread of this diameter. */
const threadGauge = (facts: Facts, nominal: number, inside: boolean): string | undefined =>
  facts.shop.gauges.find(
    (g) =>
      (inside ? g.kind === 'threadPlug' : OUTSIDE.has(g.kind)) &&
      atMost(mmOf(g.from), nominal, PLACE) &&
      atMost(nominal, mmOf(g.to, Infinity), PLACE),
  )?.id;
