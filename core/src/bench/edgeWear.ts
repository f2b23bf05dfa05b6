import { practice } from '../shop';
import { inCut } from '../cutting';
import type { Entry } from '../document';
import type { Step } from '../operations';
import { PLACE, say } from '../quantity';
import type { Advice } from '../sizing';

/** What is written down when an edge is found worn, and what was done about it. */
export const WORN = { symptom: 'worn edge', indexed: 'indexed', kept: 'kept' } as const;

/** Share of its life that one step takes of its edge. */
const shareOf = ({ figures }: Step): number => inCut(figures) / Math.max(PLACE, figures['life']?.value ?? Infinity);

/** Share of its life that the edge of a tool has cut away since it was last indexed, by what was written down as done on all pieces. */
export function edgeUsed(tool: string, steps: ReadonlyMap<string, Step>, live: readonly Entry[]): number {
  let used = 0;
  for (const entry of live) {
    const step = entry.step === null ? undefined : steps.get(entry.step);
    if (step?.tool !== tool) continue;
    if (entry.kind === 'symptom' && entry.symptom === WORN.symptom && entry.remedy === WORN.indexed) used = 0;
    if (entry.kind === 'done') used = step.verb === 'index' ? 0 : used + shareOf(step);
  }
  return used;
}

/**
 * Before the first cut of a size that is measured, an edge that would not last it within half of its life is indexed. Once told, indexed or kept, it is not asked again at
 * that step. @source worn-tip, common practice: index before finishing, not after
 */
export function freshFirst(advice: Advice, step: Step, steps: readonly Step[], live: readonly Entry[], own: readonly Entry[]): Advice {
  if (step.tool === undefined || own.length > 0 || advice.next !== 'measure') return advice;
  const used = edgeUsed(step.tool, new Map(steps.map((s) => [s.id, s])), live);
  if (used === 0 || used + shareOf(step) <= practice.freshShare) return advice;
  return {
    ...advice,
    next: 'indexTip',
    because: [
      {
        rule: 'worn-tip',
        says: say`since it was last indexed it has cut away ${Math.round(100 * used)} % of the life of its edge: a worn one pushes, and the size drifts`,
        binds: [],
      },
      ...advice.because,
    ],
  };
}
