import type { Call, Interval } from '@/core/judge/outcomes/judgement';
import type { BetterWay, Margin } from '@/core/judge/question/judge-input';
import { callOf } from '@/core/judge/verdict/call';
import { tQuantile } from '@/core/stats/distributions/distributions';
import { predictionInterval } from '@/core/stats/meta/prediction-interval';
import { combineSites, type SiteEstimate } from '@/core/stats/meta/random-effects';
import type { GardenGap } from './garden-answer';

/** A garden in a season with what it found of one comparison, or a summary that was typed in. */
export interface GardenFinding {
  /** What it is ticked by. */
  readonly id: string;
  /** Whose it is: findings of one garden count as one garden. */
  readonly gardenId: string;
  readonly gap: GardenGap;
}

/** What gaps are told in: a share of the control, or the measure’s own unit. */
export type PoolScale = 'percent' | 'difference';

/** One garden beside the others, on the scale of all; its seasons taken together first. */
export interface PooledGarden {
  /** Of seasons of one garden the season’s own id. */
  readonly gardenId: string;
  readonly ids: readonly string[];
  /** As it is told: in % or in the measure’s unit. */
  readonly gap: number;
  /** Plain 95%, by the common spread; null where no garden tells one. */
  readonly ci: Interval | null;
  /** On the working scale: of percentages the natural logarithm of the ratio. */
  readonly site: SiteEstimate;
  /** It tells no spread of its own: it has one unit of each only. */
  readonly isBorrowed: boolean;
  /** How much of the mean it is, in %. */
  readonly weight: number;
}

/** All gardens together, as told: in % or in the measure’s unit. */
export interface Together {
  readonly gap: number;
  readonly ci: Interval;
  /** So wide that all comparisons of the question are covered: what the call rests on. */
  readonly ciAdjusted: Interval;
  readonly ciEquivalence: Interval;
  /** Where a garden like these would lie, in 95 of 100; of three gardens and more. */
  readonly prediction: Interval | null;
  readonly p: number;
  /** On the working scale. */
  readonly estimate: number;
  readonly se: number;
  readonly df: number;
  readonly tau2: number;
  readonly i2: number;
  readonly q: number;
  readonly qP: number;
  readonly call: Call;
}

export interface PooledComparison {
  readonly treatment: string;
  readonly control: string;
  readonly isLine: boolean;
  readonly scale: PoolScale;
  /** What is taken together: gardens, or of one garden alone its seasons. */
  readonly by: 'garden' | 'season';
  readonly gardens: readonly PooledGarden[];
  /** What can’t be taken in, by its id: nothing to compare, or no ratio. */
  readonly without: readonly string[];
  /** In how many gardens it did better, by the sign alone. */
  readonly better: number;
  /** null of fewer than two gardens. */
  readonly together: Together | null;
}

export interface PoolSpec {
  readonly better: BetterWay;
  readonly margin: Margin | null;
  /** Whether gaps are told as a share of the control. */
  readonly isShare: boolean;
  /** How many comparisons the question makes: all are covered together. */
  readonly comparisons: number;
}

const CONFIDENCE = 0.95;
const FEWEST_FOR_PREDICTION = 3;

/**
 * Gardens as a sample of gardens: random effects by restricted maximum likelihood with the interval of Hartung & Knapp, on the
 * logarithm of the ratio, or on the difference where the margin is in the measure’s own unit or a garden has no ratio. What one
 * garden found in several seasons is one garden’s mean, weighted by the seasons’ errors; where there is no other garden its seasons
 * are the sample.
 */
export function poolGardens(
  { treatment, control, isLine }: Pick<GardenGap, 'treatment' | 'control' | 'isLine'>,
  findings: readonly GardenFinding[],
  spec: PoolSpec,
): PooledComparison {
  const scale = scaleOf(findings, spec.isShare);
  const { found, without } = asSites(findings, scale);
  const by = new Set(found.map(each => each.gardenId)).size === 1 ? 'season' : 'garden';
  const sites = byGarden(found, each => (by === 'season' ? each.id : each.gardenId));
  const combined =
    sites.length < 2
      ? null
      : combineSites(
          sites.map(each => each.site),
          'hk',
        );
  const weights = sites.map(({ site }) => 1 / (site.se ** 2 + (combined?.tau2 ?? 0)));
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  const sign = spec.better === 'higher' ? 1 : -1;
  return {
    treatment,
    control,
    isLine,
    scale,
    by,
    gardens: sites.map(({ site, df, ...garden }, i) => ({
      ...garden,
      site,
      gap: told(site.estimate, scale),
      ci: df > 0 ? toldAround(site, tQuantile(0.975, df), scale) : null,
      weight: (100 * (weights[i] ?? 0)) / total,
    })),
    without,
    better: sites.filter(({ site }) => sign * site.estimate > 0).length,
    together:
      combined &&
      togetherOf(
        combined,
        sites.map(each => each.site),
        scale,
        {
          ...spec,
          margin: marginOn(scale, spec.margin, findings),
        },
      ),
  };
}

/** Shares where they are wanted and every garden has one. */
function scaleOf(findings: readonly GardenFinding[], isShare: boolean): PoolScale {
  const hasAll = findings.every(({ gap }) => gap.percent !== null && gap.percent > -100);
  return isShare && hasAll ? 'percent' : 'difference';
}

interface FoundSite {
  readonly id: string;
  readonly gardenId: string;
  readonly site: SiteEstimate;
  readonly df: number;
  readonly isBorrowed: boolean;
}

/**
 * Each finding on the scale of all. A few units tell their garden’s spread so poorly that weights by it would be luck: every garden
 * is weighed by its number of units and the common variance of one, the mean of the gardens’ own by their degrees of freedom; so
 * one with a unit of each only can stand beside the others. Where none has a spread of its own only that between gardens counts.
 */
function asSites(
  findings: readonly GardenFinding[],
  scale: PoolScale,
): { readonly found: readonly FoundSite[]; readonly without: readonly string[] } {
  const read = findings.map(({ id, gardenId, gap }) => ({
    id,
    gardenId,
    df: gap.df,
    share: gap.share,
    estimate: estimateOf(gap, scale),
    se: (scale === 'percent' ? gap.logRatio?.se : gap.se) ?? null,
  }));
  const common = commonVariance(read);
  const found = read.flatMap(({ id, gardenId, df, share, estimate, se }): FoundSite[] => {
    if (estimate === null) return [];
    const isBorrowed = se === null || !(se > 0);
    const perUnit = common?.variance ?? LIKE_ALL;
    // A summary that was typed in has an error and no units.
    const error = share === null && se !== null ? se : Math.sqrt(perUnit * (share ?? 2));
    const known = share === null ? df : (common?.df ?? 0);
    return [{ id, gardenId, site: { estimate, se: error }, df: known, isBorrowed }];
  });
  const ids = new Set(found.map(each => each.id));
  return { found, without: findings.map(each => each.id).filter(id => !ids.has(id)) };
}

/** The variance of one unit, by degrees of freedom; null where no garden tells it. */
function commonVariance(
  read: readonly {
    readonly se: number | null;
    readonly share: number | null;
    readonly df: number;
  }[],
): { readonly variance: number; readonly df: number } | null {
  let [sum, total] = [0, 0];
  for (const { se, share, df } of read)
    if (se !== null && se > 0 && share !== null && df > 0) {
      sum += (df * se ** 2) / share;
      total += df;
    }
  return total > 0 ? { variance: sum / total, df: total } : null;
}

/** Where no garden has a spread of its own the weights are equal whatever stands here; small, so that all spread is between gardens. */
const LIKE_ALL = 1e-12;

function estimateOf(gap: GardenGap, scale: PoolScale): number | null {
  if (scale === 'difference') return gap.difference;
  if (gap.logRatio) return gap.logRatio.estimate;
  return gap.percent !== null && gap.percent > -100 ? Math.log1p(gap.percent / 100) : null;
}

/** A garden’s seasons as one: it is asked what it does in gardens, and one garden is one, however often it tried. */
function byGarden(found: readonly FoundSite[], keyOf: (site: FoundSite) => string) {
  const gardens = [...new Set(found.map(keyOf))];
  return gardens.map(gardenId => {
    const own = found.filter(each => keyOf(each) === gardenId);
    const weights = own.map(({ site }) => 1 / site.se ** 2);
    const sum = weights.reduce((total, weight) => total + weight, 0);
    const estimate = own.reduce((t, { site }, i) => t + weights[i]! * site.estimate, 0) / sum;
    return {
      gardenId,
      ids: own.map(each => each.id),
      site: { estimate, se: Math.sqrt(1 / sum) },
      df: Math.max(...own.map(each => each.df)),
      isBorrowed: own.some(each => each.isBorrowed),
    };
  });
}

function togetherOf(
  { estimate, se, tau2, i2, q, qP, p }: ReturnType<typeof combineSites>,
  sites: readonly SiteEstimate[],
  scale: PoolScale,
  { better, margin, comparisons }: Omit<PoolSpec, 'margin'> & { readonly margin: number },
): Together {
  const df = sites.length - 1;
  const predicted = sites.length < FEWEST_FOR_PREDICTION ? null : predictionInterval(sites);
  // Šidák (1967): never too narrow, whichever way the comparisons hang together.
  const joint = (confidence: number): number =>
    tQuantile(1 - (1 - confidence ** (1 / comparisons)) / 2, df);
  const site = { estimate, se };
  const ciAdjusted = toldAround(site, joint(CONFIDENCE), scale);
  const ciEquivalence = toldAround(site, joint(2 * CONFIDENCE - 1), scale);
  return {
    gap: told(estimate, scale),
    ci: toldAround(site, tQuantile(0.975, df), scale),
    ciAdjusted,
    ciEquivalence,
    prediction: predicted && [told(predicted[0], scale), told(predicted[1], scale)],
    p,
    estimate,
    se,
    df,
    tau2,
    i2,
    q,
    qP,
    call: callOf({ adjusted: ciAdjusted, equivalence: ciEquivalence, margin }, better),
  };
}

/** The smallest difference worth having on the scale of all; a percentage of a difference is that of the controls’ mean. 0: none. */
function marginOn(
  scale: PoolScale,
  margin: Margin | null,
  findings: readonly GardenFinding[],
): number {
  if (margin === null) return 0;
  if (margin.kind === 'absolute') return margin.amount;
  if (scale === 'percent') return margin.percent;
  const levels = findings.flatMap(({ gap }) => gap.controlLevel ?? []);
  const sum = levels.reduce((total, level) => total + Math.abs(level), 0);
  return levels.length === 0 ? 0 : ((sum / levels.length) * margin.percent) / 100;
}

function toldAround({ estimate, se }: SiteEstimate, critical: number, scale: PoolScale): Interval {
  return [told(estimate - critical * se, scale), told(estimate + critical * se, scale)];
}

function told(value: number, scale: PoolScale): number {
  return scale === 'percent' ? 100 * Math.expm1(value) : value;
}
