import { copiesOf, type LayoutDefinition } from './layout-definition';

/** Over the whole bench, without blocks. */
export const COMPLETE_RANDOMISATION: LayoutDefinition = {
  label: 'anywhere on the bench',
  hint: 'Where one place is as good as the other.',
  fits: () => true,
  fields: [
    { key: 'unitsEach', label: 'Of each treatment' },
    { key: 'controlEach', label: 'Of the control' },
  ],
  misfit: () => undefined,
  dealPlan: (request, treatments) => ({
    kind: 'complete-randomisation',
    copies: copiesOf(request, treatments),
  }),
  hasBlocks: false,
  isPaired: false,
  hasColumns: false,
  hasWholePlots: false,
  takesCopies: true,
  goesOnBenches: false,
  growsBy: 'each',
  dealtWords: () => 'anywhere on the bench',
  standWords: () => '',
};
