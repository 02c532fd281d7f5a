'use client';

import { createContext, type ReactNode, useContext, useMemo, useState } from 'react';

interface SeasonDay {
  /** The day of the season that is looked at; null: as it stands today. */
  readonly on: string | null;
  readonly look: (on: string | null) => void;
}

const Looked = createContext<SeasonDay>({ on: null, look: () => undefined });

/** The day that is chosen on a trial's season line, for all that can show itself as of a day. */
export function SeasonDayProvider({ children }: { readonly children: ReactNode }) {
  const [on, look] = useState<string | null>(null);
  const day = useMemo(() => ({ on, look }), [on]);
  return <Looked value={day}>{children}</Looked>;
}

export function useSeasonDay(): SeasonDay {
  return useContext(Looked);
}
