import { firstPass, speedFor, threadInfeeds } from '../cutting';
import { type Feature, threadOf } from '../drawing';
import { angle, diameter, figure, length, say, tidy } from '../quantity';
import { mmOf } from '../shop';
import { type DrawnThread, flankHalf, threadUndercut } from '../standards';
import { chamfered, combine, type Region, threaded } from '../stock';
import { spareIn } from './shapes';
import { toolForThread } from './threadTools';
import { addStep, byHand, type Context, data, lacks, needTool, reason, type SetupDraft, stepId, way } from './context';
import { type End, innerOf, inward, mouthOf } from './ends';

/** Chamfers the edge of a row that faces the free end. */
export function chamferMouth(ctx: Context, setup: SetupDraft, feature: Feature): void {
  const size = (setup.end === 'right' ? feature.chamferNear : feature.chamferFar) ?? 0;
  if (size === 0) return;
  const z = mouthOf(feature, setup.end);
  chamfer(ctx, setup, feature, setup.end === 'right' ? 'near' : 'far', size, chamferSweep(feature, z, size, setup.end), [
    feature.form === 'thread'
      ? reason('relief-first', say`chamfered to below the minor diameter, so that thread or die starts clean`, feature.id)
      : reason('chamfer-before-severing', say`while it still runs true`, feature.id),
  ]);
}

/** Chamfers the edge of a row that faces the headstock, behind which there is room: a neck, or the blade in some way. */
export function chamferInner(ctx: Context, setup: SetupDraft, feature: Feature, groove: Region): void {
  const size = (setup.end === 'right' ? feature.chamferFar : feature.chamferNear) ?? 0;
  if (size === 0) return;
  const z = innerOf(feature, setup.end);
  const sweep = chamferSweep(feature, z, size, setup.end === 'right' ? 'left' : 'right');
  const all = groove.length > 0 ? combine('union', groove, sweep) : sweep;
  chamfer(ctx, setup, feature, setup.end === 'right' ? 'far' : 'near', size, all, [
    reason('chamfer-before-severing', say`blade in some way, break the back edge, then sever`, feature.id),
  ]);
}

/** The corner at z, towards `end`, and as far beyond as the stock may stand proud of the face. */
function chamferSweep(feature: Feature, z: number, size: number, end: End): Region {
  const r = feature.nearDiameter.nominal / 2;
  const beyond = 1;
  return chamfered(z + inward(end) * size, r, z - inward(end) * beyond, r - size - beyond);
}

function chamfer(
  ctx: Context,
  setup: SetupDraft,
  feature: Feature,
  edge: 'near' | 'far',
  size: number,
  sweeps: Region,
  because: readonly ReturnType<typeof reason>[],
): void {
  const about = `${feature.id}.${edge}`;
  const id = stepId(setup, 'chamfer', about);
  const tool = needTool(ctx, id, 'form', say`chamfering tool 45°`);
  const speed = tool && data(ctx, id, 'speed', speedFor(setup.place, tool, 'form', feature.nearDiameter.nominal));
  addStep(ctx, setup, {
    verb: 'chamfer',
    about,
    tool,
    says: say`${length(size)} × 45° on ${diameter(feature.nearDiameter.nominal)}`,
    because,
    figures: {
      speed,
      feed: figure('feed', 'feedByHand', { asked: 0.05 }),
      depth: figure('length', 'distance', { value: size }),
      minutes: byHand(0.6),
    },
    sweeps,
  });
}

/** Undercut before a shoulder that a thread runs up to. */
export function undercut(ctx: Context, setup: SetupDraft, feature: Feature, pitch: number): void {
  const relief = threadUndercut(pitch);
  if (!relief) return;
  const id = stepId(setup, 'undercut', feature.id);
  const tool =
    needTool(ctx, id, 'groove', say`grooving tool up to ${length(relief.width)}`, (t) => mmOf(t.width) <= relief.width) ??
    needTool(ctx, id, 'part', say`parting blade`);
  const speed = tool && data(ctx, id, 'speed', speedFor(setup.place, tool, 'part', feature.nearDiameter.nominal));
  const inner = innerOf(feature, setup.end);
  const under = tidy(feature.nearDiameter.nominal - relief.under);
  addStep(ctx, setup, {
    verb: 'undercut',
    about: feature.id,
    tool,
    does: [`${feature.id}.far`],
    says: say`${length(relief.width)} wide, ${diameter(under)}`,
    because: [reason('relief-first', say`the tool runs out here before the shoulder (DIN 76-1, from memory)`, feature.id)],
    figures: {
      speed,
      feed: figure('feed', 'feedByHand', { asked: 0.04 }),
      depth: figure('length', 'distance', { value: relief.under / 2 }),
      to: figure('diameter', 'toSize', { size: under }),
      minutes: byHand(1),
    },
    sweeps: spareIn(ctx, inner, inner - inward(setup.end) * 2 * relief.overall, under / 2, feature.nearDiameter.nominal / 2 + 0.5),
  });
}

/** Die is this shop's way for the row, or chosen for it. */
export function dieFor(ctx: Context, feature: Feature): boolean {
  return threadMethod(ctx, feature) !== 'single-point' && dieTool(ctx, feature) !== undefined;
}

/** A thread by single point, by die, or begun by single point so that the die starts true. */
function threadMethod(ctx: Context, feature: Feature): 'single-point' | 'die' | 'begun' {
  const asked = ctx.chosen.method.get(feature.id)?.method ?? way(ctx, 'thread');
  return asked === 'die' || asked === 'begun' ? asked : 'single-point';
}

/** How much of its depth a thread is begun with before the die. @source die, common practice: enough to lead it straight */
const BEGUN = 0.5;

const dieTool = (ctx: Context, feature: Feature) => toolForThread(ctx.shop, 'die', threadOf(feature));

/** Passes at the end of a thread that feed in no further. @source infeed, common practice */
const SPRINGS = 2;

/** Both flanks crowd the chip when the tool goes straight in. @source common practice, a fifth more, from memory */
const CROWDS = 1.2;

/** The thread, single point or by die. */
export function cutThread(ctx: Context, setup: SetupDraft, feature: Feature): void {
  const thread = threadOf(feature);
  if (!thread) return;
  const { pitch, nominal, lead } = thread;
  const flank = flankHalf(thread.family);
  const method = threadMethod(ctx, feature);
  const wantsDie = method !== 'single-point';
  const begun = method === 'begun' && dieFor(ctx, feature);
  const long = feature.usable ?? Math.abs(feature.near - feature.far);
  const says = say`${feature.thread ?? ''} × ${length(long)}`;
  const die = () =>
    addStep(ctx, setup, {
      verb: 'die',
      ...(begun && { method }),
      about: feature.id,
      does: [feature.id, `${feature.id}.thread`],
      tool: dieTool(ctx, feature),
      says,
      gauge: threadGauge(ctx, nominal),
      because: [reason('die', say`this shop's way; start square against the tailstock, open first, close to size`, feature.id)],
      figures: { feed: figure('feed', 'feedOfThread', { P: lead }), minutes: byHand(4) },
      sweeps: groovesOf(thread, mouthOf(feature, setup.end), setup.end, long),
    });
  if (wantsDie && dieFor(ctx, feature) && !begun) {
    die();
    return;
  }
  if (wantsDie && !begun) {
    lacks(ctx, 'die', say`die ${feature.thread ?? ''}`, `thread@${feature.id}`);
    ctx.findings.push({
      code: 'no-die',
      about: `${feature.id}.thread`,
      severity: 'note',
      says: say`no die for ${feature.thread ?? ''} in the drawer: single point instead`,
      why: say`the shop's way is the die`,
      mends: [],
    });
  }
  const id = stepId(setup, 'thread', feature.id);
  const tool = needTool(ctx, id, 'thread', say`threading tool ${angle(2 * flank)}`, (t) => Math.abs(mmOf(t.angle, 60) - 2 * flank) < 0.6);
  // the depth of the form, in pitches: of 60 degree threads the full ISO root
  const whole = Math.round((500 * (nominal - thread.root)) / pitch) / 1000;
  const k = begun ? whole * BEGUN : whole;
  const along = flank - 0.5;
  const straight = way(ctx, 'infeed') === 'straight';
  const infeed = straight
    ? figure('length', 'infeed', { k, P: pitch }, { step: 0.01 })
    : figure('length', 'infeedCompound', { k, P: pitch, degrees: along }, { step: 0.01 });
  const speed = tool && data(ctx, id, 'speed', speedFor(setup.place, tool, 'thread', nominal));
  const passes = data(ctx, id, 'passes', figure('count', 'threadPasses', { infeed: infeed.value, first: firstPass(pitch) }));
  addStep(ctx, setup, {
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
        begun ? 0 : SPRINGS,
        mmOf((straight ? ctx.machine.dials.cross : ctx.machine.dials.compound)?.division),
      ),
    },
    gauge: begun ? undefined : threadGauge(ctx, nominal),
    because: [
      ...(begun ? [reason('die', say`begun by single point, so that the die is led straight and has half to cut`, feature.id)] : []),
      reason(
        'infeed',
        straight
          ? say`straight in, light, cross dial from zero to ${length(infeed.value)} on radius`
          : say`compound at ${angle(along)}, ${length(infeed.value)} along it; cross slide back to zero each time`,
        feature.id,
      ),
      reason('angle-set', say`the tool square to the work, by a gauge on the work or against its face`, feature.id),
      reason('scratch-pass', say`a first trace checked with a pitch gauge`, feature.id),
      reason('infeed-by-nose', say`depth of the form to its root, ${whole} of the pitch`, feature.id),
      ...(blind(ctx, setup, feature)
        ? [
            reason(
              'thread-away',
              say`no relief before the shoulder: cut outward in reverse, the tool inverted or behind, chuck locked; else stop by hand, slow`,
              feature.id,
            ),
          ]
        : []),
      ...(setup.end === 'left' && feature.side === 'outside' && ctx.part.features.some((f) => f.thread !== undefined && f.id !== feature.id)
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
        { kc: ctx.material.kc, mc: ctx.material.mc, b: k * pitch, h: firstPass(pitch) / 2, factor: straight ? CROWDS : 1 },
        { step: 10 },
      ),
      minutes:
        speed &&
        figure('time', 'minutes', { passes: passes.value, length: long, approach: 6, f: lead, n: speed.value, handling: 1 + 0.3 * passes.value }),
    },
    sweeps: groovesOf(thread, mouthOf(feature, setup.end), setup.end, long, begun ? BEGUN : 1),
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

/** A thread that ends at a shoulder with no relief before it. */
function blind(ctx: Context, setup: SetupDraft, feature: Feature): boolean {
  const inner = setup.end === 'right' ? feature.edgeFar : feature.edgeNear;
  const z = innerOf(feature, setup.end);
  const beyond = ctx.part.features.find((f) => f.side === feature.side && f.id !== feature.id && Math.abs(mouthOf(f, setup.end) - z) < 1e-6);
  return inner.kind !== 'threadUndercut' && beyond !== undefined && beyond.nearDiameter.nominal > feature.nearDiameter.nominal + 1e-6;
}

/** The first gauge of the shop that takes a thread of this diameter. */
const threadGauge = (ctx: Context, nominal: number): string | undefined =>
  ctx.shop.gauges.find(
    (g) => ['ring', 'nut', 'wires', 'threadMicrometer'].includes(g.kind) && mmOf(g.from) <= nominal + 1e-6 && nominal <= mmOf(g.to, Infinity) + 1e-6,
  )?.id;
