import { faceDepth, roughFeeds, speedFor } from '../cutting';
import { inward, letterOf } from '../drawing';
import { type Figure, figure, length, say } from '../quantity';
import type { End } from '../ref';
import { gaugeFor, practice } from '../shop';
import { turned } from '../stock';
import { feedFigure } from './allowance';
import { chosenData, reason } from './facts';
import { addStep, needTool, type Operation, operation, stepId } from './outcome';

/** Facing: one or more cuts until the face lies at z. */
export const faceEnd = (z: number, off: number, diameterNow: number, words: 'first' | 'length'): Operation =>
  operation((draft) => {
    const { facts, at } = draft;
    const end: End = at.end;
    const id = stepId(at, 'face', end);
    const tool = needTool(draft, id, 'face', say`facing tool`) ?? needTool(draft, id, 'turn', say`turning tool`);
    const speed = tool && chosenData(facts, id, 'speed', speedFor(at.place, tool, 'face', diameterNow));
    const feed: Figure | undefined = tool && chosenData(facts, id, 'feed', feedFigure(facts, Math.max(...roughFeeds(at.place, tool))));
    const passes = chosenData(facts, id, 'passes', figure('count', 'passes', { total: off, most: faceDepth(at.place) }));
    const depth = chosenData(facts, id, 'depth', figure('length', 'depth', { total: off, passes: passes.value }));
    const minutes =
      speed &&
      feed &&
      figure('time', 'minutes', {
        passes: passes.value,
        length: diameterNow / 2,
        approach: 2,
        f: feed.value,
        n: speed.value,
        handling: words === 'first' ? practice.minutesFace : practice.minutesFaceLength,
      });
    // a length with limits of its own is cut, measured and cut
    const limits = words === 'length' ? facts.part.characteristics.find((c) => c.id === 'overall')?.limits : undefined;
    const gauge = limits && limits.from !== 'general' ? gaugeFor(facts.shop, limits.nominal, limits.max - limits.min) : undefined;
    addStep(draft, {
      verb: 'face',
      about: end,
      tool,
      gauge: gauge?.id,
      says: words === 'first' ? say`${letterOf(end)}, ${length(off)} off` : say`${letterOf(end)} to ${length(facts.part.length)} long`,
      because: [
        words === 'first'
          ? reason('face-first', say`face, then all lengths have a zero`, end)
          : reason('flip-to-length', say`leave some, measure the length, face the rest`, end),
      ],
      figures: { speed, feed, depth, passes, minutes, ...(words === 'length' && { to: figure('length', 'distance', { value: facts.part.length }) }) },
      sweeps: turnedFace(z, end),
    });
  });

const turnedFace = (z: number, end: End) => turned(z, z - inward(end) * 1000, -1);
