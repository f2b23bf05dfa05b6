import { practice } from '../shop';
import { type Feature, type Limits, measuredCold, parseWant, reaches, treatedAt } from '../drawing';
import { mateName } from './beside/fitted';
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
  (triedLimits(facts, row) !== undefined ||
    (row.nearDiameter.from !== 'general' && row.nearDiameter.max - row.nearDiameter.min <= practice.emeriedTo));

/** A row that is hardened and finer than quenching leaves it: ground afterwards. */
export const ground = (facts: Facts, row: Feature): boolean =>
  facts.job.drawing.treatment.some((t) => t.kind === 'harden' && reaches(t, row, facts.part)) &&
  row.form === 'cylinder' &&
  row.nearDiameter.from !== 'general' &&
  row.nearDiameter.max - row.nearDiameter.min <= practice.emeriedTo;

/** What is left on a row for grinding, on diameter; less than the size in a bore. */
export const forGrinding = ({ part }: Facts, row: Feature): number =>
  (row.side === 'outside' ? 1 : -1) *
  (part.length > practice.grindingSlenderFrom * row.nearDiameter.nominal ? practice.grindingLeftSlender : practice.grindingLeft);

/** Metal that plating adds to a size, on diameter: off an outside, into a bore. */
export function platedBy(facts: Facts, row: Feature): number {
  const plate = facts.job.drawing.treatment.find((t) => t.kind === 'plate' && reaches(t, row, facts.part));
  const read = plate && parseLength(treatedAt(plate.value).rest, plate.value.units);
  const side = read?.ok && read.value <= practice.thickestPlating ? read.value : 0;
  return (row.side === 'outside' ? -2 : 2) * side;
}

export const shiftedBy = (limits: Limits, by: number): Limits =>
  by === 0 ? limits : { ...limits, nominal: tidy(limits.nominal + by), max: tidy(limits.max + by), min: tidy(limits.min + by) };

/**
 * What a shaft that is fitted by trial to a hole aims at: under the hole as measured, else under its own nominal, by what slides without shake. The feel decides, not the
 * number. @source creep-to-fit, slip; common practice
 */
function triedLimits(facts: Facts, row: Feature): { readonly limits: Limits; readonly because: readonly Reason[] } | undefined {
  if (row.side !== 'outside' || row.form !== 'cylinder' || row.nearDiameter.from !== 'general') return undefined;
  const mate = facts.job.drawing.mates.find((m) => m.of === row.id && parseWant(m.want.text, m.want.units).kind === 'trial');
  if (!mate) return undefined;
  const measured = measuredCold(mate, facts.part.material);
  const hole = measured ?? row.nearDiameter.nominal;
  const name = mateName(mate.piece);
  const limits: Limits = {
    nominal: tidy(hole - (practice.slipLeast + practice.slipMost) / 2),
    max: tidy(hole - practice.slipLeast),
    min: tidy(hole - practice.slipMost),
    from: 'mate',
  };
  return {
    limits,
    because: [
      reason(
        'creep-to-fit',
        measured === undefined
          ? say`tried in ${name}: stopped ${length(practice.creepsFrom)} over, measured, then by feel; where that hole is not ${length(hole)}, its own size less ${length(practice.slipLeast)} to ${length(practice.slipMost)}`
          : say`tried in ${name}, measured ${length(measured, 0.001)}: stopped ${length(practice.creepsFrom)} over, measured, then by feel`,
        row.id,
      ),
      reason(
        'creep-to-fit',
        say`does not enter: half of what is left; enters its lead-in: emery or a keen edge; wants force: never force it, deburr and let it cool; slides without shake: stop, and write the size down`,
        row.id,
      ),
    ],
  };
}

/** The limits that turning works to: those of the drawing less what plating adds, and with what emery takes off; and why. */
export function workLimits(facts: Facts, row: Feature): { readonly limits: Limits; readonly because: readonly Reason[] } {
  const trial = triedLimits(facts, row);
  const limits = trial?.limits ?? row.nearDiameter;
  if (limits.from === 'general') return { limits, because: [] };
  const plated = platedBy(facts, row);
  const side = Math.abs(plated) / 2;
  const emery = emeried(facts, row) ? practice.emeryLeft : 0;
  const wheel = ground(facts, row) ? forGrinding(facts, row) : 0;
  return {
    limits: shiftedBy(limits, tidy(plated + emery + wheel)),
    because: [
      ...(trial ? trial.because : []),
      ...(side > 0 ? [reason('finish', say`${length(2 * side, 0.001)} on diameter is left for plating, ${length(side, 0.001)} a side`, row.id)] : []),
      ...(wheel !== 0 ? [reason('harden-last', say`${length(Math.abs(wheel), 0.01)} on diameter is left for grinding once it is hard`, row.id)] : []),
      ...(emery > 0 ? [reason('emery-allowance', say`${length(emery, 0.001)} is left on for emery, as this shop does`, row.id)] : []),
    ],
  };
}
