import { liveEntries, type Mate } from '@obra/core/document';
import { thingOf } from '@obra/core/ref';
import { useMemo } from 'react';
import type { JobView } from '../view';

/** The last of a fit that was read or tried at the Bench, piece by piece; nothing before. */
export function TriedSoFar({ view, mate }: { readonly view: JobView; readonly mate: Mate }) {
  const { log } = view;
  const row = thingOf(mate.of);
  const tried = useMemo(() => {
    const last = new Map<number, { read?: string; feels?: string }>();
    for (const e of liveEntries(log)) {
      if (e.kind === 'trial' && (e.mate === mate.id || e.mate === row)) last.set(e.piece, { ...last.get(e.piece), feels: e.feel });
      if (e.kind === 'reading' && thingOf(e.of) === row) last.set(e.piece, { ...last.get(e.piece), read: `${e.value.text} ${e.value.units}` });
    }
    return [...last].toSorted((a, b) => a[0] - b[0]);
  }, [log, mate.id, row]);
  if (tried.length === 0) return null;
  return (
    <div className="said" data-tried={mate.id}>
      so far:{' '}
      {tried
        .map(([piece, { read, feels }]) => [`piece ${String(piece)}`, read && `read ${read}`, feels].filter((w) => w !== undefined).join(', '))
        .join('; ')}
    </div>
  );
}
