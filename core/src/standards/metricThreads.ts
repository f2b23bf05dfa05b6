import { say, type Sentence, tidy } from '../quantity';
import { engagementLengths, internalPitchTolerances, majorTolerances, minorTolerances, pitchTolerances, threadDeviations } from './isoThreads.table';
import { type Bounds, dustless, FREE, type ReadThread } from './thread';
import { metricFineOnly, metricPitches } from './threadSizes.table';
import * as special from './specialMetric';

const pattern = /^M\s*(\d+(?:[.,]\d+)?)(?:\s*[xX×*]\s*(\d+(?:[.,]\d+)?))?(?:\s*-?\s*((?:\d[a-zA-Z]){1,2}))?(?:\s*-\s*([SNL]))?$/i;

/** 'M16xPh3P1.5-6g' or 'M16x3(P1.5)': lead and pitch of several starts. */
const ofStarts =
  /^(M\s*\d+(?:[.,]\d+)?)\s*[xX×*]\s*(?:Ph\s*(\d+(?:[.,]\d+)?)\s*P\s*(\d+(?:[.,]\d+)?)|(\d+(?:[.,]\d+)?)\s*\(\s*P\s*(\d+(?:[.,]\d+)?)\s*\))(.*)$/i;

/** Reads 'M12', 'M12x1.5-6g', 'M10x1-5H6H', 'M20x2-7g6g-L', 'M16xPh3P1.5'; external 6g where no class is written. */
export function readMetric(text: string, leftHand: boolean): ReadThread {
  const [, base, lead1, pitch1, lead2, pitch2, rest = ''] = ofStarts.exec(text) ?? [];
  const [leadText, pitchText] = [lead1 ?? lead2, pitch1 ?? pitch2];
  if (base === undefined || leadText === undefined || pitchText === undefined) return readSingle(text, leftHand);
  const lead = Number(leadText.replace(',', '.'));
  const read = readSingle(`${base}x${pitchText}${rest}`, leftHand);
  if (!read.ok) return read;
  const { thread } = read;
  const starts = lead / thread.pitch;
  if (!(starts >= 1) || !Number.isInteger(tidy(starts)))
    return { ok: false, says: say`a lead of ${lead} is not a whole number of pitches of ${thread.pitch}`, nearest: [] };
  if (tidy(starts) === 1) return read;
  const remark = say`${tidy(starts)} starts; limits as of one start of this pitch`;
  return {
    ok: true,
    thread: {
      ...thread,
      designation: thread.designation.replace(/x[\d.]+/, `xPh${String(lead)}P${String(thread.pitch)}`),
      lead,
      remark: thread.remark ? [...thread.remark, '; ', ...remark] : remark,
    },
  };
}

function readSingle(text: string, leftHand: boolean): ReadThread {
  const m = pattern.exec(text);
  const nominal = Number(m?.[1]?.replace(',', '.'));
  const coarse = metricPitches[String(nominal)];
  const known = coarse ?? metricFineOnly[String(nominal)];
  const pitch = m?.[2] === undefined ? coarse?.[0] : Number(m[2].replace(',', '.'));
  if (!m || !(nominal > 0))
    return { ok: false, says: say`“${text}” is not a metric thread; write M12, M12x1.5 or M12x1.5-6g`, nearest: ['M12', 'M12x1.5-6g'] };
  if (pitch === undefined) {
    const nearest = Object.keys(metricPitches)
      .toSorted((a, b) => Math.abs(Number(a) - nominal) - Math.abs(Number(b) - nominal))
      .slice(0, 2)
      .map((d) => `M${d}`);
    return { ok: false, says: say`M${nominal} has no standard coarse pitch; write the pitch too, as M${nominal}x1`, nearest };
  }
  if (!(pitch > 0) || pitch >= nominal / 2)
    return {
      ok: false,
      says: say`pitch ${pitch} is too coarse for M${nominal}`,
      nearest: (known ?? []).map((p) => `M${String(nominal)}x${String(p)}`),
    };
  const tolerance = m[3] ?? '6g';
  const parts = tolerance.match(/\d[a-z]/gi) ?? [];
  const [first = '6g', second = first] = parts;
  const internal = first[1] === first[1]?.toUpperCase();
  if (parts.some((part) => !(internal ? 'EFGH' : 'efgh').includes(part[1] ?? '')))
    return {
      ok: false,
      says: say`“${tolerance}” is no thread class; write 6g for a bolt, 6H for a nut`,
      nearest: [`M${String(nominal)}x${String(pitch)}-${internal ? '6H' : '6g'}`],
    };
  const limits = internal ? internalLimits(nominal, pitch, first, second) : externalLimits(nominal, pitch, first, second);
  const engagement = engagementLengths.find(inRange(nominal, pitch));
  const remark = remarkOn(nominal, pitch, known, limits, internal);
  return {
    ok: true,
    thread: {
      family: 'metric',
      designation: `M${String(nominal)}x${String(pitch)}-${tolerance}${m[4] === undefined ? '' : `-${m[4].toUpperCase()}`}${leftHand ? ' LH' : ''}`,
      nominal,
      pitch,
      leftHand,
      internal,
      basic: { major: nominal, pitchDiameter: places(nominal - 0.649519 * pitch), minor: places(nominal - 1.082532 * pitch) },
      ...limits,
      ...(engagement && { engagement: { over: engagement[3] ?? 0, to: engagement[4] ?? 0 } }),
      ...(remark && { remark }),
    },
  };
}

interface Limits {
  readonly major: Bounds;
  readonly pitchDiameter: Bounds;
  readonly minor: Bounds;
}

function remarkOn(nominal: number, pitch: number, known: readonly number[] | undefined, limits: Limits, internal: boolean): Sentence | undefined {
  const missing = [limits.pitchDiameter, internal ? limits.minor : limits.major].some((b) => b.max === null);
  const byFormula = !pitchTolerances.some(inRange(nominal, pitch)) || !threadDeviations.some(([p]) => p === pitch);
  const how = missing
    ? say`; not all limits of this class are in this table`
    : byFormula
      ? say`; tolerances and deviations by the formulas of ISO 965-1, within ${special.DOUBT} % of a printed table`
      : [];
  if (known?.includes(pitch)) return how.length > 0 ? say`M${nominal}x${pitch}${how}` : undefined;
  const listed = known ? say`; ${known.join(', ')}` : [];
  return say`M${nominal}x${pitch}: no such standard pitch for ${nominal} mm${listed}; computed as a special${how}`;
}

const inRange =
  (nominal: number, pitch: number) =>
  ([over, to, p]: readonly (number | null)[]): boolean =>
    nominal > (over ?? 0) && nominal <= (to ?? 0) && p === pitch;

/** Fundamental deviation in mm, as a magnitude; undefined where the table has none. The letters E and F are mirrored from e and f. */
function deviation(letter: string, pitch: number): number | undefined {
  const lower = letter.toLowerCase();
  if (lower === 'h') return 0;
  const row = threadDeviations.find(([p]) => p === pitch);
  const um = row ? row[{ g: 1, f: 2, e: 3 }[lower] ?? -1] : special.deviation(lower, pitch);
  return um === undefined || um === null ? undefined : um / 1000;
}

const places = (value: number) => Math.round(value * 1000) / 1000;

/** From a largest or a smallest size and a tolerance in micrometres. */
const under = (max: number | undefined, um: number | null | undefined): Bounds =>
  max === undefined || um === null || um === undefined ? FREE : { max: dustless(max), min: dustless(max - um / 1000) };
const over = (min: number | undefined, um: number | null | undefined): Bounds =>
  min === undefined || um === null || um === undefined ? FREE : { max: dustless(min + um / 1000), min: dustless(min) };

/**
 * Limits of an external metric thread, mm. The root is left free.
 * @source ISO 965-1:2013 tables, d2 rounded to 0.001 mm before the deviation is added; from memory
 */
function externalLimits(nominal: number, pitch: number, first: string, second: string): Limits {
  const basic = places(nominal - 0.649519 * pitch);
  const [es, esMajor] = [deviation(first[1] ?? '', pitch), deviation(second[1] ?? '', pitch)];
  const [ofPitch, ofMajor] = [pitchTolerances.find(inRange(nominal, pitch)), majorTolerances.find(([p]) => p === pitch)];
  const td2 = ofPitch ? ofPitch[Number(first[0])] : special.pitchTolerance(nominal, pitch, Number(first[0]), false);
  const td = ofMajor ? ofMajor[{ 4: 1, 6: 2, 8: 3 }[second[0] ?? ''] ?? -1] : special.majorTolerance(pitch, Number(second[0]));
  return {
    major: under(esMajor === undefined ? undefined : nominal - esMajor, td),
    pitchDiameter: under(es === undefined ? undefined : basic - es, Number(first[0]) >= 3 && Number(first[0]) <= 9 ? td2 : undefined),
    minor: FREE,
  };
}

/**
 * Limits of an internal metric thread, mm. The major diameter is left free upwards.
 * @source ISO 965-1:2013 tables, D2 and D1 rounded to 0.001 mm before the deviation is added; from memory
 */
function internalLimits(nominal: number, pitch: number, first: string, second: string): Limits {
  const [ei, eiMinor] = [deviation(first[1] ?? '', pitch), deviation(second[1] ?? '', pitch)];
  const column = (grade: string | undefined) => (Number(grade) >= 4 && Number(grade) <= 8 ? Number(grade) : NaN);
  const [ofPitch, ofMinor] = [internalPitchTolerances.find(inRange(nominal, pitch)), minorTolerances.find(([p]) => p === pitch)];
  const tolerance2 = ofPitch ? ofPitch[column(first[0]) - 1] : special.pitchTolerance(nominal, pitch, column(first[0]), true);
  const tolerance1 = ofMinor ? ofMinor[column(second[0]) - 3] : special.minorTolerance(pitch, column(second[0]));
  return {
    major: { max: null, min: ei === undefined ? null : dustless(nominal + ei) },
    pitchDiameter: over(ei === undefined ? undefined : places(nominal - 0.649519 * pitch) + ei, tolerance2),
    minor: over(eiMinor === undefined ? undefined : places(nominal - 1.082532 * pitch) + eiMinor, tolerance1),
  };
}
