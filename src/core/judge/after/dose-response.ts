import type { Curve, CurvePoint } from '@/core/stats/curves/curve-shapes';
import { bestCurves, type FittedCurve, fitCurve } from '@/core/stats/curves/fit-curve';
import { tTwoSidedP } from '@/core/stats/distributions/distributions';

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
 * Trend, bend and plateau of a dose series on its units, not on its means. Blocks are taken out first, by their means'
 * differences from the whole.
 */
export function doseResponse(units: readonly DosedUnit[]): DoseResponse {
  const points = withoutBlocks(units);
  const line = fitCurve(points, 'linear');
  const [slope, se] = [line?.parameters.b ?? 0, line?.se.b ?? null];
  const doses = new Set(points.map(point => point.x)).size;
  const fits = bestCurves(
    points,
    CURVES.filter(curve => doses > (curve === 'linear' ? 1 : curve === 'quadratic' ? 2 : 3)),
  );
  return {
    trend:
      line && se !== null && se > 0
        ? { slope, se, p: tTwoSidedP(slope / se, line.residualDf) }
        : null,
    fits,
    levelsOffAt: fits[0] ? levelsOffAt(fits[0], points) : null,
  };
}

function withoutBlocks(units: readonly DosedUnit[]): readonly CurvePoint[] {
  const blocks = [...new Set(units.map(unit => unit.block))];
  const all = mean(units.map(unit => unit.value));
  const shiftOf = new Map(
    blocks.map(block => [
      block,
      blocks.length < 2
        ? 0
        : mean(units.filter(unit => unit.block === block).map(unit => unit.value)) - all,
    ]),
  );
  return units.map(unit => ({ x: unit.dose, y: unit.value - (shiftOf.get(unit.block) ?? 0) }));
}

function mean(values: readonly number[]): number {
  return values.reduce((sum, value) => sum + value, 0) / Math.max(1, values.length);
}

const ALMOST_ALL = 0.95;

function levelsOffAt(
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
