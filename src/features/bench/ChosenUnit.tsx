'use client';

import { createContext, type ReactNode, useCallback, useContext, useEffect, useState } from 'react';

interface Chosen {
  readonly unitId: string | null;
  readonly choose: (unitId: string | null) => void;
}

const Context = createContext<Chosen>({ unitId: null, choose: () => undefined });

/** Holds which unit is chosen, for all steps of a trial: chosen anywhere is chosen everywhere. */
export function ChosenUnitProvider({ children }: { readonly children: ReactNode }) {
  const [unitId, setUnitId] = useState<string | null>(null);
  // After a reload it is still the one that was chosen, as long as this tab is open.
  useEffect(() => setUnitId(kept()), []);
  const choose = useCallback((chosen: string | null): void => {
    setUnitId(chosen);
    keep(chosen);
  }, []);
  return <Context value={{ unitId, choose }}>{children}</Context>;
}

const KEY = 'turnspit-chosen-unit';

function kept(): string | null {
  try {
    return window.sessionStorage.getItem(KEY);
  } catch {
    return null; // storage shut off by the browser
  }
}

function keep(unitId: string | null): void {
  try {
    if (unitId === null) window.sessionStorage.removeItem(KEY);
    else window.sessionStorage.setItem(KEY, unitId);
  } catch {
    // Without storage it is chosen until the next reload.
  }
}

/** The chosen unit, and how to choose another. */
export function useChosenUnit(): Chosen {
  return useContext(Context);
}
