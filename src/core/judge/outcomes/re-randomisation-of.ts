import type { JudgedUnit } from '@/core/design/linear/design-input';
import { distinct, type TrialModel, wholePlotName } from '@/core/design/linear/trial-model';
import type { JudgeInput } from '@/core/judge/question/judge-input';
import { isLatinSquare } from '@/core/stats/permutation/latin-squares';
import type {
  PermutationProblem,
  ReRandomisationRule,
  SplitPlotRule,
} from '@/core/stats/permutation/permutation-problem';

/**
 * How a trial could have been dealt: as a Latin square where rows, columns and treatments make one; whole plots and the
 * units within them at their own levels; otherwise within blocks, whose lost units stay lost. Under a rule about start
 * sizes the whole deal is dealt again, lost units and all, since the rule looked at every unit.
 */
export function ruleOfLayout(
  input: JudgeInput,
  trial: TrialModel,
): Pick<PermutationProblem, 'rule' | 'dealtUnits' | 'balance'> {
  const index = new Map(input.units.map((unit, i) => [unit.id, i]));
  const measured = trial.units.map(unit => index.get(unit.id) ?? -1);
  const latin = latinSquareOf(input);
  if (latin)
    return { rule: latin.redeal, dealtUnits: measured.map(unit => latin.cellOf[unit] ?? -1) };
  if (trial.wholePlot) {
    // Without every combination of levels it is not known what the other deals would have been: none is made.
    const redeal = splitPlotOf(input, trial) ?? {
      kind: 'within-strata',
      stratum: trial.units.map((_, i) => i),
      treatment: trial.units.map(() => 0),
    };
    return { rule: redeal, dealtUnits: trial.units.map((_, i) => i) };
  }
  const sizes = input.units.flatMap(unit => (unit.startSize === undefined ? [] : [unit.startSize]));
  if (input.mostImbalance !== undefined && sizes.length === input.units.length) {
    return {
      rule: withinStrata(input, input.units),
      dealtUnits: measured,
      balance: { startSize: sizes, most: input.mostImbalance },
    };
  }
  return { rule: withinStrata(input, trial.units), dealtUnits: trial.units.map((_, i) => i) };
}

type Placed = Pick<JudgedUnit, 'treatment' | 'blocks' | 'wholePlot'>;

function treatmentIndex(input: JudgeInput, name: string): number {
  return [input.control, ...input.treatments.filter(each => each !== input.control)].indexOf(name);
}

function withinStrata(input: JudgeInput, units: readonly Placed[]): ReRandomisationRule {
  return {
    kind: 'within-strata',
    stratum: indexed(units.map(blockName)),
    treatment: units.map(unit => treatmentIndex(input, unit.treatment)),
  };
}

function blockName(unit: Placed): string {
  return JSON.stringify(unit.blocks);
}

function indexed(names: readonly string[]): readonly number[] {
  const levels = distinct(names);
  return names.map(name => levels.indexOf(name));
}

/** The square that two ways of blocking and the treatments make, lost units included; undefined where they make none. */
export function latinSquareOf(input: JudgeInput):
  | {
      readonly redeal: ReRandomisationRule & { readonly kind: 'latin-square' };
      readonly cellOf: readonly number[];
    }
  | undefined {
  const order = input.treatments.length;
  if (input.blockNames.length !== 2 || input.units.length !== order * order) return undefined;
  const rows = distinct(input.units.map(unit => unit.blocks[0] ?? ''));
  const columns = distinct(input.units.map(unit => unit.blocks[1] ?? ''));
  if (rows.length !== order || columns.length !== order) return undefined;
  const cellOf = input.units.map(
    unit => rows.indexOf(unit.blocks[0] ?? '') * order + columns.indexOf(unit.blocks[1] ?? ''),
  );
  const square = new Array<number>(order * order).fill(-1);
  input.units.forEach((unit, i) => {
    square[cellOf[i]!] = treatmentIndex(input, unit.treatment);
  });
  return isLatinSquare(square, order)
    ? { redeal: { kind: 'latin-square', order, square }, cellOf }
    : undefined;
}

/**
 * A split plot, where every combination of a level of the whole plots with a level of the units within them is a
 * treatment. Factors that don't change within any whole plot are its levels; a single treatment column has only those.
 */
function splitPlotOf(input: JudgeInput, trial: TrialModel): SplitPlotRule | undefined {
  const plots = trial.units.map(wholePlotName);
  const wholes = distinct(plots);
  const levels = (treatment: string): readonly string[] =>
    input.factors?.levelsOf[treatment] ?? [treatment];
  const isWhole = levels(input.control).map((_, f) =>
    wholes.every(
      whole =>
        new Set(
          trial.units
            .filter((_unit, i) => plots[i] === whole)
            .map(unit => levels(unit.treatment)[f]),
        ).size === 1,
    ),
  );
  const partOf = (treatment: string, wanted: boolean): string =>
    JSON.stringify(levels(treatment).filter((_, f) => isWhole[f] === wanted));
  const wholeLevels = distinct(input.treatments.map(name => partOf(name, true)));
  const subLevels = distinct(input.treatments.map(name => partOf(name, false)));
  const treatmentOf = wholeLevels.map(whole =>
    subLevels.map(sub =>
      input.treatments.find(name => partOf(name, true) === whole && partOf(name, false) === sub),
    ),
  );
  if (treatmentOf.some(row => row.includes(undefined))) return undefined;
  const firstOf = wholes.map(whole => trial.units[plots.indexOf(whole)]!);
  return {
    kind: 'split-plot',
    wholeStratum: indexed(firstOf.map(blockName)),
    wholeLevel: firstOf.map(unit => wholeLevels.indexOf(partOf(unit.treatment, true))),
    wholePlot: plots.map(plot => wholes.indexOf(plot)),
    subLevel: trial.units.map(unit => subLevels.indexOf(partOf(unit.treatment, false))),
    treatmentOf: treatmentOf.map(row => row.map(name => treatmentIndex(input, name ?? ''))),
  };
}
