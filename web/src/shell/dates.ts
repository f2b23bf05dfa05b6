import { formatDistanceToNowStrict, isValid, parseISO } from 'date-fns';

const day = new Intl.DateTimeFormat(undefined, { dateStyle: 'medium' });

/** A day as people read it here: '28 Nov 2026'; '' of what is no date. */
export function dayOf(moment: string): string {
  const at = parseISO(moment);
  return isValid(at) ? day.format(at) : '';
}

/** How long ago: '2 days ago', 'just now'; '' of what is no date. */
export function ago(moment: string): string {
  const at = parseISO(moment);
  if (!isValid(at)) return '';
  return Math.abs(Date.now() - at.getTime()) < 60_000 ? 'just now' : formatDistanceToNowStrict(at, { addSuffix: true });
}
