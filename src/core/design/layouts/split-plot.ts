import type { Treatment } from '@/core/trial/model/treatment';
import { counted, pluralOf } from '@/core/words/plural';
import {
  IN_BLOCKS,
  type LayoutDefinition,
  type LayoutMisfit,
  type LayoutRequest,
} from './layout-definition';

/** One factor to whole beds, the other to the plots within them. */
export const SPLIT_PLOT: LayoutDefinition = {
  ...IN_BLOCKS,
  label: 'as a split plot',
  hint: 'One thing is done to whole beds, the other to the plots within them.',
  fits: (_, factors) => factors > 1,
  fields: [
    { key: 'blockCount', label: 'Blocks' },
    { key: 'blockWord', label: 'A block is a' },
    { key: 'wholeFactor', label: 'Dealt to whole plots' },
    { key: 'wholeWord', label: 'A whole plot is a' },
  ],
  misfit: misfitOf,
  dealPlan: (request, treatments) => ({
    kind: 'split-plot',
    blocks: request.blockCount,
    treatmentOf: splitTable(treatments, request.wholeFactor ?? ''),
  }),
  hasWholePlots: true,
  dealtWords: layout =>
    `${layout.wholeFactor} to ${pluralOf(layout.wholeWord ?? 'bed')} within ${counted(layout.blockCount, layout.blockWord)}, the rest within each ${layout.wholeWord}`,
  standWords: layout =>
    `A whole ${layout.wholeWord ?? 'bed'} has one ${layout.wholeFactor ?? 'treatment'}.`,
};

function misfitOf(
  { wholeFactor }: LayoutRequest,
  treatments: readonly Treatment[],
): LayoutMisfit | undefined {
  const factors = Object.keys(treatments[0]?.levels ?? {});
  if (factors.length < 2 || !factors.includes(wholeFactor ?? ''))
    return { kind: 'needs-whole-factor', factors };
  const sizes = new Set(splitTable(treatments, wholeFactor ?? '').map(row => row.length));
  return sizes.size > 1 ? { kind: 'not-crossed', factor: wholeFactor ?? '' } : undefined;
}

/** Treatments by the level of the factor dealt to whole plots, each row with the levels within; indices of treatments. */
export function splitTable(
  treatments: readonly Treatment[],
  wholeFactor: string,
): readonly (readonly number[])[] {
  const levels = [...new Set(treatments.map(treatment => treatment.levels[wholeFactor] ?? ''))];
  return levels.map(level =>
    treatments.flatMap((treatment, i) =>
      (treatment.levels[wholeFactor] ?? '') === level ? [i] : [],
    ),
  );
}
