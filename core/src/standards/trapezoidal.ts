import { MM_PER_INCH, readNumber, say, tidy } from '../quantity';
import { type Basic, dustless, FREE, type ReadThread, type Thread } from './thread';
import { acmeSizes, crestClearances, trapezoidalSizes } from './trapezoidal.table';

const NOT_HERE = say`tolerances of this thread are not in this table; the basic form is shown`;

/** Reads 'Tr20x4', 'Tr40x14(P7)', '1/2-10 Acme', '1 Acme'; ' nut' or a class of a nut (7H, 2G nut) makes it internal. Undefined when the text is neither. */
export function readTrapezoidal(text: string, leftHand: boolean): ReadThread | undefined {
  const nut = /(?:\s+nut|-?\s*\d[A-H])$/.test(text);
  const bare = text.replace(/\s+nut$/i, '').replace(/\s*-?\s*\d{1,2}[eEcCgGhH]$/, '');
  const tr = /^TR\s*(\d+)(?:\s*[x×*]\s*(\d+(?:[.,]\d+)?))?(?:\s*\(\s*P\s*(\d+(?:[.,]\d+)?)\s*\))?$/i.exec(bare);
  if (tr?.[1] !== undefined) return metric(Number(tr[1]), numberOf(tr[2]), numberOf(tr[3]), leftHand, nut);
  const acme = /^(\d+(?:[ -]\d+\/\d+)?|\d+\/\d+)\s*(?:-\s*(\d+(?:\.\d+)?)\s*)?ACME(?:\s*-?\s*[234]G)?$/i.exec(bare);
  return acme?.[1] === undefined ? undefined : inch(acme[1].replace('-', ' '), numberOf(acme[2]), leftHand, nut);
}

const numberOf = (text: string | undefined) => (text === undefined ? undefined : Number(text.replace(',', '.')));

/**
 * Basic form of a metric trapezoidal thread, 30 degrees, mm; several starts as 'Tr40x14(P7)'.
 * @source ISO 2902/2904: d2 = d - 0.5 P, bolt root d3 = d - P - 2 ac, nut D1 = d - P, nut root D4 = d + 2 ac; from memory
 */
function metric(d: number, typed: number | undefined, ofStarts: number | undefined, leftHand: boolean, nut: boolean): ReadThread {
  const listed = trapezoidalSizes.find(([size]) => size === d)?.slice(1);
  const lead = typed ?? listed?.[0];
  if (lead === undefined) return { ok: false, says: say`Tr ${d} is not in this table; write its pitch too, as Tr${d}x4`, nearest: nearestSizes(d) };
  const pitch = ofStarts ?? lead;
  if (!(pitch > 0) || pitch > d / 2 || pitch > 44)
    return { ok: false, says: say`pitch ${pitch} is too coarse for Tr ${d}`, nearest: nearestSizes(d) };
  const starts = lead / pitch;
  if (!Number.isInteger(tidy(starts))) return { ok: false, says: say`a lead of ${lead} is not a whole number of pitches of ${pitch}`, nearest: [] };
  const ac = crestClearances.find(([upTo]) => pitch <= upTo)?.[1] ?? 1;
  const basic: Basic = nut
    ? { major: tidy(d + 2 * ac), pitchDiameter: tidy(d - pitch / 2), minor: tidy(d - pitch) }
    : { major: d, pitchDiameter: tidy(d - pitch / 2), minor: tidy(d - pitch - 2 * ac) };
  const unlisted = listed?.includes(pitch) === true ? [] : say`; ${pitch} is no listed pitch for ${d}${listed ? `: ${listed.join(', ')}` : ''}`;
  return {
    ok: true,
    thread: {
      family: 'trapezoidal',
      designation: `Tr${String(d)}x${String(lead)}${starts > 1 ? `(P${String(pitch)})` : ''}${nut ? ' nut' : ''}${leftHand ? ' LH' : ''}`,
      ...form(d, pitch, lead, leftHand, nut, basic),
      remark: [...NOT_HERE, ...unlisted],
    },
  };
}

/**
 * Basic form of a general purpose Acme thread, 29 degrees; inches in, mm out.
 * @source ASME B1.5: h = P / 2, clearance at the root 0.020 in on diameter to 10 threads to the inch, 0.010 finer; from memory
 */
function inch(size: string, typed: number | undefined, leftHand: boolean, nut: boolean): ReadThread {
  const d = readNumber(size)?.value ?? NaN;
  const listed = acmeSizes.find(([name]) => name === size)?.[1];
  const tpi = typed ?? listed;
  if (tpi === undefined || !(d > 0) || !(tpi > 0) || 1 / tpi > d / 2)
    return {
      ok: false,
      says: tpi === undefined ? say`${size} Acme is not in this table` : say`${tpi} threads to the inch are too coarse for ${size} Acme`,
      nearest: acmeSizes.filter(([name]) => Math.abs((readNumber(name)?.value ?? 0) - d) < 0.13).map(([name, n]) => `${name}-${String(n)} Acme`),
    };
  const root = tpi <= 10 ? 0.02 : 0.01;
  const mm = (inches: number) => dustless(inches * MM_PER_INCH);
  const basic: Basic = nut
    ? { major: mm(d + root), pitchDiameter: mm(d - 0.5 / tpi), minor: mm(d - 1 / tpi) }
    : { major: mm(d), pitchDiameter: mm(d - 0.5 / tpi), minor: mm(d - 1 / tpi - root) };
  const pitch = MM_PER_INCH / tpi;
  return {
    ok: true,
    thread: {
      family: 'acme',
      designation: `${size}-${String(tpi)} Acme${nut ? ' nut' : ''}${leftHand ? ' LH' : ''}`,
      ...form(mm(d), pitch, pitch, leftHand, nut, basic),
      remark: listed === tpi ? NOT_HERE : [...NOT_HERE, ...say`; ${tpi} is no listed number for ${size} in${listed ? `: ${listed}` : ''}`],
    },
  };
}

const form = (
  nominal: number,
  pitch: number,
  lead: number,
  leftHand: boolean,
  internal: boolean,
  basic: Basic,
): Omit<Thread, 'family' | 'designation'> => ({
  nominal,
  pitch,
  ...(lead !== pitch && { lead }),
  leftHand,
  internal,
  basic,
  major: FREE,
  pitchDiameter: FREE,
  minor: FREE,
});

const nearestSizes = (d: number) =>
  trapezoidalSizes
    .toSorted((a, b) => Math.abs(a[0] - d) - Math.abs(b[0] - d))
    .slice(0, 2)
    .map(([size, pitch]) => `Tr${String(size)}x${String(pitch)}`);
