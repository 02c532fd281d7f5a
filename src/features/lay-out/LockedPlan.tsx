'use client';

import Link from 'next/link';
import type { Layout } from '@/core/trial/model/layout';
import { counted, pluralOf } from '@/core/words/plural';
import { Acts } from '@/ui/Page';

export function LockedPlan({
  layout,
  isBlind,
  unitWord,
  weighHref,
}: {
  readonly layout: Layout | null;
  readonly isBlind: boolean;
  readonly unitWord: string;
  readonly weighHref: string;
}) {
  return (
    <>
      <h2>The plan is locked</h2>
      <p>
        {counted(layout?.unitsEach ?? 0, unitWord)} of each treatment, dealt{' '}
        {layout ? dealtWords(layout) : ''}, {isBlind ? 'weighed blind' : 'open to see'}.
      </p>
      <Acts>
        <Link href={weighHref}>Go on to Weigh</Link>
      </Acts>
    </>
  );
}

/** At which level of the place tree what was dealt. */
export function dealtWords(layout: Layout): string {
  const blocks = counted(layout.blockCount, layout.blockWord);
  switch (layout.kind) {
    case 'complete-randomisation':
      return 'over the whole bench';
    case 'complete-blocks':
    case 'several-gardens':
      return `within ${blocks}`;
    case 'pairs':
      return `by a coin within ${blocks}`;
    case 'latin-square':
      return `once in each ${layout.blockWord} and each ${layout.columnWord}`;
    case 'incomplete-blocks':
      return `within ${blocks} of ${layout.perBlock}`;
    case 'split-plot':
      return `${layout.wholeFactor} to ${pluralOf(layout.wholeWord ?? 'bed')} within ${blocks}, the rest within each ${layout.wholeWord}`;
  }
}
