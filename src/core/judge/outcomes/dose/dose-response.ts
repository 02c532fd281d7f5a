import type { Curve, CurvePoint } from '@/core/stats/curves/curve-shapes';
import { bestCurves, type FittedCurve } from '@/core/stats/curves/fit-curve';
import { tTwoSidedP } from '@/core/stats/distributions/distributions';
import { fitLinearModel, indicatorColumns, type ModelTerm } from '@/core/stats/linear/linear-model';
import { dot } from '@/core/stats/linear/orthonormal-basis';

/** What a unit got and gave, blocks taken out. */
export interface DosedUnit {
  readonly dose: number;
  readonly value: number;
  readonly block: string;
}

/** What a series of doses shows. */
export interface DoseResponse {
  /** Change a unit of dose, straight through all; null where no spread is left. */
  readonly trend: { readonly slope: number; readonly se: number; readonly p: number } | null;
  /** Curves that fit, the one the units speak for most first. */
  readonly fits: readonly FittedCurve[];
  /** From where on more of it brings less than so much of what it brought; null where it still rises, or nothing bends. */
  readonly levelsOffAt: number | null;
}

const CURVES: readonly Curve[] = ['linear', 'quadratic', 'plateau', 'mitscherlich'];

/**
 * Trend, bend and plateau of a dose series on its units, not on its means. Blocks are allowed for: in the trend by the model,
 * and before a curve is laid by their effects.
 */
export function doseResponse(units: readonly DosedUnit[]): DoseResponse {
  const points = withoutBlocks(units);
  const doses = new Set(points.map(point => point.x)).size;
  const fits = bestCurves(
    points,
    CURVES.filter(curve => doses > (curve === 'linear' ? 1 : curve === 'quadratic' ? 2 : 3)),
  );
  return {
    trend: trendOf(units),
    fits,
    levelsOffAt: fits[0] ? levelsOffAt(fits[0], points) : null,
  };
}

/** The slope of a straight line within the blocks, with the error that is left after blocks and line. */
function trendOf(units: readonly DosedUnit[]): DoseResponse['trend'] {
  const blocks = blockTermOf(units);
  const model = fitLinearModel(
    units.map(unit => unit.value),
    [blocks, { name: 'dose', columns: [units.map(unit => unit.dose)] }],
  );
  const slope = model.combine(0, [...blocks.columns.map(() => 0), 1]);
  if (!slope || model.residualDf < 1) return null;
  const ms = model.residualSs / model.residualDf;
  const se = Math.sqrt(ms * dot(slope.direction, slope.direction));
  if (!(se > 0)) return null;
  return { slope: slope.estimate, se, p: tTwoSidedP(slope.estimate / se, model.residualDf) };
}

function blockTermOf(units: readonly DosedUnit[]): ModelTerm {
  const labels = units.map(unit => unit.block);
  return { name: 'blocks', columns: indicatorColumns(labels, [...new Set(labels)]) };
}

/** The units with their blocks' effects taken out: as a model of blocks and doses has them, so that lost units bend nothing. */
export function withoutBlocks(units: readonly DosedUnit[]): readonly CurvePoint[] {
  const blocks = [...new Set(units.map(unit => unit.block))];
  const doses = units.map(unit => String(unit.dose));
  const doseTerm = { name: 'dose', columns: indicatorColumns(doses, [...new Set(doses)]) };
  const model = fitLinearModel(
    units.map(unit => unit.value),
    [blockTermOf(units), doseTerm],
  );
  const effects = blocks.map((_, i) => {
    const indicators = blocks.slice(1).map((__, j) => Number(j === i - 1));
    return model.combine(0, [...indicators, ...doseTerm.columns.map(() => 0)])?.estimate ?? 0;
  });
  const average = effects.reduce((sum, effect) => sum + effect, 0) / Math.max(1, blocks.length);
  const shiftOf = new Map(blocks.map((block, i) => [block, (effects[i] ?? 0) - average]));
  return units.map(unit => ({ x: unit.dose, y: unit.value - (shiftOf.get(unit.block) ?? 0) }));
}

const ALMOST_ALL = 0.95;

/** Where a curve has brought almost all that it brings; null where it still rises at the largest dose. */
export function levelsOffAt(
  { curve, parameters }: FittedCurve,
  points: readonly CurvePoint[],
): number | null {
  const most = Math.max(...points.map(point => point.x));
  const at =
    curve === 'plateau'
      ? parameters.x0
      : curve === 'mitscherlich' && (parameters.c ?? 0) > 0
        ? -Math.log(1 - ALMOST_ALL) / (parameters.c ?? 1)
        : curve === 'quadratic' && (parameters.b2 ?? 0) < 0
          ? -(parameters.b1 ?? 0) / (2 * (parameters.b2 ?? 1))
          : undefined;
  return at !== undefined && at > 0 && at <= most ? at : null;
}

/** What a dose costs and what the harvest is worth, in one currency. */
export interface DoseMoney {
  readonly costPerDose: number;
  readonly worthPerValue: number;
}

/** The dose, between none and the largest that was tried, that leaves the most money on a curve; the smallest of equals. */
export function bestDoseForMoney(
  fitted: FittedCurve,
  doses: readonly number[],
  { costPerDose, worthPerValue }: DoseMoney,
): { readonly dose: number; readonly net: number } {
  const [from, to] = [Math.min(...doses), Math.max(...doses)];
  const steps = 2000;
  let best = { dose: from, net: Number.NEGATIVE_INFINITY };
  for (let i = 0; i <= steps; i++) {
    const dose = from + ((to - from) * i) / steps;
    const net = worthPerValue * fitted.at(dose) - costPerDose * dose;
    if (net > best.net + 1e-12 * Math.abs(net)) best = { dose, net };
  }
  return best;
}
