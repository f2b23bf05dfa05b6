import { type Entry, liveEntries, type Shop } from '../document';
import type { Part } from '../drawing';
import { figure, type Figure, parseLength } from '../quantity';
import { doubtOf } from '../shop';
import { materialOf } from '../standards';

export interface Verdict {
  /** the characteristic, as 's2.diameter' */
  readonly of: string;
  readonly piece: number;
  readonly value: Figure;
  readonly says: 'in' | 'over' | 'under' | 'cannotTell';
}

/**
 * The last reading of each size and piece against its limits, corrected to 20 C. `cannotTell` when the gauge's doubt
 * (two standard deviations) is more than half of the tolerance.
 */
export function inspect(part: Part, shop: Shop, log: readonly Entry[]): readonly Verdict[] {
  const alpha = materialOf(part.material).alpha;
  const verdicts = new Map<string, Verdict>();
  for (const entry of liveEntries(log)) {
    if (entry.kind !== 'reading') continue;
    const limits = part.characteristics.find((c) => c.id === entry.of)?.limits;
    const read = parseLength(entry.value.text, entry.value.units);
    if (!limits || !read.ok) continue;
    const gauge = shop.gauges.find((g) => g.id === entry.gauge);
    const deviation = gauge ? doubtOf(gauge) : 0.003;
    const value = figure('length', 'coldSize', { reading: read.value, alpha, celsius: entry.celsius ?? 20 }, { step: 0.001, deviation });
    const coarse = 2 * deviation > (limits.max - limits.min) / 2;
    // a ten-thousandth of a millimetre is binary dust and rounding of an inch reading, not size
    const says = value.value > limits.max + 1e-4 ? 'over' : value.value < limits.min - 1e-4 ? 'under' : coarse ? 'cannotTell' : 'in';
    verdicts.set(`${entry.of}/${String(entry.piece)}`, { of: entry.of, piece: entry.piece, value, says });
  }
  return [...verdicts.values()];
}
