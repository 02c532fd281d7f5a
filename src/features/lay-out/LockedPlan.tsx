'use client';

import Link from 'next/link';
import type { SeenLayout } from '@/core/blinding/seen-layout';
import { LAYOUTS } from '@/core/design/layouts/layouts';
import { counted } from '@/core/words/plural';
import { Acts } from '@/ui/Page';

export function LockedPlan({
  layout,
  isBlind,
  unitWord,
  weighHref,
  tendHref,
}: {
  readonly layout: SeenLayout | null;
  readonly isBlind: boolean;
  readonly unitWord: string;
  readonly weighHref: string;
  readonly tendHref: string;
}) {
  return (
    <>
      <h2>The plan is locked</h2>
      <p>
        {counted(layout?.unitsEach ?? 0, unitWord)} of each treatment, dealt{' '}
        {layout ? LAYOUTS[layout.kind].dealtWords(layout) : ''},{' '}
        {isBlind ? 'weighed blind' : 'open to see'}.
      </p>
      <Acts>
        <Link href={tendHref}>Plan the care</Link>
        <Link href={weighHref}>Go on to Weigh</Link>
      </Acts>
    </>
  );
}
