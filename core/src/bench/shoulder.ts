import { alike, exceeds, figure, type Figure, PLACE, tidy } from '../quantity';
import type { Entry, Gauge, Machine, Shop } from '../document';
import { faceOf, type Feature, innerOf, type Limits, mouthOf, type Part } from '../drawing';
import type { Step } from '../operations';
import { type End, rowOf } from '../ref';
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
  const found = left(step, part, setup);
  if (!found || found.limits.from === 'general') return undefined;
  const { limits, of } = found;
  return { kind: 'depth', limits, of, axis: lengthDial(machine, limits.max - limits.min) };
}

/** A shoulder, or the bottom of a bore, that the general rule alone limits: it is brought in by the dial along the bed, from the face of its end. */
export interface ByDial {
  readonly of: string;
  readonly end: End;
  /** from that face */
  readonly along: Figure;
  readonly limits: Limits;
}

/** The plain length that a finishing step leaves; undefined where it leaves none, or one with limits of its own. @source plain-sizes-too, common practice */
export function shoulderByDial(step: Step, part: Part, setup: Pick<Setup, 'end'> | undefined): ByDial | undefined {
  const found = left(step, part, setup);
  if (found?.limits.from !== 'general') return undefined;
  const { row, limits, of, end } = found;
  return { of, end, limits, along: figure('length', 'distance', { value: tidy(Math.abs(innerOf(row, end) - faceOf(part, end))) }, { step: 0.01 }) };
}

interface Left {
  readonly row: Feature;
  readonly of: string;
  readonly end: End;
  readonly limits: Limits;
}

function left(step: Step, part: Part, setup: Pick<Setup, 'end'> | undefined): Left | undefined {
  const row = part.features.find((f) => f.id === rowOf(step.id));
  const length = part.characteristics.find((c) => c.id === `${row?.id ?? ''}.length`);
  if (!row || !setup?.end || !length?.limits || length.relation !== undefined) return undefined;
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
  return { row, of: length.id, end, limits: length.limits };
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
