import { bestFeed, edgeOf, finishFeed, leastDepth, loadOf, passivePush, roughAsked, speedFor, usesOf } from '../../cutting';
import type { Tool } from '../../document';
import { faceOf, type Feature, inward, type Limits, longOf, settingOf } from '../../drawing';
import type { Reason } from '../../finding';
import { alike, angle, atMost, diameter, exceeds, figure, growth, length, PLACE, REFERENCE, say, tidy } from '../../quantity';
import { boreGaugeFor, mmOf, practice, sizeOf } from '../../shop';
import { noseCorner, type Region } from '../../stock';
import { type BarOut, giveOfBar } from '../../tooling';
import { closesIn, mateName } from '../beside';
import { warmthOf } from '../cool';
import { barTooSlender, bindingReason, overLimit } from '../cutChecks';
import { byHand, chosenData, type Facts, reason } from '../facts';
import { addStep, type At, type Draft, putOnList, stepId, warn } from '../outcome';
import { spareIn } from '../spare';
import { workLimits } from '../workLimits';
import { checkQuill } from './drilling';
import { leftToReam, THROUGH } from './rung';

/** Reams a row to its size. */
export function ream(draft: Draft, row: Feature, tool: Tool, left: number, instead: boolean): void {
  const { facts, at } = draft;
  const id = stepId(at, 'ream', row.id);
  const { limits, because } = workLimits(facts, row);
  const out = Math.abs(row.far - faceOf(facts.part, at.end));
  const open = row.through === true || row.met === true;
  const size = sizeOf(tool);
  const range = leftToReam(size);
  const gauge = limits.from === 'general' ? undefined : boreGaugeFor(facts.shop, limits.nominal, limits.max - limits.min);
  const much = exceeds(left, range.most + 0.1, PLACE);
  if (much || left < range.least / 2)
    warn(draft, {
      code: 'drill-bore-ream',
      about: id,
      severity: 'caution',
      says: say`the reamer is left ${length(tidy(left), 0.01)} on diameter; ${length(range.least)} to ${length(range.most)} is its work`,
      why: much
        ? say`it chatters and cuts over, or binds: a drill between, or the bar first`
        : say`it rubs, and leaves the marks of the drill: a smaller drill before it`,
      mends: [],
    });
  if (!open || out > 2 * size) checkQuill(draft, id, out + (open ? practice.reamerLead + THROUGH : 0));
  const trial = facts.job.drawing.mates.find((m) => m.of === row.id);
  addStep(draft, {
    verb: 'ream',
    about: row.id,
    does: [`${row.id}.diameter`],
    tool,
    gauge: gauge?.id,
    says:
      limits.from === 'general'
        ? say`${diameter(limits.nominal)} × ${length(out)} deep`
        : say`${diameter(limits.min, 0.001)} to ${diameter(limits.max, 0.001)}`,
    because: [
      reason('drill-bore-ream', say`about ${length(tidy(left), 0.01)} left for it, counted from the hole that the drill makes`, row.id),
      ...(instead ? [reason('bar-enters', say`no boring bar here enters and reaches: reamed instead, as true as its drill ran`, row.id)] : []),
      reason('ream-dwell', say`never reversed, withdrawn turning forward; it floats, and follows a crooked hole`, row.id),
      ...(open
        ? []
        : [
            reason(
              'drill-bore-ream',
              say`blind: its lead leaves the last ${length(practice.reamerLead, 0.1)} tapered; drilled that much deeper, or to the bottom with a bottoming one`,
              row.id,
            ),
          ]),
      ...because,
      ...closesIn(facts, row),
      ...(open ? [] : [reason('depth-by-quill', say`${length(out)} deep, counted from where it begins to cut`, row.id)]),
      ...(trial ? [reason('trial-fit', say`${mateName(trial.piece)} is tried in it before it leaves the chuck`, row.id)] : []),
    ],
    ...(because.length > 0 && { limits }),
    figures: {
      speed: chosenData(facts, id, 'speed', speedFor(at.place, tool, 'ream', size)),
      feed: figure('feed', 'feedByHand', { asked: tidy(Math.min(0.25, Math.max(0.08, 0.015 * size))) }),
      to: figure('diameter', 'middle', { max: limits.max, min: limits.min }, { step: 0.001 }),
      minutes: byHand(practice.minutesBoreHand + longOf(row) / practice.borePerMinute),
    },
    sweeps: spareIn(
      facts,
      rowMouth(facts, at, row),
      row.far + inward(at.end) * (row.through === true ? THROUGH : 0),
      -1,
      row.nearDiameter.nominal / 2,
    ),
  });
}

/** From beyond the face where a row begins at it: metal of a facing to come is bored too. */
const rowMouth = ({ part }: Facts, { end }: At, row: Feature): number =>
  row.near - inward(end) * (row.near === 0 || atMost(row.near, -part.length, PLACE) ? 2 : 0);

/** How a row is bored: with which bar, from what diameter, and to what where that is not its own size: for a reamer after it. */
export interface Boring {
  /** undefined where no bar of the shop enters and reaches */
  readonly tool: Tool | undefined;
  readonly from: number;
  readonly toReam?: number;
}

/** Bores one row of a hole. */
export function bore(draft: Draft, row: Feature, { tool, from, toReam }: Boring): void {
  const { facts, at } = draft;
  const id = stepId(at, 'bore', row.id);
  const { limits, because: left } = workLimits(facts, row);
  const out = Math.abs(row.far - faceOf(facts.part, at.end));
  if (!tool) lacksBar(draft, id, from, out);
  if (tool) barTooSlender(draft, id, tool, out);
  const measured = toReam === undefined && limits.from !== 'general';
  const gauge = measured ? boreGaugeFor(facts.shop, limits.nominal, limits.max - limits.min) : undefined;
  const radius = (toReam ?? Math.max(row.nearDiameter.nominal, row.farDiameter.nominal)) / 2;
  const window = spareIn(facts, rowMouth(facts, at, row), row.far + inward(at.end) * (row.through === true ? THROUGH : 0), -1, radius);
  const corner = tool && toReam === undefined ? cornerInBore(facts, at, row, mmOf(tool.nose)) : [];
  const cut = tool ? boring(draft, id, row, tool, { from, out, radius, fine: measured, limits }) : undefined;
  const open = row.through === true || row.met === true;
  addStep(draft, {
    verb: 'bore',
    about: row.id,
    does: [`${row.id}.diameter`],
    tool,
    gauge: gauge?.id,
    says:
      toReam !== undefined
        ? say`${diameter(toReam, 0.01)} × ${length(out)} deep, for the reamer`
        : row.form === 'taper'
          ? say`${diameter(row.nearDiameter.nominal)} to ${diameter(row.farDiameter.nominal)}, compound at ${angle(settingOf(row), 0.01)}`
          : limits.from === 'general'
            ? say`${diameter(limits.nominal)} × ${length(out)} deep`
            : say`${diameter(limits.min, 0.001)} to ${diameter(limits.max, 0.001)}`,
    because: [
      reason('drill-bore-ream', say`drills run over: bored for position and size`, row.id),
      ...(toReam === undefined ? closesIn(facts, row) : []),
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
      ...(open ? [] : [reason('depth-by-stop', say`blind: the depth by an indicator or a stop on the bed, ${length(out)} from the face`, row.id)]),
      ...(measured ? warmBore(draft, row, limits) : []),
      ...(cut?.because ?? []),
    ],
    ...(left.length > 0 && toReam === undefined && { limits }),
    ...(cut && { cut: cut.asked }),
    figures: cut
      ? toReam === undefined
        ? cut.figures
        : { ...cut.figures, to: figure('diameter', 'toSize', { size: toReam }, { step: 0.01 }) }
      : {
          feed: figure('feed', 'feedByHand', { asked: 0.08 }),
          ...((row.form === 'cylinder' || row.form === 'thread') && {
            to: figure('diameter', 'middle', { max: limits.max, min: limits.min }, { step: 0.001 }),
          }),
          minutes: byHand(practice.minutesBoreHand + longOf(row) / practice.borePerMinute),
        },
    sweeps: window,
    leaves: corner,
  });
}

/** No bar of the drawer enters and reaches: on the list, with what does meanwhile. @source bar-enters, common practice */
function lacksBar(draft: Draft, id: string, from: number, out: number): void {
  const words =
    from > 0
      ? say`boring bar up to ${length(practice.barEnters * from, 0.1)} thick that reaches ${length(out, 0.1)}`
      : say`drill to open the hole with, then a boring bar`;
  putOnList(draft, 'bore', words, id);
  warn(draft, {
    code: 'no-tool',
    about: id,
    severity: 'caution',
    says: say`nothing in the drawer makes this size: ${words}`,
    why: say`a bar up to 0.7 of its hole, and no further out than it reaches; a drill or reamer of the size would do as well`,
    mends: [],
  });
}

/** Warm from drilling it reads big, most of all in what grows much; where the tolerance does not feel it nothing is said. @source hot-reads-big */
function warmBore({ facts, at, cuts }: Draft, row: Feature, limits: Limits): readonly Reason[] {
  const { material } = facts;
  const tolerance = limits.max - limits.min;
  const warm = warmthOf(facts, at.stock, [...at.steps, ...cuts.map((c) => c.step)]);
  const reads = warm && growth(limits.nominal, material.alpha, warm.value - REFERENCE);
  const tenDegrees = growth(limits.nominal, material.alpha, 10);
  if (tenDegrees <= tolerance * practice.warmthPretends) return [];
  if (!warm || reads === undefined || reads <= tolerance * practice.warmthPretends)
    return [
      reason(
        'hot-reads-big',
        say`measured cold: ten degrees warm it reads ${length(tenDegrees, 0.001)} big, of ${length(tolerance, 0.001)} allowed`,
        row.id,
      ),
    ];
  return [
    reason(
      'hot-reads-big',
      say`roughed and drilled it may be at ${warm}: a bore of ${diameter(limits.nominal)} then reads ${length(reads, 0.001)} big, of ${length(tolerance, 0.001)} allowed; cooled, wiped and measured cold before the last two cuts`,
      row.id,
    ),
  ];
}

/** What a round nose leaves against a shoulder or a flat bottom where no radius or relief is drawn. */
function cornerInBore({ part }: Facts, { end }: At, row: Feature, nose: number): Region {
  if (nose <= 0 || row.form !== 'cylinder' || row.through === true || row.met === true) return [];
  if (row.edgeFar.kind !== 'none' && row.edgeFar.kind !== 'sharp' && row.edgeFar.kind !== 'bottom') return [];
  const behind = part.features.find((f) => f.side === end && f.id !== row.id && alike(f.near, row.far));
  const inner = behind ? behind.nearDiameter.nominal / 2 : (row.bottom ?? 90) >= 90 ? 0 : Infinity;
  const radius = row.nearDiameter.nominal / 2;
  return radius - inner > 2 * nose ? noseCorner(row.far, radius, nose, inward(end) === -1 ? 1 : -1, -1) : [];
}

/** Speed, feed, passes and spring of boring with a bar; what binds is told. */
function boring(
  draft: Draft,
  id: string,
  row: Feature,
  tool: Tool,
  {
    from,
    out,
    radius,
    fine,
    limits,
  }: { readonly from: number; readonly out: number; readonly radius: number; readonly fine: boolean; readonly limits: Limits },
) {
  const { facts, at } = draft;
  const total = Math.max(0.05, tidy(radius - from / 2));
  const bar: BarOut | undefined = giveOfBar(tool, out);
  const speed = chosenData(facts, id, 'speed', speedFor(at.place, tool, 'turn', 2 * radius));
  const finish = finishFeed(at.place, tool, row.finish ?? (fine ? 1.6 : 3.2));
  const feed = chosenData(facts, id, 'feed', finish);
  const give = bar && { compliance: bar.compliance, at: out, allowed: practice.boreLeft / 2, of: 'bar' as const };
  const asked = roughAsked(at.place, tool, 2 * radius, speed.value, give);
  const limited = bestFeed(asked, [feed.value], total);
  const { most } = limited;
  const passes = chosenData(
    facts,
    id,
    'passes',
    figure('count', 'passes', { total, most: fine ? Math.min(most, Math.max(total / 2, leastDepth(tool))) : most }),
  );
  const depth = chosenData(facts, id, 'depth', figure('length', 'depth', { total, passes: passes.value }, { step: 0.01 }));
  overLimit(draft, id, depth.value, limited);
  const load = loadOf(at.place, tool, depth.value, feed.value, 2 * radius, speed.value);
  const passive = passivePush(at.place, tool, { depth: depth.value, feed: feed.value, diameter: 2 * radius, speed: speed.value });
  const minutes = figure('time', 'minutes', {
    passes: passes.value,
    length: longOf(row),
    approach: 3,
    f: feed.value,
    n: speed.value,
    handling: (fine ? practice.minutesBoreMeasured : practice.minutesBore) + practice.minutesBorePass * passes.value,
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
      ...((row.form === 'cylinder' || row.form === 'thread') && {
        to: figure('diameter', 'middle', { max: limits.max, min: limits.min }, { step: 0.001 }),
      }),
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
      ...edgeOf(at.place, tool, 2 * radius, speed.value, minutes),
      minutes,
    },
  };
}
