'use client';

import type { SeenLayout } from '@/core/blinding/seen-layout';
import { LAYOUTS } from '@/core/design/layouts/layouts';
import { counted } from '@/core/words/plural';
import { Link } from '@/ui/Link';
import { Acts } from '@/ui/Page';
import { WayOn } from '@/ui/WayOn';

export function LockedPlan({
  layout,
  isBlind,
  unitWord,
  isClosed,
  weighHref,
  tendHref,
  judgeHref,
}: {
  readonly layout: SeenLayout | null;
  readonly isBlind: boolean;
  readonly unitWord: string;
  /** What was found is the way on then: nothing is tended or weighed any more. */
  readonly isClosed: boolean;
  readonly weighHref: string;
  readonly tendHref: string;
  readonly judgeHref: string;
}) {
  return (
    <>
      <h2 data-goes-on>The plan is locked</h2>
      <p>
        {counted(layout?.unitsEach ?? 0, unitWord)} of each treatment, dealt{' '}
        {layout ? LAYOUTS[layout.kind].dealtWords(layout) : ''},{' '}
        {isBlind ? 'weighed blind' : 'open to see'}.
      </p>
      <Acts>
        {isClosed ? (
          <WayOn href={judgeHref}>See what was found</WayOn>
        ) : (
          <>
            <WayOn href={tendHref}>Plan the care</WayOn>
            <Link href={weighHref}>Go on to Weigh</Link>
          </>
        )}
      </Acts>
    </>
  );
}
