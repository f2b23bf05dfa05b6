import { MM_PER_INCH, readNumber, say, type Sentence } from '../quantity';
import type { LookedUp } from './fits';
import { readMetric } from './metricThreads';
import type { ReadThread, Thread } from './thread';
import { metricFineOnly, metricPitches, unifiedSizes } from './threadSizes.table';
import { readTrapezoidal } from './trapezoidal';
import { readUnified } from './unifiedThreads';
import { bsfSizes, bswSizes } from './whitworth.table';
import { readBritish } from './whitworthThreads';

/** Reads a thread of either family, with ' LH' for a left-hand one. Undefined when the text is no thread at all. */
function readThread(text: string): ReadThread | undefined {
  const leftHand = /\s+LH$/i.test(text);
  const bare = text.replace(/\s+LH$/i, '').trim();
  return /^M\s*\d/i.test(bare)
    ? readMetric(bare, leftHand)
    : (readTrapezoidal(bare, leftHand) ?? readUnified(bare, leftHand) ?? readBritish(bare, leftHand));
}

/**
 * Limits of a thread in mm, external or internal by its class: 'M12x1.5-6g', 'M12-6H', '1/2-13 UNC-2A', '10-32 UNF-2B', '1/4-20 BSW', 'G 1/2 A', '2 BA'. A bound that the
 * standard leaves free is null; one that is not in the tables is null too, and `remark` says so.
 * @source ISO 965-1:2013, ASME B1.1-2003, BS 84, ISO 228-1, BS 93, from memory
 * @example threadLimits('M12').ok // true
 */
export function threadLimits(designation: string): LookedUp<Thread> {
  const read = readThread(designation.trim());
  if (!read)
    return {
      ok: false,
      says: say`“${designation.trim()}” is no thread of this table; write M12x1.5-6g or 1/2-13 UNC-2A`,
      nearest: ['M12x1.5-6g', '1/2-13 UNC-2A'],
    };
  return read.ok ? { ok: true, ...read.thread } : read;
}

/** A thread as a drawing takes it, outside or in a hole; mm throughout. A limit the tables do not hold is absent. */
export interface DrawnThread {
  readonly family: Thread['family'];
  readonly designation: string;
  readonly nominal: number;
  readonly pitch: number;
  /** mm a turn; more than the pitch where there are several starts */
  readonly lead: number;
  readonly leftHand: boolean;
  readonly internal: boolean;
  /** where its crests lie, on diameter: outside the nominal, inside the basic minor diameter */
  readonly crest: number;
  /** where its roots lie, on diameter */
  readonly root: number;
  /** basic pitch diameter: there a groove is half a pitch wide */
  readonly mean: number;
  readonly major?: { readonly max: number; readonly min: number };
  readonly pitchDiameter?: { readonly max: number; readonly min: number };
  readonly minor?: { readonly max: number; readonly min: number };
  readonly remark?: Sentence;
}

type ReadDrawn = { readonly ok: true; readonly thread: DrawnThread } | Extract<ReadThread, { ok: false }>;

/** A class of the other half, or none: 6g and 2A are of bolts, 6H and 2B of nuts. */
const asOutside = (designation: string, family: Thread['family']) =>
  ({
    metric: designation.replace(/-\d[A-H](?:\d[A-H])?(?=-|\s|$)/, '-6g'),
    unified: designation.replace(/-([123])B/, '-$1A'),
    pipe: designation.replace(/^(G \S+)(?! [AB])/, '$1 A'),
    trapezoidal: designation.replace(/ nut\b/, ''),
    acme: designation.replace(/ nut\b/, ''),
    whitworth: designation,
    ba: designation,
  })[family];
const asInside = (designation: string, family: Thread['family']) =>
  ({
    metric: designation.replace(/-\d[a-h](?:\d[a-h])?(?=-|\s|$)/, '-6H'),
    unified: designation.replace(/-([123])A/, '-$1B'),
    pipe: designation.replace(/ [AB](?=\s|$)/, ''),
    trapezoidal: designation.replace(/( LH)?$/, ' nut$1'),
    acme: designation.replace(/( LH)?$/, ' nut$1'),
    whitworth: designation,
    ba: designation,
  })[family];
const classTyped = /-\s*\d[a-hA-H]|-\s*[123][AB]|\d\s+[123][AB]\b|^G\s*\S+\s+[AB]\b/;

/** Reads an outside thread: 'M12', 'M12x1.5-6g LH', '1/2-13', '10-32 UNF-2A', '1/4-20 BSW', 'Tr20x4'. Undefined when the text is no thread at all. */
export function readExternalThread(text: string): ReadDrawn | undefined {
  const read = readThread(text);
  if (!read?.ok) return read;
  if (!read.thread.internal) return drawn(read.thread);
  const outside = asOutside(read.thread.designation, read.thread.family);
  return { ok: false, says: say`“${text}” is the class of a nut; an outside thread is ${outside}`, nearest: [outside] };
}

/** Reads a thread in a hole; without a class it is 6H or 2B. 'M12', '1/4-20 UNC-2B', 'G 1/2'. Undefined when the text is no thread at all. */
export function readInternalThread(text: string): ReadDrawn | undefined {
  const read = readThread(text);
  if (!read?.ok) return read;
  const { thread } = read;
  const inside = asInside(thread.designation, thread.family);
  if (thread.internal || inside === thread.designation) return drawn({ ...thread, internal: true });
  if (classTyped.test(text)) return { ok: false, says: say`“${text}” is the class of a bolt; a thread in a hole is ${inside}`, nearest: [inside] };
  const again = readThread(inside);
  return again?.ok ? drawn({ ...again.thread, internal: true }) : again;
}

function drawn(thread: Thread): ReadDrawn {
  const { family, designation, nominal, pitch, leftHand, internal, basic, major, pitchDiameter, minor, remark } = thread;
  const both = (of: Thread['major']) => (of.max === null || of.min === null ? undefined : { max: of.max, min: of.min });
  const [ofMajor, ofPitch, ofMinor] = [both(major), both(pitchDiameter), both(minor)];
  const sixty = family === 'metric' || family === 'unified';
  const inner = sixty && !internal ? nominal - 1.226869 * pitch : (basic.minor ?? nominal - 1.2 * pitch);
  return {
    ok: true,
    thread: {
      family,
      designation,
      nominal,
      pitch,
      lead: thread.lead ?? pitch,
      leftHand,
      internal,
      crest: internal ? inner : nominal,
      root: internal ? basic.major : inner,
      mean: basic.pitchDiameter ?? (nominal + inner) / 2,
      ...(ofMajor && { major: ofMajor }),
      ...(ofPitch && { pitchDiameter: ofPitch }),
      ...(ofMinor && { minor: ofMinor }),
      ...(remark && { remark }),
    },
  };
}

/** Listed threads whose pitch lies within 3 % of this one and whose nominal is at or up to half a pitch over this diameter, mm. */
export function threadsNear(major: number, pitch: number): readonly string[] {
  const fits = (d: number, p: number) => Math.abs(p / pitch - 1) <= 0.03 && d >= major - 0.05 * p && d <= major + 0.5 * p;
  const metric = [metricPitches, metricFineOnly].flatMap((table) =>
    Object.entries(table).flatMap(([d, pitches]) => pitches.filter((p) => fits(Number(d), p)).map((p) => `M${d}x${String(p)}`)),
  );
  const inch = (d: number, tpi: number) => fits(d * MM_PER_INCH, MM_PER_INCH / tpi);
  const unified = unifiedSizes.flatMap(([name, d, ...series]) => series.filter((n) => n !== null && inch(d, n)).map((n) => `${name}-${String(n)}`));
  const british = [
    ...bswSizes.map(([size, tpi]) => [size, tpi, 'BSW'] as const),
    ...bsfSizes.map(([size, tpi]) => [size, tpi, 'BSF'] as const),
  ].filter(([size, tpi]) => inch(readNumber(size)?.value ?? 0, tpi));
  return [...metric, ...unified, ...british.map(([size, tpi, series]) => `${size}-${String(tpi)} ${series}`)];
}
