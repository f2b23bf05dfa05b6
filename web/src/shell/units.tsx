import type { Units } from '@obra/core/quantity';
import { createContext, type ReactNode, useCallback, useContext, useMemo, useState } from 'react';
import { keptHere } from '../data/local';

interface UnitsOfPage {
  /** what a person asked this page to show; undefined leaves it to the job */
  readonly asked: Units | undefined;
  readonly ask: (units: Units | undefined) => void;
}

const Context = createContext<UnitsOfPage>({ asked: undefined, ask: () => undefined });

/** The units key is a setting of the page, kept for this window, not of the job. */
export function UnitsProvider({ children }: { readonly children: ReactNode }) {
  const [asked, setAsked] = useState<Units | undefined>(() => {
    const before = keptHere.get('obra-units');
    return before === 'mm' || before === 'in' ? before : undefined;
  });
  const ask = useCallback((units: Units | undefined) => {
    setAsked(units);
    if (units === undefined) keptHere.remove('obra-units');
    else keptHere.set('obra-units', units);
  }, []);
  return <Context value={useMemo(() => ({ asked, ask }), [asked, ask])}>{children}</Context>;
}

export function useUnits(own: Units): {
  readonly units: Units;
  readonly swap: () => void;
  readonly ask: UnitsOfPage['ask'];
  readonly asked: Units | undefined;
} {
  const { asked, ask } = useContext(Context);
  const units = asked ?? own;
  return { units, asked, ask, swap: useCallback(() => ask(units === 'mm' ? 'in' : 'mm'), [ask, units]) };
}
