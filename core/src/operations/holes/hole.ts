import { speedFor } from '../../cutting';
import type { Tool } from '../../document';
import { faceOf, type Feature, inward, threadOf } from '../../drawing';
import { alreadyMade } from '../../holding';
import { atLeast, atMost, diameter, exceeds, figure, length, PLACE, say, tidy } from '../../quantity';
import { practice, sizeOf } from '../../shop';
import { byHand, chosenData, type Facts, reason, wayChosen } from '../facts';
import { addStep, type Draft, putOnList, needTool, type Operation, operation, stepId, warn } from '../outcome';
import { spareIn } from '../spare';
import { singlePointed, writeThread } from '../threads';
import { bore } from './boring';
import { checkDepth, drillHole, oneDrill } from './drilling';
import { tapRow } from './tapping';

/** The hole of this setup's end: one drill where it makes the size; else the deepest through hole drilled, then bored, reamed or tapped row by row. */
export const makeHole = (): Operation =>
  operation((draft) => {
    const { facts, at } = draft;
    const rows = facts.part.features.filter((f) => f.side === at.end);
    const [first] = rows;
    const { started } = facts;
    if (!first || (started && rows.every((f) => alreadyMade(f, started)))) return;
    const simple = rows.length === 1 && first.form === 'cylinder' && first.through !== true && first.met !== true && plain(first);
    // without a boring bar a plain hole is what a drill makes it: the nearest ones are offered
    if (simple && (drillFor(facts, first) || !facts.shop.tools.some((t) => t.kind === 'bore'))) {
      drillHole(draft, first);
      return;
    }
    const narrowest = rows.reduce((least, f) => (coreOf(f) < coreOf(least) ? f : least), first);
    const last = rows.at(-1) ?? first;
    const core = drillAtMost(facts, coreOf(narrowest));
    const id = stepId(at, 'drill', last.id);
    if (core) {
      const half = Math.min(59, last.bottom ?? 59);
      const point = sizeOf(core) / 2 / Math.tan((half * Math.PI) / 180);
      // through: the point clears the far face; flat: it stops where its tip reaches the bottom
      const full = Math.abs(last.far - faceOf(facts.part, at.end));
      const depth =
        last.through === true || last.met === true
          ? full + (last.through === true ? 1 : 0)
          : Math.max(0.5, full - ((last.bottom ?? 59) >= 90 ? point : 0));
      const asDrilled: Feature = {
        ...last,
        near: first.near,
        far: first.near + inward(at.end) * depth,
        nearDiameter: { nominal: sizeOf(core), max: sizeOf(core), min: sizeOf(core), from: 'general' },
      };
      checkDepth(draft, asDrilled, core, id, depth, point);
      const pilot = sizeOf(core) > 12 && wayChosen(facts, 'drilling') === 'pilot' ? drillAtMost(facts, 0.6 * sizeOf(core)) : undefined;
      if (pilot) oneDrill(draft, asDrilled, pilot, 'pilot', depth, half);
      oneDrill(draft, asDrilled, core, 'drill', depth, half);
    } else {
      putOnList(draft, 'drill', say`drill up to ${length(coreOf(narrowest))}`, id);
      warn(draft, {
        code: 'no-drill',
        about: id,
        severity: 'caution',
        says: say`the shop has no drill up to ${diameter(coreOf(narrowest))} to open this hole with`,
        why: say`a boring bar needs a hole to enter`,
        mends: [],
      });
    }
    const drilledTo = core ? sizeOf(core) : 0;
    for (const row of rows.toReversed()) finishRow(draft, row, drilledTo);
  });

/** As wide as its drill may be, mm. */
function coreOf(row: Feature): number {
  const thread = threadOf(row);
  if (thread) return tidy(Math.max(thread.crest, thread.minor?.max ?? thread.crest));
  const least = Math.min(row.nearDiameter.min, row.farDiameter.min);
  if (row.form !== 'cylinder') return least - practice.toBore;
  return plain(row) ? row.nearDiameter.max : least - (row.made === 'reamed' ? practice.toReam : practice.toBore);
}

/** Nothing finer than a drill makes is asked of it. */
const plain = (row: Feature) => row.made === 'drilled' || (row.nearDiameter.from === 'general' && row.made === undefined && row.finish === undefined);

const drillFor = (facts: Facts, row: Feature) =>
  facts.shop.tools.some(
    (t) => t.kind === 'drill' && Math.abs(sizeOf(t) - row.nearDiameter.nominal) <= Math.max(0.06, (row.nearDiameter.max - row.nearDiameter.min) / 2),
  );

function drillAtMost(facts: Facts, size: number): Tool | undefined {
  return facts.shop.tools.filter((t) => t.kind === 'drill' && atMost(sizeOf(t), size, PLACE)).toSorted((a, b) => sizeOf(b) - sizeOf(a))[0];
}

function finishRow(draft: Draft, row: Feature, drilledTo: number): void {
  const { facts } = draft;
  const widest = Math.max(row.nearDiameter.nominal, row.farDiameter.nominal);
  const thread = threadOf(row);
  const tapped = thread !== undefined && atLeast(drilledTo, row.nearDiameter.min, PLACE);
  if (
    !tapped &&
    exceeds(Math.max(row.nearDiameter.max, widest), drilledTo, PLACE) &&
    !(row.form === 'cylinder' && Math.abs(widest - drilledTo) < 0.06)
  )
    bore(draft, row, drilledTo);
  if (thread && singlePointed(facts, row, Math.max(drilledTo, row.nearDiameter.nominal))) {
    // the bar starts clean in a chamfer
    mouth(draft, row);
    writeThread(draft, row);
    return;
  }
  if (thread) tapRow(draft, row, thread, drilledTo || coreOf(row));
  mouth(draft, row);
}

/** Chamfer, countersink or radius at the mouth of a row of a hole. */
function mouth(draft: Draft, row: Feature): void {
  const { facts, at } = draft;
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
  const id = stepId(at, 'chamfer', about);
  const tool = needTool(draft, id, 'form', say`chamfering tool`);
  const r = row.nearDiameter.nominal / 2;
  addStep(draft, {
    verb: 'chamfer',
    about,
    tool,
    says: edge.kind === 'radius' ? say`mouth, radius ${length(along)}` : say`mouth to ${diameter(2 * (r + up))}`,
    because: [reason('relief-first', say`so that what goes in starts clean`, row.id)],
    figures: {
      speed: tool && chosenData(facts, id, 'speed', speedFor(at.place, tool, 'form', 2 * (r + up))),
      feed: figure('feed', 'feedByHand', { asked: 0.05 }),
      minutes: byHand(practice.minutesMouth),
    },
    sweeps: spareIn(facts, row.near, row.near + inward(at.end) * along, r - 1, r + up),
  });
}
