import { judgeWithoutShuffle } from '@/core/judge/outcomes/judge';
import type { EstimableContrast, Judgement, LogRatio } from '@/core/judge/outcomes/judgement';
import { doseLineOf } from '@/core/judge/question/dose-line';
import { STARTING_GUESS_CV } from '@/core/judge/question/judge-input';
import { judgeInputOf, plannedSpec } from '@/core/judge/units/trial-analysis';
import { tQuantile } from '@/core/stats/distributions/distributions';
import type { Measure } from '@/core/trial/model/measure';
import type { TrialData } from '@/core/trial/model/trial-data';

/** What one garden, in one season, found of one comparison of the question. */
export interface GardenGap {
  readonly treatment: string;
  readonly control: string;
  /** Of a series of doses: the largest against the smallest along a straight line through all of them. */
  readonly isLine: boolean;
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
  /** Its variance in that of one unit, by how many were read; null where it was told and not counted. */
  readonly share: number | null;
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
    gaps: [...lineOf(judgement, input, countOf), ...comparisonsOf(judgement, countOf)].map(
      ({ found, isLine, units, share }) => ({
        treatment: found.treatment,
        control: found.control,
        isLine,
        difference: found.difference,
        se: errorOf(found, input.outcome),
        df: found.df,
        percent: found.percent,
        logRatio: found.logRatio,
        controlLevel: judgement.adjustedMeans[found.control] ?? null,
        units,
        share,
      }),
    ),
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

interface Compared extends Pick<GardenGap, 'isLine' | 'units' | 'share'> {
  readonly found: EstimableContrast;
}

type CountOf = (names: readonly string[]) => number;

/** Of a series of doses its line, which the question asks for; none where a dose has nothing that was read. */
function lineOf(
  { trend }: Judgement,
  input: Parameters<typeof doseLineOf>[0],
  countOf: CountOf,
): readonly Compared[] {
  const line = doseLineOf(input);
  if (!trend || !line) return [];
  const least = new Map(line.atLeast);
  const shares = line.atMost.map(
    ([name, weight]) => (weight - (least.get(name) ?? 0)) ** 2 / countOf([name]),
  );
  return [
    {
      found: trend,
      isLine: true,
      units: [countOf([line.most]), countOf([line.least])],
      share: shares.reduce((sum, share) => sum + share, 0),
    },
  ];
}

/** What the question compares: the agreed two; of crossed factors each level averaged over the others; else all against the control. */
function comparisonsOf(judgement: Judgement, countOf: CountOf): readonly Compared[] {
  const { agreed, effects, contrasts, groups } = judgement;
  const all = groups.map(group => group.treatment);
  const mains = effects.filter(effect => effect.within === null);
  const asked = agreed?.estimable && !contrasts.some(each => isSame(each, agreed)) ? [agreed] : [];
  const compared = (
    found: EstimableContrast,
    one: readonly string[],
    other: readonly string[],
  ): Compared => {
    const units = [countOf(one), countOf(other)] as const;
    return { found, isLine: false, units, share: shareOfUnits(units) };
  };
  if (mains.length > 0) return [...asked, ...mains].map(found => compared(found, all, all));
  return [...asked, ...contrasts.flatMap(each => (each.estimable ? [each] : []))].map(found =>
    compared(found, [found.treatment], [found.control]),
  );
}

/** The variance of a difference of means in that of one unit; null where a side has none. */
function shareOfUnits([one, other]: readonly [number, number]): number | null {
  return one > 0 && other > 0 ? 1 / one + 1 / other : null;
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
