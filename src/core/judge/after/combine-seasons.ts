import type { Contrast, EstimableContrast, LogRatio } from '@/core/judge/outcomes/judgement';
import { tQuantile } from '@/core/stats/distributions/distributions';
import { combineSites } from '@/core/stats/meta/random-effects';
import type { Measure } from '@/core/trial/model/measure';

/** One season's answer to a question that was asked more than once. */
export interface SeasonAnswer {
  readonly trialId: string;
  readonly question: string;
  readonly crop: string;
  readonly closedOn: string;
  /** In % of the control; null where that was not above zero. */
  readonly percent: number | null;
  /** Plain 95%; null where nothing was there to judge by. */
  readonly percentCi: readonly [number, number] | null;
  /** What it weighs in with; null where it has no ratio, or no spread of its own: then it is shown and not pooled. */
  readonly logRatio: LogRatio | null;
}

/** Seasons of one treatment against one control. */
export interface SeasonsTogether {
  readonly treatment: string;
  readonly control: string;
  /** By day; the trial's own among them. */
  readonly seasons: readonly SeasonAnswer[];
}

/** Several seasons as one answer, in % of the control. */
export interface PooledSeasons {
  readonly count: number;
  readonly percent: number;
  readonly percentCi: readonly [number, number];
  readonly p: number;
  /** How much of all variation lies between seasons, in %. */
  readonly i2: number;
}

/** A closed trial as far as it is pooled. */
export interface PooledTrial {
  readonly trialId: string;
  readonly question: string;
  readonly crop: string;
  readonly closedOn: string;
  readonly measure: PooledMeasure;
  readonly contrasts: readonly Contrast[];
}

/** What was measured, and which way is a gain: only of one and the same are seasons taken together. */
export type PooledMeasure = Pick<Measure, 'summary' | 'kindKey' | 'better'>;

function isSameMeasure(a: PooledMeasure, b: PooledMeasure): boolean {
  return a.summary === b.summary && a.kindKey === b.kindKey && a.better === b.better;
}

/**
 * Every treatment of a trial with all seasons that compared it with the same control by the same measure, those that could not
 * tell among them: leaving those out is how a myth is made.
 */
export function seasonsTogether(
  own: PooledTrial,
  others: readonly PooledTrial[],
): readonly SeasonsTogether[] {
  const trials = [own, ...others.filter(each => isSameMeasure(each.measure, own.measure))];
  return own.contrasts.flatMap(({ treatment, control }): SeasonsTogether[] => {
    const seasons = trials
      .flatMap((trial): SeasonAnswer[] => {
        const found = trial.contrasts.find(
          each => each.treatment === treatment && each.control === control,
        );
        return found?.estimable ? [answerOf(trial, found)] : [];
      })
      .sort((a, b) => a.closedOn.localeCompare(b.closedOn));
    return seasons.length < 2 ? [] : [{ treatment, control, seasons }];
  });
}

/**
 * The seasons that have a ratio, by restricted maximum likelihood with the interval of Hartung & Knapp; undefined of fewer than
 * two. Whether another crop or an odd year belongs in, the gardener says.
 */
export function poolSeasons(seasons: readonly SeasonAnswer[]): PooledSeasons | undefined {
  const sites = seasons.flatMap(({ logRatio }) =>
    logRatio !== null && logRatio.se > 0 ? [logRatio] : [],
  );
  if (sites.length < 2) return undefined;
  const { estimate, ci, p, i2 } = combineSites(sites, 'hk');
  return {
    count: sites.length,
    percent: percentOf(estimate),
    percentCi: [percentOf(ci[0]), percentOf(ci[1])],
    p,
    i2,
  };
}

function answerOf(
  { trialId, question, crop, closedOn }: PooledTrial,
  contrast: EstimableContrast,
): SeasonAnswer {
  // Verdicts frozen by earlier versions hold no ratio of their own.
  const logRatio = contrast.logRatio ?? ratioOfPercent(contrast);
  return {
    trialId,
    question,
    crop,
    closedOn,
    percent: contrast.percent,
    percentCi: logRatio && (contrast.percentCi ?? intervalOf(logRatio, contrast.df)),
    logRatio,
  };
}

function intervalOf({ estimate, se }: LogRatio, df: number): readonly [number, number] {
  const half = tQuantile(0.975, df) * se;
  return [percentOf(estimate - half), percentOf(estimate + half)];
}

/** From the interval in %, or where that reaches the loss of everything from the error of the difference, as of groups alike. */
function ratioOfPercent({
  percent,
  percentCi,
  difference,
  se,
  df,
}: EstimableContrast): LogRatio | null {
  if (percent === null || percent <= -100 || se === null) return null;
  const ratio = 1 + percent / 100;
  const estimate = Math.log(ratio);
  if (percentCi && percentCi[0] > -100) {
    const [low, high] = [Math.log1p(percentCi[0] / 100), Math.log1p(percentCi[1] / 100)];
    return { estimate, se: (high - low) / (2 * tQuantile(0.975, df)) };
  }
  if (percent === 0) return null;
  const control = (100 * difference) / percent;
  return { estimate, se: (se / control) * Math.sqrt((1 + ratio ** -2) / 2) };
}

function percentOf(logRatio: number): number {
  return 100 * Math.expm1(logRatio);
}
