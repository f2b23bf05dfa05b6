import type { Limits } from '../drawing';
import type { Reason } from '../finding';
import { diameter, figure, type Figure, floorTo, length, say, temperature } from '../quantity';
import { aimFor } from './chance';
import { normalBelow } from '../quantity';

export interface Advice {
  readonly next: 'cut' | 'twoCuts' | 'springCut' | 'wait' | 'measure' | 'changeGauge' | 'indexTip' | 'stop' | 'ask';
  readonly dial?: Figure;
  readonly readout?: Figure;
  /** cold; deviation is always set, one standard deviation */
  readonly expects: Figure;
  /** what the gauge shows as warm as the piece is now */
  readonly reads?: Figure;
  readonly instead?: Advice;
  readonly chanceIn: number;
  readonly chanceShort: number;
  readonly chancePast: number;
  readonly because: readonly Reason[];
  /** the last reading at 20 C */
  readonly cold?: Figure;
  readonly aim: Figure;
}

/** What happened at the machine, in order: mm and degrees C. */
export type Event = { readonly kind: 'reading'; readonly size: number; readonly celsius: number } | { readonly kind: 'cut'; readonly dial: number };

export interface Sizing {
  readonly wanted: Limits;
  readonly events: readonly Event[];
  /** diameter taken by one unit of dial: 2 for a radius dial, 1 for a diameter dial */
  readonly takes: number;
  /** mm, one division of the dial */
  readonly division: number;
  /** millionths a degree */
  readonly alpha: number;
  /** one standard deviation of the gauge, mm */
  readonly doubt: number;
  readonly gaugeProves: boolean;
  readonly nose: number;
}

/** Share of the nose radius below which an insert rubs. @source least-depth, common practice */
const LEAST = 1 / 3;
/** Most that one cut towards size takes, on radius, mm. @source common practice */
const MOST = 1;
/** How well a dial is set, in divisions, and how much of a cut its spring leaves uncertain. @source common practice */
const SET = 0.04;
const SPRING = 0.003;

/**
 * What to do next towards a size: all lengths mm on diameter. A dial reset to the last cold reading takes off what it says
 * within the doubt of gauge, dial and spring; two like cuts spring alike.
 * @source cut-check-cut, settable, aim, leave-real-cuts: common practice
 */
export function sizeAdvice(sizing: Sizing): Advice {
  const { wanted, events } = sizing;
  const last = events.at(-1);
  const spread = (taken: number) => Math.hypot(sizing.doubt, SET * sizing.division * sizing.takes, SPRING * taken);
  const usual = spread(4 * LEAST * sizing.nose);
  const aim = figure('diameter', 'toSize', { size: aimFor(wanted, usual) }, { step: 0.001 });
  if (last?.kind !== 'reading') return measureFirst(sizing, aim, spread);

  const cold = coldFigure(last.size, last.celsius, sizing);
  const warm = Math.abs(last.celsius - 20) >= 3;
  const odd = cannotBe(last.size, events, wanted);
  const base = { aim, cold };
  if (odd)
    return {
      ...base,
      next: 'ask',
      expects: cold,
      ...chances(cold.value, sizing.doubt, wanted),
      because: [odd, { rule: 'reading-cannot-be', says: say`if it is right, type it again; if not, undo it`, binds: [] }],
    };
  if (cold.value < wanted.min) {
    return {
      ...base,
      next: 'stop',
      expects: cold,
      ...chances(cold.value, sizing.doubt, wanted),
      because: [{ rule: 'past', says: say`${length(wanted.min - cold.value, 0.001)} under the least allowed: past saving by turning`, binds: [] }],
    };
  }
  if (cold.value <= wanted.max) {
    const because: Reason[] = [{ rule: 'right-gauge', says: say`within the limits`, binds: [] }];
    if (warm) because.push({ rule: 'hot-reads-big', says: say`check once cold`, binds: [] });
    const next = sizing.gaugeProves ? 'stop' : 'changeGauge';
    if (next === 'changeGauge')
      because.push({
        rule: 'right-gauge',
        says: say`this gauge cannot prove ${length(wanted.max - wanted.min, 0.001)}: measure with a finer one`,
        binds: [],
      });
    return { ...base, next, expects: cold, ...chances(cold.value, sizing.doubt, wanted), because };
  }
  return nextCut(sizing, base, cold, last.celsius, spread);
}

function nextCut(sizing: Sizing, base: { aim: Figure; cold: Figure }, cold: Figure, celsius: number, spread: (taken: number) => number): Advice {
  const left = cold.value - base.aim.value;
  const least = LEAST * sizing.nose;
  const because: Reason[] = [];
  const radius = left / 2;
  const cuts = radius > 2 * MOST ? Math.ceil(radius / MOST) : radius / 2 >= 0.9 * least ? 2 : 1;
  const next = cutTo(sizing, cold, left, cuts, spread);
  if (cuts === 2) because.push({ rule: 'leave-real-cuts', says: say`first of two like cuts; measure before the second`, binds: [] });
  else if (cuts > 2) because.push({ rule: 'cut-check-cut', says: say`${length(left)} to come off on diameter: in ${cuts} cuts`, binds: [] });
  else if (next.depth < least)
    because.push({
      rule: 'least-depth',
      says: say`${length(next.depth, 0.001)} deep is less than a third of the ${length(sizing.nose)} nose: it may rub instead of cut`,
      binds: [],
    });
  else because.push({ rule: 'cut-check-cut', says: say`the last cut, same feed`, binds: [] });
  if (Math.abs(celsius - 20) >= 3)
    because.push({ rule: 'hot-reads-big', says: say`read at ${temperature(celsius)}: cold ${diameter(cold.value, 0.001)}`, binds: [] });
  const drift = driftOf(sizing);
  if (drift) because.push(drift);
  const instead = cuts > 1 ? cutTo(sizing, cold, left, 1, (taken) => 3 * spread(taken)) : undefined;
  const advice = (cut: Cut): Omit<Advice, 'next' | 'because'> => ({
    ...base,
    dial: cut.dial,
    expects: cut.expects,
    reads: figure('diameter', 'warmSize', { cold: cut.expects.value, alpha: sizing.alpha, celsius }, { step: 0.001 }),
    ...chances(cut.expects.value, cut.expects.deviation ?? 0, sizing.wanted),
  });
  return {
    ...advice(next),
    next: cuts === 2 ? 'twoCuts' : 'cut',
    because,
    ...(instead &&
      cuts === 2 && {
        instead: {
          ...advice(instead),
          next: 'cut' as const,
          because: [{ rule: 'leave-real-cuts', says: say`all in one: its spring is not known yet`, binds: [] }],
        },
      }),
  };
}

interface Cut {
  readonly dial: Figure;
  readonly expects: Figure;
  /** on radius */
  readonly depth: number;
}

/** One of `cuts` like cuts, at a setting the dial can show; rounded to the side that leaves metal when it could land past. */
function cutTo(sizing: Sizing, cold: Figure, left: number, cuts: number, spread: (taken: number) => number): Cut {
  const settable = sizing.division / 2;
  const of = { left, cuts, takes: sizing.takes, settable };
  const near = figure('length', 'dialMove', of, { step: stepOf(settable) });
  // a measurement stands between like cuts: only what lands now can land past
  const lands = cold.value - near.value * sizing.takes;
  const tooFar = lands - 2.576 * spread(left / cuts) < sizing.wanted.min;
  const shorter = floorTo(left / cuts / sizing.takes, settable);
  const dial =
    tooFar && shorter > 0 && shorter < near.value
      ? figure('length', 'dialMove', { ...of, left: shorter * sizing.takes * cuts }, { step: stepOf(settable) })
      : near;
  const expects = figure(
    'diameter',
    'expected',
    { now: cold.value, dial: dial.value, takes: sizing.takes },
    { step: 0.001, deviation: spread(dial.value * sizing.takes) },
  );
  return { dial, expects, depth: (dial.value * sizing.takes) / 2 };
}

const stepOf = (settable: number) => (settable < 0.009 ? 0.001 : 0.01);

function measureFirst(sizing: Sizing, aim: Figure, spread: (taken: number) => number): Advice {
  const reading = sizing.events.findLast((e) => e.kind === 'reading');
  const cut = sizing.events.at(-1);
  if (reading?.kind === 'reading' && cut?.kind === 'cut') {
    const cold = coldFigure(reading.size, reading.celsius, sizing);
    const expects = figure(
      'diameter',
      'expected',
      { now: cold.value, dial: cut.dial, takes: sizing.takes },
      { step: 0.001, deviation: spread(cut.dial * sizing.takes) },
    );
    return {
      next: 'measure',
      aim,
      cold,
      expects,
      ...chances(expects.value, expects.deviation ?? 0, sizing.wanted),
      because: [{ rule: 'cut-check-cut', says: say`stop the spindle and measure`, binds: [] }],
    };
  }
  const expects = figure('diameter', 'toSize', { size: aim.value }, { step: 0.001, deviation: 1 });
  return {
    next: 'measure',
    aim,
    expects,
    chanceIn: 0,
    chanceShort: 1,
    chancePast: 0,
    because: [{ rule: 'first-touch', says: say`a first light pass makes the surface to measure; touching off is not measuring`, binds: [] }],
  };
}

function coldFigure(size: number, celsius: number, sizing: Sizing): Figure {
  return figure('diameter', 'coldSize', { reading: size, alpha: sizing.alpha, celsius }, { step: 0.001, deviation: sizing.doubt });
}

/** What the last cut took off against what was dialled. */
function driftOf(sizing: Sizing): Reason | undefined {
  const [before, cut, after] = sizing.events.slice(-3);
  if (before?.kind !== 'reading' || cut?.kind !== 'cut' || after?.kind !== 'reading') return undefined;
  const took = coldFigure(before.size, before.celsius, sizing).value - coldFigure(after.size, after.celsius, sizing).value;
  const off = took - cut.dial * sizing.takes;
  if (Math.abs(off) < 0.0005) return undefined;
  return {
    rule: 'big-then-small',
    says: off < 0 ? say`${length(-off, 0.001)} less came off than dialled` : say`${length(off, 0.001)} more came off than dialled`,
    binds: [],
  };
}

function chances(expected: number, deviation: number, wanted: Limits): Pick<Advice, 'chanceIn' | 'chanceShort' | 'chancePast'> {
  const past = normalBelow(wanted.min, expected, deviation);
  const short = 1 - normalBelow(wanted.max, expected, deviation);
  return { chancePast: past, chanceShort: short, chanceIn: Math.max(0, 1 - past - short) };
}

/** A reading that cannot be: wrong unit, a radius, or larger than before without a reason. */
function cannotBe(size: number, events: readonly Event[], wanted: Limits): Reason | undefined {
  const near = (value: number, share: number) => Math.abs(size - value) < share * value;
  const readings = events.filter((e) => e.kind === 'reading');
  const before = readings.at(-2)?.size;
  const likely = before ?? wanted.nominal;
  const ask = (says: Reason['says']): Reason => ({ rule: 'reading-cannot-be', says, binds: [] });
  if (near(likely / 2, 0.03)) return ask(say`${length(size, 0.001)} is half of what is there: was a radius measured?`);
  if (near(likely / 25.4, 0.05) || near(likely * 25.4, 0.05)) return ask(say`${length(size, 0.001)} looks like the other unit`);
  if (before !== undefined && size > before + 0.3) return ask(say`${length(size, 0.001)} is more than the ${length(before, 0.001)} read before`);
  const gone = before === undefined ? wanted.nominal - size : before - size;
  if (gone > Math.max(6, 0.4 * likely)) return ask(say`${length(size, 0.001)} is far from the ${length(likely, 0.001)} expected`);
  return undefined;
}
