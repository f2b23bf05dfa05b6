import { type ReactNode, useEffect } from 'react';
import { HotkeysProvider, useHotkeys, useHotkeysContext } from 'react-hotkeys-hook';

/** Where a key acts: what `?` groups them by. */
export type Scope = 'everywhere' | 'job' | 'picture' | 'drawing' | 'bench' | 'shop' | 'table';

export interface Key {
  /** what it does, as `?` lists it */
  readonly says: string;
  /** false leaves the key to the browser */
  readonly act: (event: KeyboardEvent) => unknown;
}

/** By how they are written: 'u', 'mod+z', 'alt+arrowup'; several that do the same with commas between: '/, shift+/'. */
type Keys = Readonly<Record<string, Key>>;

/** Where one types: letters are letters there. */
export const inCell = (target: EventTarget | null): target is HTMLElement =>
  target instanceof HTMLElement && target.closest('input, textarea, select, [contenteditable="true"]') !== null;
const each = (keys: string): readonly string[] => keys.split(', ');
/** Under a dialog nothing of the page acts. */
const underDialog = (event: KeyboardEvent) => document.querySelector('.modal.show') !== null && event.key !== 'Escape';
/** Letters and signs go by what they type, wherever they lie on the keyboard; digits and named keys by their place. */
const typed = (key: string): boolean => /^(?:mod\+|shift\+|alt\+)*[^\d]$/.test(key);

/** The key that acted and is still down: what it repeats types nothing into the cell that it opened. */
const held: { key: string | undefined } = { key: undefined };
const hold = (key: string | undefined): void => {
  held.key = key;
};

/**
 * Keys of a page. They act outside cells, but for those with Ctrl or Alt; `in: 'cells'` acts only within a cell. A key that is held repeats: it means nothing, but for the
 * arrows.
 */
export function useKeys(scope: Scope, keys: Keys, { in: place = 'page' }: { readonly in?: 'page' | 'cells' } = {}): void {
  const acts = new Map(Object.entries(keys).flatMap(([all, key]) => each(all).map((one) => [one, key] as const)));
  const press = (event: KeyboardEvent, { hotkey }: { readonly hotkey: string }) => {
    const key = acts.get(hotkey);
    const cell = inCell(event.target);
    if (!key || (place === 'cells' ? !cell : cell && !/^(?:mod|alt)\+/.test(hotkey) && hotkey !== 'escape')) return;
    if (event.repeat && !event.key.startsWith('Arrow') && !cell) event.preventDefault();
    else if (key.act(event) !== false) {
      event.preventDefault();
      hold(event.key);
    }
  };
  const shared = {
    scopes: scope,
    enableOnFormTags: true,
    enableOnContentEditable: true,
    ignoreEventWhen: underDialog,
    metadata: { scope, says: Object.fromEntries([...acts].map(([one, key]) => [one, key.says])) },
  };
  const names = [...acts.keys()];
  const [signs, others] = [names.filter(typed), names.filter((one) => !typed(one))];
  useHotkeys(signs, press, { ...shared, useKey: true, enabled: signs.length > 0 }, [press]);
  useHotkeys(others, press, { ...shared, enabled: others.length > 0 }, [press]);
}

/** One line of `?`: what does it, and which keys do. */
export interface Listed {
  readonly scope: Scope;
  readonly says: string;
  readonly keys: readonly string[];
}

const groups: readonly Scope[] = ['everywhere', 'job', 'picture', 'drawing', 'bench', 'shop', 'table'];

/** The keys that act on this page now, as they are registered. */
export function useListedKeys(): readonly Listed[] {
  const lines = new Map<string, Listed>();
  for (const { hotkey, metadata } of useHotkeysContext().hotkeys) {
    const { scope, says } = metadata as { readonly scope: Scope; readonly says: Readonly<Record<string, string>> };
    const does = says[hotkey];
    if (does === undefined) continue;
    const name = `${scope} ${does}`;
    const before = lines.get(name)?.keys ?? [];
    lines.set(name, { scope, says: does, keys: [...new Set([...before, hotkey])] });
  }
  return [...lines.values()].toSorted((a, b) => groups.indexOf(a.scope) - groups.indexOf(b.scope));
}

const caps: Readonly<Record<string, string>> = {
  mod: 'Ctrl',
  shift: 'Shift',
  alt: 'Alt',
  escape: 'Esc',
  enter: 'Enter',
  space: 'Space',
  pagedown: 'Page Down',
  arrowup: 'Up',
  arrowdown: 'Down',
  arrowleft: 'Left',
  arrowright: 'Right',
};

/** How a key is written for people: 'Ctrl+Shift+Z'; a sign as it is typed, without the Shift that some keyboards want for it. */
export function capOf(key: string): string {
  const parts = key.split('+');
  const sign = parts.at(-1) ?? '';
  if (/^[^a-z0-9]$/.test(sign)) return sign;
  return parts.map((part) => caps[part] ?? (parts.length > 1 && part.length === 1 ? part.toUpperCase() : part)).join('+');
}

function swallow(event: KeyboardEvent): void {
  if (!event.repeat || event.key !== held.key || event.key.startsWith('Arrow')) return;
  event.preventDefault();
  event.stopPropagation();
}

/** Knows which keys are registered, and which is held. */
export function KeysProvider({ children }: { readonly children: ReactNode }) {
  useEffect(() => {
    const letGo = () => {
      hold(undefined);
    };
    window.addEventListener('keydown', swallow, true);
    window.addEventListener('keyup', letGo, true);
    return () => {
      window.removeEventListener('keydown', swallow, true);
      window.removeEventListener('keyup', letGo, true);
    };
  }, []);
  return <HotkeysProvider>{children}</HotkeysProvider>;
}
