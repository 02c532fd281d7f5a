import type { GuessedComparison } from '@/core/trial/model/plan-record';
import { listed } from '@/core/words/listed';
import { doseLine } from './dose-line';
import { type QuestionInput, testsOf } from './judge-input';
import { isWhole, levelComparisonsOf } from './level-comparisons';

/**
 * All that a question compares, the headline's own first: what was agreed on; of crossed factors each level averaged over the
 * others and within each of their levels; of a series of doses the line through all; otherwise every treatment against the control.
 */
export function comparisonsToGuess(input: QuestionInput): readonly GuessedComparison[] {
  const { agreed, doses } = input;
  const levels = input.factors ? guessedLevels(input) : [];
  const line = doses && doseLine(new Map(Object.entries(doses)));
  return [
    ...(agreed
      ? [{ kind: 'agreed' as const, one: [...agreed.one], other: [...agreed.other] }]
      : []),
    ...(line ? [{ kind: 'trend' as const, most: line.most, least: line.least }] : []),
    ...(levels.length > 0
      ? levels
      : testsOf(input).map(treatment => ({
          kind: 'control' as const,
          treatment,
          control: input.control,
        }))),
  ];
}

function guessedLevels(input: QuestionInput): readonly GuessedComparison[] {
  return levelComparisonsOf(input).flatMap(comparison => {
    const { factor, level, against, pairs } = comparison;
    const named = { kind: 'level' as const, factor, level, against };
    return [
      ...(isWhole(comparison) ? [{ ...named, within: null }] : []),
      ...pairs.map(pair => ({ ...named, within: { ...pair.within } })),
    ];
  });
}

/** “char against none, averaged over the rest”. */
export function guessedComparisonWords(comparison: GuessedComparison): string {
  switch (comparison.kind) {
    case 'control':
      return `${comparison.treatment} against ${comparison.control}`;
    case 'agreed':
      return `${listed(comparison.one)} against ${listed(comparison.other)}`;
    case 'trend':
      return `${comparison.most} against ${comparison.least}, along all doses`;
    case 'level': {
      const { level, against, within } = comparison;
      const where =
        within === null
          ? 'averaged over the rest'
          : Object.entries(within)
              .map(([factor, at]) => `with ${factor} ${at}`)
              .join(', ');
      return `${level} against ${against}, ${where}`;
    }
  }
}
