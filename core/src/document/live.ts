import type { Entry } from './types';

/** The entries that stand: what was withdrawn is left out, and so are the withdrawals. */
export function liveEntries(log: readonly Entry[]): readonly Entry[] {
  const withdrawn = new Set(log.flatMap((e) => (e.kind === 'withdrawn' ? [e.entry] : [])));
  return log.filter((e) => e.kind !== 'withdrawn' && !withdrawn.has(e.id));
}
