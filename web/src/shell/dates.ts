import { differenceInCalendarDays, formatDistanceToNowStrict, formatISO, isValid, parseISO } from 'date-fns';

const day = new Intl.DateTimeFormat(undefined, { dateStyle: 'medium' });

/** A day as people read it here: '28 Nov 2026'; '' of what is no date. */
export function dayOf(moment: string): string {
  const at = parseISO(moment);
  return isValid(at) ? day.format(at) : '';
}

/** The day here, as it is stored: '2026-11-29'. */
export const today = (): string => formatISO(new Date(), { representation: 'date' });

/** By how much a day is over: '9 days late'; '' of one that is not. */
export function lateBy(day: string): string {
  const at = parseISO(day);
  const days = isValid(at) ? differenceInCalendarDays(new Date(), at) : 0;
  return days > 0 ? `${String(days)} ${days === 1 ? 'day' : 'days'} late` : '';
}

/** How long ago: '2 days ago', 'just now'; '' of what is no date. */
export function ago(moment: string): string {
  const at = parseISO(moment);
  if (!isValid(at)) return '';
  return Math.abs(Date.now() - at.getTime()) < 60_000 ? 'just now' : formatDistanceToNowStrict(at, { addSuffix: true });
}
