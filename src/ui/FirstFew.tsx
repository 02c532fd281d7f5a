'use client';

import { type ReactNode, useState } from 'react';
import { Button } from './Button';
import { Acts } from './Page';

interface FirstFewProps<Item> {
  readonly of: readonly Item[];
  readonly first: number;
  /** The list, of so many as are shown. */
  readonly children: (shown: readonly Item[]) => ReactNode;
}

/** The first few of a long list, the rest on demand: neither a phone nor a person wants hundreds at once. */
export function FirstFew<Item>({ of, first, children }: FirstFewProps<Item>) {
  const [isAll, setAll] = useState(false);
  const shown = isAll ? of : of.slice(0, first);
  return (
    <>
      {children(shown)}
      {shown.length < of.length && (
        <Acts>
          <Button onPress={() => setAll(true)}>Show {of.length - shown.length} more</Button>
        </Acts>
      )}
    </>
  );
}
