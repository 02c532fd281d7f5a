import type { ScoreCell, Scorecard, ScoreRow } from '@/core/judge/after/scorecard';
import { isBetter, isWorse } from '@/core/judge/verdict/call';
import { counted } from '@/core/words/plural';
import { howOften } from '@/features/judge/answer/how-often';
import type { PermutationPValuesState } from './use-permutation-p-values';

export function toneOf(
  call: ScoreCell['call'],
  better: ScoreRow['better'],
): 'leaf' | 'beet' | undefined {
  if (call === null || better === 'neither') return undefined;
  return isBetter(call) ? 'leaf' : isWorse(call) ? 'beet' : undefined;
}

/** How often chance alone does it, under the call; of all treatments together. */
export function chanceOfCell(
  cell: ScoreCell,
  row: ScoreRow,
  pValues: PermutationPValuesState['pValues'],
): string {
  const p =
    row.isByMean && row.part === null
      ? pValues
          .find(each => each.measureId === row.measureId)
          ?.treatments.find(each => each.treatment === cell.treatment)?.pAdjusted
      : cell.luck;
  return p == null ? '' : `chance alone: ${howOften(p)}`;
}

export function chanceWords({ measureCount, expectedByChance, chanceOfOne }: Scorecard): string {
  if (measureCount === 0) return 'Only the main measure was looked at: nothing was searched for.';
  return `${counted(measureCount, 'other measure')} ${measureCount === 1 ? 'was' : 'were'} looked at. Chance alone makes about one in 20 look different: here ${Number(expectedByChance.toFixed(2))} on average, and at least one in ${Math.round(100 * chanceOfOne)} of 100 such trials. Treat these as ideas for the next trial.`;
}
