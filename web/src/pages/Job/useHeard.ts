import type { Typed } from '@obra/core/bench';
import { writeExact, type Units } from '@obra/core/quantity';
import { useRef } from 'react';
import { useReadings } from '../../instruments';

/** A piece so much warmer than 20 degrees is told to be. */
const WARM = 2;

/** What the gauge of a rehearsal showed, as a hand would have typed it. */
export const saidBySimulated = ({ mm, celsius }: { readonly mm: number; readonly celsius: number }): Typed => ({
  text: writeExact(mm, 'mm'),
  gaugeUnits: 'mm',
  celsius: Math.abs(celsius - 20) >= WARM ? `${String(celsius)}C` : '',
  units: 'mm',
});

/**
 * What a gauge says is typed and kept in one, where something is read: it passes the same doubts as what a hand types. One at a time; a bounce is for keys.
 */
export function useHeard(reads: boolean, keep: (said: { readonly text: string; readonly units: Units }) => Promise<void>): void {
  const busy = useRef(false);
  useReadings((said) => {
    if (!reads || busy.current) return;
    busy.current = true;
    void keep(said).finally(() => {
      busy.current = false;
    });
  });
}
