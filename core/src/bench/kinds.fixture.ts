import type { Limits } from '../drawing';
import { randomFrom, simulated, type SimulatedLathe } from '../lathe';
import { practice } from '../shop';
import { type Event, sizeAdvice, type Sizing } from '../sizing';
import { outside, transposed, type Trial } from '../sizing/trials.fixture';
import type { fitFeels } from './byFeel';
import { fitByFeel } from './byFeel';

/* The advice on each kind of size, on lathes of another make than the estimator's: plain sizes by the dial, lengths, depths, bores, threads over wires, fits by trial. */

export const strata = ['class', 'plain', 'bore', 'length', 'depth', 'thread', 'trial fit'] as const;
export type Stratum = (typeof strata)[number];

/** Two cosines of half the angle that the compound is swung by, 29.5 degrees. */
const ALONG_FLANK = 2 * Math.cos((29.5 * Math.PI) / 180);
/** Share of the readings that a hand types with two digits changed about. @source judgement */
const SLIPS = 0.01;
const MOST = 40;
const BETWEEN = 4;

/** A lathe of the other make, its gauge and dial such that they can, set to work on this kind of size. */
export function ofKind(seed: number, kind: Stratum): Trial {
  const random = randomFrom(seed * 613 + kind.length);
  let own = outside(seed);
  for (let next = seed; !own.able || own.of.gauge === 'caliper'; next += 1009) own = outside(next + 1009);
  const { told } = own;
  const { nominal } = told.wanted;
  const limits = (max: number, min: number, from: Limits['from'] = 'class'): Limits => ({ nominal, max, min, from });
  const lathe = (of: Partial<Parameters<typeof simulated>[0]>): SimulatedLathe =>
    simulated({
      seed: seed * 17 + 3,
      takes: told.takes,
      division: told.division,
      cyclic: 0.001 + 0.002 * random.even(),
      turn: 2 + 4 * random.even(),
      sticks: 0.0015 + 0.03 * told.division * told.takes,
      jumps: [0.06, 0.005],
      pitchError: 0.002 * random.normal(),
      backlash: 0.1,
      spring: (told.spring ?? 0.06) * Math.exp(0.5 * random.normal()),
      power: 0.75 + 0.15 * random.even(),
      leastDepth: 0.03 + 0.08 * random.even(),
      builtUp: 0.001,
      wear: 0.0005 * random.even(),
      warms: 8 * random.even(),
      alpha: told.alpha,
      cools: 20,
      room: 20,
      crests: 0,
      runout: 0.0008,
      gauge: { bias: told.bias, repeat: told.repeat, slips: 0.02 },
      begins: nominal + 1.2 + 0.6 * random.even(),
      ...of,
    });
  switch (kind) {
    case 'plain': {
      // a caliper and the general rule
      const wide = { ...told, wanted: limits(nominal + 0.2, nominal - 0.2, 'general'), bias: 0.012, repeat: 0.012, gaugeProves: true };
      return { ...own, told: wide, lathe: lathe({ gauge: { bias: 0.012, repeat: 0.012, slips: 0.02 } }) };
    }
    case 'bore':
      return {
        ...own,
        told: { ...told, kind: 'bore', wanted: limits(nominal + own.told.wanted.max - own.told.wanted.min, nominal) },
        lathe: mirrored(lathe({ alpha: 0 }), nominal),
      };
    case 'length':
    case 'depth': {
      const half = 0.03 + 0.05 * random.even();
      const grows = kind === 'depth';
      const bed = {
        ...told,
        kind,
        takes: 1,
        axis: 'compound',
        spring: 0.02,
        division: 0.02,
        wanted: limits(nominal + half, nominal - half),
        gaugeProves: true,
      } as const;
      const own2 = lathe({ takes: 1, division: 0.02, spring: 0.02, leastDepth: 0.02, alpha: 0 });
      return { ...own, told: bed, lathe: grows ? mirrored(own2, nominal) : own2 };
    }
    case 'thread':
      return {
        ...own,
        told: {
          ...told,
          kind: 'thread',
          takes: ALONG_FLANK,
          most: practice.threadPass,
          wanted: limits(nominal, nominal - 0.12),
          nose: practice.threadNose,
          gaugeProves: true,
        },
        lathe: lathe({ takes: ALONG_FLANK, leastDepth: 0.02, begins: nominal + 0.6 + 0.2 * random.even() }),
      };
    default:
      return { ...own, lathe: lathe({}) };
  }
}

/** What grows under the cut: the same lathe seen in a mirror at the nominal size. */
const mirrored = (of: SimulatedLathe, nominal: number): SimulatedLathe => ({
  ...of,
  read: (at) => 2 * nominal - of.read(at),
  truth: (at) => 2 * nominal - of.truth(at),
});

export interface KindEnded {
  readonly landed: 'in' | 'short' | 'past';
  readonly cuts: number;
  readonly readings: number;
}

const grows = ({ kind }: Pick<Sizing, 'kind'>): boolean => kind === 'bore' || kind === 'depth';

function ended({ lathe, told }: Trial): KindEnded {
  const size = lathe.truth();
  const [over, under] = [size > told.wanted.max, size < told.wanted.min];
  const past = grows(told) ? over : under;
  return { landed: past ? 'past' : over || under ? 'short' : 'in', cuts: lathe.cuts(), readings: lathe.readings() };
}

/** Follows the advice at a size of this kind to its end; `slips` types some readings wrong, as a hand does. */
export function followKind(seed: number, kind: Stratum, slips = false): KindEnded {
  const one = ofKind(seed, kind);
  return kind === 'trial fit' ? tried(one, seed) : advised(one, seed, kind === 'plain', slips);
}

function advised(one: Trial, seed: number, plain: boolean, slips: boolean): KindEnded {
  const { lathe, told } = one;
  const hand = randomFrom(seed + 211);
  const events: Event[] = [];
  const read = () => {
    const text = lathe.read().toFixed(3);
    const wrong = slips && hand.even() < SLIPS ? transposed(text, Math.floor(hand.even() * 6)) : undefined;
    events.push({
      kind: 'reading',
      size: Number(wrong ?? text),
      celsius: told.kind === undefined || told.kind === 'thread' ? lathe.thermometer() : 20,
      text: wrong ?? text,
      units: 'mm',
    });
  };
  lathe.cut((0.2 * Math.exp(0.3 * hand.normal())) / told.takes);
  read();
  for (let i = 0; i < MOST; i++) {
    const advice = sizeAdvice({ ...told, events });
    if (plain && advice.next === 'measure' && advice.cold && advice.chanceIn >= practice.atOnce) return ended(one);
    if (advice.next === 'ask' || advice.next === 'measure' || advice.next === 'wait') {
      if (advice.next === 'wait') lathe.wait(30);
      read();
      continue;
    }
    if (!advice.dial || advice.next === 'stop' || advice.next === 'changeGauge') return ended(one);
    lathe.cut(advice.dial.value, advice.dial.value < 0 ? 0.01 * Math.abs(hand.normal()) : 0);
    events.push({ kind: 'cut', dial: advice.dial.value });
    lathe.wait(BETWEEN);
    if (!plain) read();
  }
  return ended(one);
}

/** How a pin feels in a hole that stands so much over it, mm on diameter. @source slip, creep-to-fit; common practice */
function feels(clearance: number): (typeof fitFeels)[number] {
  if (clearance > 0.035) return 'falls in';
  if (clearance > 0.004) return 'slides';
  if (clearance > 0) return 'wants a push';
  if (clearance > -0.006) return 'wants a press';
  return clearance > -0.014 ? 'enters its lead-in' : 'does not enter';
}

/** A pin crept into its hole: stopped well over, measured, then by feel; half of what is left each time, emery at the last. */
function tried(one: Trial, seed: number): KindEnded {
  const { lathe, told } = one;
  const hand = randomFrom(seed + 307);
  // nobody knows the hole better than its own gauge
  const hole = told.wanted.nominal + 0.01 * hand.normal();
  const aim = told.wanted.nominal - 0.015;
  let emeried = 0;
  let left: number | undefined;
  const size = () => lathe.truth() - emeried;
  // emery takes its time
  for (let i = 0; i < 3 * MOST; i++) {
    const feel = feels(hole - size());
    if (feel === 'slides') return { landed: 'in', cuts: lathe.cuts(), readings: lathe.readings() };
    if (feel === 'falls in') return { landed: 'past', cuts: lathe.cuts(), readings: lathe.readings() };
    // with a keen edge: a honed one goes to emery sooner
    const answer = fitByFeel(feel, 'trial: slides', { inside: false, left, least: 0.02, takes: told.takes, settable: told.division / 2 });
    if (answer?.dial) {
      lathe.cut(answer.dial.value);
      lathe.wait(BETWEEN);
      left = undefined;
    } else if (left === undefined && feel === 'does not enter') left = lathe.read() - emeried - aim;
    else {
      // a strip of 320 over the whole fit: a few thousandths, and measured between
      emeried += Math.abs(0.004 + 0.001 * hand.normal());
      left = undefined;
    }
  }
  return { landed: 'short', cuts: lathe.cuts(), readings: lathe.readings() };
}
