import { practice } from '../../shop';
import { inCut } from '../../cutting';
import type { Job, Shop } from '../../document';
import type { Finding } from '../../finding';
import type { Step } from '../../operations';
import { PLACE, say } from '../../quantity';
import type { Route } from '../route';

/** Edges that are past half of their life when they come to a finishing cut: no worn edge finishes anything. @source worn-tip, common practice */
export function wornTips(job: Job, route: Route, shop: Shop): readonly Finding[] {
  const steps = route.setups.flatMap((s) => s.steps);
  const wearOf = (step: Step) => inCut(step.figures) / Math.max(PLACE, step.figures['life']?.value ?? Infinity);
  const tools = new Map<string, { wear: number; finishes: Step | undefined }>();
  for (const step of steps) {
    if (step.tool === undefined || !step.figures['life']) continue;
    const tool = tools.get(step.tool) ?? { wear: 0, finishes: undefined };
    tool.wear += wearOf(step);
    if (step.gauge !== undefined && (step.figures['passes']?.value ?? 0) > 1) tool.finishes = step;
    tools.set(step.tool, tool);
  }
  return [...tools].flatMap(([id, { wear, finishes }]): readonly Finding[] => {
    // one that does not last a piece is indexed in its route
    if (!finishes || wear > practice.freshShare || wear * job.pieces <= practice.freshShare) return [];
    const pieces = Math.floor(practice.freshShare / wear);
    const name = shop.tools.find((t) => t.id === id)?.name ?? id;
    return [
      {
        code: 'worn-tip',
        about: finishes.id,
        severity: 'note',
        says: say`${name} is past half the life of its edge after ${pieces} ${pieces === 1 ? 'piece' : 'pieces'}`,
        why: say`index or hone it before a finishing cut, not after: a worn edge pushes, and sizes drift`,
        mends: [],
      },
    ];
  });
}
