import type { Entry, Machine } from '../document';
import type { Step } from '../operations';
import type { Plan } from '../planner';
import { figure, type Figure, parseLength } from '../quantity';
import { rowOf } from '../ref';

/** A knurl on its way: what it is to be over its crests, and how far the wheel is still to go. */
export interface Grown {
  /** what is measured: 'k1.grown' */
  readonly of: string;
  /** diameters, mm: before the wheel, and over the crests when it is whole */
  readonly blank: number;
  readonly whole: number;
  readonly teeth: number;
  readonly pitch: number;
  /** over the crests as last measured */
  readonly now?: number;
  /** share of its height that has risen, 0 to 1 and over */
  readonly risen?: Figure;
  /** the wheel further in, as the cross dial reads; none where it is whole */
  readonly further?: Figure;
  /** it is whole; past that its crests tear and flake */
  readonly says: 'measure' | 'further' | 'whole' | 'over' | 'not begun';
}

/** Of its height a knurl may lack or exceed so much and be whole. @source judgement: the crests close to a line, and flake beyond it */
const [NEARLY, OVER] = [0.9, 1.15];

/**
 * A knurl by its grown size: the metal rises by as much as the wheel sinks, so what is missing over the crests is what the wheel is still to go in. Undefined of other steps.
 * @source grown size, common practice; volume is kept
 */
export function grownAt(step: Step, plan: Plan, machine: Machine | undefined, live: readonly Entry[]): Grown | undefined {
  const detail = plan.part.details.find((d) => d.id === rowOf(step.id));
  const row = plan.part.features.find((f) => f.id === detail?.on);
  if (step.verb !== 'knurl' || !detail?.diameter || !row || detail.pitch === undefined) return undefined;
  const of = `${detail.id}.grown`;
  const [blank, whole] = [detail.diameter.nominal, row.nearDiameter.nominal];
  const last = live.findLast((e) => e.kind === 'reading' && e.of === of);
  const read = last?.kind === 'reading' ? parseLength(last.value.text, last.value.units) : undefined;
  const base = { of, blank, whole, teeth: detail.count ?? 0, pitch: detail.pitch };
  if (!read?.ok || !(whole > blank)) return { ...base, says: 'measure' };
  const risen = figure('ratio', 'knurlRisen', { now: read.value, blank, whole }, { step: 0.01 });
  if (risen.value <= 0) return { ...base, now: read.value, risen, says: 'not begun' };
  const takes = machine?.dials.cross?.reads === 'diameter' ? 1 : 2;
  const further = figure('length', 'knurlFurther', { now: read.value, whole, takes }, { step: 0.01 });
  const says = risen.value < NEARLY ? 'further' : risen.value > OVER ? 'over' : 'whole';
  return { ...base, now: read.value, risen, ...(says === 'further' && { further }), says };
}
