import type { LayoutKind } from '@/core/trial/model/layout';
import { COMPLETE_BLOCKS } from './complete-blocks';
import { COMPLETE_RANDOMISATION } from './complete-randomisation';
import { INCOMPLETE_BLOCKS } from './incomplete-blocks';
import { LATIN_SQUARE } from './latin-square';
import type { LayoutDefinition } from './layout-definition';
import { PAIRS } from './pairs';
import { SEVERAL_GARDENS } from './several-gardens';
import { SPLIT_PLOT } from './split-plot';

/** Every layout by its kind. A kind without a line here does not compile. */
export const LAYOUTS: Readonly<Record<LayoutKind, LayoutDefinition>> = {
  'complete-blocks': COMPLETE_BLOCKS,
  'complete-randomisation': COMPLETE_RANDOMISATION,
  pairs: PAIRS,
  'latin-square': LATIN_SQUARE,
  'split-plot': SPLIT_PLOT,
  'incomplete-blocks': INCOMPLETE_BLOCKS,
  'several-gardens': SEVERAL_GARDENS,
};
