import { useCallback, useEffect, useState } from 'react';
import type { RestOfVerdict } from './verdict-details';

/** What stands under a verdict, and where its fetching stands. */
export interface RestState {
  /** After a change the old one stands until the new one is there. */
  readonly rest: RestOfVerdict | null;
  readonly isFailed: boolean;
  readonly fetchAgain: () => void;
}

/**
 * What a verdict's page needs beyond the verdict, fetched once the page takes input: most of a trial's bulk is what no part of
 * the verdict on one measure asks for.
 *
 * @param shown what the page came with; fetched anew whenever that changes
 */
export function useRest(trialId: string, measureId: string, shown: unknown): RestState {
  const [state, setState] = useState<Omit<RestState, 'fetchAgain'>>({
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
        const [{ RestOfVerdict }, body] = await Promise.all([reader, answer.json()]);
        setState({ rest: RestOfVerdict.parse(body), isFailed: false });
      })
      .catch(() => {
        if (!stop.signal.aborted) setState(before => ({ ...before, isFailed: true }));
      });
    return () => stop.abort();
  }, [trialId, measureId, shown, tries]);
  return { ...state, fetchAgain: useCallback(() => setTries(before => before + 1), []) };
}
