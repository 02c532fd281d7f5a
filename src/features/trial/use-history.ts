'use client';

import { useEffect, useState } from 'react';

/**
 * The history of an entry, asked for when it is opened.
 *
 * @param load changes with what it depends on: then it is asked for again
 * @returns null until it is there
 */
export function useHistory<Entry>(
  isOpen: boolean,
  load: () => Promise<readonly Entry[]>,
): readonly Entry[] | null {
  const [revisions, setRevisions] = useState<readonly Entry[] | null>(null);
  useEffect(() => {
    let isWanted = isOpen;
    if (isOpen)
      load().then(
        found => {
          if (isWanted) setRevisions(found);
        },
        () => undefined,
      );
    return () => {
      isWanted = false;
    };
  }, [isOpen, load]);
  return revisions;
}
