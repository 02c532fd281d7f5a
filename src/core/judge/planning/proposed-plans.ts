import { differenceSeen, unitsForPower } from '@/core/design/power/closed-power';

/** A plan that a gardener's pots can be spent on, and the smallest gain it is likely to see. */
export interface ProposedPlan {
  readonly kind: 'one-season' | 'matched' | 'fewer' | 'two-seasons';
  readonly treatments: number;
  /** Units of each treatment in a season. */
  readonly each: number;
  /** Seen four times in five, as a share of what the control gives. */
  readonly smallestSeen: number;
}

/** What there is to plan with. */
export interface PlanningMeans {
  /** Units in one season, ≥ 0. */
  readonly units: number;
  readonly treatments: number;
  /** Standard deviation over mean of units treated alike. */
  readonly cv: number;
}

const LIKELY = 0.8;
const ALPHA = 0.05;

/** Correlation of size before the start with what is harvested: a starting guess, no source. */
export const START_SIZE_TELLS = 0.6;

/**
 * Three ways to spend the same units: on all treatments in one season; with the start more alike or, of three treatments and more, on
 * two of them; and again next season, both judged together. Every treatment against the control, two-sided, Dunnett (1955); blocks and
 * seasons cost degrees of freedom that are few beside the rest, and are not taken off.
 *
 * @returns none where there are fewer than two units of each treatment
 */
export function proposedPlans(means: PlanningMeans): readonly ProposedPlan[] {
  const { units, treatments, cv } = means;
  const each = Math.floor(units / treatments);
  if (each < 2) return [];
  const seen = (groups: number, n: number, sd: number): number =>
    differenceSeen({ kind: 'dunnett', groups, sd, alpha: ALPHA }, n, LIKELY);
  const inHalves = Math.floor(units / 2);
  return [
    { kind: 'one-season', treatments, each, smallestSeen: seen(treatments, each, cv) },
    treatments > 2
      ? { kind: 'fewer', treatments: 2, each: inHalves, smallestSeen: seen(2, inHalves, cv) }
      : {
          kind: 'matched',
          treatments,
          each,
          smallestSeen: seen(treatments, each, cv * Math.sqrt(1 - START_SIZE_TELLS ** 2)),
        },
    { kind: 'two-seasons', treatments, each, smallestSeen: seen(treatments, 2 * each, cv) },
  ];
}

/** Units in all that are likely to see a gain of this size in one season; null above a thousand of each. @param gain as a share */
export function unitsForGain({ treatments, cv }: PlanningMeans, gain: number): number | null {
  const found = unitsForPower(
    { kind: 'dunnett', groups: treatments, sd: cv, alpha: ALPHA, delta: gain },
    LIKELY,
  );
  return found === null ? null : found.n * treatments;
}
