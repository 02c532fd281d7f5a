import type { Judgement } from '@/core/judge/outcomes/judgement';
import type { JudgeInput } from '@/core/judge/question/judge-input';
import { sentenceCase } from '@/core/words/sentence-case';

/** What the first of several may be expected to do again, as shares of the mean of all. */
export interface ExpectedAgain {
  readonly treatment: string;
  readonly of: number;
  /** By how much it led the mean of all here. */
  readonly led: number;
  /** By how much it may be expected to lead again. */
  readonly again: number;
}

const FEWEST = 4; // of three the rule pulls by nothing

/**
 * How much of the distance from the mean of all is kept, 0 to 1: the positive part of the James-Stein rule towards the mean, with the
 * variance estimated (Efron & Morris 1973, Journal of the American Statistical Association 68, 117-130, section 3).
 *
 * @param means of each treatment
 * @param variance of one such mean
 * @param df behind that variance; infinite where it is known
 */
export function keptOfLead(means: readonly number[], variance: number, df: number): number {
  const k = means.length;
  const grand = means.reduce((sum, each) => sum + each, 0) / k;
  const squares = means.reduce((sum, each) => sum + (each - grand) ** 2, 0);
  const loss = Number.isFinite(df) ? df / (df + 2) : 1;
  return squares === 0 ? 0 : Math.max(0, 1 - (loss * (k - 3) * variance) / squares);
}

/** null where fewer than four were compared, or where they are no equals: doses of one thing, crossed factors. */
export function expectedAgain(
  { outcome, better }: Pick<JudgeInput, 'outcome' | 'better'>,
  { groups, anova, trend, effects }: Pick<Judgement, 'groups' | 'anova' | 'trend' | 'effects'>,
): ExpectedAgain | null {
  const residual = anova.find(row => row.term === 'residual');
  if (outcome !== 'continuous' || trend || effects.length > 0 || groups.length < FEWEST)
    return null;
  if (!residual || residual.df < 1 || groups.some(group => group.n < 2)) return null;
  const grand = groups.reduce((sum, group) => sum + group.mean, 0) / groups.length;
  if (!(grand > 0)) return null;
  const sign = better === 'lower' ? -1 : 1;
  const [first] = [...groups].sort((a, b) => sign * (b.mean - a.mean));
  if (!first || first.mean === grand) return null;
  const perMean = groups.reduce((sum, group) => sum + 1 / group.n, 0) / groups.length;
  const kept = keptOfLead(
    groups.map(group => group.mean),
    residual.ms * perMean,
    residual.df,
  );
  const led = Math.abs(first.mean - grand) / grand;
  return { treatment: first.treatment, of: groups.length, led, again: kept * led };
}

export function expectedAgainWords({ treatment, of, led, again }: ExpectedAgain): string {
  const percent = (share: number): string => `${Math.round(100 * share)}%`;
  const here = `${sentenceCase(treatment)} came first of ${of}, ${percent(led)} better than the average of all. Whatever comes first is partly lucky:`;
  return Math.round(100 * again) < 1
    ? `${here} by these numbers alone, expect nothing of it next time.`
    : `${here} next time expect it about ${percent(again)} better than that average.`;
}
