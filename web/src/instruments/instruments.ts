import { useEffect, useSyncExternalStore } from 'react';
import * as z from 'zod';
import { kept } from '../data/local';
import { type GaugeReading, LineFormat, Lines, usual } from './lines';

/*
 * Gauges with a data key. One interface whatever they speak through: a serial line, a stand-in of the server, the same code in memory. No real gauge was tried: what is known
 * of them is the lines in the table.
 */

/** Where the lines of a gauge come from. */
export interface Source {
  readonly id: string;
  readonly name: string;
  /** Listens until it ends; `onText` takes what comes as it comes. Rejects where it cannot be opened. */
  readonly open: (onText: (chunk: string) => void, onEnd: () => void) => Promise<() => void>;
}

export type State = 'opening' | 'speaks' | 'ended' | 'refused';

export interface Instrument {
  readonly id: string;
  readonly name: string;
  readonly state: State;
  /** the last that it said that was no reading */
  readonly trouble: string | undefined;
  readonly format: LineFormat;
}

interface Live extends Instrument {
  readonly source: Source;
  readonly close: () => void;
}

const KEY = 'obra-instruments';
/** What is remembered of a gauge: how its lines are read. */
const Kept = z.record(z.string(), LineFormat);

function keptFormats(): Readonly<Record<string, LineFormat>> {
  try {
    return Kept.safeParse(JSON.parse(kept.get(KEY) ?? '{}')).data ?? {};
  } catch {
    return {};
  }
}

let live: readonly Live[] = [];
const watching = new Set<() => void>();
const hearing = new Set<(reading: GaugeReading, from: string) => void>();
const set = (next: readonly Live[]): void => {
  live = next;
  for (const on of watching) on();
};
const change = (id: string, to: Partial<Live>): void => set(live.map((l) => (l.id === id ? { ...l, ...to } : l)));

/** A reading is held so long, ms, and more than so many in that time are no press of a key. */
const [HOLDS, AT_ONCE] = [120, 3];

const REFUSED = 'it was not opened: another program may have it, or it was not allowed';

/** Begins to listen; one that is heard already is begun anew. */
export async function listenTo(source: Source, format: LineFormat = keptFormats()[source.id] ?? usual): Promise<void> {
  leave(source.id);
  set([...live, { id: source.id, name: source.name, state: 'opening', trouble: undefined, format, source, close: () => undefined }]);
  const lines = new Lines(format);
  // a reading is held for a moment: one press of a key is one reading, and what comes in heaps is none
  let held: GaugeReading[] = [];
  let waits: ReturnType<typeof setTimeout> | undefined;
  const flooded = () => {
    held = [];
    change(source.id, { trouble: 'it sends without end: nothing of it is taken until it is quiet' });
  };
  const settled = () => {
    const [count, last] = [held.length, held.at(-1)];
    held = [];
    if (count > AT_ONCE) flooded();
    else if (last) for (const on of hearing) on(last, source.name);
  };
  const heard = (chunk: string) => {
    for (const read of lines.take(chunk, Date.now())) {
      if (read === undefined) continue;
      if ('flood' in read) flooded();
      else if ('garbage' in read)
        change(source.id, { trouble: `“${printable(read.garbage)}” is no reading; look at its cable and how its lines are read` });
      else {
        change(source.id, { trouble: undefined });
        held.push(read);
        clearTimeout(waits);
        waits = setTimeout(settled, HOLDS);
      }
    }
  };
  try {
    const close = await source.open(heard, () => change(source.id, { state: 'ended', trouble: 'it is gone: unplugged, or its battery is flat' }));
    // left while it was opening
    if (!live.some((l) => l.id === source.id)) {
      close();
      return;
    }
    change(source.id, { state: 'speaks', close });
  } catch {
    change(source.id, { state: 'refused', trouble: REFUSED });
  }
}

const printable = (text: string): string => text.replaceAll(/[^ -~]/g, '·').slice(0, 40);

/** Listens no more. */
export function leave(id: string): void {
  live.find((l) => l.id === id)?.close();
  set(live.filter((l) => l.id !== id));
}

/** Reads its lines another way, from now on and when it is met again. */
export function readAs(id: string, format: LineFormat): void {
  kept.set(KEY, JSON.stringify({ ...keptFormats(), [id]: format }));
  const one = live.find((l) => l.id === id);
  if (one) void listenTo(one.source, format);
}

const watch = (on: () => void) => {
  watching.add(on);
  return () => watching.delete(on);
};
const now = (): readonly Instrument[] => live;

/** The gauges that are listened to. */
export const useInstruments = (): readonly Instrument[] => useSyncExternalStore(watch, now);

/** Takes each reading as it comes, while the page that asks is shown. */
export function useReadings(take: (reading: GaugeReading, from: string) => void): void {
  useEffect(() => {
    hearing.add(take);
    return () => {
      hearing.delete(take);
    };
  });
}
