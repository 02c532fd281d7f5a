import type { Judgement } from '@/core/judge/outcomes/judgement';
import type { JudgeInput } from '@/core/judge/question/judge-input';
import type { Measure } from '@/core/trial/model/measure';
import { isAveraged } from '@/core/trial/model/scale';
import type { TrialData } from '@/core/trial/model/trial-data';
import { pluralOf } from '@/core/words/plural';

/** How parts of one unit differ, and units treated alike beyond that: standard deviations in the measure's unit. */
export interface PartsAndUnits {
  readonly within: number;
  readonly between: number;
  /** Parts read of a unit: the harmonic mean, which is what their means are as sure as. */
  readonly parts: number;
  /** Units of a treatment, on average. */
  readonly unitsEach: number;
}

/**
 * Splits what is left over into the spread of parts within units and that of units, by equating mean squares (Snedecor & Cochran 1967,
 * Statistical Methods, 10.13): a unit's mean varies by σ²(units) + σ²(parts) / parts.
 *
 * @param readOf the parts read of each unit; units with one part tell nothing of parts
 * @param leftOver the variance of unit means that treatments and blocks leave, and of how many units of a treatment
 */
export function partsAndUnits(
  readOf: readonly (readonly number[])[],
  leftOver: { readonly variance: number; readonly unitsEach: number },
): PartsAndUnits | undefined {
  const read = readOf.filter(parts => parts.length > 0);
  const df = read.reduce((sum, parts) => sum + parts.length - 1, 0);
  if (df < 3) return undefined;
  const squares = read.reduce((sum, parts) => {
    const mean = parts.reduce((total, each) => total + each, 0) / parts.length;
    return sum + parts.reduce((total, each) => total + (each - mean) ** 2, 0);
  }, 0);
  const parts = read.length / read.reduce((sum, own) => sum + 1 / own.length, 0);
  const within = squares / df;
  return {
    within: Math.sqrt(within),
    between: Math.sqrt(Math.max(0, leftOver.variance - within / parts)),
    parts,
    unitsEach: leftOver.unitsEach,
  };
}

/** By what share intervals would be narrower with other numbers, from 0 to 1. */
export function narrowerBy(
  { within, between, parts, unitsEach }: PartsAndUnits,
  other: { readonly parts?: number; readonly unitsEach?: number },
): number {
  const variance = (m: number, n: number): number => (between ** 2 + within ** 2 / m) / n;
  const now = variance(parts, unitsEach);
  return now === 0
    ? 0
    : 1 - Math.sqrt(variance(other.parts ?? parts, other.unitsEach ?? unitsEach) / now);
}

/** The split of a judged measure whose parts are averaged; null of any other, and where no parts were read. */
export function partsAndUnitsOf(
  { readings }: Pick<TrialData, 'readings'>,
  { id, scale, partsAre, summary }: Measure,
  {
    input,
    judgement: { anova, groups },
  }: {
    readonly input: Pick<JudgeInput, 'outcome'>;
    readonly judgement: Pick<Judgement, 'anova' | 'groups'>;
  },
): PartsAndUnits | null {
  const residual = anova.find(row => row.term === 'residual');
  const isOneLook = summary === 'reading-last' || summary === 'reading-mean';
  if (input.outcome !== 'continuous' || !residual || residual.df < 1 || !isOneLook) return null;
  if (scale === null || !isAveraged(scale) || partsAre === 'added') return null;
  const byUnit = new Map<string, Map<string, number[]>>();
  for (const { measureId, unitId, takenOn, value, isRepeat } of readings) {
    if (measureId !== id || value === null || isRepeat) continue;
    const days = byUnit.get(unitId) ?? new Map<string, number[]>();
    byUnit.set(unitId, days.set(takenOn, [...(days.get(takenOn) ?? []), value]));
  }
  // Several days would be a third spread beside these two.
  if ([...byUnit.values()].some(days => summary === 'reading-mean' && days.size > 1)) return null;
  const last = [...byUnit.values()].map(
    days => days.get([...days.keys()].sort().at(-1) ?? '') ?? [],
  );
  if (last.every(parts => parts.length < 2)) return null;
  const units = groups.reduce((sum, group) => sum + group.n, 0);
  return (
    partsAndUnits(last, {
      variance: residual.ms,
      unitsEach: units / Math.max(1, groups.length),
    }) ?? null
  );
}

/** What pays: more parts of each unit, or more units. */
export function partsOrUnitsWords(split: PartsAndUnits, unitWord: string): string {
  const { parts, unitsEach } = split;
  const shown = Math.round(parts);
  const percent = (share: number): number => Math.round(100 * share);
  const twice = percent(narrowerBy(split, { parts: 2 * parts }));
  const unitMore = percent(narrowerBy(split, { unitsEach: unitsEach + 1 }));
  const half = percent(-narrowerBy(split, { parts: Math.max(1, parts / 2) }));
  const one = `${shown} parts of each ${unitWord} were read. Twice as many would narrow the interval by ${twice}%, one ${unitWord} more of each treatment by ${unitMore}%`;
  if (twice > unitMore) return `${one}: read more parts before you plant more.`;
  return shown > 1 && half <= 5
    ? `${one}; with half as many it would be ${half < 1 ? 'hardly' : `${half}%`} wider. Read fewer parts, and have more ${pluralOf(unitWord)}.`
    : `${one}: more ${pluralOf(unitWord)} pay better.`;
}
