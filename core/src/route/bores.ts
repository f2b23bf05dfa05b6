import { bestFeed, edgeOf, finishFeed, leastDepth, loadOf, passivePush, roughAsked, speedFor, usesOf } from '../cutting';
import type { Tool } from '../document';
import { type Feature, settingOf, threadOf } from '../drawing';
import type { Reason } from '../finding';
import { angle, diameter, figure, length, say, tidy } from '../quantity';
import { boreGaugeFor, mmOf } from '../shop';
import { noseCorner, type Region } from '../stock';
import { type BarOut, giveOfBar } from './toolSpring';
import { bindingReason, overLimit } from './cutChecks';
import { workLimits } from './beside';
import { addStep, byHand, type Context, data, lacks, needTool, reason, type SetupDraft, stepId, way } from './context';
import { groovesOf } from './edges';
import { faceOf, inward } from './ends';
import { checkDepth, drillHole, oneDrill } from './holes';
import { spareIn } from './shapes';
import { alreadyMade } from './started';
import { toolForThread } from './threadTools';

/** What a boring bar is left to take, on diameter, mm. @source drill-bore-ream, common practice */
const TO_BORE = 1;
/** Lead of a machine reamer, mm. @source drill-bore-ream, common practice: a 45 degree lead and a short taper */
const REAMER_LEAD = 1.5;
/** What a reamer is left to take, on diameter, mm. @source common practice */
const TO_REAM = 0.25;

/** The hole of this setup's end: one drill where it makes the size; else the deepest through hole drilled, then bored, reamed or tapped row by row. */
export function makeHole(ctx: Context, setup: SetupDraft): void {
  const rows = ctx.part.features.filter((f) => f.side === setup.end);
  const [first] = rows;
  const { started } = ctx;
  if (!first || (started && rows.every((f) => alreadyMade(f, started)))) return;
  const simple = rows.length === 1 && first.form === 'cylinder' && first.through !== true && first.met !== true && plain(first);
  // without a boring bar a plain hole is what a drill makes it: the nearest ones are offered
  if (simple && (drillFor(ctx, first) || !ctx.shop.tools.some((t) => t.kind === 'bore'))) {
    drillHole(ctx, setup, first);
    return;
  }
  const narrowest = rows.reduce((least, f) => (coreOf(f) < coreOf(least) ? f : least), first);
  const last = rows.at(-1) ?? first;
  const core = drillAtMost(ctx, coreOf(narrowest));
  const id = stepId(setup, 'drill', last.id);
  if (core) {
    const half = Math.min(59, last.bottom ?? 59);
    const point = mmOf(core.size) / 2 / Math.tan((half * Math.PI) / 180);
    // through: the point clears the far face; flat: it stops where its tip reaches the bottom
    const full = Math.abs(last.far - faceOf(ctx.part, setup.end));
    const depth =
      last.through === true || last.met === true
        ? full + (last.through === true ? 1 : 0)
        : Math.max(0.5, full - ((last.bottom ?? 59) >= 90 ? point : 0));
    const asDrilled: Feature = {
      ...last,
      near: first.near,
      far: first.near + inward(setup.end) * depth,
      nearDiameter: { nominal: mmOf(core.size), max: mmOf(core.size), min: mmOf(core.size), from: 'general' },
    };
    checkDepth(ctx, setup.end, asDrilled, core, id, depth, point);
    const pilot = mmOf(core.size) > 12 && way(ctx, 'drilling') === 'pilot' ? drillAtMost(ctx, 0.6 * mmOf(core.size)) : undefined;
    if (pilot) oneDrill(ctx, setup, asDrilled, pilot, 'pilot', depth, half);
    oneDrill(ctx, setup, asDrilled, core, 'drill', depth, half);
  } else {
    lacks(ctx, 'drill', say`drill up to ${length(coreOf(narrowest))}`, id);
    ctx.findings.push({
      code: 'no-drill',
      about: id,
      severity: 'caution',
      says: say`the shop has no drill up to ${diameter(coreOf(narrowest))} to open this hole with`,
      why: say`a boring bar needs a hole to enter`,
      mends: [],
    });
  }
  const drilledTo = core ? mmOf(core.size) : 0;
  for (const row of rows.toReversed()) finishRow(ctx, setup, row, drilledTo);
}

/** As wide as its drill may be, mm. */
function coreOf(row: Feature): number {
  const thread = threadOf(row);
  if (thread) return tidy(Math.max(thread.crest, thread.minor?.max ?? thread.crest));
  const least = Math.min(row.nearDiameter.min, row.farDiameter.min);
  if (row.form !== 'cylinder') return least - TO_BORE;
  return plain(row) ? row.nearDiameter.max : least - (row.made === 'reamed' ? TO_REAM : TO_BORE);
}

/** Nothing finer than a drill makes is asked of it. */
const plain = (row: Feature) => row.made === 'drilled' || (row.nearDiameter.from === 'general' && row.made === undefined && row.finish === undefined);

/** The stoutest bar that leaves chips their room in a hole, else the slimmest there is. @source bar-enters, common practice */
function stoutest(ctx: Context, hole: number): Tool | undefined {
  const shank = (t: Tool) => mmOf(t.shank, mmOf(t.size, 0));
  const bars = ctx.shop.tools.filter((t) => t.kind === 'bore').toSorted((a, b) => shank(b) - shank(a));
  return bars.find((t) => shank(t) <= 0.7 * hole + 1e-6) ?? bars.at(-1);
}

const drillFor = (ctx: Context, row: Feature) =>
  ctx.shop.tools.some(
    (t) =>
      t.kind === 'drill' && Math.abs(mmOf(t.size) - row.nearDiameter.nominal) <= Math.max(0.06, (row.nearDiameter.max - row.nearDiameter.min) / 2),
  );

function drillAtMost(ctx: Context, size: number): Tool | undefined {
  return ctx.shop.tools.filter((t) => t.kind === 'drill' && mmOf(t.size) <= size + 1e-6).toSorted((a, b) => mmOf(b.size) - mmOf(a.size))[0];
}

function finishRow(ctx: Context, setup: SetupDraft, row: Feature, drilledTo: number): void {
  const widest = Math.max(row.nearDiameter.nominal, row.farDiameter.nominal);
  const thread = threadOf(row);
  const tapped = thread !== undefined && drilledTo >= row.nearDiameter.min - 1e-6;
  if (!tapped && Math.max(row.nearDiameter.max, widest) > drilledTo + 1e-6 && !(row.form === 'cylinder' && Math.abs(widest - drilledTo) < 0.06))
    bore(ctx, setup, row, drilledTo);
  if (thread) {
    const id = stepId(setup, 'tap', row.id);
    const tap = toolForThread(ctx.shop, 'tap', thread);
    if (!tap) lacks(ctx, 'tap', say`tap ${thread.designation}`, id);
    addStep(ctx, setup, {
      verb: 'tap',
      about: row.id,
      does: [row.id, `${row.id}.thread`],
      tool: tap,
      says: say`${thread.designation} × ${length(row.usable ?? long(row))}`,
      because: [
        reason(
          'tap',
          say`started true under a centre, ${way(ctx, 'tap') === 'power' ? 'under power, the stop set short of the bottom' : 'by hand'}; ${tap ? 'taper, then plug' : 'no such tap in the shop: buy one, or single point it'}`,
          row.id,
        ),
        ...blindTap(row, thread),
      ],
      figures: {
        feed: figure('feed', 'feedOfThread', { P: thread.lead }),
        torque: figure(
          'torque',
          'tapTorque',
          {
            kc: ctx.material.kc,
            mc: ctx.material.mc,
            d: thread.nominal,
            P: thread.pitch,
            drill: Math.min(drilledTo || coreOf(row), thread.nominal - 0.2 * thread.pitch),
          },
          { step: 0.1 },
        ),
        minutes: byHand(way(ctx, 'tap') === 'power' ? 2 : 4),
      },
      sweeps: groovesOf(thread, row.near, setup.end, row.usable ?? long(row)),
    });
  }
  mouth(ctx, setup, row);
}

function bore(ctx: Context, setup: SetupDraft, row: Feature, from: number): void {
  const verb = row.made === 'reamed' ? ('ream' as const) : ('bore' as const);
  const id = stepId(setup, verb, row.id);
  const tool =
    verb === 'ream'
      ? needTool(ctx, id, 'ream', say`reamer ${length(row.nearDiameter.nominal)}`, (t) => Math.abs(mmOf(t.size) - row.nearDiameter.nominal) < 0.02)
      : needTool(ctx, id, 'bore', say`boring bar under ${length(0.7 * Math.max(from, 1))}`, (t) => t === stoutest(ctx, from));
  const { limits, because: left } = workLimits(ctx, row);
  const out = Math.abs(row.far - faceOf(ctx.part, setup.end));
  const shank = tool ? mmOf(tool.shank, mmOf(tool.size, 0)) : 0;
  if (verb === 'bore' && shank > 0 && out / shank > 4)
    ctx.findings.push({
      code: 'bar-too-slender',
      about: id,
      severity: 'caution',
      says: say`${tool?.name ?? ''} reaches ${length(out)} on a shank of ${length(shank)}: ${tidy(Math.round((10 * out) / shank) / 10)} to 1`,
      why: say`a steel boring bar is good to 4, a carbide one to 6 or 7`,
      mends: [],
    });
  const gauge = limits.from === 'general' ? undefined : boreGaugeFor(ctx.shop, limits.nominal, limits.max - limits.min);
  const radius = Math.max(row.nearDiameter.nominal, row.farDiameter.nominal) / 2;
  const window = spareIn(
    ctx,
    row.near - inward(setup.end) * (row.near === 0 || row.near <= -ctx.part.length + 1e-6 ? 2 : 0),
    row.far + inward(setup.end) * (row.through === true ? 1 : 0),
    -1,
    radius,
  );
  const corner = verb === 'bore' && tool ? cornerInBore(ctx, setup, row, mmOf(tool.nose)) : [];
  const cut = verb === 'bore' && tool ? boring(ctx, setup, id, row, tool, { from, out, radius, fine: gauge !== undefined }) : undefined;
  addStep(ctx, setup, {
    verb,
    about: row.id,
    does: [`${row.id}.diameter`],
    tool,
    gauge: gauge?.id,
    says:
      row.form === 'taper'
        ? say`${diameter(row.nearDiameter.nominal)} to ${diameter(row.farDiameter.nominal)}, compound at ${angle(settingOf(row), 0.01)}`
        : limits.from === 'general'
          ? say`${diameter(limits.nominal)} × ${length(out)} deep`
          : say`${diameter(limits.min, 0.001)} to ${diameter(limits.max, 0.001)}`,
    because: [
      verb === 'ream'
        ? reason('drill-bore-ream', say`${length(limits.nominal - from)} left for it`, row.id)
        : reason('drill-bore-ream', say`drills run over: bored for position and size`, row.id),
      ...(verb === 'ream'
        ? [reason('ream-dwell', say`never reversed, withdrawn turning forward; it floats, and follows a crooked hole`, row.id)]
        : []),
      ...(verb === 'ream' && row.through !== true && row.met !== true
        ? [
            reason(
              'drill-bore-ream',
              say`blind: its lead leaves the last ${length(REAMER_LEAD, 0.1)} tapered; drilled that much deeper, or to the bottom with a bottoming one`,
              row.id,
            ),
          ]
        : []),
      ...(row.form === 'taper'
        ? [
            reason(
              'taper-from-gauge',
              say`proved by blue on its plug or its mate before size; then how far that stands off is what is left over the taper`,
              row.id,
            ),
          ]
        : []),
      ...left,
      ...(row.through === true || row.met === true
        ? []
        : [reason('depth-by-stop', say`blind: the depth by an indicator or a stop on the bed, ${length(out)} from the face`, row.id)]),
      ...(cut?.because ?? []),
    ],
    ...(left.length > 0 && { limits }),
    ...(cut && { cut: cut.asked }),
    figures: cut
      ? cut.figures
      : {
          speed: tool && data(ctx, id, 'speed', speedFor(setup.place, tool, verb === 'ream' ? 'ream' : 'turn', 2 * radius)),
          feed: figure('feed', 'feedByHand', { asked: 0.08 }),
          ...(row.form === 'cylinder' && { to: figure('diameter', 'middle', { max: limits.max, min: limits.min }, { step: 0.001 }) }),
          minutes: byHand(3 + long(row) / 15),
        },
    sweeps: window,
    leaves: corner,
  });
}

/** What a round nose leaves against a shoulder or a flat bottom where no radius or relief is drawn. */
function cornerInBore({ part }: Context, { end }: SetupDraft, row: Feature, nose: number): Region {
  if (nose <= 0 || row.form !== 'cylinder' || row.through === true || row.met === true) return [];
  if (row.edgeFar.kind !== 'none' && row.edgeFar.kind !== 'sharp' && row.edgeFar.kind !== 'bottom') return [];
  const behind = part.features.find((f) => f.side === end && f.id !== row.id && Math.abs(f.near - row.far) < 1e-6);
  const inner = behind ? behind.nearDiameter.nominal / 2 : (row.bottom ?? 90) >= 90 ? 0 : Infinity;
  const radius = row.nearDiameter.nominal / 2;
  return radius - inner > 2 * nose ? noseCorner(row.far, radius, nose, inward(end) === -1 ? 1 : -1, -1) : [];
}

/** Threads that a tap leaves poor in front of it: its lead, in pitches, and room for chips, mm. @source blind-tap, common practice: plug 3 to 5, bottoming 1 to 2 */
const PLUG = 4;
const BOTTOMING = 1.5;
const CHIPS = 2;

/** How deep full threads may go in a blind hole. */
function blindTap(row: Feature, thread: { readonly pitch: number }): readonly Reason[] {
  if (row.through === true || row.met === true) return [];
  const bottom = Math.abs(row.near - row.far);
  const [plug, most] = [bottom - PLUG * thread.pitch - CHIPS, bottom - BOTTOMING * thread.pitch - CHIPS];
  return [
    most > 0
      ? reason(
          'blind-tap',
          say`full threads to ${length(Math.max(0, plug), 0.1)} deep with a plug tap, to ${length(most, 0.1)} with a bottoming one, of ${length(bottom, 0.1)} drilled`,
          row.id,
        )
      : reason('blind-tap', say`${length(bottom, 0.1)} drilled leaves no room for the lead of a tap and its chips`, row.id),
  ];
}

/** Left in a bore for two like cuts of a tool with a nose, on radius. @source leave-real-cuts, common practice */
const LEFT = 0.15;

/** Speed, feed, passes and spring of boring with a bar; what binds is told. */
function boring(
  ctx: Context,
  setup: SetupDraft,
  id: string,
  row: Feature,
  tool: Tool,
  { from, out, radius, fine }: { readonly from: number; readonly out: number; readonly radius: number; readonly fine: boolean },
) {
  const limits = row.nearDiameter;
  const total = Math.max(0.05, tidy(radius - from / 2));
  const bar: BarOut | undefined = giveOfBar(tool, out);
  const speed = data(ctx, id, 'speed', speedFor(setup.place, tool, 'turn', 2 * radius));
  const finish = finishFeed(setup.place, tool, row.finish ?? (fine ? 1.6 : 3.2));
  const feed = data(ctx, id, 'feed', finish);
  const give = bar && { compliance: bar.compliance, at: out, allowed: LEFT / 2, of: 'bar' as const };
  const asked = roughAsked(setup.place, tool, 2 * radius, speed.value, give);
  const limited = bestFeed(asked, [feed.value], total);
  const { most } = limited;
  const passes = data(
    ctx,
    id,
    'passes',
    figure('count', 'passes', { total, most: fine ? Math.min(most, Math.max(total / 2, leastDepth(tool))) : most }),
  );
  const depth = data(ctx, id, 'depth', figure('length', 'depth', { total, passes: passes.value }, { step: 0.01 }));
  overLimit(ctx, id, depth.value, limited);
  const load = loadOf(setup.place, tool, depth.value, feed.value, 2 * radius, speed.value);
  const passive = passivePush(setup.place, tool, { depth: depth.value, feed: feed.value, diameter: 2 * radius, speed: speed.value });
  const minutes = figure('time', 'minutes', {
    passes: passes.value,
    length: long(row),
    approach: 3,
    f: feed.value,
    n: speed.value,
    handling: (fine ? 2 : 1) + 0.3 * passes.value,
  });
  return {
    asked,
    because: [bindingReason(depth.value, total, limited, usesOf(asked, feed.value, depth.value), row.id)],
    figures: {
      speed,
      feed,
      depth,
      passes,
      most: limited.binding.most,
      ...(row.form === 'cylinder' && { to: figure('diameter', 'middle', { max: limits.max, min: limits.min }, { step: 0.001 }) }),
      force: load.force,
      power: load.power,
      passive,
      spring:
        bar &&
        figure(
          'length',
          'springOfBar',
          { F: passive.value, give: 1000 * bar.compliance },
          { step: 0.001, deviation: 0.2 * passive.value * bar.compliance },
        ),
      ...edgeOf(setup.place, tool, 2 * radius, speed.value, minutes),
      minutes,
    },
  };
}

const long = (row: Feature) => Math.abs(row.near - row.far);

/** Chamfer, countersink or radius at the mouth of a row of a hole. */
function mouth(ctx: Context, setup: SetupDraft, row: Feature): void {
  const edge = row.edgeNear;
  const [along, up] =
    edge.kind === 'chamfer'
      ? [edge.along, edge.along * Math.tan((edge.degrees * Math.PI) / 180)]
      : edge.kind === 'break'
        ? [edge.size, edge.size]
        : edge.kind === 'radius'
          ? [edge.radius, edge.radius]
          : [0, 0];
  if (along === 0) return;
  const about = `${row.id}.near`;
  const id = stepId(setup, 'chamfer', about);
  const tool = needTool(ctx, id, 'form', say`chamfering tool`);
  const r = row.nearDiameter.nominal / 2;
  addStep(ctx, setup, {
    verb: 'chamfer',
    about,
    tool,
    says: edge.kind === 'radius' ? say`mouth, radius ${length(along)}` : say`mouth to ${diameter(2 * (r + up))}`,
    because: [reason('relief-first', say`so that what goes in starts clean`, row.id)],
    figures: {
      speed: tool && data(ctx, id, 'speed', speedFor(setup.place, tool, 'form', 2 * (r + up))),
      feed: figure('feed', 'feedByHand', { asked: 0.05 }),
      minutes: byHand(0.8),
    },
    sweeps: spareIn(ctx, row.near, row.near + inward(setup.end) * along, r - 1, r + up),
  });
}
