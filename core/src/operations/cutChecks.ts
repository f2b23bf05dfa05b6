import { mmOf, practice, sizeOf } from '../shop';
import { leastFeed, type Limited, minutesInCut, type usesOf } from '../cutting';
import type { Tool } from '../document';
import type { Feature } from '../drawing';
import type { Reason } from '../finding';
import { atLeast, fallsShort, type Figure, length, say, tidy } from '../quantity';
import { byHand, reason } from './facts';
import { addStep, type Draft, warn } from './outcome';

/* What a cut is told of: what binds it, what it breaks, and an edge that is too worn for it. */

/** What binds a depth, and what does not by how much. */
export function bindingReason(depth: number, total: number, limited: Limited, uses: ReturnType<typeof usesOf>, about: string): Reason {
  const { binding } = limited;
  const others = (['power', 'spring', 'grip'] as const)
    .filter((rule) => rule !== binding.rule && uses[rule] !== undefined)
    .map((rule) => `${rule} (${String(Math.round(100 * (uses[rule] ?? 0)))} %)`);
  const free = others.length > 0 ? say`, not ${others.join(', ')}` : say``;
  return total <= binding.most.value
    ? reason('depth', say`depth ${length(depth)}: all there is to take; ${binding.says} would allow ${binding.most}${free}`, about)
    : reason('depth', say`depth ${length(depth)}: ${binding.says} allows ${binding.most}${free}`, about);
}

/** Limits that exclude each other, and a depth chosen beyond the one that binds. */
export function overLimit(draft: Draft, id: string, depth: number, limited: Limited): void {
  const { facts } = draft;
  const { conflict, binding } = limited;
  if (conflict)
    draft.says.push({
      code: 'limits-exclude',
      about: id,
      severity: 'caution',
      says: say`${conflict.by}, but ${binding.says} allows no more than ${length(binding.most.value, binding.most.value < 0.02 ? 0.001 : 0.01)}`,
      why: say`no depth is right for both: less stick-out, a centre or rest, a finer feed, or a keener and smaller nose`,
      mends: [],
    });
  const own = facts.chosen.data.get(id);
  if (!own || depth <= limited.most * 1.02 + 0.005) return;
  const rest = {
    kind: own.kind,
    id: own.id,
    step: own.step,
    ...(own.speed !== undefined && { speed: own.speed }),
    ...(own.feed !== undefined && { feed: own.feed }),
  };
  warn(draft, {
    code: 'depth-over-limit',
    about: id,
    severity: 'caution',
    says: say`${length(depth)} deep is chosen; ${binding.says} allows ${binding.most}`,
    why: say`what is beyond a limit stalls, slips, chatters or bends`,
    mends: [{ says: say`depth as computed`, to: 'job', edits: [{ op: 'put', at: `choices/#${own.id}`, value: rest }] }],
  });
}

/** No worn edge finishes anything: one that would be past half of its life is indexed first. @source worn-tip, common practice */
export function freshEdge(draft: Draft, feature: Feature, tool: Tool, minutes: Figure, life: number): void {
  const { at } = draft;
  const used = at.wear.get(tool.id) ?? 0;
  if (used + minutesInCut(minutes) / life <= practice.freshShare || used === 0) return;
  addStep(draft, {
    verb: 'index',
    about: feature.id,
    tool,
    says: say`${tool.grade === 'hss' ? 'hone' : 'index'} ${tool.name}`,
    because: [
      reason(
        'worn-tip',
        say`it has cut away ${Math.round(100 * used)} % of the life of its edge on this piece: a worn one pushes, and the size drifts`,
        feature.id,
      ),
    ],
    figures: { minutes: byHand(tool.grade === 'hss' ? practice.minutesHone : practice.minutesIndex) },
  });
}

/** A finish that wants a finer feed than this material takes without rubbing. @source austenitic-feed, common practice */
export function rubs(draft: Draft, id: string, feed: number, tool: Tool): void {
  const { facts } = draft;
  const least = leastFeed(facts.material);
  if (tool.chips && fallsShort(feed, tool.chips.feed[0]))
    warn(draft, {
      code: 'strings',
      about: id,
      severity: 'note',
      says: say`the finish wants a feed of ${length(feed, 0.001)}; ${tool.name} breaks its chips from ${length(tool.chips.feed[0], 0.001)}`,
      why: say`expect a string: stop and clear it with a hook, or take a finer nose`,
      mends: [],
    });
  if (atLeast(feed, least)) return;
  draft.says.push({
    code: 'limits-exclude',
    about: id,
    severity: 'note',
    says: say`the finish wants a feed of ${length(feed, 0.001)}; under ${length(least, 0.001)} ${facts.material.name} is rubbed rather than cut`,
    why: say`it hardens where it is rubbed: a larger nose allows more feed for the same finish`,
    mends: [],
  });
}

/** A bar that stands out too far for its thickness is told. @source common practice, 4 of steel */
export function barTooSlender(draft: Draft, id: string, tool: Tool, out: number): void {
  const shank = mmOf(tool.shank, sizeOf(tool, 0));
  if (shank <= 0 || out / shank <= 4) return;
  warn(draft, {
    code: 'bar-too-slender',
    about: id,
    severity: 'caution',
    says: say`${tool.name} reaches ${length(out)} on a shank of ${length(shank)}: ${tidy(Math.round((10 * out) / shank) / 10)} to 1`,
    why: say`a steel boring bar is good to 4, a carbide one to 6 or 7`,
    mends: [],
  });
}
