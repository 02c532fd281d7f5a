import type { GuessedComparison, Prediction } from './model/plan-record';

/** What was predicted, with a treatment or a level called by another name wherever it stands in it. */
export function predictionRenamed(prediction: Prediction, from: string, to: string): Prediction {
  const named = (name: string): string => (name === from ? to : name);
  const { expects, foretold } = prediction;
  return {
    ...prediction,
    expects: expects === null ? null : named(expects),
    foretold: foretold && { ...foretold, comparison: renamed(foretold.comparison, named) },
  };
}

function renamed(
  comparison: GuessedComparison,
  named: (name: string) => string,
): GuessedComparison {
  switch (comparison.kind) {
    case 'control':
      return {
        ...comparison,
        treatment: named(comparison.treatment),
        control: named(comparison.control),
      };
    case 'level':
      return {
        ...comparison,
        level: named(comparison.level),
        against: named(comparison.against),
        within:
          comparison.within &&
          Object.fromEntries(
            Object.entries(comparison.within).map(([factor, level]) => [factor, named(level)]),
          ),
      };
    case 'trend':
      return { ...comparison, most: named(comparison.most), least: named(comparison.least) };
    case 'agreed':
      return {
        ...comparison,
        one: comparison.one.map(named),
        other: comparison.other.map(named),
      };
  }
}
