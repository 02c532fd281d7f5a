import type { Interval } from '@/core/judge/outcomes/judgement';
import { type BlockOfTwo, isSplit, type OutcomeInput } from '@/core/judge/question/outcome-input';
import { tQuantile, tTwoSidedP } from '@/core/stats/distributions/distributions';
import { countRatio } from './count-ratio';
import { byDeals, differencesOf, spreadOfDifferences } from './outcome-differences';
import { both, figureOf, meanFigure, type OutcomeTest } from './outcome-test';

export function testCounts(
  input: OutcomeInput,
  treatment: string,
  blocks: readonly BlockOfTwo[],
): OutcomeTest {
  const { treated, control } = both(blocks);
  const shuffleP = byDeals(input, blocks, units => units.map(figureOf));
  const difference = meanFigure(treated) - meanFigure(control);
  const model = countRatio(input, treatment);
  if (!model)
    return {
      method: 'shuffle-exact',
      p: shuffleP ?? 1,
      shuffleP,
      unitP: shuffleP ?? 1,
      difference,
      intervalAt: () => null,
      effectAt: () => null,
    };
  const { estimate, se, df } = model;
  const widerSe = Math.max(se, model.seOfCrowding);
  const pOf = (error: number): number => (error > 0 ? tTwoSidedP(estimate / error, df) : 1);
  const ratioAt = (confidence: number): Interval => {
    const half = tQuantile(1 - (1 - confidence) / 2, df) * widerSe;
    return [Math.exp(estimate - half), Math.exp(estimate + half)];
  };
  const level = meanFigure(control);
  return {
    method: 'quasi-poisson',
    p: pOf(se),
    shuffleP,
    unitP: Math.max(pOf(widerSe), isSplit(input) ? blockDifferencesP(blocks) : 0),
    difference,
    // The control's own error is in the ratio: beside its mean as it came.
    intervalAt: confidence => {
      const [low, high] = ratioAt(confidence);
      return [level * (low - 1), level * (high - 1)];
    },
    effectAt: confidence => ({
      what: 'rate-ratio',
      value: Math.exp(estimate),
      ci: ratioAt(confidence),
    }),
  };
}

/** Student's t of the differences within the blocks: of a few beds the model's spread is too small by more than a t allows for. */
function blockDifferencesP(blocks: readonly BlockOfTwo[]): number {
  const differences = differencesOf(blocks);
  if (differences.length < 2) return 1;
  const { mean, se, n } = spreadOfDifferences(differences);
  return se > 0 ? tTwoSidedP(mean / se, n - 1) : mean === 0 ? 1 : 0;
}
