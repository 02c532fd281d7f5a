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
  const ratio = Math.exp(estimate);
  const controlSe = Math.max(model.ofControl.se, model.ofControl.seOfCrowding);
  return {
    method: 'quasi-poisson',
    p: pOf(se),
    shuffleP,
    unitP: Math.max(pOf(widerSe), isSplit(input) ? blockDifferencesP(blocks) : 0),
    difference,
    intervalAt: confidence => {
      const level = meanFigure(control);
      const ownSe = Math.sqrt(Math.max(0, widerSe ** 2 - controlSe ** 2));
      const t = tQuantile(1 - (1 - confidence) / 2, df);
      return differenceOfRates([level * ratio, t * ownSe], [level, t * controlSe]);
    },
    percentAt: confidence => {
      const [low, high] = ratioAt(confidence);
      return [100 * (low - 1), 100 * (high - 1)];
    },
    effectAt: confidence => ({ what: 'rate-ratio', value: ratio, ci: ratioAt(confidence) }),
  };
}

/**
 * Interval of a difference from those of its two rates: Zou & Donner (2008), Statistics in Medicine 27, 1693-1702.
 *
 * @param own rate and half the interval of its logarithm
 * @param control the same
 */
function differenceOfRates(
  [own, ownHalf]: readonly [number, number],
  [control, controlHalf]: readonly [number, number],
): Interval {
  const down = (rate: number, half: number): number => rate * (1 - Math.exp(-half));
  const up = (rate: number, half: number): number => rate * (Math.exp(half) - 1);
  const difference = own - control;
  return [
    difference - Math.hypot(down(own, ownHalf), up(control, controlHalf)),
    difference + Math.hypot(up(own, ownHalf), down(control, controlHalf)),
  ];
}

/** Student's t of the differences within the blocks: of a few beds the model's spread is too small by more than a t allows for. */
function blockDifferencesP(blocks: readonly BlockOfTwo[]): number {
  const differences = differencesOf(blocks);
  if (differences.length < 2) return 1;
  const { mean, se, n } = spreadOfDifferences(differences);
  return se > 0 ? tTwoSidedP(mean / se, n - 1) : mean === 0 ? 1 : 0;
}
