import type { Shop } from '../document';
import { letterOf, type Part } from '../drawing';
import type { Step } from '../operations';
import { toolIn } from '../proof';
import { figure, type Figure, say, type Sentence, tidy } from '../quantity';
import type { Setup } from '../settings';
import { mmOf } from '../shop';

/** One way to find where a tool stands along the bed, and how far it is moved from there; mm. */
export interface ZeroWay {
  readonly at: 'level' | 'touched' | 'point' | 'lips' | 'rule';
  readonly says: Sentence;
  readonly move: Figure;
}

export interface Zeros {
  readonly tool: 'blade' | 'drill';
  /** width of a blade, or across a drill */
  readonly wide: number;
  readonly ways: readonly ZeroWay[];
}

/** A rule that is laid between face and point, mm. @source depth-by-quill, common practice */
const RULE = 1;
const blades = new Set<Step['verb']>(['groove', 'part-off', 'neck']);
const drills = new Set<Step['verb']>(['drill', 'pilot']);

/**
 * How a blade or a drill is zeroed for a step: an edge of the blade level with the face or touched on it; a drill by its point, by its lips in a mouth that is chamfered, or
 * over a rule of known thickness. Undefined of other steps.
 * @source tool-width, depth-by-quill; common practice
 */
export function zerosOf(step: Step, setup: Setup, part: Part, kit: Shop): Zeros | undefined {
  const tool = kit.tools.find((t) => t.id === step.tool);
  if (!tool || !setup.end) return undefined;
  const face = say`face ${letterOf(setup.end)}`;
  const move = (value: number) => figure('length', 'distance', { value: tidy(value) }, { step: 0.01 });
  if (blades.has(step.verb)) {
    const wide = mmOf(tool.width);
    const way = toolIn(step, setup, part, tool, undefined)?.motions.find((m) => m.cuts);
    if (!(wide > 0) || !way || tool.kind === 'form') return undefined;
    const along = -way.from[0];
    // out in front of the face there is nothing to come from
    if (!(along > 0)) return undefined;
    return {
      tool: 'blade',
      wide,
      ways: [
        { at: 'level', says: say`its edge towards the tailstock level with ${face}`, move: move(along) },
        { at: 'touched', says: say`its edge towards the headstock touched on ${face}`, move: move(along + wide) },
      ],
    };
  }
  const { depth, point } = step.figures;
  if (!drills.has(step.verb) || !depth || !point) return undefined;
  return {
    tool: 'drill',
    wide: mmOf(tool.size),
    ways: [
      { at: 'point', says: say`its point touched on ${face}`, move: move(point.value) },
      { at: 'lips', says: say`its lips level with ${face}, as where the mouth is chamfered`, move: move(depth.value) },
      { at: 'rule', says: say`its point on a rule of ${{ is: 'length', value: RULE, step: 0.1 }} laid on ${face}`, move: move(point.value + RULE) },
    ],
  };
}
