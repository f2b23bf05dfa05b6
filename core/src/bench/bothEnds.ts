import { coldBy, practice } from '../shop';
import type { Entry, Gauge } from '../document';
import { faceOf, type Feature, innerOf, type Limits, mouthOf, type Part } from '../drawing';
import type { Reason } from '../finding';
import type { Step } from '../operations';
import { figure, isZero, length, parseLength, say, tidy } from '../quantity';
import { type End, rowOf } from '../ref';
import type { Setup } from '../settings';
import { type Advice, type AdviseWith, adviseWith, beliefOf, sizeAfter, sizingWith, stood } from '../sizing';

/** Where a slender row is measured: how far each place lies from the zero face of its setup, mm. */
export interface Ends {
  readonly free: number;
  readonly held: number;
}

/** The two places of a row that is brought to size at both ends of the cut. @source both-ends, common practice */
export function endsOf(step: Step, part: Part, setup: Pick<Setup, 'end'> | undefined): Ends | undefined {
  const row = part.features.find((f) => f.id === rowOf(step.id));
  if (step.verb !== 'finish-turn' || !row || !setup?.end || !step.because.some((r) => r.rule === 'both-ends')) return undefined;
  const long = Math.abs(row.near - row.far);
  const { max, min, nominal } = row.nearDiameter;
  if (long <= practice.bothEndsFrom * nominal && 2 * (step.figures['spring']?.value ?? 0) <= practice.givesMuch * (max - min)) return undefined;
  return placesOf(row, part, setup.end);
}

/** Where a row is measured near its two edges, from the zero face of the end that is worked. */
export function placesOf(row: Feature, part: Part, end: End): Ends {
  const face = faceOf(part, end);
  const inset = Math.min(practice.inset, Math.abs(row.near - row.far) / 4);
  return { free: tidy(Math.abs(mouthOf(row, end) - face) + inset), held: tidy(Math.abs(innerOf(row, end) - face) - inset) };
}

/** Ends farther apart than this are asked about; two readings this near say the same, mm. @source judgement */
const APART = 0.3;
const AGREE = 0.05;

type Reading = Extract<Entry, { kind: 'reading' }>;

/** Which end a reading is of: the nearer one; the free end where nothing is said. */
export function endRead({ along }: Pick<Reading, 'along'>, { free, held }: Ends): keyof Ends {
  const at = along ? parseLength(along.text, along.units) : undefined;
  return at?.ok === true && Math.abs(at.value - held) < Math.abs(at.value - free) ? 'held' : 'free';
}

export interface AtEnds {
  /** cuts, and the size at the free end: where only the held end was read, as it then must be */
  readonly free: readonly Entry[];
  /** cuts, and the size at the held end */
  readonly held: readonly Entry[];
  /** by how much the held end is larger, mm; nothing before both were read after the same cut */
  readonly differ: number | undefined;
  /** both were read since the last cut */
  readonly both: boolean;
  /** they are so far apart that one may have been read wrong; read twice it is believed */
  readonly doubtful: boolean;
}

/** The log of a row as two sizes that the same cuts make. */
export function atBothEnds(entries: readonly Entry[], ends: Ends, alpha: number, gauges: readonly Gauge[]): AtEnds {
  let [free, held, differ]: (number | undefined)[] = [];
  let twice = false;
  const own: { readonly free: Entry[]; readonly held: Entry[] } = { free: [], held: [] };
  for (const entry of entries) {
    if (entry.kind === 'cut') [free, held, twice] = [undefined, undefined, false];
    const size = entry.kind === 'reading' ? coldOf(entry, alpha, gauges) : undefined;
    if (entry.kind !== 'reading' || size === undefined) {
      own.free.push(entry);
      own.held.push(entry);
      continue;
    }
    const end = endRead(entry, ends);
    own[end].push(entry);
    if (end === 'free') free = size;
    else {
      twice = held !== undefined && Math.abs(size - held) < AGREE;
      held = size;
      if (free === undefined) own.free.push({ ...entry, value: { text: String(tidy(size - (differ ?? 0))), units: 'mm' }, celsius: 20 });
    }
    if (free !== undefined && held !== undefined) differ = tidy(held - free);
  }
  return { ...own, differ, both: free !== undefined && held !== undefined, doubtful: Math.abs(differ ?? 0) > APART && !twice };
}

/** Limits of the free end, so that the held one, larger by so much, lies in its own; none where no size does. */
export function narrowedLimits(wanted: Limits, differ: number): Limits | undefined {
  const [max, min] = [wanted.max - Math.max(0, differ), wanted.min - Math.min(0, differ)];
  return max > min ? { ...wanted, max: tidy(max), min: tidy(min), nominal: tidy((max + min) / 2) } : undefined;
}

/** What is advised where one cut makes two sizes: each end is foretold by what it gave way before, and the free one aimed so that both lie in their limits. */
export function adviseBothEnds(wanted: Limits, at: AtEnds, ends: Ends, known: AdviseWith, apart: number | undefined): Advice {
  const lastCut = at.free.findLast((e) => e.kind === 'cut');
  // a honed edge rubs at the same setting
  const again = known.keen === true && !(lastCut !== undefined && isZero(lastCut.dial.text));
  const now = adviseWith(narrowedLimits(wanted, at.differ ?? 0) ?? wanted, at.free, known);
  if (at.differ === undefined || !now.dial || now.dial.value === 0) return stood(seenAtBothEnds(now, wanted, at, ends, apart, again));
  const sizing = sizingWith(wanted, at.free, known);
  const [free, held] = [beliefOf(sizing), beliefOf(sizingWith(wanted, at.held, known))];
  const by = now.dial.value * sizing.takes;
  const after = sizeAfter(held, by).mean - sizeAfter(free, by).mean;
  const limits = narrowedLimits(wanted, after);
  return stood(
    seenAtBothEnds(limits ? adviseWith(limits, at.free, known) : now, wanted, limits ? { ...at, differ: tidy(after) } : at, ends, apart, again),
  );
}

function coldOf(reading: Reading, alpha: number, gauges: readonly Gauge[]): number | undefined {
  const read = parseLength(reading.value.text, reading.value.units);
  const by = gauges.find((g) => g.id === reading.gauge);
  return read.ok ? coldBy(read.value, reading, by, alpha) : undefined;
}

const reason = (says: Reason['says']): Reason => ({ rule: 'both-ends', says, binds: [] });

/** Far from size the ends may differ by more: lighter cuts level them. In tolerances. @source judgement */
const NEAR = 3;

/**
 * What is advised for the free end, seen for both: the other end is asked for before the last cut and before a size is let go; where the ends differ by more than the
 * tolerance no cut brings both in, and what would is said.
 * @param apart how far the tail centre and the jaws stand apart, mm; nothing without a centre
 * @param again the edge is keen, and the pass was not made again yet
 */
function seenAtBothEnds(
  advice: Advice,
  wanted: Limits,
  { differ, both, doubtful }: AtEnds,
  ends: Ends,
  apart: number | undefined,
  again: boolean,
): Omit<Advice, 'stands'> {
  const tolerance = wanted.max - wanted.min;
  const last = advice.next === 'cut' || advice.next === 'springCut' || advice.next === 'stop' || advice.next === 'changeGauge';
  if (!both)
    return last && advice.cold && advice.chancePast < 0.5
      ? {
          ...without(advice),
          next: 'measure',
          expects: figure(
            'diameter',
            'coldSize',
            { reading: advice.cold.value + (differ ?? 0), alpha: 0, celsius: 20 },
            { step: 0.001, deviation: tolerance / 4 },
          ),
          because: [reason(say`now at the other end of the cut, before the next: a long piece gives way more at its free end`)],
        }
      : advice;
  if (differ === undefined || Math.abs(differ) < 0.0005) return advice;
  if (doubtful)
    return {
      ...without(advice),
      next: 'ask',
      because: [
        { rule: 'reading-cannot-be', says: say`its ends differ by ${length(Math.abs(differ), 0.01)}: is this reading right?`, binds: [] },
        { rule: 'reading-cannot-be', says: say`if it is right, type it again; if not, undo it`, binds: [] },
      ],
    };
  const told = reason(
    say`the ${differ > 0 ? 'held' : 'free'} end is ${length(Math.abs(differ), 0.001)} larger; aimed so that both lie in their limits`,
  );
  const thick = Math.max(0, differ) + (advice.cold?.value ?? Infinity) - wanted.max;
  if (Math.abs(differ) < tolerance || thick > NEAR * tolerance) return { ...advice, because: [told, ...advice.because] };
  const apartBy = reason(
    say`its ends differ by ${length(Math.abs(differ), 0.001)}, the tolerance is ${length(tolerance, 0.001)}: no cut along it brings both in`,
  );
  // what gave way at the free end comes off when the pass is made again
  if (differ < 0 && again && advice.cold && advice.cold.value + differ > wanted.min)
    return {
      ...without(advice),
      next: 'springCut',
      dial: figure('length', 'distance', { value: 0 }, { step: 0.001 }),
      expects: advice.cold,
      because: [apartBy, reason(say`it gave way at its free end: the same pass again at the same setting, then both ends measured`)],
    };
  const over = apart === undefined ? undefined : (Math.abs(differ / 2) * apart) / Math.abs(ends.held - ends.free);
  return {
    ...without(advice),
    next: 'stop',
    chanceIn: 0,
    chanceShort: 1,
    chancePast: 0,
    because: [
      apartBy,
      reason(
        over === undefined
          ? differ < 0
            ? say`a centre or a follow rest; else emery at the free end`
            : say`the head or the bed is not true there: emery at the held end, and the head trued by two collars`
          : say`the tailstock ${length(over, 0.001)} ${differ > 0 ? 'away from' : 'towards'} the tool would; else emery at the ${differ > 0 ? 'held' : 'free'} end`,
      ),
    ],
  };
}

/** Without what only a cut has. */
const without = ({ next, expects, chanceIn, chanceShort, chancePast, because, cold, aim, kind }: Advice): Omit<Advice, 'stands'> => ({
  next,
  expects,
  chanceIn,
  chanceShort,
  chancePast,
  because,
  aim,
  kind,
  ...(cold && { cold }),
});
