import { practice } from '../shop';
import { normalBelow, ROUNDING } from '../quantity';

/*
 * What the size really is, and what the next cut will make of it. Hidden are the size as it is (cold), where the edge stands, the bias of the gauge that all its
 * readings share, the drift of the edge; exactly filtered (Kalman) for each of a grid of springs, the springs weighed by how well they foretold what was read.
 * All in mm on diameter.
 */

/** What happened: a reading brought to 20 C with the doubt of that, or a cut by so much off the diameter as dialled. */
export type Happened =
  /** `near`: within this the next reading of the same surface is the same */
  { readonly kind: 'read'; readonly size: number; readonly doubt: number; readonly near: number } | { readonly kind: 'cut'; readonly by: number };

export interface Priors {
  /** spring of work and tool: what a size stands over by for each mm taken; its middle, and the factor of one deviation */
  readonly spring: number;
  readonly factor: number;
  /** of the gauge, one deviation: shared by all its readings, and of each */
  readonly bias: number;
  readonly repeat: number;
  /** how truly a dial is set and followed, one deviation */
  readonly setting: number;
  /** what of the backlash a hand leaves in where it turns back and comes to a setting again, one deviation */
  readonly reversal: number;
  /** how unevenly an edge cuts, one deviation, and how far it draws back in a cut */
  readonly uneven: number;
  readonly drift: number;
  /** least depth that is a cut and no rubbing, on radius */
  readonly least: number;
  /** what the cut before the first reading took off, its middle and one deviation */
  readonly before: readonly [number, number];
}

/** Size, edge, bias, drift. */
type Vector = readonly number[];
type Matrix = readonly Vector[];
const [SIZE, EDGE, BIAS, DRIFT] = [0, 1, 2, 3] as const;

const entry = (m: Matrix, r: number, c: number): number => m[r]?.[c] ?? 0;
const times = (a: Matrix, b: Matrix): Matrix => a.map((row) => row.map((_, c) => row.reduce((sum, v, k) => sum + v * entry(b, k, c), 0)));
const turned = (a: Matrix): Matrix => a.map((row, r) => row.map((_, c) => entry(a, c, r)));

interface Filtered {
  readonly spring: number;
  readonly weight: number;
  readonly mean: Vector;
  readonly spread: Matrix;
}

export interface Belief {
  readonly priors: Priors;
  readonly grid: readonly Filtered[];
}

/** Springs of the grid. */
const SPRINGS = 33;
/** The grid reaches so many deviations to either side. */
const REACH = 2.6;
/** Before the first reading the size is anything, mm. */
const ANYTHING = 50;

export function prior(priors: Priors, likely: number): Belief {
  const grid = Array.from({ length: SPRINGS }, (_, i): Filtered => {
    const t = -REACH + (2 * REACH * i) / (SPRINGS - 1);
    const spring = priors.spring * priors.factor ** t;
    const [before, spread] = priors.before;
    const v = ANYTHING ** 2;
    return {
      spring,
      weight: Math.exp(-(t * t) / 2),
      // the edge stands under the size by what gave way in the cut before
      mean: [likely, likely - spring * before, 0, 0],
      spread: [
        [v, v, 0, 0],
        [v, v + (spring * spread) ** 2, 0, 0],
        [0, 0, priors.bias ** 2, 0],
        [0, 0, 0, priors.drift ** 2],
      ],
    };
  });
  return { priors, grid: levelWeights(grid) };
}

/** A reading further off what was foretold than this, in deviations: something happened that nobody wrote down. @source judgement */
const BROKEN = 5;

/**
 * What is believed after all that happened, in order. A reading that nothing foretold (a slip of the dial, a wrong reading put right by the next) is not averaged with
 * what was believed: from there it begins anew.
 */
export const believed = (priors: Priors, likely: number, events: readonly Happened[]): Belief =>
  events.reduce(
    (belief, event, i) => {
      if (event.kind === 'cut') return afterCut(belief, event.by);
      const { mean, deviation } = reads(belief, event.doubt);
      // put right by the next one, a slip of the hand is forgotten
      const after = events[i + 1];
      const broken = Math.abs(event.size - mean) > BROKEN * deviation;
      if (broken && after?.kind === 'read' && Math.abs(after.size - event.size) > event.near) return belief;
      const from = broken ? prior(priors, event.size) : belief;
      return afterReading(from, event.size, event.doubt);
    },
    prior(priors, likely),
  );

/** What the gauge in hand is to show now; `doubt` is what warmth leaves open, mm. */
export const readsNow = (belief: Belief, doubt: number): Forecast => reads(belief, doubt);

/** What a gauge is expected to show. */
const reads = ({ priors, grid }: Belief, doubt: number): Forecast =>
  mixtureOf(
    grid.map((f) => ({
      weight: f.weight,
      mean: (f.mean[SIZE] ?? 0) + (f.mean[BIAS] ?? 0),
      variance: entry(f.spread, SIZE, SIZE) + 2 * entry(f.spread, SIZE, BIAS) + entry(f.spread, BIAS, BIAS) + priors.repeat ** 2 + doubt ** 2,
    })),
  );

const levelWeights = (grid: readonly Filtered[]): readonly Filtered[] => {
  const sum = grid.reduce((s, f) => s + f.weight, 0);
  return grid.map((f) => ({ ...f, weight: sum > 0 ? f.weight / sum : 1 / grid.length }));
};

export function afterReading({ priors, grid }: Belief, size: number, doubt: number): Belief {
  const noise = priors.repeat ** 2 + doubt ** 2;
  const logs = grid.map((f) => {
    const expected = (f.mean[SIZE] ?? 0) + (f.mean[BIAS] ?? 0);
    const spread = entry(f.spread, SIZE, SIZE) + 2 * entry(f.spread, SIZE, BIAS) + entry(f.spread, BIAS, BIAS) + noise;
    return { expected, spread, log: -0.5 * (Math.log(spread) + (size - expected) ** 2 / spread) };
  });
  const most = Math.max(...logs.map((l) => l.log));
  const next = grid.map((f, i): Filtered => {
    const { expected, spread, log } = logs[i] ?? { expected: 0, spread: 1, log: 0 };
    const seen = f.mean.map((_, k) => entry(f.spread, SIZE, k) + entry(f.spread, BIAS, k));
    const off = size - expected;
    return {
      spring: f.spring,
      weight: f.weight * Math.exp(log - most),
      mean: f.mean.map((m, k) => m + ((seen[k] ?? 0) / spread) * off),
      spread: f.spread.map((row, r) => row.map((v, c) => v - ((seen[r] ?? 0) / spread) * (seen[c] ?? 0))),
    };
  });
  return { priors, grid: levelWeights(next) };
}

export const afterCut = ({ priors, grid }: Belief, by: number): Belief => ({ priors, grid: grid.map((f) => cutIn(priors, f, by)) });

/** Of the thinnest chip so much stays on in the mean, and so unsure is it, as shares. @source least-depth, judgement */
const LIGHT = 0.35;

/** The edge moves in; the size follows it but for what gives way: size' = (edge' + spring size) / (1 + spring). */
function cutIn(priors: Priors, f: Filtered, by: number): Filtered {
  const s = f.spring;
  const [size = 0, edge = 0, bias = 0, drift = 0] = f.mean;
  const moved = edge - by + drift;
  // an edge drawn back clear of the work takes nothing
  const clear = moved >= size;
  const whole = clear ? 0 : size - (moved + s * size) / (1 + s);
  // under its least chip an edge rubs or digs: what comes off is anything between nothing and a little more, and less in the mean
  const thin = whole > 0 && whole / 2 < priors.least ? 1 - whole / 2 / priors.least : 0;
  const off = whole * (1 - practice.staysOn * thin);
  const now = size - off;
  const light = LIGHT * whole * thin;
  const uneven = clear ? 0 : priors.uneven ** 2 + light ** 2;
  const setting = priors.setting ** 2 + (by < 0 ? priors.reversal ** 2 : 0);
  const k = clear ? 0 : 1 / (1 + s);
  // rows of the step: what the new state takes of the old
  const step: Matrix = [
    [1 - k, k, 0, k],
    [0, 1, 0, 1],
    [0, 0, 1, 0],
    [0, 0, 0, 1],
  ];
  // the setting of the dial moves the edge, and the size with it
  const added: Matrix = [
    [setting * k * k + uneven, setting * k, 0, 0],
    [setting * k, setting, 0, 0],
    [0, 0, 0, 0],
    [0, 0, 0, 0],
  ];
  const spread = times(times(step, f.spread), turned(step)).map((row, r) => row.map((v, c) => v + entry(added, r, c)));
  return { spring: s, weight: f.weight, mean: [now, moved, bias, drift], spread };
}

/** A mixture of normal distributions. */
export interface Forecast {
  readonly mean: number;
  readonly deviation: number;
  readonly below: (x: number) => number;
  /** the value that it lies under with this chance */
  readonly quantile: (chance: number) => number;
}

function mixtureOf(parts: readonly { readonly weight: number; readonly mean: number; readonly variance: number }[]): Forecast {
  const mean = parts.reduce((s, p) => s + p.weight * p.mean, 0);
  const variance = parts.reduce((s, p) => s + p.weight * (p.variance + (p.mean - mean) ** 2), 0);
  const deviation = Math.sqrt(Math.max(0, variance));
  const below = (x: number) => parts.reduce((s, p) => s + p.weight * normalBelow(x, p.mean, Math.sqrt(Math.max(0, p.variance))), 0);
  const quantile = (chance: number) => {
    let [low, high] = [mean - 8 * deviation - ROUNDING, mean + 8 * deviation + ROUNDING];
    for (let i = 0; i < 60; i++) {
      const middle = (low + high) / 2;
      if (below(middle) < chance) low = middle;
      else high = middle;
    }
    return (low + high) / 2;
  };
  return { mean, deviation, below, quantile };
}

/**
 * What the size is now, cold.
 * @example sizeNow(beliefOf(sizingWith({ nominal: 25, max: 25, min: 24.987, from: 'class' }, [{ id: 'a', kind: 'reading', of: 's1.diameter', at: '2026-11-02T08:00:00Z', by: 'me', piece: 1, value: { text: '25.626', units: 'mm' }, gauge: 'mic-25-50' }], { material: 'mild-steel' }))).below(25.7) > 0.99 // true
 */
export const sizeNow = ({ grid }: Belief): Forecast =>
  mixtureOf(grid.map((f) => ({ weight: f.weight, mean: f.mean[SIZE] ?? 0, variance: entry(f.spread, SIZE, SIZE) })));

/**
 * What it will be after a cut by so much as dialled, on diameter.
 * @example sizeAfter(beliefOf(sizingWith({ nominal: 25, max: 25, min: 24.987, from: 'class' }, [{ id: 'a', kind: 'reading', of: 's1.diameter', at: '2026-11-02T08:00:00Z', by: 'me', piece: 1, value: { text: '25.626', units: 'mm' }, gauge: 'mic-25-50' }], { machine: midShop().machines[0], material: 'mild-steel', nose: 0.4 })), 0.2).mean < 25.5 // true
 */
export const sizeAfter = (belief: Belief, by: number): Forecast => sizeNow(afterCut(belief, by));

/** What of a dialled cut comes off, and what the spring of the last cut gives back: size after = size now - by x share - back. */
export function comesOff({ grid }: Belief): { readonly share: number; readonly back: number; readonly spring: number } {
  let [share, back, spring] = [0, 0, 0];
  for (const f of grid) {
    const k = 1 / (1 + f.spring);
    share += f.weight * k;
    back += f.weight * k * ((f.mean[SIZE] ?? 0) - (f.mean[EDGE] ?? 0) - (f.mean[DRIFT] ?? 0));
    spring += f.weight * f.spring;
  }
  return { share, back, spring };
}
