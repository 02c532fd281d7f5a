import { IN_BLOCKS, type LayoutDefinition } from './layout-definition';

const LARGEST = 8;

/** Every treatment once in each row and each column. */
export const LATIN_SQUARE: LayoutDefinition = {
  ...IN_BLOCKS,
  label: 'as a square',
  hint: 'Every treatment once in each row and each column: for light from one side and draught from the other.',
  fits: treatments => treatments >= 3 && treatments <= LARGEST,
  fields: [
    { key: 'blockWord', label: 'A row is a' },
    { key: 'columnWord', label: 'A column is a' },
  ],
  misfit: (_, treatments) =>
    treatments.length > LARGEST
      ? { kind: 'square-too-big', treatments: treatments.length, most: LARGEST }
      : undefined,
  dealPlan: (_, treatments) => ({ kind: 'latin-square', treatments: treatments.length }),
  hasColumns: true,
  goesOnBenches: false,
  growsBy: 'nothing',
  dealtWords: layout => `once in each ${layout.blockWord} and each ${layout.columnWord}`,
  standWords: layout =>
    `Every treatment stands once in each ${layout.blockWord} and each ${layout.columnWord ?? 'column'}: change none.`,
};
