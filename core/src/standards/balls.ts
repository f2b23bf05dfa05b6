import type { LookedUp } from './fits';
import type { Bounds, Thread } from './thread';
import { threadLimits } from './threads';
import { type Profile, profiles, radians, seatedIn, type WireForm } from './wires';

/**
 * What is measured over a pair of balls in an inside thread, from the far side of one to the far side of the other, mm, corrected for the lead angle.
 * @source M = E + (P/2) cot a - W (sqrt(cosec^2 a + cot^2 a tan^2 s) - 1) with tan s = lead / (pi E): geometry of the flank, the counterpart of the three wires
 * @example Math.round(100 * overBalls({ pitchDiameter: 10.863, pitch: 1.75, half: 30 }, 1.01)) // 1137
 */
export function overBalls({ pitchDiameter, pitch, half, lead = pitch }: WireForm, ball: number): number {
  const a = radians(half);
  const tan = lead / (Math.PI * pitchDiameter);
  return pitchDiameter + pitch / 2 / Math.tan(a) - ball * (Math.sqrt(1 / Math.sin(a) ** 2 + (tan / Math.tan(a)) ** 2) - 1);
}

/** A nut's profile: its crest is at the minor diameter, its root at the major. */
const ofNut = (family: Thread['family']): Profile => {
  const { half, down, up, crest } = profiles[family];
  return { half, down: up, up: down, crest: Math.min(down, crest) };
};

export interface Balls {
  readonly thread: Thread;
  readonly ball: number;
  readonly best: number;
  /** balls that touch the flanks and stand proud of the crests, mm */
  readonly smallest: number;
  readonly largest: number;
  /** over the balls at the limits of the pitch diameter, mm; null where those are not in the tables */
  readonly over: Bounds;
}

/**
 * A pair of balls in an inside thread: best ball, the range that will do, and the measurement at the limits of its class.
 * @param ball mm; the best one when left out
 * @source geometry of the profiles: contact on the straight of the flanks
 * @example balls('M12-6H').ok // true
 */
export function balls(designation: string, ball?: number): LookedUp<Balls> {
  const thread = threadLimits(designation);
  if (!thread.ok) return thread;
  if (!thread.internal) return { ok: false, says: [`balls lie in an inside thread; “${designation.trim()}” is the class of a bolt`], nearest: [] };
  const seated = seatedIn(thread, ofNut(thread.family), 'ball', ball, overBalls);
  return seated.ok ? { ...seated, thread, ball: seated.used } : seated;
}
