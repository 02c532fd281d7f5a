import { logChoose } from '@/core/stats/distributions/binomial';
import { chiSquareUpperTail } from '@/core/stats/distributions/distributions';

/** Treated and control, those it came to and those it did not. */
export interface TwoByTwo {
  readonly treatedYes: number;
  readonly treatedNo: number;
  readonly controlYes: number;
  readonly controlNo: number;
}

/**
 * Fisher's exact test, two-sided: all tables of these margins that are as rare as this one, or rarer.
 * Fisher (1935), The Design of Experiments.
 */
export function fisherExactP({ treatedYes, treatedNo, controlYes, controlNo }: TwoByTwo): number {
  const yes = treatedYes + controlYes;
  const treated = treatedYes + treatedNo;
  const all = treated + controlYes + controlNo;
  const chance = (k: number): number =>
    Math.exp(logChoose(yes, k) + logChoose(all - yes, treated - k) - logChoose(all, treated));
  const seen = chance(treatedYes);
  let sum = 0;
  for (let k = Math.max(0, treated - (all - yes)); k <= Math.min(yes, treated); k++) {
    const each = chance(k);
    if (each <= seen * (1 + 1e-7)) sum += each;
  }
  return Math.min(1, sum);
}

/** What several strata say together of one odds ratio. */
export interface MantelHaenszel {
  readonly statistic: number;
  readonly p: number;
  /** The odds of the treated over those of the control; null where nothing is left to divide by. */
  readonly oddsRatio: number | null;
}

/**
 * Tables of several blocks together, with the correction for continuity.
 * Cochran (1954), Biometrics 10, 417-451; Mantel & Haenszel (1959), Journal of the National Cancer Institute 22, 719-748.
 *
 * @returns undefined where no block holds both treatments and both answers
 */
export function mantelHaenszel(tables: readonly TwoByTwo[]): MantelHaenszel | undefined {
  let [gap, variance, over, under] = [0, 0, 0, 0];
  for (const { treatedYes, treatedNo, controlYes, controlNo } of tables) {
    const [treated, control] = [treatedYes + treatedNo, controlYes + controlNo];
    const [yes, all] = [treatedYes + controlYes, treated + control];
    if (all < 2 || treated === 0 || control === 0) continue;
    gap += treatedYes - (treated * yes) / all;
    variance += (treated * control * yes * (all - yes)) / (all * all * (all - 1));
    over += (treatedYes * controlNo) / all;
    under += (treatedNo * controlYes) / all;
  }
  if (!(variance > 0)) return undefined;
  const yates = Math.min(0.5, Math.abs(gap));
  const statistic = (Math.abs(gap) - yates) ** 2 / variance;
  return {
    statistic,
    p: chiSquareUpperTail(statistic, 1),
    oddsRatio: under > 0 ? over / under : null,
  };
}

/** Whether units of one treatment differ more than chance lets items differ: chi-square of k of n over all units within their treatments. */
export function heterogeneity(
  groups: readonly (readonly { readonly k: number; readonly n: number }[])[],
): { readonly statistic: number; readonly df: number; readonly p: number } | undefined {
  let [statistic, df] = [0, 0];
  for (const units of groups) {
    const [k, n] = [
      units.reduce((sum, unit) => sum + unit.k, 0),
      units.reduce((sum, unit) => sum + unit.n, 0),
    ];
    if (units.length < 2 || k === 0 || k === n) continue;
    const share = k / n;
    statistic += units.reduce(
      (sum, unit) => sum + (unit.k - unit.n * share) ** 2 / (unit.n * share * (1 - share)),
      0,
    );
    df += units.length - 1;
  }
  return df === 0 ? undefined : { statistic, df, p: chiSquareUpperTail(statistic, df) };
}
