import { counted } from '@/core/words/plural';
import { copiesOf, IN_BLOCKS, type LayoutDefinition } from './layout-definition';

/** Every block holds every treatment equally often. */
export const COMPLETE_BLOCKS: LayoutDefinition = {
  ...IN_BLOCKS,
  label: 'within blocks',
  hint: 'Each shelf, bed, strip, variety or size class holds every treatment equally often, so that light and draught can’t decide.',
  fits: () => true,
  fields: [
    { key: 'blockCount', label: 'Blocks' },
    { key: 'blockWord', label: 'A block is a' },
    { key: 'unitsEach', label: 'Of each treatment per block' },
    { key: 'controlEach', label: 'Of the control' },
  ],
  dealPlan: (request, treatments) => ({
    kind: 'complete-blocks',
    copies: copiesOf(request, treatments),
    blocks: request.blockCount,
  }),
  takesCopies: true,
  dealtWords: layout => `within ${counted(layout.blockCount, layout.blockWord)}`,
};
