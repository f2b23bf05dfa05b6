import { say, type Sentence } from '../quantity';
import type { LookedUp } from './fits';
import { readMetric } from './metricThreads';
import type { ReadThread, Thread } from './thread';
import { readUnified } from './unifiedThreads';
import { readBritish } from './whitworthThreads';

/** Reads a thread of either family, with ' LH' for a left-hand one. Undefined when the text is no thread at all. */
function readThread(text: string): ReadThread | undefined {
  const leftHand = /\s+LH$/i.test(text);
  const bare = text.replace(/\s+LH$/i, '').trim();
  return /^M\s*\d/i.test(bare) ? readMetric(bare, leftHand) : (readUnified(bare, leftHand) ?? readBritish(bare, leftHand));
}

/**
 * Limits of a thread in mm, external or internal by its class: 'M12x1.5-6g', 'M12-6H', '1/2-13 UNC-2A', '10-32 UNF-2B', '1/4-20 BSW', 'G 1/2 A', '2 BA'. A bound that the
 * standard leaves free is null; one that is not in the tables is null too, and `remark` says so.
 * @source ISO 965-1:2013, ASME B1.1-2003, BS 84, ISO 228-1, BS 93, from memory
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

/** An external thread as designated; mm throughout. A limit the tables do not hold is absent. */
export interface ExternalThread {
  readonly family: Thread['family'];
  readonly designation: string;
  readonly nominal: number;
  readonly pitch: number;
  readonly leftHand: boolean;
  readonly major?: { readonly max: number; readonly min: number };
  readonly pitchDiameter?: { readonly max: number; readonly min: number };
  readonly remark?: Sentence;
}

type ReadExternal = { readonly ok: true; readonly thread: ExternalThread } | Extract<ReadThread, { ok: false }>;

/** Reads an outside thread: 'M12', 'M12x1.5-6g LH', '1/2-13', '10-32 UNF-2A'. Undefined when the text is no thread at all. */
export function readExternalThread(text: string): ReadExternal | undefined {
  const read = readThread(text);
  if (!read?.ok) return read;
  const { family, designation, nominal, pitch, leftHand, internal, major, pitchDiameter, remark } = read.thread;
  if (family !== 'metric' && family !== 'unified')
    return { ok: false, says: say`${designation} is known but not drawn yet; it is kept as typed`, nearest: [] };
  if (internal) {
    const outside = designation.replace(/-\d[A-H](?:\d[A-H])?(?=-|\s|$)/, '-6g').replace(/-([123])B/, '-$1A');
    return { ok: false, says: say`“${text}” is the class of a nut; an outside thread is ${outside}`, nearest: [outside] };
  }
  const both = (of: Thread['major']) => (of.max === null || of.min === null ? undefined : { max: of.max, min: of.min });
  const [ofMajor, ofPitch] = [both(major), both(pitchDiameter)];
  return {
    ok: true,
    thread: {
      family,
      designation,
      nominal,
      pitch,
      leftHand,
      ...(ofMajor && { major: ofMajor }),
      ...(ofPitch && { pitchDiameter: ofPitch }),
      ...(remark && { remark }),
    },
  };
}
