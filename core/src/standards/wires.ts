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

const radians = (degrees: number) => (degrees * Math.PI) / 180;

/** The wire that touches the flanks at the pitch line, mm. @source W = P / (2 cos a), elementary geometry */
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
  const { pitch, lead = pitch } = thread;
  const profile = profiles[thread.family];
  const { half } = profile;
  const best = bestWire(pitch, half);
  const [smallest, largest] = rangeOf(pitch, profile);
  const used = wire ?? best;
  if (!(used >= smallest - 1e-9 && used <= largest + 1e-9))
    return {
      ok: false,
      says: [
        'a wire of ',
        { is: 'length', value: used, step: 0.001 },
        ' does not do; from ',
        { is: 'length', value: smallest, step: 0.001 },
        ' to ',
        { is: 'length', value: largest, step: 0.001 },
      ],
      nearest: [],
    };
  const at = (pitchDiameter: number | null) => (pitchDiameter === null ? null : tidy(overWires({ pitchDiameter, pitch, half, lead }, used)));
  return { ok: true, thread, wire: used, best, smallest, largest, over: { max: at(thread.pitchDiameter.max), min: at(thread.pitchDiameter.min) } };
}

/** A profile in pitches over its pitch line: how far its flanks are straight, down and up, and where its crest is. */
interface Profile {
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
const profiles: Readonly<Record<Thread['family'], Profile>> = {
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
