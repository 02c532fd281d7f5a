import { useCallback, useEffect, useState } from 'react';
import type { VerdictDetailsData } from './verdict-details';

/** What stands under a verdict, and where its fetching stands. */
export interface VerdictDetailsState {
  /** After a change the old one stands until the new one is there. */
  readonly rest: VerdictDetailsData | null;
  readonly isFailed: boolean;
  readonly fetchAgain: () => void;
}

/**
 * What a verdict's page needs beyond the verdict, fetched once the page takes input: most of a trial's bulk is what no part of
 * the verdict on one measure asks for.
 *
 * @param shown what the page came with; fetched anew whenever that changes
 */
export function useVerdictDetails(
  trialId: string,
  measureId: string,
  shown: unknown,
): VerdictDetailsState {
  const [state, setState] = useState<Omit<VerdictDetailsState, 'fetchAgain'>>({
    rest: null,
    isFailed: false,
  });
  const [tries, setTries] = useState(0);
  // biome-ignore lint/correctness/useExhaustiveDependencies: what the page came with and each try are reasons to ask again
  useEffect(() => {
    const stop = new AbortController();
    const reader = import('./verdict-details'); // while the answer is on its way
    fetch(`/api/verdict/${trialId}?measure=${measureId}`, { signal: stop.signal })
      .then(async answer => {
        if (!answer.ok) throw new TypeError(`the server answered ${answer.status}`);
        const [{ VerdictDetailsData }, body] = await Promise.all([reader, answer.json()]);
        setState({ rest: VerdictDetailsData.parse(body), isFailed: false });
      })
      .catch(() => {
        if (!stop.signal.aborted) setState(before => ({ ...before, isFailed: true }));
      });
    return () => stop.abort();
  }, [trialId, measureId, shown, tries]);
  return { ...state, fetchAgain: useCallback(() => setTries(before => before + 1), []) };
}
