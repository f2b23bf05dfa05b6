import type { Cell, Entry, Gauge } from '../document';
import type { Feature, Limits } from '../drawing';
import type { Reason } from '../finding';
import { figure, type Figure, isZero, type Parsed, parseLength, PLACE, say, tidy, type Units } from '../quantity';
import { mmOf } from '../shop';
import { type Advice, type AdviseWith, adviseWith } from '../sizing';

/** A taper that is brought to size by how far its gauge, or its mate, still stands off its line. */
export interface StandsOff {
  /** diameter per length */
  readonly slope: number;
  /** diameter at the line of the gauge, mm */
  readonly line: number;
  /** 1 outside, by a ring; -1 in a bore, by a plug: what it stands off is what the bore is too small by */
  readonly towards: 1 | -1;
}

/** What a gauge of a taper may stand off its line by where no limits are drawn, mm. @source common practice, half a millimetre either way */
const EITHER_WAY = 0.5;
/** How truly a gauge seats on a taper that is wiped clean, mm along it, one deviation. @source judgement */
const SEATS = 0.05;

/** The taper of a row and the limits of its diameter at the line, where it is largest. */
export function tapered(row: Feature): (StandsOff & { readonly limits: Limits }) | undefined {
  const slope = row.slope ?? 0;
  if (row.form !== 'taper' || !(slope > 0)) return undefined;
  const at = row.nearDiameter.nominal < row.farDiameter.nominal ? row.farDiameter : row.nearDiameter;
  const half = row.taper === undefined && at.max - at.min > PLACE ? (at.max - at.min) / 2 : EITHER_WAY * slope;
  const line = (at.max + at.min) / 2;
  return {
    slope,
    line,
    towards: row.side === 'outside' ? 1 : -1,
    limits: { nominal: tidy(line), max: tidy(line + half), min: tidy(line - half), from: 'typed' },
  };
}

/** How far a gauge stands off, as typed: 0 on its line, negative where it goes past it. */
export function readStandOff(text: string, units: Units): Parsed<{ readonly mm: number; readonly cell: Cell }> {
  const cell: Cell = { text: text.trim(), units };
  const bare = text.trim().replace(/^[-−+]/, '');
  if (isZero(bare)) return { ok: true, value: { mm: 0, cell } };
  const read = parseLength(bare, units);
  if (!read.ok) return read;
  const mm = /^[-−]/.test(text.trim()) ? -read.value : read.value;
  return Math.abs(mm) > MOST_STANDS_OFF
    ? { ok: false, problems: [{ at: text, says: say`“${text.trim()}” is farther than a gauge stands off` }] }
    : { ok: true, value: { mm, cell } };
}
const MOST_STANDS_OFF = 200;

/** What to dial from how far the gauge stands off: what is left of the diameter is that times the taper. @source taper-from-gauge, common practice */
export function adviseStandingOff(taper: StandsOff, limits: Limits, entries: readonly Entry[], known: AdviseWith): Advice {
  const { slope, line, towards } = taper;
  const own = entries.flatMap((e): Entry[] => {
    if (e.kind !== 'reading') return [e];
    // of its collars, which say how far the tailstock is set over
    if (e.of.endsWith('.collar')) return [];
    const read = readStandOff(e.value.text, e.value.units);
    return read.ok ? [{ ...e, value: { text: String(tidy(line + towards * read.value.mm * slope)), units: 'mm' } }] : [];
  });
  const advice = adviseWith(limits, own, { ...known, gauge: known.gauge && seatedOn(known.gauge, slope) });
  const off = (size: Figure): Figure =>
    figure(
      'length',
      'standsOff',
      { size: size.value, line, slope, towards },
      { step: 0.01, ...(size.deviation !== undefined && { deviation: size.deviation / slope }) },
    );
  const { stands, next, kind, dial, cold, chanceIn, chanceShort, chancePast, because } = advice;
  return {
    stands,
    next,
    kind,
    ...(dial && { dial }),
    aim: off(advice.aim),
    expects: off(advice.expects),
    ...(cold && { cold: off(cold) }),
    chanceIn,
    chanceShort,
    chancePast,
    because: cold ? because : [blue],
  };
}

const blue: Reason = {
  rule: 'taper-from-gauge',
  says: say`blue on the gauge first, touching all along it, or the angle is not right yet; then how far it stands off its line, 0 on it`,
  binds: [],
};

/** Of what is measured between gauge and line only the taper’s share counts on the diameter. */
const seatedOn = (gauge: Gauge, slope: number): Gauge => ({
  ...gauge,
  resolution: { text: String(tidy(slope * mmOf(gauge.resolution))), units: 'mm' },
  bias: { text: String(tidy(slope * mmOf(gauge.bias))), units: 'mm' },
  repeat: { text: String(tidy(slope * Math.hypot(mmOf(gauge.repeat), SEATS))), units: 'mm' },
});
