import { MM_PER_INCH, readNumber, type Sentence, say } from '../quantity';
import { majorTolerances, pitchTolerances, threadDeviations } from './isoThreads.table';
import { metricPitches, unifiedSizes } from './threadSizes.table';

/** An external thread as designated; mm throughout. A limit the tables do not hold is absent. */
export interface ExternalThread {
  readonly family: 'metric' | 'unified';
  /** written in full: 'M12x1.75-6g', '1/2-13 UNC-2A' */
  readonly designation: string;
  readonly nominal: number;
  readonly pitch: number;
  readonly leftHand: boolean;
  readonly major?: { readonly max: number; readonly min: number };
  readonly pitchDiameter?: { readonly max: number; readonly min: number };
  /** what a person should know: a pitch that no standard lists */
  readonly remark?: Sentence;
}

export type ReadThread =
  { readonly ok: true; readonly thread: ExternalThread } | { readonly ok: false; readonly says: Sentence; readonly nearest: readonly string[] };

/** Reads 'M12', 'M12x1.5-6g LH', '1/2-13', '10-32 UNF-2A', '1-8 UNC'. Undefined when the text is no thread at all. */
export function readExternalThread(text: string): ReadThread | undefined {
  const leftHand = /\s+LH$/i.test(text);
  const bare = text.replace(/\s+LH$/i, '').trim();
  if (/^M\s*\d/i.test(bare)) return metric(bare, leftHand);
  return unified(bare, leftHand);
}

function metric(text: string, leftHand: boolean): ReadThread {
  const m = /^M\s*(\d+(?:[.,]\d+)?)(?:\s*[xX×*]\s*(\d+(?:[.,]\d+)?))?(?:\s*-?\s*((?:\d[a-z]){1,2}))?$/i.exec(text);
  const nominal = Number(m?.[1]?.replace(',', '.'));
  const known = metricPitches[String(nominal)];
  const [coarse] = known ?? [];
  const pitch = m?.[2] === undefined ? coarse : Number(m[2].replace(',', '.'));
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
  const remark = known?.includes(pitch)
    ? undefined
    : say`no listed pitch for ${nominal} mm${known ? `; listed: ${known.join(', ')}` : ''}; worked out as a special`;
  return {
    ok: true,
    thread: {
      family: 'metric',
      designation: `M${String(nominal)}x${String(pitch)}-${tolerance}${leftHand ? ' LH' : ''}`,
      nominal,
      pitch,
      leftHand,
      ...isoLimits(nominal, pitch, tolerance),
      ...(remark && { remark }),
    },
  };
}

/**
 * Limits of an external metric thread, mm; parts the tables do not hold are absent.
 * @source ISO 965-1:2013 tables, d2 rounded to 0.001 mm before the deviation is added; from memory
 */
function isoLimits(nominal: number, pitch: number, tolerance: string): Pick<ExternalThread, 'major' | 'pitchDiameter'> {
  const grades = tolerance.match(/\d[a-z]/gi) ?? [];
  const first = grades[0] ?? '6g';
  const second = grades[1] ?? first;
  const deviation = (letter: string) => {
    if (letter === 'h') return 0;
    const row = threadDeviations.find(([p]) => p === pitch);
    const um = row?.[{ g: 1, f: 2, e: 3 }[letter] ?? -1];
    return um === undefined || um === null ? undefined : -um / 1000;
  };
  const basicPitch = Math.round((nominal - 0.649519 * pitch) * 1000) / 1000;
  const pitchRow = pitchTolerances.find(([over, to, p]) => nominal > (over ?? 0) && nominal <= (to ?? 0) && p === pitch);
  const td2 = pitchRow?.[Number(first[0])];
  const majorRow = majorTolerances.find(([p]) => p === pitch);
  const td = majorRow?.[{ 4: 1, 6: 2, 8: 3 }[second[0] ?? ''] ?? -1];
  const esPitch = deviation(first[1] ?? '');
  const esMajor = deviation(second[1] ?? '');
  return {
    ...(td != null && esMajor !== undefined && { major: limits(nominal + esMajor, td) }),
    ...(td2 != null && esPitch !== undefined && { pitchDiameter: limits(basicPitch + esPitch, td2) }),
  };
}

/** Largest size and a tolerance in micrometres, to limits free of binary dust. */
function limits(max: number, um: number): { readonly max: number; readonly min: number } {
  return { max: Number(max.toFixed(6)), min: Number((max - um / 1000).toFixed(6)) };
}

function unified(text: string, leftHand: boolean): ReadThread | undefined {
  const m =
    /^(#?\d+|#?\d+[ -]\d+\/\d+|\d+\/\d+|\d*\.\d+)\s*-\s*(\d+(?:\.5)?)(?!\s*[/.]|\s*\d+(?!\d|-UN))(?:\s*(UNC|UNF|UNEF|UNS|(?:\d+-)?UN))?(?:\s*-?\s*([123])A)?$/i.exec(
      text,
    );
  if (m?.[1] === undefined || m[2] === undefined) return undefined;
  const tpi = Number(m[2]);
  const written = m[1].replace('-', ' ').replace('#', '');
  const row =
    unifiedSizes.find(([name]) => name === written) ?? unifiedSizes.find(([, inch]) => Math.abs(inch - (readNumber(written)?.value ?? 0)) < 1e-6);
  // a bare whole number is a screw size only where that size has such a thread: 10-32 is one, 25-0 is not
  const inch = row?.[1] ?? readNumber(written)?.value;
  if (inch === undefined || !(inch > 0) || !(tpi > 0)) return undefined;
  const bareNumber = /^\d+$/.test(written);
  const candidates = unifiedSizes.filter(([name]) => name === written);
  const constant = /UN$/i.test(m[3] ?? '') && [4, 6, 8, 12, 16, 20, 28, 32].includes(tpi);
  const fitting = candidates.find((c) => c.slice(2).includes(tpi)) ?? (constant ? candidates.at(-1) : undefined) ?? row;
  // '25 -1' and '10 - 1' are a size and a tolerance; '10-1' written together is asked about
  if (bareNumber && (candidates.length === 0 || /\s-|-\s/.test(text))) return undefined;
  if (bareNumber && !constant && !fitting?.slice(2).includes(tpi)) {
    return {
      ok: false,
      says: say`“${text}” reads as a thread, but ${written} has no ${tpi} to the inch; for a tolerance leave a space before the minus`,
      nearest: candidates.flatMap(([name, , ...series]) => series.flatMap((n) => (n === null ? [] : [`${name}-${String(n)}`]))),
    };
  }
  const size = fitting ?? row;
  const d = fitting?.[1] ?? inch;
  // the 8 thread series runs through every size from 1 inch
  const unlisted = tpi === 8 && d >= 1 ? 'UN' : 'UNS';
  const series = m[3]?.toUpperCase().replace(/^\d+-/, '') ?? (size ? (['UNC', 'UNF', 'UNEF'][size.slice(2).indexOf(tpi)] ?? unlisted) : unlisted);
  if (1 / tpi >= d / 2) return { ok: false, says: say`${tpi} threads to the inch are too coarse for ${written} in`, nearest: [] };
  const grade = m[4] ?? '2';
  return {
    ok: true,
    thread: {
      family: 'unified',
      designation: `${size?.[0] ?? written}-${String(tpi)} ${series}-${grade}A${leftHand ? ' LH' : ''}`,
      nominal: d * MM_PER_INCH,
      pitch: MM_PER_INCH / tpi,
      leftHand,
      ...unifiedLimits(d, tpi, series, grade),
      ...(series === 'UNS' && { remark: say`${tpi} to the inch is no listed series for ${written} in; worked out as a special` }),
    },
  };
}

const places = (value: number, digits: number) => Math.round(value * 10 ** digits + 1e-7) / 10 ** digits;

/**
 * Limits of an external unified thread from the standard's formulas, inches in, mm out.
 * @source ASME B1.1-2003: Td2 to six decimals, then each value half-up to four; length of engagement D for UNC, UNF, 4-, 6- and 8-UN, else 9 P; from memory.
 * Two printed values are known to differ from the formulas and are given as printed.
 */
function unifiedLimits(d: number, tpi: number, series: string, grade: string): Pick<ExternalThread, 'major' | 'pitchDiameter'> {
  const pitch = 1 / tpi;
  const engagement = series === 'UNC' || series === 'UNF' || (series === 'UN' && tpi <= 8) ? d : 9 * pitch;
  const td2 = places(0.0015 * Math.cbrt(d) + 0.0015 * Math.sqrt(engagement) + 0.015 * Math.cbrt(pitch * pitch), 6);
  const printedAllowance = d === 0.625 && tpi === 11 ? 0.0016 : undefined;
  const allowance = grade === '3' ? 0 : (printedAllowance ?? places(0.3 * td2, 4));
  const majorTolerance = places((grade === '1' ? 0.09 : 0.06) * Math.cbrt(pitch * pitch), 4);
  const pitchTolerance = places({ 1: 1.5, 2: 1, 3: 0.75 }[grade as '1' | '2' | '3'] * td2, 4);
  const majorMax = places(d - allowance, 4);
  const pitchMax = places(places(d - 0.64951905 * pitch, 4) - allowance, 4);
  const pitchMin = d === 1.125 && tpi === 7 && grade === '2' ? 1.0228 : places(pitchMax - pitchTolerance, 4);
  const mm = (inch: number) => Number((inch * MM_PER_INCH).toFixed(6));
  return { major: { max: mm(majorMax), min: mm(places(majorMax - majorTolerance, 4)) }, pitchDiameter: { max: mm(pitchMax), min: mm(pitchMin) } };
}
