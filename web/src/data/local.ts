/**
 * The small, synchronous storage of this browser: marks of the page, and the journal of what is not stored yet. Cookies blocked, or full: every
 * call answers as if there were none, and the page works on for this visit.
 */
export interface Small {
  readonly get: (key: string) => string | null;
  /** false when it was not kept */
  readonly set: (key: string, value: string) => boolean;
  readonly remove: (key: string) => void;
  readonly keys: (prefix: string) => readonly string[];
}

const small = (of: () => Storage): Small => ({
  get: (key) => tried(() => of().getItem(key), null),
  set: (key, value) =>
    tried(() => {
      of().setItem(key, value);
      return true;
    }, false),
  remove: (key) => tried(() => of().removeItem(key), undefined),
  keys: (prefix) =>
    tried(() => {
      const store = of();
      return Array.from({ length: store.length }, (_, i) => store.key(i) ?? '').filter((key) => key.startsWith(prefix));
    }, []),
});

function tried<T>(work: () => T, otherwise: T): T {
  try {
    return work();
  } catch {
    return otherwise;
  }
}

/** Kept in this browser. */
export const kept: Small = small(() => localStorage);
/** Kept for this window. */
export const keptHere: Small = small(() => sessionStorage);
