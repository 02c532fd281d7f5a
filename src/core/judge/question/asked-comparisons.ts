import { listed } from '@/core/words/listed';
import { type DoseLine, doseLineOf, type Weighed } from './dose-line';
import { type JudgeInput, testsOf } from './judge-input';
import { isWhole, levelComparisonsOf } from './level-comparisons';

/** One comparison of the question: treatments on either side, each with its weight. */
export interface AskedComparison {
  /** What is held against something: a treatment, or a level of a factor. */
  readonly name: string;
  /** Whether it is an average over the rest. */
  readonly isAveraged: boolean;
  readonly treated: Weighed;
  readonly controls: Weighed;
  /** The treatments that give more where what is compared does something, each with its share of it; more than `treated` where some have no partner. */
  readonly raised: Raised;
  /** Treatments that are held against the control beside it, and covered together with it; of other questions none. */
  readonly beside: readonly string[];
}

/** By treatment, in [0, 1]. */
export type Raised = Readonly<Record<string, number>>;

/**
 * What the headline is about: the comparison that was agreed on; of crossed factors each level against its factor's own control level,
 * averaged over the other factors; of a series of doses the line through all of them; otherwise every treatment against the control.
 */
export function askedComparisonsOf(input: JudgeInput): readonly AskedComparison[] {
  if (input.agreed) {
    const { one, other } = input.agreed;
    return [between(listed(one), one, other, one)];
  }
  const averaged = averagedComparisons(input);
  if (averaged.length > 0) return averaged;
  const line = doseLineOf(input);
  return line
    ? [alongTheLine(input, line)]
    : testsOf(input).map(name => between(name, [name], [input.control], [name]));
}

function averagedComparisons(input: JudgeInput): readonly AskedComparison[] {
  const { names, levelsOf } = input.factors ?? { names: [], levelsOf: {} };
  if (names.length < 2) return [];
  return levelComparisonsOf(input)
    .filter(isWhole)
    .map(({ factor, level, pairs }) =>
      between(
        level,
        pairs.map(pair => pair.treated),
        pairs.map(pair => pair.control),
        input.treatments.filter(name => levelsOf[name]?.[names.indexOf(factor)] === level),
      ),
    );
}

function between(
  name: string,
  treated: readonly string[],
  controls: readonly string[],
  raised: readonly string[],
): AskedComparison {
  const alike = (names: readonly string[]): Weighed => names.map(each => [each, 1 / names.length]);
  return {
    name,
    isAveraged: treated.length > 1,
    treated: alike(treated),
    controls: alike(controls),
    raised: Object.fromEntries(raised.map(each => [each, 1])),
    beside: [],
  };
}

/** More of it brings more, all the way up. */
function alongTheLine(input: JudgeInput, line: DoseLine): AskedComparison {
  const { doses = {} } = input;
  const { from, to, atMost, atLeast, most } = line;
  return {
    name: `${most} (the doses between in step)`,
    isAveraged: false,
    treated: atMost,
    controls: atLeast,
    raised: Object.fromEntries(
      Object.entries(doses).map(([name, dose]) => [name, (dose - from) / (to - from)]),
    ),
    beside: testsOf(input),
  };
}
