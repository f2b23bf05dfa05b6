import { tidy } from '../quantity';
import type { LookedUp } from './fits';
import type { Bounds, Thread } from './thread';
import { threadLimits } from './threads';

/** A thread's form as wires see it: mm, and half of the flank angle in degrees. */
export interface WireForm {
  readonly pitchDiameter: number;
  readonly pitch: number;
  readonly half: number;
  /** mm a turn; the pitch where there is one start */
  readonly lead?: number;
}

export const radians = (degrees: number) => (degrees * Math.PI) / 180;

/**
 * The wire that touches the flanks at the pitch line, mm. @source W = P / (2 cos a), elementary geometry
 * @example bestWire(2, 30) // 2 / Math.sqrt(3)
 */
export const bestWire = (pitch: number, half: number): number => pitch / (2 * Math.cos(radians(half)));

/**
 * Measurement over three wires, mm, corrected for the lead angle. Wire force and compression are not included.
 * @source M = E + W (1 + sqrt(cosec^2 a + cot^2 a tan^2 s)) - (P/2) cot a with tan s = lead / (pi E), general form of ASME B1.2, from memory;
 * against a solved contact it is 0.1 um high for single-start 60 degree threads, 1 um for trapezoidal ones
 */
export function overWires({ pitchDiameter, pitch, half, lead = pitch }: WireForm, wire: number): number {
  const a = radians(half);
  const tan = lead / (Math.PI * pitchDiameter);
  return pitchDiameter + wire * (1 + Math.sqrt(1 / Math.sin(a) ** 2 + (tan / Math.tan(a)) ** 2)) - pitch / 2 / Math.tan(a);
}

/**
 * The same by contact, mm: a straight wire pressed into the groove, free to tilt, touching both flanks of the screw surface. It takes no formula of
 * a standard; what the formula is off by is the difference. Within 1e-6 mm.
 * @source geometry: the least distance of the wire's axis from the straight lines of the flank, which the screw sweeps
 */
export function overWiresByContact(form: WireForm, wire: number): number {
  // the wire seats at the tilt where it lies deepest
  const out = lowest((tilt) => seatedAt(form, wire, tilt), 0, 2 * Math.atan((form.lead ?? form.pitch) / (Math.PI * form.pitchDiameter)) + 0.01);
  return 2 * out + wire;
}

/** Distance of the wire's axis from the thread's where a wire of this tilt, radians, touches the flanks. */
function seatedAt({ pitchDiameter, pitch, half, lead = pitch }: WireForm, wire: number, tilt: number): number {
  const slope = Math.tan(radians(half));
  const [cos, sin] = [Math.cos(tilt), Math.sin(tilt)];
  // a line of the flank turned by an angle, (0, 0, c) + r (cos, sin, slope), and the wire's axis, (out, 0, 0) + s (0, cos, sin)
  const clearOf = (out: number, angle: number): number => {
    const c = (lead * angle) / (2 * Math.PI) + pitch / 4 - (pitchDiameter / 2) * slope;
    const n = [Math.sin(angle) * sin - slope * cos, -Math.cos(angle) * sin, Math.cos(angle) * cos] as const;
    return (c * n[2] - out * n[0]) / Math.hypot(...n);
  };
  const gap = (out: number): number => lowest((angle) => clearOf(out, angle), -0.5, 0.5) - wire / 2;
  // the gap is all but a straight line of the distance
  let [before, out] = [pitchDiameter / 2, pitchDiameter / 2 + wire / 2];
  let was = gap(before);
  for (let i = 0; i < 12 && Math.abs(out - before) > 1e-9; i++) {
    const now = gap(out);
    [before, was, out] = [out, now, out - (now * (out - before)) / (now - was)];
  }
  return out;
}

/** The least value of a function with one valley between two places. */
export function lowest(of: (at: number) => number, from: number, to: number): number {
  const GOLD = (Math.sqrt(5) - 1) / 2;
  let [a, b] = [from, to];
  for (let i = 0; i < 40; i++) {
    const [x, y] = [b - GOLD * (b - a), a + GOLD * (b - a)];
    if (of(x) < of(y)) b = y;
    else a = x;
  }
  return of((a + b) / 2);
}

/** The pitch diameter behind a measurement over wires, mm: the inverse of `overWires`, to 1e-9 mm. */
export function pitchDiameterOver(measurement: number, form: Omit<WireForm, 'pitchDiameter'>, wire: number): number {
  // the lead angle hardly moves with the pitch diameter: the error shrinks a thousandfold each turn
  let pitchDiameter = measurement - 2 * wire;
  for (let i = 0; i < 30; i++) pitchDiameter += measurement - overWires({ ...form, pitchDiameter }, wire);
  return pitchDiameter;
}

export interface Wires {
  readonly thread: Thread;
  readonly wire: number;
  readonly best: number;
  /** wires that touch the flanks and stand proud of the crests, mm */
  readonly smallest: number;
  readonly largest: number;
  /** over the wires at the limits of the pitch diameter, mm; null where those are not in the tables */
  readonly over: Bounds;
}

/**
 * Three wires on an outside thread: best wire, the range that will do, and the measurement at the limits of its class.
 * @param wire mm; the best one when left out
 * @source geometry of the profiles: contact on the straight of the flanks, the wire proud of the crest; 60 degrees with a root flat of P/4
 * @example wires('M12').ok // true
 */
export function wires(designation: string, wire?: number): LookedUp<Wires> {
  const thread = threadLimits(designation);
  if (!thread.ok) return thread;
  if (thread.internal)
    return {
      ok: false,
      says: [`wires lie on an outside thread; “${designation.trim()}” is the class of a nut`],
      nearest: [designation.replace(/H/g, 'g').replace(/B/, 'A')],
    };
  const seated = seatedIn(thread, profiles[thread.family], 'wire', wire, overWires);
  return seated.ok ? { ...seated, thread, wire: seated.used } : seated;
}

/** What lies in the groove of a thread, wire or ball: the best, the range that will do, and what is measured over it at the limits; one that does not do is refused. */
export function seatedIn(
  thread: Thread,
  profile: Profile,
  what: 'wire' | 'ball',
  asked: number | undefined,
  over: (form: WireForm, size: number) => number,
): LookedUp<{ readonly used: number; readonly best: number; readonly smallest: number; readonly largest: number; readonly over: Bounds }> {
  const { pitch, lead = pitch } = thread;
  const { half } = profile;
  const best = bestWire(pitch, half);
  const [smallest, largest] = rangeOf(pitch, profile);
  const used = asked ?? best;
  if (!(used >= smallest - 1e-9 && used <= largest + 1e-9))
    return {
      ok: false,
      says: [
        `a ${what} of `,
        { is: 'length', value: used, step: 0.001 },
        ' does not do; from ',
        { is: 'length', value: smallest, step: 0.001 },
        ' to ',
        { is: 'length', value: largest, step: 0.001 },
      ],
      nearest: [],
    };
  const at = (pitchDiameter: number | null) => (pitchDiameter === null ? null : tidy(over({ pitchDiameter, pitch, half, lead }, used)));
  return { ok: true, used, best, smallest, largest, over: { max: at(thread.pitchDiameter.max), min: at(thread.pitchDiameter.min) } };
}

/** A profile in pitches over its pitch line: how far its flanks are straight, down and up, and where its crest is. */
export interface Profile {
  readonly half: number;
  readonly down: number;
  readonly up: number;
  readonly crest: number;
}

const HEIGHT = Math.sqrt(3) / 2;
/** A rounded form of depth h and radius r, in pitches: its flanks are straight to h / 2 - r (1 - sin a) either side. */
function rounded(half: number, h: number, r: number): Profile {
  const straight = h / 2 - r * (1 - Math.sin(radians(half)));
  return { half, down: straight, up: straight, crest: h / 2 };
}
const sixty: Profile = { half: 30, down: HEIGHT / 4, up: (3 * HEIGHT) / 8, crest: (3 * HEIGHT) / 8 };
export const profiles: Readonly<Record<Thread['family'], Profile>> = {
  metric: sixty,
  unified: sixty,
  whitworth: rounded(27.5, 0.6403274, 0.1373291),
  pipe: rounded(27.5, 0.6403274, 0.1373291),
  ba: rounded(23.75, 0.6, 0.180834),
  trapezoidal: { half: 15, down: 1 / 4, up: 1 / 4, crest: 1 / 4 },
  acme: { half: 14.5, down: 1 / 4, up: 1 / 4, crest: 1 / 4 },
};

/** Half of the flank angle of a family, degrees. */
export const flankHalf = (family: Thread['family']): number => profiles[family].half;

/** Least and largest wire that touch the straight flanks and stand proud of the crests, mm. */
function rangeOf(pitch: number, { half, down, up, crest }: Profile): readonly [smallest: number, largest: number] {
  const a = radians(half);
  // heights over the pitch line: wire centre W / (2 sin a) - seat, contact W / 2 (1 / sin a - sin a) - seat
  const seat = 1 / 4 / Math.tan(a);
  const contact = (height: number) => (2 * (height + seat)) / (1 / Math.sin(a) - Math.sin(a));
  const proud = (2 * (crest + seat)) / (1 / Math.sin(a) + 1);
  return [pitch * Math.max(contact(-down), proud), pitch * contact(up)];
}
