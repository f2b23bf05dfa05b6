import { length, MM_PER_INCH, say, type Sentence, tidy } from '../quantity';
import { drillNamed } from './drills';
import type { LookedUp } from './fits';
import { inchCapHeads, inchClearance, inchFlatHeads, metricCapHeads, metricClearance, metricFlatHeads } from './screws.table';
import type { Thread } from './thread';
import { threadLimits } from './threads';

export interface ClearanceHole {
  /** mm */
  readonly diameter: number;
  /** the drill's own name: '13.5', '9/32', '#9' */
  readonly drill: string;
}

/** A head and its seat, mm. */
export interface HeadSeat {
  readonly head: number;
  /** of a cap head; null for a countersunk one */
  readonly height: number | null;
  /** counterbore, or the mouth of the countersink */
  readonly seat: number;
  /** of a countersunk head, degrees; null for a cap head */
  readonly angle: number | null;
}

export interface ScrewHoles {
  readonly thread: Thread;
  readonly close: ClearanceHole | null;
  readonly normal: ClearanceHole | null;
  readonly free: ClearanceHole | null;
  readonly cap: HeadSeat | null;
  readonly flat: HeadSeat | null;
  readonly source: string;
}

/** Size of a unified thread as its table writes it: '10', '1/4'. */
const sizeOf = (thread: Thread) => thread.designation.split('-')[0] ?? '';

/**
 * Clearance holes and head seats for a screw: 'M8', '10-32', '1/4-20'. What the tables do not hold is null.
 * @source ISO 273, ISO 4762, ISO 10642, DIN 974-1; ASME B18.2.8, B18.3; from memory
 */
export function screwHoles(designation: string): LookedUp<ScrewHoles> {
  const thread = threadLimits(designation);
  if (!thread.ok) return thread;
  if (thread.family === 'metric') {
    const hole = metricClearance.find(([d]) => d === thread.nominal);
    const cap = metricCapHeads.find(([d]) => d === thread.nominal);
    const flat = metricFlatHeads.find(([d]) => d === thread.nominal);
    const of = (diameter: number | undefined) => (diameter === undefined ? null : { diameter, drill: String(diameter) });
    return {
      ok: true,
      thread,
      close: of(hole?.[1]),
      normal: of(hole?.[2]),
      free: of(hole?.[3]),
      cap: cap ? { head: cap[1], height: cap[2], seat: cap[3], angle: null } : null,
      flat: flat ? { head: flat[1], height: null, seat: flat[1], angle: 90 } : null,
      source: 'ISO 273, ISO 4762, ISO 10642, DIN 974-1; from memory',
    };
  }
  if (thread.family !== 'unified') return { ok: false, says: say`holes for ${thread.designation} are not in this table`, nearest: ['M8', '1/4-20'] };
  const size = sizeOf(thread);
  const hole = inchClearance.find(([s]) => s === size);
  const [cap, flat] = [inchCapHeads.find(([s]) => s === size), inchFlatHeads.find(([s]) => s === size)];
  const mm = (inch: number) => tidy(inch * MM_PER_INCH);
  const of = (name: string | undefined) => {
    const drill = name === undefined ? undefined : drillNamed(name);
    return drill ? { diameter: drill.diameter, drill: drill.name } : null;
  };
  return {
    ok: true,
    thread,
    close: of(hole?.[1]),
    normal: of(hole?.[2]),
    free: of(hole?.[3]),
    cap: cap ? { head: mm(cap[1]), height: mm(cap[2]), seat: mm(cap[3]), angle: null } : null,
    flat: flat ? { head: mm(flat[1]), height: null, seat: mm(flat[1]), angle: 82 } : null,
    source: 'ASME B18.2.8, B18.3, customary counterbores; from memory',
  };
}

export interface Passes {
  readonly passes: boolean;
  /** hole less the screw's largest major diameter, mm */
  readonly clearance: number;
  readonly says: Sentence;
}

/** Whether a screw goes through a hole (mm): its largest major diameter against it. @source cutter-fits, common practice */
export function doesItPass(designation: string, hole: number): LookedUp<Passes> {
  const thread = threadLimits(designation);
  if (!thread.ok) return thread;
  const major = thread.internal ? thread.nominal : (thread.major.max ?? thread.basic.major);
  const clearance = tidy(hole - major);
  return {
    ok: true,
    passes: clearance > 0,
    clearance,
    says:
      clearance > 0
        ? say`it passes: ${length(hole, 0.01)} over ${length(major, 0.01)} leaves ${length(clearance, 0.01)}`
        : say`it does not pass: the screw is ${length(major, 0.01)}, the hole ${length(hole, 0.01)}`,
  };
}

/**
 * Depth (mm) to which a countersink of an angle is fed from the edge of a hole to a mouth. @throws RangeError @source geometry
 * @example countersinkDepth(10, 6, 90) // 2
 */
export function countersinkDepth(mouth: number, hole: number, angle: number): number {
  if (!(mouth >= hole && hole >= 0 && angle > 0 && angle < 180)) throw new RangeError(`mouth ${mouth}, hole ${hole} mm, angle ${angle} degrees`);
  return (mouth - hole) / 2 / Math.tan((angle * Math.PI) / 360);
}
