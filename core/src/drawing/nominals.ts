import type { Gauge } from '../document';
import { MM_PER_INCH, nearestFraction, tidy } from '../quantity';
import { doubtOf } from '../shop';
import { nearestDrills, threadLimits, threadsNear } from '../standards';

export interface SampleAsked {
  /** readings of one size, mm */
  readonly readings: readonly number[];
  /** how far a reading may be off, mm: of the gauge and the hand */
  readonly doubt: number;
  /** a bore wears larger, an outside smaller */
  readonly side: 'outside' | 'bore' | 'length';
  /** of a thread, mm */
  readonly pitch?: number;
}

export interface Likely {
  /** as a size cell takes it: '25', '63/64', '#7', 'M10x1.5' */
  readonly text: string;
  /** mm */
  readonly nominal: number;
  readonly what: string;
  /** reading less nominal, mm */
  readonly off: number;
  /** in doubts of the gauge, a usual size before a rare one; smaller is likelier */
  readonly score: number;
}

/** How much less usual a kind of size is than a whole millimetre or an eighth of an inch, in doubts. @source copy, common practice */
const rarity = {
  whole: 0,
  eighth: 0,
  half: 0.6,
  sixteenth: 0.4,
  thirtySecond: 0.9,
  sixtyFourth: 1.5,
  drill: 1.3,
  bearing: -0.3,
  thread: -0.4,
} as const;
/** Bores of rolling bearings, mm. @source ISO 15, from memory */
const bearingBores = [10, 12, 15, 17, ...Array.from({ length: 17 }, (_, i) => 20 + 5 * i)];

/** How far a reading of a worn piece may be off, mm: twice what the gauge is good to, and never under a hundredth, which is the hand's. @source copy, common practice */
export const sampleDoubt = (gauge: Gauge | undefined): number => Math.max(0.01, gauge ? 2 * doubtOf(gauge) : 0);

/** The reading that speaks for the unworn size: of an outside the largest, of a bore the smallest, of a length the middle. @source copy, common practice */
export function unworn({ readings, side }: Pick<SampleAsked, 'readings' | 'side'>): number {
  const sorted = readings.toSorted((a, b) => a - b);
  const at = side === 'outside' ? sorted.length - 1 : side === 'bore' ? 0 : Math.floor(sorted.length / 2);
  return sorted[at] ?? NaN;
}

/**
 * What a worn or original piece was likely made to, likeliest first; those within three doubts, at most eight.
 * @throws RangeError without readings or without a doubt
 * @source copy, common practice: a fraction, a whole or half millimetre, a drill, a bearing bore, a thread
 */
export function likelyNominals(asked: SampleAsked): readonly Likely[] {
  const reading = unworn(asked);
  const { doubt, side, pitch } = asked;
  if (!(reading > 0 && doubt > 0)) throw new RangeError(`readings ${asked.readings.join(' ')} mm with a doubt of ${doubt} mm`);
  // wear takes off an outside and opens a bore: the other way is only the gauge
  const grown = (off: number) => (side === 'outside' && off > 0) || (side === 'bore' && off < 0);
  const found = new Map<string, Likely>();
  const offer = (text: string, nominal: number, what: string, rare: number, loose = 0) => {
    const off = tidy(reading - nominal);
    // a thread is cut under its nominal: that much is no distance
    const far = (Math.max(0, Math.abs(off) - loose) / doubt) * (grown(off) ? 2 : 1);
    if (far > 3) return;
    const before = found.get(text);
    const score = tidy(far + rare);
    if (!before || before.score > score) found.set(text, { text, nominal: tidy(nominal), what, off, score });
  };
  const half = Math.round(reading * 2) / 2;
  if (half > 0)
    offer(
      `${String(half)} mm`,
      half,
      Number.isInteger(half) ? 'whole millimetre' : 'half millimetre',
      Number.isInteger(half) ? rarity.whole : rarity.half,
    );
  for (const [parts, what, rare] of [
    [8, 'eighth of an inch', rarity.eighth],
    [16, 'sixteenth of an inch', rarity.sixteenth],
    [32, 'thirty-second of an inch', rarity.thirtySecond],
    [64, 'sixty-fourth of an inch', rarity.sixtyFourth],
  ] as const) {
    const inch = Math.round((reading / MM_PER_INCH) * parts) / parts;
    const fraction = inch > 0 ? nearestFraction(inch) : undefined;
    if (fraction !== undefined) offer(fraction.includes('/') ? fraction : `${fraction} in`, inch * MM_PER_INCH, what, rare);
  }
  if (side === 'bore')
    for (const drill of nearestDrills(reading, ['number', 'letter', 'metric']).slice(0, 3))
      offer(drill.set === 'metric' ? `${drill.name} mm` : drill.name, drill.diameter, 'drill', rarity.drill);
  if (side !== 'length')
    for (const bore of bearingBores)
      if (Math.abs(bore - reading) < 3 * doubt) offer(`${String(bore)} mm`, bore, 'whole millimetre, a bearing’s size', rarity.bearing);
  if (pitch !== undefined && side === 'outside')
    for (const text of threadsNear(reading, pitch)) {
      const thread = threadLimits(text);
      if (thread.ok) offer(text, thread.nominal, 'thread', rarity.thread, 0.25 * thread.pitch);
    }
  return [...found.values()].toSorted((a, b) => a.score - b.score).slice(0, 8);
}
