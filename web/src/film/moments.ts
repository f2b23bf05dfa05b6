import type { Film, Reel } from '@obra/core/proof';

/** What is seen at a moment: which step, and how far in it; hands first, then its ways one after another. */
export interface Moment {
  readonly reel: number;
  /** the way that the tool is on; none while hands are at work */
  readonly way: number | undefined;
  /** share of the way, or of the time of the hands, that is gone by; 0 to 1 */
  readonly share: number;
}

/** Of a step without its own time, or where all steps last alike, hands take this share. */
const HANDS = 0.25;

/** Where each step begins, and where the last ends: in minutes of the plan, or one for each step. */
export function beginsOf(film: Film, alike: boolean): readonly number[] {
  const begins = [0];
  for (const reel of film.reels) begins.push((begins.at(-1) ?? 0) + (alike ? 1 : reel.minutes));
  return begins;
}

/** Share of a step that goes by before its tool moves. */
const handsOf = (reel: Reel, alike: boolean): number =>
  reel.ways.length === 0 ? 1 : alike || !(reel.minutes > 0) ? HANDS : Math.min(0.98, reel.hands / reel.minutes);

/** What is seen at a time; before the begin the begin, after the end the end. */
export function momentAt(film: Film, begins: readonly number[], time: number, alike: boolean): Moment {
  const end = begins.at(-1) ?? 0;
  const t = Math.min(Math.max(time, 0), end);
  let [low, high] = [0, film.reels.length - 1];
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if ((begins[middle] ?? 0) <= t) low = middle;
    else high = middle - 1;
  }
  const reel = film.reels[low];
  if (!reel) return { reel: 0, way: undefined, share: 0 };
  const [from, to] = [begins[low] ?? 0, begins[low + 1] ?? 0];
  const local = to > from ? (t - from) / (to - from) : 1;
  const hands = handsOf(reel, alike);
  if (local < hands || reel.ways.length === 0) return { reel: low, way: undefined, share: hands > 0 ? Math.min(1, local / hands) : 1 };
  const all = reel.ways.reduce((sum, w) => sum + w.minutes, 0);
  let rest = ((local - hands) / (1 - hands)) * (all > 0 ? all : reel.ways.length);
  for (let i = 0; i < reel.ways.length; i++) {
    const long = all > 0 ? (reel.ways[i]?.minutes ?? 0) : 1;
    if (rest < long || i === reel.ways.length - 1) return { reel: low, way: i, share: long > 0 ? Math.min(1, rest / long) : 1 };
    rest -= long;
  }
  return { reel: low, way: reel.ways.length - 1, share: 1 };
}

/** When a share of a way is come to: the other way round. */
export function timeOf(film: Film, begins: readonly number[], { reel: nth, way, share }: Moment, alike: boolean): number {
  const reel = film.reels[nth];
  const [from, to] = [begins[nth] ?? 0, begins[nth + 1] ?? 0];
  if (!reel) return 0;
  const hands = handsOf(reel, alike);
  if (way === undefined) return from + (to - from) * hands * share;
  const all = reel.ways.reduce((sum, w) => sum + w.minutes, 0);
  const long = (i: number) => (all > 0 ? (reel.ways[i]?.minutes ?? 0) : 1);
  let gone = share * long(way);
  for (let i = 0; i < way; i++) gone += long(i);
  return from + (to - from) * (hands + (1 - hands) * (gone / (all > 0 ? all : reel.ways.length)));
}

/** Times at which two bodies begin to touch, in order. */
export const touchTimes = (film: Film, begins: readonly number[], alike: boolean): readonly number[] =>
  film.reels
    .flatMap((reel, nth) => reel.touches.map((t) => timeOf(film, begins, { reel: nth, way: t.way, share: t.at }, alike)))
    .toSorted((a, b) => a - b);
