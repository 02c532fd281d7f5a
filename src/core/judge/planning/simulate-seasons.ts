import { askedContrastsOf } from '@/core/judge/outcomes/asked-contrasts';
import type { Call } from '@/core/judge/outcomes/judgement';
import type { Family, familiesOf } from '@/core/judge/outcomes/spread/families';
import { askedComparisonsOf, type Raised } from '@/core/judge/question/asked-comparisons';
import type { JudgeInput } from '@/core/judge/question/judge-input';
import { tTwoSidedP } from '@/core/stats/distributions/distributions';
import { largestT } from '@/core/stats/distributions/multivariate-t';
import { normalDraw } from '@/core/stats/distributions/normal-draw';
import { type SeededRandom, seededRandom } from '@/core/stats/distributions/seeded-random';
import { madeUpUnit, type PlannedReading, type PlannedTruth } from './planned-reading';

/** How much blocks and whole plots differ, as a share of what units do: a starting guess, no source. */
const PLACE_SHARE = 0.5;

/**
 * Seasons of a planned trial, unit by unit, each judged as the real one will be.
 *
 * @returns one season's calls, in the order of the question's comparisons: of the first the truth holds, of the others none does anything
 */
export function seasonsOf(
  planned: JudgeInput,
  reading: PlannedReading,
  truth: PlannedTruth,
  seed: number,
): () => readonly Call[] {
  const random = seededRandom(seed);
  const raised = askedComparisonsOf(planned)[0]?.raised ?? {};
  const families = sameInAllSeasons();
  return () =>
    askedContrastsOf(madeUpSeason(planned, reading, { ...truth, raised }, random), families).map(
      each => each.call,
    );
}

/** The planned units with made-up readings. @param truth what is done to the treatments that are `raised`, each by its share */
export function madeUpSeason(
  planned: JudgeInput,
  reading: PlannedReading,
  { cv, level, effect, raised }: PlannedTruth & { readonly raised: Raised },
  random: SeededRandom,
): JudgeInput {
  const gain = planned.better === 'higher' ? effect : -effect;
  const shared = new Map<string, number>();
  const sharedOf = (name: string): number => {
    const luck = shared.get(name) ?? PLACE_SHARE * normalDraw(random);
    shared.set(name, luck);
    return luck;
  };
  return {
    ...planned,
    units: planned.units.map(unit => {
      const places = [
        ...unit.blocks.map((block, i) => `${i} ${block}`),
        ...(unit.wholePlot === undefined ? [] : [`whole ${unit.blocks} ${unit.wholePlot}`]),
      ];
      const luck = places.reduce((sum, place) => sum + sharedOf(place), normalDraw(random));
      const own = { plain: level, gain: gain * (raised[unit.treatment] ?? 0) };
      return { ...unit, ...madeUpUnit(reading, own, cv, luck, random) };
    }),
  };
}

/**
 * The joint distribution of the comparisons as in the first season. Their correlations hang on the layout; where the readings
 * bear on them, as of counts, they differ a little from season to season, and to work them out anew takes longer than all the rest.
 */
function sameInAllSeasons(): typeof familiesOf {
  const correlationsOf = new Map<number, readonly (readonly number[])[]>();
  const made = new Map<string, Family>();
  return (combinations, spread, confidence) => {
    const known = combinations.filter(combination => combination !== undefined);
    const sizes = known.map(each => Math.sqrt(spread.covariance(each, each)));
    const correlations =
      correlationsOf.get(known.length) ??
      known.map((a, i) =>
        known.map((b, j) => (i === j ? 1 : spread.covariance(a, b) / (sizes[i]! * sizes[j]!))),
      );
    correlationsOf.set(known.length, correlations);
    return combination => {
      const df = Number(spread.dfOf(combination).toFixed(1));
      const key = `${known.length} ${df}`;
      const family = made.get(key) ?? familyOf(correlations, df, confidence);
      made.set(key, family);
      return family;
    };
  };
}

function familyOf(
  correlations: readonly (readonly number[])[],
  df: number,
  confidence: number,
): Family {
  const largest = largestT(correlations, df);
  return {
    // No season's p is looked at, and the joint one is slow.
    largest: { ...largest, upperTail: t => tTwoSidedP(t, df) },
    criticalT: largest.quantile(confidence),
    equivalenceT: largest.quantile(2 * confidence - 1),
  };
}
