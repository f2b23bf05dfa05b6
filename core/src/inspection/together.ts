import type { Characteristic, Part } from '../drawing';
import { figure, type Figure } from '../quantity';
import type { Verdict } from './inspect';

/** One size over all pieces of a job. */
export interface Together {
  readonly size: Characteristic;
  /** how many pieces are to be measured, and how many were */
  readonly wanted: number;
  readonly measured: number;
  readonly out: number;
  /** the readings in the order of the pieces: cold, mm */
  readonly run: readonly { readonly piece: number; readonly value: number; readonly says: Verdict['says'] }[];
  readonly mean?: Figure;
  /** one standard deviation */
  readonly spread?: Figure;
  /** to the nearer limit in three deviations, and what it is at least in 19 of 20; only of enough pieces */
  readonly capability?: { readonly is: Figure; readonly least: Figure };
}

/** From how many pieces a mean and a spread say something, and from how many a capability does. @source common practice: a capability of few pieces is a guess */
const [SPREAD_FROM, CAPABLE_FROM] = [3, 10];
/** Less than this is binary dust, no spread, mm. */
const DUST = 1e-5;
/** Of an ordinary size of a batch each so many are measured, and the first and the last. @source judgement */
const EACH = 5;

/** Which pieces of a batch are measured for a size: all for a critical one; of an ordinary one the first, each fifth and the last; of a plain one the first and the last. */
export function sampleOf({ care, limits }: Pick<Characteristic, 'care' | 'limits'>, pieces: number): readonly number[] {
  const all = Array.from({ length: pieces }, (_, i) => i + 1);
  if (care === 'byEye') return [];
  if (care === 'critical') return all;
  return all.filter((p) => p === 1 || p === pieces || (limits?.from !== 'general' && p % EACH === 0));
}

/** Each size that has limits over all pieces: how many are measured, mean, spread, and whether the way it was made holds it. @param scrapped pieces that are given up and count no more */
export function togetherOf(part: Part, verdicts: readonly Verdict[], pieces: number, scrapped: ReadonlySet<number>): readonly Together[] {
  return part.characteristics.flatMap((size): Together[] => {
    const { limits } = size;
    if (!limits) return [];
    const run = verdicts
      .filter((v) => v.of === size.id && !scrapped.has(v.piece))
      .toSorted((a, b) => a.piece - b.piece)
      .map(({ piece, value, says }) => ({ piece, value: value.value, says }));
    const values = run.map((r) => r.value);
    const step = limits.max - limits.min < 0.2 ? 0.0001 : 0.001;
    const mean = values.length >= SPREAD_FROM ? figure('length', 'meanOf', { values }, { step }) : undefined;
    const spread = mean && figure('length', 'spreadOf', { values }, { step });
    const enough = mean && spread && values.length >= CAPABLE_FROM && spread.value > DUST;
    const is = enough
      ? figure('ratio', 'capability', { mean: mean.value, spread: spread.value, max: limits.max, min: limits.min }, { step: 0.01 })
      : undefined;
    return [
      {
        size,
        wanted: sampleOf(size, pieces).filter((p) => !scrapped.has(p)).length,
        measured: run.length,
        out: run.filter((r) => r.says === 'over' || r.says === 'under').length,
        run,
        ...(mean && { mean }),
        ...(spread && { spread }),
        ...(is &&
          is.value > 0 && {
            capability: { is, least: figure('ratio', 'capabilityLeast', { capability: is.value, n: values.length }, { step: 0.01 }) },
          }),
      },
    ];
  });
}
