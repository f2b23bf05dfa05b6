import { allowanceOf, finishNose } from './allowance';
import type { Tool } from '../document';
import { edgeOf, finishFeed, speedFor } from '../cutting';
import { faceOf, type Feature, innerOf, inward, type Limits, mouthOf } from '../drawing';
import { alike, diameter, figure, length, say, tidy } from '../quantity';
import type { End } from '../ref';
import { mmOf, practice } from '../shop';
import { turnedToShoulder } from '../stock';
import { fittedOne } from './beside';
import { freshEdge, rubs } from './cutChecks';
import { beginsBeside, passesCentre } from './besideCentre';
import { emery } from './emery';
import { chosenData, type Facts, reason } from './facts';
import { dialReasons, landsKept, longCutReasons, readingReasons, springSaid, stringsKept } from './finishReasons';
import { chosenGauge, plainGauge } from './gaugeChoice';
import { addStep, needTool, type Operation, operation, stepId, warn } from './outcome';
import { cornerKept } from './spare';
import { springOf } from './spring';
import { emeried, shiftedBy, workLimits } from './workLimits';

/** Finish-turns one row to its limits, or `under` its size (mm on diameter) where a die or a knurl raises it; stops to measure where it carries a tolerance of its own. */
export const finishTurn = (feature: Feature, under: number): Operation =>
  operation((draft) => {
    const { facts, at } = draft;
    const id = stepId(at, 'finish-turn', feature.id);
    const { limits, because: left } = workLimits(facts, feature);
    const aim =
      under > 0
        ? figure('diameter', 'toSize', { size: tidy(limits.nominal - under) }, { step: 0.01 })
        : figure('diameter', 'middle', { max: limits.max, min: limits.min }, { step: 0.001 });
    const sharp = (t: Tool) => mmOf(t.nose, 0.4) <= finishNose(facts);
    const clears = passesCentre(draft, aim.value / 2, mouthOf(feature, at.end));
    const keen = (t: Tool) => sharp(t) && clears(t);
    const tool = needTool(draft, id, 'turn', say`turning tool`, facts.shop.tools.some((t) => t.kind === 'turn' && keen(t)) ? keen : sharp);
    const care = facts.part.characteristics.find((c) => c.of === feature.id && c.is === 'diameter')?.care;
    const gauge =
      limits.from !== 'general' ? chosenGauge(draft, id, limits) : care === 'byEye' || under > 0 ? undefined : plainGauge(facts, id, limits.nominal);
    const mouth = mouthOf(feature, at.end);
    const inner = innerOf(feature, at.end);
    const two = limits.from !== 'general';
    const allowance = allowanceOf(facts);
    const long = Math.abs(mouth - inner);
    const says =
      under > 0
        ? say`${diameter(aim.value)} × ${length(long)}`
        : limits.from === 'general'
          ? say`${diameter(limits.nominal)} × ${length(long)}`
          : say`${diameter(limits.min, 0.001)} to ${diameter(limits.max, 0.001)}`;
    const radius = tool ? cornerOfNose(facts, at.end, feature, mmOf(tool.nose, 0.4)) : 0;
    const because = [
      reason(
        feature.form === 'thread' ? 'major-first' : 'aim',
        feature.form === 'thread'
          ? limits.from === 'general'
            ? say`the major diameter before the thread; the table of this form gives it no limits: the general rule holds`
            : say`the major diameter to its limits before the thread`
          : say`the middle of the limits is ${aim}`,
        feature.id,
      ),
      ...left,
      ...beginsBeside(draft, mouth, feature.id),
      ...(two ? [reason('leave-real-cuts', say`two like cuts of ${length(allowance / 2)} a side: the part springs alike in both`, feature.id)] : []),
      ...(two && tool
        ? [
            tool.grade === 'hss'
              ? reason('spring-cut', say`the edge is keen: a repeat at the same setting takes what the work gave way`, feature.id)
              : reason('spring-cut', say`no repeat at the same setting: a honed insert rubs; like cuts instead`, feature.id),
          ]
        : []),
      ...(two ? dialReasons(facts, feature, limits.max - limits.min) : []),
      ...(two ? [reason('backlash', say`every setting come to from the same side`, feature.id)] : []),
      ...(facts.job.drawing.mates.some((m) => m.of === feature.id)
        ? [reason('bore-before-shaft', say`its mate is made and measured first; this one is fitted to it`, feature.id)]
        : []),
      ...(facts.job.pieces > 1 && facts.job.drawing.mates.some((m) => m.of === feature.id && fittedOne(m))
        ? [reason('batch', say`piece and mate carry the same number, and stay together from here on: each piece right through`, feature.id)]
        : []),
      ...(radius > 0
        ? [reason('corner', say`its nose leaves ${length(radius)} in the corner: what seats there wants a chamfer, or an undercut`, feature.id)]
        : []),
      ...(gauge && two ? [reason('right-gauge', say`${gauge.name} for a tolerance of ${length(limits.max - limits.min, 0.001)}`, feature.id)] : []),
      ...(gauge && !two
        ? [
            reason(
              'plain-sizes-too',
              say`no tolerance of its own: one cut short of it, measured with ${gauge.name}, and the rest; ${length(limits.max - limits.min)} is allowed`,
              feature.id,
            ),
          ]
        : []),
    ];
    const from = mouth - inward(at.end) * (mouth === faceOf(facts.part, at.end) || at.end === 'left' ? 5 : 0);
    const base = {
      ...(left.length > 0 && under === 0 && { limits }),
      verb: 'finish-turn' as const,
      about: feature.id,
      does: [`${feature.id}.diameter`],
      says,
      tool,
      gauge: gauge?.id,
      because,
      sweeps: turnedToShoulder(from, inner, aim.value / 2, radius),
      leaves: radius > 0 ? [] : cornerKept(facts, feature, at.end),
    };
    if (!tool) {
      addStep(draft, { ...base, figures: { to: aim } });
      return;
    }
    const speed = chosenData(facts, id, 'speed', speedFor(at.place, tool, 'turn', limits.nominal + 2 * allowance));
    const feed = chosenData(facts, id, 'feed', finishFeed(at.place, tool, feature.finish ?? (two ? 1.6 : 3.2)));
    rubs(draft, id, feed.value, tool);
    const passes = chosenData(facts, id, 'passes', figure('count', 'passes', { total: allowance, most: two ? allowance / 2 : allowance }));
    const depth = chosenData(facts, id, 'depth', figure('length', 'depth', { total: allowance, passes: passes.value }, { step: 0.01 }));
    const minutes = figure('time', 'minutes', {
      passes: passes.value,
      length: long,
      approach: 3,
      f: feed.value,
      n: speed.value,
      handling:
        (two && gauge ? practice.minutesMeasured : gauge ? practice.minutesAside + practice.minutesLooked : practice.minutesAside) +
        practice.minutesPass * passes.value,
    });
    if (two) freshEdge(draft, feature, tool, minutes, edgeOf(at.place, tool, limits.nominal, speed.value, minutes).life.value);
    const give = springOf(facts, at, feature, { tool, depth: depth.value, feed: feed.value, speed: speed.value });
    if (give) draft.weakest = { step: id, spring: give };
    if (give && 2 * give.spring.value > limits.max - limits.min)
      warn(draft, {
        code: 'spring',
        about: id,
        severity: 'caution',
        says: say`the work gives way ${give.spring} on radius under the finishing cut; the tolerance is ${length(limits.max - limits.min, 0.001)}`,
        why: say`it comes out thicker there than the dial says, and like cuts do not mend it along the row: a centre, a rest, less stick-out`,
        mends: [],
      });
    const tolerance = limits.max - limits.min;
    because.push(...longCutReasons(at, feature, long));
    because.push(...stringsKept(facts, tool, feed.value, feature.id));
    if (two) because.push(...springSaid(facts, tool, feature.id));
    if (two) because.push(...landsKept(facts, tool, tolerance, feature.id));
    if (two) because.push(...readingReasons(feature, tolerance, long, feed.value, mmOf(tool.nose, 0.4), give?.spring.value ?? 0));
    addStep(draft, {
      ...base,
      because: give
        ? [
            ...because,
            reason(
              'spring',
              say`the work gives way ${give.spring} on radius under ${give.passive}, most ${length(Math.abs(give.at - faceOf(facts.part, at.end)), 0.1)} from its face${two ? '; like cuts spring alike' : ''}`,
              feature.id,
            ),
          ]
        : because,
      figures: {
        speed,
        feed,
        depth,
        passes,
        to: aim,
        minutes,
        passive: give?.passive,
        spring: give?.spring,
        ...edgeOf(at.place, tool, limits.nominal, speed.value, minutes),
      },
      passes: [{ from: [mouth, aim.value / 2], to: [inner, aim.value / 2], depth: depth.value }],
    });
    if (under === 0 && emeried(facts, feature)) emery(draft, feature, limitsBefore(limits), gauge?.id);
  });

/** What is left when the emery has taken its hundredth. */
const limitsBefore = (limits: Limits): Limits => shiftedBy(limits, -practice.emeryLeft);

/** The radius that a nose leaves where a row runs against a larger one and no relief or radius is drawn, mm; 0 where it runs free. */
function cornerOfNose({ part }: Facts, end: End, feature: Feature, nose: number): number {
  const edge = end === 'right' ? feature.edgeFar : feature.edgeNear;
  if (edge.kind !== 'none' && edge.kind !== 'sharp') return 0;
  const z = innerOf(feature, end);
  const behind = part.features.find((f) => f.side === 'outside' && f.id !== feature.id && alike(mouthOf(f, end), z));
  const deep = behind ? behind.nearDiameter.nominal / 2 - feature.nearDiameter.nominal / 2 : 0;
  return deep > 2 * nose ? nose : 0;
}
