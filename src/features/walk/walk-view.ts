import type { SeenTrial } from '@/core/blinding/seen-trial';
import type { Drawing } from '@/core/measure/library/reading-kind';
import { readingKind } from '@/core/measure/library/reading-library';
import { definitionWords } from '@/core/quantity/ruler-words';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import type { Measure } from '@/core/trial/model/measure';
import type { Outcome } from '@/core/trial/model/pick';
import type { Reading } from '@/core/trial/model/reading';
import { isTaken, type Scale, scaleWords } from '@/core/trial/model/scale';
import type { TrialState } from '@/core/trial/model/trial';
import type { BenchView } from '@/features/bench/bench-view';

/** A value that stands already, as a walk needs it. */
export interface CurrentValue {
  readonly id: string;
  readonly unitId: string;
  readonly measureId: string;
  readonly part: string;
  readonly on: string;
  readonly value: number | null;
  readonly outOf: number | null;
  readonly outcome: Outcome;
  readonly isRepeat: boolean;
}

/** A measure as a walk asks for it. */
export interface WalkMeasure {
  readonly id: string;
  readonly name: string;
  readonly definition: string;
  readonly unit: string;
  readonly scale: Scale;
  readonly scaleWords: string;
  readonly parts: number;
  readonly drawing: Drawing | null;
  /** What a picture of it is counted for; null where a picture says nothing. */
  readonly fromPicture: 'green' | 'brown' | null;
}

/** All that a walk needs to go on without a connection. Codes and places only: whose pot it is does not leave the server. */
export interface WalkView {
  readonly trialId: string;
  readonly question: string;
  readonly unitWord: string;
  readonly state: TrialState;
  readonly startsOn: string;
  readonly system: MeasureSystem;
  readonly units: readonly { readonly id: string; readonly code: string; readonly where: string }[];
  readonly measures: readonly WalkMeasure[];
  /** Of each unit and part the last before today, and what stands of today. */
  readonly values: readonly CurrentValue[];
}

export function walkViewOf(
  data: SeenTrial,
  bench: BenchView | null,
  today: string,
  system: MeasureSystem,
): WalkView {
  const { trial, measures, readings } = data;
  return {
    trialId: trial.id,
    question: trial.question,
    unitWord: trial.unitWord,
    state: trial.state,
    startsOn: trial.startsOn,
    system,
    units: [...(bench?.units ?? [])]
      .sort((a, b) => a.position - b.position)
      .map(({ id, code, where }) => ({ id, code, where })),
    measures: measures.flatMap(measure => walkMeasures(measure, system)),
    values: currentValues(readings, today),
  };
}

function currentValues(readings: readonly Reading[], today: string): readonly CurrentValue[] {
  const values = new Map<string, CurrentValue>();
  for (const reading of [...readings].sort((a, b) => (a.takenOn < b.takenOn ? -1 : 1))) {
    const { id, unitId, measureId, value, outOf, outcome, isRepeat } = reading;
    const { subsample: part, takenOn: on } = reading;
    const place = [unitId, measureId, part, on === today, isRepeat].join(' ');
    values.set(place, { id, unitId, measureId, part, on, value, outOf, outcome, isRepeat });
  }
  return [...values.values()];
}

/** None for the harvest, which is picked and not read. */
function walkMeasures(measure: Measure, system: MeasureSystem): readonly WalkMeasure[] {
  const { id, name, unit, scale, parts, kindKey } = measure;
  if (!isTaken(scale)) return [];
  return [
    {
      id,
      name,
      definition: definitionWords(measure, system),
      unit,
      scale,
      scaleWords: scaleWords(scale),
      parts,
      drawing: kindKey === null ? null : (readingKind(kindKey)?.drawing ?? null),
      fromPicture: countedFromPicture(name, kindKey),
    },
  ];
}

/** What can be counted from a picture: the library says so; of one's own measure its name is all there is. */
function countedFromPicture(name: string, kindKey: string | null): WalkMeasure['fromPicture'] {
  if (kindKey !== null) return readingKind(kindKey)?.fromPicture ?? null;
  if (/cover/i.test(name)) return 'green';
  return /brown|spot|scorch/i.test(name) ? 'brown' : null;
}
