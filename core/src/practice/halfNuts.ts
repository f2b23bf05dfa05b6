import type { Nuts, StandSet } from './deeds';

/** What is said of the half-nuts as they are worked. */
export const nutsSaid: Readonly<Record<Nuts, string>> = {
  open: 'The half-nuts are open.',
  any: 'The half-nuts are closed at whatever line comes.',
  line: 'The half-nuts are closed at the same line of the thread dial each time.',
  kept: 'The half-nuts stay closed: back off, and run the spindle back.',
};

/** Another line of the thread dial than the first meets the groove less often than it misses it. */
export const BESIDE = 0.6;

/** Whether the half-nuts are closed so that the tool meets its groove. */
export const meets = (asked: StandSet['nuts'], at: Nuts): boolean => at === 'kept' || at === asked || asked === 'any';
