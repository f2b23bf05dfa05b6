import { growth, REFERENCE } from '../quantity';
import { cooledAfter } from './cooling';
import { randomFrom } from './random';

/** A lathe, its work, tool and gauge as they really are: more than whoever sizes on it is told. Lengths in mm on diameter unless said, temperatures in degrees C. */
export interface Truth {
  readonly seed: number;
  /** diameter that one unit of dial takes off: 2 for a radius dial, 1 for a diameter dial */
  readonly takes: number;
  readonly division: number;
  /** cyclic error of the screw: amplitude on diameter, once a turn of so many mm of diameter */
  readonly cyclic: number;
  readonly turn: number;
  /** how unevenly the slide follows the dial, one deviation */
  readonly sticks: number;
  /** lost when the direction is reversed */
  readonly backlash: number;
  /** spring of work and tool together: what the size stands larger by for each mm that a cut takes off */
  readonly spring: number;
  /** thinner than this on radius the edge rubs, or digs in; keen edges have less */
  readonly leastDepth: number;
  /** a built-up edge comes and goes: one deviation */
  readonly builtUp: number;
  /** the edge draws back by so much for each cut */
  readonly wear: number;
  /** one cut warms the work by this for each mm that it takes off, and so much anyway */
  readonly warms: number;
  readonly alpha: number;
  /** minutes in which warmth falls to 1/e */
  readonly cools: number;
  readonly room: number;
  /** a micrometer stands on the crests of the feed */
  readonly crests: number;
  readonly runout: number;
  /** the tail centre stands off the line of the spindle: so much larger the held end comes out */
  readonly taper?: number;
  /** share of the spring that the held end gives way by; all of it where nothing is said */
  readonly heldGives?: number;
  /** the force of a cut goes with its depth to this power, and the spring with it; 1 where nothing is said. `spring` is that of a cut of 0.3 on diameter */
  readonly power?: number;
  /** so often the slide sticks and then jumps, and how far, one deviation */
  readonly jumps?: readonly [share: number, by: number];
  /** a screw that is long or short by this share of its travel */
  readonly pitchError?: number;
  readonly gauge: {
    readonly bias: number;
    readonly repeat: number;
    /** share of readings that slip, and how far, in deviations */ readonly slips: number;
  };
  /** true size of the work, cold, before anything is cut */
  readonly begins: number;
}

/** How a pass is run, where it is not run as it should be: times as uneven, as much wear, as warm, as much that gives way. */
export interface How {
  readonly uneven?: number;
  readonly wear?: number;
  readonly warms?: number;
  /** of the spring */
  readonly gives?: number;
}

export interface SimulatedLathe {
  /** Dials in by so much (dial units) and takes a cut; `left` is the share of the backlash that was not taken out, 0 where it was come to from the same side. */
  readonly cut: (dial: number, left?: number, how?: How) => void;
  /** A cut at the setting as it stands. */
  readonly springCut: (how?: How) => void;
  /** What the gauge shows now, at the free end where nothing is said. */
  readonly read: (at?: 'held') => number;
  /** Of the work, now, as a careful hand with a contact thermometer would say it: within a degree or two. */
  readonly thermometer: () => number;
  readonly wait: (minutes: number) => void;
  /** true size, cold, at the place that is measured */
  readonly truth: (at?: 'held') => number;
  readonly cuts: () => number;
  readonly readings: () => number;
}

/** A lathe to try the advice on. It never says what it knows. */
export function simulated(of: Truth): SimulatedLathe {
  const random = randomFrom(of.seed);
  let size = of.begins;
  // the same cut at the held end of the work
  let held = of.begins + (of.taper ?? 0);
  // where the edge would make the size with nothing giving way
  let edge = of.begins;
  let dialled = 0;
  let warmth = 0;
  let [cuts, readings] = [0, 0];
  const bias = of.gauge.bias * random.normal();
  const phase = 2 * Math.PI * random.even();
  const cyclicAt = (at: number) => of.cyclic * Math.sin((2 * Math.PI * at) / of.turn + phase);
  /** What of the metal before the edge comes off when work and tool give way under it. */
  const comesOffOf = (before: number, gives: number): number => {
    const power = of.power ?? 1;
    const spring = gives * of.spring;
    if (power === 1 || before <= 0) return before / (1 + spring);
    let off = before / (1 + spring);
    for (let i = 0; i < 30; i++) off = 0.5 * off + 0.5 * (before - spring * 0.3 ** (1 - power) * Math.max(off, 0) ** power);
    return Math.max(0, off);
  };
  const take = (how: How = {}) => {
    const asked = comesOffOf(size - edge, how.gives ?? 1);
    const deep = asked / 2;
    let off = asked;
    if (deep < of.leastDepth && asked > 0) {
      // under its least chip an edge rubs most of it away, or digs in by what had built up
      const share = deep / of.leastDepth;
      off = random.even() < 0.5 + 0.5 * share ? asked * (0.55 + 0.45 * share) : asked * 1.15;
    }
    const uneven = (how.uneven ?? 1) * of.builtUp * random.normal();
    const share = asked > 0 ? off / asked : 1;
    off = Math.max(0, off + uneven);
    size -= off;
    held -= Math.max(0, (share * (held - edge - (of.taper ?? 0))) / (1 + (of.heldGives ?? 1) * (how.gives ?? 1) * of.spring) + uneven);
    edge += (how.wear ?? 1) * of.wear;
    warmth += (how.warms ?? 1) * (1.5 + of.warms * off);
    cuts++;
  };
  return {
    cut: (dial, left = 0, how = {}) => {
      const before = dialled;
      dialled += dial * of.takes;
      const [share, by] = of.jumps ?? [0, 0];
      const jump = share > 0 && random.even() < share ? by * random.normal() : 0;
      const moved =
        (dialled - before) * (1 + (of.pitchError ?? 0)) +
        jump +
        cyclicAt(dialled) -
        cyclicAt(before) +
        of.sticks * random.normal() -
        left * of.backlash;
      edge -= moved;
      take(how);
    },
    springCut: take,
    read: (at) => {
      readings++;
      const there = at === 'held' ? held : size;
      const slip = random.even() < of.gauge.slips ? 3 : 1;
      const lobed = of.runout * (random.even() - 0.5);
      return there + of.crests + bias + slip * of.gauge.repeat * random.normal() + lobed + growth(there, of.alpha, of.room + warmth - REFERENCE);
    },
    thermometer: () => Math.round(of.room + warmth + random.normal()),
    wait: (minutes) => {
      warmth = cooledAfter(warmth, minutes, of.cools);
    },
    truth: (at) => (at === 'held' ? held : size),
    cuts: () => cuts,
    readings: () => readings,
  };
}
