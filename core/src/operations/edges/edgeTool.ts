import { leastFeed, speedFor } from '../../cutting';
import type { Tool } from '../../document';
import type { Reason } from '../../finding';
import { angle, type Figure, figure, say, type Sentence } from '../../quantity';
import { practice } from '../../shop';
import type { Region } from '../../stock';
import { finishNoseTool } from '../allowance';
import { byHand, chosenData, reason } from '../facts';
import { addStep, type Draft, putOnList, refuseTool, stepId, warn } from '../outcome';

/** What an edge asks of its tool. */
export interface EdgeAsked {
  readonly makes: (tool: Tool) => boolean;
  readonly words: Sentence;
  /** mm: a small one is blended by hand meanwhile */
  readonly size: number;
  /** nothing is put on the list: another way makes it just as well */
  readonly otherwise?: boolean;
}

/**
 * The form tool whose own shape an edge is: what a person chose where it makes it, else the first of the drawer. Where none does it stands on the list; only what is too
 * large for a file is warned of. @source edge-that-makes-it, common practice
 */
export function edgeTool(draft: Draft, id: string, { makes, words, size, otherwise = false }: EdgeAsked): Tool | undefined {
  const { facts } = draft;
  const forms = facts.shop.tools.filter((t) => t.kind === 'form');
  const asked = facts.chosen.use.get(id)?.flatMap((item) => forms.filter((t) => t.id === item))[0];
  if (asked && makes(asked)) return asked;
  if (asked) refuseTool(draft, id, asked, words);
  const tool = forms.find(makes);
  if (tool || otherwise) return tool;
  putOnList(draft, 'form', words, id);
  if (size > practice.filedMost)
    warn(draft, {
      code: 'no-tool',
      about: id,
      severity: 'caution',
      says: say`the shop has no ${words}`,
      why: say`an edge is cut by a tool whose own shape it is; this one is too large to file`,
      mends: [],
    });
  return undefined;
}

/** An edge of the outside as a step: by its form tool, a bevel else by the compound set to its angle. */
export interface EdgeCut extends Omit<EdgeAsked, 'otherwise'> {
  readonly verb: 'chamfer' | 'form';
  readonly about: string;
  readonly says: Sentence;
  readonly because: readonly Reason[];
  /** degrees to the axis, of a bevel */
  readonly degrees?: number;
  /** how it is done where no form tool makes it */
  readonly else?: Sentence;
  /** diameter in cut, mm */
  readonly at: number;
  readonly minutes: number;
  readonly depth?: Figure;
  readonly sweeps: Region;
}

export function cutEdge(draft: Draft, { verb, about, says, because, degrees, at: across, minutes, depth, sweeps, ...asked }: EdgeCut): void {
  const { facts, at } = draft;
  const id = stepId(at, verb, about);
  const slid = degrees !== undefined;
  const form = edgeTool(draft, id, { ...asked, otherwise: slid || asked.else !== undefined });
  const tool = form ?? (slid || asked.else !== undefined ? finishNoseTool(facts, id) : undefined);
  const otherwise = form
    ? undefined
    : slid
      ? say`no tool of ${angle(degrees)} here: the compound set to ${angle(degrees)} and fed by its own handle`
      : asked.else;
  addStep(draft, {
    verb,
    about,
    ...(!form && (slid ? { method: 'compound' } : asked.else !== undefined ? { method: 'hands' } : {})),
    tool,
    says,
    because: [...because, ...(otherwise ? [reason('edge-that-makes-it', otherwise, about)] : [])],
    figures: {
      speed: tool && chosenData(facts, id, 'speed', speedFor(at.place, tool, form ? 'form' : 'turn', Math.max(1, across))),
      feed: figure('feed', 'feedByHand', { asked: form ? 0.05 : Math.max(0.05, leastFeed(facts.material)) }),
      depth,
      minutes: byHand(minutes + (slid && !form ? practice.minutesSlideSet : 0)),
    },
    sweeps,
  });
}
