import { leastFeed, speedFor, type CutKind } from '../cutting';
import type { Tool } from '../document';
import { type Figure, figure, type Sentence } from '../quantity';
import { type Region } from '../stock';
import { byHand, chosenData, type reason } from './facts';
import { addStep, type Draft, needTool, stepId } from './outcome';
import type { Verb } from './verbs.table';

/** A step that cuts what is spare in a window with a tool of a kind. */
export function cutWindow(
  draft: Draft,
  parts: {
    verb: Verb;
    about: string;
    method?: string;
    says: Sentence;
    why: ReturnType<typeof reason>;
    also?: readonly ReturnType<typeof reason>[];
    kind: Tool['kind'];
    work: CutKind;
    words: Sentence;
    at: number;
    minutes: number;
    sweeps: Region;
    /** which tools of the kind make it */
    made?: (tool: Tool) => boolean;
    figures?: Readonly<Record<string, Figure>>;
  },
): void {
  const { facts, at } = draft;
  const id = stepId(at, parts.verb, parts.about);
  const tool = needTool(draft, id, parts.kind, parts.words, parts.made);
  const speed = tool && chosenData(facts, id, 'speed', speedFor(at.place, tool, parts.work, Math.max(1, parts.at)));
  const feed = figure('feed', 'feedByHand', { asked: parts.work === 'turn' ? Math.max(0.05, leastFeed(facts.material)) : 0.05 });
  addStep(draft, {
    verb: parts.verb,
    about: parts.about,
    method: parts.method,
    tool,
    says: parts.says,
    because: [parts.why, ...(parts.also ?? [])],
    figures: { speed, feed, ...parts.figures, minutes: byHand(parts.minutes) },
    sweeps: parts.sweeps,
  });
}
