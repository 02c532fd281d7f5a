import { v7 } from 'uuid';
import { layOutBench } from '@/core/design/site/bench-plan';
import { HARVEST_MEASURES } from '@/core/measure/library/harvest-measures';
import {
  BLANK_LAYOUT,
  BLANK_MEASURE,
  BLANK_READING,
  BLANK_TREATMENT,
  BLANK_TRIAL,
} from '@/core/trial/model/blank-facts';
import { NO_CARE } from '@/core/trial/model/care-plan';
import {
  GardenId,
  IncidentId,
  MeasureId,
  PickId,
  ReadingId,
  TreatmentId,
  TrialId,
} from '@/core/trial/model/ids';
import type { Incident } from '@/core/trial/model/incident';
import type { Measure } from '@/core/trial/model/measure';
import type { Pick } from '@/core/trial/model/pick';
import type { Reading } from '@/core/trial/model/reading';
import type { Treatment } from '@/core/trial/model/treatment';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { ExperimentalUnit } from '@/core/trial/model/unit';

/** A locked trial for tests: `plain water` (control) and as many others, dealt in blocks or over the whole bench. */
export function trialFixture(
  changes: {
    readonly treatments?: number;
    readonly unitsEach?: number;
    readonly blockCount?: number;
    readonly isBlind?: boolean;
    readonly seed?: number;
  } = {},
): TrialData {
  const {
    treatments: count = 2,
    unitsEach = 3,
    blockCount = 0,
    isBlind = false,
    seed = 11,
  } = changes;
  const treatments = Array.from({ length: count }, (_, position): Treatment => {
    const name = position === 0 ? 'plain water' : `feed ${position}`;
    return {
      id: TreatmentId.parse(v7()),
      name,
      letter: String.fromCharCode(65 + position),
      role: position === 0 ? 'control' : 'test',
      position,
      levels: { feed: name },
      ...BLANK_TREATMENT,
    };
  });
  const bench = layOutBench(
    {
      kind: blockCount > 0 ? 'complete-blocks' : 'complete-randomisation',
      treatments,
      each: blockCount > 0 ? unitsEach / blockCount : unitsEach,
      blockCount,
      blockWord: 'shelf',
      unitWord: 'pot',
      unitShape: 'round',
      unitWidthMm: 200,
      unitDepthMm: 200,
      seed,
      deals: 1,
      ...BLANK_LAYOUT,
    },
    () => v7(),
  );
  return {
    format: 'turnspit-trial',
    version: 1,
    trial: {
      id: TrialId.parse(v7()),
      gardenId: GardenId.parse(v7()),
      question: 'Does a feed help?',
      crop: 'beans',
      unitWord: 'pot',
      state: 'locked',
      isBlind,
      startsOn: '2026-05-01',
      endsOn: '2026-08-01',
      lockedAt: '2026-05-01T08:00:00.000Z',
      closedAt: null,
      keyOpenedAt: null,
      ...BLANK_TRIAL,
    },
    factors: [
      { name: 'feed', levels: treatments.map(treatment => treatment.name), dealtAt: 'pot' },
    ],
    treatments,
    measures: HARVEST_MEASURES.map(
      (kind, i): Measure => ({
        id: MeasureId.parse(v7()),
        name: kind.name,
        definition: kind.definition,
        response: kind.responseOf('beans'),
        unit: kind.unit,
        summary: kind.summary,
        better: 'higher',
        margin: { kind: 'percent', percent: 15 },
        isMain: i === 0,
        ...BLANK_MEASURE,
      }),
    ),
    ...bench,
    picks: [],
    readings: [],
    incidents: [],
    care: NO_CARE,
    products: [],
    predictions: [],
    amendments: [],
    regrets: [],
  };
}

/** A sound pick of 100 g and 10 pieces, with changes. */
export function pickFixture(unit: ExperimentalUnit, changes: Partial<Pick> = {}): Pick {
  return {
    id: PickId.parse(v7()),
    unitId: unit.id,
    pickedOn: '2026-07-01',
    takenAt: '2026-07-01T09:00:00.000Z',
    outcome: 'picked',
    pieces: 10,
    grossG: 150,
    tareG: 50,
    netG: 100,
    grade: 'sound',
    cullReason: null,
    note: '',
    asWritten: '150 g',
    supersedes: null,
    isRemoval: false,
    ...changes,
  };
}

/** A look that found no weight: nothing there, not looked at, dead. */
export function emptyPickFixture(
  unit: ExperimentalUnit,
  outcome: 'nothing-there' | 'not-looked' | 'dead',
  changes: Partial<Pick> = {},
): Pick {
  return pickFixture(unit, {
    outcome,
    pieces: null,
    grossG: null,
    tareG: 0,
    netG: null,
    asWritten: '',
    ...changes,
  });
}

/** A reading of a measure that is not a harvest. */
export function readingFixture(
  unit: ExperimentalUnit,
  measure: Measure,
  value: number | null,
  changes: Partial<Reading> = {},
): Reading {
  return {
    id: ReadingId.parse(v7()),
    unitId: unit.id,
    measureId: measure.id,
    subsample: '',
    takenOn: '2026-06-01',
    takenAt: '2026-06-01T09:00:00.000Z',
    value,
    outcome: 'picked',
    note: '',
    ...BLANK_READING,
    supersedes: null,
    isRemoval: false,
    ...changes,
  };
}

/** A unit left out of the sums. */
export function leaveOutFixture(unit: ExperimentalUnit, changes: Partial<Incident> = {}): Incident {
  return {
    id: IncidentId.parse(v7()),
    unitId: unit.id,
    happenedOn: '2026-06-20',
    recordedAt: '2026-06-20T09:00:00.000Z',
    what: 'left out of the sums',
    why: 'Knocked over.',
    by: 'Ines',
    decision: 'leave-out',
    cause: null,
    byTreatment: 'unknown',
    afterKeyOpened: false,
    supersedes: null,
    isRemoval: false,
    ...changes,
  };
}
