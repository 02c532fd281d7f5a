import type { Layout } from './model/layout';

/** Common words for places that are not chosen for being alike; no source. */
const GARDEN = /^(garden|site|plot holder|allotment|farm|school)s?$/i;

/** Whether blocks of that name are gardens: of those one wants to know what it would do in others like them. */
export function isGardenWord(word: string): boolean {
  return GARDEN.test(word.trim());
}

/** Whether the blocks of a trial are gardens of their own. */
export function liesInGardens(
  layout: Pick<Layout, 'kind' | 'blockWord' | 'blockCount'> | null,
): boolean {
  if (!layout || layout.blockCount < 2) return false;
  return (
    layout.kind === 'several-gardens' ||
    (layout.kind === 'complete-blocks' && isGardenWord(layout.blockWord))
  );
}
