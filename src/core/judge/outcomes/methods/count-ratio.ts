import {
  effortOf,
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
  /** The same two errors of the control's own mean, on its logarithm. */
  readonly ofControl: { readonly se: number; readonly seOfCrowding: number };
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
    units.map(effortOf),
  );
  if (!model || at < 0) return undefined;
  const control = sumsOf(units.filter(unit => unit.treatment === input.control));
  return {
    ...model.logRatio(at),
    seOfCrowding: model.seOfCrowding(at),
    ofControl: errorsOfMean(control, model.dispersion, model.overdispersion),
    df: model.residualDf,
  };
}

interface GroupSums {
  readonly n: number;
  readonly sum: number;
  /** Whole units that were looked at, the parts of the others added up. */
  readonly effort: number;
}

function sumsOf(units: readonly ReadUnit[]): GroupSums {
  return {
    n: units.length,
    sum: units.reduce((total, unit) => total + unit.value, 0),
    effort: units.reduce((total, unit) => total + effortOf(unit), 0),
  };
}

/** The errors of a mean's logarithm: by so many times Poisson's variance, and by one that grows faster than the mean. */
function errorsOfMean({ n, sum }: GroupSums, dispersion: number, overdispersion: number) {
  return {
    se: Math.sqrt(dispersionSpread(dispersion) / sum),
    seOfCrowding: overdispersion === 0 ? 0 : Math.sqrt(1 / sum + overdispersion / n),
  };
}

/** Without blocks the model has its answer in the means, however many units and treatments there are. */
function ratioOfMeans(
  input: OutcomeInput,
  units: readonly ReadUnit[],
  treatment: string,
): CountRatio | undefined {
  const byTreatment = new Map<string, ReadUnit[]>();
  for (const unit of units) {
    const others = byTreatment.get(unit.treatment);
    if (others) others.push(unit);
    else byTreatment.set(unit.treatment, [unit]);
  }
  const groups = new Map([...byTreatment].map(([name, own]) => [name, sumsOf(own)]));
  const df = units.length - groups.size;
  const [a, b] = [groups.get(treatment), groups.get(input.control)];
  if (df < 1 || !a || !b || [...groups.values()].some(each => each.sum === 0)) return undefined;
  const means = units.map(unit => {
    const own = groups.get(unit.treatment);
    return own ? (effortOf(unit) * own.sum) / own.effort : 0;
  });
  const pearson = units.reduce(
    (sum, unit, i) => sum + (unit.value - (means[i] ?? 0)) ** 2 / (means[i] ?? 1),
    0,
  );
  const counts = units.map(unit => unit.value);
  const overdispersion = overdispersionOf(counts, means, df);
  const [own, control] = [a, b].map(each => errorsOfMean(each, pearson / df, overdispersion));
  if (!own || !control) return undefined;
  return {
    estimate: Math.log(a.sum / a.effort / (b.sum / b.effort)),
    df,
    se: Math.hypot(own.se, control.se),
    seOfCrowding: Math.hypot(own.seOfCrowding, control.seOfCrowding),
    ofControl: control,
  };
}
