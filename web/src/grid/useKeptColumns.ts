import { useMemo, useState } from 'react';
import { kept } from '../data/local';

interface Columns {
  readonly order: readonly string[];
  readonly hidden: readonly string[];
}

/** What was kept of a table; nothing where nothing was, or it cannot be read. */
function read(of: string): Columns | undefined {
  try {
    const raw = JSON.parse(kept.get(`columns/${of}`) ?? 'null') as Partial<Record<keyof Columns, unknown>> | null;
    const words = (list: unknown) => (Array.isArray(list) ? list.filter((one) => typeof one === 'string') : []);
    return raw ? { order: words(raw.order), hidden: words(raw.hidden) } : undefined;
  } catch {
    return undefined;
  }
}

/** Which columns a table hides and how they are ordered, and how they are before anybody changed that: of this browser, not of the data. */
export function useKeptColumns(of: string, columns: readonly { readonly key: string; readonly folded?: true }[]) {
  const asMade = useMemo((): Columns => ({ order: [], hidden: columns.flatMap((c) => (c.folded ? [c.key] : [])) }), [columns]);
  const [chosen, setChosen] = useState(() => read(of));
  const set = (next: Columns) => {
    if (next === asMade) {
      setChosen(undefined);
      kept.remove(`columns/${of}`);
      return;
    }
    setChosen(next);
    kept.set(`columns/${of}`, JSON.stringify(next));
  };
  return [chosen ?? asMade, set, asMade] as const;
}
