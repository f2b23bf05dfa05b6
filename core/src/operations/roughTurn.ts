import { aimOf, allowanceOf, feedFigure, finishNose } from './allowance';
import { bestFeed, edgeOf, limitedAt, loadOf, roughAsked, roughFeeds, speedFor, usesOf } from '../cutting';
import type { Tool } from '../document';
import { type Feature, innerOf, inward, mouthOf } from '../drawing';
import { atMost, diameter, fallsShort, figure, length, say } from '../quantity';
import { mmOf, practice } from '../shop';
import { turned } from '../stock';
import { beginsBeside, passesCentre } from './besideCentre';
import { bindingReason, overLimit } from './cutChecks';
import { chosenData, reason } from './facts';
import { stringsKept } from './finishReasons';
import { addStep, needTool, type Operation, operation, standsAt, stepId } from './outcome';
import { cornerKept } from './spare';
import { weakestIn } from './spring';

/** Roughs one row from the free face, from the diameter that stands there. */
export const roughTurn = (feature: Feature, face: number): Operation =>
  operation((draft) => {
    const { facts, at } = draft;
    const id = stepId(at, 'rough-turn', feature.id);
    const allowance = allowanceOf(facts);
    const target = figure('diameter', 'sizeBeforeFinish', { size: aimOf(feature), allowance }, { step: 0.1 });
    // what was roughed before, or a piece already started, may stand lower than the bar
    const from = standsAt(at, innerOf(feature, at.end), face);
    // so little is left to the finishing cuts
    if (target.value >= from - 2 * practice.roughLeast) {
      draft.left = from;
      return;
    }
    draft.left = target.value;
    const total = (from - target.value) / 2;
    const stout = (t: Tool) => mmOf(t.nose, 0.4) > finishNose(facts);
    const breaks = (t: Tool) => !t.chips || atMost(t.chips.depth[0], total);
    // a stout nose that breaks its chips at such a depth; else what breaks them; else what is stout
    const clears = passesCentre(draft, target.value / 2, face);
    const kinds = [(t: Tool) => stout(t) && breaks(t), breaks, stout];
    // beside a centre first of all what touches it not
    const wanted = [...kinds.map((passes) => (t: Tool) => passes(t) && clears(t)), clears, ...kinds].find((passes) =>
      facts.shop.tools.some((t) => t.kind === 'turn' && passes(t)),
    );
    const tool = needTool(draft, id, 'turn', say`turning tool`, wanted);
    const inner = innerOf(feature, at.end) - inward(at.end) * practice.shoulderLeft;
    const long = Math.abs(face - inner);
    const parts = {
      verb: 'rough-turn' as const,
      about: feature.id,
      tool,
      sweeps: turned(face - inward(at.end) * 5, inner, target.value / 2),
      leaves: cornerKept(facts, feature, at.end),
      says: say`${diameter(target.value, 0.1)} × ${length(long, 0.1)}`,
    };
    if (!tool) {
      addStep(draft, { ...parts, figures: { to: target } });
      return;
    }
    const speed = chosenData(facts, id, 'speed', speedFor(at.place, tool, 'turn', from));
    const weakest = weakestIn(facts, at, mouthOf(feature, at.end), innerOf(feature, at.end));
    const give = weakest && { compliance: weakest.compliance, at: weakest.x, allowed: allowance / 2, of: 'work' as const };
    const asked = roughAsked(at.place, tool, from, speed.value, give);
    const best = bestFeed(asked, roughFeeds(at.place, tool), total);
    const feed = chosenData(facts, id, 'feed', feedFigure(facts, best.feed));
    const limited = feed.value === best.feed ? best : limitedAt(asked, feed.value);
    const passes = chosenData(facts, id, 'passes', figure('count', 'passes', { total, most: limited.most }));
    const depth = chosenData(facts, id, 'depth', figure('length', 'depth', { total, passes: passes.value }, { step: 0.01 }));
    const load = loadOf(at.place, tool, depth.value, feed.value, from, speed.value);
    const uses = usesOf(asked, feed.value, depth.value);
    overLimit(draft, id, depth.value, limited);
    const minutes = figure('time', 'minutes', {
      passes: passes.value,
      length: long,
      approach: 3,
      f: feed.value,
      n: speed.value,
      handling: practice.minutesAside + practice.minutesPass * passes.value,
    });
    addStep(draft, {
      ...parts,
      because: [
        reason('rough-all-first', say`before finishing anything; leaves ${length(allowance)} a side for two like cuts`, feature.id),
        bindingReason(depth.value, total, limited, uses, feature.id),
        ...beginsBeside(draft, face, feature.id),
        ...(tool.grade === 'carbide' && facts.material.group === 'P'
          ? [reason('sparks', say`blue chips are right for carbide in steel; sparks are not: one speed down`, feature.id)]
          : []),
        ...stringsKept(facts, tool, feed.value, feature.id),
        ...(tool.chips && fallsShort(depth.value, tool.chips.depth[0])
          ? [reason('chips', say`under ${length(tool.chips.depth[0])} this insert breaks no chips: expect strings, cleared with a hook`, feature.id)]
          : []),
      ],
      figures: {
        speed,
        feed,
        depth,
        passes,
        most: limited.binding.most,
        to: target,
        force: load.force,
        power: load.power,
        minutes,
        ...edgeOf(at.place, tool, from, speed.value, minutes),
      },
      cut: asked,
      passes: Array.from({ length: Math.min(passes.value, 50) }, (_, i) => {
        const r = from / 2 - (i + 1) * depth.value;
        return { from: [face, r] as const, to: [inner, r] as const, depth: depth.value };
      }),
    });
  });
