import { useEffect, useSyncExternalStore } from 'react';

/** Something that the page in hand offers to be found: a step, a check, something to do. */
export interface Offer {
  readonly id: string;
  readonly says: string;
  readonly group: 'actions' | 'steps' | 'checks';
  /** found by these too */
  readonly words?: string;
  /** where it is, or what it does */
  readonly to?: string;
  readonly act?: () => void;
}

const all = new Map<symbol, () => readonly Offer[]>();
const watching = new Set<() => void>();
const changed = () => {
  for (const on of watching) on();
};

/** Offers of a page while it is shown; made only when somebody looks for something. */
export function useOffers(make: () => readonly Offer[]): void {
  useEffect(() => {
    const own = Symbol('offers');
    all.set(own, make);
    return () => {
      all.delete(own);
    };
  });
}

/** All that the page offers now. */
export const offersNow = (): readonly Offer[] => [...all.values()].flatMap((make) => make());

type Open = 'find' | 'keys' | undefined;
let open: Open;
const watch = (on: () => void) => {
  watching.add(on);
  return () => watching.delete(on);
};

/** Opens the finder, the list of keys, or closes them. */
export function openFinder(what: Open): void {
  open = what;
  changed();
}
export const useFinderOpen = (): Open =>
  useSyncExternalStore(
    watch,
    () => open,
    () => undefined,
  );
