import type { Tool } from '../document';
import { type Feature, threadOf } from '../drawing';
import { diameter, figure, length, say, tidy } from '../quantity';
import { sizeOf } from '../shop';
import { speedFor } from '../cutting';
import { bore } from './boring';
import { addStep, byHand, type Context, data, lacks, needTool, reason, type SetupDraft, stepId, way } from './context';
import { faceOf, inward } from './ends';
import { checkDepth, drillHole, oneDrill } from './holes';
import { spareIn } from './shapes';
import { alreadyMade } from './started';
import { tapRow } from './tapping';
import { cutThread, singlePointed } from './threading';

/** What a boring bar is left to take, on diameter, mm. @source drill-bore-ream, common practice */
const TO_BORE = 1;
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
    const point = sizeOf(core) / 2 / Math.tan((half * Math.PI) / 180);
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
      nearDiameter: { nominal: sizeOf(core), max: sizeOf(core), min: sizeOf(core), from: 'general' },
    };
    checkDepth(ctx, setup.end, asDrilled, core, id, depth, point);
    const pilot = sizeOf(core) > 12 && way(ctx, 'drilling') === 'pilot' ? drillAtMost(ctx, 0.6 * sizeOf(core)) : undefined;
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
  const drilledTo = core ? sizeOf(core) : 0;
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

const drillFor = (ctx: Context, row: Feature) =>
  ctx.shop.tools.some(
    (t) => t.kind === 'drill' && Math.abs(sizeOf(t) - row.nearDiameter.nominal) <= Math.max(0.06, (row.nearDiameter.max - row.nearDiameter.min) / 2),
  );

function drillAtMost(ctx: Context, size: number): Tool | undefined {
  return ctx.shop.tools.filter((t) => t.kind === 'drill' && sizeOf(t) <= size + 1e-6).toSorted((a, b) => sizeOf(b) - sizeOf(a))[0];
}

function finishRow(ctx: Context, setup: SetupDraft, row: Feature, drilledTo: number): void {
  const widest = Math.max(row.nearDiameter.nominal, row.farDiameter.nominal);
  const thread = threadOf(row);
  const tapped = thread !== undefined && drilledTo >= row.nearDiameter.min - 1e-6;
  if (!tapped && Math.max(row.nearDiameter.max, widest) > drilledTo + 1e-6 && !(row.form === 'cylinder' && Math.abs(widest - drilledTo) < 0.06))
    bore(ctx, setup, row, drilledTo);
  if (thread && singlePointed(ctx, row, Math.max(drilledTo, row.nearDiameter.nominal))) {
    // the bar starts clean in a chamfer
    mouth(ctx, setup, row);
    cutThread(ctx, setup, row);
    return;
  }
  if (thread) tapRow(ctx, setup, row, thread, drilledTo || coreOf(row));
  mouth(ctx, setup, row);
}

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
