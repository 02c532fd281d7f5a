import { counted } from '@/core/words/plural';
import { IN_BLOCKS, type LayoutDefinition } from './layout-definition';

/** Two alike, or two halves of one: a coin says which gets it. */
export const PAIRS: LayoutDefinition = {
  ...IN_BLOCKS,
  label: 'in pairs or halves',
  hint: 'Two plants alike, two halves of a bed or lawn: a coin says which gets it.',
  fits: treatments => treatments === 2,
  fields: [
    { key: 'blockCount', label: 'Pairs' },
    { key: 'blockWord', label: 'A pair is a' },
  ],
  misfit: (_, treatments) =>
    treatments.length === 2 ? undefined : { kind: 'pairs-need-two', treatments: treatments.length },
  dealPlan: (request, treatments) => ({
    kind: 'complete-blocks',
    copies: treatments.map(() => 1),
    blocks: request.blockCount,
  }),
  isPaired: true,
  dealtWords: layout => `by a coin within ${counted(layout.blockCount, layout.blockWord)}`,
};
