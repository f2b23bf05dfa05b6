import { alike, figure, type Figure, MM_PER_INCH } from '../quantity';
import { settableOf } from './beforehand';
import { sidesOf, type Sizing, towardsLimits, towardsOf } from './belief';
import { type Belief, comesOff, type Forecast, sizeAfter, sizeNow } from './estimate';

/** A diameter, or a length: over wires nothing is a diameter that one would find on the drawing. */
export const quantityOf = ({ kind = 'outside' }: Sizing): 'diameter' | 'length' => (kind === 'outside' || kind === 'bore' ? 'diameter' : 'length');

/** A cut at a setting of the dial, and what it makes; lengths in mm. */
export interface Cut {
  readonly dial: Figure;
  readonly expects: Figure;
  readonly after: Forecast;
  /** on radius */
  readonly depth: number;
}

/** One of `cuts` like cuts, at a setting the dial can show; a shorter one where it could land past more than once in two hundred. */
export function cutTo(sizing: Sizing, belief: Belief, now: Forecast, left: number, cuts: number): Cut {
  const settable = settableOf(sizing);
  const { share, back } = comesOff(belief);
  const of = { left, cuts, takes: sizing.takes, share, back, settable };
  let dial = figure('length', 'dialMove', of, { step: stepOf(settable) });
  let after = sizeAfter(belief, dial.value * sizing.takes);
  // a measurement stands between like cuts: only what lands now can land past
  for (let tries = 0; tries < 40 && after.below(towardsLimits(sizing).min) > PAST && after.mean < now.mean; tries++) {
    const shorter = dial.value - settable;
    dial = figure('length', 'dialMove', { ...of, left: cuts * (shorter * sizing.takes * share + back) }, { step: stepOf(settable) });
    after = sizeAfter(belief, dial.value * sizing.takes);
  }
  return { dial, expects: foretold(sizing, belief, dial.value, after), after, depth: Math.max(0, now.mean - after.mean) / sidesOf(sizing) };
}

/** What is foretold of a cut, with its formula: another where some of the springs that fit leave the edge clear of the work. */
export function foretold(sizing: Sizing, before: Belief, dial: number, after: Forecast): Figure {
  const now = sizeNow(before).mean;
  const { share, back } = comesOff(before);
  const [takes, towards] = [sizing.takes, towardsOf(sizing)];
  const more = { step: 0.001, deviation: after.deviation };
  const plain = alike(now - dial * takes * share - back, after.mean);
  return plain
    ? figure(quantityOf(sizing), 'forecast', { now: towards * now, dial, takes, share, back, towards }, more)
    : figure(quantityOf(sizing), 'forecastTouching', { now: towards * now, off: now - after.mean, dial, towards }, more);
}

/** Chance of landing past a limit that is taken. @source aim, common practice: under 0.5 % */
const PAST = 0.005;

/** As many digits as the smallest move needs in the units that it is whole in: half of .001 in is .0005, half of 0.05 mm is 0.025. */
function stepOf(settable: number): number {
  const whole = (value: number, step: number) => alike(value / step, Math.round(value / step));
  return [0.01, 0.001, 0.0001].find((step) => whole(settable, step) || whole(settable / MM_PER_INCH, step / 10)) ?? 0.0001;
}
