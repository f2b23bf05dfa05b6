import { bestFeed, edgeOf, finishFeed, leastDepth, loadOf, passivePush, roughAsked, speedFor, usesOf } from '../../cutting';
import type { Tool } from '../../document';
import { faceOf, type Feature, inward, type Limits, longOf, settingOf } from '../../drawing';
import { alike, angle, atMost, diameter, figure, length, PLACE, say, tidy } from '../../quantity';
import { boreGaugeFor, mmOf, practice, sizeOf } from '../../shop';
import { noseCorner, type Region } from '../../stock';
import { type BarOut, giveOfBar, stoutestBar } from '../../tooling';
import { barTooSlender, bindingReason, overLimit } from '../cutChecks';
import { byHand, chosenData, type Facts, reason } from '../facts';
import { addStep, type At, type Draft, needTool, stepId } from '../outcome';
import { spareIn } from '../spare';
import { workLimits } from '../workLimits';

/** Bores, or reams, one row of a hole that stands at `from` on diameter, mm. */
export function bore(draft: Draft, row: Feature, from: number): void {
  const { facts, at } = draft;
  const verb = row.made === 'reamed' ? ('ream' as const) : ('bore' as const);
  const id = stepId(at, verb, row.id);
  const tool =
    verb === 'ream'
      ? needTool(draft, id, 'ream', say`reamer ${length(row.nearDiameter.nominal)}`, (t) => Math.abs(sizeOf(t) - row.nearDiameter.nominal) < 0.02)
      : needTool(
          draft,
          id,
          'bore',
          say`boring bar under ${length(practice.barEnters * Math.max(from, 1))}`,
          (t) => t === stoutestBar(facts.shop, from),
        );
  const { limits, because: left } = workLimits(facts, row);
  const out = Math.abs(row.far - faceOf(facts.part, at.end));
  if (verb === 'bore' && tool) barTooSlender(draft, id, tool, out);
  const gauge = limits.from === 'general' ? undefined : boreGaugeFor(facts.shop, limits.nominal, limits.max - limits.min);
  const radius = Math.max(row.nearDiameter.nominal, row.farDiameter.nominal) / 2;
  const window = spareIn(
    facts,
    row.near - inward(at.end) * (row.near === 0 || atMost(row.near, -facts.part.length, PLACE) ? 2 : 0),
    row.far + inward(at.end) * (row.through === true ? 1 : 0),
    -1,
    radius,
  );
  const corner = verb === 'bore' && tool ? cornerInBore(facts, at, row, mmOf(tool.nose)) : [];
  const cut = verb === 'bore' && tool ? boring(draft, id, row, tool, { from, out, radius, fine: gauge !== undefined, limits }) : undefined;
  addStep(draft, {
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
              say`blind: its lead leaves the last ${length(practice.reamerLead, 0.1)} tapered; drilled that much deeper, or to the bottom with a bottoming one`,
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
          speed: tool && chosenData(facts, id, 'speed', speedFor(at.place, tool, verb === 'ream' ? 'ream' : 'turn', 2 * radius)),
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
