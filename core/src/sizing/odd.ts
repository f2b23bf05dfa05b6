import type { Reason } from '../finding';
import { length, say } from '../quantity';
import { beliefOf, type Event, type Sizing, towardsOf } from './belief';
import { sizeNow } from './estimate';

/** Why a last reading is asked about, never swallowed; undefined where it is believed. */
export const oddReading = (sizing: Sizing, last: Extract<Event, { kind: 'reading' }>): Reason | undefined =>
  cannotBe(last.size, sizing) ?? slipped(sizing, last.size, last.celsius);

/** A reading that cannot be: wrong unit, a radius, or larger than before without a reason. */
function cannotBe(size: number, sizing: Sizing): Reason | undefined {
  const { events, wanted } = sizing;
  const towards = towardsOf(sizing);
  const near = (value: number, share: number) => Math.abs(size - value) < share * value;
  const readings = events.filter((e) => e.kind === 'reading');
  const before = readings.at(-2)?.size;
  const likely = before ?? wanted.nominal;
  const ask = (says: Reason['says']): Reason => ({ rule: 'reading-cannot-be', says, binds: [] });
  if (near(likely / 2, 0.03)) return ask(say`${length(size, 0.001)} is half of what is there: was a radius measured?`);
  if (near(likely / 25.4, 0.05) || near(likely * 25.4, 0.05)) return ask(say`${length(size, 0.001)} looks like the other unit`);
  if (before !== undefined && towards * (size - before) > 0.3)
    return ask(say`${length(size, 0.001)} is ${towards === 1 ? 'more' : 'less'} than the ${length(before, 0.001)} read before`);
  const gone = towards * (before === undefined ? wanted.nominal - size : before - size);
  if (gone > Math.max(6, 0.4 * likely)) return ask(say`${length(size, 0.001)} is far from the ${length(likely, 0.001)} expected`);
  return undefined;
}

/** What a thimble read a turn wrong is off by, mm: half a millimetre, a whole one, .025 and .1 of an inch. */
const TURNS = [0.5, 1, 0.635, 2.54];
/** So near to a whole turn, and so far from what was foretold, that a turn was missed. @source judgement */
const NEAR_TURN = 0.03;

/** A reading that is off what was foretold by just a turn of the thimble; typed again it is believed. */
function slipped(sizing: Sizing, size: number, celsius: number): Reason | undefined {
  const { events } = sizing;
  const before = events.slice(0, -1);
  if (!before.some((e) => e.kind === 'reading') || before.at(-1)?.kind === 'reading') return undefined;
  const foretold = sizeNow(beliefOf({ ...sizing, events: before }));
  const off = size - size * sizing.alpha * 1e-6 * (celsius - 20) - towardsOf(sizing) * foretold.mean;
  const turn = TURNS.find((t) => Math.abs(Math.abs(off) - t) < NEAR_TURN + 3 * foretold.deviation && t > 8 * foretold.deviation);
  return turn === undefined
    ? undefined
    : {
        rule: 'reading-cannot-be',
        says: say`${length(size, 0.001)} is ${length(Math.abs(off), 0.01)} ${off > 0 ? 'over' : 'under'} what was foretold: was a turn of the thimble missed?`,
        binds: [],
      };
}
