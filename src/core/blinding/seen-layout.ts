import { isKeyOpen } from '@/core/trial/key';
import type { Layout } from '@/core/trial/model/layout';
import type { TrialData } from '@/core/trial/model/trial-data';

/** A layout as it may be seen. While the key is shut without its seed: with that anybody could deal again. */
export type SeenLayout = Omit<Layout, 'seed'> & { readonly seed: Layout['seed'] | null };

export function seenLayout({
  layout,
  trial,
}: Pick<TrialData, 'layout' | 'trial'>): SeenLayout | null {
  return layout && { ...layout, seed: isKeyOpen(trial) ? layout.seed : null };
}
