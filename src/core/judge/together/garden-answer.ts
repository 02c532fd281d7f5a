import { judgeWithoutShuffle } from '@/core/judge/outcomes/judge';
import type { EstimableContrast, Judgement, LogRatio } from '@/core/judge/outcomes/judgement';
import { STARTING_GUESS_CV } from '@/core/judge/question/judge-input';
import { judgeInputOf, plannedSpec } from '@/core/judge/units/trial-analysis';
import { tQuantile } from '@/core/stats/distributions/distributions';
import type { Measure } from '@/core/trial/model/measure';
import type { TrialData } from '@/core/trial/model/trial-data';

/** What one garden, in one season, found of one comparison of the question. */
export interface GardenGap {
  readonly treatment: string;
  readonly control: string;
  /** In the measure’s own unit, null where only a share is known; `se` null where the garden has no spread of its own. */
  readonly difference: number | null;
  readonly se: number | null;
  readonly df: number;
  /** In % of the control, and its logarithm with the error of it; null where there is no ratio. */
  readonly percent: number | null;
  readonly logRatio: LogRatio | null;
  /** What the control came to; null where it is no single treatment. */
  readonly controlLevel: number | null;
  /** Units that were read, of the treatment and of the control. */
  readonly units: readonly [number, number];
}

/** One unit’s value: a dot. */
export interface GardenDot {
  readonly treatment: string;
  readonly block: string;
  readonly value: number;
}

/** What one garden’s trial says of one measure. */
export interface GardenAnswer {
  readonly gaps: readonly GardenGap[];
  readonly dots: readonly GardenDot[];
  /** Units that were dealt, those without a value, and those left out as agreed. */
  readonly units: number;
  readonly missing: number;
  readonly leftOut: number;
}

/** A garden’s trial judged for itself as it was planned, as far as gardens are taken together. */
export function gardenAnswer(data: TrialData, measure: Measure): GardenAnswer {
  const planned = plannedSpec(data, STARTING_GUESS_CV);
  const input = judgeInputOf(data, {
    ...planned,
    measureId: measure.id,
    margin: measure.margin,
    shuffles: 0,
  });
  const judgement = judgeWithoutShuffle(input);
  const read = input.units.filter(unit => unit.value !== null);
  const countOf = (names: readonly string[]): number =>
    read.filter(unit => names.includes(unit.treatment)).length;
  return {
    gaps: comparisonsOf(judgement).map(({ found, one, other }) => ({
      treatment: found.treatment,
      control: found.control,
      difference: found.difference,
      se: errorOf(found, input.outcome),
      df: found.df,
      percent: found.percent,
      logRatio: found.logRatio,
      controlLevel: judgement.adjustedMeans[found.control] ?? null,
      units: [countOf(one), countOf(other)],
    })),
    dots: read.map(unit => ({
      treatment: unit.treatment,
      block: unit.blocks.join(' · '),
      value: (unit.value ?? 0) / (unit.outOf ?? unit.effort ?? 1),
    })),
    units: input.units.length,
    missing: input.units.filter(unit => unit.value === null && !unit.isLeftOut).length,
    leftOut: input.units.filter(unit => unit.isLeftOut).length,
  };
}

interface Compared {
  readonly found: EstimableContrast;
  /** The treatments that stand on either side. */
  readonly one: readonly string[];
  readonly other: readonly string[];
}

/** What the question compares: the agreed two; of crossed factors each level averaged over the others; else all against the control. */
function comparisonsOf(judgement: Judgement): readonly Compared[] {
  const { agreed, effects, contrasts, groups } = judgement;
  const all = groups.map(group => group.treatment);
  const mains = effects.filter(effect => effect.within === null);
  const asked = agreed?.estimable && !contrasts.some(each => isSame(each, agreed)) ? [agreed] : [];
  if (mains.length > 0) return [...asked, ...mains].map(found => ({ found, one: all, other: all }));
  return [...asked, ...contrasts.flatMap(each => (each.estimable ? [each] : []))].map(found => ({
    found,
    one: [found.treatment],
    other: [found.control],
  }));
}

function isSame(
  a: { readonly treatment: string; readonly control: string },
  b: { readonly treatment: string; readonly control: string },
): boolean {
  return a.treatment === b.treatment && a.control === b.control;
}

/** In the measure’s own unit: of a mean the model’s own, else what its interval reaches to either side. */
function errorOf({ se, ci, df }: EstimableContrast, outcome: string): number | null {
  if (se === null || outcome === 'continuous') return se;
  return ci === null ? null : (ci[1] - ci[0]) / (2 * tQuantile(0.975, df));
}
