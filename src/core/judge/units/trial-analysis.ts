import { inseparable } from '@/core/design/audit/confound-words';
import { LAYOUTS } from '@/core/design/layouts/layouts';
import type { FactorStructure, JudgedUnit } from '@/core/design/linear/design-input';
import { centresOf } from '@/core/design/site/unit-centres';
import { judgeWithoutShuffle } from '@/core/judge/outcomes/judge';
import type { Judgement } from '@/core/judge/outcomes/judgement';
import { agreedComparisonOf } from '@/core/judge/question/agreed-comparison';
import { dosesOf, withDoses } from '@/core/judge/question/dose-line';
import {
  type JudgeInput,
  type Margin,
  type Outcome,
  POINTS,
  type PriorCv,
  type QuestionInput,
} from '@/core/judge/question/judge-input';
import { confidenceAtEach } from '@/core/judge/question/planned-looks';
import { type OutcomeReader, outcomeOf, outcomeReader } from '@/core/judge/question/unit-outcome';
import { isGainOrLoss } from '@/core/measure/library/reading-library';
import { shownUnit } from '@/core/measure/library/shown-unit';
import { startValues, type UnitValue, unitValues } from '@/core/measure/unit-value/unit-values';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import type { Incident } from '@/core/trial/model/incident';
import type { Layout } from '@/core/trial/model/layout';
import type { Measure } from '@/core/trial/model/measure';
import type { TrialData } from '@/core/trial/model/trial-data';
import { leftOutOf, withCuts } from './analysis-sets';
import { givenShares } from './given-share';

/** How a trial is to be looked at: as it was planned, or with something changed on the page. */
export interface AnalysisSpec {
  readonly measureId: string;
  /** null where any difference matters. */
  readonly margin: Margin | null;
  /** Codes of units left out of the sums. */
  readonly leftOut: readonly string[];
  /** Nothing is cut where a mishap ended or began a unit's line. */
  readonly isUncut?: boolean;
  /** Where the units stand is allowed for, as a slope across and along the bench. */
  readonly isByPlace?: boolean;
  /** Judged by another method than its kind's: the mean of what is no mean, or the ranks of what has one. */
  readonly by?: 'means' | 'ranks' | undefined;
  /** Of classes: the one that is counted, by its number; without it the one that came most often. */
  readonly countedClass?: number | undefined;
  readonly shuffles: number;
  readonly seed: number;
  readonly priorCv: PriorCv;
  /** Whose units its sentences are in; metric where it is not said, as in files for programs. */
  readonly system?: MeasureSystem | undefined;
}

/** The look that was planned: the main measure, its margin, and what was left out in time. */
export function plannedSpec(data: TrialData, priorCv: PriorCv): AnalysisSpec {
  const main = mainMeasure(data);
  return {
    measureId: main.id,
    margin: main.margin,
    leftOut: leftOutOf(data, 'planned'),
    shuffles: 20_000,
    seed: data.layout?.seed ?? 1,
    priorCv,
  };
}

/** @throws {RangeError} a trial without a main measure, which its schema lets nobody make */
export function mainMeasure(data: Pick<TrialData, 'measures' | 'trial'>): Measure {
  const main = data.measures.find(measure => measure.isMain);
  if (!main) throw new RangeError(`trial ${data.trial.id} must have a main measure`);
  return main;
}

/** A unit that was left out, and the incident that says why. */
export interface LeaveOut {
  readonly code: string;
  readonly incident: Incident;
}

export function currentLeaveOuts(data: TrialData): readonly LeaveOut[] {
  return data.incidents
    .filter(incident => incident.decision === 'leave-out')
    .flatMap(incident => {
      const unit = data.units.find(candidate => candidate.id === incident.unitId);
      return unit ? [{ code: unit.code, incident }] : [];
    });
}

/** What a trial compares, before anything was read. */
export function questionOf(data: TrialData): QuestionInput {
  const treatments = [...data.treatments].sort((a, b) => a.position - b.position);
  return {
    factors: factorStructure(data),
    treatments: treatments.map(treatment => treatment.name),
    control: treatments.find(treatment => treatment.role === 'control')?.name ?? '',
    agreed: agreedComparisonOf(data.trial.rules, data.treatments),
    doses: dosesOf(data.treatments),
  };
}

/** Everything the judge takes, from a trial's own readings. Left-out units are not in it. */
export function judgeInputOf(data: TrialData, spec: AnalysisSpec): JudgeInput {
  const measure = measureOf(data, spec.measureId);
  const counted = spec.isUncut ? data : withCuts(data);
  const outcome = outcomeUnder(spec, measure);
  const reader = outcomeReader(counted, measure, outcome, spec.countedClass);
  const values = unitValues(counted, measure);
  const starts = startValues(data, measure);
  const hasStart =
    starts.size > 0 && values.every(({ unit, value }) => value === null || starts.has(unit.id));
  const { doses, ...question } = questionOf(data);
  const input: JudgeInput = {
    ...question,
    outcome,
    countedClass: reader.countedClass,
    hasNoGoodDirection: isGainOrLoss(measure) ? undefined : true,
    response: measure.response,
    ...responseIn(measure, spec.system),
    unitWord: data.trial.unitWord,
    treatmentName: data.factors.map(factor => factor.name).join(':'),
    blockNames: blockNamesOf(data.layout),
    isPaired: data.layout !== null && LAYOUTS[data.layout.kind].isPaired,
    mostImbalance: data.layout?.mostImbalance ?? undefined,
    covariateName: hasStart
      ? 'what it read at the start'
      : data.units.every(unit => unit.startSize !== null)
        ? 'its size at the start'
        : undefined,
    units: judgedUnits(data, spec, { values, starts: hasStart ? starts : null, reader }),
    subsamples: values.reduce(
      (sum, value) => sum + (spec.leftOut.includes(value.unit.code) ? 0 : value.subsamples),
      0,
    ),
    better: measure.better,
    margin: spec.margin,
    confidence: confidenceAtEach(data.trial.rules.looks),
    shuffles: spec.shuffles,
    seed: spec.seed,
    isDeclared: measure.isMain,
    given: givenShares(data),
    confounded: inseparable(data),
    priorCv: spec.priorCv,
  };
  return withDoses(input, doses);
}

/** What the figures of a measure are told in. */
export function responseIn(
  { unit, scale }: Pick<Measure, 'unit' | 'scale'>,
  system: MeasureSystem = 'uk',
): Pick<JudgeInput, 'responseUnit' | 'responseBase'> {
  if (unit === '%') return { responseUnit: POINTS };
  if (unit !== 'g' && unit !== 'mm' && scale?.kind !== 'derived')
    return { responseUnit: undefined };
  const { name, base } = shownUnit(unit, system);
  return { responseUnit: name, ...(base === 1 ? {} : { responseBase: base }) };
}

interface UnitSources {
  readonly values: readonly UnitValue[];
  /** What each read at the start, where that is held against it. */
  readonly starts: ReadonlyMap<string, number> | null;
  readonly reader: OutcomeReader;
}

function judgedUnits(
  data: TrialData,
  spec: AnalysisSpec,
  { values, starts, reader }: UnitSources,
): readonly JudgedUnit[] {
  const centres = spec.isByPlace ? centresOf(data) : [];
  const nameOf = (id: string): string =>
    data.treatments.find(treatment => treatment.id === id)?.name ?? '';
  const blockOf = (id: string | null): string =>
    data.blocks.find(block => block.id === id)?.name ?? '';
  return values.map(({ unit, value }, i): JudgedUnit => {
    const centre = centres[i];
    const isLeftOut = spec.leftOut.includes(unit.code);
    return {
      id: unit.code,
      treatment: nameOf(unit.treatmentId),
      ...(isLeftOut ? { value: null } : reader.of(unit.id, value)),
      isLeftOut,
      blocks: [
        ...(unit.blockId === null ? [] : [blockOf(unit.blockId)]),
        ...(unit.column === null ? [] : [String(unit.column + 1)]),
      ],
      wholePlot: unit.wholePlot ?? undefined,
      startSize: unit.startSize ?? undefined,
      covariate: starts ? starts.get(unit.id) : (unit.startSize ?? undefined),
      ...(centre && { place: [centre.x, centre.y] as const }),
    };
  });
}

/** Classes have no mean, whatever was asked for. */
function outcomeUnder({ by }: AnalysisSpec, { scale }: Measure): Outcome {
  const own = outcomeOf(scale);
  if (by === undefined || scale?.kind === 'class') return own;
  return by === 'means' ? 'continuous' : 'ordinal';
}

/** What a layout's blocks are called: rows and columns of a square, shelves, pairs, gardens; none where it had none. */
function blockNamesOf(layout: Layout | null): readonly string[] {
  if (!layout || !LAYOUTS[layout.kind].hasBlocks) return [];
  return layout.columnWord === null ? [layout.blockWord] : [layout.blockWord, layout.columnWord];
}

function factorStructure(data: TrialData): FactorStructure | undefined {
  if (data.factors.length < 2) return undefined;
  const names = data.factors.map(factor => factor.name);
  return {
    names,
    levelsOf: Object.fromEntries(
      data.treatments.map(treatment => [
        treatment.name,
        names.map(name => treatment.levels[name] ?? ''),
      ]),
    ),
  };
}

/** @throws {RangeError} none of the trial's */
export function measureOf(data: TrialData, measureId: string): Measure {
  const measure = data.measures.find(candidate => candidate.id === measureId);
  if (!measure) throw new RangeError(`measureId must be one of the trial’s, got ${measureId}`);
  return measure;
}

/** The judgement with every left-out unit back in, shuffle test aside; undefined where none was left out. */
export function judgementWithAllIn(data: TrialData, spec: AnalysisSpec): Judgement | undefined {
  const isWhole = spec.leftOut.length === 0 && withCuts(data) === data;
  return isWhole
    ? undefined
    : judgeWithoutShuffle(judgeInputOf(data, { ...spec, leftOut: [], isUncut: true }));
}

/** The judgement of those only that had no mishap, shuffle test aside; undefined where that is no other set. */
export function judgementOfSound(data: TrialData, spec: AnalysisSpec): Judgement | undefined {
  const sound = leftOutOf(data, 'sound');
  return sound.every(code => spec.leftOut.includes(code))
    ? undefined
    : judgeWithoutShuffle(
        judgeInputOf(data, { ...spec, leftOut: [...new Set([...spec.leftOut, ...sound])] }),
      );
}

/** Units in the sums whose value wants a word beside the verdict: died, missed on a day, or never read. */
export function unitsToMention(data: TrialData, spec: AnalysisSpec): readonly UnitValue[] {
  return unitValues(data, measureOf(data, spec.measureId)).filter(
    ({ unit, status, missedOn }) =>
      !spec.leftOut.includes(unit.code) && (status !== 'measured' || missedOn.length > 0),
  );
}

/** A trial judged under one look, all but the shuffles: what the server paints first and a worker makes anew. */
export interface Analysis {
  readonly spec: AnalysisSpec;
  readonly input: JudgeInput;
  readonly judgement: Judgement;
  /** With every left-out unit back in; null where none was left out. */
  readonly allIn: Judgement | null;
  /** Of those only that had no mishap; null where those are the same. */
  readonly sound: Judgement | null;
}

/** @param judgeIt the whole judge, or the judge without its shuffles */
export function analyse(
  data: TrialData,
  spec: AnalysisSpec,
  judgeIt: (input: JudgeInput) => Judgement,
): Analysis {
  const input = judgeInputOf(data, spec);
  return {
    spec: spec,
    input,
    judgement: judgeIt(input),
    allIn: judgementWithAllIn(data, spec) ?? null,
    sound: judgementOfSound(data, spec) ?? null,
  };
}
