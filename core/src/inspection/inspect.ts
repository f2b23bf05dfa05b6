import { type Cell, type Entry, type Gauge, liveEntries, type Shop } from '../document';
import { type Characteristic, parseFinish, type Part } from '../drawing';
import { exceeds, fallsShort, figure, type Figure, type Parsed, parseDegrees, parseLength, PLACE, ROUNDING, say } from '../quantity';
import { coldFigureBy, doubtOf, mmOf, overBallsOf, overWiresOf, wayOf } from '../shop';
import { materialOf, pinsProve } from '../standards';
import { placesRound } from './byGauge';

export interface Verdict {
  /** the characteristic, as 's2.diameter' */
  readonly of: string;
  readonly piece: number;
  readonly value: Figure;
  readonly says: 'in' | 'over' | 'under' | 'cannotTell';
  /** taken as it is by this gauge, though its doubt leaves the limits open; by whom where that was told */
  readonly accepted?: { readonly gauge: string; readonly who?: string };
}

/** How a size stands: as it was measured, or as somebody took it. */
export const standsAs = ({ says, accepted }: Verdict): Verdict['says'] => (accepted ? 'in' : says);

const BADNESS: Readonly<Record<Verdict['says'], number>> = { over: 2, under: 2, cannotTell: 1, in: 0 };

/** Inch grades stand for the metric ones: 63, 32 and 16 microinches for 1.6, 0.8 and 0.4 micrometres. @source common practice */
const SAME_GRADE = 1.02;

/** A reading as its kind is read: mm, degrees of an angle, micrometres Ra of a finish. Zero is a reading of an indicator, no length. */
export function readingOf(is: Characteristic['is'], cell: Cell): Parsed<number> {
  if (is === 'angle') return parseDegrees(cell.text);
  if (is === 'runout') return runoutRead(cell);
  if (is !== 'finish') return parseLength(cell.text, cell.units);
  const read = parseFinish(cell.text, cell.units);
  if (!read.ok) return read;
  return read.value === undefined ? { ok: false, problems: [{ at: cell.text, says: say`no reading` }] } : { ok: true, value: read.value };
}

/** An indicator read once, high less low; or at several places round the piece. @source tir, common practice */
function runoutRead(cell: Cell): Parsed<number> {
  const read = placesRound(cell);
  if (!read.ok) return read;
  const [first = 0] = read.value;
  return { ok: true, value: read.value.length < 2 ? first : Math.max(...read.value) - Math.min(...read.value) };
}

/**
 * The last reading of each size and piece against its limits, corrected to 20 C, by the way of the shop: plain limits, or only what the gauge proves.
 * @example inspect(readDrawing({ ...blankJob('pin', 'mm'), drawing: { ...blankDrawing(), ...readLine('20 x 30', 'mm').value } }.drawing), midShop(), []) // []
 */
export function inspect(part: Part, shop: Shop, log: readonly Entry[]): readonly Verdict[] {
  const alpha = materialOf(part.material).alpha;
  const verdicts = new Map<string, Verdict>();
  // read at several places since the last cut: the worst of them stands
  const placed = new Map<string, { readonly at: string; readonly places: Map<string, Verdict> }>();
  for (const entry of liveEntries(log)) {
    const at = `${entry.step ?? ''}/${String(entry.piece)}`;
    if (entry.kind === 'cut') for (const [key, one] of placed) if (one.at === at) placed.delete(key);
    if (entry.kind === 'accepted') {
      const key = `${entry.of}/${String(entry.piece)}`;
      const told = verdicts.get(key);
      if (told?.says === 'cannotTell')
        verdicts.set(key, { ...told, accepted: { gauge: entry.gauge, ...(entry.who !== undefined && { who: entry.who }) } });
    }
    if (entry.kind !== 'reading') continue;
    const size = part.characteristics.find((c) => c.id === entry.of);
    const read = readingOf(size?.is ?? 'length', entry.value);
    if (size?.is === 'thread' && size.text !== undefined && read.ok) {
      const verdict = threadVerdict(entry, size, read.value, shop, alpha);
      if (verdict) verdicts.set(`${entry.of}/${String(entry.piece)}`, verdict);
      continue;
    }
    const limits = size?.limits;
    if (!limits || !read.ok) continue;
    if (size.is === 'finish' || size.is === 'angle') {
      const value =
        size.is === 'finish'
          ? figure('roughness', 'roughnessRead', { Ra: read.value }, { step: 0.01 })
          : figure('angle', 'angleRead', { angle: read.value }, { step: 0.01 });
      const over = size.is === 'finish' ? limits.max * SAME_GRADE : limits.max + ROUNDING;
      const says = value.value > over ? 'over' : fallsShort(value.value, limits.min) ? 'under' : 'in';
      verdicts.set(`${entry.of}/${String(entry.piece)}`, { of: entry.of, piece: entry.piece, value, says });
      continue;
    }
    const gauge = shop.gauges.find((g) => g.id === entry.gauge);
    if (gauge?.kind === 'plugPins') {
      verdicts.set(`${entry.of}/${String(entry.piece)}`, { of: entry.of, piece: entry.piece, ...byPins(gauge, read.value, limits) });
      continue;
    }
    const deviation = gauge ? doubtOf(gauge) : 0.003;
    const value = coldFigureBy('length', read.value, entry, gauge, alpha, deviation);
    const says = saysOf(value.value, limits, deviation, shop);
    const key = `${entry.of}/${String(entry.piece)}`;
    const here: Verdict = { of: entry.of, piece: entry.piece, value, says };
    const places = placed.get(key)?.places ?? new Map<string, Verdict>();
    placed.set(key, { at, places: places.set(entry.along?.text ?? '', here) });
    verdicts.set(key, entry.along ? ([...places.values()].toSorted((a, b) => BADNESS[b.says] - BADNESS[a.says])[0] ?? here) : here);
  }
  return [...verdicts.values()];
}

/** The pitch diameter behind a reading over wires or of a thread micrometer, against its limits. */
function threadVerdict(
  entry: Extract<Entry, { kind: 'reading' }>,
  size: Characteristic,
  reading: number,
  shop: Shop,
  alpha: number,
): Verdict | undefined {
  const gauge = shop.gauges.find((g) => g.id === entry.gauge);
  const limits = size.pitchDiameter;
  if (!limits || (gauge?.kind !== 'wires' && gauge?.kind !== 'balls' && gauge?.kind !== 'threadMicrometer')) return undefined;
  const deviation = doubtOf(gauge);
  const cold = coldFigureBy('length', reading, entry, gauge, alpha, deviation);
  const text = size.text ?? '';
  const over =
    gauge.kind === 'wires' ? overWiresOf(gauge, text)?.limits.max : gauge.kind === 'balls' ? overBallsOf(gauge, text)?.limits.max : undefined;
  if (gauge.kind !== 'threadMicrometer' && over === undefined) return undefined;
  const value =
    over === undefined ? cold : figure('length', 'pitchByWires', { pitch: limits.max, over, reading: cold.value }, { step: 0.001, deviation });
  return { of: entry.of, piece: entry.piece, value, says: saysOf(value.value, limits, deviation, shop) };
}

/** A ten-thousandth of a millimetre is binary dust and rounding of an inch reading, not size. */
const DUST = 1e-4;

/**
 * In, out or not told. By plain limits the reading decides, unless the doubt of the gauge (two deviations) is more than half of the tolerance; proved, only what lies
 * beyond that doubt is in or out. mm
 * @source ISO 14253-1, decision rules for proving conformity and nonconformity, from memory
 */
function saysOf(value: number, { max, min }: { readonly max: number; readonly min: number }, deviation: number, shop: Shop): Verdict['says'] {
  const doubt = 2 * deviation;
  if (wayOf('verdict', shop.ways, new Map()) === 'proved') {
    if (value > max + doubt + DUST) return 'over';
    if (value < min - doubt - DUST) return 'under';
    return value <= max - doubt + DUST && value >= min + doubt - DUST ? 'in' : 'cannotTell';
  }
  return value > max + DUST ? 'over' : value < min - DUST ? 'under' : doubt > (max - min) / 2 ? 'cannotTell' : 'in';
}

/** The reading is the largest pin that goes; the next of the set does not. @source gauge-class, common practice */
function byPins(gauge: Gauge, goes: number, limits: { readonly max: number; readonly min: number }): Pick<Verdict, 'value' | 'says'> {
  const next = (gauge.sizes ?? [])
    .map((cell) => mmOf(cell))
    .filter((size) => exceeds(size, goes, PLACE))
    .reduce((least, size) => Math.min(least, size), Infinity);
  const stops = Number.isFinite(next) ? next : goes + Math.max(mmOf(gauge.resolution), 0.02);
  const { least, most } = pinsProve(goes, stops, gauge.class ?? 'minus', 'ZZ');
  const value = figure('diameter', 'middle', { max: most, min: least }, { step: 0.001, deviation: (most - least) / 4 });
  if (least > limits.max + DUST) return { value, says: 'over' };
  if (most < limits.min - DUST) return { value, says: 'under' };
  return { value, says: least >= limits.min - DUST && most <= limits.max + DUST ? 'in' : 'cannotTell' };
}
