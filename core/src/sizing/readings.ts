import type { Limits } from '../drawing';
import type { Reason } from '../finding';
import { figure, type Figure, length, say } from '../quantity';
import { type Sizing, towardsOf } from './belief';
import { quantityOf } from './cutTo';
import type { Forecast } from './estimate';
import type { Advice } from './types';

/** A reading as it would be at 20 degrees, mm. `deviation`: how far it may be off, mm. */
export function coldFigure(size: number, celsius: number, sizing: Sizing, deviation: number): Figure {
  return figure(quantityOf(sizing), 'coldSize', { reading: size, alpha: sizing.alpha, celsius }, { step: 0.001, deviation });
}

/** What the last cut took off against what was dialled. */
export function driftOf(sizing: Sizing): Reason | undefined {
  // read again, the last reading counts
  const at = sizing.events.findLastIndex((e) => e.kind === 'cut');
  const [before, cut, after] = [sizing.events[at - 1], sizing.events[at], sizing.events.slice(at + 1).at(-1)];
  if (before?.kind !== 'reading' || cut?.kind !== 'cut' || after?.kind !== 'reading') return undefined;
  const took =
    towardsOf(sizing) * (coldFigure(before.size, before.celsius, sizing, 0).value - coldFigure(after.size, after.celsius, sizing, 0).value);
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
