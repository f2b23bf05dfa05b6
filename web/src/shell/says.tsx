import { lazy, Suspense, useEffect, useSyncExternalStore } from 'react';
import { useLocation } from 'react-router';
import type { Act } from './act';

// loaded when there is something to tell
const Strip = lazy(() => import('./Strip').then((m) => ({ default: m.Strip })));

/** What is told on the way to another page is told there; what was told before has had its time, ms. */
const ON_THE_WAY = 1000;

/** What just happened, in a sentence: what was kept, what to do; with the press that takes it back where there is one. */
interface Told {
  readonly text: string;
  readonly act: Act | undefined;
  readonly at: number;
}

let told: Told | undefined;
const listeners = new Set<() => void>();
const set = (next: Told | undefined) => {
  told = next;
  for (const listener of listeners) listener();
};

/** Tells what just happened, in the one place for that: what stood there goes. */
export const tell = (text: string, undo?: () => void): void => offer(text, undo && { says: 'undo', does: undo });

/** The same, with a press of its own. */
export const offer = (text: string, act?: Act): void => set({ text, act, at: Date.now() });

/** Nothing to be told any more. */
export const untell = (): void => set(undefined);

const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/** In the build nothing has happened yet. */
const none = () => undefined;

/** The one place where what just happened is told; read aloud, and there until it is closed or something else is told. */
export function Says() {
  const now = useSyncExternalStore(subscribe, () => told, none);
  const { pathname } = useLocation();
  useEffect(() => {
    if (told && Date.now() - told.at > ON_THE_WAY) untell();
  }, [pathname]);
  return (
    <div role="status" aria-live="polite" className="says noprint">
      {now && (
        <Suspense fallback={null}>
          <Strip text={now.text} act={now.act} close={untell} />
        </Suspense>
      )}
    </div>
  );
}
