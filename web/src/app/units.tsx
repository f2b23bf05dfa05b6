import type { Units } from '@obra/core';
import { createContext, type ReactNode, useCallback, useContext, useMemo, useState } from 'react';

interface UnitsOfPage {
  /** what a person asked this page to show; undefined leaves it to the job */
  readonly asked: Units | undefined;
  readonly ask: (units: Units | undefined) => void;
}

const Context = createContext<UnitsOfPage>({ asked: undefined, ask: () => undefined });

/** The units key is a setting of the page, kept for this window, not of the job. */
export function UnitsProvider({ children }: { readonly children: ReactNode }) {
  const [asked, setAsked] = useState<Units | undefined>(() => {
    const kept = sessionStorage.getItem('obra-units');
    return kept === 'mm' || kept === 'in' ? kept : undefined;
  });
  const ask = useCallback((units: Units | undefined) => {
    setAsked(units);
    if (units === undefined) sessionStorage.removeItem('obra-units');
    else sessionStorage.setItem('obra-units', units);
  }, []);
  return <Context value={useMemo(() => ({ asked, ask }), [asked, ask])}>{children}</Context>;
}

export function useUnits(own: Units): { readonly units: Units; readonly swap: () => void; readonly asked: Units | undefined } {
  const { asked, ask } = useContext(Context);
  const units = asked ?? own;
  return { units, asked, swap: useCallback(() => ask(units === 'mm' ? 'in' : 'mm'), [ask, units]) };
}
