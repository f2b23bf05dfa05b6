import { useState } from 'react';
import { kept } from '../data/local';

interface Columns {
  readonly order: readonly string[];
  readonly hidden: readonly string[];
}

const none: Columns = { order: [], hidden: [] };

function read(of: string): Columns {
  try {
    const raw = JSON.parse(kept.get(`columns/${of}`) ?? '{}') as Partial<Record<keyof Columns, unknown>>;
    const words = (list: unknown) => (Array.isArray(list) ? list.filter((one) => typeof one === 'string') : []);
    return { order: words(raw.order), hidden: words(raw.hidden) };
  } catch {
    return none;
  }
}

/** Which columns a table hides and how they are ordered: of this browser, not of the data. */
export function useKeptColumns(of: string) {
  const [columns, setColumns] = useState(() => read(of));
  const set = (next: Columns) => {
    setColumns(next);
    if (next.order.length === 0 && next.hidden.length === 0) kept.remove(`columns/${of}`);
    else kept.set(`columns/${of}`, JSON.stringify(next));
  };
  return [columns, set] as const;
}
