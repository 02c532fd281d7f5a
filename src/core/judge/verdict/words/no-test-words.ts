import type { Contrast } from '@/core/judge/outcomes/judgement';
import type { JudgeInput } from '@/core/judge/question/judge-input';
import type { VerdictContext, Words } from '@/core/judge/verdict/verdict-context';
import { normalCdf } from '@/core/stats/distributions/distributions';
import { listed } from '@/core/words/listed';
import { pluralOf } from '@/core/words/plural';
import { joined, percent } from './margin-words';

export function noTestWords({ input, contrasts, groups }: VerdictContext): Words {
  const isSingle = groups.every(group => group.n === 1);
  const alone = groups.filter(group => group.n === 1).map(group => group.treatment);
  const gaps = contrasts.flatMap(contrast =>
    contrast.estimable && contrast.percent !== null
      ? [
          `${contrast.treatment} ${contrast.percent >= 0 ? '+' : '−'}${percent(Math.abs(contrast.percent))}`,
        ]
      : [],
  );
  const luck = percent(100 * chanceGap(input.priorCv.cv));
  const source =
    input.priorCv.source === 'own-trials'
      ? 'as your own trials spread'
      : 'a starting guess, not your own figure';
  return {
    headline: noTestHeadline(input.unitWord, alone, isSingle),
    detail: joined(
      gaps.length > 0 ? `Against ${input.control}: ${gaps.join(', ')}.` : '',
      input.outcome !== 'continuous'
        ? ''
        : isSingle
          ? `Two ${pluralOf(input.unitWord)} treated alike differ by ${luck} or more every second time (${source}).${turnWords(contrasts, input)} However large the gap, every deal of one each could have made it: no p below 1 can come of it.`
          : alone.length > 0
            ? `Two ${pluralOf(input.unitWord)} treated alike differ by ${luck} or more every second time (${source}).`
            : '',
    ),
  };
}

/** @param alone treatments that stand in one unit only; `isSingle` where all do */
export function noTestHeadline(
  unitWord: string,
  alone: readonly string[],
  isSingle: boolean,
): string {
  if (isSingle) return `One ${unitWord} each: a story, not a result.`;
  return alone.length > 0
    ? `Only one ${unitWord} of ${listed(alone)}: a story, not a result.`
    : 'These readings can’t be judged.';
}

/** Treatments of a judged trial that stand in one unit only: their gap, beside the gap that luck alone would give. */
export function untestedWords({ input, contrasts, groups }: VerdictContext): string {
  const alone = contrasts.flatMap(contrast =>
    contrast.estimable && contrast.call === 'no-test' ? [contrast] : [],
  );
  if (alone.length === 0) return '';
  const isOne = (name: string): boolean => groups.find(group => group.treatment === name)?.n === 1;
  const why = isOne(input.control)
    ? `${input.control} stands in one ${input.unitWord} only`
    : `one ${input.unitWord} only`;
  const gaps = alone.map(({ treatment, percent: gap }) =>
    gap === null ? treatment : `${treatment} (${gap >= 0 ? '+' : '−'}${percent(Math.abs(gap))})`,
  );
  const found = `${listed(gaps)}: ${why}, so no result.`;
  if (input.outcome !== 'continuous') return found;
  const luck = percent(100 * chanceGap(input.priorCv.cv));
  return `${found} Two ${pluralOf(input.unitWord)} treated alike differ by ${luck} or more every second time.`;
}

/** How likely a second run would turn the order, by the spread from elsewhere. */
function turnWords(contrasts: readonly Contrast[], { control, priorCv }: JudgeInput): string {
  const chances = contrasts.flatMap(contrast =>
    contrast.estimable && contrast.percent !== null
      ? [
          `${contrast.treatment} ${Math.round(100 * chanceOfTurn(shareOfMean(contrast.percent), priorCv.cv))}`,
        ]
      : [],
  );
  return chances.length === 0
    ? ''
    : ` A second run would put it the other way round against ${control} in so many of 100: ${chances.join(', ')}.`;
}

/** A gap in percent of the control as a share of the mean of the two: the spread is a share of that. */
export function shareOfMean(percentOfControl: number): number {
  const gap = percentOfControl / 100;
  return gap / (1 + gap / 2);
}

/**
 * Chance that a second pair of units shows the opposite order: the first gap knows the true one only to within its own luck,
 * and the second has as much again. Φ(−|gap| / (2 CV)), both gaps normal with SD √2 CV.
 *
 * @param gap as a share of the mean
 */
export function chanceOfTurn(gap: number, cv: number): number {
  return cv > 0 ? normalCdf(-Math.abs(gap) / (2 * cv)) : 0;
}

/**
 * The gap between two units treated alike that is exceeded half the time, as a share of their mean:
 * 0.6745 √2 CV, the median of |difference of two normals|.
 */
export function chanceGap(cv: number): number {
  return 0.674489750196082 * Math.SQRT2 * cv;
}
