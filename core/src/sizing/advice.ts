import { practice } from '../shop';
import { leastDepthOf } from '../cutting';
import type { Reason } from '../finding';
import { alike, figure, type Figure, growth, length, ROUNDING, say, temperature } from '../quantity';
import { beforehand, firstTouch } from './beforehand';
import {
  beliefOf,
  type Event,
  IS_WARM,
  overRoom,
  SETTING_DEVIATION,
  sidesOf,
  type SizedKind,
  type Sizing,
  towardsLimits,
  towardsOf,
  UNEVEN,
  WARM,
} from './belief';
import { aimFor } from './chance';
import { type Cut, cutTo, foretold, quantityOf } from './cutTo';
import { type Belief, type Forecast, sizeNow } from './estimate';
import { oddReading } from './odd';
import { chances, coldFigure, driftOf, readsFigure } from './readings';
import { stood } from './stands';
import type { Advice } from './types';

/** Most that one cut towards size takes, on radius, mm. @source common practice */
const DEEPEST_CUT = 1;
/**
 * What to do next towards a size: all lengths mm on diameter. A dial reset to the last cold reading takes off what it says
 * within the doubt of gauge, dial and spring; two like cuts spring alike.
 * @source cut-check-cut, settable, aim, leave-real-cuts: common practice
 * @example sizeAdvice(sizingWith({ nominal: 25, max: 25, min: 24.987, from: 'class' }, [], { material: 'mild-steel' })).next // 'measure'
 */
export const sizeAdvice = (sizing: Sizing): Advice => stood(advised(sizing));

type Unstood = Omit<Advice, 'stands'>;

function advised(sizing: Sizing): Unstood {
  const { events } = sizing;
  const wanted = towardsLimits(sizing);
  const kind = sizing.kind ?? 'outside';
  const last = events.at(-1);
  const belief = beliefOf(sizing);
  const now = sizeNow(belief);
  // the last of two like cuts: its spring is that of the one before
  const usual = Math.hypot(sizing.bias, sizing.repeat, SETTING_DEVIATION * sizing.division * sizing.takes, UNEVEN);
  const aim = figure(quantityOf(sizing), 'toSize', { size: towardsOf(sizing) * aimFor(wanted, usual) }, { step: 0.001 });
  if (last?.kind !== 'reading') return measureFirst(sizing, aim, belief);

  const cold = coldFigure(last, sizing, now.deviation);
  const warm = overRoom(last) >= IS_WARM;
  const odd = oddReading(sizing, last);
  const base: Base = { aim, cold, kind };
  const as = chances(now, wanted);
  if (odd)
    return {
      ...base,
      next: 'ask',
      expects: cold,
      ...as,
      ...(odd.meant !== undefined && { meant: figure(quantityOf(sizing), 'toSize', { size: odd.meant }, { step: 0.001 }) }),
      ...(odd.dialReads !== undefined && { dialReads: odd.dialReads }),
      because: [odd, { rule: 'surprise', says: say`if it is right, type it again; if not, undo it`, binds: [] }],
    };
  if (now.mean < wanted.min) {
    return {
      ...base,
      next: 'stop',
      expects: cold,
      ...as,
      because: [
        {
          rule: 'past',
          says: say`${length(Math.max(wanted.min - now.mean, 0), 0.001)} ${towardsOf(sizing) === 1 ? 'under the least' : 'over the most'} allowed: past saving by ${pastSaving[kind]}`,
          binds: [],
        },
      ],
    };
  }
  const unknown = 2 * growth(last.size, sizing.alpha, WARM);
  const tolerance = wanted.max - wanted.min;
  if (warm && unknown > tolerance / 4 && now.mean - wanted.max < tolerance)
    return {
      ...base,
      next: 'wait',
      expects: cold,
      ...as,
      because: [
        {
          rule: 'hot-reads-big',
          says: say`at ${temperature(last.celsius)} its size cold is known to ${length(unknown, 0.001)} only, of a tolerance of ${length(tolerance, 0.001)}: let it come under ${temperature((last.room ?? 20) + IS_WARM)}, then measure again`,
          binds: [],
        },
      ],
    };
  if (
    now.mean <= wanted.max &&
    (as.chanceIn >= practice.sure || towardsOf(sizing) * (cold.value - aim.value) < (sizing.division * sizing.takes) / 4)
  ) {
    const because: Reason[] = [{ rule: 'right-gauge', says: say`within the limits`, binds: [] }];
    if (warm) because.push({ rule: 'hot-reads-big', says: say`check once cold`, binds: [] });
    const drift = driftOf(sizing);
    if (drift) because.push(drift);
    if (as.chanceIn < practice.sure) because.push(doubtful(as.chanceIn));
    const next = sizing.gaugeProves ? 'stop' : 'changeGauge';
    if (next === 'changeGauge')
      because.push({
        rule: 'right-gauge',
        says: say`this gauge cannot prove ${length(wanted.max - wanted.min, 0.001)}: measure with a finer one`,
        binds: [],
      });
    return { ...base, next, expects: cold, ...as, because };
  }
  return nextCut(sizing, base, belief, now, last);
}

/** How sure an In is that the gauge, or the last cut, leaves open. */
const doubtful = (chance: number): Reason => ({
  rule: 'right-gauge',
  says: say`in with ${Math.round(100 * chance)} in 100; the rest is the gauge’s doubt`,
  binds: [],
});

interface Base {
  readonly aim: Figure;
  readonly cold: Figure;
  readonly kind: SizedKind;
}

const pastSaving: Readonly<Record<SizedKind, string>> = {
  outside: 'turning',
  bore: 'boring',
  length: 'facing',
  depth: 'cutting deeper',
  thread: 'cutting it further',
};

function nextCut(sizing: Sizing, base: Base, belief: Belief, now: Forecast, last: Extract<Event, { kind: 'reading' }>): Unstood {
  const wanted = towardsLimits(sizing);
  const left = now.mean - towardsOf(sizing) * base.aim.value;
  if (!sizing.gaugeProves && left < 2 * now.deviation)
    return {
      ...base,
      next: 'changeGauge',
      expects: base.cold,
      ...chances(now, towardsLimits(sizing)),
      because: [
        {
          rule: 'right-gauge',
          says: say`what is left, ${length(Math.max(0, left), 0.001)}, is within the doubt of this gauge: measure with a finer one before the next cut`,
          binds: [],
        },
      ],
    };
  const least = leastDepthOf(sizing.keen, sizing.nose);
  const because: Reason[] = [];
  const radius = left / sidesOf(sizing);
  const whole = cutTo(sizing, belief, now, left, 1);
  const splits = radius / 2 >= 0.9 * least && chances(whole.after, wanted).chanceIn < practice.atOnce;
  const most = sizing.most ?? DEEPEST_CUT;
  const cuts = radius > 2 * most ? Math.ceil(radius / most) : splits ? 2 : 1;
  const next = cuts === 1 ? whole : cutTo(sizing, belief, now, left, cuts);
  const touches = next.dial.value < 0 && next.expects.formula === 'forecastTouching';
  if (cuts === 2) because.push({ rule: 'leave-real-cuts', says: say`first of two like cuts; measure before the second`, binds: [] });
  else if (cuts > 2)
    because.push({
      rule: 'cut-check-cut',
      says: say`${length(left)} to ${towardsOf(sizing) === 1 ? 'come off' : 'go'}${quantityOf(sizing) === 'diameter' ? ' on diameter' : ''}: in ${cuts} cuts`,
      binds: [],
    });
  // an edge that about touches cuts nothing yet that could be too light
  else if (!touches)
    because.push(
      next.depth < least
        ? {
            rule: 'least-depth',
            says: say`${length(next.depth, 0.001)} deep is under the ${length(least, 0.001)} that this edge cuts: it may rub instead of cut`,
            binds: [],
          }
        : { rule: 'cut-check-cut', says: say`the last cut, same feed`, binds: [] },
    );
  if (overRoom(last) >= IS_WARM)
    because.push({
      rule: 'hot-reads-big',
      says: say`read at ${temperature(last.celsius)}: cold ${{ is: quantityOf(sizing), value: base.cold.value, step: 0.001 }}`,
      binds: [],
    });
  const drift = driftOf(sizing);
  if (drift) because.push(drift);
  const before = sizing.events.findLast((e) => e.kind === 'cut');
  // the same setting once more would be the same advice without a new reason
  if (next.dial.value <= 0 && before && alike(before.dial, next.dial.value, ROUNDING))
    return {
      ...base,
      next: sizing.gaugeProves ? 'stop' : 'changeGauge',
      expects: base.cold,
      ...chances(now, towardsLimits(sizing)),
      because: [
        {
          rule: 'settable',
          says: say`what is left, ${length(Math.max(0, left), 0.001)}, is less than this dial can set: by the compound set flat, or emery`,
          binds: [],
        },
      ],
    };
  if (next.dial.value === 0 && sizing.keen === false)
    return {
      ...base,
      next: sizing.gaugeProves ? 'stop' : 'changeGauge',
      expects: base.cold,
      ...chances(now, wanted),
      because: [
        {
          rule: 'spring-cut',
          says: say`what is left, ${length(Math.max(0, left), 0.001)}, is less than a honed edge takes for certain, and at the same setting it rubs: a keen one touched on there, or emery`,
          binds: [],
        },
      ],
    };
  const advice = (cut: Cut): Omit<Unstood, 'next' | 'because'> => ({
    ...base,
    dial: cut.dial,
    expects: cut.expects,
    reads: readsFigure(cut.expects.value, last, sizing),
    ...chances(cut.after, wanted),
  });
  // within its limits a size is not dialled back for: there is no metal to put on
  if (next.dial.value <= 0 && now.mean <= wanted.max && now.mean >= wanted.min) {
    const as = chances(now, wanted);
    return {
      ...base,
      next: sizing.gaugeProves ? 'stop' : 'changeGauge',
      expects: base.cold,
      ...as,
      because: [
        { rule: 'right-gauge', says: say`within the limits`, binds: [] },
        ...(drift ? [drift] : []),
        ...(as.chanceIn < practice.sure ? [doubtful(as.chanceIn)] : []),
      ],
    };
  }
  // what the work still gives back is as much as is left, or more
  const again = next.dial.value === 0;
  if (next.dial.value < 0)
    because.unshift({
      rule: 'spring-cut',
      says: touches
        ? say`how far it gives way is not sure enough for what is left: the dial out until the edge about touches, come to from the same side, a light pass, and measure`
        : say`the work gives back more than is left: the dial a little out, come to from the same side, and the same pass again`,
      binds: [],
    });
  if (again)
    because.unshift({
      rule: 'spring-cut',
      says:
        sizing.keen === true
          ? say`once more at the same setting: what gave way comes off`
          : say`if its edge is keen, once more at the same setting: what gave way comes off; a honed one rubs, so emery`,
      binds: [],
    });
  return {
    ...advice(next),
    next: again ? 'springCut' : cuts === 2 ? 'twoCuts' : 'cut',
    because,
    ...(cuts === 2 && {
      instead: stood({
        ...advice(whole),
        next: 'cut',
        because: [{ rule: 'leave-real-cuts', says: say`all in one: its spring is not known yet`, binds: [] }],
      }),
    }),
  };
}

function measureFirst(sizing: Sizing, aim: Figure, belief: Belief): Unstood {
  const kind = sizing.kind ?? 'outside';
  const at = sizing.events.findLastIndex((e) => e.kind === 'reading');
  const reading = sizing.events[at];
  const cut = sizing.events.at(-1);
  if (reading?.kind === 'reading' && cut?.kind === 'cut') {
    // as it was foretold before the cut
    const before = beliefOf({ ...sizing, events: sizing.events.slice(0, -1) });
    const now = sizeNow(belief);
    const expects = foretold(sizing, before, cut.dial, now);
    return {
      next: 'measure',
      kind,
      aim,
      cold: coldFigure(reading, sizing, now.deviation),
      expects,
      ...chances(now, towardsLimits(sizing)),
      because: [{ rule: 'cut-check-cut', says: say`stop the spindle and measure`, binds: [] }],
    };
  }
  const expects = figure(quantityOf(sizing), 'toSize', { size: aim.value }, { step: 0.001, deviation: 1 });
  return { next: 'measure', kind, aim, expects, chanceIn: 0, chanceShort: 1, chancePast: 0, because: [firstTouch[kind], ...beforehand(sizing)] };
}
