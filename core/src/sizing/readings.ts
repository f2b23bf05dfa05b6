import type { Limits } from '../drawing';
import type { Reason } from '../finding';
import { figure, type Figure, length, REFERENCE, say } from '../quantity';
import { GAUGE_ALPHA } from '../shop';
import { type Event, type Sizing, towardsOf } from './belief';
import { quantityOf } from './cutTo';
import type { Forecast } from './estimate';
import type { Advice } from './types';

type Read = Extract<Event, { kind: 'reading' }>;

/** A reading as it would be at 20 degrees, mm. `deviation`: how far it may be off, mm. */
export function coldFigure({ size, celsius, room, shown }: Read, sizing: Sizing, deviation: number): Figure {
  const { alpha } = sizing;
  return shown
    ? figure(
        quantityOf(sizing),
        'coldSizeBy',
        { ...shown, room: room ?? REFERENCE, gaugeAlpha: GAUGE_ALPHA, alpha, celsius },
        { step: 0.001, deviation },
      )
    : figure(quantityOf(sizing), 'coldSize', { reading: size, alpha, celsius }, { step: 0.001, deviation });
}

/** What the gauge will show of a size that is so large at 20 degrees, in the warmth of the last reading. */
export function readsFigure(cold: number, { celsius, room, shown }: Read, sizing: Sizing): Figure {
  const { alpha } = sizing;
  return shown
    ? figure(
        quantityOf(sizing),
        'warmSizeBy',
        { cold, alpha, celsius, over: shown.over, room: room ?? REFERENCE, gaugeAlpha: GAUGE_ALPHA },
        { step: 0.001 },
      )
    : figure(quantityOf(sizing), 'warmSize', { cold, alpha, celsius }, { step: 0.001 });
}

/** What the last cut took off against what was dialled. */
export function driftOf(sizing: Sizing): Reason | undefined {
  // read again, the last reading counts
  const at = sizing.events.findLastIndex((e) => e.kind === 'cut');
  const [before, cut, after] = [sizing.events[at - 1], sizing.events[at], sizing.events.slice(at + 1).at(-1)];
  if (before?.kind !== 'reading' || cut?.kind !== 'cut' || after?.kind !== 'reading') return undefined;
  const took = towardsOf(sizing) * (coldFigure(before, sizing, 0).value - coldFigure(after, sizing, 0).value);
  const off = took - cut.dial * sizing.takes;
  if (Math.abs(off) < 0.0005) return undefined;
  return {
    rule: 'big-then-small',
    says: off < 0 ? say`${length(-off, 0.001)} less came off than dialled` : say`${length(off, 0.001)} more came off than dialled`,
    binds: [],
  };
}

/** How likely a size is in, short of its limits and past them. */
export function chances(of: Forecast, wanted: Limits): Pick<Advice, 'chanceIn' | 'chanceShort' | 'chancePast'> {
  const past = of.below(wanted.min);
  const short = 1 - of.below(wanted.max);
  return { chancePast: past, chanceShort: short, chanceIn: Math.max(0, 1 - past - short) };
}
