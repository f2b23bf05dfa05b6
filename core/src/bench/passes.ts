import type { Entry, Machine } from '../document';
import type { Step } from '../operations';
import type { Plan } from '../planner';
import { figure, type Figure, writeExact } from '../quantity';
import { rowOf } from '../ref';
import type { Bare } from './press';

/* Roughing pass by pass: what the dial shows at each, zeroed where the tool touches, and which of them are taken. */

/** One pass of a roughing cut. */
export interface DialledPass {
  /** on the dial, from where the tool touches what it finds: as the dial reads */
  readonly dial: Figure;
  /** what stands after it; across */
  readonly leaves: Figure;
}

/** Every pass of a step that takes its metal in several, as the cross dial of this lathe shows them; none of other steps. @source pass-by-pass, common practice */
export function passesOf(step: Step, plan: Plan, machine: Machine | undefined): readonly DialledPass[] {
  const { depth, passes, to } = step.figures;
  if (step.verb !== 'rough-turn' || !depth || !passes || !to || passes.value < 1) return [];
  const inside = plan.part.features.some((f) => f.id === rowOf(step.id) && f.side !== 'outside');
  const takes = machine?.dials.cross?.reads === 'diameter' ? 2 : 1;
  const count = Math.min(60, Math.round(passes.value));
  return Array.from({ length: count }, (_, i) => ({
    dial: figure('length', 'dialAtPass', { depth: depth.value, passes: i + 1, reads: takes }, { step: 0.01 }),
    leaves: figure('diameter', 'afterPass', { to: to.value, depth: depth.value, left: count - i - 1, towards: inside ? -1 : 1 }, { step: 0.1 }),
  }));
}

/** How many of them were taken, by what was pressed since the step began. */
export const passesTaken = (live: readonly Entry[]): number => live.filter((e) => e.kind === 'cut').length;

/** What is written down when one is taken. */
export const passTaken = ({ dial }: DialledPass, step: Step, piece: number): Bare => ({
  kind: 'cut',
  axis: 'cross',
  dial: { text: writeExact(dial.value, 'mm'), units: 'mm' },
  piece,
  step: step.id,
});
