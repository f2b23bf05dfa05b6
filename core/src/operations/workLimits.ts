import { practice } from '../shop';
import { type Feature, type Limits } from '../drawing';
import type { Reason } from '../finding';
import { length, parseLength, say, tidy } from '../quantity';
import { type Facts, reason, wayChosen } from './facts';

/* What turning leaves for what follows it: plating, emery, the wheel. */

/** A row whose size is finished with emery in this shop. */
export const emeried = (facts: Facts, row: Feature): boolean =>
  wayChosen(facts, 'emery') === 'leave' &&
  !ground(facts, row) &&
  row.side === 'outside' &&
  row.form === 'cylinder' &&
  row.nearDiameter.from !== 'general' &&
  row.nearDiameter.max - row.nearDiameter.min <= practice.emeriedTo;

/** A row that is hardened and finer than quenching leaves it: ground afterwards. */
export const ground = (facts: Facts, row: Feature): boolean =>
  facts.job.drawing.treatment.some((t) => t.kind === 'harden') &&
  row.form === 'cylinder' &&
  row.nearDiameter.from !== 'general' &&
  row.nearDiameter.max - row.nearDiameter.min <= practice.emeriedTo;

/** What is left on a row for grinding, on diameter; less than the size in a bore. */
export const forGrinding = ({ part }: Facts, row: Feature): number =>
  (row.side === 'outside' ? 1 : -1) *
  (part.length > practice.grindingSlenderFrom * row.nearDiameter.nominal ? practice.grindingLeftSlender : practice.grindingLeft);

/** Metal that plating adds to a size, on diameter: off an outside, into a bore. */
export function platedBy(facts: Facts, row: Feature): number {
  const plate = facts.job.drawing.treatment.find((t) => t.kind === 'plate');
  const read = plate && parseLength(plate.value.text, plate.value.units);
  const side = read?.ok && read.value <= practice.thickestPlating ? read.value : 0;
  return (row.side === 'outside' ? -2 : 2) * side;
}

export const shiftedBy = (limits: Limits, by: number): Limits =>
  by === 0 ? limits : { ...limits, nominal: tidy(limits.nominal + by), max: tidy(limits.max + by), min: tidy(limits.min + by) };

/** The limits that turning works to: those of the drawing less what plating adds, and with what emery takes off; and why. */
export function workLimits(facts: Facts, row: Feature): { readonly limits: Limits; readonly because: readonly Reason[] } {
  const limits = row.nearDiameter;
  if (limits.from === 'general') return { limits, because: [] };
  const plated = platedBy(facts, row);
  const side = Math.abs(plated) / 2;
  const emery = emeried(facts, row) ? practice.emeryLeft : 0;
  const wheel = ground(facts, row) ? forGrinding(facts, row) : 0;
  return {
    limits: shiftedBy(limits, tidy(plated + emery + wheel)),
    because: [
      ...(side > 0 ? [reason('finish', say`${length(2 * side, 0.001)} on diameter is left for plating, ${length(side, 0.001)} a side`, row.id)] : []),
      ...(wheel !== 0 ? [reason('harden-last', say`${length(Math.abs(wheel), 0.01)} on diameter is left for grinding once it is hard`, row.id)] : []),
      ...(emery > 0 ? [reason('emery-allowance', say`${length(emery, 0.001)} is left on for emery, as this shop does`, row.id)] : []),
    ],
  };
}
