import type { Contrast } from '@/core/judge/outcomes/judgement';
import type { JudgeInput } from '@/core/judge/question/judge-input';
import { normalCdf } from '@/core/stats/distributions/distributions';
import { pluralOf } from '@/core/words/plural';
import { joined, percent } from './margin-words';
import type { VerdictContext, Words } from './verdict-context';

export function noTestWords({ input, contrasts, groups }: VerdictContext): Words {
  const isSingle = groups.every(group => group.n === 1);
  const headline = isSingle
    ? `One ${input.unitWord} each: a story, not a result.`
    : 'These readings can’t be judged.';
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
    headline,
    detail: joined(
      gaps.length > 0 ? `Against ${input.control}: ${gaps.join(', ')}.` : '',
      isSingle
        ? `Two ${pluralOf(input.unitWord)} treated alike differ by ${luck} or more every second time (${source}).${turnWords(contrasts, input)} However large the gap, every deal of one each could have made it: no p below 1 can come of it.`
        : '',
    ),
  };
}

/** How likely a second run would turn the order, by the spread from elsewhere. */
function turnWords(contrasts: readonly Contrast[], { control, priorCv }: JudgeInput): string {
  const chances = contrasts.flatMap(contrast =>
    contrast.estimable && contrast.percent !== null
      ? [
          `${contrast.treatment} ${Math.round(100 * chanceOfTurn(contrast.percent / 100, priorCv.cv))}`,
        ]
      : [],
  );
  return chances.length === 0
    ? ''
    : ` A second run would put it the other way round against ${control} in so many of 100: ${chances.join(', ')}.`;
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
