import { alike, exceeds, PLACE } from '../quantity';
import type { Entry, Gauge, Machine, Shop } from '../document';
import { faceOf, innerOf, type Limits, mouthOf, type Part } from '../drawing';
import type { Step } from '../operations';
import { rowOf } from '../ref';
import type { Setup } from '../settings';
import { insideGaugeFor } from '../shop';
import { lengthDial } from '../sizing';

/** How far a shoulder or the bottom of a bore lies, where the drawing limits that: brought in along the bed after the diameter. */
export interface Shoulder {
  readonly kind: 'depth';
  readonly limits: Limits;
  readonly of: string;
  readonly axis: keyof Machine['dials'];
}

/** The length of a row that a finishing step leaves with limits of its own: up to a larger row, or to the bottom of its bore. */
export function shoulderOf(step: Step, part: Part, setup: Pick<Setup, 'end'> | undefined, machine: Machine | undefined): Shoulder | undefined {
  const row = part.features.find((f) => f.id === rowOf(step.id));
  const length = part.characteristics.find((c) => c.id === `${row?.id ?? ''}.length`);
  if (!row || !setup?.end || !length?.limits || length.limits.from === 'general' || length.relation !== undefined) return undefined;
  const { end } = setup;
  if (step.verb === 'bore') {
    if (row.side === 'outside' || row.through === true || row.met === true) return undefined;
  } else {
    if (step.verb !== 'finish-turn') return undefined;
    const behind = part.features.find((f) => f.side === 'outside' && f.id !== row.id && alike(mouthOf(f, end), innerOf(row, end)));
    const larger =
      behind !== undefined && exceeds(Math.max(behind.nearDiameter.nominal, behind.farDiameter.nominal), row.nearDiameter.nominal, PLACE);
    if (!larger || alike(innerOf(row, end), faceOf(part, end))) return undefined;
  }
  const { limits } = length;
  return { kind: 'depth', limits, of: length.id, axis: lengthDial(machine, limits.max - limits.min) };
}

/** What belongs to one of the two sizes of a step: its readings, and the cuts by its dial. */
export const ofShoulder = (entries: readonly Entry[], shoulder: Shoulder, own: boolean): readonly Entry[] =>
  entries.filter((e) => {
    if (e.kind === 'reading') return (e.of === shoulder.of) === own;
    return e.kind !== 'cut' || (e.axis === shoulder.axis) === own;
  });

/** The gauge in hand where it measures such a length, else the shop's own for it. */
export function depthGauge(shop: Shop, asked: string | undefined): Gauge | undefined {
  const inHand = shop.gauges.find((g) => g.id === asked);
  return inHand?.kind === 'depth' || inHand?.kind === 'caliper' ? inHand : insideGaugeFor(shop);
}
