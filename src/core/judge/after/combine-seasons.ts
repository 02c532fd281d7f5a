import type { Contrast } from '@/core/judge/outcomes/judgement';
import { tQuantile } from '@/core/stats/distributions/distributions';
import { type Combined, combineSites, type SiteEstimate } from '@/core/stats/meta/random-effects';
import type { Measure } from '@/core/trial/model/measure';

/** One season's answer to a question that was asked more than once. */
export interface SeasonAnswer {
  readonly trialId: string;
  readonly question: string;
  readonly closedOn: string;
  /** In % of the control, with its plain 95% interval. */
  readonly percent: number;
  readonly percentCi: readonly [number, number];
}

/** Seasons of one treatment against one control, taken together. */
export interface SeasonsTogether {
  readonly treatment: string;
  readonly control: string;
  readonly seasons: readonly SeasonAnswer[];
  /** Of the logarithms of the ratios, turned back into %; undefined for a single season. */
  readonly percent: number | undefined;
  readonly percentCi: readonly [number, number] | undefined;
  readonly combined: Combined | undefined;
}

/** A closed trial as far as it is pooled. */
export interface PooledTrial {
  readonly trialId: string;
  readonly question: string;
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
 * Every treatment of a trial with all seasons that compared it with the same control by the same measure, those that could not tell among them:
 * leaving those out is how a myth is made. Hartung & Knapp's interval over the logarithms of the ratios.
 */
export function seasonsTogether(
  own: PooledTrial,
  others: readonly PooledTrial[],
): readonly SeasonsTogether[] {
  return own.contrasts.flatMap((contrast): SeasonsTogether[] => {
    const seasons = [own, ...others.filter(each => isSameMeasure(each.measure, own.measure))]
      .flatMap((trial): SeasonAnswer[] => {
        const found = trial.contrasts.find(
          each => each.treatment === contrast.treatment && each.control === contrast.control,
        );
        // Where its interval reaches the loss of everything, it has no ratio to take a logarithm of.
        return found?.estimable &&
          found.percent !== null &&
          found.percentCi &&
          found.percentCi[0] > -100
          ? [
              {
                trialId: trial.trialId,
                question: trial.question,
                closedOn: trial.closedOn,
                percent: found.percent,
                percentCi: found.percentCi,
              },
            ]
          : [];
      })
      .sort((a, b) => a.closedOn.localeCompare(b.closedOn));
    if (seasons.length < 2) return [];
    const dfOf = (trialId: string): number => {
      const found = [own, ...others]
        .find(trial => trial.trialId === trialId)
        ?.contrasts.find(each => each.treatment === contrast.treatment);
      return found?.estimable ? found.df : 30;
    };
    const combined = combineSites(
      seasons.map((season): SiteEstimate => {
        const [low, high] = season.percentCi.map(end => Math.log1p(end / 100)) as [number, number];
        return {
          estimate: Math.log1p(season.percent / 100),
          se: (high - low) / (2 * tQuantile(0.975, dfOf(season.trialId))),
        };
      }),
      'hk',
    );
    const back = (log: number): number => 100 * Math.expm1(log);
    return [
      {
        treatment: contrast.treatment,
        control: contrast.control,
        seasons,
        combined,
        percent: back(combined.estimate),
        percentCi: [back(combined.ci[0]), back(combined.ci[1])],
      },
    ];
  });
}
