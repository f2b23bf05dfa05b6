import { say, type Sentence } from '../quantity';
import { fit, type Fit, type LookedUp } from './fits';

/** What two parts are to do together. A bearing's ring that turns against its load wants a fit with interference; one that stands may slide. */
export type Intent =
  | 'running-free'
  | 'running'
  | 'sliding'
  | 'location'
  | 'push'
  | 'light-press'
  | 'press'
  | 'shrink'
  | 'bearing-shaft-rotating'
  | 'bearing-shaft-stationary'
  | 'bearing-housing-stationary'
  | 'bearing-housing-rotating';

interface Habit {
  readonly words: string;
  /** hole basis: class of hole and shaft. A bearing's own ring stands for the class that it does not have. */
  readonly classes: (nominal: number) => readonly [hole: string | undefined, shaft: string | undefined];
  readonly why: string;
}

/** Hole-basis fits in general use, closest purpose first. @source ISO 286-1 preferred fits and bearing practice, common practice, from memory */
export const fitHabits: Readonly<Record<Intent, Habit>> = {
  'running-free': {
    words: 'turns freely, oil or heat between',
    classes: () => ['H9', 'd9'],
    why: 'wide clearance: quick, hot or not well aligned; dirt and oil have room',
  },
  running: {
    words: 'turns with oil, moderate speed',
    classes: () => ['H8', 'f7'],
    why: 'room for an oil film at moderate speed; the usual plain bearing',
  },
  sliding: {
    words: 'slides or turns slowly, no play felt',
    classes: () => ['H7', 'g6'],
    why: 'the least clearance that still moves; needs oil and care',
  },
  location: {
    words: 'put together by hand, stays in place',
    classes: () => ['H7', 'h6'],
    why: 'least clearance is nothing: slides on oiled, locates, comes apart again',
  },
  push: {
    words: 'tapped on with a soft hammer, comes off again',
    classes: () => ['H7', 'k6'],
    why: 'between a little clearance and a little interference; keys carry the torque',
  },
  'light-press': {
    words: 'light press, comes off with a puller',
    classes: () => ['H7', 'n6'],
    why: 'nearly always some interference; pressed by hand or a vice',
  },
  press: { words: 'pressed, stays', classes: () => ['H7', 'p6'], why: 'always interference, little stress: locates for good, carries little torque' },
  shrink: {
    words: 'shrunk or pressed hard, carries torque',
    classes: () => ['H7', 's6'],
    why: 'interference about a thousandth of the diameter: warm the hub',
  },
  'bearing-shaft-rotating': {
    words: 'bearing, shaft turns: seat of the inner ring',
    classes: (d) => [undefined, d <= 18 ? 'j5' : d <= 100 ? 'k5' : 'm5'],
    why: 'the load wanders round the inner ring: it creeps on a loose seat, so it is fitted with interference; ball bearing, normal load',
  },
  'bearing-shaft-stationary': {
    words: 'bearing, shaft stands: seat of the inner ring',
    classes: () => [undefined, 'g6'],
    why: 'the load stands on one spot of the inner ring: it may slide, and goes on by hand (h6 where it need not move)',
  },
  'bearing-housing-stationary': {
    words: 'bearing, housing stands: seat of the outer ring',
    classes: () => ['H7', undefined],
    why: 'the load stands on one spot of the outer ring: it may slide in its bore and let the shaft grow',
  },
  'bearing-housing-rotating': {
    words: 'bearing, housing turns: seat of the outer ring',
    classes: () => ['N7', undefined],
    why: 'the load wanders round the outer ring: it creeps in a loose bore (P7 under heavy load)',
  },
};

export interface SuggestedFit {
  readonly intent: Intent;
  /** '25 H7/g6'; of a bearing's seat only its own size: '25 k5' */
  readonly text: string;
  readonly why: Sentence;
  /** absent for a bearing's seat: the ring has limits of its own, not in this table */
  readonly fit?: Fit;
}

/** A fit for what it must do, with the reason. `nominal` in mm, over 0 to 500. @source ISO 286 preferred fits; seats of ball bearings under normal load; common practice */
export function suggestFit(intent: Intent, nominal: number): LookedUp<SuggestedFit> {
  const { classes, why } = fitHabits[intent];
  const [hole, shaft] = classes(nominal);
  const size = String(nominal);
  const text = hole !== undefined && shaft !== undefined ? `${size} ${hole}/${shaft}` : `${size} ${hole ?? shaft ?? ''}`;
  if (hole === undefined || shaft === undefined) return { ok: true, intent, text, why: say`${why}` };
  const read = fit(text);
  return read.ok
    ? { ok: true, intent, text, why: say`${why}`, fit: { hole: read.hole, shaft: read.shaft, clearance: read.clearance, kind: read.kind } }
    : read;
}
