'use client';

import { type ComponentProps, useState } from 'react';
import { Fold } from './Fold';
import { PanelBoundary } from './PanelBoundary';

interface LateFoldProps extends Omit<ComponentProps<typeof Fold>, 'onOpenChange'> {
  /** What is in it, for the sentence where it can't be fetched: “the picture”. */
  readonly what: string;
}

/** A fold whose content is fetched when it is first opened, and stays from then on. */
export function LateFold({ what, children, ...fold }: LateFoldProps) {
  const [wasOpened, setOpened] = useState(fold.isOpen ?? false);
  if (fold.isOpen && !wasOpened) setOpened(true);
  return (
    <Fold {...fold} onOpenChange={() => setOpened(true)}>
      {wasOpened && <PanelBoundary what={what}>{children}</PanelBoundary>}
    </Fold>
  );
}
