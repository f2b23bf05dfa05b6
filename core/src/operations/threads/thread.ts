import { firstPass, speedFor, threadInfeeds } from '../../cutting';
import type { Tool } from '../../document';
import { faceOf, type Feature, innerOf, inward, longOf, mouthOf, threadOf } from '../../drawing';
import { alike, angle, atMost, exceeds, figure, length, PLACE, say, tidy } from '../../quantity';
import { type End, writeStep } from '../../ref';
import { mmOf, practice } from '../../shop';
import { type DrawnThread, flankHalf } from '../../standards';
import { type Region, threaded } from '../../stock';
import { cuts, insideBars, toolForThread } from '../../tooling';
import { barTooSlender } from '../cutChecks';
import type { Reason } from '../../finding';
import { mateName } from '../beside';
import { byHand, chosenData, type Facts, reason, wayChosen } from '../facts';
import { cannotBeCut, driveFor, driveReasons, nutsCaution, windingReasons } from './drive';
import { addStep, type At, type Draft, putOnList, needTool, type Operation, operation, stepId, warn } from '../outcome';

/* Threads by single point, outside and inside, and by die. */

/** Die is this shop's way for the row, or chosen for it. */
export function dieFor(facts: Facts, feature: Feature): boolean {
  return threadMethod(facts, feature) !== 'single-point' && dieTool(facts, feature) !== undefined;
}

/** A thread by single point, by die, or begun by single point so that the die starts true. */
function threadMethod(facts: Facts, feature: Feature): 'single-point' | 'die' | 'begun' {
  const chosen = facts.chosen.method.get(feature.id)?.method;
  const asked = chosen ?? wayChosen(facts, 'thread');
  if (asked === 'die' || asked === 'begun') return asked;
  const thread = threadOf(feature);
  if (chosen !== undefined || !thread || feature.side !== 'outside' || !dieTool(facts, feature)) return 'single-point';
  // what the lathe does not cut a die of the drawer does; and it comes nearer to a shoulder that nobody relieved
  if (driveFor(facts.machine, thread, longOf(feature)).by === 'none') return 'die';
  if (!runsOutAt(facts, feature) || feature.usableAsked === true) return 'single-point';
  return thread.pitch <= practice.dieAlone ? 'die' : 'begun';
}

/** A thread outside that ends before a shoulder without a relief, whichever end that lies at. */
const runsOutAt = (facts: Facts, feature: Feature): boolean => (['right', 'left'] as const).some((end) => noRelief(facts, end, feature));

/** How much of a row a thread covers in full, by what cuts it last, mm. @source no-relief-unasked, common practice */
function fullThread(facts: Facts, feature: Feature, thread: DrawnThread, by: 'single-point' | 'die'): number {
  const usable = feature.usable ?? longOf(feature);
  if (feature.usableAsked === true || by === 'single-point' || !runsOutAt(facts, feature)) return usable;
  return Math.max(usable, tidy(longOf(feature) - practice.dieRunsOut * thread.pitch));
}

const dieTool = (facts: Facts, feature: Feature) => toolForThread(facts.shop, 'die', threadOf(feature));

/** An inside thread is cut with a bar: chosen, or no tap of the shop makes it. `core` is what its hole stands at, mm */
export function singlePointed(facts: Facts, row: Feature, core: number): boolean {
  const thread = threadOf(row);
  const asked = facts.chosen.method.get(row.id)?.method;
  if (!thread || asked === 'tap') return false;
  if (asked === 'single-point') return true;
  if (toolForThread(facts.shop, 'tap', thread)) return false;
  return insideBars(facts.shop, thread, Math.max(core, thread.crest), deepOf(facts, row)).length > 0 || thread.nominal > practice.tapBoughtTo;
}

/** How far from its face a row of a hole ends, mm. */
const deepOf = ({ part }: Pick<Facts, 'part'>, row: Feature): number => Math.abs(row.far - faceOf(part, row.side === 'left' ? 'left' : 'right'));

/** The tool of a thread: outside one in the post, inside the stoutest bar that its hole takes. */
function threadTool(draft: Draft, feature: Feature, thread: DrawnThread, id: string): Tool | undefined {
  const { facts, at } = draft;
  const form = angle(2 * flankHalf(thread.family));
  if (feature.side === 'outside') return needTool(draft, id, 'thread', say`threading tool ${form}`, (t) => t.shank === undefined && cuts(t, thread));
  const bars = insideBars(facts.shop, thread, thread.crest, deepOf(facts, feature));
  const tool = needTool(
    draft,
    id,
    'thread',
    say`threading bar ${form} under ${length(practice.threadBarEnters * thread.crest, 0.1)} that reaches ${length(deepOf(facts, feature), 0.1)}`,
    (t) => bars.includes(t) && (t === bars[0] || facts.chosen.use.get(id)?.includes(t.id) === true),
    true,
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
  const single = feature.usable ?? longOf(feature);
  const long = begun || (wantsDie && dieFor(facts, feature)) ? fullThread(facts, feature, thread, 'die') : single;
  const says = say`${feature.thread ?? ''} × ${length(long)}`;
  const proof = proves(facts, feature, thread);
  const die = () => {
    const id = stepId(at, 'die', feature.id);
    askForGauge(draft, feature, thread, id);
    addStep(draft, {
      verb: 'die',
      ...(begun && { method }),
      about: feature.id,
      does: [feature.id, `${feature.id}.thread`],
      tool: dieTool(facts, feature),
      says,
      gauge: threadGauge(facts, nominal, false),
      because: [
        reason(
          'die',
          say`started square against the tailstock, opened first, closed to size; tight on its gauge: closed a little more, and run over again`,
          feature.id,
        ),
        ...(runsOutAt(facts, feature)
          ? [
              reason(
                'die',
                say`its lead leaves two or three poor threads: turned round for the last ones it comes to ${length(tidy(longOf(feature) - long), 0.1)} from the shoulder`,
                feature.id,
              ),
            ]
          : []),
        proof,
      ],
      figures: {
        feed: figure('feed', 'feedOfThread', { P: lead }),
        along: figure('length', 'distance', { value: tidy(long) }),
        minutes: byHand(practice.minutesDie),
      },
      sweeps: groovesOf(thread, mouthOf(feature, at.end), at.end, long),
    });
  };
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
  cannotBeCut(draft, thread, id, single);
  const tool = threadTool(draft, feature, thread, id);
  if (!begun) askForGauge(draft, feature, thread, id);
  const drive = driveFor(facts.machine, thread, single);
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
      reason(
        'pass-by-pass',
        say`each pass to its own figure, the last ${begun ? 0 : practice.springPasses} of them at the same one as spring passes; then the check`,
        feature.id,
      ),
      ...driveReasons(facts.machine, feature, thread, single),
      ...windingReasons(facts, feature, thread),
      reason('angle-set', say`the tool square to the work, by a gauge on the work or against its face`, feature.id),
      reason('scratch-pass', say`a first trace checked with a pitch gauge`, feature.id),
      reason('infeed-by-nose', say`depth of the form to its root, ${whole} of the pitch`, feature.id),
      ...(!inside && blind(facts, at, feature)
        ? [
            reason(
              'no-relief-unasked',
              say`no undercut is drawn, so none is cut: full thread over ${length(single, 0.1)} of ${length(longOf(feature), 0.1)}`,
              feature.id,
            ),
          ]
        : []),
      ...(blind(facts, at, feature)
        ? [
            reason(
              'thread-away',
              inside
                ? say`blind, no relief at its bottom: a mark on the bar or a stop, and withdrawn by hand, slow; or cut outward in reverse, chuck locked`
                : say`no relief before the shoulder: a run-out of ${length(tidy(longOf(feature) - single), 0.1)}, the tool withdrawn by hand, slow; or cut outward in reverse, the tool inverted or behind, chuck locked`,
              feature.id,
            ),
          ]
        : []),
      ...(begun ? [] : [proof]),
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
    cautions: [nutsCaution(drive)],
    figures: {
      speed,
      feed: figure('feed', 'feedOfThread', { P: lead }),
      along: figure('length', 'distance', { value: tidy(single) }),
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
          length: single,
          approach: 6,
          f: lead,
          n: speed.value,
          handling: practice.minutesThread + practice.minutesThreadPass * passes.value,
        }),
    },
    sweeps: groovesOf(thread, mouthOf(feature, at.end), at.end, single, begun ? practice.begunShare : 1),
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
  if (feature.side === 'outside') return noRelief(facts, at.end, feature);
  const floor = facts.part.features.some(
    (f) => f.side !== 'outside' && f.id !== feature.id && alike(f.far, feature.far) && f.nearDiameter.nominal < feature.nearDiameter.nominal,
  );
  const inner = facts.part.features.some((f) => f.side === feature.side && alike(f.near, feature.far));
  return feature.edgeFar.kind !== 'threadUndercut' && ((feature.through !== true && feature.met !== true) || floor || inner);
}

/** A thread outside against a larger row at the end that lies towards the headstock, with no relief there. */
function noRelief({ part }: Facts, end: End, feature: Feature): boolean {
  const inner = end === 'right' ? feature.edgeFar : feature.edgeNear;
  const z = innerOf(feature, end);
  const beyond = part.features.find((f) => f.side === feature.side && f.id !== feature.id && alike(mouthOf(f, end), z));
  return (
    inner.kind !== 'threadUndercut' &&
    inner.kind !== 'shoulderUndercut' &&
    beyond !== undefined &&
    exceeds(beyond.nearDiameter.nominal, feature.nearDiameter.nominal, PLACE)
  );
}

const OUTSIDE: ReadonlySet<string> = new Set(['ring', 'nut', 'wires', 'threadMicrometer']);

/** What proves a thread before it leaves its holding: a gauge of the shop, its mate, else what is to be tried on or in. @source release-check, common practice */
function proves(facts: Facts, feature: Feature, thread: DrawnThread): Reason {
  const inside = feature.side !== 'outside';
  const gauge = facts.shop.gauges.find((g) => g.id === threadGauge(facts, thread.nominal, inside));
  const mate = facts.job.drawing.mates.find((m) => m.of === feature.id);
  if (mate)
    return reason(
      'trial-fit',
      say`its mate is its gauge: ${mateName(mate.piece)} tried ${inside ? 'in' : 'on'} it before it leaves the chuck, and written down`,
      feature.id,
    );
  if (gauge) return reason('right-gauge', say`proved with ${gauge.name} before it leaves the chuck`, feature.id);
  return inside
    ? reason('right-gauge', say`no plug gauge here: its own screw, or one of its size, is tried in it before it leaves the chuck`, feature.id)
    : reason('right-gauge', say`no gauge here: its own nut, or one of its size, is tried on before it leaves the chuck`, feature.id);
}

/** Where neither gauge nor mate proves a thread, one is on the list. */
export function askForGauge(draft: Draft, feature: Feature, thread: DrawnThread, id: string): void {
  const { facts } = draft;
  const inside = feature.side !== 'outside';
  if (threadGauge(facts, thread.nominal, inside) !== undefined || facts.job.drawing.mates.some((m) => m.of === feature.id)) return;
  draft.gets.push({
    what: inside ? say`plug gauge, or a screw ${thread.designation}` : say`ring gauge, nut or measuring wires for ${thread.designation}`,
    how: 'buy',
    holdsUp: [id],
    instead: {
      says: say`${inside ? 'its own screw' : 'its own nut'}, or one of its size, tried on`,
      costs: figure('time', 'minutesByHand', { handling: 0 }),
    },
  });
}

export const threadProof = proves;

/** The first gauge of the shop that takes a thread of this diameter. */
export const threadGauge = (facts: Facts, nominal: number, inside: boolean): string | undefined =>
  facts.shop.gauges.find(
    (g) =>
      (inside ? g.kind === 'threadPlug' : OUTSIDE.has(g.kind)) &&
      atMost(mmOf(g.from), nominal, PLACE) &&
      atMost(nominal, mmOf(g.to, Infinity), PLACE),
  )?.id;
