import { alike, length, MM_PER_INCH, parseLength, readNumber, say, tidy } from '../quantity';
import { type Bounds, dustless, FREE, type ReadThread, type Thread } from './thread';
import { unifiedSizes } from './threadSizes.table';

const pattern =
  /^(#?\d+|#?\d+[ -]\d+\/\d+|\d+\/\d+|\d*\.\d+)\s*-\s*(\d+(?:\.5)?)(?!\s*[/.]|\s*\d+(?!\d|-UN))(?:\s*(UNC|UNF|UNEF|UNS|(?:\d+-)?UN))?(?:\s*-?\s*([123])([AB]))?$/i;

/** Reads '1/2-13', '10-32 UNF-2A', '1-8 UNC-2B', '1 1/8-8 8-UN-2A', '1/2-13 UNC-2A LE 1.5'; class 2A where none is written. Undefined when the text is no thread at all. */
export function readUnified(text: string, leftHand: boolean): ReadThread | undefined {
  const long = /\s+LE\s*=?\s*(.+)$/i.exec(text);
  const engagement = long?.[1] === undefined ? undefined : parseLength(long[1], 'in');
  if (engagement && !engagement.ok) return { ok: false, says: engagement.problems[0]?.says ?? [], nearest: [] };
  const m = pattern.exec(text.slice(0, long?.index));
  if (m?.[1] === undefined || m[2] === undefined) return undefined;
  const tpi = Number(m[2]);
  const written = m[1].replace('-', ' ').replace('#', '');
  const row = unifiedSizes.find(([name]) => name === written) ?? unifiedSizes.find(([, inch]) => alike(inch, readNumber(written)?.value ?? 0));
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
  const grade = (m[4] ?? '2') as '1' | '2' | '3';
  const internal = m[5]?.toUpperCase() === 'B';
  const listed = (size?.slice(2) ?? []).filter((n) => n !== null).join(', ');
  const le = engagement && engagement.value / MM_PER_INCH;
  const form: Form = { d, tpi, grade, le: le ?? usualEngagement(d, tpi, series), special: le !== undefined };
  const known = withTheUnsure(form, internal, internal ? internalLimits(form) : externalLimits(form));
  return {
    ok: true,
    thread: {
      family: 'unified',
      designation: `${size?.[0] ?? written}-${String(tpi)} ${series}-${grade}${internal ? 'B' : 'A'}${le === undefined ? '' : ` LE ${String(tidy(le))}`}${leftHand ? ' LH' : ''}`,
      nominal: d * MM_PER_INCH,
      pitch: MM_PER_INCH / tpi,
      leftHand,
      internal,
      basic: { major: mm(d), pitchDiameter: mm(places(d - 0.64951905 / tpi, 4)), minor: mm(places(d - 1.08253175 / tpi, 4)) },
      ...known,
      ...(series === 'UNS' && {
        remark: say`${tpi} to the inch is no listed series for ${written} in${listed === '' ? '' : `; ${listed}`}; computed as a special`,
      }),
    },
  };
}

type Limits = Pick<Thread, 'major' | 'pitchDiameter' | 'minor' | 'remark'>;

/** Half up, as the standard rounds. */
const places = (value: number, digits: number) => Math.round(value * 10 ** digits + 1e-7) / 10 ** digits;
const mm = (inch: number) => dustless(inch * MM_PER_INCH);

interface Form {
  /** inches */
  readonly d: number;
  readonly tpi: number;
  readonly grade: '1' | '2' | '3';
  /** length of engagement, inches, and whether it is one of its own */
  readonly le: number;
  readonly special: boolean;
}

/** Length of engagement that the printed tables suppose: D for the coarse and fine series, 9 P for the rest. */
const usualEngagement = (d: number, tpi: number, series: string) =>
  series === 'UNC' || series === 'UNF' || (series === 'UN' && tpi <= 8) ? d : 9 / tpi;

/** Tolerance of the pitch diameter of class 2A, inches, to six decimals. */
const td2Of = ({ d, tpi, le }: Form): number => places(0.0015 * Math.cbrt(d) + 0.0015 * Math.sqrt(le) + 0.015 * Math.cbrt(1 / tpi ** 2), 6);

/**
 * Limits of an external unified thread, inches in, mm out. The root is left free.
 * @source ASME B1.1-2003: Td2 to six decimals, then each value half-up to four; length of engagement D for UNC, UNF, 4-, 6- and 8-UN, else 9 P;
 * from memory. Two printed values are known to differ from the formulas and are given as printed.
 */
function externalLimits(form: Form): Limits {
  const { d, tpi, grade, special } = form;
  const pitch = 1 / tpi;
  const td2 = td2Of(form);
  const printedAllowance = d === 0.625 && tpi === 11 && !special ? 0.0016 : undefined;
  const allowance = grade === '3' ? 0 : (printedAllowance ?? places(0.3 * td2, 4));
  const majorTolerance = places((grade === '1' ? 0.09 : 0.06) * Math.cbrt(pitch * pitch), 4);
  const pitchTolerance = places({ 1: 1.5, 2: 1, 3: 0.75 }[grade] * td2, 4);
  const majorMax = places(d - allowance, 4);
  const pitchMax = places(places(d - 0.64951905 * pitch, 4) - allowance, 4);
  const pitchMin = d === 1.125 && tpi === 7 && grade === '2' && !special ? 1.0228 : places(pitchMax - pitchTolerance, 4);
  return {
    major: { max: mm(majorMax), min: mm(places(majorMax - majorTolerance, 4)) },
    pitchDiameter: { max: mm(pitchMax), min: mm(pitchMin) },
    minor: FREE,
  };
}

/**
 * Limits of an internal unified thread, inches in, mm out. The major diameter is left free upwards.
 * @source ASME B1.1-2003, formulas and rounding, from memory: minor limits of 1B and 2B to three decimals from 0.138 in up, 3B its least to three
 */
function internalLimits(form: Form): Limits {
  const { d, tpi, grade } = form;
  const pitch = 1 / tpi;
  const pitchMin = places(d - 0.64951905 * pitch, 4);
  const tolerance = places({ 1: 1.95, 2: 1.3, 3: 0.975 }[grade] * td2Of(form), 4);
  const basic = places(d - 1.08253175 * pitch, 4);
  const most = places(basic + places(minorTolerance(d, tpi, grade), 4), 4);
  const minor: Bounds =
    d < 0.138
      ? { min: mm(basic), max: mm(most) }
      : grade === '3'
        ? { min: mm(places(basic, 3)), max: mm(most) }
        : { min: mm(places(basic, 3)), max: mm(places(most, 3)) };
  return { major: { max: null, min: mm(d) }, pitchDiameter: { max: mm(places(pitchMin + tolerance, 4)), min: mm(pitchMin) }, minor };
}

/** Tolerance of the minor diameter of an internal thread, inches. */
function minorTolerance(d: number, tpi: number, grade: '1' | '2' | '3'): number {
  const p = 1 / tpi;
  const small = 0.05 * Math.cbrt(p * p) + (0.03 * p) / d - 0.002;
  if (grade === '3') return Math.max(Math.min(small, 0.394 * p), tpi >= 13 ? 0.23 * p - 1.5 * p * p : 0.12 * p);
  if (d < 0.25) return Math.min(Math.max(small, 0.25 * p - 0.4 * p * p), 0.394 * p);
  return tpi >= 4 ? 0.25 * p - 0.4 * p * p : 0.15 * p;
}

/** Values on which recollections of the printed standard differ from its formulas by the last digit: the formula's are given, and that is said. */
function withTheUnsure({ d, tpi, grade, special }: Form, internal: boolean, limits: Limits): Limits {
  if (special) return limits;
  const remark = say`by the formulas of the standard; its printed table may differ by ${length(0.0001 * MM_PER_INCH, 0.0001)}`;
  const all = d === 0.216 && tpi === 32;
  const top = internal && ((d === 0.138 && tpi === 32 && grade === '3') || (d === 0.25 && tpi === 20 && grade === '2'));
  return all || top ? { ...limits, remark } : limits;
}
