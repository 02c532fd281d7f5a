import { COMPLETE_BLOCKS } from './complete-blocks';
import type { LayoutDefinition } from './layout-definition';

/** One protocol in several gardens, each a block of its own. */
export const SEVERAL_GARDENS: LayoutDefinition = {
  ...COMPLETE_BLOCKS,
  label: 'in several gardens',
  hint: 'One protocol; each garden is a block and holds every treatment.',
  fields: [
    { key: 'blockCount', label: 'Gardens' },
    { key: 'unitsEach', label: 'Of each treatment per garden' },
  ],
  goesOnBenches: false,
};
