'use client';

import { createContext, type ReactNode, useContext, useState } from 'react';

interface Chosen {
  readonly unitId: string | null;
  readonly choose: (unitId: string | null) => void;
}

const Context = createContext<Chosen>({ unitId: null, choose: () => undefined });

/** Holds which unit is chosen, for all steps of a trial: chosen anywhere is chosen everywhere. */
export function ChosenUnitProvider({ children }: { readonly children: ReactNode }) {
  const [unitId, choose] = useState<string | null>(null);
  return <Context value={{ unitId, choose }}>{children}</Context>;
}

/** The chosen unit, and how to choose another. */
export function useChosenUnit(): Chosen {
  return useContext(Context);
}
