import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import type { TrialData } from '@/core/trial/trial-data';
import type { BenchDraft } from './LayOut';

/** A trial's layout as its form would hold it; a usual one where nothing is dealt yet. */
export function savedBenchDraft({ layout, places, trial }: TrialData, system: MeasureSystem): BenchDraft {
  const widthMm = places.find(place => place.kind === 'pot')?.widthMm ?? (system === 'us' ? 254 : 250);
  const unitWidth = system === 'us' ? `${Number((widthMm / 25.4).toFixed(1))} in` : `${Number((widthMm / 10).toFixed(1))} cm`;
  if (!layout) return { kind: 'complete-blocks', unitsEach: '1', blockCount: '6', blockWord: 'shelf', unitWidth, isBlind: true };
  const inBlocks = layout.kind === 'complete-blocks';
  return {
    kind: layout.kind, unitsEach: String(inBlocks ? layout.unitsEach / layout.blockCount : layout.unitsEach), blockCount: String(inBlocks ? layout.blockCount : 6),
    blockWord: inBlocks ? layout.blockWord : 'shelf', unitWidth, isBlind: trial.isBlind,
  };
}
