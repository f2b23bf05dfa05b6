import type { Machine } from '../document';
import { figure, type Figure } from '../quantity';
import type { Advice } from './types';

/**
 * On a lathe with a readout nothing is counted: its axis is set to the size that was measured, and the cut is taken where it shows the next one. Undefined without a readout, or
 * where no cut is advised.
 * @source readout preset, common practice
 */
export function presetOf(
  advice: Pick<Advice, 'cold' | 'dial'>,
  machine: Machine | undefined,
  axis: keyof Machine['dials'],
  takes: number,
): { readonly set: Figure; readonly cut: Figure } | undefined {
  if (!machine?.dials[axis]?.readout || !advice.cold || !advice.dial) return undefined;
  const size = advice.cold.value;
  return {
    set: figure('length', 'readoutSet', { size }, { step: 0.001 }),
    cut: figure('length', 'readoutCut', { size, dial: advice.dial.value, takes }, { step: 0.001 }),
  };
}
