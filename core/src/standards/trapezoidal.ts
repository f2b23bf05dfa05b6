import { MM_PER_INCH, readNumber, say, tidy } from '../quantity';
import { type Basic, type Bounds, dustless, FREE, type ReadThread, type Thread } from './thread';
import { acmeSizes, crestClearances, trapezoidalSizes } from './trapezoidal.table';

const NOT_HERE = say`tolerances of this thread are not in this table; the basic form is shown`;

/** How a class ends a designation: '-7e', '-2G'. */
const CLASS = /\s*-?\s*(\d{1,2}[eEcCgGhH])$/;

/** Reads 'Tr20x4', 'Tr40x14(P7)', '1/2-10 Acme', '1 Acme'; ' nut' or a class of a nut (7H, 2G nut) makes it internal. Undefined when the text is neither. */
export function readTrapezoidal(text: string, leftHand: boolean): ReadThread | undefined {
  const nut = /(?:\s+nut|-?\s*\d[A-H])$/.test(text);
  const called = text.replace(/\s+nut$/i, '');
  const grade = CLASS.exec(called)?.[1];
  const bare = called.replace(CLASS, '');
  const tr = /^TR\s*(\d+)(?:\s*[x×*]\s*(\d+(?:[.,]\d+)?))?(?:\s*\(\s*P\s*(\d+(?:[.,]\d+)?)\s*\))?$/i.exec(bare);
  if (tr?.[1] !== undefined) return metric(Number(tr[1]), numberOf(tr[2]), numberOf(tr[3]), { leftHand, nut, grade });
  const acme = /^(\d+(?:[ -]\d+\/\d+)?|\d+\/\d+)\s*(?:-\s*(\d+(?:\.\d+)?)\s*)?ACME$/i.exec(bare);
  if (acme?.[1] === undefined) return undefined;
  // a nut is known by its word here: its class is written as the screw's
  return inch(acme[1].replace('-', ' '), numberOf(acme[2]), { leftHand, nut: /\s+nut$/i.test(text), grade });
}

/** What stands beside the size. */
interface Called {
  readonly leftHand: boolean;
  readonly nut: boolean;
  readonly grade: string | undefined;
}

const numberOf = (text: string | undefined) => (text === undefined ? undefined : Number(text.replace(',', '.')));

/**
 * Basic form of a metric trapezoidal thread, 30 degrees, mm; several starts as 'Tr40x14(P7)'.
 * @source ISO 2902/2904: d2 = d - 0.5 P, bolt root d3 = d - P - 2 ac, nut D1 = d - P, nut root D4 = d + 2 ac; from memory
 */
function metric(d: number, typed: number | undefined, ofStarts: number | undefined, { leftHand, nut, grade }: Called): ReadThread {
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
      designation: `Tr${String(d)}x${String(lead)}${starts > 1 ? `(P${String(pitch)})` : ''}${grade === undefined ? (nut ? ' nut' : '') : `-${grade}`}${leftHand ? ' LH' : ''}`,
      ...form(d, pitch, lead, leftHand, nut, basic),
      remark: [...NOT_HERE, ...unlisted],
    },
  };
}

/**
 * Basic form of a general purpose Acme thread, 29 degrees; inches in, mm out.
 * @source ASME B1.5: h = P / 2, clearance at the root 0.020 in on diameter to 10 threads to the inch, 0.010 finer; from memory
 */
function inch(size: string, typed: number | undefined, { leftHand, nut, grade = '2G' }: Called): ReadThread {
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
  const limits = acmeLimits(d, tpi, grade.toUpperCase(), nut);
  if (!limits)
    return {
      ok: false,
      says: say`“${grade}” is no class of a general purpose Acme thread; write 2G, 3G or 4G`,
      nearest: [`${size}-${String(tpi)} Acme-2G`],
    };
  return {
    ok: true,
    thread: {
      family: 'acme',
      designation: `${size}-${String(tpi)} Acme-${grade.toUpperCase()}${nut ? ' nut' : ''}${leftHand ? ' LH' : ''}`,
      ...form(mm(d), pitch, pitch, leftHand, nut, basic),
      ...limits,
      ...(listed !== tpi && { remark: say`${tpi} is no listed number for ${size} in${listed ? `: ${listed}` : ''}` }),
    },
  };
}

/** Allowance and tolerance of the pitch diameter by class: of the root of the diameter, of the root of the pitch, of the diameter again; inches. */
const acmeClasses: Readonly<Record<string, readonly [allowance: number, ofPitch: number, ofDiameter: number]>> = {
  '2G': [0.008, 0.03, 0.006],
  '3G': [0.006, 0.014, 0.0028],
  '4G': [0.004, 0.01, 0.002],
};

/**
 * Limits of a general purpose Acme thread, inches in, mm out; undefined for a class that is none.
 * @source ASME B1.5: screw: allowance of the pitch diameter 0.008 sqrt D (2G), its tolerance 0.030 sqrt P + 0.006 sqrt D; outside 0.05 P, 0.005 at the least; root half as much again
 * as the pitch diameter. Nut: the same on the pitch diameter, core 0.05 P, 0.005 at the least, root as much as its clearance. Each value half up to four decimals; from memory
 */
function acmeLimits(d: number, tpi: number, grade: string, nut: boolean): Pick<Thread, 'major' | 'pitchDiameter' | 'minor'> | undefined {
  const of = acmeClasses[grade];
  if (!of) return undefined;
  const pitch = 1 / tpi;
  const clear = tpi <= 10 ? 0.02 : 0.01;
  const tolerance = of[1] * Math.sqrt(pitch) + of[2] * Math.sqrt(d);
  const crest = Math.max(0.05 * pitch, 0.005);
  const mm = (inches: number) => dustless((Math.round(inches * 1e4 + 1e-6) / 1e4) * MM_PER_INCH);
  const between = (a: number, b: number): Bounds => ({ max: mm(Math.max(a, b)), min: mm(Math.min(a, b)) });
  const mean = d - pitch / 2;
  if (nut)
    return { major: between(d + clear, d + 2 * clear), pitchDiameter: between(mean, mean + tolerance), minor: between(d - pitch, d - pitch + crest) };
  const most = mean - of[0] * Math.sqrt(d);
  const root = d - pitch - clear;
  return { major: between(d, d - crest), pitchDiameter: between(most, most - tolerance), minor: between(root, root - 1.5 * tolerance) };
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
