import { faceDepth, roughFeeds, speedFor } from '../cutting';
import { type Figure, figure, length, say } from '../quantity';
import { gaugeFor } from '../shop';
import { turned } from '../stock';
import { addStep, type Context, data, needTool, reason, type SetupDraft, stepId } from './context';
import type { End } from '../ref';
import { inward, letterOf } from './ends';
import { feedFigure } from './turning';

/** Facing: one or more cuts until the face lies at z. */
export function faceEnd(ctx: Context, setup: SetupDraft, z: number, off: number, diameterNow: number, words: 'first' | 'length'): void {
  const end: End = setup.end;
  const id = stepId(setup, 'face', end);
  const tool = needTool(ctx, id, 'face', say`facing tool`) ?? needTool(ctx, id, 'turn', say`turning tool`);
  const speed = tool && data(ctx, id, 'speed', speedFor(setup.place, tool, 'face', diameterNow));
  const feed: Figure | undefined = tool && data(ctx, id, 'feed', feedFigure(ctx, Math.max(...roughFeeds(setup.place, tool))));
  const passes = data(ctx, id, 'passes', figure('count', 'passes', { total: off, most: faceDepth(setup.place) }));
  const depth = data(ctx, id, 'depth', figure('length', 'depth', { total: off, passes: passes.value }));
  const minutes =
    speed &&
    feed &&
    figure('time', 'minutes', {
      passes: passes.value,
      length: diameterNow / 2,
      approach: 2,
      f: feed.value,
      n: speed.value,
      handling: words === 'first' ? 0.5 : 1.5,
    });
  // a length with limits of its own is cut, measured and cut
  const limits = words === 'length' ? ctx.part.characteristics.find((c) => c.id === 'overall')?.limits : undefined;
  const gauge = limits && limits.from !== 'general' ? gaugeFor(ctx.shop, limits.nominal, limits.max - limits.min) : undefined;
  addStep(ctx, setup, {
    verb: 'face',
    about: end,
    tool,
    gauge: gauge?.id,
    says: words === 'first' ? say`${letterOf(end)}, ${length(off)} off` : say`${letterOf(end)} to ${length(ctx.part.length)} long`,
    because: [
      words === 'first'
        ? reason('face-first', say`face, then all lengths have a zero`, end)
        : reason('flip-to-length', say`leave some, measure the length, face the rest`, end),
    ],
    figures: { speed, feed, depth, passes, minutes, ...(words === 'length' && { to: figure('length', 'distance', { value: ctx.part.length }) }) },
    sweeps: turnedFace(z, end),
  });
}

const turnedFace = (z: number, end: End) => turned(z, z - inward(end) * 1000, -1);
