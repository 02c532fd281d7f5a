import {
  type Combination,
  fitLinearModel,
  indicatorColumns,
  type LinearModel,
  type ModelTerm,
} from '@/core/stats/linear/linear-model';
import { orthonormalBasis } from '@/core/stats/linear/orthonormal-basis';
import { projectOut, squareSum } from '@/core/stats/linear/project-out';
import type { DesignInput } from './design-input';

// Below this share of a column's squares, what is left is rounding.
const NOTHING_LEFT = 1e-12;

/** A unit that gave a value. */
export interface MeasuredUnit {
  readonly id: string;
  readonly treatment: string;
  readonly blocks: readonly string[];
  readonly value: number;
  readonly covariate: number | undefined;
  readonly place?: readonly [number, number] | undefined;
  readonly wholePlot: string | undefined;
  readonly weight?: number | undefined;
}

/** The units that gave a value, and the model's terms over them. */
export interface TrialModel {
  readonly units: readonly MeasuredUnit[];
  readonly blockTerms: readonly ModelTerm[];
  readonly covariate: readonly number[] | undefined;
  /** Across and along the bench, from the middle of the unit's block; empty where the place is not allowed for, or all stand in one line. */
  readonly placeColumns: readonly (readonly number[])[];
  readonly terms: readonly ModelTerm[];
  /** How many of the terms, from the first, are dealt to whole plots or stand above them. */
  readonly wholeTerms: number;
  /** Each unit's whole plot, named within its block; undefined where there is one size of unit. */
  readonly wholePlot: readonly string[] | undefined;
  /**
   * Treatments' means by these weights, over equally weighted blocks; undefined where the layout can't give it. An average may
   * be given whose parts are not.
   */
  readonly combinationOf: (
    model: LinearModel,
    weights: readonly (readonly [treatment: string, weight: number])[],
  ) => Combination | undefined;
  /** A treatment's mean over equally weighted blocks, at the mean start size: the combination that estimates it. */
  readonly meanOf: (model: LinearModel, treatment: string) => Combination | undefined;
  /** Treatment a minus treatment b. */
  readonly differenceOf: (model: LinearModel, a: string, b: string) => Combination | undefined;
  /** One a unit, where they differ. */
  readonly weights: readonly number[] | undefined;
  readonly fit: (values: readonly number[]) => LinearModel;
}

/** Sets up blocks, covariate and treatment (or factors and their interactions) as columns, in the order of the analysis. */
export function buildTrialModel(input: DesignInput): TrialModel {
  const units = measuredUnits(input);
  const blockTerms = blockTermsOf(input, units);
  const covariate = covariateOf(units);
  const covariateTerms: readonly ModelTerm[] = covariate
    ? [{ name: 'covariate', columns: [covariate] }]
    : [];
  const placeColumns = placeColumnsOf(units, blockTerms);
  const placeTerms: readonly ModelTerm[] =
    placeColumns.length > 0 ? [{ name: 'place', columns: placeColumns }] : [];
  const wholePlot = wholePlotsOf(units);
  const treatmentTerms = inStrataOrder(
    input.factors
      ? factorTerms(input, units, isOneEachCell(input, units))
      : [singleTerm(input, units)],
    wholePlot,
  );
  const above = [...blockTerms, ...covariateTerms, ...placeTerms];
  const terms = [...above, ...treatmentTerms.map(term => term.term)];
  const wholeTerms =
    above.length + treatmentTerms.filter(({ term }) => isWhole(term, wholePlot)).length;
  const average = [
    ...blockTerms.flatMap(term => term.columns.map(() => 1 / (term.columns.length + 1))),
    ...(covariate ? [covariate.reduce((sum, value) => sum + value, 0) / covariate.length] : []),
    ...placeColumns.map(() => 0),
  ];
  const weights = weightsOf(units);
  const own = (treatment: string): readonly number[] =>
    treatmentTerms.flatMap(term => term.rowOf(treatment));
  const combinationOf: TrialModel['combinationOf'] = (model, weights) => {
    const total = weights.reduce((sum, [, weight]) => sum + weight, 0);
    const rows = weights.map(([treatment, weight]) => own(treatment).map(value => weight * value));
    const summed = (rows[0] ?? []).map((_, j) => rows.reduce((sum, row) => sum + row[j]!, 0));
    return model.combine(total, [...average.map(value => total * value), ...summed]);
  };
  return {
    units,
    blockTerms,
    covariate,
    placeColumns,
    terms,
    wholeTerms,
    wholePlot,
    weights,
    fit: values => fitLinearModel(values, terms, weights),
    combinationOf,
    meanOf: (model, treatment) => combinationOf(model, [[treatment, 1]]),
    differenceOf: (model, a, b) =>
      combinationOf(model, [
        [a, 1],
        [b, -1],
      ]),
  };
}

function weightsOf(units: readonly MeasuredUnit[]): readonly number[] | undefined {
  const weights = units.map(unit => unit.weight ?? 1);
  return weights.every(weight => weight === weights[0]) ? undefined : weights;
}

function measuredUnits({ units }: DesignInput): readonly MeasuredUnit[] {
  return units.flatMap((unit): MeasuredUnit[] =>
    unit.value === null
      ? []
      : [{ ...unit, value: unit.value, covariate: unit.covariate, wholePlot: unit.wholePlot }],
  );
}

function blockTermsOf(
  { blockNames }: DesignInput,
  units: readonly MeasuredUnit[],
): readonly ModelTerm[] {
  return blockNames.map((name, i) => {
    const labels = units.map(unit => unit.blocks[i] ?? '');
    return { name, columns: indicatorColumns(labels, distinct(labels)) };
  });
}

/** undefined where a unit has none: an unknown start size adjusts nothing. */
function covariateOf(units: readonly MeasuredUnit[]): readonly number[] | undefined {
  const known = units.flatMap(unit => (unit.covariate === undefined ? [] : [unit.covariate]));
  return known.length === units.length && units.length > 0 ? known : undefined;
}

/** How far each unit stands from the middle of its block: shelf by shelf the blocks hold the rest already. */
function placeColumnsOf(
  units: readonly MeasuredUnit[],
  blockTerms: readonly ModelTerm[],
): readonly (readonly number[])[] {
  const places = units.flatMap(unit => (unit.place ? [unit.place] : []));
  if (units.length === 0 || places.length < units.length) return [];
  const { vectors } = orthonormalBasis(
    units.length,
    blockTerms.flatMap(term => term.columns),
  );
  return ([0, 1] as const).flatMap(axis => {
    const along = places.map(place => place[axis]);
    const left = projectOut(along, vectors);
    return squareSum(left) > NOTHING_LEFT * squareSum(along) ? [[...left]] : [];
  });
}

/** Whole plots are named within their block: “mulched” in block 1 is another bed than “mulched” in block 2. */
function wholePlotsOf(units: readonly MeasuredUnit[]): readonly string[] | undefined {
  return units.some(unit => unit.wholePlot !== undefined) ? units.map(wholePlotName) : undefined;
}

/** A unit's whole plot by a name that no other block's has. */
export function wholePlotName(unit: {
  readonly blocks: readonly string[];
  readonly wholePlot?: string | undefined;
}): string {
  return JSON.stringify([...unit.blocks, unit.wholePlot ?? '']);
}

/** Whether a term says the same of all units of a whole plot. */
function isWhole(term: ModelTerm, wholePlot: readonly string[] | undefined): boolean {
  return (
    wholePlot !== undefined &&
    term.columns.every(column => {
      const first = new Map<string, number>();
      return column.every((value, unit) => {
        const name = wholePlot[unit]!;
        const seen = first.get(name);
        if (seen === undefined) first.set(name, value);
        return seen === undefined || seen === value;
      });
    })
  );
}

function inStrataOrder(
  terms: readonly TreatmentTerm[],
  wholePlot: readonly string[] | undefined,
): readonly TreatmentTerm[] {
  return [
    ...terms.filter(({ term }) => isWhole(term, wholePlot)),
    ...terms.filter(({ term }) => !isWhole(term, wholePlot)),
  ];
}

interface TreatmentTerm {
  readonly term: ModelTerm;
  /** The term's columns as one unit under this treatment would have them. */
  readonly rowOf: (treatment: string) => readonly number[];
}

function singleTerm(input: DesignInput, units: readonly MeasuredUnit[]): TreatmentTerm {
  const levels = [input.control, ...input.treatments.filter(name => name !== input.control)];
  return {
    term: {
      name: input.treatmentName,
      columns: indicatorColumns(
        units.map(unit => unit.treatment),
        levels,
      ),
    },
    rowOf: treatment => levels.slice(1).map(level => Number(level === treatment)),
  };
}

/**
 * Whether there is one unit of each combination and nothing else to tell luck by: then main effects alone are judged, by what
 * they leave over (Fisher 1935, a table of two ways).
 */
export function isOneEachCell(input: DesignInput, units: readonly MeasuredUnit[]): boolean {
  if ((input.factors?.names.length ?? 0) < 2 || units.some(unit => unit.wholePlot !== undefined))
    return false;
  return (
    new Set(units.map(unit => unit.treatment)).size === units.length &&
    new Set(units.map(unit => JSON.stringify(unit.blocks))).size === 1
  );
}

/** Main effects first, then interactions of two, of three …; the product of the factors' columns. */
function factorTerms(
  input: DesignInput,
  units: readonly MeasuredUnit[],
  isAdditive: boolean,
): readonly TreatmentTerm[] {
  const { names, levelsOf } = input.factors ?? { names: [], levelsOf: {} };
  const levels = names.map((_, f) =>
    distinct(input.treatments.map(treatment => levelsOf[treatment]?.[f] ?? '')),
  );
  return subsetsBySize(names.length)
    .filter(factors => !isAdditive || factors.length === 1)
    .map(factors => {
      const rowOf = (treatment: string): readonly number[] =>
        factors.reduce<readonly number[]>(
          (products, f) =>
            (levels[f] ?? [])
              .slice(1)
              .flatMap(level =>
                products.map(value => value * Number(levelsOf[treatment]?.[f] === level)),
              ),
          [1],
        );
      const rows = new Map(input.treatments.map(treatment => [treatment, rowOf(treatment)]));
      const width = rowOf(input.control).length;
      const columns = Array.from({ length: width }, (_, j) =>
        units.map(unit => rows.get(unit.treatment)?.[j] ?? 0),
      );
      return { term: { name: factors.map(f => names[f]).join(':'), columns }, rowOf };
    });
}

function subsetsBySize(count: number): readonly (readonly number[])[] {
  return Array.from({ length: 2 ** count - 1 }, (_, i) => i + 1)
    .map(mask => Array.from({ length: count }, (_, f) => f).filter(f => mask & (1 << f)))
    .sort((a, b) => a.length - b.length || lexical(a, b));
}

function lexical(a: readonly number[], b: readonly number[]): number {
  const at = a.findIndex((value, i) => value !== b[i]);
  return at < 0 ? 0 : a[at]! - b[at]!;
}

/** Different values in the order of their first appearance. */
export function distinct(values: readonly string[]): readonly string[] {
  return [...new Set(values)];
}
