import { useSyncExternalStore } from 'react';

/** What a browser gives a page that may be installed. */
interface Prompt extends Event {
  readonly prompt: () => Promise<unknown>;
}

let prompt: Prompt | undefined;
const watching = new Set<() => void>();
const set = (next: Prompt | undefined) => {
  prompt = next;
  for (const on of watching) on();
};

/** From the beginning: the browser offers it once, early. */
export function watchInstalling(): void {
  window.addEventListener('beforeinstallprompt', (e) => {
    e.preventDefault();
    set(e as Prompt);
  });
  window.addEventListener('appinstalled', () => set(undefined));
}

const subscribe = (on: () => void) => {
  watching.add(on);
  return () => watching.delete(on);
};

/** Asks to install it; undefined where the browser does not offer it now. */
export function useInstalling(): (() => void) | undefined {
  const offered = useSyncExternalStore(subscribe, () => prompt);
  return offered && (() => void offered.prompt().finally(() => set(undefined)));
}

/** Over plain HTTP from another device a browser keeps much of itself closed. */
export const overPlainHttp = (): boolean => !window.isSecureContext;
export const isInstalled = (): boolean => window.matchMedia('(display-mode: standalone)').matches;
