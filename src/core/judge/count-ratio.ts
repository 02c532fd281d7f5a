import { fitCounts, spreadOf } from '@/core/stats/count-model';
import { fitLinearModel, indicatorColumns } from '@/core/stats/linear-model';
import { isSplit, type KindInput, type ReadUnit, readUnits } from './kind-input';

/** How many times as many a treatment counts as the control: the ratio's natural logarithm, with its errors. */
export interface CountRatio {
  readonly estimate: number;
  /** As the model has it: the variance is so many times the mean. */
  readonly se: number;
  /**
   * As the logarithms of the counts have it, half a one added to each. The model goes by the large counts, the logarithms by the
   * small ones; where counts crowd, the variance grows faster than the mean, and the model's error alone is too small too often.
   */
  readonly seOfLogs: number;
  readonly df: number;
}

/**
 * One model of all treatments, so that the spread of all units counts; in a split plot of the two alone, as beds spread more
 * than what lies in them.
 *
 * @returns undefined where no unit is left to spread, or one of the two counts nothing at all
 */
export function countRatio(input: KindInput, treatment: string): CountRatio | undefined {
  const units = readUnits(input).filter(unit => !isSplit(input) || unit.treatment === treatment || unit.treatment === input.control);
  return input.blockNames.length === 0 ? ratioOfMeans(input, units, treatment) : ratioWithinBlocks(input, units, treatment);
}

const logOf = (unit: ReadUnit): number => Math.log(unit.value + 0.5);

function ratioWithinBlocks(input: KindInput, units: readonly ReadUnit[], treatment: string): CountRatio | undefined {
  const tests = input.treatments.filter(name => name !== input.control && units.some(unit => unit.treatment === name));
  const at = tests.indexOf(treatment);
  const columns = [
    ...indicatorColumns(units.map(unit => unit.treatment), [input.control, ...tests]),
    ...input.blockNames.flatMap((_, i) => { const labels = units.map(unit => unit.blocks[i] ?? ''); return indicatorColumns(labels, [...new Set(labels)]); }),
  ];
  const model = fitCounts(units.map(unit => unit.value), columns);
  if (!model || at < 0) return undefined;
  const logs = fitLinearModel(units.map(logOf), [{ name: 'all', columns }]);
  const direction = logs.combine(0, columns.map((_, i) => Number(i === at)))?.direction ?? [];
  const spread = logs.residualDf > 0 ? logs.residualSs / logs.residualDf : 0;
  return { ...model.logRatio(at), seOfLogs: Math.sqrt(spread * direction.reduce((sum, each) => sum + each * each, 0)), df: model.residualDf };
}

interface GroupSums {
  readonly n: number;
  readonly sum: number;
  readonly sumOfLogs: number;
}

/** Without blocks the model has its answer in the means, however many units and treatments there are. */
function ratioOfMeans(input: KindInput, units: readonly ReadUnit[], treatment: string): CountRatio | undefined {
  const groups = new Map<string, GroupSums>();
  for (const unit of units) {
    const { n, sum, sumOfLogs } = groups.get(unit.treatment) ?? { n: 0, sum: 0, sumOfLogs: 0 };
    groups.set(unit.treatment, { n: n + 1, sum: sum + unit.value, sumOfLogs: sumOfLogs + logOf(unit) });
  }
  const df = units.length - groups.size;
  const [a, b] = [groups.get(treatment), groups.get(input.control)];
  if (df < 1 || !a || !b || [...groups.values()].some(each => each.sum === 0)) return undefined;
  const squares = (of: (unit: ReadUnit, own: GroupSums) => number): number => units.reduce((sum, unit) => { const own = groups.get(unit.treatment); return own ? sum + of(unit, own) : sum; }, 0) / df;
  const dispersion = squares((unit, { n, sum }) => (unit.value - sum / n) ** 2 / (sum / n));
  const spreadOfLogs = squares((unit, { n, sumOfLogs }) => (logOf(unit) - sumOfLogs / n) ** 2);
  return { estimate: Math.log((a.sum / a.n) / (b.sum / b.n)), se: Math.sqrt(spreadOf(dispersion) * (1 / a.sum + 1 / b.sum)), seOfLogs: Math.sqrt(spreadOfLogs * (1 / a.n + 1 / b.n)), df };
}
