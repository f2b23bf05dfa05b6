import { type Entry, type Job, liveEntries } from '../document';
import type { Part } from '../drawing';
import { pushOf, type Step } from '../operations';
import { figure, type Figure, parseLength, REFERENCE } from '../quantity';
import { rowOf, thingOf } from '../ref';
import { coldBy, practice } from '../shop';
import { materialOf, warmestOf } from '../standards';
import { FILLS } from './pastLimit';

/** Two members about to be joined, each as it was measured, and what follows from both. Lengths in mm, cold. */
export interface Joined {
  readonly mate: string;
  /** the row of this part that goes on or in, and whether it is the hole */
  readonly row: string;
  readonly hub: boolean;
  readonly how: 'press' | 'shrink' | 'adhesive';
  /** as last measured: of this piece, and of its mate; undefined while they are not */
  readonly own?: number;
  readonly other?: number;
  /** over one another on diameter; negative is room between them */
  readonly interference?: Figure;
  /** how hot the hub is made, and what it stands */
  readonly heat?: Figure;
  readonly cap?: number;
  /** N, by both as they are */
  readonly force?: number;
  /** it does not hold, or the hub would be too hot: what stands in the way */
  readonly trouble?: 'loose' | 'tooHot' | 'noRoom';
}

/** What a step that joins makes of its two members as measured at the Bench; undefined of other steps. @source both measured before they are joined, common practice; Lame, linear expansion */
export function joinedAt(step: Step, part: Part, job: Job, log: readonly Entry[], piece: number): Joined | undefined {
  if (step.verb !== 'join') return undefined;
  const mate = job.drawing.mates.find((m) => m.id === rowOf(step.id));
  const row = part.features.find((f) => f.id === thingOf(mate?.of ?? ''));
  if (!mate || !row) return undefined;
  const want = mate.want.text.toLowerCase();
  const how = want.includes('shrink') ? 'shrink' : want.includes('press') ? 'press' : 'adhesive';
  const hub = row.side !== 'outside';
  const material = materialOf(part.material);
  const gauges = job.issue?.kit.gauges ?? [];
  const cold = (of: string): number | undefined => {
    const last = liveEntries(log).findLast((e) => e.kind === 'reading' && e.of === of && e.piece === piece);
    const read = last?.kind === 'reading' ? parseLength(last.value.text, last.value.units) : undefined;
    return last?.kind === 'reading' && read?.ok
      ? coldBy(
          read.value,
          last,
          gauges.find((g) => g.id === last.gauge),
          material.alpha,
        )
      : undefined;
  };
  const own = cold(`${row.id}.diameter`);
  const other = cold(mate.id) ?? part.mates[mate.id]?.mate;
  const base: Joined = { mate: mate.id, row: row.id, hub, how, ...(own !== undefined && { own }), ...(other !== undefined && { other }) };
  if (own === undefined || other === undefined) return base;
  const interference = figure('length', 'interferenceMeasured', { shaft: hub ? other : own, hole: hub ? own : other }, { step: 0.001 });
  const tight = interference.value;
  if (how === 'adhesive')
    return {
      ...base,
      interference,
      ...(-tight < FILLS[0] ? { trouble: 'noRoom' as const } : -tight > FILLS[1] ? { trouble: 'loose' as const } : {}),
    };
  if (tight <= 0) return { ...base, interference, trouble: 'loose' };
  if (how === 'shrink') {
    const { alpha } = hub ? material : materialOf('mild-steel');
    const heat = figure(
      'temperature',
      'warmToJoin',
      { room: REFERENCE, interference: tight, gap: practice.handsMargin, d: hub ? own : other, alpha },
      { step: 5 },
    );
    const cap = warmestOf(
      part.material,
      job.drawing.treatment.some((t) => t.kind === 'harden'),
    ).celsius;
    return { ...base, interference, heat, cap, ...(heat.value > cap && { trouble: 'tooHot' as const }) };
  }
  return { ...base, interference, force: pushOf(part, row, { most: tight, size: hub ? own : other, hub }) };
}
