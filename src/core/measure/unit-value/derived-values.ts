import type { Measure } from '@/core/trial/model/measure';
import type { Pick } from '@/core/trial/model/pick';
import type { DerivedTerm, Scale } from '@/core/trial/model/scale';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { ExperimentalUnit } from '@/core/trial/model/unit';

/** What a derived measure of one unit is made of; null where either is not known: nothing silent becomes a zero. */
export interface DerivedParts {
  readonly of: number;
  readonly by: number;
}

/** One value a unit of another measure of the trial, by the unit's id; null where the unit has none. */
export type ValuesOf = (measure: Measure) => ReadonlyMap<string, number | null>;

type Derived = Extract<Scale, { kind: 'derived' }>;

const MINUTES_AN_HOUR = 60;

/**
 * Both figures of a derived measure for every unit. Of a part of both together the second figure is that sum; of a quotient the
 * first is times the measure's factor already.
 *
 * @param valuesOf one value a unit of a measure that is read or picked
 */
export function derivedParts(
  data: TrialData,
  scale: Derived,
  valuesOf: ValuesOf,
): ReadonlyMap<string, DerivedParts | null> {
  const [of, by] = [termOf(data, scale.of, valuesOf), termOf(data, scale.by, valuesOf)];
  return new Map(data.units.map(unit => [unit.id, partsOf(scale, of(unit), by(unit))]));
}

function partsOf(
  { how, times }: Derived,
  of: number | null,
  by: number | null,
): DerivedParts | null {
  if (of === null || by === null) return null;
  switch (how) {
    case 'less':
      return { of, by };
    case 'part':
      return of + by > 0 ? { of: of * times, by: of + by } : null;
    case 'over':
      return by > 0 ? { of: of * times, by } : null;
    case 'share':
      return by > 0 ? { of, by } : null;
  }
}

/** The one figure that is shown of a unit: a quotient, a difference; of pieces a share in %. */
export function derivedValue({ how }: Derived, parts: DerivedParts | null): number | null {
  if (!parts) return null;
  if (how === 'less') return parts.of - parts.by;
  return (how === 'share' ? 100 : 1) * (parts.of / parts.by);
}

type OfUnit = (unit: ExperimentalUnit) => number | null;

function termOf(data: TrialData, term: DerivedTerm, valuesOf: ValuesOf): OfUnit {
  switch (term.kind) {
    case 'built':
      return unit => builtFigure(unit, term.what);
    case 'hours':
      return unit => workHours(data, unit, valuesOf);
    case 'harvest':
      return unit => harvestFigure(data, unit, term.what);
    case 'reading':
    case 'named': {
      const measure = measureOfTerm(data.measures, term);
      if (!measure) return () => null;
      const values = valuesOf(measure);
      return unit => values.get(unit.id) ?? null;
    }
  }
}

/** The measure of the trial that a term names, if it is one that is read; undefined of any other term. */
export function measureOfTerm(
  measures: readonly Measure[],
  term: DerivedTerm,
): Measure | undefined {
  if (term.kind !== 'reading' && term.kind !== 'named') return undefined;
  return measures.find(
    ({ kindKey, name, scale }) =>
      scale?.kind !== 'derived' &&
      (term.kind === 'reading'
        ? kindKey === term.key
        : name.toLowerCase() === term.name.toLowerCase()),
  );
}

/** All whose entries a value of a measure rests on: itself, and what it is worked out of. */
export function measuresBehind(measures: readonly Measure[], measure: Measure): readonly Measure[] {
  const { scale } = measure;
  if (scale?.kind !== 'derived') return [measure];
  const of = [scale.of, scale.by].flatMap(
    term => (term.kind === 'hours' ? labourMeasure(measures) : measureOfTerm(measures, term)) ?? [],
  );
  return [measure, ...of];
}

function labourMeasure(measures: readonly Measure[]): Measure | undefined {
  return measures.find(measure => measure.kindKey === 'labour');
}

function builtFigure(
  { built }: ExperimentalUnit,
  what: Extract<DerivedTerm, { kind: 'built' }>['what'],
): number | null {
  switch (what) {
    case 'area':
      return built?.areaM2 ?? null;
    case 'litres':
      return built?.mixMl == null ? null : built.mixMl / 1000;
    case 'plants':
      return built?.plants ?? null;
    case 'seed':
      return built?.seedG ?? null;
  }
}

/** Timed or written down with the work at this unit; null where nobody did. */
function workHours(data: TrialData, unit: ExperimentalUnit, valuesOf: ValuesOf): number | null {
  const work = labourMeasure(data.measures);
  const minutes = work ? (valuesOf(work).get(unit.id) ?? null) : null;
  return minutes === null ? null : minutes / MINUTES_AN_HOUR;
}

/** Of the pieces that came off on the day everything came off, how many were ripe; null where none were counted there. */
export function clearingShare(
  picks: readonly Pick[],
): { readonly ripe: number; readonly all: number } | null {
  const counted = picks.filter(
    ({ note, outcome, pieces }) =>
      note === CLEARING_NOTE && outcome === 'picked' && pieces !== null,
  );
  const sum = (of: readonly Pick[]): number =>
    of.reduce((total, { pieces }) => total + (pieces ?? 0), 0);
  const all = sum(counted);
  return all === 0 ? null : { ripe: sum(counted.filter(pick => pick.cullReason !== 'green')), all };
}

/** What the note of a pick says where everything came off. */
export const CLEARING_NOTE = 'last strip';

function harvestFigure(
  { picks }: TrialData,
  unit: ExperimentalUnit,
  what: Extract<DerivedTerm, { kind: 'harvest' }>['what'],
): number | null {
  const looked = picks.filter(
    ({ unitId, outcome }) => unitId === unit.id && outcome !== 'not-looked' && outcome !== 'gone',
  );
  if (looked.length === 0) return null;
  const own = looked.filter(({ note }) => !what.startsWith('clearing') || note === CLEARING_NOTE);
  const isWeight = what === 'sound-weight' || what === 'total-weight';
  const counted = own.filter(
    ({ grade, cullReason }) =>
      what === 'total-weight' ||
      what === 'total-count' ||
      what === 'clearing-all' ||
      (what === 'clearing-ripe' ? cullReason !== 'green' : grade === 'sound'),
  );
  const figures = counted.map(pick =>
    pick.outcome === 'picked' ? (isWeight ? pick.netG : pick.pieces) : 0,
  );
  if (what.startsWith('clearing') && own.length === 0) return null;
  return figures.includes(null)
    ? null
    : figures.reduce<number>((sum, figure) => sum + (figure ?? 0), 0);
}
