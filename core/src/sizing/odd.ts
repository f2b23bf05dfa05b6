import { practice } from '../shop';
import { leastDepthOf } from '../cutting';
import type { Reason, RuleName } from '../finding';
import { alike, growth, length, MM_PER_INCH, parseLength, say, tidy, type Units, whenWarm } from '../quantity';
import { beliefOf, type Event, sidesOf, type Sizing, towardsOf } from './belief';
import { comesOff, type Forecast, readsNow } from './estimate';

type Reading = Extract<Event, { kind: 'reading' }>;

/** Why a reading is asked about, and what was likely meant by it, mm. */
export interface Odd extends Reason {
  readonly meant?: number;
  /** what the dial seems to read instead of what the shop says of it */
  readonly dialReads?: 'radius' | 'diameter';
}

/** Two readings with no cut between are alike within so many deviations of their difference. @source judgement */
const ALIKE = 4;
/** Two like cuts in which half came off, or twice: the share lies between these. @source took-half, common practice */
const HALF = [0.4, 0.6] as const;
const TWICE = [1.7, 2.3] as const;

/** Why a last reading is asked about, never swallowed; undefined where it is believed. */
export function oddReading(sizing: Sizing, last: Reading): Odd | undefined {
  const { events } = sizing;
  if (last.sure === true) return undefined;
  const earlier = events.slice(0, -1);
  const previous = earlier.at(-1);
  // typed again as it was, it is believed
  if (previous?.kind === 'reading' && readAlike(sizing, previous, last)) return undefined;
  // a reading that was odd itself, put right by this one, tells nothing
  const clean = previous?.kind === 'reading' && oddReading({ ...sizing, events: earlier }, previous) ? earlier.slice(0, -1) : earlier;
  const expected = expectedOf(sizing, clean, last);
  return cannotBe(sizing, clean, last, expected) ?? tookHalf(sizing) ?? surprises(sizing, clean, last, expected);
}

const repeatOf = ({ repeat }: Sizing): number => Math.max(repeat, 0.0005);

/** Two readings of one surface: the same gauge's scatter, and what a degree or two of warmth leaves in doubt. */
function readAlike(sizing: Sizing, a: Reading, b: Reading): boolean {
  const warmth = growth(Math.max(a.size, b.size), sizing.alpha, Math.max(1, Math.abs(a.celsius - b.celsius)));
  return Math.abs(a.size - b.size) <= ALIKE * Math.SQRT2 * repeatOf(sizing) + warmth;
}

/** What the gauge was to show, as warm as the piece is said to be; undefined where nothing tells. */
function expectedOf(sizing: Sizing, clean: readonly Event[], last: Reading): Pick<Forecast, 'mean' | 'deviation'> | undefined {
  const grows = (cold: number) => whenWarm(cold, sizing.alpha, last.celsius);
  if (clean.some((e) => e.kind === 'reading')) {
    const told = readsNow(beliefOf({ ...sizing, events: clean }), growth(last.size, sizing.alpha, 0.5));
    return { mean: grows(towardsOf(sizing) * told.mean), deviation: told.deviation };
  }
  return sizing.likely && { mean: grows(sizing.likely.size), deviation: sizing.likely.deviation };
}

/** A reading that cannot be: wrong unit, a radius, beyond the gauge or the stock, larger than before without a reason. */
function cannotBe(
  sizing: Sizing,
  clean: readonly Event[],
  last: Reading,
  expected: Pick<Forecast, 'mean' | 'deviation'> | undefined,
): Odd | undefined {
  const { wanted } = sizing;
  const { size } = last;
  const towards = towardsOf(sizing);
  const near = (value: number, share: number) => Math.abs(size - value) < share * value;
  const before = clean.findLast((e) => e.kind === 'reading')?.size;
  const likely = expected?.mean ?? before ?? wanted.nominal;
  const ask = (says: Reason['says'], meant?: number): Odd => ({
    rule: 'reading-cannot-be',
    says,
    binds: [],
    ...(meant !== undefined && { meant: tidy(meant) }),
  });
  const meant = () => likelyMeant(last, likely, Math.max(expected?.deviation ?? 0, 0.02 * likely));
  if (near(likely / 2, 0.03) && !near(likely, 0.2))
    return ask(say`${length(size, 0.001)} is half of what is there: was a radius measured?`, 2 * size);
  for (const factor of [1 / MM_PER_INCH, MM_PER_INCH])
    if (near(likely * factor, 0.05)) return ask(say`${length(size, 0.001)} looks like the other unit`, size / factor);
  if (sizing.reaches && (size > sizing.reaches.to * 1.05 || size < sizing.reaches.from * 0.95))
    return ask(say`${length(size, 0.001)} is beyond this gauge, ${length(sizing.reaches.from)} to ${length(sizing.reaches.to)}`, meant());
  if (sizing.stock !== undefined && size > sizing.stock * 1.01 + 0.1)
    return ask(say`${length(size, 0.001)} is more than the stock has, ${length(sizing.stock)}`, meant());
  if (before !== undefined && towards * (size - before) > 0.3)
    return ask(say`${length(size, 0.001)} is ${towards === 1 ? 'more' : 'less'} than the ${length(before, 0.001)} read before`, meant());
  const gone = Math.abs(size - (before ?? wanted.nominal));
  const most = Math.max(6, 0.4 * likely);
  if (gone > (before === undefined ? 2 * most : most))
    return ask(say`${length(size, 0.001)} is far from the ${length(likely, 0.001)} expected`, meant());
  return undefined;
}

/** A reading far off what was foretold; nothing, or hardly anything, came off; another size with no cut between. */
function surprises(
  sizing: Sizing,
  earlier: readonly Event[],
  last: Reading,
  expected: Pick<Forecast, 'mean' | 'deviation'> | undefined,
): Odd | undefined {
  if (!expected) return undefined;
  const off = last.size - expected.mean;
  const far = Math.abs(off) > practice.surprise * expected.deviation;
  const cut = earlier.at(-1);
  const before = earlier.findLast((e) => e.kind === 'reading');
  const odd = (rule: RuleName, says: Reason['says'], withMeant = true): Odd => {
    const meant = withMeant ? likelyMeant(last, expected.mean, expected.deviation) : undefined;
    return { rule, says, binds: [], ...(meant !== undefined && { meant }) };
  };
  const turn = turnOf(off, expected.deviation);
  if (turn !== undefined && far)
    return {
      ...odd('surprise', [...foretoldSaid(last.size, expected.mean), ': was a turn of the thimble missed?']),
      meant: tidy(last.size - Math.sign(off) * turn),
    };
  if (cut?.kind === 'cut' && before && cut.dial > 0) {
    const dialled = cut.dial * sizing.takes;
    const took = towardsOf(sizing) * (before.size - last.size);
    // what the edge cannot be asked to cut, and what the gauge cannot tell, is no question
    const real = dialled > 0.5 * leastDepthOf(sizing.keen, sizing.nose) * sidesOf(sizing) && dialled > 8 * repeatOf(sizing);
    const { share } = comesOff(beliefOf({ ...sizing, events: earlier.slice(0, -1) }));
    if (real && took < practice.notCut * dialled * share && Math.abs(off) > 3 * expected.deviation)
      return odd(
        'did-it-cut',
        took < 3 * repeatOf(sizing)
          ? say`it reads as before the cut: was the pass taken, is the slide locked, is the edge gone?`
          : say`${length(Math.max(0, took), 0.001)} came off of ${length(dialled, 0.001)} dialled: was the pass taken, is the slide locked, is the edge gone?`,
      );
  }
  if (cut?.kind === 'reading' && before && !readAlike(sizing, before, last) && far)
    return odd('surprise', say`${length(last.size, 0.001)} now, ${length(before.size, 0.001)} before, and no cut between: which is right?`);
  if (!far) return undefined;
  return odd('surprise', [...foretoldSaid(last.size, expected.mean), ': measure again']);
}

function foretoldSaid(size: number, mean: number): Reason['says'] {
  const off = size - mean;
  return say`${length(size, 0.001)} is ${length(Math.abs(off), 0.001)} ${off > 0 ? 'over' : 'under'} what was foretold, ${length(mean, 0.001)}`;
}

/** What a thimble read a turn wrong is off by, mm: half a millimetre, a whole one, .025 and .1 of an inch. */
const TURNS = [0.5, 1, 0.635, 2.54];
/** So near to a whole turn that a turn was missed. @source judgement */
const NEAR_TURN = 0.03;

const turnOf = (off: number, deviation: number): number | undefined =>
  TURNS.find((t) => Math.abs(Math.abs(off) - t) < NEAR_TURN + 3 * deviation && t > 8 * deviation);

/** In two like cuts half of what was dialled came off, or twice: the dial reads the other of radius and diameter. */
function tookHalf(sizing: Sizing): Odd | undefined {
  // of readings with no cut between the last one counts
  const run = sizing.events.filter((e, i) => e.kind === 'cut' || sizing.events[i + 1]?.kind !== 'reading');
  const [a, cutA, b, cutB, c] = run.slice(-5);
  if (a?.kind !== 'reading' || b?.kind !== 'reading' || c?.kind !== 'reading' || cutA?.kind !== 'cut' || cutB?.kind !== 'cut') return undefined;
  if (sizing.axis !== undefined && sizing.axis !== 'cross') return undefined;
  const shares = [
    [a.size - b.size, cutA.dial],
    [b.size - c.size, cutB.dial],
  ].map(([took = 0, dial = 0]) => (towardsOf(sizing) * took) / (dial * sizing.takes));
  const clear = [cutA, cutB].every((cut) => cut.dial * sizing.takes > 12 * repeatOf(sizing));
  const both = ([least, most]: readonly [number, number]) => shares.every((s) => s > least && s < most);
  if (!clear || !(both(HALF) || both(TWICE))) return undefined;
  // the other of the two that the shop knows: half came off a dial of radius, or twice off one of diameter
  const fits = both(HALF) === (sizing.takes === 2);
  const dialReads = both(HALF) ? 'diameter' : 'radius';
  return {
    rule: 'took-half',
    says: fits
      ? say`${both(HALF) ? 'half' : 'twice'} of what was dialled came off, twice running: this dial reads ${dialReads}, not ${dialReads === 'radius' ? 'diameter' : 'radius'}?`
      : say`${both(HALF) ? 'half' : 'twice'} of what was dialled came off, twice running, and the shop has this dial reading ${dialReads} already: what was dialled?`,
    binds: [],
    ...(fits && { dialReads }),
  };
}

/** What a slip of the typing hand was to say: the point elsewhere, two digits changed about, one typed twice or left out, near what was expected. */
export function likelyMeant(typed: Pick<Reading, 'size' | 'text' | 'units'>, expected: number, deviation: number): number | undefined {
  const units: Units = typed.units ?? 'mm';
  const text = typed.text ?? String(tidy(typed.size));
  const within = Math.max(4 * deviation, 0.004 * expected);
  const sizes = slipsOf(text.replace(',', '.'))
    .flatMap((t) => {
      const read = parseLength(t, units);
      return read.ok ? [read.value] : [];
    })
    .filter((mm) => !alike(mm, typed.size) && Math.abs(mm - expected) <= within);
  return sizes.toSorted((a, b) => Math.abs(a - expected) - Math.abs(b - expected))[0];
}

function slipsOf(text: string): readonly string[] {
  if (!/^\d*\.?\d+$/.test(text)) return [];
  const digits = text.replace('.', '');
  const point = text.includes('.') ? text.indexOf('.') : text.length;
  const at = (d: string, p: number) => (p >= d.length ? d : `${d.slice(0, p)}.${d.slice(p)}`);
  const swapped = Array.from({ length: digits.length - 1 }, (_, i) =>
    at(digits.slice(0, i) + (digits[i + 1] ?? '') + (digits[i] ?? '') + digits.slice(i + 2), point),
  );
  const pointed = Array.from({ length: digits.length + 1 }, (_, p) => at(digits, p));
  const shorter = Array.from({ length: digits.length }, (_, i) => at(digits.slice(0, i) + digits.slice(i + 1), i < point ? point - 1 : point));
  const other = Array.from({ length: digits.length }, (_, i) =>
    Array.from({ length: 10 }, (_, d) => String(d)).map((d) => at(digits.slice(0, i) + d + digits.slice(i + 1), point)),
  ).flat();
  return [...swapped, ...pointed, ...shorter, ...other];
}
