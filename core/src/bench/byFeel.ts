import type { Machine, Shop } from '../document';
import type { Step } from '../operations';
import type { Plan } from '../planner';
import { figure, type Figure } from '../quantity';
import { rowOf } from '../ref';
import { mmOf, wayOf } from '../shop';
import { dialShare } from '../sizing';
import { flankHalf, threadLimits } from '../standards';

/** Of a thread that is tried with a ring or a nut: what is cut before it is tried again, in shares of the tolerance of its pitch diameter. @source common practice, a little and try */
const SHARES: Readonly<Record<string, number>> = { 'does not go': 0.5, 'starts, tight': 0.25 };

export interface Further {
  readonly dial: Figure;
  readonly axis: 'cross' | 'compound';
}

/** How much further a thread is cut for what its gauge felt like: along the compound as it is set, or straight in; nothing once it goes. */
export function furtherByFeel(step: Step, plan: Plan, shop: Shop, machine: Machine | undefined, feel: string): Further | undefined {
  const share = SHARES[feel];
  const thread = plan.part.characteristics.find((c) => c.id === `${rowOf(step.id)}.thread`);
  const form = thread?.text === undefined ? undefined : threadLimits(thread.text);
  if (step.verb !== 'thread' || share === undefined || !thread?.pitchDiameter || !form?.ok) return undefined;
  const { max, min } = thread.pitchDiameter;
  const axis = step.figures['depth']?.formula === 'infeedCompound' ? ('compound' as const) : ('cross' as const);
  const dial = machine?.dials[axis];
  const takes = axis === 'compound' ? 2 * Math.cos(((flankHalf(form.family) - 0.5) * Math.PI) / 180) : dial?.reads === 'diameter' ? 1 : 2;
  const settable = mmOf(dial?.readout) || dialShare(wayOf('settable', shop.ways, new Map())) * mmOf(dial?.division, 0.02);
  return {
    axis,
    dial: figure('length', 'furtherByFeel', { share, tolerance: max - min, takes, settable }, { step: settable < 0.009 ? 0.001 : 0.01 }),
  };
}
