import { useEffect, useState } from 'react';
import { TrialData } from '@/core/trial/trial-data';

/**
 * The trial with the readings of all its measures, fetched once the page takes input: most of a trial's bulk is what no part
 * of the verdict on one measure asks for.
 *
 * @param shown what the page came with; fetched anew whenever that changes
 * @returns null until it is there, and where it can't be fetched
 */
export function useWholeTrial(shown: TrialData): TrialData | null {
  const [whole, setWhole] = useState<{ readonly of: TrialData; readonly data: TrialData } | null>(null);
  useEffect(() => {
    const stop = new AbortController();
    fetch(`/api/report/${shown.trial.id}?as=json`, { signal: stop.signal })
      .then(async answer => { if (answer.ok) setWhole({ of: shown, data: TrialData.parse(await answer.json()) }); })
      .catch(() => undefined); // without a connection the verdict stands; only the other measures wait
    return () => stop.abort();
  }, [shown]);
  return whole?.of === shown ? whole.data : null;
}
