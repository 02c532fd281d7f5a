import type { BenchDraft } from '@/core/design/layouts/bench-form';
import { questionPattern } from '@/core/design/question/question-patterns';
import { parseQuantity } from '@/core/quantity/parse-quantity';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import type { Layout } from '@/core/trial/model/layout';
import type { Place } from '@/core/trial/model/place';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { ProposedLayout } from '@/core/trial/shared/protocol';

/**
 * A trial's layout as its form would hold it; where nothing is dealt yet, what another garden's plan proposes, or what its question
 * pattern sets up.
 */
export function savedBenchDraft(
  data: TrialData,
  system: MeasureSystem,
  proposed?: ProposedLayout,
): BenchDraft {
  const { layout, places, units, factors } = data;
  const stood = places.find(place => place.id === units[0]?.placeId);
  const usual: BenchDraft = {
    ...USUAL_BENCH,
    wholeFactor: factors.length > 1 ? (factors[0]?.name ?? '') : '',
    unitWidth: lengthShown(stood?.widthMm ?? (system === 'us' ? 254 : 250), system),
  };
  if (layout && stood) return dealtDraft(data, layout, stood, usual, system);
  const drafted = patternDraft(data, usual, system);
  return proposed ? { ...drafted, ...proposedDraft(proposed, usual) } : drafted;
}

/** What another garden's plan proposes; the size of a pot is this garden's own. */
function proposedDraft(
  {
    kind,
    unitsEach,
    blockCount,
    blockWord,
    controlEach,
    perBlock,
    columnWord,
    wholeWord,
    wholeFactor,
  }: ProposedLayout,
  usual: BenchDraft,
): Partial<BenchDraft> {
  const inBlocks = kind === 'complete-blocks' || kind === 'several-gardens';
  const each =
    inBlocks && blockCount > 0 ? Math.max(1, Math.round(unitsEach / blockCount)) : unitsEach;
  return {
    kind,
    blockWord,
    unitsEach: String(kind === 'complete-randomisation' || inBlocks ? each : 1),
    blockCount: blockCount >= 2 ? String(blockCount) : usual.blockCount,
    columnWord: columnWord ?? usual.columnWord,
    wholeWord: wholeWord ?? usual.wholeWord,
    wholeFactor: wholeFactor ?? usual.wholeFactor,
    perBlock: perBlock === null ? usual.perBlock : String(perBlock),
    controlEach: controlEach === null ? '' : String(controlEach),
  };
}

const USUAL_BENCH = {
  kind: 'complete-blocks',
  unitsEach: '1',
  controlEach: '',
  blockCount: '6',
  blockWord: 'shelf',
  columnWord: 'column',
  wholeWord: 'bed',
  perBlock: '3',
  unitShape: 'round',
  unitDepth: '',
  isBlind: true,
  isTurned: false,
  startSizes: '',
  benches: '1',
} as const;

function lengthShown(mm: number, system: MeasureSystem): string {
  if (system === 'us') return `${Number((mm / 25.4).toFixed(1))} in`;
  return `${Number((mm / 10).toFixed(1))} cm`;
}

/** A pattern's own size, which is only a start, to a whole even inch. */
function roundInches(size: string): string {
  const read = parseQuantity(size, { dimension: 'length', system: 'us' });
  return read.ok ? `${2 * Math.round(read.value.base / 25.4 / 2)} in` : size;
}

/** What the question's pattern sets up. Its own factor may have been renamed since, its pairs outgrown. */
function patternDraft(
  { trial, treatments }: TrialData,
  usual: BenchDraft,
  system: MeasureSystem,
): BenchDraft {
  const bench = questionPattern(trial.pattern)?.bench ?? {};
  const isPairs = bench.kind === 'pairs' && treatments.length !== 2;
  return {
    ...usual,
    ...bench,
    ...(system === 'us' && bench.unitWidth ? { unitWidth: roundInches(bench.unitWidth) } : {}),
    ...(bench.kind === 'split-plot' ? { wholeFactor: usual.wholeFactor } : {}),
    ...(isPairs ? { kind: 'complete-blocks' } : {}),
  };
}

function dealtDraft(
  { trial, treatments, units }: TrialData,
  layout: Layout,
  stood: Place,
  usual: BenchDraft,
  system: MeasureSystem,
): BenchDraft {
  const inBlocks = layout.kind === 'complete-blocks' || layout.kind === 'several-gardens';
  const test = treatments.find(treatment => treatment.role !== 'control');
  const each =
    units.filter(unit => unit.treatmentId === test?.id).length / (inBlocks ? layout.blockCount : 1);
  const isOblong = stood.shape === 'square' && stood.depthMm !== stood.widthMm;
  return {
    ...usual,
    kind: layout.kind,
    startSizes: layout.raisedSizes.join(' '),
    unitsEach: String(layout.kind === 'complete-randomisation' || inBlocks ? each : 1),
    blockCount: layout.blockCount >= 2 ? String(layout.blockCount) : USUAL_BENCH.blockCount,
    blockWord: layout.blockWord,
    columnWord: layout.columnWord ?? USUAL_BENCH.columnWord,
    wholeWord: layout.wholeWord ?? USUAL_BENCH.wholeWord,
    wholeFactor: layout.wholeFactor ?? usual.wholeFactor,
    perBlock: layout.perBlock === null ? USUAL_BENCH.perBlock : String(layout.perBlock),
    controlEach: layout.controlEach === null ? '' : String(layout.controlEach),
    unitShape: stood.shape,
    unitDepth: isOblong ? lengthShown(stood.depthMm, system) : '',
    isBlind: trial.isBlind,
    isTurned: layout.isTurned,
    benches: String(layout.benches),
  };
}
