import type { Limits } from '../drawing';
import { randomFrom, simulated, type SimulatedLathe, type Truth } from '../lathe';
import { sizeAdvice } from './advice';
import { beliefOf, type Event, type Sizing } from './belief';
import { sizeAfter } from './estimate';

/* Lathes to try the advice on, drawn from a seed: stout and slender, fine dials and coarse, warm and cool, good gauges and poor; and what whoever sizes is told of each. */

export interface Trial {
  readonly lathe: SimulatedLathe;
  readonly told: Omit<Sizing, 'events'>;
  /** the strata that it belongs to */
  readonly of: { readonly gauge: string; readonly dial: string; readonly stiffness: string; readonly heat: string; readonly grade: string };
  /** the gauge's whole doubt and the smallest dial step are each a quarter of the tolerance at the most */
  readonly able: boolean;
}

const gauges = [
  { name: 'micrometer', bias: 0.001, repeat: 0.0008 },
  { name: 'old micrometer', bias: 0.0025, repeat: 0.002 },
  { name: 'caliper', bias: 0.012, repeat: 0.012 },
] as const;
const grades = [
  { name: 'h6', width: 0.013 },
  { name: 'h8', width: 0.033 },
  { name: 'h10', width: 0.084 },
] as const;
const dials = [
  { name: 'fine', division: 0.005 },
  { name: 'usual', division: 0.02 },
  { name: 'coarse', division: 0.05 },
] as const;
const stiff = [
  { name: 'stout', spring: 0.02 },
  { name: 'usual', spring: 0.07 },
  { name: 'slender', spring: 0.2 },
] as const;
const ALPHA = 11.5;
const BACKLASH = 0.1;

export function trial(seed: number): Trial {
  const random = randomFrom(seed * 7919 + 13);
  const one = <T>(list: readonly T[]): T => list[Math.min(list.length - 1, Math.floor(random.even() * list.length))] as T;
  const [gauge, grade, dial, stiffness] = [one(gauges), one(grades), one(dials), one(stiff)];
  const warm = random.even() < 0.5;
  const takes = random.even() < 0.5 ? 2 : 1;
  const nose = 0.4;
  const nominal = 20 + Math.round(20 * random.even());
  const wanted: Limits = { nominal, max: nominal, min: nominal - grade.width, from: 'class' };
  const truth: Truth = {
    seed,
    takes,
    division: dial.division,
    cyclic: 0.001 * random.even(),
    turn: 4,
    // no slide follows its dial better than that, however finely it is divided
    sticks: Math.hypot(0.04 * dial.division * takes, 0.001 + 0.0015 * random.even()),
    backlash: BACKLASH,
    // the lathe is not quite what the plan takes it for
    spring: stiffness.spring * Math.exp(0.7 * random.normal()),
    leastDepth: 0.04 + 0.08 * random.even(),
    builtUp: 0.0006,
    wear: 0.0003 * random.even(),
    warms: warm ? 12 : 0,
    alpha: ALPHA * (1 + 0.03 * random.normal()),
    cools: 25,
    room: 20,
    crests: 0,
    runout: 0.0005,
    gauge: { bias: gauge.bias, repeat: gauge.repeat, slips: 0.03 },
    begins: nominal + 1.4 + 0.4 * random.even(),
  };
  const step = (dial.division / 2) * takes;
  return {
    lathe: simulated(truth),
    told: {
      wanted,
      takes,
      division: dial.division,
      backlash: BACKLASH,
      alpha: ALPHA,
      bias: gauge.bias,
      repeat: gauge.repeat,
      gaugeProves: 2 * Math.hypot(gauge.bias, gauge.repeat) <= grade.width / 4,
      nose,
      spring: stiffness.spring,
    },
    of: { gauge: gauge.name, dial: dial.name, stiffness: stiffness.name, heat: warm ? 'warm' : 'cool', grade: grade.name },
    able: 2 * Math.hypot(gauge.bias, gauge.repeat) <= grade.width / 4 && step <= grade.width / 4,
  };
}

/** The digits of a reading with a slip of the hand: two neighbours changed about; undefined where they are alike. */
export function transposed(text: string, at: number): string | undefined {
  const places = Array.from(text, (c, i) => (/\d/.test(c) ? [i] : [])).flat();
  const [i, j] = [places[at % (places.length - 1)] ?? 0, places[(at % (places.length - 1)) + 1] ?? 0];
  if (text[i] === text[j]) return undefined;
  const letters = Array.from(text);
  [letters[i], letters[j]] = [text[j] ?? '', text[i] ?? ''];
  return letters.join('');
}

/** Lathes that the estimator was not made on: force not in proportion to depth, screws that are off, slides that stick and jump, take-up, wear, lobes. */
export function outside(seed: number): Trial {
  const random = randomFrom(seed * 104_729 + 71);
  const own = trial(seed);
  const { told } = own;
  const spring = (told.spring ?? 0.06) * Math.exp(0.6 * random.normal());
  const nominal = told.wanted.nominal;
  const warm = own.of.heat === 'warm';
  return {
    ...own,
    lathe: simulated({
      seed: seed * 31 + 5,
      takes: told.takes,
      division: told.division,
      cyclic: 0.001 + 0.002 * random.even(),
      turn: 2 + 4 * random.even(),
      sticks: 0.0015 + 0.03 * told.division * told.takes,
      jumps: [0.08, 0.006],
      pitchError: 0.002 * random.normal(),
      backlash: 0.1,
      spring,
      power: 0.75 + 0.15 * random.even(),
      leastDepth: 0.03 + 0.1 * random.even(),
      builtUp: 0.0012,
      wear: 0.0006 * random.even(),
      warms: warm ? 14 : 1,
      alpha: told.alpha * (1 + 0.05 * random.normal()),
      cools: 18 + 20 * random.even(),
      room: 20,
      crests: 0.0005 * random.even(),
      runout: 0.001,
      gauge: { bias: told.bias, repeat: told.repeat, slips: 0.02 },
      begins: nominal + 1.2 + 0.6 * random.even(),
    }),
  };
}

/** A first light pass makes the surface to measure: about a finishing cut. */
export function firstPass({ lathe, told }: Trial, seed: number): void {
  lathe.cut((0.32 * Math.exp(0.4 * randomFrom(seed + 77).normal())) / told.takes);
}

/** One reading as a hand takes it: with the warmth of the work said to the degree. */
export function reads(lathe: SimulatedLathe): Event {
  return { kind: 'reading', size: lathe.read(), celsius: lathe.thermometer() };
}

/** A forecast beside what came of it. */
export interface Seen {
  /** where the true size lay in the forecast: 0 at its least, 1 at its most */
  readonly at: number;
  /** of the central 90 %, and the same before anything was learnt */
  readonly width: number;
  readonly priorWidth: number;
  readonly of: Trial['of'];
}

export interface Ended {
  readonly landed: 'in' | 'over' | 'past';
  /** how the advice ended */
  readonly said: 'in' | 'changeGauge' | 'other';
  readonly cuts: number;
  readonly readings: number;
}

/** Longer than this nobody goes on. */
const MOST = 40;
/** Minutes between a cut and its reading: wound clear, wiped, lain beside the micrometer. */
const BETWEEN = 4;

/** Follows the advice to its end. */
export function followed(one: Trial, seed: number, seen?: (forecast: Seen) => void, asked?: (events: readonly Event[]) => void): Ended {
  const { lathe, told } = one;
  const hand = randomFrom(seed + 101);
  const events: Event[] = [];
  firstPass(one, seed);
  events.push(reads(lathe));
  for (let i = 0; i < MOST; i++) {
    const advice = sizeAdvice({ ...told, events });
    if (events.at(-1)?.kind === 'reading') asked?.(events);
    if (advice.next === 'ask' || advice.next === 'measure' || advice.next === 'wait') {
      if (advice.next === 'wait') lathe.wait(30);
      events.push(reads(lathe));
      continue;
    }
    const { dial } = advice;
    if (!dial || advice.next === 'stop' || advice.next === 'changeGauge')
      return ending(one, advice.next === 'changeGauge' ? 'changeGauge' : advice.next === 'stop' && advice.chanceIn >= 0.5 ? 'in' : 'other');
    const by = dial.value * told.takes;
    const forecast = sizeAfter(beliefOf({ ...told, events }), by);
    const before = sizeAfter(beliefOf({ ...told, events: events.filter((e) => e.kind === 'reading').slice(-1) }), by);
    // dialled out, a hand does not take all of the backlash out
    lathe.cut(dial.value, dial.value < 0 ? 0.01 * Math.abs(hand.normal()) : 0);
    const central = (of: typeof forecast) => of.quantile(0.95) - of.quantile(0.05);
    seen?.({ at: forecast.below(lathe.truth()), width: central(forecast), priorWidth: central(before), of: one.of });
    events.push({ kind: 'cut', dial: dial.value });
    lathe.wait(BETWEEN);
    events.push(reads(lathe));
  }
  return ending(one, 'other');
}

/** The plain ways: a share of what is left each time, to the middle, in what the dial can show; the last little at once. */
export function plainly(one: Trial, seed: number, share: number): Ended {
  const { lathe, told } = one;
  const settable = told.division / 2;
  firstPass(one, seed);
  for (let i = 0; i < MOST; i++) {
    const read = reads(lathe);
    if (read.kind !== 'reading') break;
    const cold = read.size - read.size * told.alpha * 1e-6 * (read.celsius - 20);
    if (cold <= told.wanted.max) break;
    const left = cold - (told.wanted.max + told.wanted.min) / 2;
    const dial = Math.round((left * (left > 4 * settable * told.takes ? share : 1)) / told.takes / settable) * settable;
    if (!(dial > 0)) break;
    lathe.cut(dial);
    lathe.wait(BETWEEN);
  }
  return ending(one, 'in');
}

function ending({ lathe, told }: Trial, said: Ended['said']): Ended {
  const size = lathe.truth();
  return { landed: size > told.wanted.max ? 'over' : size < told.wanted.min ? 'past' : 'in', said, cuts: lathe.cuts(), readings: lathe.readings() };
}
