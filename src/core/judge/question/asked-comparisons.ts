import { listed } from '@/core/words/listed';
import { type JudgeInput, testsOf } from './judge-input';
import { isWhole, levelComparisonsOf } from './level-comparisons';

/** One comparison of the question: treatments on either side, averaged with equal weight. */
export interface AskedComparison {
  /** What is held against something: a treatment, or a level of a factor. */
  readonly name: string;
  readonly treated: readonly string[];
  readonly controls: readonly string[];
  /** The treatments that give more where what is compared does something; more than `treated` where some have no partner. */
  readonly raised: readonly string[];
}

/**
 * What the headline is about: the comparison that was agreed on; of crossed factors each level against its factor's own control level,
 * averaged over the other factors; otherwise every treatment against the control.
 */
export function askedComparisonsOf(input: JudgeInput): readonly AskedComparison[] {
  if (input.agreed) {
    const { one, other } = input.agreed;
    return [{ name: listed(one), treated: one, controls: other, raised: one }];
  }
  const averaged = averagedComparisons(input);
  return averaged.length > 0
    ? averaged
    : testsOf(input).map(treatment => between(treatment, input.control));
}

function averagedComparisons(input: JudgeInput): readonly AskedComparison[] {
  const { names, levelsOf } = input.factors ?? { names: [], levelsOf: {} };
  if (names.length < 2) return [];
  return levelComparisonsOf(input)
    .filter(isWhole)
    .map(({ factor, level, pairs }) => ({
      name: level,
      treated: pairs.map(pair => pair.treated),
      controls: pairs.map(pair => pair.control),
      raised: input.treatments.filter(name => levelsOf[name]?.[names.indexOf(factor)] === level),
    }));
}

function between(treated: string, control: string): AskedComparison {
  return { name: treated, treated: [treated], controls: [control], raised: [treated] };
}
