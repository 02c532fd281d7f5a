import {
  isSplit,
  type OutcomeInput,
  type ReadUnit,
  readUnits,
} from '@/core/judge/question/outcome-input';
import { dispersionSpread, fitCounts } from '@/core/stats/categorical/count-model';
import { overdispersionOf } from '@/core/stats/categorical/overdispersion';
import { indicatorColumns } from '@/core/stats/linear/linear-model';

/** How many times as many a treatment counts as the control: the ratio's natural logarithm, with its errors. */
export interface CountRatio {
  readonly estimate: number;
  /** As the model has it: the variance is so many times the mean. */
  readonly se: number;
  /**
   * As it is where the variance grows faster than the mean: where counts crowd, the model's error alone is too small too often.
   * 0 where they don't.
   */
  readonly seOfCrowding: number;
  readonly df: number;
}

/**
 * One model of all treatments, so that the spread of all units counts; in a split plot of the two alone, as beds spread more
 * than what lies in them.
 *
 * @returns undefined where no unit is left to spread, or one of the two counts nothing at all
 */
export function countRatio(input: OutcomeInput, treatment: string): CountRatio | undefined {
  const units = readUnits(input).filter(
    unit => !isSplit(input) || unit.treatment === treatment || unit.treatment === input.control,
  );
  return input.blockNames.length === 0
    ? ratioOfMeans(input, units, treatment)
    : ratioWithinBlocks(input, units, treatment);
}

function ratioWithinBlocks(
  input: OutcomeInput,
  units: readonly ReadUnit[],
  treatment: string,
): CountRatio | undefined {
  const tests = input.treatments.filter(
    name => name !== input.control && units.some(unit => unit.treatment === name),
  );
  const at = tests.indexOf(treatment);
  const columns = [
    ...indicatorColumns(
      units.map(unit => unit.treatment),
      [input.control, ...tests],
    ),
    ...input.blockNames.flatMap((_, i) => {
      const labels = units.map(unit => unit.blocks[i] ?? '');
      return indicatorColumns(labels, [...new Set(labels)]);
    }),
  ];
  const model = fitCounts(
    units.map(unit => unit.value),
    columns,
  );
  if (!model || at < 0) return undefined;
  return { ...model.logRatio(at), seOfCrowding: model.seOfCrowding(at), df: model.residualDf };
}

interface GroupSums {
  readonly n: number;
  readonly sum: number;
}

/** Without blocks the model has its answer in the means, however many units and treatments there are. */
function ratioOfMeans(
  input: OutcomeInput,
  units: readonly ReadUnit[],
  treatment: string,
): CountRatio | undefined {
  const groups = new Map<string, GroupSums>();
  for (const unit of units) {
    const { n, sum } = groups.get(unit.treatment) ?? { n: 0, sum: 0 };
    groups.set(unit.treatment, { n: n + 1, sum: sum + unit.value });
  }
  const df = units.length - groups.size;
  const [a, b] = [groups.get(treatment), groups.get(input.control)];
  if (df < 1 || !a || !b || [...groups.values()].some(each => each.sum === 0)) return undefined;
  const means = units.map(unit => {
    const own = groups.get(unit.treatment);
    return own ? own.sum / own.n : 0;
  });
  const dispersion =
    units.reduce((sum, unit, i) => sum + (unit.value - (means[i] ?? 0)) ** 2 / (means[i] ?? 1), 0) /
    df;
  const crowding = overdispersionOf(
    units.map(unit => unit.value),
    means,
    df,
  );
  return {
    estimate: Math.log(a.sum / a.n / (b.sum / b.n)),
    df,
    se: Math.sqrt(dispersionSpread(dispersion) * (1 / a.sum + 1 / b.sum)),
    seOfCrowding:
      crowding === 0 ? 0 : Math.sqrt(1 / a.sum + crowding / a.n + 1 / b.sum + crowding / b.n),
  };
}
