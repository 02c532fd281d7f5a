import { withCuts } from '@/core/judge/units/analysis-sets';
import { type AnalysisSpec, judgeInputOf } from '@/core/judge/units/trial-analysis';
import { isGainOrLoss } from '@/core/measure/library/reading-library';
import { unitValues } from '@/core/measure/unit-value/unit-values';
import { daysBetween } from '@/core/time/garden-day';
import type { Measure } from '@/core/trial/model/measure';
import type { Reading } from '@/core/trial/model/reading';
import type { Scale } from '@/core/trial/model/scale';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { OutcomeInput, OutcomeKind, OutcomeUnit } from './outcome-input';

/** By which method a measure is judged; null where its mean is what counts, or nothing can be compared. */
export function outcomeOf(scale: Scale | null): OutcomeKind | null {
  if (scale === null) return null;
  switch (scale.kind) {
    case 'count':
      return 'count';
    case 'proportion':
    case 'yes-no':
    case 'class':
      return 'proportion';
    case 'ordinal':
    case 'rank':
      return 'ordinal';
    case 'date':
      return 'time';
    case 'continuous':
    case 'percent':
      return null;
  }
}

/** How a measure is to be judged where somebody chose, or has to. */
export interface OutcomeRequest {
  /** The ranks of a measure that has a mean. */
  readonly isByRanks?: boolean;
  /** Of classes: the one that is counted, by its number; without it the one that came most often. */
  readonly countedClass?: number | undefined;
}

/**
 * What is judged by kind, from a trial's own readings; undefined where the measure is judged by its mean. Classes have no
 * order: what is judged is how often one of them came.
 */
export function outcomeInputOf(
  data: TrialData,
  measure: Measure,
  spec: AnalysisSpec,
  { isByRanks = false, countedClass }: OutcomeRequest = {},
): OutcomeInput | undefined {
  const kind = isByRanks ? 'ordinal' : outcomeOf(measure.scale);
  if (kind === null) return undefined;
  const counted = spec.isUncut ? data : withCuts(data);
  const {
    treatments,
    control,
    blockNames,
    isPaired = false,
    agreed,
    units,
    unitWord,
    treatmentName,
  } = judgeInputOf(data, { ...spec, measureId: measure.id });
  const values = new Map(
    unitValues(counted, measure).map(({ unit, value }) => [unit.code as string, value]),
  );
  const lastDay = lastDayOf(measure, counted) ?? data.trial.startsOn;
  const counts = classCounter(measure, counted, countedClass);
  return {
    kind,
    response: measure.response,
    countedClass: counts?.name,
    hasNoGoodDirection: !isGainOrLoss(measure),
    unitWord,
    treatmentName,
    treatments,
    control,
    blockNames,
    isPaired,
    better: measure.better,
    margin: spec.margin,
    agreed,
    confidence: 0.95,
    seed: spec.seed,
    isDeclared: measure.isMain,
    units: units.map((unit): OutcomeUnit => {
      const of = data.units.find(each => each.code === unit.id);
      const own = counted.readings.filter(
        reading =>
          reading.measureId === measure.id && reading.unitId === of?.id && !reading.isRepeat,
      );
      const value = values.get(unit.id) ?? null;
      const readings = counts ? own.map(counts.asOneOf) : own;
      const waited = Math.max(0, daysBetween(data.trial.startsOn, lastDay));
      const read = isByRanks
        ? { value, outOf: null, hasCome: false }
        : unitOf(kind, readings, { value, waited });
      return {
        id: unit.id,
        treatment: unit.treatment,
        blocks: unit.blocks,
        wholePlot: unit.wholePlot,
        ...(unit.isLeftOut ? NOTHING : read),
        ...(counts && { className: unit.isLeftOut ? null : counts.nameOf(value) }),
      };
    }),
  };
}

function lastDayOf({ id }: Measure, { readings }: TrialData): string | undefined {
  return readings
    .filter(reading => reading.measureId === id)
    .map(reading => reading.takenOn)
    .sort()
    .at(-1);
}

interface ClassCounter {
  readonly name: string;
  /** A reading of a class as one item that is, or is not, of the counted one. */
  readonly asOneOf: (reading: Reading) => Reading;
  readonly nameOf: (value: number | null) => string | null;
}

function classCounter(
  { scale, id }: Measure,
  data: TrialData,
  requested: number | undefined,
): ClassCounter | undefined {
  if (scale?.kind !== 'class') return undefined;
  const seen = data.readings
    .filter(reading => reading.measureId === id && reading.value !== null)
    .map(reading => reading.value ?? 0);
  const times = scale.classes.map((_, i) => seen.filter(value => value === i).length);
  const number =
    requested !== undefined && scale.classes[requested] !== undefined
      ? requested
      : times.indexOf(Math.max(...times));
  return {
    name: scale.classes[number] ?? '',
    asOneOf: reading =>
      reading.value === null
        ? reading
        : { ...reading, value: Number(reading.value === number), outOf: 1 },
    nameOf: value => (value === null ? null : (scale.classes[value] ?? null)),
  };
}

type ReadOf = Pick<OutcomeUnit, 'value' | 'outOf' | 'hasCome'>;

const NOTHING: ReadOf = { value: null, outOf: null, hasCome: false };

/** @param waited days that were looked at, for what has not come */
function unitOf(
  kind: OutcomeKind,
  readings: readonly Reading[],
  { value, waited }: { readonly value: number | null; readonly waited: number },
): ReadOf {
  if (readings.length === 0) return NOTHING;
  if (kind === 'time') {
    const days = readings.flatMap(reading =>
      reading.outcome === 'picked' && reading.value !== null ? [reading.value] : [],
    );
    if (days.length > 0) return { value: Math.min(...days), outOf: null, hasCome: true };
    // “Not yet” and “dead” were looked at; only “not looked” says nothing.
    return readings.some(reading => reading.outcome !== 'not-looked')
      ? { value: waited, outOf: null, hasCome: false }
      : NOTHING;
  }
  if (kind === 'proportion') return lastShare(readings);
  return { value, outOf: null, hasCome: false };
}

/** k of n on the last day: the same leaves looked at on ten days are no ten times as many. */
function lastShare(readings: readonly Reading[]): ReadOf {
  const looked = readings.filter(reading => reading.outcome === 'picked' && reading.value !== null);
  const day = looked
    .map(reading => reading.takenOn)
    .sort()
    .at(-1);
  const last = looked.filter(reading => reading.takenOn === day);
  if (last.length === 0) return NOTHING;
  return {
    value: last.reduce((sum, reading) => sum + (reading.value ?? 0), 0),
    outOf: last.reduce((sum, reading) => sum + (reading.outOf ?? 1), 0),
    hasCome: false,
  };
}
