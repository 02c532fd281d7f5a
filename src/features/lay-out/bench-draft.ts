import type { BenchDraft } from '@/core/design/layouts/bench-form';
import { questionPattern } from '@/core/design/question/question-patterns';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import type { TrialData } from '@/core/trial/model/trial-data';

/** A trial's layout as its form would hold it; what its question pattern sets up where nothing is dealt yet. */
export function savedBenchDraft(
  { layout, places, units, trial, factors, treatments }: TrialData,
  system: MeasureSystem,
): BenchDraft {
  const stood = places.find(place => place.id === units[0]?.placeId);
  const shown = (mm: number): string =>
    system === 'us' ? `${Number((mm / 25.4).toFixed(1))} in` : `${Number((mm / 10).toFixed(1))} cm`;
  const unitWidth = shown(stood?.widthMm ?? (system === 'us' ? 254 : 250));
  const usual: BenchDraft = {
    kind: 'complete-blocks',
    unitsEach: '1',
    controlEach: '',
    blockCount: '6',
    blockWord: 'shelf',
    columnWord: 'column',
    wholeWord: 'bed',
    wholeFactor: factors.length > 1 ? (factors[0]?.name ?? '') : '',
    perBlock: '3',
    unitShape: 'round',
    unitWidth,
    unitDepth: '',
    isBlind: true,
    isTurned: false,
    startSizes: '',
    benches: '1',
  };
  if (!layout || !stood) {
    const bench = questionPattern(trial.pattern)?.bench ?? {};
    // The pattern's own factor may have been renamed since, its pairs outgrown.
    const isPairs = bench.kind === 'pairs' && treatments.length !== 2;
    return {
      ...usual,
      ...bench,
      ...(bench.kind === 'split-plot' ? { wholeFactor: usual.wholeFactor } : {}),
      ...(isPairs ? { kind: 'complete-blocks' } : {}),
    };
  }
  const inBlocks = layout.kind === 'complete-blocks' || layout.kind === 'several-gardens';
  const tests = treatments.filter(treatment => treatment.role !== 'control');
  const each =
    units.filter(unit => unit.treatmentId === tests[0]?.id).length /
    (inBlocks ? layout.blockCount : 1);
  return {
    ...usual,
    kind: layout.kind,
    startSizes: layout.raisedSizes.join(' '),
    unitsEach: String(layout.kind === 'complete-randomisation' || inBlocks ? each : 1),
    blockCount: String(layout.blockCount >= 2 ? layout.blockCount : 6),
    blockWord: layout.blockWord,
    columnWord: layout.columnWord ?? 'column',
    wholeWord: layout.wholeWord ?? 'bed',
    wholeFactor: layout.wholeFactor ?? usual.wholeFactor,
    perBlock: String(layout.perBlock ?? 3),
    controlEach: layout.controlEach === null ? '' : String(layout.controlEach),
    unitShape: stood.shape,
    unitDepth:
      stood.shape === 'square' && stood.depthMm !== stood.widthMm ? shown(stood.depthMm) : '',
    isBlind: trial.isBlind,
    isTurned: layout.isTurned,
    benches: String(layout.benches),
  };
}
