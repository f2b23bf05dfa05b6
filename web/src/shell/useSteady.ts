import equal from 'fast-deep-equal/es6';
import { type ComponentType, memo, useLayoutEffect, useState } from 'react';

type Acts = Record<string, ((...given: unknown[]) => unknown) | undefined>;

/** Functions that stay the same and do what the newest ones do. */
class Steady<T extends object> {
  readonly acts: T;
  private newest: T;
  constructor(first: T) {
    this.newest = first;
    const call = (name: string, given: unknown[]) => (this.newest as Acts)[name]?.(...given);
    this.acts = Object.fromEntries(Object.keys(first).map((name) => [name, (...given: unknown[]) => call(name, given)])) as T;
  }
  take(newest: T): void {
    this.newest = newest;
  }
}

/** The same functions at each render, which do what the newest ones do: a child that gets them need not be drawn again. */
export function useSteady<T extends object>(acts: T): T {
  const [steady] = useState(() => new Steady(acts));
  useLayoutEffect(() => steady.take(acts));
  return steady.acts;
}

/** A component that is drawn again only when what it is given differs in content. */
export const memoSteady = <P extends object>(component: ComponentType<P>) => memo(component, equal);
